package raftcart.engine;

import java.sql.DatabaseMetaData;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
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

    /**
     * A column as the driver's metadata tell it.
     *
     * @param type the engine's name of its type, in small letters
     * @param jdbcType of {@link java.sql.Types}
     * @param size characters, bytes or digits at most, 0 or very large where there is no limit
     * @param scale digits behind the point
     */
    public record Column(String name, String type, int jdbcType, int size, int scale, boolean nullable) {}

    /** The columns of a table; none where there is no such table. */
    public static List<Column> columns(EngineSession session, ObjectName table) throws SQLException {
        boolean inSchema = !session.engine().dialect().has(SqlFeature.DATABASES_ARE_SCHEMAS);
        DatabaseMetaData metadata = session.connection().getMetaData();
        List<Column> columns = new ArrayList<>();
        try (ResultSet rows = metadata.getColumns(
                inSchema ? null : table.schema(),
                inSchema ? SearchPattern.of(metadata, table.schema()) : null,
                SearchPattern.of(metadata, table.name()),
                null)) {
            while (rows.next()) {
                columns.add(new Column(
                        rows.getString("COLUMN_NAME"),
                        rows.getString("TYPE_NAME").toLowerCase(Locale.ROOT),
                        rows.getInt("DATA_TYPE"),
                        rows.getInt("COLUMN_SIZE"),
                        rows.getInt("DECIMAL_DIGITS"),
                        rows.getInt("NULLABLE") != DatabaseMetaData.columnNoNulls));
            }
        }
        return columns;
    }
}
