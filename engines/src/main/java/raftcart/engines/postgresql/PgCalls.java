package raftcart.engines.postgresql;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
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

/** Calls of routines; what a procedure gives comes as a row of its call (PostgreSQL manual, "CALL"). */
final class PgCalls {
    private PgCalls() {}

    static List<ResultRows> call(Connection connection, Identifiers identifiers, RoutineCall call) throws SQLException {
        List<Slot> slots = call.procedure() ? call.slots() : call.inputs();
        String sql = (call.procedure() ? "CALL " : "SELECT * FROM ")
                + call.path().stream().map(identifiers::quote).collect(Collectors.joining("."))
                + "(" + String.join(", ", Collections.nCopies(slots.size(), "?")) + ")";
        try (PreparedStatement statement = connection.prepareStatement(sql)) {
            statement.setQueryTimeout(call.seconds());
            for (int i = 0; i < slots.size(); i++) {
                bind(statement, i + 1, slots.get(i).value());
            }
            if (!statement.execute()) {
                return List.of();
            }
            try (ResultSet result = statement.getResultSet()) {
                String type = result.getMetaData().getColumnTypeName(1);
                ResultRows rows = ResultRows.read(result);
                return type.equals("refcursor")
                        ? fetched(connection, identifiers, rows)
                        : List.of(type.equals("void") ? valueless(rows) : rows);
            }
        }
    }

    /** The rows of each cursor that a function hands to its caller. */
    private static List<ResultRows> fetched(Connection connection, Identifiers identifiers, ResultRows cursors)
            throws SQLException {
        List<ResultRows> all = new ArrayList<>();
        try (Statement statement = connection.createStatement()) {
            for (List<Optional<String>> cursor : cursors.rows()) {
                String name = identifiers.quote(cursor.get(0).orElseThrow());
                try (ResultSet rows = statement.executeQuery("FETCH ALL IN " + name)) {
                    all.add(ResultRows.read(rows));
                }
            }
        }
        return all;
    }

    /** Without a type, so that the parameter's counts. */
    private static void bind(PreparedStatement statement, int place, Optional<String> value) throws SQLException {
        if (value.isPresent()) {
            statement.setObject(place, value.get(), Types.OTHER);
        } else {
            statement.setNull(place, Types.OTHER);
        }
    }

    /** Nothing is an empty text here and NULL elsewhere. */
    private static ResultRows valueless(ResultRows rows) {
        List<List<Optional<String>>> none = new ArrayList<>();
        rows.rows().forEach(r -> none.add(List.of(Optional.empty())));
        return new ResultRows(rows.columns(), rows.numbers(), none);
    }
}
