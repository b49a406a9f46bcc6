package raftcart.sql.expr;

import java.util.List;

/** Copies an expression; a subclass overrides the nodes that it changes. */
public abstract class ExprRewriter implements ExprVisitor<Expr> {
    /** The rewritten form of an expression. */
    public final Expr rewrite(Expr expression) {
        return expression.accept(this);
    }

    private List<Expr> rewriteAll(List<Expr> expressions) {
        return expressions.stream().map(this::rewrite).toList();
    }

    @Override
    public Expr visitLiteral(Expr.Literal literal) {
        return literal;
    }

    @Override
    public Expr visitColumnRef(Expr.ColumnRef column) {
        return column;
    }

    @Override
    public Expr visitCall(Expr.Call call) {
        return new Expr.Call(call.function(), rewriteAll(call.arguments()), call.span());
    }

    @Override
    public Expr visitUnary(Expr.Unary unary) {
        return new Expr.Unary(unary.operator(), rewrite(unary.operand()), unary.span());
    }

    @Override
    public Expr visitBinary(Expr.Binary binary) {
        return new Expr.Binary(binary.operator(), rewrite(binary.left()), rewrite(binary.right()), binary.span());
    }

    @Override
    public Expr visitConcat(Expr.Concat concat) {
        return new Expr.Concat(rewriteAll(concat.parts()), concat.span());
    }

    @Override
    public Expr visitBetween(Expr.Between between) {
        return new Expr.Between(
                rewrite(between.value()),
                rewrite(between.low()),
                rewrite(between.high()),
                between.negated(),
                between.span());
    }

    @Override
    public Expr visitInList(Expr.InList inList) {
        return new Expr.InList(rewrite(inList.value()), rewriteAll(inList.items()), inList.negated(), inList.span());
    }

    @Override
    public Expr visitLike(Expr.Like like) {
        return new Expr.Like(
                rewrite(like.value()), rewrite(like.pattern()), like.ignoreCase(), like.negated(), like.span());
    }

    @Override
    public Expr visitMatches(Expr.Matches matches) {
        return new Expr.Matches(
                rewrite(matches.value()),
                rewrite(matches.pattern()),
                matches.ignoreCase(),
                matches.negated(),
                matches.span());
    }

    @Override
    public Expr visitIs(Expr.Is is) {
        return new Expr.Is(rewrite(is.value()), is.truth(), is.negated(), is.span());
    }

    @Override
    public Expr visitCase(Expr.Case choice) {
        return new Expr.Case(
                choice.subject().map(this::rewrite),
                choice.branches().stream()
                        .map(w -> new Expr.When(rewrite(w.condition()), rewrite(w.result())))
                        .toList(),
                choice.otherwise().map(this::rewrite),
                choice.span());
    }

    @Override
    public Expr visitCast(Expr.Cast cast) {
        return new Expr.Cast(rewrite(cast.value()), cast.type(), cast.span());
    }

    @Override
    public Expr visitCurrentTime(Expr.CurrentTime time) {
        return time;
    }

    @Override
    public Expr visitNextValue(Expr.NextValue next) {
        return next;
    }
}
