package raftcart.engine;

import java.sql.DatabaseMetaData;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import raftcart.catalog.ObjectName;
import raftcart.dialect.SqlFeature;
import raftcart.engine.Routine.Parameter;

/** Finds the routines of a database with their parameters, whatever their text says (JDBC, "DatabaseMetaData"). */
public final class RoutineLookup {
    private static final String ANY = "%";

    private final DatabaseMetaData metadata;
    private final boolean databases;
    private final Map<String, Routine> found = new LinkedHashMap<>();

    private RoutineLookup(EngineSession session) throws SQLException {
        this.metadata = session.connection().getMetaData();
        this.databases = session.engine().dialect().has(SqlFeature.DATABASES_ARE_SCHEMAS);
    }

    /** All routines of some schemas; two queries for each schema and kind. */
    public static List<Routine> all(EngineSession session, Collection<String> schemas) throws SQLException {
        RoutineLookup lookup = new RoutineLookup(session);
        for (String schema : schemas) {
            lookup.read(schema);
        }
        return List.copyOf(lookup.found.values());
    }

    private void read(String schema) throws SQLException {
        String catalog = databases ? schema : null;
        String pattern = databases ? null : SearchPattern.of(metadata, schema);
        try (ResultSet rows = metadata.getFunctions(catalog, pattern, ANY)) {
            routines(rows, "FUNCTION_", schema);
        }
        try (ResultSet rows = metadata.getProcedures(catalog, pattern, ANY)) {
            routines(rows, "PROCEDURE_", schema);
        }
        try (ResultSet rows = metadata.getFunctionColumns(catalog, pattern, ANY, ANY)) {
            parameters(rows, schema, false, DatabaseMetaData.functionColumnOut);
        }
        try (ResultSet rows = metadata.getProcedureColumns(catalog, pattern, ANY, ANY)) {
            parameters(rows, schema, true, DatabaseMetaData.procedureColumnOut);
        }
    }

    private void routines(ResultSet rows, String prefix, String schema) throws SQLException {
        while (rows.next()) {
            String specific = rows.getString("SPECIFIC_NAME");
            boolean procedure = prefix.startsWith("P");
            // Some drivers give the functions among the procedures once more.
            boolean again = procedure
                    && rows.getInt("PROCEDURE_TYPE") == DatabaseMetaData.procedureReturnsResult
                    && found.containsKey(key(schema, specific, false));
            if (!again && schema.equals(rows.getString(prefix + (databases ? "CAT" : "SCHEM")))) {
                ObjectName name = new ObjectName(schema, rows.getString(prefix + "NAME"));
                found.put(key(schema, specific, procedure), new Routine(name, specific, procedure, List.of()));
            }
        }
    }

    private static String key(String schema, String specific, boolean procedure) {
        return schema + "." + specific + (procedure ? " procedure" : " function");
    }

    private void parameters(ResultSet rows, String schema, boolean procedures, int outCode) throws SQLException {
        while (rows.next()) {
            String key = key(schema, rows.getString("SPECIFIC_NAME"), procedures);
            Routine routine = found.get(key);
            int kind = rows.getInt("COLUMN_TYPE");
            boolean both =
                    kind == DatabaseMetaData.procedureColumnInOut; // the same number for functions, as that of IN
            boolean in = both || kind == DatabaseMetaData.procedureColumnIn;
            boolean out = both || kind == outCode;
            if (routine != null && (in || out) && schema.equals(rows.getString(databases ? 1 : 2))) {
                String name = rows.getString("COLUMN_NAME");
                List<Parameter> more = new ArrayList<>(routine.parameters());
                more.add(new Parameter(name == null ? "" : name, rows.getString("TYPE_NAME"), in, out));
                found.put(key, new Routine(routine.name(), routine.specificName(), routine.procedure(), more));
            }
        }
    }
}
