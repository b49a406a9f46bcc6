package raftcart.dialect.postgresql;

import java.util.stream.Collectors;
import raftcart.dialect.ExprPrinter;
import raftcart.dialect.Identifiers;
import raftcart.dialect.Untranslatable;
import raftcart.sql.expr.BinaryOperator;
import raftcart.sql.expr.Expr;
import raftcart.sql.expr.ExprGrammar;

/** Writes expressions for PostgreSQL. */
final class PgPrinter extends ExprPrinter {
    PgPrinter(Identifiers identifiers, ExprGrammar grammar) {
        super(identifiers, grammar);
    }

    @Override
    public String string(String text) {
        if (text.indexOf('\0') >= 0) {
            throw new Untranslatable("a text with the character NUL cannot be written in PostgreSQL");
        }
        return "'" + text.replace("'", "''") + "'";
    }

    @Override
    public String visitLiteral(Expr.Literal literal) {
        return switch (literal.kind()) {
            case NULL -> "NULL";
            case BOOLEAN -> literal.text();
            case NUMBER -> literal.text();
            case STRING -> string(literal.text());
            case BYTES -> "'\\x" + literal.text() + "'::bytea";
            case BITS -> "B'" + literal.text() + "'";
            case DATE -> "DATE " + string(literal.text());
            case TIME -> "TIME " + string(literal.text());
            case TIMESTAMP -> "TIMESTAMP " + string(literal.text());
        };
    }

    @Override
    public String visitBinary(Expr.Binary binary) {
        return switch (binary.operator()) {
            case SAME -> operand(binary.left()) + " IS NOT DISTINCT FROM " + operand(binary.right());
            case XOR -> operand(binary.left()) + " <> " + operand(binary.right());
            case DIVIDE -> "CAST(" + print(binary.left()) + " AS numeric) / " + operand(binary.right());
            case DIVIDE_WHOLE -> "div(" + print(binary.left()) + ", " + print(binary.right()) + ")";
            default -> super.visitBinary(binary);
        };
    }

    @Override
    protected String operator(BinaryOperator operator) {
        return operator == BinaryOperator.BIT_XOR ? "#" : super.operator(operator);
    }

    @Override
    public String visitCall(Expr.Call call) {
        return switch (call.function()) {
            case "if" ->
                "CASE WHEN " + print(call.arguments().get(0)) + " THEN "
                        + print(call.arguments().get(1)) + " ELSE "
                        + print(call.arguments().get(2)) + " END";
            default -> super.visitCall(call);
        };
    }

    @Override
    public String visitConcat(Expr.Concat concat) {
        return concat.parts().stream().map(this::operand).collect(Collectors.joining(" || "));
    }

    @Override
    public String visitLike(Expr.Like like) {
        String word = like.ignoreCase() ? "ILIKE " : "LIKE ";
        return operand(like.value()) + (like.negated() ? " NOT " : " ") + word + operand(like.pattern());
    }

    @Override
    public String visitMatches(Expr.Matches matches) {
        String sign = (matches.negated() ? "!~" : "~") + (matches.ignoreCase() ? "*" : "");
        return operand(matches.value()) + " " + sign + " " + operand(matches.pattern());
    }

    @Override
    public String visitCurrentTime(Expr.CurrentTime time) {
        String precision = time.precision() < 6 ? "(" + time.precision() + ")" : "";
        return switch (time.kind()) {
            case TIMESTAMP -> "CURRENT_TIMESTAMP" + precision;
            case UTC_TIMESTAMP -> "CURRENT_TIMESTAMP" + precision + " AT TIME ZONE 'UTC'";
            case DATE -> "CURRENT_DATE";
            case TIME -> "LOCALTIME" + precision;
        };
    }

    @Override
    public String visitNextValue(Expr.NextValue next) {
        String name = next.sequence().stream().map(identifiers()::quote).collect(Collectors.joining("."));
        return "nextval(" + string(name) + ")";
    }
}
