package raftcart.sql.parse;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Statement;

/** Reads roles and who is a member of them; users, passwords and what else a role may do are for a person. */
final class RoleParser {
    /** What says that a role may do nothing by itself, and is the default. */
    private static final String[] HARMLESS = {
        "NOLOGIN", "NOSUPERUSER", "INHERIT", "NOCREATEDB", "NOCREATEROLE", "NOREPLICATION", "NOBYPASSRLS", "WITH"
    };

    /** Rights on a whole database or server, and roles that an engine brings with it. */
    private static final Set<String> OF_SYSTEM = Set.of(
            "all",
            "select",
            "insert",
            "update",
            "delete",
            "execute",
            "references",
            "connect",
            "resource",
            "dba",
            "super",
            "process",
            "reload",
            "file",
            "usage",
            "proxy",
            "create",
            "drop",
            "alter",
            "shutdown",
            "event",
            "trigger",
            "control",
            "authenticate",
            "showplan",
            "dbadm",
            "secadm",
            "dataaccess",
            "accessctrl",
            "load",
            "bindadd",
            "createtab");

    /** Names of roles that PostgreSQL, SQL Server and Oracle bring with them. */
    private static final Pattern BROUGHT_ALONG = Pattern.compile(
            "(?i)(pg|db|rds)_\\w+|\\w+_catalog_role|(exp|imp|datapump_\\w+)_full_database|(sys|server|security|process|setup|disk|bulk)admin|dbcreator");

    private final Parsing parsing;
    private final TokenCursor cursor;

    RoleParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    private static boolean isOfSystem(String role) {
        return OF_SYSTEM.contains(role.toLowerCase(Locale.ROOT))
                || BROUGHT_ALONG.matcher(role).matches();
    }

    /** What follows CREATE. */
    Statement create(Span span) {
        if (!cursor.takeWords("GROUP")) {
            cursor.expectWords("ROLE");
        }
        boolean ifNotExists = cursor.takeWords("IF", "NOT", "EXISTS");
        Name name = parsing.name();
        while (cursor.takeAny(HARMLESS) || cursor.takeWords("NOT", "IDENTIFIED")) {
            continue;
        }
        if (cursor.takeWords("AUTHORIZATION")) {
            parsing.name();
        }
        if (!cursor.atEnd() && !cursor.peek().isSymbol(";") && !Keywords.startsStatement(cursor.peek())) {
            StatementParser.skipStatement(cursor);
            return new Statement.NotTranslated("a role that may log on, or do more than hold rights", false, span);
        }
        return new DdlStatement.CreateRole(name, ifNotExists, span);
    }

    /** What follows GRANT or REVOKE, if it is no more than names of roles; otherwise takes nothing. */
    Optional<Statement> members(boolean revoke, Span span) {
        int mark = cursor.mark();
        boolean admin = revoke && cursor.takeWords("ADMIN", "OPTION", "FOR");
        cursor.takeWords("ROLE");
        boolean names = true;
        for (int i = 0; names; i += 2) {
            Token name = cursor.peek(i);
            Token after = cursor.peek(i + 1);
            names = name.isName() && !isOfSystem(name.value());
            if (names && after.isWord(revoke ? "FROM" : "TO")) {
                break;
            }
            names &= after.isSymbol(",");
        }
        if (!names || admin) {
            cursor.reset(mark);
            return Optional.empty();
        }
        List<Name> roles = parsing.list(parsing::name);
        cursor.take();
        List<String> members = parsing.list(new GrantParser(parsing)::grantee);
        boolean mayGrant = cursor.takeWords("WITH", "ADMIN", "OPTION");
        cursor.takeAny("CASCADE", "RESTRICT");
        return Optional.of(new DdlStatement.RoleMembers(revoke, roles, members, mayGrant, span));
    }

    /** T-SQL's {@code ALTER ROLE r ADD MEMBER m}, after ALTER; otherwise takes nothing. */
    Optional<Statement> altered(Span span) {
        boolean members = cursor.peek().isWord("ROLE")
                && cursor.peek(1).isName()
                && !isOfSystem(cursor.peek(1).value())
                && cursor.peek(2).isAnyWord("ADD", "DROP")
                && cursor.peek(3).isWord("MEMBER");
        if (!members) {
            return Optional.empty();
        }
        cursor.take();
        Name role = parsing.name();
        boolean revoke = cursor.take().isWord("DROP");
        cursor.take();
        return Optional.of(new DdlStatement.RoleMembers(
                revoke, List.of(role), List.of(parsing.name().text()), false, span));
    }
}
