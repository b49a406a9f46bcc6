package raftcart.engine;

import java.sql.DatabaseMetaData;
import java.sql.SQLException;

/** Patterns in which the metadata of JDBC take names. */
final class SearchPattern {
    private SearchPattern() {}

    /** The pattern that this name alone meets. */
    static String of(DatabaseMetaData metadata, String name) throws SQLException {
        String escape = metadata.getSearchStringEscape();
        return name.replace(escape, escape + escape).replace("_", escape + "_").replace("%", escape + "%");
    }
}
