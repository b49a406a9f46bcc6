package raftcart.dialect.write;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import raftcart.dialect.SqlFeature;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Truth;

/** Writes expressions in the most common spelling; a dialect overrides what it spells differently. */
public class ExprWriter extends CallWriter {
    public ExprWriter(WriterContext context) {
        super(context);
    }

    @Override
    public String visitNamedArgument(Expr.NamedArgument argument) {
        if (!has(SqlFeature.NAMED_ARGUMENTS)) {
            throw cannot("an argument that is named");
        }
        return language().write(argument.name()) + " => " + text(argument.value());
    }

    @Override
    public String visitUnary(Expr.Unary unary) {
        return switch (unary.operator()) {
            case NOT -> "NOT " + operand(unary.operand(), Levels.NOT + 1);
            case MINUS -> "-" + closed(unary.operand());
            case PLUS -> "+" + closed(unary.operand());
            case BIT_NOT -> "~" + closed(unary.operand());
            case PRIOR, ROOT -> throw cannot("a hierarchical query");
        };
    }

    @Override
    public String visitBinary(Expr.Binary binary) {
        return switch (binary.operator()) {
            case ADD -> sides(binary, Levels.SUM, Levels.SUM + 1);
            case SUBTRACT -> sides(binary, Levels.SUM, Levels.SUM + 1);
            case MULTIPLY -> sides(binary, Levels.PRODUCT, Levels.PRODUCT + 1);
            case DIVIDE -> sides(binary, Levels.PRODUCT, Levels.PRODUCT + 1);
            case DIVIDE_EXACT -> exactQuotient(binary);
            case DIVIDE_WHOLE -> wholeQuotient(binary);
            case MODULO -> modulo(binary);
            case POWER -> "POWER(" + text(binary.left()) + ", " + text(binary.right()) + ")";
            case SAME, DIFFERENT -> distinct(binary);
            case XOR -> throw cannot("XOR");
            default ->
                binary.operator().compares() ? sides(binary, Levels.PREDICATE + 1, Levels.PREDICATE + 1) : odd(binary);
        };
    }

    protected final String sides(Expr.Binary binary, int left, int right) {
        return operand(binary.left(), left) + " " + binary.operator().symbol() + " " + operand(binary.right(), right);
    }

    /** A quotient with its fraction where {@code /} would cut it off. */
    protected String exactQuotient(Expr.Binary binary) {
        if (!has(SqlFeature.WHOLE_DIVISION)) {
            return sides(binary, Levels.PRODUCT, Levels.PRODUCT + 1);
        }
        return "CAST(" + text(binary.left()) + " AS " + exactType() + ") / " + closed(binary.right());
    }

    /** The type that keeps a fraction. */
    protected String exactType() {
        return "DECIMAL(38, 10)";
    }

    /** A quotient without its fraction. */
    protected String wholeQuotient(Expr.Binary binary) {
        String quotient = closed(binary.left()) + " / " + closed(binary.right());
        return has(SqlFeature.WHOLE_DIVISION) ? quotient : "TRUNC(" + quotient + ")";
    }

    protected String modulo(Expr.Binary binary) {
        return "MOD(" + text(binary.left()) + ", " + text(binary.right()) + ")";
    }

    /** Equality that holds two NULLs equal. */
    protected String distinct(Expr.Binary binary) {
        if (has(SqlFeature.IS_DISTINCT_FROM)) {
            return sides(binary, Levels.PREDICATE + 1, Levels.PREDICATE + 1);
        }
        String left = closed(binary.left());
        String right = closed(binary.right());
        boolean same = binary.operator() == BinaryOperator.SAME;
        String equal = "(" + left + " = " + right + " OR " + left + " IS NULL AND " + right + " IS NULL)";
        String choice = "CASE WHEN " + equal + " THEN 1 ELSE 0 END";
        return choice + (same ? " = 1" : " = 0");
    }

    /** Operators that not all dialects have. */
    protected String odd(Expr.Binary binary) {
        return switch (binary.operator()) {
            case BIT_AND, BIT_OR, SHIFT_LEFT, SHIFT_RIGHT ->
                closed(binary.left()) + " " + binary.operator().symbol() + " " + closed(binary.right());
            default -> throw cannot("the operator " + binary.operator().symbol());
        };
    }

