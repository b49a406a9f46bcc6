package raftcart.engines.mariadb;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import raftcart.catalog.Partitioning;
import raftcart.engines.jdbc.Query;

/** Reads how tables are partitioned ("Information Schema PARTITIONS Table"). */
final class MariaDbPartitions {
    private static final Pattern COUNTED = Pattern.compile("(LINEAR )?(HASH|KEY) ");

    private final Connection connection;
    private final String schema;

    MariaDbPartitions(Connection connection, String schema) {
        this.connection = connection;
        this.schema = schema;
    }

    /** A row of the table: one part, or one part of a part. */
    private record Listed(String table, String scheme, Partitioning.Partition partition) {}

    /** By table. */
    Map<String, Partitioning> read() throws SQLException {
        List<Listed> listed = Query.list(
                connection,
                "SELECT TABLE_NAME, PARTITION_NAME, PARTITION_METHOD, PARTITION_EXPRESSION, PARTITION_DESCRIPTION,"
                        + " SUBPARTITION_METHOD, SUBPARTITION_EXPRESSION FROM information_schema.PARTITIONS"
                        + " WHERE TABLE_SCHEMA = ? AND PARTITION_NAME IS NOT NULL"
                        + " ORDER BY TABLE_NAME, PARTITION_ORDINAL_POSITION, SUBPARTITION_ORDINAL_POSITION",
                MariaDbPartitions::listed,
                schema);
        Map<String, List<Listed>> byTable = new LinkedHashMap<>();
        listed.forEach(
                l -> byTable.computeIfAbsent(l.table(), t -> new ArrayList<>()).add(l));
        Map<String, Partitioning> all = new LinkedHashMap<>();
        byTable.forEach((table, parts) -> all.put(table, partitioning(parts)));
        return all;
    }

    private static Listed listed(ResultSet row) throws SQLException {
        String method = row.getString("PARTITION_METHOD");
        String expression = Query.orEmpty(row, "PARTITION_EXPRESSION");
        String scheme = method + " (" + expression + ")";
        String inner = row.getString("SUBPARTITION_METHOD");
        if (inner != null) {
            scheme += " SUBPARTITION BY " + inner + " (" + Query.orEmpty(row, "SUBPARTITION_EXPRESSION") + ")";
        }
        String description = Query.orEmpty(row, "PARTITION_DESCRIPTION");
        return new Listed(
                row.getString("TABLE_NAME"),
                scheme,
                new Partitioning.Partition(row.getString("PARTITION_NAME"), bounds(method, description)));
    }

    private static String bounds(String method, String description) {
        if (method.startsWith("RANGE")) {
            return "VALUES LESS THAN " + (description.equals("MAXVALUE") ? description : "(" + description + ")");
        }
        if (method.startsWith("LIST")) {
            // The server calls the part for all other values so, too.
            return description.equals("MAXVALUE") ? "DEFAULT" : "VALUES IN (" + description + ")";
        }
        return description;
    }

    private static Partitioning partitioning(List<Listed> parts) {
        List<Partitioning.Partition> distinct =
                parts.stream().map(Listed::partition).distinct().toList();
        String scheme = parts.get(0).scheme();
        boolean counted = COUNTED.matcher(scheme).lookingAt();
        return counted
                ? new Partitioning(scheme + " PARTITIONS " + distinct.size(), List.of())
                : new Partitioning(scheme, distinct);
    }
}
