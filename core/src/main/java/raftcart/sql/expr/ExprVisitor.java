package raftcart.sql.expr;

/** Decides by the kind of an expression; has no defaults, so that a new node must be decided everywhere. */
public interface ExprVisitor<R> {
    R visitLiteral(Expr.Literal literal);

    R visitColumnRef(Expr.ColumnRef column);

    R visitCall(Expr.Call call);

    R visitUnary(Expr.Unary unary);

    R visitBinary(Expr.Binary binary);

    R visitConcat(Expr.Concat concat);

    R visitBetween(Expr.Between between);

    R visitInList(Expr.InList inList);

    R visitLike(Expr.Like like);

    R visitMatches(Expr.Matches matches);

    R visitIs(Expr.Is is);

    R visitCase(Expr.Case choice);

    R visitCast(Expr.Cast cast);

    R visitCurrentTime(Expr.CurrentTime time);

    R visitNextValue(Expr.NextValue next);
}
