package raftcart.move;

import java.math.BigInteger;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import raftcart.catalog.Column;
import raftcart.catalog.Identity;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Table;
import raftcart.dialect.Dialect;
import raftcart.engine.EngineSession;
import raftcart.translate.ColumnMapping;
import raftcart.translate.SequenceMapping;
import raftcart.translate.TableMapping;

/** Sets identity columns and sequences so that the target's next row gets a number that no row has yet. */
public final class Counters {
    private final EngineSession target;
    private final Dialect dialect;

    public Counters(EngineSession target) {
        this.target = target;
        this.dialect = target.engine().dialect();
    }

    /**
     * Sets the identity columns past the highest number loaded, and past what the source would have given next.
     *
     * @return what could not be set, such as a counter at the end of its range
     */
    public List<String> setIdentities(List<TableMapping> tables, Map<ObjectName, Table> sourceNow) throws SQLException {
        List<String> failures = new ArrayList<>();
        for (TableMapping mapping : tables) {
            for (ColumnMapping columns : mapping.columns()) {
                Column column = columns.target();
                if (column.identity().isPresent()) {
                    Identity identity = sourceNow
                            .get(mapping.source().name())
                            .column(columns.source().name())
                            .flatMap(Column::identity)
                            .orElse(column.identity().get());
                    BigInteger next = next(mapping.target(), column, identity);
                    set(
                            dialect.ddl().setIdentity(mapping.target().name(), column, next),
                            "counter of " + mapping.target().name() + "." + column.name() + " to " + next,
                            failures);
                }
            }
        }
        return failures;
    }

    private void set(String sql, String what, List<String> failures) throws SQLException {
        try {
            execute(sql);
            target.connection().commit();
        } catch (SQLException e) {
            target.connection().rollback();
            failures.add(what + ": " + e.getMessage());
        }
    }

    private BigInteger next(Table table, Column column, Identity identity) throws SQLException {
        boolean upwards = identity.increment() > 0;
        String quoted = dialect.identifiers().quote(column.name());
        String sql = "SELECT " + (upwards ? "MAX(" : "MIN(") + quoted + ") FROM "
                + dialect.identifiers().quote(table.name());
        try (Statement statement = target.connection().createStatement();
                ResultSet rows = statement.executeQuery(sql)) {
            rows.next();
            if (rows.getBigDecimal(1) == null) {
                return identity.next();
            }
            BigInteger after = rows.getBigDecimal(1).toBigInteger().add(BigInteger.valueOf(identity.increment()));
            return upwards ? after.max(identity.next()) : after.min(identity.next());
        }
    }

    /**
     * Sets sequences to the value that the source would give next; the target knows best where those stand that have none.
     *
     * @return what could not be set
     */
    public List<String> setSequences(List<SequenceMapping> sequences, Map<ObjectName, BigInteger> next)
            throws SQLException {
        List<String> failures = new ArrayList<>();
        for (SequenceMapping sequence : sequences) {
            BigInteger number = next.get(sequence.source().name());
            if (number != null) {
                set(
                        dialect.ddl().setSequence(sequence.target(), number),
                        "sequence " + sequence.target() + " to " + number,
                        failures);
            }
        }
        return failures;
    }

    private void execute(String sql) throws SQLException {
        try (Statement statement = target.connection().createStatement()) {
            statement.execute(sql);
        }
    }
}