    @Override
    public String visitJunction(Expr.Junction junction) {
        int level = junction.and() ? Levels.NOT : Levels.AND;
        List<String> parts = new ArrayList<>(junction.parts().size());
        for (Expr part : junction.parts()) {
            parts.add(operand(part, level));
        }
        return Layout.conditions(junction.and() ? "AND" : "OR", parts);
    }

    @Override
    public String visitConcat(Expr.Concat concat) {
        if (concat.nullIsEmpty() && !has(SqlFeature.EMPTY_TEXT_IS_NULL)) {
            throw cannot("texts put together with NULL as empty");
        }
        return concat.parts().stream().map(this::closed).collect(Collectors.joining(" || "));
    }

    @Override
    public String visitQuantified(Expr.Quantified q) {
        String right = q.right() instanceof Expr.Subquery ? text(q.right()) : array(q);
        return operand(q.left(), Levels.PREDICATE + 1) + " " + q.operator().symbol() + (q.all() ? " ALL " : " ANY ")
                + right;
    }

    private String array(Expr.Quantified q) {
        if (!has(SqlFeature.ARRAYS)) {
            throw cannot("a comparison with the elements of an array");
        }
        return "(" + text(q.right()) + ")";
    }

    @Override
    public String visitBetween(Expr.Between between) {
        if (between.symmetric()) {
            throw cannot("BETWEEN SYMMETRIC");
        }
        return operand(between.value(), Levels.PREDICATE + 1)
                + (between.negated() ? " NOT BETWEEN " : " BETWEEN ")
                + operand(between.low(), Levels.PREDICATE + 1)
                + " AND "
                + operand(between.high(), Levels.PREDICATE + 1);
    }

    @Override
    public String visitInList(Expr.InList in) {
        if (in.value() instanceof Expr.Row && !has(SqlFeature.ROW_VALUES)) {
            throw cannot("a comparison of several values at once");
        }
        if (in.items().isEmpty()) {
            throw cannot("an empty list");
        }
        boolean query = in.items().size() == 1 && in.items().get(0) instanceof Expr.Subquery;
        String items = query ? text(in.items().get(0)) : "(" + list(in.items()) + ")";
        return operand(in.value(), Levels.PREDICATE + 1) + (in.negated() ? " NOT IN " : " IN ") + items;
    }

    @Override
    public String visitExists(Expr.Exists exists) {
        return "EXISTS " + Layout.parentheses(statements().query(exists.query()));
    }

    @Override
    public String visitLike(Expr.Like like) {
        String not = like.negated() ? " NOT" : "";
        String escape = like.escape().map(e -> " ESCAPE " + text(e)).orElse("");
        if (!like.ignoreCase() || has(SqlFeature.ILIKE)) {
            String word = like.ignoreCase() ? " ILIKE " : " LIKE ";
            return operand(like.value(), Levels.PREDICATE + 1)
                    + not
                    + word
                    + operand(like.pattern(), Levels.PREDICATE + 1)
                    + escape;
        }
        boolean low = like.pattern() instanceof Expr.Literal l
                && l.kind() == LiteralKind.STRING
                && l.text().equals(l.text().toLowerCase(Locale.ROOT));
        String pattern = low ? text(like.pattern()) : "LOWER(" + text(like.pattern()) + ")";
        return "LOWER(" + text(like.value()) + ")" + not + " LIKE " + pattern + escape;
    }

    @Override
    public String visitMatches(Expr.Matches matches) {
        if (!has(SqlFeature.REGULAR_EXPRESSIONS)) {
            throw cannot("a regular expression");
        }
        String flags = matches.ignoreCase() ? ", 'i'" : "";
        return (matches.negated() ? "NOT " : "") + "REGEXP_LIKE(" + text(matches.value()) + ", "
                + text(matches.pattern()) + flags + ")";
    }

    @Override
    public String visitIs(Expr.Is is) {
        if (is.truth() == Truth.NULL || has(SqlFeature.IS_TRUE)) {
            return operand(is.value(), Levels.PREDICATE + 1) + (is.negated() ? " IS NOT " : " IS ") + is.truth();
        }
        throw cannot("IS " + is.truth());
    }

