package raftcart.rewrite;

import java.util.Map;
import java.util.Optional;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;

/** What differs where a function is said in other words than the target's own. */
final class OtherWords {
    private static final Map<String, String> DIFFERENCES = Map.of(
            "json_scalar_text",
            "an object or array gives NULL on the source",
            "add_months_end_to_end",
            "the last day of a month stays the last day",
            "insert_text_within",
            "a start beyond the end of the text gives NULL on the source");

    private OtherWords() {}

    /**
     * The difference; empty where there is none.
     *
     * @param first the kind of the first argument
     */
    static Optional<String> difference(Expr.Call call, ValueKind first) {
        boolean written = call.isAny("json_set", "json_remove") && first == ValueKind.TEXT;
        return written
                ? Optional.of("the document is written anew: its members in another order, and with other blanks")
                : Optional.ofNullable(DIFFERENCES.get(call.function()));
    }
}
