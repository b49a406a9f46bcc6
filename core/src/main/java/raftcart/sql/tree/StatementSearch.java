package raftcart.sql.tree;

import java.util.List;
import java.util.function.Predicate;

/** Looks for an expression, or for a statement, anywhere in some statements. */
public final class StatementSearch extends StatementMapper {
    private final Predicate<Expr> expressions;
    private final Predicate<Statement> statements;
    private boolean found;

    private StatementSearch(Predicate<Expr> expressions, Predicate<Statement> statements) {
        this.expressions = expressions;
        this.statements = statements;
    }

    /** True if an expression in one of them meets the test. */
    public static boolean anyExpression(List<Statement> roots, Predicate<Expr> test) {
        StatementSearch search = new StatementSearch(test, s -> false);
        search.statements(roots);
        return search.found;
    }

    /** True if one of them, or a statement within one, meets the test. */
    public static boolean anyStatement(List<Statement> roots, Predicate<Statement> test) {
        StatementSearch search = new StatementSearch(e -> false, test);
        search.statements(roots);
        return search.found;
    }

    @Override
    public Expr expr(Expr e) {
        found |= expressions.test(e);
        return found ? e : super.expr(e);
    }

    @Override
    public Statement statement(Statement statement) {
        found |= statements.test(statement);
        return found ? statement : super.statement(statement);
    }
}
