package raftcart.translate;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Dialect;
import raftcart.dialect.Feature;
import raftcart.dialect.Untranslatable;
import raftcart.sql.Span;
import raftcart.sql.expr.BinaryOperator;
import raftcart.sql.expr.Expr;
import raftcart.sql.expr.ExprRewriter;
import raftcart.sql.expr.LiteralKind;
import raftcart.sql.expr.UnaryOperator;
import raftcart.sql.tree.TypeName;
import raftcart.translate.ExpressionTranslator.ColumnPair;
import raftcart.translate.ExpressionTyper.Kind;
import raftcart.type.LogicalType;
import raftcart.type.ValueForm;

/**
 * Changes a tree so that it means on the target what it meant on the source: names, booleans, division, casts,
 * comparison of text.
 */
final class ExpressionAdapter extends ExprRewriter {
    /** What PCRE and POSIX expressions mean alike: no groups with a question mark, only the plainest escapes. */
    private static final Pattern COMMON_REGEX =
            Pattern.compile("(?s)(?:[^\\\\(]|\\((?!\\?)|\\\\[dDwWsS.^$*+?()\\[\\]{}|/\\\\-])*+");

    private final Dialect from;
    private final Dialect to;
    private final Map<String, ColumnPair> columns;
    private final NameMapper names;
    private final ExpressionTyper typer;
    private final boolean foldCase;
    private boolean foldedCase;

    ExpressionAdapter(Dialect from, Dialect to, Map<String, ColumnPair> columns, NameMapper names) {
        this.from = from;
        this.to = to;
        this.columns = columns;
        this.names = names;
        this.typer = new ExpressionTyper(from, columns);
        this.foldCase = from.capabilities().has(Feature.COMPARES_IGNORING_CASE)
                && !to.capabilities().has(Feature.COMPARES_IGNORING_CASE);
    }

    Expr adapt(Expr expression) {
        return rewrite(expression);
    }

    boolean foldedCase() {
        return foldedCase;
    }

    @Override
    public Expr visitColumnRef(Expr.ColumnRef column) {
        ColumnPair pair = columns.get(column.column());
        if (pair == null) {
            throw new Untranslatable("column " + column.column() + " is not one of the table's");
        }
        return new Expr.ColumnRef(List.of(pair.targetName()), column.span());
    }

    @Override
    public Expr visitCast(Expr.Cast cast) {
        LogicalType type = from.types().read(cast.type());
        boolean textWithoutLength = type instanceof LogicalType.Text;
        Kind kind = typer.kind(cast.value());
        boolean constant = cast.value() instanceof Expr.Literal literal && literal.kind() == LiteralKind.STRING;
        if (textWithoutLength && (kind == Kind.TEXT || kind == Kind.TEXT_IGNORING_CASE || constant)) {
            return rewrite(cast.value());
        }
        if (cast.value() instanceof Expr.Literal literal) {
            Optional<Expr> typed = constant(literal, type);
            if (typed.isPresent()) {
                return typed.get();
            }
        }
        return new Expr.Cast(rewrite(cast.value()), TypeName.of(to.types().castName(type)), cast.span());
    }

    /** A constant that its cast only gives a type is better written as a constant of that type. */
    private static Optional<Expr> constant(Expr.Literal literal, LogicalType type) {
        boolean number = type instanceof LogicalType.Int || type instanceof LogicalType.Decimal;
        if (literal.kind() == LiteralKind.BITS) {
            return Optional.of(literal);
        }
        if (literal.kind() == LiteralKind.NUMBER && keepsNumber(literal, type)) {
            return Optional.of(literal);
        }
        if (literal.kind() != LiteralKind.STRING) {
            return Optional.empty();
        }
        if (type.form() == ValueForm.BYTES) {
            if (!literal.text().startsWith("\\x")) {
                throw new Untranslatable("bytes that are not written in hexadecimal");
            }
            return Optional.of(
                    new Expr.Literal(LiteralKind.BYTES, literal.text().substring(2), literal.span()));
        }
        if (number && literal.text().matches("-?\\d+(\\.\\d+)?")) {
            return Optional.of(new Expr.Literal(LiteralKind.NUMBER, literal.text(), literal.span()));
        }
        if (type.form() == ValueForm.BITS && literal.text().matches("[01]*")) {
            return Optional.of(new Expr.Literal(LiteralKind.BITS, literal.text(), literal.span()));
        }
        if (type instanceof LogicalType.Array) {
            throw new Untranslatable("an array");
        }
        if (type.form() == ValueForm.TIMESTAMP) {
            return Optional.of(new Expr.Literal(LiteralKind.TIMESTAMP, literal.text(), literal.span()));
        }
        if (type.form() == ValueForm.DATE) {
            return Optional.of(new Expr.Literal(LiteralKind.DATE, literal.text(), literal.span()));
        }
        boolean textual = type.form() == ValueForm.TEXT && !(type instanceof LogicalType.Varchar);
        return textual ? Optional.of(literal) : Optional.empty();
    }

