package raftcart.sql.parse;

import java.util.List;
import java.util.Optional;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.Window;

/** Reads windows and their frames. */
final class WindowParser {
    private final Parsing parsing;
    private final TokenCursor cursor;

    WindowParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    /** A window's name, or its definition in parentheses. */
    Window window() {
        if (!cursor.takeSymbol("(")) {
            return new Window(Optional.of(parsing.name()), List.of(), List.of(), Optional.empty());
        }
        Optional<Name> base = Optional.empty();
        if (cursor.peek().isName() && !cursor.peek().isAnyWord(ClauseWords.WINDOW_CLAUSES)) {
            base = Optional.of(parsing.name());
        }
        List<Expr> partition = cursor.takeWords("PARTITION", "BY") ? parsing.expressions.list() : List.of();
        List<OrderItem> order = cursor.takeWords("ORDER", "BY") ? parsing.queries.orderItems() : List.of();
        if (cursor.peek().isWord("RESET")) {
            throw cursor.byHand("RESET WHEN");
        }
        Optional<Window.Frame> frame =
                cursor.peek().isAnyWord("ROWS", "RANGE", "GROUPS") ? Optional.of(frame()) : Optional.empty();
        cursor.expectSymbol(")");
        return new Window(base, partition, order, frame);
    }

    private Window.Frame frame() {
        String unit = parsing.word();
        cursor.take();
        Window.Bound start;
        Optional<Window.Bound> end = Optional.empty();
        if (cursor.takeWords("BETWEEN")) {
            start = bound();
            cursor.expectWords("AND");
            end = Optional.of(bound());
        } else {
            start = bound();
        }
        String exclusion = "";
        if (cursor.takeWords("EXCLUDE")) {
            exclusion = cursor.takeWords("CURRENT", "ROW")
                    ? "EXCLUDE CURRENT ROW"
                    : cursor.takeWords("NO", "OTHERS")
                            ? ""
                            : "EXCLUDE " + cursor.take().value().toUpperCase(java.util.Locale.ROOT);
        }
        return new Window.Frame(unit, start, end, exclusion);
    }

    private Window.Bound bound() {
        if (cursor.takeWords("UNBOUNDED", "PRECEDING")) {
            return new Window.Bound(Optional.empty(), "UNBOUNDED PRECEDING");
        }
        if (cursor.takeWords("UNBOUNDED", "FOLLOWING")) {
            return new Window.Bound(Optional.empty(), "UNBOUNDED FOLLOWING");
        }
        if (cursor.takeWords("CURRENT", "ROW")) {
            return new Window.Bound(Optional.empty(), "CURRENT ROW");
        }
        Expr offset = parsing.expressions.expression(OperatorTable.OTHER);
        if (cursor.takeWords("PRECEDING")) {
            return new Window.Bound(Optional.of(offset), "PRECEDING");
        }
        cursor.expectWords("FOLLOWING");
        return new Window.Bound(Optional.of(offset), "FOLLOWING");
    }
}
