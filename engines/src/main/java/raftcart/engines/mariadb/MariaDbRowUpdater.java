package raftcart.engines.mariadb;

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

/**
 * Loads rows into a temporary table of the session; those whose key is there change its row, the others are added. ON
 * DUPLICATE KEY UPDATE would not do, as it changes rows by any unique key.
 */
final class MariaDbRowUpdater implements RowWriter {
    private static final String STAGE = "raftcart_rows";

    private final Connection connection;
    private final RowWriter stage;
    private final List<String> merge;

    MariaDbRowUpdater(
            Connection connection,
            Identifiers identifiers,
            ObjectName table,
            List<TransferColumn> columns,
            List<String> key)
            throws SQLException {
        this.connection = connection;
        List<String> names = columns.stream().map(c -> c.column().name()).toList();
        String all = identifiers.quoteAll(names);
        String there = identifiers.quote(table);
        ObjectName staged = new ObjectName(table.schema(), STAGE);
        String rows = identifiers.quote(staged);
        Query.execute(
                connection,
                "CREATE OR REPLACE TEMPORARY TABLE " + rows + " AS SELECT " + all + " FROM " + there + " LIMIT 0");
        this.stage = new MariaDbRowWriter(connection, identifiers, staged, columns);
        String join = key.stream()
                .map(k -> "t." + identifiers.quote(k) + " = s." + identifiers.quote(k))
                .collect(Collectors.joining(" AND "));
        String changes = names.stream()
                .filter(n -> !key.contains(n))
                .map(n -> "t." + identifiers.quote(n) + " = s." + identifiers.quote(n))
                .collect(Collectors.joining(", "));
        String values = names.stream().map(n -> "s." + identifiers.quote(n)).collect(Collectors.joining(", "));
        String update = "UPDATE " + there + " t JOIN " + rows + " s ON " + join + " SET " + changes;
        String insert = "INSERT INTO " + there + " (" + all + ") SELECT " + values + " FROM " + rows + " s LEFT JOIN "
                + there + " t ON " + join + " WHERE t." + identifiers.quote(key.get(0)) + " IS NULL";
        String clear = "DELETE FROM " + rows;
        this.merge = changes.isEmpty() ? List.of(insert, clear) : List.of(update, insert, clear);
    }

    @Override
    public void write(RowBuffer rows, int from, int to) throws SQLException {
        stage.write(rows, from, to);
        Query.execute(connection, merge.toArray(String[]::new));
    }
}
