package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QueryMapper;

/** What stands in indexes of texts: the first characters of a column, and casts that leave a text as it is. */
final class IndexedTexts extends QueryMapper {
    private static final Set<String> TEXT_TYPES =
            Set.of("text", "varchar", "character varying", "char varying", "nvarchar", "bpchar");

    private static final int LONGEST_LENGTH = 5;

    private final Predicate<Name> padded;

    /** For values without casts of texts, and without the blanks of padded columns. */
    IndexedTexts(Predicate<Name> padded) {
        this.padded = padded;
    }

    @Override
    public Expr expr(Expr e) {
        Expr plain = uncast(e);
        return plain instanceof Expr.Column column && padded.test(column.name().last())
                ? Expr.Call.of("rtrim", column)
                : super.expr(plain);
    }

    static Optional<ExpressionRewriter.Beginning> of(Expr value) {
        if (!(value instanceof Expr.Call call)) {
            return Optional.empty();
        }
        List<Expr> arguments = call.arguments();
        String function = call.name().last().key();
        boolean left = function.equals("left") && arguments.size() == 2;
        boolean part = Set.of("substr", "substring").contains(function)
                && arguments.size() == 3
                && arguments.get(1) instanceof Expr.Literal start
                && start.text().equals("1");
        if (!left && !part) {
            return Optional.empty();
        }
        return column(arguments.get(0))
                .flatMap(c -> arguments.get(arguments.size() - 1) instanceof Expr.Literal length
                                && length.isDigits(LONGEST_LENGTH)
                                && !length.text().equals("0")
                        ? Optional.of(new ExpressionRewriter.Beginning(c, Integer.parseInt(length.text())))
                        : Optional.empty());
    }

    private static Optional<Name> column(Expr value) {
        Expr plain = uncast(value);
        return plain instanceof Expr.Column column ? Optional.of(column.name().last()) : Optional.empty();
    }

    /** Without a conversion that leaves a text as it is. */
    static Expr uncast(Expr value) {
        return value instanceof Expr.Cast cast
                        && TEXT_TYPES.contains(cast.type().name())
                        && cast.type().parameters().isEmpty()
                        && !cast.type().array()
                ? cast.value()
                : value;
    }

    static boolean converts(Expr value) {
        return ExprSearch.any(value, e -> e instanceof Expr.Cast);
    }
}
