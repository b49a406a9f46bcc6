package raftcart.dialect.sqlite;

import java.util.List;
import java.util.Optional;
import raftcart.sql.parse.CallReading;
import raftcart.sql.parse.SeveralPaths;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TypeName;

/** Functions that are others in other words ("Built-In Scalar SQL Functions", "Built-in Aggregate Functions"). */
final class SqliteCalls implements CallReading {
    private final SqliteMoments moments = new SqliteMoments();

    @Override
    public Optional<Meaning> meaning(Expr.Call call) {
        if (call.canonical() || call.name().parts().size() > 1) {
            return Optional.empty();
        }
        List<Expr> a = call.arguments();
        return switch (call.function()) {
            case "total" -> a.size() == 1 ? Optional.of(Meaning.of(total(call))) : Optional.empty();
            // Words for the planner, which give their first argument.
            case "likely", "unlikely" -> a.size() == 1 ? Optional.of(Meaning.of(a.get(0))) : Optional.empty();
            case "likelihood" -> a.size() == 2 ? Optional.of(Meaning.of(a.get(0))) : Optional.empty();
            case "strftime" -> isDayOfWeek(call) ? Optional.of(Meaning.of(dayOfWeek(call))) : moments.meaning(call);
            case "json_set", "json_remove" -> SeveralPaths.apart(call);
            default -> moments.meaning(call);
        };
    }

    @Override
    public Statement change(Statement change) {
        return OwnTables.changed(change);
    }

    /** The sum as a floating-point number, and 0 where there is nothing to add. */
    private static Expr total(Expr.Call call) {
        Expr sum = new Expr.Call(QualifiedName.of("sum"), false, call.arguments(), call.suffix(), call.span());
        Expr zero = new Expr.Literal(LiteralKind.NUMBER, "0.0", call.span());
        Expr one = new Expr.Call(QualifiedName.of("coalesce"), true, List.of(sum, zero), CallSuffix.NONE, call.span());
        return new Expr.Cast(one, TypeName.of("double"), false, call.span());
    }

    private static boolean isDayOfWeek(Expr.Call call) {
        return call.arguments().size() == 2
                && call.arguments().get(0) instanceof Expr.Literal mask
                && mask.text().equals("%w")
                && !(call.arguments().get(1) instanceof Expr.Literal);
    }

    /** The day of the week from 0 for Sunday, as a text. */
    private static Expr dayOfWeek(Expr.Call call) {
        Expr day = Expr.Call.of("extract_day_of_week", call.arguments().get(1)).at(call.span());
        return new Expr.Cast(day, TypeName.of("text"), false, call.span());
    }
}
