package raftcart.engines.mariadb;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import raftcart.catalog.CodeObject;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Dialect;
import raftcart.engines.jdbc.Query;

/** Reads the source text of views, routines, triggers and events, and the grants on the database. */
final class MariaDbCodeReader {
    private static final Logger LOG = LoggerFactory.getLogger(MariaDbCodeReader.class);

    /** "ER_SP_DOES_NOT_EXIST", which SHOW CREATE also gives for what the account may not see. */
    private static final int NOT_SHOWN = 1305;

    private final Connection connection;
    private final Dialect dialect;
    private final String schema;
    private final Set<String> roles;
    private final List<CodeObject> objects = new ArrayList<>();

    /** @param roles the roles that were told with other databases and are not told again; this one adds its own */
    MariaDbCodeReader(Connection connection, Dialect dialect, String schema, Set<String> roles) {
        this.connection = connection;
        this.dialect = dialect;
        this.schema = schema;
        this.roles = roles;
    }

    List<CodeObject> read() throws SQLException {
        views();
        show(
                ObjectKind.FUNCTION,
                "SELECT ROUTINE_NAME FROM information_schema.ROUTINES WHERE ROUTINE_SCHEMA = ?"
                        + " AND ROUTINE_TYPE = 'FUNCTION' ORDER BY 1",
                "SHOW CREATE FUNCTION ",
                "Create Function");
        show(
                ObjectKind.PROCEDURE,
                "SELECT ROUTINE_NAME FROM information_schema.ROUTINES WHERE ROUTINE_SCHEMA = ?"
                        + " AND ROUTINE_TYPE = 'PROCEDURE' ORDER BY 1",
                "SHOW CREATE PROCEDURE ",
                "Create Procedure");
        show(
                ObjectKind.PACKAGE,
                "SELECT ROUTINE_NAME FROM information_schema.ROUTINES WHERE ROUTINE_SCHEMA = ?"
                        + " AND ROUTINE_TYPE = 'PACKAGE' ORDER BY 1",
                "SHOW CREATE PACKAGE ",
                "Create Package");
        show(
                ObjectKind.PACKAGE,
                "SELECT ROUTINE_NAME FROM information_schema.ROUTINES WHERE ROUTINE_SCHEMA = ?"
                        + " AND ROUTINE_TYPE = 'PACKAGE BODY' ORDER BY 1",
                "SHOW CREATE PACKAGE BODY ",
                "Create Package Body");
        show(
                ObjectKind.TRIGGER,
                "SELECT TRIGGER_NAME FROM information_schema.TRIGGERS WHERE TRIGGER_SCHEMA = ? ORDER BY 1",
                "SHOW CREATE TRIGGER ",
                "SQL Original Statement");
        show(
                ObjectKind.EVENT,
                "SELECT EVENT_NAME FROM information_schema.EVENTS WHERE EVENT_SCHEMA = ? ORDER BY 1",
                "SHOW CREATE EVENT ",
                "Create Event");
        comment();
        grants();
        return objects;
    }

    /** All views at once, put together as SHOW CREATE VIEW does it one by one. */
    private void views() throws SQLException {
        objects.addAll(Query.list(
                connection,
                "SELECT * FROM information_schema.VIEWS WHERE TABLE_SCHEMA = ? ORDER BY TABLE_NAME",
                row -> {
                    ObjectName name = new ObjectName(schema, row.getString("TABLE_NAME"));
                    String query = Query.orEmpty(row, "VIEW_DEFINITION");
                    String check = row.getString("CHECK_OPTION");
                    String text = "CREATE ALGORITHM=" + row.getString("ALGORITHM") + " DEFINER="
                            + definer(row.getString("DEFINER")) + " SQL SECURITY " + row.getString("SECURITY_TYPE")
                            + " VIEW " + dialect.identifiers().quote(name) + " AS " + query
                            + ("NONE".equals(check) ? "" : " WITH " + check + " CHECK OPTION");
                    return new CodeObject(ObjectKind.VIEW, name, query.isEmpty() ? unread(ObjectKind.VIEW) : text);
                },
                schema));
    }

