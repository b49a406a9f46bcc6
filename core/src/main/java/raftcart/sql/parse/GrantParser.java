package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;

/** Reads GRANT and REVOKE of rights on objects; roles and rights of the whole system are for a person. */
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
        cursor.takeWords("GRANT", "OPTION", "FOR");
        List<String> privileges = parsing.list(this::privilege);
        if (!cursor.takeWords("ON")) {
            StatementParser.skipStatement(cursor);
            return new Statement.NotTranslated(
                    (revoke ? "REVOKE" : "GRANT") + " of roles or system rights", false, span);
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
        if (kind.matches("ALL|FUNCTION|PROCEDURE|LANGUAGE|TYPE|DOMAIN|PACKAGE|TABLESPACE|WAREHOUSE|DIRECTORY|DATABASE")
                || cursor.peek().isSymbol("*")
                || cursor.peek(1).isSymbol(".") && cursor.peek(2).isSymbol("*")) {
            StatementParser.skipStatement(cursor);
            return new Statement.NotTranslated((revoke ? "REVOKE" : "GRANT") + " on other than tables", false, span);
        }
        List<QualifiedName> objects = parsing.list(parsing::qualifiedName);
        if (!cursor.takeWords(revoke ? "FROM" : "TO")) {
            throw cursor.unexpected(revoke ? "FROM" : "TO");
        }
        List<String> grantees = parsing.list(this::grantee);
        boolean withGrant = cursor.takeWords("WITH", "GRANT", "OPTION");
        cursor.takeAny("CASCADE", "RESTRICT");
        cursor.takeWords("CONSTRAINTS");
        if (cursor.takeWords("GRANTED", "BY") || cursor.takeWords("AS")) {
            cursor.take();
        }
        String plain = kind.matches("TABLE|OBJECT|VIEW") ? "" : kind;
        return new DdlStatement.Grant(revoke, privileges, plain, objects, grantees, withGrant, span);
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

    private String grantee() {
        cursor.takeAny("USER", "GROUP", "ROLE");
        String text = parsing.name().text();
        if (cursor.peek().text().startsWith("@")) {
            throw cursor.byHand("a grantee with a host");
        }
        return text;
    }
}
