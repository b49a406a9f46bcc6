package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;

/** Reads DROP, TRUNCATE and COMMENT. */
final class DropParser {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private boolean temporary;

    DropParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    Statement drop() {
        Span span = cursor.take().span();
        String kind = kind();
        boolean ifExists = cursor.takeWords("IF", "EXISTS");
        if (kind.matches("PROCEDURE|PROC|FUNCTION|ROUTINE|TRIGGER")) {
            return code(kind.equals("PROC") ? "PROCEDURE" : kind, ifExists, span);
        }
        if (kind.matches("PACKAGE|PACKAGE BODY|TYPE BODY|EVENT|RULE|AGGREGATE|MACRO")) {
            StatementParser.skipStatement(cursor);
            return new Statement.NotTranslated("DROP " + kind, true, span);
        }
        if (kind.equals("STATISTICS")) {
            StatementParser.skipStatement(cursor);
            return new Statement.ClientCommand("DROP STATISTICS", span);
        }
        if (!kind.matches(
                "TABLE|VIEW|MATERIALIZED VIEW|INDEX|SEQUENCE|SCHEMA|DATABASE|TYPE|DOMAIN|SYNONYM|GENERATOR|ROLE")) {
            if (kind.isEmpty()) {
                throw cursor.unexpected("the kind of object to drop");
            }
            StatementParser.skipStatement(cursor);
            return new Statement.NotTranslated("DROP " + kind, false, span);
        }
        cursor.takeWords("CONCURRENTLY");
        ifExists |= cursor.takeWords("IF", "EXISTS");
        List<QualifiedName> names = new ArrayList<>(parsing.list(parsing::qualifiedName));
        Optional<QualifiedName> table = Optional.empty();
        if (kind.equals("INDEX") && cursor.takeWords("ON")) {
            table = Optional.of(parsing.qualifiedName());
        } else if (kind.equals("INDEX")
                && parsing.has(GrammarFeature.CONVERT_TYPE_FIRST)
                && names.get(0).parts().size() > 1) {
            table = Optional.of(new QualifiedName(names.get(0).qualifier()));
            names.set(0, new QualifiedName(List.of(names.get(0).last())));
        }
        if (cursor.takeWords("IF", "EXISTS")) {
            ifExists = true;
        }
        boolean cascade = cursor.takeWords("CASCADE");
        manner();
        return new DdlStatement.Drop(
                kind.equals("GENERATOR") ? "SEQUENCE" : kind, names, ifExists, cascade, table, temporary, span);
    }

    /** Routines, perhaps with the types of their parameters, or triggers, perhaps with their table. */
    private Statement code(String kind, boolean given, Span span) {
        List<QualifiedName> names = parsing.list(() -> {
            QualifiedName name = parsing.qualifiedName();
            if (cursor.peek().isSymbol("(")) {
                parsing.skipParentheses();
            }
            return name;
        });
        boolean onDatabase = cursor.atWords("ON", "DATABASE") || cursor.atWords("ON", "ALL");
        if (onDatabase) {
            StatementParser.skipStatement(cursor);
            return new Statement.NotTranslated("DROP " + kind, true, span);
        }
        Optional<QualifiedName> table =
                cursor.takeWords("ON") ? Optional.of(parsing.qualifiedName()) : Optional.empty();
        boolean ifExists = given | cursor.takeWords("IF", "EXISTS");
        boolean cascade = cursor.takeWords("CASCADE");
        cursor.takeWords("RESTRICT");
        return new DdlStatement.Drop(kind, names, ifExists, cascade, table, span);
    }

    /** How it is dropped, which the target need not know. */
    private void manner() {
        cursor.takeAny("CONSTRAINTS", "RESTRICT");
        cursor.takeAny("PURGE", "FORCE", "NOWAIT");
        if (cursor.peek().isWord("WITH")
                && cursor.peek(1).isSymbol("(")
                && cursor.peek(2).isWord("FORCE")) {
            cursor.take();
            parsing.skipParentheses(); // others are put out of the database
        }
        if (cursor.takeWords("WAIT")) {
            cursor.take(); // how long it waits for others
        }
    }

    private String kind() {
        if (cursor.takeWords("MATERIALIZED", "VIEW")) {
            return "MATERIALIZED VIEW";
        }
        if (cursor.takeWords("PACKAGE", "BODY")) {
            return "PACKAGE BODY";
        }
        temporary = cursor.takeWords("TEMPORARY");
        cursor.takeWords("PUBLIC");
        String kind = parsing.word();
        cursor.take();
        return kind.equals("ALIAS") ? "SYNONYM" : kind.equals("TABLES") ? "TABLE" : kind;
    }