    private String definer(String account) {
        int at = account.lastIndexOf('@');
        return dialect.identifiers().quote(account.substring(0, at)) + "@"
                + dialect.identifiers().quote(account.substring(at + 1));
    }

    private static String unread(ObjectKind kind) {
        return "-- the account may not read the source of this " + kind.word();
    }

    private void show(ObjectKind kind, String names, String show, String column) throws SQLException {
        for (String name : Query.list(connection, names, row -> row.getString(1), schema)) {
            ObjectName qualified = new ObjectName(schema, name);
            List<CodeObject> shown = shown(kind, qualified, show, column);
            boolean read = !shown.isEmpty() && !shown.get(0).source().isEmpty();
            objects.add(read ? shown.get(0) : new CodeObject(kind, qualified, unread(kind)));
        }
    }

    /** An object as the server shows it; none where it was dropped meanwhile, or may be listed but not shown. */
    private List<CodeObject> shown(ObjectKind kind, ObjectName name, String show, String column) throws SQLException {
        try {
            return Query.list(
                    connection,
                    show + dialect.identifiers().quote(name),
                    row -> new CodeObject(
                            kind, name, Query.orEmpty(row, column), mode(Query.orEmpty(row, "sql_mode"))));
        } catch (SQLException e) {
            if (e.getErrorCode() == NOT_SHOWN) {
                return List.of();
            }
            throw e;
        }
    }

    private String mode(String settings) {
        return dialect.language().grammar().calls().mode(List.of(settings.split(",")));
    }

    /** Grants on the database and its tables; those on everything belong to the server, not to the database. */
    private void grants() throws SQLException {
        record Grant(String grantee, String object, String privileges, boolean passedOn) {}
        List<Grant> grants = Query.list(
                connection,
                "SELECT GRANTEE, '*' AS OBJECT, GROUP_CONCAT(PRIVILEGE_TYPE ORDER BY PRIVILEGE_TYPE SEPARATOR ', ')"
                        + " AS PRIVILEGES, IS_GRANTABLE FROM information_schema.SCHEMA_PRIVILEGES WHERE TABLE_SCHEMA = ?"
                        + " GROUP BY GRANTEE, IS_GRANTABLE UNION ALL SELECT GRANTEE, TABLE_NAME, GROUP_CONCAT(PRIVILEGE_TYPE ORDER BY"
                        + " PRIVILEGE_TYPE SEPARATOR ', '), IS_GRANTABLE FROM information_schema.TABLE_PRIVILEGES"
                        + " WHERE TABLE_SCHEMA = ? GROUP BY GRANTEE, TABLE_NAME, IS_GRANTABLE UNION ALL SELECT GRANTEE, TABLE_NAME,"
                        + " GROUP_CONCAT(PRIVILEGE ORDER BY PRIVILEGE SEPARATOR ', '), IS_GRANTABLE FROM (SELECT GRANTEE, TABLE_NAME, IS_GRANTABLE,"
                        + " CONCAT(PRIVILEGE_TYPE, ' (', GROUP_CONCAT('`', REPLACE(COLUMN_NAME, '`', '``'), '`'"
                        + " SEPARATOR ', '), ')') AS PRIVILEGE FROM information_schema.COLUMN_PRIVILEGES"
                        + " WHERE TABLE_SCHEMA = ? GROUP BY GRANTEE, TABLE_NAME, PRIVILEGE_TYPE, IS_GRANTABLE) OF_COLUMNS"
                        + " GROUP BY GRANTEE, TABLE_NAME, IS_GRANTABLE ORDER BY 1, 2, 3",
                row -> new Grant(
                        row.getString(1),
                        row.getString(2),
                        row.getString(3),
                        row.getString(4).equals("YES")),
                schema,
                schema,
                schema);
        for (Grant grant : grants) {
            String object =
                    grant.object().equals("*") ? "*" : dialect.identifiers().quote(grant.object());
            String columns = grant.privileges().contains("(") ? "columns of " : "";
            String name = (grant.grantee() + " on " + columns + grant.object())
                    .toLowerCase(Locale.ROOT)
                    .replace("'", "");
            objects.add(new CodeObject(
                    ObjectKind.GRANT,
                    new ObjectName(schema, name),
                    "GRANT " + grant.privileges() + " ON "
                            + dialect.identifiers().quote(schema) + "." + object + " TO " + grant.grantee()
                            + (grant.passedOn() ? " WITH GRANT OPTION;" : ";")));
        }
        grantsOnRoutines();
        roles(grants.stream().map(Grant::grantee).distinct().toList());
    }

