package raftcart.translate;

import java.util.Map;
import java.util.Set;
import raftcart.dialect.Dialect;
import raftcart.sql.expr.Expr;
import raftcart.sql.expr.ExprVisitor;
import raftcart.sql.expr.UnaryOperator;
import raftcart.translate.ExpressionTranslator.ColumnPair;
import raftcart.type.LogicalType;

/** Finds what kind of value an expression gives, as far as columns and constants tell. */
final class ExpressionTyper implements ExprVisitor<ExpressionTyper.Kind> {
    private static final Set<String> TEXT_FUNCTIONS =
            Set.of("lower", "upper", "trim", "ltrim", "rtrim", "left", "right", "replace", "repeat", "reverse");
    private static final Set<String> WHOLE_FUNCTIONS = Set.of("char_length", "octet_length", "sign");

    private final Dialect dialect;
    private final Map<String, ColumnPair> columns;

    ExpressionTyper(Dialect dialect, Map<String, ColumnPair> columns) {
        this.dialect = dialect;
        this.columns = columns;
    }

    /** The kinds of value that translation has to tell apart. */
    enum Kind {
        BOOLEAN,
        WHOLE,
        FRACTION,
        TEXT,
        /** Text of a column that compares without regard to case. */
        TEXT_IGNORING_CASE,
        TIME,
        OTHER,
        UNKNOWN
    }

    Kind kind(Expr expression) {
        return expression.accept(this);
    }

    private Kind kind(LogicalType type, boolean ignoresCase) {
        if (type instanceof LogicalType.Json || type instanceof LogicalType.Uuid || type instanceof LogicalType.Array) {
            return Kind.OTHER;
        }
        if (type instanceof LogicalType.Enumeration) {
            return Kind.TEXT; // compared by its members, whatever the collation
        }
        return switch (type.form()) {
            case BOOLEAN -> Kind.BOOLEAN;
            case INTEGER -> Kind.WHOLE;
            case DECIMAL, FLOATING -> Kind.FRACTION;
            case TEXT, PADDED_TEXT -> ignoresCase ? Kind.TEXT_IGNORING_CASE : Kind.TEXT;
            case DATE, TIME, DURATION, TIMESTAMP, INSTANT -> Kind.TIME;
            case BYTES, BITS -> Kind.OTHER;
        };
    }

    @Override
    public Kind visitLiteral(Expr.Literal literal) {
        return switch (literal.kind()) {
            case BOOLEAN -> Kind.BOOLEAN;
            case NUMBER -> literal.text().matches("-?\\d+") ? Kind.WHOLE : Kind.FRACTION;
            case STRING -> Kind.TEXT;
            case DATE, TIME, TIMESTAMP -> Kind.TIME;
            case BYTES, BITS -> Kind.OTHER;
            case NULL -> Kind.UNKNOWN;
        };
    }

    @Override
    public Kind visitColumnRef(Expr.ColumnRef column) {
        ColumnPair pair = columns.get(column.column());
        return pair == null
                ? Kind.UNKNOWN
                : kind(pair.targetType(), pair.source().ignoresCase());
    }

    @Override
    public Kind visitCall(Expr.Call call) {
        if (TEXT_FUNCTIONS.contains(call.function())) {
            Kind argument = kind(call.arguments().get(0));
            return argument == Kind.TEXT_IGNORING_CASE ? argument : Kind.TEXT;
        }
        if (WHOLE_FUNCTIONS.contains(call.function())) {
            return Kind.WHOLE;
        }
        boolean likeFirst = call.function().equals("coalesce")
                || call.function().equals("nullif")
                || call.function().equals("abs")
                || call.function().equals("mod");
        return likeFirst ? kind(call.arguments().get(0)) : Kind.UNKNOWN;
    }

    @Override
    public Kind visitUnary(Expr.Unary unary) {
        return unary.operator() == UnaryOperator.NOT ? Kind.BOOLEAN : kind(unary.operand());
    }

    @Override
    public Kind visitBinary(Expr.Binary binary) {
        if (binary.operator().compares() || binary.operator().joinsTruths()) {
            return Kind.BOOLEAN;
        }
        Kind left = kind(binary.left());
        Kind right = kind(binary.right());
        return switch (binary.operator()) {
            case DIVIDE -> Kind.FRACTION;
            case DIVIDE_WHOLE, BIT_AND, BIT_OR, BIT_XOR, SHIFT_LEFT, SHIFT_RIGHT -> Kind.WHOLE;
            default ->
                left == Kind.FRACTION || right == Kind.FRACTION ? Kind.FRACTION : left == right ? left : Kind.UNKNOWN;
        };
    }

    @Override
    public Kind visitConcat(Expr.Concat concat) {
        boolean ignoring = concat.parts().stream().anyMatch(p -> kind(p) == Kind.TEXT_IGNORING_CASE);
        return ignoring ? Kind.TEXT_IGNORING_CASE : Kind.TEXT;
    }

    @Override
    public Kind visitBetween(Expr.Between between) {
        return Kind.BOOLEAN;
    }

    @Override
    public Kind visitInList(Expr.InList inList) {
        return Kind.BOOLEAN;
    }

    @Override
    public Kind visitLike(Expr.Like like) {
        return Kind.BOOLEAN;
    }

    @Override
    public Kind visitMatches(Expr.Matches matches) {
        return Kind.BOOLEAN;
    }

    @Override
    public Kind visitIs(Expr.Is is) {
        return Kind.BOOLEAN;
    }

    @Override
    public Kind visitCase(Expr.Case choice) {
        return kind(choice.branches().get(0).result());
    }

    @Override
    public Kind visitCast(Expr.Cast cast) {
        return kind(dialect.types().read(cast.type()), false);
    }

    @Override
    public Kind visitCurrentTime(Expr.CurrentTime time) {
        return Kind.TIME;
    }

    @Override
    public Kind visitNextValue(Expr.NextValue next) {
        return Kind.WHOLE;
    }
}