    /** True where a number is the same number as a constant of the type. */
    private static boolean keepsNumber(Expr.Literal number, LogicalType type) {
        return type instanceof LogicalType.Floating
                || (type instanceof LogicalType.Decimal decimal && decimal.precision() == 0)
                || (type instanceof LogicalType.Int && number.text().matches("-?\\d+"));
    }

    @Override
    public Expr visitNextValue(Expr.NextValue next) {
        ObjectName mapped = names.sequence(next.sequence());
        return new Expr.NextValue(List.of(mapped.schema(), mapped.name()), next.span());
    }

    @Override
    public Expr visitUnary(Expr.Unary unary) {
        return unary.operator() == UnaryOperator.NOT
                ? new Expr.Unary(UnaryOperator.NOT, condition(unary.operand()), unary.span())
                : super.visitUnary(unary);
    }

    @Override
    public Expr visitBinary(Expr.Binary binary) {
        BinaryOperator operator = binary.operator();
        if (operator.joinsTruths()) {
            return new Expr.Binary(operator, condition(binary.left()), condition(binary.right()), binary.span());
        }
        if (operator.compares()) {
            List<Expr> sides = comparable(List.of(binary.left(), binary.right()));
            return new Expr.Binary(operator, sides.get(0), sides.get(1), binary.span());
        }
        BinaryOperator exact = operator == BinaryOperator.DIVIDE_BY_TYPE ? division(binary) : operator;
        Expr divisor = divisor(exact, binary.right());
        return exact == BinaryOperator.DIVIDE
                ? quotient(binary, divisor)
                : new Expr.Binary(exact, rewrite(binary.left()), divisor, binary.span());
    }

    /**
     * An exact division keeps the digits that it has on the source: rounded where only the source rounds
     * ("div_precision_increment"), and with a dividend of many digits where only the target does.
     */
    private Expr quotient(Expr.Binary division, Expr divisor) {
        int more = from.capabilities().digitsOfDivision();
        boolean alike = more == to.capabilities().digitsOfDivision()
                || isFloating(division.left())
                || isFloating(division.right());
        Expr dividend = rewrite(division.left());
        if (!alike && more == 0) {
            String widest = to.types().castName(new LogicalType.Decimal(0, 0, false));
            dividend = new Expr.Cast(dividend, TypeName.of(widest), division.span());
        }
        Expr adapted = new Expr.Binary(BinaryOperator.DIVIDE, dividend, divisor, division.span());
        if (alike || more == 0) {
            return adapted;
        }
        Expr digits = new Expr.Literal(LiteralKind.NUMBER, "" + (scale(division.left()) + more), Span.NONE);
        return new Expr.Call("round", List.of(adapted, digits), division.span());
    }

    private boolean isFloating(Expr expression) {
        return expression instanceof Expr.ColumnRef column
                && columns.containsKey(column.column())
                && columns.get(column.column()).targetType() instanceof LogicalType.Floating;
    }

    private int scale(Expr dividend) {
        if (dividend instanceof Expr.Literal literal && literal.kind() == LiteralKind.NUMBER) {
            int point = literal.text().indexOf('.');
            return point < 0 ? 0 : literal.text().length() - point - 1;
        }
        if (dividend instanceof Expr.ColumnRef column && columns.containsKey(column.column())) {
            LogicalType type = columns.get(column.column()).targetType();
            if (type instanceof LogicalType.Decimal decimal) {
                return decimal.scale();
            }
        }
        if (typer.kind(dividend) == Kind.WHOLE) {
            return 0;
        }
        throw new Untranslatable("a division whose dividend has an unknown number of digits");
    }

    /** Where the source gives NULL for a division by zero and the target an error, the zero becomes NULL first. */
    private Expr divisor(BinaryOperator operator, Expr right) {
        boolean divides = operator == BinaryOperator.DIVIDE
                || operator == BinaryOperator.DIVIDE_WHOLE
                || operator == BinaryOperator.MODULO;
        boolean nonZero =
                right instanceof Expr.Literal literal && !literal.text().matches("-?0*[.]?0*");
        boolean gives = from.capabilities().has(Feature.NULL_FOR_DIVISION_BY_ZERO)
                && !to.capabilities().has(Feature.NULL_FOR_DIVISION_BY_ZERO);
        if (!divides || nonZero || !gives) {
            return rewrite(right);
        }
        Expr zero = new Expr.Literal(LiteralKind.NUMBER, "0", Span.NONE);
        return new Expr.Call("nullif", List.of(rewrite(right), zero), right.span());
    }

    private BinaryOperator division(Expr.Binary binary) {
        Kind left = typer.kind(binary.left());
        Kind right = typer.kind(binary.right());
        if (left == Kind.UNKNOWN || right == Kind.UNKNOWN) {
            throw new Untranslatable("a division whose operands may or may not be whole numbers");
        }
        return left == Kind.WHOLE && right == Kind.WHOLE ? BinaryOperator.DIVIDE_WHOLE : BinaryOperator.DIVIDE;
    }

