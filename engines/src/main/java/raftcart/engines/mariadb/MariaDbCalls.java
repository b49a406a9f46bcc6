package raftcart.engines.mariadb;

import java.sql.CallableStatement;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.dialect.Identifiers;
import raftcart.engine.ResultRows;
import raftcart.engine.RoutineCall;
import raftcart.engine.RoutineCall.Slot;
import raftcart.engines.jdbc.Query;

/**
 * Calls of routines. Those of packages are found only
 * in Oracle's mode (MariaDB's manual, "Oracle mode").
 */
final class MariaDbCalls {
    private static final int IN_PACKAGE = 3;

    private MariaDbCalls() {}

    static List<ResultRows> call(Connection connection, Identifiers identifiers, RoutineCall call) throws SQLException {
        if (call.path().size() < IN_PACKAGE) {
            return run(connection, identifiers, call, call.path());
        }
        String usual = Query.text(connection, "SELECT @@sql_mode");
        Query.execute(connection, "SET sql_mode = 'ORACLE'");
        try {
            return run(connection, identifiers, call, call.path().subList(1, IN_PACKAGE));
        } finally {
            Query.list(connection, "SET sql_mode = ?", r -> "", usual);
        }
    }

    private static List<ResultRows> run(
            Connection connection, Identifiers identifiers, RoutineCall call, List<String> path) throws SQLException {
        String name = path.stream().map(identifiers::quote).collect(Collectors.joining("."));
        return call.procedure() ? procedure(connection, name, call) : function(connection, name, call);
    }

    private static List<ResultRows> function(Connection connection, String name, RoutineCall call) throws SQLException {
        List<Slot> inputs = call.inputs();
        String sql = "SELECT " + name + "(" + String.join(", ", Collections.nCopies(inputs.size(), "?")) + ")";
        try (PreparedStatement statement = connection.prepareStatement(sql)) {
            statement.setQueryTimeout(call.seconds());
            for (int i = 0; i < inputs.size(); i++) {
                statement.setString(i + 1, inputs.get(i).value().orElse(null));
            }
            try (ResultSet result = statement.executeQuery()) {
                return List.of(ResultRows.read(result));
            }
        }
    }

    private static List<ResultRows> procedure(Connection connection, String name, RoutineCall call)
            throws SQLException {
        List<Slot> slots = call.slots();
        String sql = "{CALL " + name + "(" + String.join(", ", Collections.nCopies(slots.size(), "?")) + ")}";
        try (CallableStatement statement = connection.prepareCall(sql)) {
            statement.setQueryTimeout(call.seconds());
            for (int i = 0; i < slots.size(); i++) {
                if (slots.get(i).in()) {
                    statement.setString(i + 1, slots.get(i).value().orElse(null));
                }
                if (slots.get(i).out()) {
                    statement.registerOutParameter(i + 1, Types.VARCHAR);
                }
            }
            List<ResultRows> all = new ArrayList<>();
            boolean rows = statement.execute();
            while (rows || statement.getUpdateCount() >= 0) {
                if (rows) {
                    try (ResultSet result = statement.getResultSet()) {
                        all.add(ResultRows.read(result));
                    }
                }
                rows = statement.getMoreResults();
            }
            outputs(statement, slots).ifPresent(all::add);
            return all;
        }
    }

    private static Optional<ResultRows> outputs(CallableStatement statement, List<Slot> slots) throws SQLException {
        List<Object> values = new ArrayList<>();
        List<String> texts = new ArrayList<>();
        for (int i = 0; i < slots.size(); i++) {
            if (slots.get(i).out()) {
                values.add(statement.getObject(i + 1));
                texts.add(statement.getString(i + 1));
            }
        }
        return values.isEmpty() ? Optional.empty() : Optional.of(ResultRows.ofValues(values, texts));
    }
}
