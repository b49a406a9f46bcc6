package raftcart.sql.parse;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TableRef.Alias;
import raftcart.sql.tree.TableRef.Join;
import raftcart.sql.tree.TypeName;

/** Reads what stands in FROM. */
final class TableParser {
    private final Parsing parsing;
    private final TokenCursor cursor;

    TableParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    /** A table with everything that is joined to it. */
    TableRef table() {
        return parsing.nested(() -> {
            TableRef left = primary();
            int chain = 0;
            while (true) {
                Token token = cursor.peek();
                Join.Kind kind = joinKind();
                if (kind == null) {
                    return left;
                }
                if (++chain > 300) {
                    throw cursor.error("more than 300 joined tables");
                }
                left = join(left, kind, token.span());
            }
        });
    }

    private TableRef join(TableRef left, Join.Kind kind, Span span) {
        TableRef right = primary();
        // a JOIN b JOIN c ON ... ON ...: the inner join is read first.
        while (cursor.peek().isAnyWord("JOIN", "INNER", "LEFT", "RIGHT", "FULL")
                && needsCondition(kind)
                && hasConditionBehindJoins()) {
            Token token = cursor.peek();
            Join.Kind inner = joinKind();
            if (inner == null) {
                break;
            }
            right = join(right, inner, token.span());
        }
        if (needsCondition(kind)) {
            if (cursor.takeWords("ON")) {
                Optional<Expr> on = Optional.of(parsing.expressions.expression());
                return new Join(kind, left, right, on, List.of(), span);
            }
            if (cursor.peek().isWord("USING") && cursor.peek(1).isSymbol("(")) {
                cursor.take();
                List<Name> columns = parsing.namesInParentheses();
                if (cursor.peek().isWord("AS")) {
                    throw cursor.byHand("a name for the columns of a join");
                }
                return new Join(kind, left, right, Optional.empty(), columns, span);
            }
            if (readsOthers(right)) {
                Expr always = new Expr.Literal(LiteralKind.BOOLEAN, "true", span);
                return new Join(kind, left, right, Optional.of(always), List.of(), span);
            }
            boolean loose = kind == Join.Kind.INNER;
            if (!loose) {
                throw cursor.unexpected("ON or USING");
            }
            return new Join(Join.Kind.CROSS, left, right, Optional.empty(), List.of(), span);
        }
        if (kind == Join.Kind.CROSS && cursor.takeWords("ON")) {
            Optional<Expr> on = Optional.of(parsing.expressions.expression());
            return new Join(Join.Kind.INNER, left, right, on, List.of(), span);
        }
        return new Join(kind, left, right, Optional.empty(), List.of(), span);
    }

    /** True for what may read the tables before it, and needs no condition to be joined with them. */
    private static boolean readsOthers(TableRef table) {
        return table instanceof TableRef.Function f && f.lateral()
                || table instanceof TableRef.Derived d && d.lateral()
                || table instanceof TableRef.JsonTable;
    }

    /** True where the joins that follow have a condition more than they need; MySQL's JOIN does without. */
    private boolean hasConditionBehindJoins() {
        int wanted = 1;
        for (int i = 0; cursor.peek(i).kind() != TokenKind.END; i++) {
            Token token = cursor.peek(i);
            if (token.isSymbol("(")) {
                i = cursor.closing(i);
            } else if (token.isAnyWord("JOIN", "STRAIGHT_JOIN")) {
                boolean free = i > 0 && cursor.peek(i - 1).isAnyWord("CROSS", "FOR") || isNatural(i);
                wanted += free ? 0 : 1;
            } else if (token.isAnyWord("ON", "USING") && !cursor.peek(i + 1).isAnyWord("DUPLICATE", "CONFLICT")) {
                if (--wanted == 0) {
                    return true;
                }
            } else if (token.isWord("ON")
                    || token.isSymbol(",")
                    || token.isSymbol(")")
                    || token.isAnyWord(ClauseWords.BEHIND_JOINS)) {
                return false;
            }
        }
        return false;
    }

    /** True for the word JOIN of NATURAL [INNER | LEFT [OUTER]] JOIN. */
    private boolean isNatural(int join) {
        for (int i = join - 1; i >= Math.max(0, join - 3); i--) {
            if (cursor.peek(i).isWord("NATURAL")) {
                return true;
            }
            if (!cursor.peek(i).isAnyWord("INNER", "LEFT", "RIGHT", "FULL", "OUTER")) {
                return false;
            }
        }
        return false;
    }

    private static boolean needsCondition(Join.Kind kind) {
        return kind == Join.Kind.INNER || kind == Join.Kind.LEFT || kind == Join.Kind.RIGHT || kind == Join.Kind.FULL;
    }

