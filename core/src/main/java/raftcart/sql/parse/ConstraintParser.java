package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem.Nulls;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.IndexPart;
import raftcart.sql.tree.TableParts.Reference;
import raftcart.sql.tree.TableParts.TableConstraint;

/** Reads keys, checks and the parts of indexes. */
final class ConstraintParser {
    private final Parsing parsing;
    private final TokenCursor cursor;

    ConstraintParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    /** True where a constraint of a table begins. */
    boolean atTableConstraint() {
        Token next = cursor.peek(1);
        return switch (parsing.word()) {
            case "CONSTRAINT" -> true;
            case "PRIMARY", "FOREIGN" -> next.isWord("KEY");
            case "UNIQUE" ->
                next.isSymbol("(")
                        || next.isAnyWord("KEY", "INDEX", "CLUSTERED", "NONCLUSTERED", "NULLS")
                        || next.isName();
            case "CHECK" -> next.isSymbol("(");
            case "KEY", "INDEX" ->
                next.isSymbol("(")
                        || isConditional()
                        || next.isWord("USING") && cursor.peek(2).isAnyWord("BTREE", "HASH", "RTREE")
                        || (next.isName() && cursor.peek(2).isSymbol("(") && !isLength(cursor.peek(3)))
                        || (next.isName() && cursor.peek(2).isAnyWord("USING", "NONCLUSTERED", "CLUSTERED", "UNIQUE"));
            case "INVERTED" -> next.isWord("INDEX");
            case "FULLTEXT", "SPATIAL" ->
                next.isAnyWord("KEY", "INDEX")
                        || next.isName()
                                && cursor.peek(2).isSymbol("(")
                                && parsing.has(GrammarFeature.REPLACE_STATEMENT)
                        || next.isSymbol("(");
            case "EXCLUDE" -> next.isAnyWord("USING") || next.isSymbol("(");
            case "PERIOD" -> next.isWord("FOR");
            default -> false;
        };
    }

    /** True where MariaDB says that a key is made only if there is none of its name. */
    private boolean isConditional() {
        return cursor.peek(1).isWord("IF") && cursor.peek(2).isWord("NOT");
    }

    private void conditional(List<String> leftOut) {
        if (cursor.takeWords("IF", "NOT", "EXISTS")) {
            leftOut.add("IF NOT EXISTS");
        }
    }

    /** True for what stands in the parentheses of a type, but not of an index: a column may be called KEY. */
    private static boolean isLength(Token token) {
        return token.kind() == TokenKind.NUMBER || token.isString() || token.isWord("MAX") || token.isSymbol("*");
    }

    TableConstraint tableConstraint() {
        Span span = cursor.peek().span();
        Optional<Name> name = Optional.empty();
        boolean constraint = cursor.takeWords("CONSTRAINT");
        List<String> leftOut = new ArrayList<>();
        conditional(leftOut);
        if (constraint && !cursor.peek().isAnyWord("PRIMARY", "UNIQUE", "FOREIGN", "CHECK")) {
            name = Optional.of(parsing.qualifiedName().last());
        }
        parsing.commentBehindName(leftOut);
        return constraint(name, leftOut, span);
    }

    private TableConstraint constraint(Optional<Name> name, List<String> leftOut, Span span) {
        if (cursor.takeWords("PRIMARY", "KEY")) {
            conditional(leftOut);
            clustering(leftOut);
            Optional<Name> own = name.isEmpty() ? indexName() : name;
            return finished(ConstraintKind.PRIMARY_KEY, own, keyParts(), leftOut, span);
        }
        if (cursor.atWords("UNIQUE", "WITHOUT", "INDEX")) {
            throw cursor.byHand("a unique constraint without an index");
        }
        if (cursor.takeWords("UNIQUE")) {
            cursor.takeAny("KEY", "INDEX");
            conditional(leftOut);
            clustering(leftOut);
            if (cursor.takeWords("NULLS", "NOT", "DISTINCT")) {
                throw cursor.byHand("UNIQUE NULLS NOT DISTINCT");
            }
            cursor.takeWords("NULLS", "DISTINCT");
            Optional<Name> own = indexName();
            return finished(ConstraintKind.UNIQUE, own.isPresent() ? own : name, keyParts(), leftOut, span);
        }
        if (cursor.takeWords("FOREIGN", "KEY")) {
            conditional(leftOut);
            Optional<Name> own = indexName();
            List<IndexPart> parts = keyParts();
            Reference reference = reference(leftOut);
            Trailer trailer = trailer(leftOut);
            return new TableConstraint(
                    ConstraintKind.FOREIGN_KEY,
                    name.isPresent() ? name : own,
                    parts,
                    Optional.empty(),
                    Optional.of(reference),
                    trailer.deferrable,
                    trailer.deferred,
                    trailer.disabled,
                    leftOut,
                    span);
        }
        if (cursor.takeWords("CHECK")) {
            return check(name, leftOut, span);
        }
        return cursor.takeWords("EXCLUDE") ? exclusion(name, span) : innerIndex(leftOut, span);
    }

