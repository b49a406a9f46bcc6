package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.tree.Expr;

/** Changes of a document at several paths at once, as one after the other ("JSON_SET", MySQL; "The json_set() function", SQLite). */
public final class SeveralPaths {
    private SeveralPaths() {}

    /** A call for several paths as calls for one each; empty for another call. */
    public static Optional<CallReading.Meaning> apart(Expr.Call call) {
        int each = call.canonical()
                ? 0
                : switch (call.function()) {
                    case "json_set" -> 2;
                    case "json_remove" -> 1;
                    default -> 0;
                };
        List<Expr> arguments = call.arguments();
        if (each == 0 || arguments.size() <= 1 + each || (arguments.size() - 1) % each != 0) {
            return Optional.empty();
        }
        Expr document = arguments.get(0);
        for (int i = 1; i < arguments.size(); i += each) {
            List<Expr> one = new ArrayList<>(List.of(document));
            one.addAll(arguments.subList(i, i + each));
            document = call.with(call.function(), one).at(call.span());
        }
        return Optional.of(CallReading.Meaning.of(document));
    }
}
