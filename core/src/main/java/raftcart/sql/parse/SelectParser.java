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
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query.Paging;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Grouping;
import raftcart.sql.tree.QueryBody.Hierarchy;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.TableRef;

/** Reads one SELECT. */
final class SelectParser {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final TableParser tables;
    private Optional<Paging> top = Optional.empty();
    /** A table that SELECT makes. */
    record Into(QualifiedName name, boolean temporary) {}

    private Optional<Into> into = Optional.empty();

    SelectParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.tables = new TableParser(parsing);
    }

    /** The TOP, FIRST or LIMIT that the SELECT read last had before its items. */
    Optional<Paging> takeTop() {
        Optional<Paging> taken = top;
        top = Optional.empty();
        return taken;
    }

    QueryBody withSiblings(QueryBody body, List<OrderItem> order) {
        if (body instanceof Select s && s.hierarchy().isPresent()) {
            Hierarchy h = s.hierarchy().get();
            return new Select(
                    s.distinct(),
                    s.distinctOn(),
                    s.items(),
                    s.from(),
                    s.where(),
                    Optional.of(new Hierarchy(h.start(), h.connect(), h.noCycle(), order)),
                    s.groupBy(),
                    s.having(),
                    s.windows(),
                    s.qualify(),
                    s.span());
        }
        throw cursor.error("ORDER SIBLINGS BY stands with CONNECT BY only");
    }

    QueryBody select() {
        Span span = cursor.peek().span();
        if (cursor.peek().isWord("FROM") && parsing.has(GrammarFeature.BRACKET_VALUES)) {
            return fromFirst(span);
        }
        if (!(parsing.has(GrammarFeature.SHORT_VERBS) && cursor.takeWords("SEL"))) {
            cursor.expectWords("SELECT");
        }
        while (cursor.takeAny(ClauseWords.SELECT_FLAGS)) {
            if (cursor.previous().isWord("SQL_CALC_FOUND_ROWS")) {
                throw cursor.byHand("SQL_CALC_FOUND_ROWS; count with a query of its own");
            }
        }
        top = first();
        boolean distinct = cursor.takeAny("DISTINCT", "UNIQUE", "DISTINCTROW");
        List<Expr> distinctOn = List.of();
        if (distinct && cursor.peek().isWord("ON") && cursor.peek(1).isSymbol("(")) {
            cursor.take();
            cursor.take();
            distinctOn = parsing.expressions.list();
            cursor.expectSymbol(")");
            distinct = false;
        }
        if (!distinct && !cursor.peek(1).isSymbol(".")) {
            cursor.takeWords("ALL");
        }
        if (top.isEmpty()) {
            top = first();
        }
        Optional<Paging> own = top;
        List<Item> items = cursor.peek().isWord("FROM") || cursor.atEnd() ? List.of() : parsing.list(this::item);
        if (cursor.peek().isWord("INTO")) {
            if (!parsing.has(GrammarFeature.SELECT_INTO_TABLE)) {
                throw cursor.byHand("SELECT INTO variables");
            }
            into();
        }
        Select select = clauses(distinct, distinctOn, items, span);
        top = own;
        return select;
    }

    private QueryBody fromFirst(Span span) {
        cursor.take();
        List<TableRef> from = parsing.list(tables::table);
        List<Item> items = List.of(Item.of(new Expr.Star(Optional.empty(), List.of(), span)));
        if (cursor.takeWords("SELECT")) {
            items = parsing.list(this::item);
        }
        Optional<Expr> where =
                cursor.takeWords("WHERE") ? Optional.of(parsing.expressions.expression()) : Optional.empty();
        return Select.of(items, from, where);
    }

    private void into() {
        cursor.take();
        boolean temporary = cursor.takeAny("TEMP", "TEMPORARY", "UNLOGGED");
        cursor.takeWords("TABLE");
        if (cursor.peek().kind() == TokenKind.PARAMETER || cursor.peek().isAnyWord("OUTFILE", "DUMPFILE", "STRICT")) {
            throw cursor.byHand("SELECT INTO variables or files");
        }
        QualifiedName name = parsing.qualifiedName();
        into = Optional.of(new Into(name, temporary || parsing.isTemporary(name)));
    }

    /** The table that the SELECT read last goes into. */
    Optional<Into> takeInto() {
        Optional<Into> taken = into;
        into = Optional.empty();
        return taken;
    }

    /** TOP n, FIRST n, SKIP n and LIMIT m n before the items. */
    private Optional<Paging> first() {
        Token next = cursor.peek(1);
        boolean amount = next.kind() == TokenKind.NUMBER || next.isSymbol("(") || next.kind() == TokenKind.PARAMETER;
        if (!amount) {
            return Optional.empty();
        }
        if (cursor.peek().isWord("TOP")) {
            cursor.take();
            Expr limit = amount();
            boolean percent = cursor.takeWords("PERCENT");
            return Optional.of(
                    new Paging(Optional.empty(), Optional.of(limit), percent, cursor.takeWords("WITH", "TIES")));
        }
        Optional<Expr> limit = Optional.empty();
        Optional<Expr> offset = Optional.empty();
        if (cursor.peek().isAnyWord("FIRST", "LIMIT") && !next.isSymbol("(")) {
            cursor.take();
            limit = Optional.of(amount());
            if (cursor.previous().kind() == TokenKind.NUMBER && cursor.peek().kind() == TokenKind.NUMBER) {
                offset = limit;
                limit = Optional.of(amount());
            }
        }
        if (cursor.peek().isWord("SKIP") && !cursor.peek(1).isSymbol("(")) {
            cursor.take();
            offset = Optional.of(amount());
        }
        return limit.isEmpty() && offset.isEmpty()
                ? Optional.empty()
                : Optional.of(new Paging(offset, limit, false, false));
    }

    private Expr amount() {
        if (cursor.takeSymbol("(")) {
            Expr amount = parsing.expressions.expression();
            cursor.expectSymbol(")");
            return amount;
        }
        return parsing.expressions.expression(OperatorTable.POSTFIX);
    }

    Item item() {
        Token token = cursor.peek();
        if (parsing.has(GrammarFeature.ALIAS_BY_EQUALS)
                && (token.isName() || token.isString())
                && cursor.peek(1).isSymbol("=")) {
            Name alias = parsing.name();
            cursor.take();
            return new Item(parsing.expressions.expression(), Optional.of(alias));
        }
        if (parsing.has(GrammarFeature.ALIAS_BY_EQUALS)
                && token.kind() == TokenKind.PARAMETER
                && cursor.peek(1).isSymbol("=")) {
            throw cursor.byHand("a SELECT that assigns variables");
        }
        int mark = cursor.mark();
        Expr given = parsing.expressions.expression();
        Optional<Expr> shown = AttributeParser.shown(given);
        shown.ifPresent(s -> cursor.noteHint(mark));
        Expr value = shown.orElse(given);
        Optional<Name> named = parsing.takeNamed();
        if (named.isPresent()) {
            return new Item(value, named);
        }
        if (cursor.takeWords("AS")) {
            if (cursor.peek().isSymbol("(")) {
                throw cursor.unexpected("a name");
            }
            return new Item(value, Optional.of(parsing.name()));
        }
        boolean span = parsing.has(GrammarFeature.INTERVAL_QUALIFIERS)
                && value instanceof Expr.Binary
                && cursor.peek().isAnyWord("YEAR", "MONTH", "DAY", "HOUR", "MINUTE", "SECOND")
                && cursor.previous().isSymbol(")");
        if (span) {
            throw cursor.byHand("a difference of times as an interval");
        }
        boolean alias = cursor.peek().isString() || Keywords.mayBeAlias(cursor.peek(), parsing.grammar);
        return new Item(value, parsing.optionalName(alias));
    }

    private Select clauses(boolean distinct, List<Expr> distinctOn, List<Item> items, Span span) {
        List<TableRef> from = cursor.takeWords("FROM") ? parsing.list(tables::table) : List.of();
        Optional<Expr> where = condition("WHERE");
        Optional<Hierarchy> hierarchy = hierarchy();
        List<Grouping> groups = groups();
        Optional<Expr> having = condition("HAVING");
        Optional<Expr> qualify = condition("QUALIFY");
        List<QueryBody.NamedWindow> windows = windows();
        if (qualify.isEmpty()) {
            qualify = condition("QUALIFY");
        }
        if (parsing.has(GrammarFeature.SHORT_VERBS) && cursor.peek().isWord("SAMPLE")) {
            throw cursor.byHand("a sample of the result");
        }
        if (cursor.peek().isWord("PLAN") && cursor.peek(1).isSymbol("(")) {
            int mark = cursor.mark();
            cursor.take();
            parsing.skipParentheses();
            cursor.noteHint(mark);
        }
        return new Select(distinct, distinctOn, items, from, where, hierarchy, groups, having, windows, qualify, span);
    }

    private Optional<Expr> condition(String word) {
        return cursor.takeWords(word) ? Optional.of(parsing.expressions.expression()) : Optional.empty();
    }

    private List<QueryBody.NamedWindow> windows() {
        List<QueryBody.NamedWindow> windows = new ArrayList<>();
        if (cursor.peek().isWord("WINDOW") && cursor.peek(2).isWord("AS")) {
            cursor.take();
            do {
                Name name = parsing.name();
                cursor.expectWords("AS");
                windows.add(new QueryBody.NamedWindow(name, new WindowParser(parsing).window()));
            } while (cursor.takeSymbol(","));
        }
        return windows;
    }

    private Optional<Hierarchy> hierarchy() {
        Optional<Expr> start = Optional.empty();
        if (cursor.takeWords("START", "WITH")) {
            start = Optional.of(parsing.expressions.expression());
        }
        if (!cursor.takeWords("CONNECT", "BY")) {
            if (start.isPresent()) {
                throw cursor.unexpected("CONNECT BY");
            }
            return Optional.empty();
        }
        boolean noCycle = cursor.takeWords("NOCYCLE");
        Expr connect = parsing.expressions.expression();
        if (start.isEmpty() && cursor.takeWords("START", "WITH")) {
            start = Optional.of(parsing.expressions.expression());
        }
        return Optional.of(new Hierarchy(start, connect, noCycle, List.of()));
    }

    private List<Grouping> groups() {
        if (!cursor.takeWords("GROUP", "BY")) {
            return List.of();
        }
        boolean every = cursor.peek().isWord("ALL")
                && (cursor.peek(1).kind() == TokenKind.END
                        || cursor.peek(1).isSymbol(";")
                        || cursor.peek(1).isSymbol(")")
                        || cursor.peek(1).isAnyWord("ORDER", "HAVING", "LIMIT", "QUALIFY"));
        if (cursor.takeWords("ALL") && every) {
            return List.of(new Grouping(Grouping.Kind.ALL, List.of(), List.of()));
        }
        cursor.takeWords("DISTINCT");
        List<Grouping> groups = parsing.list(this::grouping);
        if (cursor.peek().isAnyWord("ASC", "DESC")) {
            throw cursor.byHand("an order within GROUP BY; write ORDER BY");
        }
        if (cursor.takeWords("WITH", "ROLLUP")) {
            return List.of(new Grouping(Grouping.Kind.ROLLUP, items(groups), List.of()));
        }
        return cursor.takeWords("WITH", "CUBE")
                ? List.of(new Grouping(Grouping.Kind.CUBE, items(groups), List.of()))
                : groups;
    }

    private static List<Expr> items(List<Grouping> groups) {
        return groups.stream().flatMap(g -> g.items().stream()).toList();
    }

    private Grouping grouping() {
        if (cursor.peek().isAnyWord("ROLLUP", "CUBE") && cursor.peek(1).isSymbol("(")) {
            boolean rollup = cursor.take().isWord("ROLLUP");
            cursor.expectSymbol("(");
            List<Expr> items = parsing.expressions.list();
            cursor.expectSymbol(")");
            return new Grouping(rollup ? Grouping.Kind.ROLLUP : Grouping.Kind.CUBE, items, List.of());
        }
        if (cursor.takeWords("GROUPING", "SETS")) {
            cursor.expectSymbol("(");
            List<Grouping> sets = parsing.list(this::grouping);
            cursor.expectSymbol(")");
            return new Grouping(Grouping.Kind.SETS, List.of(), sets);
        }
        Expr item = parsing.expressions.expression();
        return item instanceof Expr.Row row
                ? new Grouping(Grouping.Kind.PLAIN, List.of(row), List.of())
                : Grouping.of(item);
    }
}
