package raftcart.sql.tree;

/** Decides by the kind of an {@link Expr}; has no defaults, so that a new kind must be decided everywhere. */
public interface ExprVisitor<R> {
    R visitLiteral(Expr.Literal literal);

    R visitParameter(Expr.Parameter parameter);

    R visitColumn(Expr.Column column);

    R visitStar(Expr.Star star);

    R visitCall(Expr.Call call);

    R visitNamedArgument(Expr.NamedArgument namedArgument);

    R visitUnary(Expr.Unary unary);

    R visitBinary(Expr.Binary binary);

    R visitJunction(Expr.Junction junction);

    R visitConcat(Expr.Concat concat);

    R visitQuantified(Expr.Quantified quantified);

    R visitBetween(Expr.Between between);

    R visitInList(Expr.InList inList);

    R visitExists(Expr.Exists exists);

    R visitLike(Expr.Like like);

    R visitMatches(Expr.Matches matches);

    R visitIs(Expr.Is is);

    R visitCase(Expr.Case node);

    R visitCast(Expr.Cast cast);

    R visitSubquery(Expr.Subquery subquery);

    R visitRow(Expr.Row row);

    R visitArrayItems(Expr.ArrayItems arrayItems);

    R visitSubscript(Expr.Subscript subscript);

    R visitInterval(Expr.Interval node);

    R visitAtZone(Expr.AtZone atZone);

    R visitCollate(Expr.Collate collate);

    R visitCurrentTime(Expr.CurrentTime currentTime);

    R visitSequenceValue(Expr.SequenceValue sequenceValue);

    R visitAssignment(Expr.Assignment assignment);

    R visitDefault(Expr.Default node);
}