    /** T-SQL's INNER HASH JOIN. */
    private void passOverHint() {
        boolean hinted = cursor.peek().isWord("INNER")
                && cursor.peek(1).isAnyWord("HASH", "LOOP", "MERGE", "REMOTE")
                && cursor.peek(2).isWord("JOIN");
        if (hinted) {
            int mark = cursor.mark();
            cursor.take();
            cursor.take();
            cursor.noteHint(mark);
        }
    }

    private Join.Kind joinKind() {
        passOverHint();
        if (cursor.takeWords("JOIN") || cursor.takeWords("INNER", "JOIN") || cursor.takeWords("STRAIGHT_JOIN")) {
            return Join.Kind.INNER;
        }
        if (cursor.takeWords("CROSS", "JOIN")) {
            return Join.Kind.CROSS;
        }
        if (cursor.takeWords("CROSS", "APPLY")) {
            return Join.Kind.CROSS_APPLY;
        }
        if (cursor.takeWords("OUTER", "APPLY")) {
            return Join.Kind.OUTER_APPLY;
        }
        if (cursor.peek().isAnyWord("ASOF", "ANTI", "SEMI", "POSITIONAL")
                && cursor.peek(1).isAnyWord("JOIN", "LEFT")) {
            throw cursor.byHand(parsing.word() + " JOIN");
        }
        boolean natural = cursor.peek().isWord("NATURAL")
                && cursor.peek(1).isAnyWord("JOIN", "INNER", "LEFT", "RIGHT", "FULL")
                && cursor.takeWords("NATURAL");
        if (natural && (cursor.takeWords("JOIN") || cursor.takeWords("INNER", "JOIN"))) {
            return Join.Kind.NATURAL;
        }
        if (!cursor.peek().isAnyWord("LEFT", "RIGHT", "FULL")) {
            return null;
        }
        String side = parsing.word();
        int outer = cursor.peek(1).isWord("OUTER") ? 2 : 1;
        int hint = cursor.peek(outer).isAnyWord("HASH", "LOOP", "MERGE") ? outer + 1 : outer;
        if (!cursor.peek(hint).isWord("JOIN")) {
            return null;
        }
        for (int i = 0; i <= hint; i++) {
            cursor.take();
        }
        return Join.Kind.valueOf((natural ? "NATURAL_" : "") + side);
    }

    private TableRef primary() {
        Token token = cursor.peek();
        boolean foreign = token.isAnyWord("OPENROWSET", "OPENQUERY", "OPENDATASOURCE", "OPENXML")
                && cursor.peek(1).isSymbol("(");
        if (foreign) {
            throw cursor.byHand(parsing.word());
        }
        TableRef table = unpivoted(token);
        while (true) {
            if (cursor.atWords("PIVOT", "XML")) {
                throw cursor.byHand("PIVOT XML");
            }
            if (cursor.peek().isWord("PIVOT") && cursor.peek(1).isSymbol("(")) {
                table = new PivotParser(parsing, this).pivot(table);
            } else if (cursor.peek().isWord("UNPIVOT") && cursor.peek(1).isAnyWord("INCLUDE", "EXCLUDE")
                    || cursor.peek().isWord("UNPIVOT") && cursor.peek(1).isSymbol("(")) {
                table = new PivotParser(parsing, this).unpivot(table);
            } else {
                return table;
            }
        }
    }

    private TableRef unpivoted(Token token) {
        boolean lateral = cursor.takeWords("LATERAL");
        if (cursor.peek().isSymbol("(")) {
            return inParentheses(lateral, token.span());
        }
        if (cursor.peek().isAnyWord("TABLE", "THE") && cursor.peek(1).isSymbol("(")) {
            return tableOf(lateral, token.span());
        }
        if (cursor.takeWords("ROWS", "FROM")) {
            throw cursor.byHand("ROWS FROM");
        }
        if (cursor.peek().isAnyWord("FINAL", "OLD", "NEW") && cursor.peek(1).isWord("TABLE")) {
            throw cursor.byHand("a change whose rows are read");
        }
        if (cursor.peek().isWord("VALUES") && cursor.peek(1).isSymbol("(")) {
            Query rows = Query.of(parsing.queries.values());
            return new TableRef.Derived(rows, false, alias(), token.span());
        }
        boolean only = cursor.peek(1).isName() && cursor.takeWords("ONLY");
        Span span = cursor.peek().span();
        int mark = cursor.mark();
        if (cursor.peek().isSymbol("[")) {
            throw cursor.byHand("a command as a table");
        }
        if (cursor.peek().isString()) {
            throw cursor.byHand("a file as a table");
        }
        if (Keywords.endsExpression(cursor.peek())) {
            throw cursor.unexpected("a table");
        }
        JsonTableParser json = new JsonTableParser(parsing, this);
        if (json.at()) {
            return json.read();
        }
        QualifiedName name = parsing.qualifiedName();
        if (cursor.peek().isSymbol("(") && !isTableHint()) {
            cursor.reset(mark);
            Expr call = parsing.expressions.expression(OperatorTable.POSTFIX);
            return function(call, lateral, span);
        }
        cursor.takeSymbol("*");
        return named(name, only, span);
    }