    Statement truncate() {
        Span span = cursor.take().span();
        cursor.takeWords("TABLE");
        List<String> leftOut = new ArrayList<>();
        if (cursor.takeWords("IF", "EXISTS")) {
            leftOut.add("IF EXISTS");
        }
        boolean only = cursor.peek(1).isName() && cursor.takeWords("ONLY");
        List<QualifiedName> tables = parsing.list(parsing::qualifiedName);
        boolean restart = false;
        boolean cascade = false;
        while (true) {
            if (cursor.takeWords("RESTART", "IDENTITY")) {
                restart = true;
            } else if (cursor.takeWords("AND", "COMMIT")) {
                cursor.takeWords("NO", "CHECK");
                leftOut.add("AND COMMIT");
            } else if (cursor.takeWords("CASCADE")) {
                cascade = true;
            } else if (cursor.takeWords("CONTINUE", "IDENTITY")
                    || cursor.takeAny("RESTRICT", "IMMEDIATE")
                    || only && cursor.takeSymbol("*")) {
                continue;
            } else if (cursor.peek().isAnyWord("REUSE", "DROP")
                            && cursor.peek(1).isAnyWord("STORAGE", "ALL")
                    || cursor.peek().isAnyWord("PURGE", "PRESERVE")
                            && cursor.peek(1).isAnyWord("MATERIALIZED", "SNAPSHOT")) {
                leftOut.add(cursor.take().text() + " " + cursor.take().text());
                cursor.takeAny("STORAGE", "LOG", "VIEW");
                cursor.takeAny("LOG");
            } else if (cursor.takeWords("IGNORE", "DELETE", "TRIGGERS")) {
                leftOut.add("IGNORE DELETE TRIGGERS");
            } else if (cursor.peek().isWord("PARTITION")
                    || cursor.peek().isWord("WITH") && cursor.peek(1).isSymbol("(")) {
                throw cursor.byHand("TRUNCATE of partitions");
            } else {
                return new Statement.Truncate(tables, restart, cascade, leftOut, span);
            }
        }
    }

    Statement comment() {
        Span span = cursor.take().span();
        boolean on = cursor.takeWords("ON");
        if (cursor.takeWords("MATERIALIZED", "VIEW")) {
            return commentOn("VIEW", span);
        }
        String kind = parsing.word();
        boolean known = kind.matches("TABLE|COLUMN|VIEW|INDEX|SEQUENCE|SCHEMA|DATABASE|DOMAIN|TYPE");
        boolean columns = on
                && !known
                && cursor.peek().isName()
                && (cursor.peek(1).isSymbol("(")
                        || cursor.peek(1).isSymbol(".") && cursor.peek(3).isSymbol("("));
        if (columns) {
            return commentsOfColumns(span);
        }
        if (!known || !on) {
            StatementParser.skipStatement(cursor);
            return new Statement.ClientCommand("COMMENT ON " + kind, span);
        }
        cursor.take();
        return commentOn(kind, span);
    }

    /** DB2's {@code COMMENT ON t (a IS 'x', b IS 'y')}. */
    private Statement commentsOfColumns(Span span) {
        QualifiedName table = parsing.qualifiedName();
        cursor.expectSymbol("(");
        Map<Name, String> texts = new LinkedHashMap<>();
        do {
            Name column = parsing.name();
            cursor.expectWords("IS");
            texts.put(column, parsing.string());
        } while (cursor.takeSymbol(","));
        cursor.expectSymbol(")");
        return new DdlStatement.ColumnComments(table, texts, span);
    }

    private Statement commentOn(String kind, Span span) {
        QualifiedName name = parsing.qualifiedName();
        if (kind.equalsIgnoreCase("COLUMN") && name.parts().size() == 1) {
            throw cursor.error("a column of which the table is not named");
        }
        if (!cursor.takeWords("IS") && !cursor.takeWords("AS")) {
            cursor.takeSymbol("=");
        }
        if (cursor.takeWords("NULL")) {
            return new DdlStatement.Comment(kind, name, Optional.empty(), span);
        }
        StringBuilder text = new StringBuilder();
        do {
            text.append(parsing.string());
        } while (cursor.peek().isString());
        return new DdlStatement.Comment(kind.toUpperCase(Locale.ROOT), name, Optional.of(text.toString()), span);
    }
}
