package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Statement;

/** IF and CASE of PL/pgSQL. */
final class PlChoices {
    private final PlCode pl;
    private final QueryAdapter adapter;

    PlChoices(PlCode pl) {
        this.pl = pl;
        this.adapter = pl.adapter();
    }

    List<Choice> choices(List<Choice> choices) {
        return choices.stream()
                .map(c -> new Choice(new PlValues(pl).condition(c.condition()), pl.statements(c.body())))
                .toList();
    }

    Statement caseOf(CodeStatement.CaseOf given) {
        boolean number =
                given.operand().map(adapter::kind).filter(ValueKind::isNumber).isPresent();
        CodeStatement.CaseOf choice =
                number ? given : given.searched(); // texts are compared as the target has to be told
        boolean again = !number
                && given.operand()
                        .map(adapter::expr)
                        .filter(PlChoices::mayChange)
                        .isPresent();
        if (again) {
            throw CodeAdapter.at(given.span(), "CASE of a text that may be another when it is computed again");
        }
        Optional<List<Statement>> otherwise = choice.otherwise().map(pl::statements);
        if (choice.operand().isEmpty()) {
            return new CodeStatement.CaseOf(Optional.empty(), choices(choice.choices()), otherwise, choice.span());
        }
        List<Choice> values = choice.choices().stream()
                .map(c -> new Choice(adapter.expr(pl.meant(c.condition())), pl.statements(c.body())))
                .toList();
        Expr operand = adapter.expr(pl.meant(choice.operand().get()));
        return new CodeStatement.CaseOf(Optional.of(operand), values, otherwise, choice.span());
    }

    /** True for what does not give the same when it is computed again. */
    private static boolean mayChange(Expr e) {
        return ExprSearch.any(
                e,
                part -> part instanceof Expr.Call call && !call.canonical()
                        || part instanceof Expr.Subquery
                        || SteadyValues.isFleeting(part));
    }
}
