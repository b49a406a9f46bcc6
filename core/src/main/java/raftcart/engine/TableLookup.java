package raftcart.engine;

import java.sql.DatabaseMetaData;
import java.sql.ResultSet;
import java.sql.SQLException;
import raftcart.catalog.ObjectName;
import raftcart.dialect.SqlFeature;

/** Looks for single tables without reading a whole catalog. */
public final class TableLookup {
    private TableLookup() {}

    /** True where the session sees a table (or view) of exactly this name. */
    public static boolean exists(EngineSession session, ObjectName table) throws SQLException {
        boolean inSchema = !session.engine().dialect().has(SqlFeature.DATABASES_ARE_SCHEMAS);
        DatabaseMetaData metadata = session.connection().getMetaData();
        String pattern = SearchPattern.of(metadata, table.name());
        try (ResultSet tables =
                metadata.getTables(inSchema ? null : table.schema(), inSchema ? table.schema() : null, pattern, null)) {
            while (tables.next()) {
                if (tables.getString("TABLE_NAME").equals(table.name())) {
                    return true;
                }
            }
        }
        return false;
    }
}
