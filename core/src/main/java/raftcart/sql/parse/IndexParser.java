package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem.Nulls;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.IndexPart;
import raftcart.sql.tree.Truth;

/** Reads CREATE INDEX. */
final class IndexParser {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final List<String> leftOut = new ArrayList<>();
    private boolean unique;
    private boolean passesNulls;
    private boolean descending;
    private String kind = "";
    private String method = "";
    private List<IndexPart> parts = List.of();

    IndexParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    /** What follows CREATE. */
    Statement index(Span span) {
        kinds();
        if (cursor.takeWords("CONCURRENTLY")) {
            leftOut.add("CONCURRENTLY");
        }
        boolean ifNotExists = cursor.takeWords("IF", "NOT", "EXISTS");
        Optional<QualifiedName> name = Optional.empty();
        if (!cursor.peek().isWord("ON") && !cursor.peek().isSymbol("(")) {
            name = Optional.of(parsing.qualifiedName());
        }
        using();
        if (cursor.peek().isSymbol("(")) {
            parts = new ConstraintParser(parsing).keyParts(); // Teradata names the columns first
        }
        cursor.expectWords("ON");
        if (cursor.takeWords("CLUSTER") && cursor.peek().isName()) {
            throw cursor.byHand("the index of a cluster");
        }
        cursor.takeWords("ONLY");
        QualifiedName table = parsing.qualifiedName();
        parsing.commentBehindName(leftOut);
        using();
        if (kind.equals("FULLTEXT") && parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR)) {
            throw cursor.byHand("a full-text index");
        }
        parts();
        using();
        List<Name> include = included();
        if (cursor.takeWords("NULLS", "NOT", "DISTINCT")) {
            throw cursor.byHand("NULLS NOT DISTINCT");
        }
        cursor.takeWords("NULLS", "DISTINCT");
        if (cursor.peek().isWord("WITH") && cursor.peek(1).isSymbol("(")) {
            cursor.take();
            leftOut.add("WITH " + parsing.skipParentheses());
        }
        Optional<Expr> where =
                cursor.takeWords("WHERE") ? Optional.of(parsing.expressions.expression()) : Optional.empty();
        if (passesNulls) {
            where = Optional.of(notNull());
        }
        physical();
        return new DdlStatement.CreateIndex(
                name, unique, kind, ifNotExists, table, parts, include, where, method, leftOut, span);
    }

    /** DB2's UNIQUE WHERE NOT NULL ("CREATE INDEX"): rows with NULL in the key are no duplicates of any other. */
    private Expr notNull() {
        List<Expr> conditions = parts.stream()
                .map(p -> (Expr) new Expr.Is(p.value(), Truth.NULL, true, Span.NONE))
                .toList();
        return conditions.size() == 1 ? conditions.get(0) : new Expr.Junction(true, conditions, Span.NONE);
    }

    /** What says where and how an index lies. */
    private void physical() {
        new ConstraintParser(parsing).trailer(leftOut);
        if (cursor.atWords("GENERATE", "KEY")) {
            throw cursor.byHand("an index on parts of documents");
        }
        if (cursor.peek().isWord("INDEXTYPE")) {
            throw cursor.byHand("an index of another type");
        }
        List<String> words = new ArrayList<>();
        boolean loose = parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR);
        while (!cursor.atEnd() && !cursor.peek().isSymbol(";") && !(loose && Keywords.startsStatement(cursor.peek()))) {
            words.add(
                    cursor.peek().isSymbol("(")
                            ? parsing.skipParentheses()
                            : cursor.take().text());
        }
        if (!words.isEmpty()) {
            leftOut.add(String.join(" ", words));
        }
    }

    private void kinds() {
        while (!cursor.takeWords("INDEX")) {
            if (!kind.isEmpty() && cursor.peek().isAnyWord("CATALOG", "STOPLIST", "XML")) {
                throw cursor.byHand(
                        "an index of kind " + kind + " " + cursor.peek().text());
            }
            if (cursor.peek().isWord("COLUMNSTORE")) {
                throw cursor.byHand("a columnstore index, which only stores the table otherwise");
            }
            if (cursor.takeWords("UNIQUE")) {
                if (cursor.takeWords("NULLS", "NOT", "DISTINCT")) {
                    throw cursor.byHand("NULLS NOT DISTINCT");
                }
                cursor.takeWords("NULLS", "DISTINCT");
                passesNulls = cursor.takeWords("WHERE", "NOT", "NULL");
                unique = true;
            } else if (cursor.takeAny("CLUSTERED", "NONCLUSTERED", "ASC", "ASCENDING", "HASH")) {
                leftOut.add(cursor.previous().text());
            } else if (cursor.peek().isAnyWord("DESC", "DESCENDING")) {
                cursor.take();
                descending = true;
            } else if (cursor.takeAny(ClauseWords.INDEX_KINDS)) {
                kind = cursor.previous().value().toUpperCase(Locale.ROOT);
            } else {
                throw cursor.unexpected("INDEX");
            }
        }
    }

    private void parts() {
        if (!parts.isEmpty()) {
            return;
        }
        if (cursor.takeWords("COMPUTED", "BY")) {
            cursor.expectSymbol("(");
            Expr value = parsing.expressions.expression();
            cursor.expectSymbol(")");
            parts = List.of(new IndexPart(value, 0, false, Nulls.DEFAULT, List.of()));
        } else {
            parts = new ConstraintParser(parsing).keyParts();
        }
        if (descending) {
            parts = parts.stream()
                    .map(p -> new IndexPart(p.value(), p.prefix(), true, p.nulls(), p.leftOut()))
                    .toList();
        }
    }

    private void using() {
        boolean storage = cursor.peek(1).isAnyWord("STOGROUP", "VCAT"); // of DB2 for z/OS
        if (!storage && cursor.takeWords("USING")) {
            method = cursor.take().value().toUpperCase(Locale.ROOT);
        }
    }

    private List<Name> included() {
        if (cursor.takeWords("NOT", "PARTITIONED") || cursor.takeWords("PARTITIONED")) {
            leftOut.add("PARTITIONED"); // DB2 says so before the columns
        }
        return cursor.takeWords("INCLUDE") || cursor.takeWords("STORING") ? parsing.namesInParentheses() : List.of();
    }
}
