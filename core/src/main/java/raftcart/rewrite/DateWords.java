package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.Expr;

/** Calls whose first argument is a word for a unit of time, which may be called like a column. */
public final class DateWords {
    /** Those that take the word with two further arguments or more, and with one or more. */
    private static final Set<String> WITH_TWO = Set.of(
            "dateadd",
            "datediff",
            "datediff_big",
            "timeadd",
            "timediff",
            "timestampadd",
            "timestampdiff",
            "date_bucket");

    private static final Set<String> WITH_ONE = Set.of("datepart", "datename", "datetrunc", "date_trunc", "date_part");

    private DateWords() {}

    /** True for a call such as {@code DATEDIFF(day, a, b)}. */
    public static boolean isFirstOf(Expr.Call call) {
        String function = call.name().last().text().toLowerCase(Locale.ROOT);
        int arguments = call.arguments().size();
        return (arguments > 2 && WITH_TWO.contains(function) || arguments > 1 && WITH_ONE.contains(function))
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
