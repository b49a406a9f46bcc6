package raftcart.sql.parse;

import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Query.Paging;

/** Reads which rows of a result are wanted, in all spellings. */
final class PagingParser {
    private final Parsing parsing;
    private final TokenCursor cursor;

    PagingParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    private Optional<Expr> offset = Optional.empty();
    private Optional<Expr> limit = Optional.empty();
    private boolean percent;
    private boolean ties;

    /** What follows a SELECT, together with a TOP or FIRST that stood in it. */
    Optional<Paging> after(Optional<Paging> top) {
        offset = Optional.empty();
        limit = Optional.empty();
        percent = false;
        ties = false;
        boolean any = false;
        while (clause()) {
            any = true;
        }
        if (!any) {
            return top;
        }
        Optional<Expr> most = limit.isPresent() ? limit : top.flatMap(Paging::limit);
        return Optional.of(new Paging(offset, most, percent, ties));
    }

    private boolean clause() {
        if (cursor.takeWords("LIMIT")) {
            if (!cursor.takeWords("ALL")) {
                limit = Optional.of(amount());
                percent = cursor.takeSymbol("%") || cursor.takeWords("PERCENT");
            }
            if (cursor.takeSymbol(",")) {
                offset = limit;
                limit = Optional.of(amount());
            }
            return true;
        }
        if (cursor.peek().isWord("OFFSET") && limitless()) {
            cursor.take();
            offset = Optional.of(amount());
            cursor.takeAny("ROW", "ROWS");
            return true;
        }
        if (cursor.atWords("FETCH", "FIRST") || cursor.atWords("FETCH", "NEXT")) {
            fetch();
            return true;
        }
        if (cursor.peek().isWord("ROWS") && cursor.peek(1).isWord("EXAMINED")) {
            int mark = cursor.mark();
            cursor.take();
            cursor.take();
            amount();
            cursor.noteHint(mark);
            return true;
        }
        if (cursor.peek().isWord("FETCH") && cursor.peek(1).kind() == TokenKind.NUMBER) {
            cursor.take();
            limit = Optional.of(amount());
            cursor.takeAny("ROW", "ROWS");
            cursor.takeWords("ONLY");
            return true;
        }
        if (cursor.peek().isWord("ROWS") && !cursor.peek(1).isAnyWord("BETWEEN", "UNBOUNDED")) {
            rows();
            return true;
        }
        return false;
    }

    /** Firebird's {@code ROWS n} and {@code ROWS m TO n}, which counts from one. */
    private void rows() {
        Span span = cursor.take().span();
        Expr first = amount();
        if (!cursor.takeWords("TO")) {
            limit = Optional.of(first);
            return;
        }
        Expr last = amount();
        Expr one = Expr.Literal.number(1);
        if (isCount(first) && isCount(last)) {
            Expr.Literal a = (Expr.Literal) first;
            Expr.Literal b = (Expr.Literal) last;
            int from = Integer.parseInt(a.text());
            offset = Optional.of(Expr.Literal.number(from - 1));
            limit = Optional.of(Expr.Literal.number(Math.max(0, Integer.parseInt(b.text()) - from + 1)));
            return;
        }
        Expr before = new Expr.Binary(BinaryOperator.SUBTRACT, first, one, span);
        offset = Optional.of(before);
        limit = Optional.of(new Expr.Binary(BinaryOperator.SUBTRACT, last, before, span));
    }

    private static boolean isCount(Expr e) {
        return e instanceof Expr.Literal l && l.isDigits(9);
    }

    private void fetch() {
        cursor.take();
        cursor.take();
        boolean one = cursor.peek().isAnyWord("ROW", "ROWS");
        limit = Optional.of(one ? Expr.Literal.number(1) : amount());
        percent = cursor.takeWords("PERCENT");
        cursor.takeAny("ROW", "ROWS");
        ties = cursor.takeWords("WITH", "TIES");
        if (!ties) {
            cursor.takeWords("ONLY");
        }
    }

    private boolean limitless() {
        return !cursor.peek(1).isSymbol(".");
    }

    private Expr amount() {
        boolean share = cursor.peek().kind() == TokenKind.NUMBER
                && cursor.peek(1).isSymbol("%")
                && (cursor.peek(2).kind() == TokenKind.END || cursor.peek(2).isSymbol(";"));
        if (share) {
            return new Expr.Literal(
                    LiteralKind.NUMBER, cursor.take().text(), cursor.previous().span());
        }
        return parsing.expressions.expression(OperatorTable.OTHER);
    }

    /** Advice to the optimizer at the end of a query. */
    void passOver() {
        while (true) {
            int mark = cursor.mark();
            if (cursor.takeWords("OPTIMIZE", "FOR")) {
                parsing.wholeNumber();
                cursor.takeAny("ROW", "ROWS");
            } else if (cursor.peek().isWord("WITH") && cursor.peek(1).isAnyWord("UR", "CS", "RS", "RR")) {
                cursor.take();
                cursor.take();
                if (cursor.takeWords("USE", "AND", "KEEP")) {
                    cursor.takeAny("SHARE", "UPDATE", "EXCLUSIVE");
                    cursor.expectWords("LOCKS");
                }
            } else if (cursor.peek().isWord("OPTION") && cursor.peek(1).isSymbol("(")) {
                cursor.take();
                parsing.skipParentheses();
            } else {
                return;
            }
            cursor.noteHint(mark);
        }
    }
}