    @Override
    public Expr visitBetween(Expr.Between between) {
        List<Expr> all = comparable(List.of(between.value(), between.low(), between.high()));
        return new Expr.Between(all.get(0), all.get(1), all.get(2), between.negated(), between.span());
    }

    @Override
    public Expr visitInList(Expr.InList inList) {
        List<Expr> all = new ArrayList<>(List.of(inList.value()));
        all.addAll(inList.items());
        List<Expr> adapted = comparable(all);
        return new Expr.InList(adapted.get(0), adapted.subList(1, adapted.size()), inList.negated(), inList.span());
    }

    @Override
    public Expr visitLike(Expr.Like like) {
        List<Expr> sides = comparable(List.of(like.value(), like.pattern()));
        return new Expr.Like(sides.get(0), sides.get(1), like.ignoreCase(), like.negated(), like.span());
    }

    @Override
    public Expr visitMatches(Expr.Matches matches) {
        Expr expression = rewrite(matches.pattern());
        boolean common = expression instanceof Expr.Literal pattern
                && COMMON_REGEX.matcher(pattern.text()).matches();
        if (!common) {
            throw new Untranslatable("a regular expression that the engines may read in different ways");
        }
        Kind kind = typer.kind(matches.value());
        if (kind != Kind.TEXT && kind != Kind.TEXT_IGNORING_CASE) {
            throw new Untranslatable("a regular expression on a value that may or may not ignore case");
        }
        boolean byCollation = from.capabilities().has(Feature.COMPARES_IGNORING_CASE);
        boolean ignoreCase = byCollation ? kind == Kind.TEXT_IGNORING_CASE : matches.ignoreCase();
        return new Expr.Matches(rewrite(matches.value()), expression, ignoreCase, matches.negated(), matches.span());
    }

    /** Engines spell truth values and floating-point numbers in ways of their own. */
    @Override
    public Expr visitConcat(Expr.Concat concat) {
        for (Expr part : concat.parts()) {
            if (typer.kind(part) == Kind.BOOLEAN || isFloating(part)) {
                throw new Untranslatable("a truth value or floating-point number becomes part of a text");
            }
        }
        return super.visitConcat(concat);
    }

    @Override
    public Expr visitCase(Expr.Case choice) {
        if (choice.subject().isPresent()) {
            return super.visitCase(choice);
        }
        return new Expr.Case(
                choice.subject(),
                choice.branches().stream()
                        .map(w -> new Expr.When(condition(w.condition()), rewrite(w.result())))
                        .toList(),
                choice.otherwise().map(this::rewrite),
                choice.span());
    }

    @Override
    public Expr visitCall(Expr.Call call) {
        if (!call.function().equals("if")) {
            return super.visitCall(call);
        }
        Expr.When branch = new Expr.When(
                condition(call.arguments().get(0)), rewrite(call.arguments().get(1)));
        return new Expr.Case(
                Optional.empty(),
                List.of(branch),
                Optional.of(rewrite(call.arguments().get(2))),
                call.span());
    }

    /** An expression that stands where a truth value is wanted: a number is true unless it is zero. */
    private Expr condition(Expr expression) {
        Kind kind = typer.kind(expression);
        if (kind == Kind.WHOLE || kind == Kind.FRACTION) {
            Expr zero = new Expr.Literal(LiteralKind.NUMBER, "0", Span.NONE);
            return new Expr.Binary(BinaryOperator.NOT_EQUAL, rewrite(expression), zero, expression.span());
        }
        if (kind == Kind.BOOLEAN) {
            return rewrite(expression);
        }
        throw new Untranslatable("a value that is not a condition stands where one is wanted");
    }

    /** Expressions that are compared with each other, brought to one kind. */
    private List<Expr> comparable(List<Expr> expressions) {
        List<Kind> kinds = expressions.stream().map(typer::kind).toList();
        boolean bool = kinds.contains(Kind.BOOLEAN);
        boolean fold = foldCase && kinds.contains(Kind.TEXT_IGNORING_CASE);
        return expressions.stream()
                .map(e -> bool ? truth(e) : fold ? folded(e) : rewrite(e))
                .toList();
    }

    private Expr truth(Expr expression) {
        if (expression instanceof Expr.Literal literal && literal.kind() == LiteralKind.NUMBER) {
            if (literal.text().equals("0") || literal.text().equals("1")) {
                String word = literal.text().equals("1") ? "true" : "false";
                return new Expr.Literal(LiteralKind.BOOLEAN, word, literal.span());
            }
            throw new Untranslatable("a boolean is compared with " + literal.text());
        }
        if (typer.kind(expression) != Kind.BOOLEAN) {
            throw new Untranslatable("a boolean is compared with something else");
        }
        return rewrite(expression);
    }

    private Expr folded(Expr expression) {
        foldedCase = true;
        if (expression instanceof Expr.Literal literal && literal.kind() == LiteralKind.STRING) {
            return new Expr.Literal(LiteralKind.STRING, literal.text().toLowerCase(Locale.ROOT), literal.span());
        }
        return new Expr.Call("lower", List.of(rewrite(expression)), expression.span());
    }
}