    /** Rows that must not overlap (PostgreSQL, "CREATE TABLE", EXCLUDE), which nothing else can say. */
    private TableConstraint exclusion(Optional<Name> name, Span span) {
        String method = cursor.takeWords("USING") ? " USING " + parsing.name().text() : "";
        String text = "EXCLUDE" + method + " " + parsing.skipParentheses();
        String where = cursor.takeWords("WHERE") ? " WHERE " + parsing.skipParentheses() : "";
        return finished(ConstraintKind.EXCLUDE, name, List.of(), new ArrayList<>(List.of(text + where)), span);
    }

    /** An index that is written among the constraints. */
    private TableConstraint innerIndex(List<String> leftOut, Span span) {
        if (cursor.peek().isWord("PERIOD")) {
            throw cursor.byHand("a constraint of kind " + parsing.word());
        }
        if (cursor.takeAny("FULLTEXT", "SPATIAL", "INVERTED")) {
            leftOut.add(cursor.previous().value().toUpperCase(java.util.Locale.ROOT));
            cursor.takeAny("KEY", "INDEX");
        } else if (!cursor.takeAny("KEY", "INDEX")) {
            throw cursor.unexpected("a constraint");
        }
        conditional(leftOut);
        Optional<Name> own = indexName();
        ConstraintKind kind = cursor.takeWords("UNIQUE") ? ConstraintKind.UNIQUE : ConstraintKind.INDEX;
        clustering(leftOut);
        List<IndexPart> parts = keyParts();
        if (cursor.takeWords("WITH", "PARSER")) {
            leftOut.add("WITH PARSER " + parsing.name().text());
        }
        return finished(kind, own, parts, leftOut, span);
    }

    TableConstraint check(Optional<Name> name, List<String> leftOut, Span span) {
        cursor.takeWords("NOT", "FOR", "REPLICATION");
        cursor.expectSymbol("(");
        Expr condition = parsing.expressions.expression();
        cursor.expectSymbol(")");
        Trailer trailer = trailer(leftOut);
        return new TableConstraint(
                ConstraintKind.CHECK,
                name,
                List.of(),
                Optional.of(condition),
                Optional.empty(),
                trailer.deferrable,
                trailer.deferred,
                trailer.disabled,
                leftOut,
                span);
    }

    private TableConstraint finished(
            ConstraintKind kind, Optional<Name> name, List<IndexPart> parts, List<String> leftOut, Span span) {
        if (cursor.peek().isAnyWord("INCLUDE", "STORING") && cursor.peek(1).isSymbol("(")) {
            cursor.take();
            leftOut.add("INCLUDE " + parsing.skipParentheses());
        }
        Optional<Expr> rows =
                cursor.takeWords("WHERE") ? Optional.of(parsing.expressions.expression()) : Optional.empty();
        Trailer trailer = trailer(leftOut);
        return new TableConstraint(
                kind,
                name,
                parts,
                rows,
                Optional.empty(),
                trailer.deferrable,
                trailer.deferred,
                trailer.disabled,
                leftOut,
                span);
    }

    private Optional<Name> indexName() {
        Optional<Name> name = cursor.peek().isName() && !cursor.peek().isWord("USING")
                ? Optional.of(parsing.name())
                : Optional.empty();
        if (cursor.takeWords("USING")) {
            cursor.take(); // BTREE or HASH
        }
        return name;
    }

