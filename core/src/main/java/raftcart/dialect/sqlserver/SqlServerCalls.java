package raftcart.dialect.sqlserver;

import java.util.List;
import java.util.Optional;
import raftcart.sql.parse.CallReading.Meaning;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TypeName;

/** What T-SQL's functions mean where the name alone does not say it. */
final class SqlServerCalls {
    private SqlServerCalls() {}

    static Optional<Meaning> meaning(Expr.Call call) {
        if (call.canonical()) {
            return Optional.empty();
        }
        return switch (call.function()) {
            // "DATEDIFF_BIG" counts as DATEDIFF does, in 64 bits, which all other engines have anyway.
            case "datediff_big" -> Optional.of(Meaning.of(named(call, "datediff", call.arguments())));
            case "dateadd" -> ofMoment(call);
            default -> Optional.empty();
        };
    }

    /** "DATEADD", Return types: with a text it gives a datetime, also for one that is only a date or a time of day. */
    private static Optional<Meaning> ofMoment(Expr.Call call) {
        boolean text = call.arguments().size() == 3
                && call.arguments().get(2) instanceof Expr.Literal l
                && l.kind() == LiteralKind.STRING;
        if (!text) {
            return Optional.empty();
        }
        Expr moment = call.arguments().get(2);
        Expr cast = new Expr.Cast(moment, TypeName.of("datetime"), false, moment.span());
        List<Expr> arguments = List.of(call.arguments().get(0), call.arguments().get(1), cast);
        return Optional.of(Meaning.of(named(call, "dateadd", arguments)));
    }

    private static Expr.Call named(Expr.Call call, String name, List<Expr> arguments) {
        return new Expr.Call(QualifiedName.of(name), false, arguments, call.suffix(), call.span());
    }
}
