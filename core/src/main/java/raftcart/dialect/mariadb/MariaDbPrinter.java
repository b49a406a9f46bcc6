package raftcart.dialect.mariadb;

import java.util.stream.Collectors;
import raftcart.dialect.ExprPrinter;
import raftcart.dialect.Identifiers;
import raftcart.dialect.Untranslatable;
import raftcart.sql.expr.BinaryOperator;
import raftcart.sql.expr.Expr;
import raftcart.sql.expr.ExprGrammar;

/** Writes expressions for MariaDB in its default SQL mode. */
final class MariaDbPrinter extends ExprPrinter {
    MariaDbPrinter(Identifiers identifiers, ExprGrammar grammar) {
        super(identifiers, grammar);
    }

    @Override
    public String string(String text) {
        return "'" + text.replace("\\", "\\\\").replace("'", "''").replace("\0", "\\0") + "'";
    }

    @Override
    public String visitLiteral(Expr.Literal literal) {
        return switch (literal.kind()) {
            case NULL -> "NULL";
            case BOOLEAN, NUMBER -> literal.text();
            case STRING -> string(literal.text());
            case BYTES -> "x'" + literal.text() + "'";
            case BITS -> "b'" + literal.text() + "'";
            case DATE -> "DATE " + string(literal.text());
            case TIME -> "TIME " + string(literal.text());
            case TIMESTAMP -> "TIMESTAMP " + string(literal.text());
        };
    }

    @Override
    protected String operator(BinaryOperator operator) {
        return switch (operator) {
            case XOR -> "XOR";
            case SAME -> "<=>";
            case DIVIDE_WHOLE -> "DIV";
            case BIT_XOR -> "^";
            default -> super.operator(operator);
        };
    }

    @Override
    public String visitConcat(Expr.Concat concat) {
        return "concat(" + list(concat.parts()) + ")";
    }

    @Override
    public String visitLike(Expr.Like like) {
        if (like.ignoreCase()) {
            return "lower(" + print(like.value()) + ")" + (like.negated() ? " NOT" : "") + " LIKE lower("
                    + print(like.pattern()) + ")";
        }
        return operand(like.value()) + (like.negated() ? " NOT" : "") + " LIKE " + operand(like.pattern());
    }

    @Override
    public String visitMatches(Expr.Matches matches) {
        // "REGEXP": follows the collation of its operands; (?i) and (?-i) of PCRE say it whatever that is.
        if (!(matches.pattern() instanceof Expr.Literal pattern)) {
            throw new Untranslatable("a regular expression that is not a constant");
        }
        String flag = matches.ignoreCase() ? "(?i)" : "(?-i)";
        return operand(matches.value()) + (matches.negated() ? " NOT" : "") + " REGEXP "
                + string(flag + pattern.text());
    }

    @Override
    public String visitCurrentTime(Expr.CurrentTime time) {
        String precision = "(" + (time.precision() > 0 ? time.precision() : "") + ")";
        return switch (time.kind()) {
            case TIMESTAMP -> "current_timestamp" + precision;
            case UTC_TIMESTAMP -> "utc_timestamp" + precision;
            case DATE -> "curdate()";
            case TIME -> "curtime" + precision;
        };
    }

    @Override
    public String visitNextValue(Expr.NextValue next) {
        return "nextval(" + next.sequence().stream().map(identifiers()::quote).collect(Collectors.joining(".")) + ")";
    }
}
