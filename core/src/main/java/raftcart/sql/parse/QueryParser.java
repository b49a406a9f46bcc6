package raftcart.sql.parse;

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
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.OrderItem.Nulls;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Query.CommonTable;
import raftcart.sql.tree.Query.Paging;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.SetOperation;
import raftcart.sql.tree.TableRef;

/** Reads queries: what stands around SELECT here, SELECT itself by {@link SelectParser}. */
final class QueryParser {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final SelectParser selects;
    private final PagingParser pagings;

    QueryParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.selects = new SelectParser(parsing);
        this.pagings = new PagingParser(parsing);
    }

    /** True where a query begins, perhaps in parentheses, and not an expression or a join that begins with one. */
    boolean startsQuery() {
        int ahead = 0;
        while (cursor.peek(ahead).isSymbol("(")) {
            ahead++;
        }
        if (!startsPlainQuery(ahead)) {
            return false;
        }
        for (int inner = ahead - 1; inner > 0; inner--) {
            Token behind = cursor.peek(cursor.closing(inner) + 1);
            if (!behind.isSymbol(")")
                    && behind.kind() != TokenKind.END
                    && !behind.isAnyWord(ClauseWords.BEHIND_FIRST_QUERY)) {
                return false;
            }
        }
        return true;
    }

    /** True where a parenthesis stands that may hold a query. */
    boolean startsQueryInParentheses() {
        return cursor.peek().isSymbol("(") && startsQuery();
    }

    private boolean startsPlainQuery(int ahead) {
        Token token = cursor.peek(ahead);
        Token next = cursor.peek(ahead + 1);
        boolean select = token.isWord("SELECT") || (token.isWord("SEL") && parsing.has(GrammarFeature.SHORT_VERBS));
        boolean locking = token.isAnyWord("LOCKING") && parsing.has(GrammarFeature.SHORT_VERBS);
        return select
                || locking
                || (token.isWord("WITH") && next.isName())
                || (token.isWord("VALUES") && (next.isSymbol("(") || !next.isSymbol(")")) && !next.isSymbol("."))
                || (token.isWord("TABLE")
                        && next.isName()
                        && !cursor.peek(ahead + 2).isSymbol("("))
                || (token.isWord("FROM") && next.isName() && parsing.has(GrammarFeature.BRACKET_VALUES));
    }

    Query query() {
        return parsing.nested(this::readQuery);
    }

    private Query readQuery() {
        passOverLocking();
        Span span = cursor.peek().span();
        List<CommonTable> with = new ArrayList<>();
        boolean recursive = with(with);
        QueryBody body = setOperation(0);
        List<OrderItem> order = List.of();
        if (cursor.atWords("ORDER", "BY")) {
            cursor.expectWords("ORDER", "BY");
            order = orderItems();
        } else if (cursor.atWords("ORDER", "SIBLINGS", "BY")) {
            cursor.expectWords("ORDER", "SIBLINGS", "BY");
            body = selects.withSiblings(body, orderItems());
        }
        Optional<Paging> paging = pagings.after(selects.takeTop());
        XmlPathParser xml = new XmlPathParser(parsing);
        if (xml.at()) {
            return xml.read(new Query(with, recursive, body, order, paging, Optional.empty(), span));
        }
        Optional<Query.Locking> locking = new LockingParser(parsing).locking();
        if (paging.isEmpty()) {
            paging = pagings.after(Optional.empty());
        }
        pagings.passOver();
        if (cursor.peek().isWord("FOR") && locking.isEmpty()) {
            locking = new LockingParser(parsing).locking(); // DB2 lets the clauses behind a query stand in any order
            pagings.passOver();
        }
        if (cursor.peek().isWord("INTO")) {
            throw cursor.byHand("SELECT INTO variables or files");
        }
        return new Query(with, recursive, body, order, paging, locking, span);
    }

    /** Teradata's {@code LOCKING ROW FOR ACCESS} before a query. */
    void passOverLocking() {
        int mark = cursor.mark();
        boolean locking = cursor.peek().isAnyWord("LOCKING", "LOCK") && parsing.has(GrammarFeature.SHORT_VERBS);
        if (!locking) {
            return;
        }
        while (cursor.takeAny("LOCKING", "LOCK")) {
            while (!cursor.atEnd() && !cursor.takeAny("ACCESS", "READ", "WRITE", "SHARE", "EXCLUSIVE", "CHECKSUM")) {
                cursor.take();
            }
            cursor.takeAny("MODE");
            cursor.takeAny("NOWAIT");
        }
        cursor.noteHint(mark);
    }

    /** Reads WITH if it stands next; true for one that is said to be recursive. */
    boolean with(List<CommonTable> tables) {
        if (!cursor.peek().isWord("WITH") || !cursor.peek(1).isName()) {
            return false;
        }
        cursor.take();
        boolean recursive = cursor.peek(1).isName() && cursor.takeWords("RECURSIVE");
        do {
            tables.add(commonTable());
        } while (cursor.takeSymbol(","));
        return recursive;
    }

    private CommonTable commonTable() {
        Name name = parsing.name();
        List<Name> columns = parsing.namesInParentheses();
        cursor.expectWords("AS");
        String hint = cursor.takeWords("MATERIALIZED")
                ? "MATERIALIZED"
                : cursor.takeWords("NOT", "MATERIALIZED") ? "NOT MATERIALIZED" : "";
        cursor.expectSymbol("(");
        if (!startsQuery()) {
            throw cursor.byHand("a WITH that changes rows");
        }
        Query query = query();
        cursor.expectSymbol(")");
        if (cursor.peek().isAnyWord("SEARCH", "CYCLE")) {
            throw cursor.byHand("SEARCH and CYCLE clauses");
        }
        return new CommonTable(name, columns, query, hint);
    }

    /** Level 0 is UNION and EXCEPT, level 1 INTERSECT, which binds tighter in most dialects. */
    private QueryBody setOperation(int level) {
        QueryBody left = level == 0 ? setOperation(1) : body();
        int chain = 0;
        while (true) {
            SetOperation.Kind kind = kindAt(level);
            if (kind == null) {
                return left;
            }
            if (++chain > 1000) {
                throw cursor.error("more than 1000 queries in a row");
            }
            Span span = cursor.take().span();
            boolean all = cursor.takeWords("ALL");
            cursor.takeWords("DISTINCT");
            if (cursor.peek().isAnyWord("CORRESPONDING", "BY")) {
                throw cursor.byHand(kind + " by name");
            }
            left = topped(left);
            QueryBody right = topped(level == 0 ? setOperation(1) : body());
            left = new SetOperation(kind, all, left, right, span);
        }
    }

    /** A part of a set operation with the TOP that it has of its own. */
    private QueryBody topped(QueryBody part) {
        Optional<Paging> top = selects.takeTop();
        return top.isEmpty() ? part : new QueryBody.Nested(Query.of(part).withPaging(top), part.span());
    }

    private SetOperation.Kind kindAt(int level) {
        Token token = cursor.peek();
        int intersect = parsing.has(GrammarFeature.SETS_FROM_LEFT_TO_RIGHT) ? 0 : 1;
        if (level == intersect && token.isWord("INTERSECT")) {
            return SetOperation.Kind.INTERSECT;
        }
        if (level == 1) {
            return null;
        }
        if (token.isWord("UNION")) {
            return SetOperation.Kind.UNION;
        }
        return token.isAnyWord("EXCEPT", "MINUS") ? SetOperation.Kind.EXCEPT : null;
    }

    private QueryBody body() {
        Token token = cursor.peek();
        if (token.isSymbol("(")) {
            cursor.take();
            Query inner = query();
            cursor.expectSymbol(")");
            return isBare(inner) ? inner.body() : new QueryBody.Nested(inner, token.span());
        }
        if (token.isWord("VALUES")) {
            return values();
        }
        if (token.isWord("TABLE")) {
            cursor.take();
            QualifiedName name = parsing.qualifiedName();
            return QueryBody.Select.of(
                    List.of(QueryBody.Item.of(new Expr.Star(Optional.empty(), List.of(), token.span()))),
                    List.of(TableRef.Table.of(name)),
                    Optional.empty());
        }
        return selects.select();
    }

    private static boolean isBare(Query query) {
        return query.with().isEmpty()
                && query.order().isEmpty()
                && query.paging().isEmpty()
                && query.locking().isEmpty()
                && !(query.body() instanceof SetOperation);
    }

    /** The table that the query read last goes into. */
    Optional<SelectParser.Into> takeInto() {
        return selects.takeInto();
    }

    /** An item as in a select list. */
    QueryBody.Item item() {
        return selects.item();
    }

    /** A table as in FROM. */
    TableRef table() {
        return new TableParser(parsing).table();
    }

    QueryBody.Values values() {
        Span span = cursor.take().span();
        List<List<Expr>> rows = new ArrayList<>();
        do {
            rows.add(valuesRow());
        } while (cursor.takeSymbol(","));
        return new QueryBody.Values(rows, span);
    }

    private List<Expr> valuesRow() {
        if (cursor.peek().isWord("ROW") && cursor.peek(1).isSymbol("(")) {
            cursor.take();
        }
        if (!cursor.peek().isSymbol("(")) {
            return List.of(parsing.expressions.expression());
        }
        cursor.take();
        if (cursor.takeSymbol(")")) {
            return List.of();
        }
        List<Expr> row = parsing.has(GrammarFeature.SHORT_VERBS)
                ? parsing.list(this::valueOrNothing)
                : parsing.expressions.list();
        cursor.expectSymbol(")");
        return row;
    }

    /** Teradata takes nothing between two commas for NULL. */
    private Expr valueOrNothing() {
        Token token = cursor.peek();
        return token.isSymbol(",") || token.isSymbol(")")
                ? new Expr.Literal(LiteralKind.NULL, "", token.span())
                : parsing.expressions.expression();
    }

    List<OrderItem> orderItems() {
        return parsing.list(this::orderItem);
    }

    private OrderItem orderItem() {
        Expr value = parsing.expressions.expression();
        if (cursor.peek().isWord("USING") && cursor.peek(1).kind() == TokenKind.SYMBOL) {
            throw cursor.byHand("ORDER BY ... USING");
        }
        boolean descending = cursor.takeAny("DESC", "DESCENDING");
        if (!descending) {
            cursor.takeAny("ASC", "ASCENDING");
        }
        Nulls nulls = Nulls.DEFAULT;
        if (cursor.takeWords("NULLS", "FIRST")) {
            nulls = Nulls.FIRST;
        } else if (cursor.takeWords("NULLS", "LAST")) {
            nulls = Nulls.LAST;
        }
        return new OrderItem(value, descending, nulls);
    }
}
