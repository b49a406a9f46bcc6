package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;

/** Reads GRANT and REVOKE of rights on objects; rights on the whole system are for a person. */
final class GrantParser {
    private final Parsing parsing;
    private final TokenCursor cursor;

    GrantParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    Statement grant() {
        Span span = cursor.peek().span();
        boolean revoke = cursor.take().isWord("REVOKE");
        Optional<Statement> members = new RoleParser(parsing).members(revoke, span);
        if (members.isPresent()) {
            return members.get();
        }
        cursor.takeWords("GRANT", "OPTION", "FOR");
        List<String> privileges = parsing.list(this::privilege);
        if (!cursor.takeWords("ON")) {
            StatementParser.skipStatement(cursor);
            return new Statement.NotTranslated((revoke ? "REVOKE" : "GRANT") + " of rights on the system", false, span);
        }
        String kind = "";
        if (cursor.peek(1).isName()
                || cursor.peek(1).isSymbol(":")
                || cursor.peek(1).isSymbol("::")) {
            if (cursor.peek().isAnyWord(ClauseWords.GRANTED_KINDS)) {
                kind = cursor.take().value().toUpperCase(Locale.ROOT);
                cursor.takeSymbol("::");
            }
        }
        Optional<QualifiedName> schema = allTables(kind);
        if (schema.isPresent()) {
            return rest(revoke, privileges, DdlStatement.Grant.ALL_TABLES, List.of(schema.get()), span);
        }
        if (kind.matches("ALL|FUNCTION|PROCEDURE|LANGUAGE|TYPE|DOMAIN|PACKAGE|TABLESPACE|WAREHOUSE|DIRECTORY|DATABASE")
                || cursor.peek().isSymbol("*")
                || cursor.peek(1).isSymbol(".") && cursor.peek(2).isSymbol("*")) {
            StatementParser.skipStatement(cursor);
            return new Statement.NotTranslated((revoke ? "REVOKE" : "GRANT") + " on other than tables", false, span);
        }
        if (cursor.atWords("LARGE", "OBJECT")) {
            StatementParser.skipStatement(cursor);
            return new Statement.NotTranslated((revoke ? "REVOKE" : "GRANT") + " on other than tables", false, span);
        }
        List<QualifiedName> objects = parsing.list(parsing::qualifiedName);
        String plain = kind.matches("TABLE|OBJECT|VIEW") ? "" : kind;
        return rest(revoke, privileges, plain, objects, span);
    }

    /** The schema all of whose tables are meant, as {@code schema.*} or in words; that of the session for {@code *}. */
    private Optional<QualifiedName> allTables(String kind) {
        if (kind.equals("ALL") && cursor.takeWords("TABLES", "IN", "SCHEMA")) {
            return Optional.of(parsing.qualifiedName());
        }
        boolean session =
                kind.isEmpty() && cursor.peek().isSymbol("*") && cursor.peek(1).isAnyWord("TO", "FROM");
        if (session) {
            cursor.take();
            return Optional.of(new QualifiedName(List.of()));
        }
        boolean star = kind.isEmpty()
                && cursor.peek().isName()
                && cursor.peek(1).isSymbol(".")
                && cursor.peek(2).isSymbol("*");
        if (!star) {
            return Optional.empty();
        }
        QualifiedName schema = new QualifiedName(List.of(parsing.name()));
        cursor.take();
        cursor.take();
        return Optional.of(schema);
    }

    private Statement rest(
            boolean revoke, List<String> privileges, String kind, List<QualifiedName> objects, Span span) {
        if (!cursor.takeWords(revoke ? "FROM" : "TO")) {
            throw cursor.unexpected(revoke ? "FROM" : "TO");
        }
        List<String> grantees = parsing.list(this::grantee);
        if (cursor.peek().isAnyWord("IDENTIFIED", "REQUIRE")) {
            throw cursor.byHand("a grant with a password");
        }
        boolean withGrant = cursor.takeWords("WITH", "GRANT", "OPTION");
        cursor.takeAny("CASCADE", "RESTRICT");
        cursor.takeWords("CONSTRAINTS");
        if (cursor.takeWords("GRANTED", "BY") || cursor.takeWords("AS")) {
            cursor.take();
        }
        return new DdlStatement.Grant(revoke, privileges, kind, objects, grantees, withGrant, span);
    }

    private String privilege() {
        StringBuilder text = new StringBuilder();
        while (!cursor.atEnd()
                && !cursor.peek().isAnyWord("ON", "TO", "FROM")
                && !cursor.peek().isSymbol(",")) {
            if (cursor.peek().isSymbol("(")) {
                List<String> columns = new ArrayList<>();
                parsing.namesInParentheses().forEach(n -> columns.add(n.text()));
                text.append(" (").append(String.join(", ", columns)).append(')');
            } else {
                text.append(text.isEmpty() ? "" : " ")
                        .append(cursor.take().text().toUpperCase(Locale.ROOT));
            }
        }
        return text.toString();
    }

    String grantee() {
        cursor.takeAny("USER", "GROUP", "ROLE");
        String text = parsing.name().text();
        if (!cursor.peek().text().startsWith("@")) {
            return text;
        }
        String host = cursor.take().text().substring(1);
        return text + "@" + (host.isEmpty() ? parsing.name().text() : host.replaceAll("['\"`]", ""));
    }
}
