package raftcart.dialect;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import raftcart.sql.parse.CallReading.Meaning;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.TypeName;

/** Functions that are called like the types that they give, as DB2 and Derby have them: {@code DECIMAL(x, 9, 2)} is a cast. */
public final class CastFunctions {
    private static final Set<String> PLAIN =
            Set.of("int", "integer", "smallint", "bigint", "real", "blob", "clob", "dbclob");
    private static final Set<String> EXACT = Set.of("dec", "decimal", "numeric");
    private static final Set<String> TEXT = Set.of("char", "varchar");

    private CastFunctions() {}

    /** The cast that a call is. */
    public static Optional<Meaning> meaning(Expr.Call call) {
        if (call.canonical() || call.arguments().isEmpty()) {
            return Optional.empty();
        }
        String name = call.name().toString().toLowerCase(Locale.ROOT);
        List<Expr> a = call.arguments();
        boolean sized = name.endsWith("lob") && a.size() == 2;
        if (PLAIN.contains(name) && (a.size() == 1 || sized)) {
            return cast(call, new TypeName(name, List.of(), List.of(), 0));
        }
        if (EXACT.contains(name) && a.size() <= 3) {
            Optional<Integer> precision = a.size() > 1 ? number(a.get(1)) : Optional.of(15);
            Optional<Integer> scale = a.size() > 2 ? number(a.get(2)) : Optional.of(0);
            return precision.isPresent() && scale.isPresent()
                    ? cast(call, new TypeName("decimal", List.of(precision.get(), scale.get()), List.of(), 0))
                    : Optional.empty();
        }
        boolean length =
                TEXT.contains(name) && a.size() == 2 && number(a.get(1)).isPresent();
        return length
                ? cast(call, new TypeName(name, List.of(number(a.get(1)).get()), List.of(), 0))
                : Optional.empty();
    }

    private static Optional<Meaning> cast(Expr.Call call, TypeName type) {
        return Optional.of(Meaning.of(new Expr.Cast(call.arguments().get(0), type, false, call.span())));
    }

    private static Optional<Integer> number(Expr e) {
        boolean plain = e instanceof Expr.Literal l && l.kind() == LiteralKind.NUMBER && l.isDigits(5);
        return plain ? Optional.of(Integer.parseInt(((Expr.Literal) e).text())) : Optional.empty();
    }
}
