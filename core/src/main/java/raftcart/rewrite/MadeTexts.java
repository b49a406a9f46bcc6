package raftcart.rewrite;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import raftcart.dialect.SqlFeature;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/** Texts that are no column's: constants, names of days, digests. The session's collation says how they compare. */
final class MadeTexts {
    private static final Set<String> SMALL = Set.of("lower", "lcase", "md5", "sha", "sha1", "sha2", "uuid");
    private static final Set<String> CAPITAL = Set.of("upper", "ucase", "hex", "bin", "oct", "conv");
    private static final Set<String> DAYS = Set.of("dayname");
    private static final Set<String> MONTHS = Set.of("monthname");
    private static final Set<String> NAMES_OF_DAYS =
            Set.of("Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday");
    private static final Set<String> NAMES_OF_MONTHS = Set.of(
            "January",
            "February",
            "March",
            "April",
            "May",
            "June",
            "July",
            "August",
            "September",
            "October",
            "November",
            "December");

    private MadeTexts() {}

    /** True where all of the compared texts are such, and may be one to the source, which ignores case, and two to the target. */
    static boolean mayDiffer(List<Expr> compared, ExprAdapter adapter) {
        if (!adapter.lost(SqlFeature.IGNORES_CASE)) {
            return false;
        }
        for (Expr e : compared) {
            boolean ofColumn = !isText(e)
                    && (adapter.kind(e) != ValueKind.TEXT || ExactTexts.isOfColumn(e, adapter) || isEngines(e));
            if (ofColumn) {
                return false;
            }
        }
        List<Expr> made = compared.stream().filter(e -> !isText(e)).toList();
        List<String> constants = compared.stream()
                .filter(MadeTexts::isText)
                .map(e -> ((Expr.Literal) e).text())
                .filter(t -> t.chars().anyMatch(Character::isLetter))
                .toList();
        return (made.size() > 1 || !constants.isEmpty())
                && !(made.size() == 1 && constants.stream().allMatch(t -> isSpelled(made.get(0), t)));
    }

    private static boolean isText(Expr e) {
        return e instanceof Expr.Literal l && l.kind() == LiteralKind.STRING;
    }

    /** True for what the engine alone knows, as the name of the user. */
    private static boolean isEngines(Expr e) {
        return e instanceof Expr.Call c && c.arguments().isEmpty() || e instanceof Expr.Parameter;
    }

    /** True for a constant that is spelled as the function spells what it gives. */
    private static boolean isSpelled(Expr made, String constant) {
        String function = made instanceof Expr.Call c ? c.function().toLowerCase(Locale.ROOT) : "";
        return Stream.of(
                        SMALL.contains(function) && constant.equals(constant.toLowerCase(Locale.ROOT)),
                        CAPITAL.contains(function) && constant.equals(constant.toUpperCase(Locale.ROOT)),
                        DAYS.contains(function) && NAMES_OF_DAYS.contains(constant),
                        MONTHS.contains(function) && NAMES_OF_MONTHS.contains(constant))
                .anyMatch(b -> b);
    }
}
