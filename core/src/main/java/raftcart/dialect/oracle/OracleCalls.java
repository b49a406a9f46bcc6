package raftcart.dialect.oracle;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import raftcart.sql.parse.CallReading;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/** Functions that make intervals of constants ("SQL Language Reference", NUMTODSINTERVAL and NUMTOYMINTERVAL). */
final class OracleCalls {
    private static final Set<String> FUNCTIONS = Set.of("numtodsinterval", "numtoyminterval");

    private OracleCalls() {}

    static Optional<CallReading.Meaning> meaning(Expr.Call call) {
        List<Expr> a = call.arguments();
        boolean hexadecimal = !call.canonical()
                && call.function().equals("rawtohex")
                && a.size() == 1
                && a.get(0) instanceof Expr.Call id
                && id.function().equals("sys_guid");
        if (hexadecimal) {
            return Optional.of(CallReading.Meaning.of(Expr.Call.of("uuid_hex").at(call.span())));
        }
        boolean constant = !call.canonical()
                && FUNCTIONS.contains(call.function())
                && a.size() == 2
                && a.get(0) instanceof Expr.Literal amount
                && amount.text().matches("\\d+")
                && a.get(1) instanceof Expr.Literal unit
                && unit.kind() == LiteralKind.STRING
                && unit.text().toUpperCase(Locale.ROOT).matches("YEAR|MONTH|DAY|HOUR|MINUTE|SECOND");
        if (!constant) {
            return Optional.empty();
        }
        DateUnit unit = DateUnit.valueOf(((Expr.Literal) a.get(1)).text().toUpperCase(Locale.ROOT));
        return Optional.of(
                CallReading.Meaning.of(new Expr.Interval(List.of(new Expr.IntervalPart(a.get(0), unit)), call.span())));
    }
}
