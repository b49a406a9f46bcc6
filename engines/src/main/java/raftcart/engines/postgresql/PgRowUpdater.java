package raftcart.engines.postgresql;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;
import java.util.stream.Collectors;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Identifiers;
import raftcart.engine.TransferColumn;
import raftcart.engines.jdbc.Query;
import raftcart.move.RowBuffer;
import raftcart.move.RowWriter;

/** Copies rows into a temporary table of the session, and from there by INSERT with ON CONFLICT on the key. */
final class PgRowUpdater implements RowWriter {
    private static final ObjectName STAGE = new ObjectName("pg_temp", "raftcart_rows");

    private final Connection connection;
    private final RowWriter stage;
    private final String merge;
    private final String clear;

    PgRowUpdater(
            Connection connection,
            Identifiers identifiers,
            ObjectName table,
            List<TransferColumn> columns,
            List<String> key)
            throws SQLException {
        this.connection = connection;
        List<String> names = columns.stream().map(c -> c.column().name()).toList();
        String all = identifiers.quoteAll(names);
        String staged = identifiers.quote(STAGE);
        Query.execute(
                connection,
                "DROP TABLE IF EXISTS " + staged,
                "CREATE TEMP TABLE " + identifiers.quote(STAGE.name()) + " AS SELECT " + all + " FROM "
                        + identifiers.quote(table) + " WITH NO DATA");
        this.stage = new PgRowWriter(connection, identifiers, STAGE, columns);
        String changes = names.stream()
                .filter(n -> !key.contains(n))
                .map(n -> identifiers.quote(n) + " = EXCLUDED." + identifiers.quote(n))
                .collect(Collectors.joining(", "));
        this.merge = "INSERT INTO " + identifiers.quote(table) + " (" + all + ") OVERRIDING SYSTEM VALUE SELECT " + all
                + " FROM " + staged
                + " ON CONFLICT (" + identifiers.quoteAll(key) + ") DO "
                + (changes.isEmpty() ? "NOTHING" : "UPDATE SET " + changes);
        this.clear = "TRUNCATE TABLE " + staged;
    }

    @Override
    public void write(RowBuffer rows, int from, int to) throws SQLException {
        stage.write(rows, from, to);
        Query.execute(connection, merge, clear);
    }
}
