package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.ForRange;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TypeName;

/** Loops over whole numbers, for a target that goes round on a condition alone: a counter of its own gives each round its number. */
final class CountedLoops {
    private CountedLoops() {}

    /**
     * The loop in the terms of the target.
     *
     * @param adapted the loop, whose bounds and statements are those of the target
     * @param whole the type of the counter
     */
    static Statement of(ForRange adapted, Name label, TypeName whole) {
        Span span = adapted.span();
        Name counter = Name.of(label.text() + "counter_");
        Name end = Name.of(label.text() + "end_");
        Expr at = Expr.Column.of(counter.text());
        Expr step = adapted.step().orElse(Expr.Literal.number(1));
        Expr first = adapted.reverse() ? adapted.to() : adapted.from();
        Expr last = adapted.reverse() ? adapted.from() : adapted.to();
        BinaryOperator on = adapted.reverse() ? BinaryOperator.SUBTRACT : BinaryOperator.ADD;
        BinaryOperator back = adapted.reverse() ? BinaryOperator.ADD : BinaryOperator.SUBTRACT;
        Expr next = new Expr.Binary(on, at, step, span);
        Expr before = new Expr.Binary(
                adapted.reverse() ? BinaryOperator.GREATER_OR_EQUAL : BinaryOperator.LESS_OR_EQUAL,
                next,
                Expr.Column.of(end.text()),
                span);
        Declaration variable = variable(adapted.variable(), whole, span);
        List<Statement> round = new ArrayList<>(List.of(
                new CodeStatement.Assign(Expr.Column.of(adapted.variable().text()), at, span)));
        round.addAll(adapted.body());
        Block body = new Block(Optional.empty(), List.of(variable), List.of(), round, List.of(), span);
        Statement loop = new CodeStatement.Loop(
                Optional.of(label),
                Optional.of(before),
                Optional.empty(),
                List.of(new CodeStatement.Assign(at, next, span), body),
                span);
        return new Block(
                Optional.empty(),
                List.of(variable(counter, whole, span), variable(end, whole, span)),
                List.of(),
                List.of(
                        new CodeStatement.Assign(at, new Expr.Binary(back, first, step, span), span),
                        new CodeStatement.Assign(Expr.Column.of(end.text()), last, span),
                        loop),
                List.of(),
                span);
    }

    private static Declaration variable(Name name, TypeName whole, Span span) {
        return new Declaration.Variable(name, whole, Optional.empty(), false, span);
    }
}
