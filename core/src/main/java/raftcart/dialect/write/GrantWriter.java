package raftcart.dialect.write;

import java.util.List;
import java.util.stream.Collectors;
import raftcart.dialect.SqlFeature;
import raftcart.sql.tree.DdlStatement;

/** Writes rights given and taken. */
final class GrantWriter {
    private final DdlWriter ddl;

    GrantWriter(DdlWriter ddl) {
        this.ddl = ddl;
    }

    String statement(DdlStatement statement) {
        if (statement instanceof DdlStatement.CreateRole role) {
            return role(role);
        }
        return statement instanceof DdlStatement.RoleMembers members
                ? members(members)
                : grant((DdlStatement.Grant) statement);
    }

    private String grant(DdlStatement.Grant grant) {
        ddl.require(SqlFeature.GRANTS, "GRANT");
        if (grant.kind().equals("SCHEMA")) {
            ddl.require(SqlFeature.SCHEMA_GRANTS, "a right on a schema");
        }
        boolean all = grant.kind().equals(DdlStatement.Grant.ALL_TABLES);
        boolean byStar = all && ddl.has(SqlFeature.GRANTS_BY_STAR);
        if (all && !byStar) {
            ddl.require(SqlFeature.GRANTS_ON_ALL_TABLES, "a right on all tables of a schema");
        }
        String kind = grant.kind().isEmpty() || byStar ? "" : grant.kind() + (all ? " IN SCHEMA " : " ");
        String objects = grant.objects().stream()
                .map(o -> byStar ? (o.parts().isEmpty() ? "*" : ddl.name(o) + ".*") : ddl.name(o))
                .collect(Collectors.joining(", "));
        String people = grant.grantees().stream().map(this::grantee).collect(Collectors.joining(", "));
        return (grant.revoke() ? "REVOKE " : "GRANT ") + String.join(", ", grant.privileges()) + " ON " + kind + objects
                + (grant.revoke() ? " FROM " : " TO ") + people + (grant.withGrant() ? " WITH GRANT OPTION" : "");
    }

    private String role(DdlStatement.CreateRole role) {
        ddl.require(SqlFeature.GRANTS, "a role");
        return "CREATE ROLE " + ddl.ifNotExists(role.ifNotExists())
                + ddl.language().write(role.name());
    }

    private String members(DdlStatement.RoleMembers given) {
        ddl.require(SqlFeature.GRANTS, "a role");
        List<String> roles = given.roles().stream().map(ddl.language()::write).toList();
        List<String> members = given.members().stream().map(this::grantee).toList();
        if (ddl.has(SqlFeature.MEMBERS_BY_ALTER_ROLE)) {
            String verb = given.revoke() ? " DROP MEMBER " : " ADD MEMBER ";
            return roles.stream()
                    .flatMap(r -> members.stream().map(m -> "ALTER ROLE " + r + verb + m))
                    .collect(Collectors.joining(";\n"));
        }
        if (ddl.has(SqlFeature.MEMBERS_HAVE_KINDS)) {
            throw ddl.cannot("members of a role of which nobody says whether they are users");
        }
        return (given.revoke() ? "REVOKE " : "GRANT ")
                + (ddl.has(SqlFeature.GRANTS_NAME_ROLES) ? "ROLE " : "")
                + String.join(", ", roles)
                + (given.revoke() ? " FROM " : " TO ")
                + String.join(", ", members)
                + (given.mayGrant() ? " WITH ADMIN OPTION" : "");
    }

    private String grantee(String name) {
        int at = name.indexOf('@');
        if (at > 0 && ddl.has(SqlFeature.GRANTEES_HAVE_HOSTS)) {
            return quoted(name.substring(0, at)) + "@" + quoted(name.substring(at + 1));
        }
        return name.equalsIgnoreCase("public") ? "PUBLIC" : ddl.language().write(raftcart.sql.tree.Name.of(name));
    }

    private static String quoted(String text) {
        return "'" + text.replace("\\", "\\\\").replace("'", "''") + "'";
    }
}