    /** What may stand behind the name of a table and has no counterpart. */
    private void refuse() {
        if (cursor.peek().isWord("PARTITION") && cursor.peek(1).isSymbol("(")) {
            throw cursor.byHand("a query on one partition");
        }
        if (cursor.atWords("FOR", "PORTION", "OF")) {
            throw cursor.byHand("a change of a part of a period");
        }
        if (cursor.atWords("FOR", "SYSTEM_TIME")
                || cursor.atWords("AS", "OF")
                || cursor.atWords("VERSIONS", "BETWEEN")
                || cursor.peek().isAnyWord("AT", "BEFORE") && cursor.peek(1).isSymbol("(")) {
            throw cursor.byHand("a query on rows of another time");
        }
        if (cursor.peek().isSymbol("@")
                || cursor.peek().kind() == TokenKind.PARAMETER
                        && cursor.peek().text().startsWith("@")) {
            throw cursor.byHand("a table of another database");
        }
        if (cursor.peek().isAnyWord("MATCH_RECOGNIZE", "MODEL")
                && !cursor.peek(1).isAnyWord("ON", "JOIN", "WHERE")) {
            boolean clause = cursor.peek().isWord("MATCH_RECOGNIZE")
                    || cursor.peek(1)
                            .isAnyWord(
                                    "DIMENSION",
                                    "PARTITION",
                                    "RETURN",
                                    "UNIQUE",
                                    "IGNORE",
                                    "KEEP",
                                    "REFERENCE",
                                    "MAIN",
                                    "RULES");
            if (clause) {
                throw cursor.byHand(parsing.word());
            }
        }
    }

    private TableRef named(QualifiedName name, boolean only, Span span) {
        refuse();
        if (cursor.peek().isWord("PLAN") && cursor.peek(1).isSymbol("(")) {
            return new TableRef.Table(name, Optional.empty(), Optional.empty(), only, span);
        }
        if (cursor.peek().isWord("USING") && cursor.peek(1).isWord("SAMPLE")) {
            throw cursor.byHand("a sample of a query");
        }
        Optional<TableRef.Sample> sample = sample();
        String before = hints();
        Optional<Alias> alias = alias();
        Optional<Query.Locking> lock = LockingParser.ofHints(before + " " + hints());
        if (sample.isEmpty()) {
            sample = sample();
        }
        return new TableRef.Table(name, alias, sample, only, lock, span);
    }

    private TableRef tableOf(boolean lateral, Span span) {
        cursor.take();
        if (parsing.queries.startsQueryInParentheses()) {
            return inParentheses(true, span);
        }
        cursor.expectSymbol("(");
        JsonTableParser json = new JsonTableParser(parsing, this);
        if (json.at()) {
            TableRef.JsonTable table = json.withoutAlias();
            cursor.expectSymbol(")");
            return table.named(alias());
        }
        Expr call = parsing.expressions.expression();
        if (cursor.peek().isWord("RETURNING")) {
            throw cursor.byHand("a table function with a schema of its own");
        }
        cursor.expectSymbol(")");
        return function(call, lateral, span);
    }

    private TableRef function(Expr call, boolean lateral, Span span) {
        boolean ordinality = cursor.takeWords("WITH", "ORDINALITY") || cursor.takeWords("WITH", "OFFSET");
        if (cursor.peek().isWord("WITH") && cursor.peek(1).isSymbol("(")) {
            throw cursor.byHand("a table function with a schema of its own");
        }
        return new TableRef.Function(call, lateral, ordinality, alias(), span);
    }

    private TableRef inParentheses(boolean lateral, Span span) {
        if (parsing.queries.startsQuery()) {
            cursor.take();
            Query query = parsing.queries.query();
            cursor.expectSymbol(")");
            if (sample().isPresent()) {
                throw cursor.byHand("a sample of a query");
            }
            return new TableRef.Derived(query, lateral, alias(), span);
        }
        cursor.expectSymbol("(");
        TableRef inner = table();
        while (cursor.takeSymbol(",")) {
            inner = new Join(Join.Kind.CROSS, inner, table(), Optional.empty(), List.of(), span);
        }
        cursor.expectSymbol(")");
        Optional<Alias> alias = alias();
        if (alias.isPresent()) {
            throw cursor.byHand("an alias for a join");
        }
        return inner;
    }

