package raftcart.dialect;

import java.util.List;
import java.util.stream.Collectors;
import raftcart.sql.expr.BinaryOperator;
import raftcart.sql.expr.Expr;
import raftcart.sql.expr.ExprGrammar;
import raftcart.sql.expr.ExprVisitor;
import raftcart.sql.expr.UnaryOperator;

/**
 * Writes expressions; a dialect overrides what it spells differently. Operands that are not simple are put in
 * parentheses, so that no dialect's rules of precedence can change the meaning.
 */
public abstract class ExprPrinter implements ExprVisitor<String> {
    private final Identifiers identifiers;
    private final ExprGrammar grammar;

    protected ExprPrinter(Identifiers identifiers, ExprGrammar grammar) {
        this.identifiers = identifiers;
        this.grammar = grammar;
    }

    /**
     * The expression in this dialect.
     *
     * @throws Untranslatable if the dialect cannot say it
     */
    public final String print(Expr expression) {
        return expression.accept(this);
    }

    /** The spelling of a text constant. */
    public abstract String string(String text);

    protected final Identifiers identifiers() {
        return identifiers;
    }

    /** An operand, in parentheses unless it is simple. */
    protected final String operand(Expr expression) {
        String text = print(expression);
        boolean simple = expression instanceof Expr.Literal
                || expression instanceof Expr.ColumnRef
                || expression instanceof Expr.Call
                || expression instanceof Expr.CurrentTime
                || expression instanceof Expr.Case;
        return simple ? text : "(" + text + ")";
    }

    protected final String list(List<Expr> expressions) {
        return expressions.stream().map(this::print).collect(Collectors.joining(", "));
    }

    /** The spelling of a binary operator. */
    protected String operator(BinaryOperator operator) {
        return switch (operator) {
            case OR -> "OR";
            case AND -> "AND";
            case EQUAL -> "=";
            case NOT_EQUAL -> "<>";
            case LESS -> "<";
            case LESS_OR_EQUAL -> "<=";
            case GREATER -> ">";
            case GREATER_OR_EQUAL -> ">=";
            case BIT_OR -> "|";
            case BIT_AND -> "&";
            case SHIFT_LEFT -> "<<";
            case SHIFT_RIGHT -> ">>";
            case ADD -> "+";
            case SUBTRACT -> "-";
            case MULTIPLY -> "*";
            case DIVIDE -> "/";
            case MODULO -> "%";
            case XOR, SAME, DIVIDE_WHOLE, DIVIDE_BY_TYPE, BIT_XOR ->
                throw new Untranslatable("operator " + operator + " cannot be written in this dialect");
        };
    }

    @Override
    public String visitColumnRef(Expr.ColumnRef column) {
        return identifiers.quote(column.column());
    }

    @Override
    public String visitCall(Expr.Call call) {
        String spelling = grammar.functions()
                .spelling(call.function(), call.arguments().size())
                .orElseThrow(() -> new Untranslatable("function " + call.function() + " has no counterpart"));
        return spelling + "(" + list(call.arguments()) + ")";
    }

    @Override
    public String visitUnary(Expr.Unary unary) {
        return unary.operator() == UnaryOperator.NOT
                ? "NOT " + operand(unary.operand())
                : sign(unary.operator()) + operand(unary.operand());
    }

    private static String sign(UnaryOperator operator) {
        return switch (operator) {
            case MINUS -> "-";
            case PLUS -> "+";
            case BIT_NOT -> "~";
            case NOT -> "NOT ";
        };
    }

    @Override
    public String visitBinary(Expr.Binary binary) {
        return operand(binary.left()) + " " + operator(binary.operator()) + " " + operand(binary.right());
    }

    @Override
    public String visitBetween(Expr.Between between) {
        return operand(between.value())
                + (between.negated() ? " NOT BETWEEN " : " BETWEEN ")
                + operand(between.low())
                + " AND "
                + operand(between.high());
    }

    @Override
    public String visitInList(Expr.InList inList) {
        return operand(inList.value()) + (inList.negated() ? " NOT IN (" : " IN (") + list(inList.items()) + ")";
    }

    @Override
    public String visitIs(Expr.Is is) {
        return operand(is.value()) + (is.negated() ? " IS NOT " : " IS ") + is.truth();
    }

    @Override
    public String visitCase(Expr.Case choice) {
        StringBuilder text = new StringBuilder("CASE");
        choice.subject().ifPresent(s -> text.append(' ').append(operand(s)));
        for (Expr.When when : choice.branches()) {
            text.append(" WHEN ").append(print(when.condition()));
            text.append(" THEN ").append(print(when.result()));
        }
        choice.otherwise().ifPresent(e -> text.append(" ELSE ").append(print(e)));
        return text.append(" END").toString();
    }

    @Override
    public String visitCast(Expr.Cast cast) {
        return "CAST(" + print(cast.value()) + " AS " + cast.type().name() + ")";
    }
}
