package raftcart.sql.tree;

import java.util.function.Predicate;

/** Looks for expressions of some kind in a tree, those of the queries within it included. */
public final class ExprSearch extends QueryMapper {
    private final Predicate<Expr> closed;
    private final Predicate<Expr> test;
    private boolean found;

    private ExprSearch(Predicate<Expr> closed, Predicate<Expr> test) {
        this.closed = closed;
        this.test = test;
    }

    /** True where an expression, or one within it, passes the test. */
    public static boolean any(Expr root, Predicate<Expr> test) {
        return anyOutside(e -> false, root, test);
    }

    /** True where an expression reads a column of this name. */
    public static boolean mentions(Expr root, Name column) {
        return any(root, e -> e instanceof Expr.Column c && c.name().last().matches(column));
    }

    /** True where an expression, or one within it, passes the test, without those that are closed and what stands in them. */
    public static boolean anyOutside(Predicate<Expr> closed, Expr root, Predicate<Expr> test) {
        ExprSearch search = new ExprSearch(closed, test);
        search.expr(root);
        return search.found;
    }

    /** True where an expression of a query passes the test. */
    public static boolean any(Query root, Predicate<Expr> test) {
        ExprSearch search = new ExprSearch(e -> false, test);
        search.query(root);
        return search.found;
    }

    /** True where an expression of the body of a query passes the test. */
    public static boolean any(QueryBody root, Predicate<Expr> test) {
        ExprSearch search = new ExprSearch(e -> false, test);
        search.body(root);
        return search.found;
    }

    @Override
    public Expr expr(Expr e) {
        if (found || closed.test(e)) {
            return e;
        }
        found = test.test(e);
        return found ? e : super.expr(e);
    }
}