    @Override
    public String visitCase(Expr.Case choice) {
        List<String> parts = new ArrayList<>();
        parts.add("CASE" + choice.subject().map(s -> " " + text(s)).orElse(""));
        for (Expr.When when : choice.branches()) {
            parts.add("WHEN " + text(when.condition()) + " THEN " + text(when.result()));
        }
        choice.otherwise().ifPresent(e -> parts.add("ELSE " + text(e)));
        int length = parts.stream().mapToInt(p -> p.length() + 1).sum();
        boolean single = length <= 100 && parts.stream().noneMatch(p -> p.indexOf('\n') >= 0);
        return single ? String.join(" ", parts) + " END" : Layout.indent(String.join("\n", parts)) + "\nEND";
    }

    @Override
    public String visitCast(Expr.Cast cast) {
        if (cast.safe()) {
            return safeCast(cast);
        }
        return "CAST(" + text(cast.value()) + " AS " + statements().type(cast.type()) + ")";
    }

    /** A cast that gives NULL for what cannot be converted. */
    protected String safeCast(Expr.Cast cast) {
        throw cannot("a cast that gives NULL for what cannot be converted");
    }

    protected final String typeText(Expr.Cast cast) {
        return statements().type(cast.type());
    }

    @Override
    public String visitSubquery(Expr.Subquery subquery) {
        return Layout.parentheses(statements().query(subquery.query()));
    }

    @Override
    public String visitRow(Expr.Row row) {
        if (!has(SqlFeature.ROW_VALUES)) {
            throw cannot("several values as one");
        }
        return "(" + list(row.items()) + ")";
    }

    @Override
    public String visitArrayItems(Expr.ArrayItems array) {
        if (!has(SqlFeature.ARRAYS)) {
            throw cannot("an array");
        }
        return "ARRAY[" + list(array.items()) + "]";
    }

    @Override
    public String visitSubscript(Expr.Subscript subscript) {
        if (!has(SqlFeature.ARRAYS)) {
            throw cannot("an element of an array");
        }
        String inner = subscript.slice()
                ? subscript.index().map(this::text).orElse("") + ":"
                        + subscript.end().map(this::text).orElse("")
                : text(subscript.index().orElseThrow());
        boolean made = subscript.array() instanceof Expr.ArrayItems || subscript.array() instanceof Expr.Call;
        String array = made ? "(" + text(subscript.array()) + ")" : closed(subscript.array());
        return array + "[" + inner + "]";
    }

    @Override
    public String visitInterval(Expr.Interval interval) {
        if (!has(SqlFeature.INTERVALS)) {
            throw cannot("a length of time by itself");
        }
        return interval.parts().stream()
                .map(p -> interval(p.amount(), p.unit()))
                .collect(Collectors.joining(" + "));
    }

    /** So many of a unit of time. */
    protected String interval(Expr amount, DateUnit unit) {
        return isNumber(amount)
                ? "INTERVAL '" + text(amount) + "' " + unit.name()
                : closed(amount) + " * INTERVAL '1' " + unit.name();
    }

    protected static boolean isNumber(Expr e) {
        return e instanceof Expr.Literal literal && literal.kind() == LiteralKind.NUMBER;
    }

    @Override
    public String visitAtZone(Expr.AtZone at) {
        throw cannot("AT TIME ZONE");
    }

    @Override
    public String visitCollate(Expr.Collate collate) {
        throw cannot("a collation of its own");
    }

    @Override
    public String visitCurrentTime(Expr.CurrentTime time) {
        String precision = time.precision() >= 0 ? "(" + time.precision() + ")" : "";
        return switch (time.kind()) {
            case DATE -> "CURRENT_DATE";
            case TIME -> "CURRENT_TIME" + precision;
            case TIMESTAMP -> "CURRENT_TIMESTAMP" + precision;
            case LOCAL_TIMESTAMP -> "LOCALTIMESTAMP" + precision;
            case UTC_TIMESTAMP -> throw cannot("the time in UTC");
        };
    }

    @Override
    public String visitSequenceValue(Expr.SequenceValue value) {
        if (!value.next()) {
            throw cannot("the last number of a sequence");
        }
        return "NEXT VALUE FOR " + name(value.sequence());
    }

    @Override
    public String visitAssignment(Expr.Assignment assignment) {
        throw cannot("an assignment inside of an expression");
    }

    @Override
    public String visitDefault(Expr.Default node) {
        if (!has(SqlFeature.DEFAULT_IN_VALUES)) {
            throw cannot("DEFAULT among values");
        }
        return "DEFAULT";
    }
}
