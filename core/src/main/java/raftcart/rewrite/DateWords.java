package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.Expr;

/** Calls whose first argument is a word for a unit of time, which may be called like a column. */
public final class DateWords {
    private DateWords() {}

    /** True for a call such as {@code DATEDIFF(day, a, b)}. */
    public static boolean isFirstOf(Expr.Call call) {
        String function = call.name().last().text().toLowerCase(Locale.ROOT);
        return call.arguments().size() > 1
                && (function.startsWith("date") || function.startsWith("timestamp"))
                && call.arguments().get(0) instanceof Expr.Column word
                && word.name().parts().size() == 1
                && !word.name().last().exact()
                && DateUnit.named(word.name().last().text()).isPresent();
    }

    /** The call with the word as it was, once other names stand in its arguments. */
    public static Expr kept(Expr.Call before, Expr after) {
        Expr.Call call = (Expr.Call) after;
        List<Expr> arguments = new ArrayList<>(call.arguments());
        arguments.set(0, before.arguments().get(0));
        return new Expr.Call(call.name(), call.canonical(), arguments, call.suffix(), call.span());
    }
}
