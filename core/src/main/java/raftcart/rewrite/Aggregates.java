package raftcart.rewrite;

import raftcart.dialect.Language;
import raftcart.sql.function.Signature;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;

/** Tells functions over groups of rows from others. */
public final class Aggregates {
    private Aggregates() {}

    /** True for an aggregate of the dialect, and for a function over a window. */
    public static boolean is(Expr e, Language language) {
        return e instanceof Expr.Call call
                && (call.suffix().over().isPresent()
                        || call.suffix().distinct()
                        || !call.arguments().isEmpty() && call.arguments().get(0) instanceof Expr.Star
                        || language.functions()
                                        .mayBeAggregate(call.name().last().text())
                                && language.functions()
                                        .recognise(call.name().last().text(), call.arguments(), x -> ValueKind.UNKNOWN)
                                        .filter(r -> r.signature().group() == Signature.Group.AGGREGATE)
                                        .isPresent());
    }

    /** True where an expression holds one that makes one row of many, queries within it aside. */
    static boolean ofRows(Expr expression, Language language) {
        return ExprSearch.anyOutside(
                e -> e instanceof Expr.Subquery || e instanceof Expr.Exists,
                expression,
                e -> e instanceof Expr.Call call && call.suffix().over().isEmpty() && is(e, language));
    }

    /** True where an expression holds one, queries within it aside. */
    public static boolean in(Expr expression, Language language) {
        return ExprSearch.anyOutside(
                e -> e instanceof Expr.Subquery || e instanceof Expr.Exists, expression, e -> is(e, language));
    }
}
