package raftcart.engines.postgresql;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import raftcart.catalog.CodeObject;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.engines.jdbc.Query;

/** The objects with a text of their own that queries of the system catalogs gave. */
final class PgObjects {
    private final Connection connection;
    private final List<CodeObject> objects = new ArrayList<>();

    PgObjects(Connection connection) {
        this.connection = connection;
    }

    /** Adds what a query gives: schema, name and source text of each, in the order of the first two. */
    void add(ObjectKind kind, String sql) throws SQLException {
        objects.addAll(Query.list(
                connection,
                sql + " ORDER BY 1, 2",
                row -> new CodeObject(kind, new ObjectName(row.getString(1), row.getString(2)), row.getString(3))));
    }

    /** The same by a query for each part of these objects, which stands behind IN. */
    void addInChunks(ObjectKind kind, String oids, UnaryOperator<String> sql) throws SQLException {
        for (String chunk : PgChunks.of(connection, oids)) {
            add(kind, sql.apply(chunk));
        }
    }

    List<CodeObject> in(String schema) {
        return objects.stream().filter(o -> o.name().schema().equals(schema)).toList();
    }
}