    void clustering(List<String> leftOut) {
        if (cursor.takeAny("CLUSTERED", "NONCLUSTERED")) {
            leftOut.add(cursor.previous().text());
        }
        if (cursor.takeWords("HASH")) {
            leftOut.add("HASH");
        }
    }

    /** The parts of a key or index in parentheses. */
    List<IndexPart> keyParts() {
        cursor.expectSymbol("(");
        List<IndexPart> parts = parsing.list(this::keyPart);
        cursor.expectSymbol(")");
        return parts;
    }

    private IndexPart keyPart() {
        List<String> leftOut = new ArrayList<>();
        Expr value = keyValue();
        int prefix = 0;
        if (value instanceof Expr.Call call
                && !call.canonical()
                && call.arguments().size() == 1
                && call.arguments().get(0) instanceof Expr.Literal length
                && length.text().matches("[0-9]{1,5}")) {
            // What looks like a call with a number is a column of which only the first characters count.
            prefix = Integer.parseInt(length.text());
            value = new Expr.Column(call.name(), false, call.span());
        }
        if (value instanceof Expr.Collate collate) {
            leftOut.add("COLLATE " + collate.collation());
            value = collate.value();
        }
        if (cursor.peek().isName() && !cursor.peek().isAnyWord("ASC", "DESC", "NULLS")) {
            leftOut.add(parsing.qualifiedName().toString());
        }
        boolean descending = cursor.takeWords("DESC");
        if (!descending) {
            cursor.takeWords("ASC");
        }
        Nulls nulls = cursor.takeWords("NULLS", "FIRST")
                ? Nulls.FIRST
                : cursor.takeWords("NULLS", "LAST") ? Nulls.LAST : Nulls.DEFAULT;
        return new IndexPart(value, prefix, descending, nulls, leftOut);
    }

    private Expr keyValue() {
        return parsing.expressions.expression();
    }

    /** REFERENCES and what follows it. */
    Reference reference(List<String> leftOut) {
        cursor.expectWords("REFERENCES");
        if (cursor.takeWords("WITH", "NO", "CHECK", "OPTION")) { // Teradata: a promise, not a check
            leftOut.add("WITH NO CHECK OPTION");
        }
        cursor.takeWords("WITH", "CHECK", "OPTION");
        QualifiedName table = parsing.qualifiedName();
        List<Name> columns = parsing.namesInParentheses();
        String onDelete = "";
        String onUpdate = "";
        String match = "";
        List<Name> cleared = List.of();
        while (true) {
            if (cursor.takeWords("ON", "DELETE")) {
                onDelete = action();
                cleared = onDelete.startsWith("SET") ? parsing.namesInParentheses() : List.of();
            } else if (cursor.takeWords("ON", "UPDATE")) {
                onUpdate = action();
            } else if (cursor.takeWords("MATCH")) {
                match = cursor.take().value().toUpperCase(java.util.Locale.ROOT);
            } else {
                return new Reference(table, columns, onDelete, onUpdate, match, cleared);
            }
        }
    }

    private String action() {
        if (cursor.takeWords("NO", "ACTION")) {
            return "NO ACTION";
        }
        if (cursor.takeWords("SET", "NULL")) {
            return "SET NULL";
        }
        if (cursor.takeWords("SET", "DEFAULT")) {
            return "SET DEFAULT";
        }
        if (cursor.takeAny("CASCADE", "RESTRICT")) {
            return cursor.previous().value().toUpperCase(java.util.Locale.ROOT);
        }
        throw cursor.unexpected("NO ACTION, RESTRICT, CASCADE, SET NULL or SET DEFAULT");
    }

    /** When a constraint is checked and whether at all; the rest is about storage. */
    Trailer trailer(List<String> leftOut) {
        return trailer(leftOut, false);
    }