    private void grantsOnRoutines() {
        try {
            objects.addAll(Query.list(
                    connection,
                    "SELECT User, Host, Routine_name, Routine_type, Proc_priv FROM mysql.procs_priv WHERE Db = ?"
                            + " AND CONCAT(User, '@', Host) <> Grantor ORDER BY 1, 2, 3, 4",
                    row -> {
                        String routine = row.getString("Routine_name");
                        String who =
                                "'" + row.getString("User").replace("'", "''") + "'@'" + row.getString("Host") + "'";
                        return new CodeObject(
                                ObjectKind.GRANT,
                                new ObjectName(schema, (who + " on " + routine).replace("'", "")),
                                "GRANT " + row.getString("Proc_priv") + " ON " + row.getString("Routine_type") + " "
                                        + dialect.identifiers().quote(new ObjectName(schema, routine)) + " TO " + who
                                        + ";");
                    },
                    schema));
        } catch (SQLException e) {
            LOG.info(
                    "rights on routines are not listed, since the account may not read mysql.procs_priv: {}",
                    e.getMessage());
        }
    }

    private void comment() throws SQLException {
        objects.addAll(Query.list(
                connection,
                "SELECT SCHEMA_COMMENT FROM information_schema.SCHEMATA WHERE SCHEMA_NAME = ? AND SCHEMA_COMMENT <> ''",
                row -> new CodeObject(
                        ObjectKind.COMMENT,
                        new ObjectName(schema, "database"),
                        "ALTER DATABASE " + dialect.identifiers().quote(schema) + " COMMENT '"
                                + row.getString(1).replace("'", "''") + "';"),
                schema));
    }

    /** Who is in a role, but for those who are because they made it. */
    private void members(String role) throws SQLException {
        objects.addAll(Query.list(
                connection,
                "SELECT User, Host, Admin_option FROM mysql.roles_mapping WHERE Role = ?"
                        + " AND User <> SUBSTRING_INDEX(USER(), '@', 1) AND User <> 'root' ORDER BY 1, 2",
                row -> {
                    String host = row.getString("Host").isEmpty()
                            ? ""
                            : "@'" + row.getString("Host").replace("'", "''") + "'";
                    String admin = row.getString("Admin_option").equals("Y") ? " WITH ADMIN OPTION" : "";
                    return new CodeObject(
                            ObjectKind.GRANT,
                            new ObjectName(schema, row.getString("User") + " in " + role),
                            "GRANT " + dialect.identifiers().quote(role) + " TO "
                                    + dialect.identifiers().quote(row.getString("User")) + host + admin + ";");
                },
                role));
    }

    private void roles(List<String> grantees) {
        try {
            for (String role : Query.list(
                    connection,
                    "SELECT User FROM mysql.user WHERE is_role = 'Y' AND User <> 'PUBLIC' ORDER BY 1",
                    row -> row.getString(1))) {
                boolean granted = grantees.contains("'" + role + "'@''") || grantees.contains("'" + role + "'");
                if (granted && roles.add(role)) {
                    objects.add(new CodeObject(
                            ObjectKind.ROLE,
                            new ObjectName("", role),
                            "CREATE ROLE " + dialect.identifiers().quote(role) + ";"));
                    members(role);
                }
            }
        } catch (SQLException e) {
            LOG.info("roles are not listed, since the account may not read mysql.user: {}", e.getMessage());
        }
    }
}
