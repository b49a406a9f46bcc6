package raftcart.engines.mariadb;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.catalog.CheckConstraint;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Identifiers;
import raftcart.engines.jdbc.Query;

/**
 * Reads periods of time that applications keep ("Application-Time Periods"). No table of information_schema has them in the
 * versions that we know; each has a check that tells in which tables to look.
 */
final class MariaDbPeriods {
    private static final Pattern CHECK = Pattern.compile("`[^`]+` < `[^`]+`");
    private static final Pattern PERIOD = Pattern.compile("(?m)^\\s*(PERIOD FOR `(?!SYSTEM_TIME`).*?),?$");
    private static final Pattern KEY = Pattern.compile("(?m)^\\s*((?:UNIQUE|PRIMARY) KEY .*WITHOUT OVERLAPS\\)),?$");

    private final Map<String, List<String>> clauses = new HashMap<>();

    void read(Connection connection, String schema, Identifiers identifiers, Map<String, List<CheckConstraint>> checks)
            throws SQLException {
        for (Map.Entry<String, List<CheckConstraint>> entry : checks.entrySet()) {
            boolean may = entry.getValue().stream()
                    .anyMatch(c -> CHECK.matcher(c.expression()).matches());
            if (may) {
                String table = identifiers.quote(new ObjectName(schema, entry.getKey()));
                Query.list(
                        connection,
                        "SHOW CREATE TABLE " + table,
                        row -> clauses.put(entry.getKey(), clauses(row.getString(2))));
            }
        }
    }

    private static List<String> clauses(String text) {
        List<String> clauses = new ArrayList<>();
        for (Pattern pattern : List.of(PERIOD, KEY)) {
            Matcher matcher = pattern.matcher(text);
            while (matcher.find()) {
                clauses.add(matcher.group(1).replace("`", ""));
            }
        }
        clauses.sort(null);
        return clauses;
    }

    List<String> of(String table) {
        return clauses.getOrDefault(table, List.of());
    }
}