    /** @param ofColumn true for a constraint that stands with a column, to which a comment behind it belongs */
    Trailer trailer(List<String> leftOut, boolean ofColumn) {
        Trailer trailer = new Trailer();
        while (true) {
            if (ofColumn && cursor.peek().isWord("COMMENT")) {
                return trailer;
            }
            if (cursor.takeWords("ON", "CONFLICT")) {
                leftOut.add("ON CONFLICT " + cursor.take().text());
                continue;
            }
            if (cursor.takeAny("NOCHECK")) {
                leftOut.add("NOCHECK");
            } else if (cursor.takeWords("NOT", "DEFERRABLE") || cursor.takeWords("INITIALLY", "IMMEDIATE")) {
                continue;
            } else if (cursor.takeWords("DEFERRABLE")) {
                trailer.deferrable = true;
            } else if (cursor.takeWords("INITIALLY", "DEFERRED")) {
                trailer.deferrable = true;
                trailer.deferred = true;
            } else if (cursor.atWords("DISABLE", "QUERY")) {
                physical(leftOut);
            } else if (parsing.has(GrammarFeature.KEYS_ARE_PROMISES) && cursor.takeWords("NOT", "ENFORCED")) {
                leftOut.add("NOT ENFORCED");
            } else if (cursor.takeWords("DISABLE") || cursor.takeWords("NOT", "ENFORCED")) {
                trailer.disabled = true;
                cursor.takeAny("VALIDATE", "NOVALIDATE");
            } else if (cursor.takeWords("NOT", "VALID")
                    || cursor.takeWords("NOVALIDATE")
                    || cursor.takeWords("ENABLE", "NOVALIDATE")) {
                leftOut.add("NOT VALID");
            } else if (!physical(leftOut)) {
                return trailer;
            }
        }
    }

    private boolean physical(List<String> leftOut) {
        if (!cursor.atWords("ENABLE", "QUERY")
                        && cursor.takeAny("ENABLE", "VALIDATE", "ENFORCED", "RELY", "NORELY", "VISIBLE")
                || cursor.takeWords("NOT", "FOR", "REPLICATION")
                || cursor.takeWords("NO", "INHERIT")
                || cursor.takeWords("ENABLE", "QUERY", "OPTIMIZATION")
                || cursor.takeWords("DISABLE", "QUERY", "OPTIMIZATION")
                || cursor.takeWords("TRUSTED")) {
            return true;
        }
        if (cursor.takeAny("INVISIBLE")) {
            leftOut.add(cursor.previous().text());
            return true;
        }
        if (cursor.peek().isWord("USING")
                || cursor.peek().isWord("WITH") && cursor.peek(1).isSymbol("(")
                || cursor.peek().isWord("ON") && !cursor.peek(1).isAnyWord("DELETE", "UPDATE")) {
            leftOut.add(physicalClause());
            return true;
        }
        if (cursor.peek().isAnyWord(ClauseWords.INDEX_CLAUSES)) {
            leftOut.add(physicalClause());
            return true;
        }
        return false;
    }

    /** One word with its value or parentheses. */
    private String physicalClause() {
        StringBuilder text = new StringBuilder(cursor.take().text());
        if (text.toString().equalsIgnoreCase("USING") && cursor.takeAny("ASC", "ASCENDING", "DESC", "DESCENDING")) {
            text.append(' ').append(cursor.previous().text()); // how Firebird keeps the index of a key
        }
        if (cursor.takeWords("INDEX")) {
            text.append(" INDEX");
            if (cursor.peek().isName() && cursor.peek(1).isSymbol(".")) {
                return text.append(' ').append(parsing.qualifiedName()).toString();
            }
            if (cursor.peek().isAnyWord(ClauseWords.AFTER_USING_INDEX)) {
                return text.toString();
            }
        }
        if (cursor.takeSymbol("=")) {
            text.append(" =");
        }
        Token token = cursor.peek();
        boolean value = token.kind() == TokenKind.NUMBER
                || token.isString()
                || token.kind() == TokenKind.QUOTED_NAME
                || token.kind() == TokenKind.WORD
                        && !text.toString()
                                .matches("(?i)WITH|STORAGE|COMPUTE|REVERSE|LOCAL"
                                        + "|COMPRESS|NOCOMPRESS|LOGGING|NOLOGGING|NOPARALLEL|PARALLEL")
                || token.isWord("STATISTICS");
        if (value) {
            text.append(' ').append(cursor.take().text());
        }
        if (cursor.peek().isSymbol("(")) {
            text.append(' ').append(parsing.skipParentheses());
        }
        return text.toString();
    }

    /** When a constraint is checked, and whether. */
    static final class Trailer {
        boolean deferrable;
        boolean deferred;
        boolean disabled;
    }
}
