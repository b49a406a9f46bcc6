package raftcart.dialect.snowflake;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.sql.parse.CallReading.Meaning;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TypeName;

/** Functions that are others by another name, or casts ("Conversion functions", "Date & time functions"). */
final class SnowflakeCalls {
    private static final Map<String, String> OTHER_NAMES = Map.of(
            "timestampdiff", "datediff", "timediff", "datediff", "timeadd", "dateadd", "timestampadd", "dateadd");

    private static final Map<String, String> CASTS = Map.of(
            "to_boolean",
            "boolean",
            "try_to_boolean",
            "boolean",
            "try_to_date",
            "date",
            "try_to_timestamp",
            "timestamp_ntz",
            "try_to_timestamp_ntz",
            "timestamp_ntz",
            "try_to_double",
            "double");

    private SnowflakeCalls() {}

    static Optional<Meaning> meaning(Expr.Call call) {
        if (call.canonical()) {
            return Optional.empty();
        }
        List<Expr> a = call.arguments();
        String name = call.function();
        boolean safe = name.startsWith("try_");
        if (OTHER_NAMES.containsKey(name)) {
            return Optional.of(Meaning.of(
                    new Expr.Call(QualifiedName.of(OTHER_NAMES.get(name)), false, a, call.suffix(), call.span())));
        }
        if (CASTS.containsKey(name) && a.size() == 1) {
            return Optional.of(Meaning.of(new Expr.Cast(a.get(0), TypeName.of(CASTS.get(name)), safe, call.span())));
        }
        if (name.matches("(try_)?to_(number|decimal|numeric)")) {
            return number(call, safe);
        }
        if (name.matches("div0(null)?") && a.size() == 2) {
            return Optional.of(Meaning.of(quotientOrZero(call, name.equals("div0null"))));
        }
        return name.matches("regexp_like|rlike") ? matches(call) : Optional.empty();
    }

    /** A number of a precision and scale that are given, or of 38 digits. */
    private static Optional<Meaning> number(Expr.Call call, boolean safe) {
        List<Expr> a = call.arguments();
        boolean plain =
                a.size() == 1 ? safe : a.size() <= 3 && a.stream().skip(1).allMatch(SnowflakeCalls::isDigits);
        if (!plain) {
            return Optional.empty();
        }
        int precision = a.size() > 1 ? digits(a.get(1)) : 38;
        int scale = a.size() > 2 ? digits(a.get(2)) : 0;
        TypeName type = new TypeName("number", List.of(precision, scale), List.of(), 0);
        return Optional.of(Meaning.of(new Expr.Cast(a.get(0), type, safe, call.span())));
    }

    /** A quotient that is 0 where the divisor is 0, or NULL as well. */
    private static Expr quotientOrZero(Expr.Call call, boolean orNull) {
        Expr dividend = call.arguments().get(0);
        Expr divisor = call.arguments().get(1);
        Expr zero = Expr.Literal.number(0);
        Expr tested = orNull ? Expr.Call.of("coalesce", divisor, zero).at(call.span()) : divisor;
        Expr none = new Expr.Binary(BinaryOperator.EQUAL, tested, zero, call.span());
        Expr quotient = new Expr.Binary(BinaryOperator.DIVIDE, dividend, divisor, call.span());
        return new Expr.Case(Optional.empty(), List.of(new Expr.When(none, zero)), Optional.of(quotient), call.span());
    }

    /** A regular expression that has to hold for the whole text. */
    private static Optional<Meaning> matches(Expr.Call call) {
        List<Expr> a = call.arguments();
        boolean constant = a.size() >= 2
                && a.stream().skip(1).allMatch(e -> e instanceof Expr.Literal l && l.kind() == LiteralKind.STRING)
                && flags(a).allMatch(f -> f.matches("[ic]"));
        if (!constant) {
            return Optional.empty();
        }
        Expr whole = Expr.Literal.string("^(" + ((Expr.Literal) a.get(1)).text() + ")$");
        boolean ignoreCase = flags(a).anyMatch(f -> f.equals("i"));
        return Optional.of(Meaning.of(new Expr.Matches(a.get(0), whole, ignoreCase, false, call.span())));
    }

    private static Stream<String> flags(List<Expr> arguments) {
        return arguments.stream().skip(2).map(e -> ((Expr.Literal) e).text());
    }

    private static boolean isDigits(Expr e) {
        return e instanceof Expr.Literal l && l.kind() == LiteralKind.NUMBER && l.isDigits(2);
    }

    private static int digits(Expr e) {
        return Integer.parseInt(((Expr.Literal) e).text());
    }
}