    /** An alias with or without AS, perhaps with names and types of columns. */
    Optional<Alias> alias() {
        boolean as = cursor.takeWords("AS");
        if (as && cursor.peek().isSymbol("(")) {
            Alias columns = columns(Name.of("t"));
            return Optional.of(columns);
        }
        boolean at = cursor.peek().isWord("AT")
                && !cursor.peek(1).isSymbol("(")
                && !cursor.peek(1).isAnyWord("TIME", "LOCAL");
        if (!as && !at && !Keywords.mayBeAlias(cursor.peek(), parsing.grammar)) {
            return Optional.empty();
        }
        return Optional.of(columns(parsing.name()));
    }

    private Alias columns(Name name) {
        List<Name> columns = new ArrayList<>();
        List<TypeName> types = new ArrayList<>();
        if (cursor.peek().isSymbol("(") && cursor.peek(1).isName() && !isTableHint()) {
            cursor.take();
            do {
                columns.add(parsing.name());
                if (!cursor.peek().isSymbol(",") && !cursor.peek().isSymbol(")")) {
                    types.add(TypeNameParser.parse(cursor));
                }
            } while (cursor.takeSymbol(","));
            cursor.expectSymbol(")");
        }
        return new Alias(name, columns, types);
    }

    /** The old form of hints in T-SQL: {@code FROM t (NOLOCK)}. */
    private boolean isTableHint() {
        return cursor.peek(1).isAnyWord(ClauseWords.LOCK_HINTS);
    }

    /** Advice to the optimizer, which says nothing about meaning; the locks among it do. */
    private String hints() {
        int mark = cursor.mark();
        StringBuilder hints = new StringBuilder();
        passOverHints(hints);
        cursor.noteHint(mark);
        return hints.toString();
    }

    private void passOverHints(StringBuilder hints) {
        while (true) {
            boolean with = cursor.peek().isWord("WITH") && cursor.peek(1).isSymbol("(");
            if (with) {
                cursor.take();
                hints.append(parsing.skipParentheses());
            } else if (cursor.peek().isSymbol("(") && isTableHint()) {
                hints.append(parsing.skipParentheses());
            } else if (cursor.peek().isAnyWord("USE", "FORCE", "IGNORE")
                    && cursor.peek(1).isAnyWord("INDEX", "KEY")) {
                cursor.take();
                cursor.take();
                if (cursor.takeWords("FOR")) {
                    while (!cursor.peek().isSymbol("(") && !cursor.atEnd()) {
                        cursor.take();
                    }
                }
                parsing.skipParentheses();
                cursor.takeSymbol(",");
            } else if (cursor.takeWords("INDEXED", "BY")) {
                parsing.name();
            } else if (!cursor.takeWords("NOT", "INDEXED")) {
                return;
            }
        }
    }

    private Optional<TableRef.Sample> sample() {
        boolean standard = cursor.takeWords("TABLESAMPLE");
        boolean short_ = !standard
                && cursor.peek().isWord("SAMPLE")
                && (cursor.peek(1).isSymbol("(")
                        || cursor.peek(1).isWord("BLOCK")
                        || cursor.peek(1).kind() == TokenKind.NUMBER);
        if (!standard && !short_) {
            return Optional.empty();
        }
        if (short_) {
            cursor.take();
        }
        String method = cursor.takeAny("BERNOULLI", "SYSTEM", "BLOCK", "RESERVOIR", "ROW")
                ? cursor.previous().value().toUpperCase(java.util.Locale.ROOT)
                : "";
        boolean parentheses = cursor.takeSymbol("(");
        Expr amount = parsing.expressions.expression(OperatorTable.UNARY);
        boolean rows = cursor.takeWords("ROWS");
        boolean percent = cursor.takeWords("PERCENT") || cursor.takeSymbol("%");
        if (parentheses) {
            cursor.expectSymbol(")");
        }
        Optional<Expr> seed = Optional.empty();
        if (cursor.takeAny("REPEATABLE", "SEED")) {
            cursor.expectSymbol("(");
            seed = Optional.of(parsing.expressions.expression());
            cursor.expectSymbol(")");
        }
        boolean plain = short_ && !parentheses && !percent;
        if (plain && amount instanceof Expr.Literal share && share.text().matches("0?[.].*")) {
            // Teradata's share of all rows.
            String hundredths = new BigDecimal(share.text()).movePointRight(2).toPlainString();
            amount = new Expr.Literal(LiteralKind.NUMBER, hundredths, share.span());
            plain = false;
        }
        boolean byRow = method.isEmpty() && short_;
        return Optional.of(new TableRef.Sample(byRow ? "BERNOULLI" : method, amount, rows || plain, seed));
    }

    Item aliased() {
        Expr value = parsing.expressions.expression();
        boolean as = cursor.takeWords("AS");
        boolean alias = as || Keywords.mayBeAlias(cursor.peek(), parsing.grammar);
        return new Item(value, parsing.optionalName(alias));
    }
}
