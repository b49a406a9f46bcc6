package raftcart.sql.parse;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.UnaryOperator;

/**
 * The number of rows that the statement before concerned ("@@ROWCOUNT"). Nearly every statement sets it anew, so that it is
 * taken only directly behind one that changes or reads rows.
 */
final class TsqlCounts {
    private static final String COUNT = "@@rowcount";

    private TsqlCounts() {}

    /** Refuses a question for the number where it is not that of a change. */
    static void check(List<Statement> body) {
        for (int i = 0; i < body.size(); i++) {
            boolean known = i > 0
                    && counts(body.get(i - 1))
                    && (!(body.get(i) instanceof CodeStatement.Loop loop) || endsInCount(loop.body()));
            StatementSearch.anyExpression(List.of(outer(body.get(i))), e -> {
                if (!known && isCount(e)) {
                    throw new SqlSyntaxException(
                            e.span().line(),
                            e.span().column(),
                            "@@ROWCOUNT behind a statement that is no change",
                            true);
                }
                return false;
            });
        }
    }

    /** True where what a loop asks for anew is the number of its last statement. */
    private static boolean endsInCount(List<Statement> body) {
        return !body.isEmpty() && counts(body.get(body.size() - 1));
    }

    /** A statement without those that it holds. */
    private static Statement outer(Statement statement) {
        if (statement instanceof CodeStatement.If choice) {
            List<Choice> first = List.of(new Choice(choice.choices().get(0).condition(), List.of()));
            return new CodeStatement.If(first, List.of(), choice.span());
        }
        if (statement instanceof CodeStatement.Loop loop) {
            return new CodeStatement.Loop(loop.label(), loop.before(), loop.after(), List.of(), loop.span());
        }
        boolean holds = statement instanceof CodeStatement.Block || statement instanceof CodeStatement.ForRows;
        return holds ? new CodeStatement.Nothing(Span.NONE) : statement;
    }

    private static boolean counts(Statement statement) {
        boolean change = statement instanceof Statement.Dml
                && !(statement instanceof Statement.QueryStatement)
                && !(statement instanceof Statement.CallProcedure);
        return change || statement instanceof CodeStatement.SelectInto;
    }

    private static boolean isCount(Expr e) {
        return e instanceof Expr.Parameter p
                && p.text().toLowerCase(Locale.ROOT).equals(COUNT);
    }

    /** {@code IF @@ROWCOUNT = 0 RETURN} at the beginning of a trigger: there are no rows before the change, nor after it. */
    static Optional<Statement> ofTrigger(Statement first) {
        boolean leaves = first instanceof CodeStatement.If choice
                && choice.choices().get(0).body().size() == 1
                && choice.choices().get(0).body().get(0) instanceof CodeStatement.Return
                && choice.choices().get(0).condition() instanceof Expr.Binary b
                && b.operator() == BinaryOperator.EQUAL
                && isCount(b.left())
                && b.right() instanceof Expr.Literal zero
                && zero.text().equals("0");
        if (!leaves) {
            return Optional.empty();
        }
        CodeStatement.If choice = (CodeStatement.If) first;
        Expr none = new Expr.Junction(true, List.of(none("inserted", choice), none("deleted", choice)), choice.span());
        return Optional.of(new CodeStatement.If(
                List.of(new Choice(none, choice.choices().get(0).body())), choice.otherwise(), choice.span()));
    }

    private static Expr none(String table, CodeStatement.If choice) {
        TableRef rows = new TableRef.Table(
                new QualifiedName(List.of(Name.of(table))), Optional.empty(), Optional.empty(), false, choice.span());
        QueryBody one = QueryBody.Select.of(
                List.of(QueryBody.Item.of(Expr.Literal.number(1))), List.of(rows), Optional.empty());
        return new Expr.Unary(UnaryOperator.NOT, new Expr.Exists(Query.of(one), choice.span()), choice.span());
    }
}
