package raftcart.sql.tree;

import java.util.List;
import java.util.Optional;

/**
 * The window of a function.
 *
 * @param base the name of a window that this one refers to or builds on
 * @param frame the frame's text in standard words, such as {@code ROWS BETWEEN UNBOUNDED PRECEDING AND CURRENT ROW}
 */
public record Window(Optional<Name> base, List<Expr> partition, List<OrderItem> order, Optional<Frame> frame) {
    public Window {
        partition = List.copyOf(partition);
        order = List.copyOf(order);
    }

    Window map(TreeMapper mapper) {
        return new Window(base, mapper.exprs(partition), mapper.order(order), frame.map(f -> f.map(mapper)));
    }

    /** True where the window is nothing but the name of another. */
    public boolean isReference() {
        return base.isPresent() && partition.isEmpty() && order.isEmpty() && frame.isEmpty();
    }

    /** The rows of a window that count. The exclusion is empty or such as {@code EXCLUDE TIES}. */
    public record Frame(String unit, Bound start, Optional<Bound> end, String exclusion) {
        Frame map(TreeMapper mapper) {
            return new Frame(unit, start.map(mapper), end.map(b -> b.map(mapper)), exclusion);
        }
    }

    /** One end of a frame: an offset, or unbounded or current row where there is none. */
    public record Bound(Optional<Expr> offset, String words) {
        Bound map(TreeMapper mapper) {
            return new Bound(mapper.optional(offset), words);
        }
    }
}
