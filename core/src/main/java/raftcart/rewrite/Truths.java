package raftcart.rewrite;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.UnaryOperator;
import raftcart.type.LogicalType;

/** Truth values that the source uses as the numbers 0 and 1, where the target has them apart from numbers. */
final class Truths {
    private static final Set<String> TRUE_WORDS = Set.of("1", "t", "true", "y", "yes", "on");
    private static final Set<String> FALSE_WORDS = Set.of("0", "f", "false", "n", "no", "off");

    private static final Pattern NUMERAL = Pattern.compile("\\s*-?([0-9]+(\\.[0-9]+)?|\\.[0-9]+)");

    private final ExprAdapter adapter;

    Truths(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** True where the target takes no truth value for a number. */
    boolean apart() {
        return !adapter.from.name().equals(adapter.to.name())
                && adapter.to.has(SqlFeature.BOOLEAN_CONSTANTS)
                && !adapter.to.has(SqlFeature.NUMBERS_ARE_CONDITIONS);
    }

    /** True for a column and the like that holds a truth value; a condition becomes a number wherever a value is wanted. */
    boolean isTruth(Expr e) {
        return adapter.kind(e) == ValueKind.BOOLEAN && !KindFinder.isCondition(e);
    }

    /** A truth value of the source as the number that it is there, still in the source's words. */
    Expr number(Expr e) {
        if (!apart() || !isTruth(e)) {
            return e;
        }
        adapter.note(FindingCode.CONDITION_ADAPTED, e.span(), "a truth value as a number");
        return e instanceof Expr.Literal l
                ? Expr.Literal.number(l.text().equals("true") ? 1 : 0)
                : new Expr.Cast(e, adapter.sourceType(new LogicalType.Int(32, false)), false, e.span());
    }

    /** What becomes of values among which are truth values, if one of them is the result. */
    enum Mixture {
        /** They all are truth values: 0 and 1 among them, too. */
        TRUTHS,
        /** They all are numbers. */
        NUMBERS,
        /** They are of one kind, or of others. */
        NONE
    }

    /** How truth values and numbers are mixed in the SQL that is read. */
    static Mixture mixture(List<Expr> values, Function<Expr, ValueKind> kinds, Language from) {
        boolean truths = false;
        boolean conditions = false;
        boolean numbers = false;
        boolean further = false;
        for (Expr value : values) {
            ValueKind kind = kinds.apply(value);
            boolean condition = KindFinder.isCondition(value);
            truths |= kind == ValueKind.BOOLEAN && !condition;
            conditions |= condition && from.has(SqlFeature.NUMBERS_ARE_CONDITIONS);
            numbers |= kind.isNumber();
            further |= kind.isNumber() && !isZeroOrOne(value);
        }
        if (truths && numbers && !further && !conditions) {
            return Mixture.TRUTHS;
        }
        return (truths || conditions) && numbers || truths && conditions ? Mixture.NUMBERS : Mixture.NONE;
    }

    /** Values of which one becomes the result: 0 and 1 beside truth values are such, beside other numbers they all are numbers. */
    List<Expr> alike(List<Expr> values) {
        return switch (apart() ? mixture(values, adapter::kind, adapter.from) : Mixture.NONE) {
            case TRUTHS -> values.stream().map(this::truth).toList();
            case NUMBERS -> values.stream().map(this::number).toList();
            case NONE -> values;
        };
    }

    /** Values that are compared, the truth values and conditions among them as numbers. */
    List<Expr> asNumbers(List<Expr> values) {
        boolean counts = apart() && adapter.from.has(SqlFeature.NUMBERS_ARE_CONDITIONS);
        return values.stream()
                .map(v -> counts && KindFinder.isCondition(v) ? asNumber(v, v.span()) : number(v))
                .toList();
    }

    /** True for the constants 0 and 1. */
    static boolean isZeroOrOne(Expr e) {
        return e instanceof Expr.Literal l
                && l.kind() == LiteralKind.NUMBER
                && (l.text().equals("0") || l.text().equals("1"));
    }

    private Expr truth(Expr e) {
        if (!isZeroOrOne(e)) {
            return e;
        }
        String text = ((Expr.Literal) e).text();
        adapter.note(FindingCode.CONDITION_ADAPTED, e.span(), text + " beside a truth value");
        return new Expr.Literal(LiteralKind.BOOLEAN, text.equals("1") ? "true" : "false", e.span());
    }

    /** A number as a condition, which is true for all but zero. */
    private Expr ofNumber(Expr value) {
        adapter.note(FindingCode.CONDITION_ADAPTED, value.span(), "a number for a truth value");
        Expr zero = Expr.Literal.number(0);
        // HSQLDB reads no comparison that begins with a sum where a value is wanted.
        return value instanceof Expr.Binary
                ? new Expr.Binary(BinaryOperator.NOT_EQUAL, zero, value, value.span())
                : new Expr.Binary(BinaryOperator.NOT_EQUAL, value, zero, value.span());
    }

    /** What a query gives for a column of truth values, still in the source's words. */
    Expr selected(Expr value) {
        return isZeroOrOne(value) && apart()
                ? truth(value)
                : Expr.Call.of("truth_of", value).at(value.span());
    }

    /** A condition, or a number that is one, where a column of truth values takes it. */
    Expr value(Expr e) {
        Expr condition = adapter.kind(e).isNumber() ? ofNumber(e) : e;
        return adapter.to.has(SqlFeature.BOOLEAN_CONSTANTS) && adapter.to.has(SqlFeature.CONDITIONS_ARE_VALUES)
                ? adapter.condition(condition)
                : adapter.expr(condition);
    }

    /** 0 and 1 beside a boolean are FALSE and TRUE, and the other way round. */
    Expr beside(Expr e) {
        if (e instanceof Expr.Literal literal && adapter.to.has(SqlFeature.BOOLEAN_CONSTANTS)) {
            boolean other = literal.kind() == LiteralKind.NUMBER && !isZeroOrOne(literal);
            if (other) {
                throw new Untranslatable("a truth value is compared with " + literal.text());
            }
            Optional<Boolean> truth = ofWord(literal.text());
            if (literal.kind() != LiteralKind.BOOLEAN && truth.isPresent()) {
                adapter.note(FindingCode.CONDITION_ADAPTED, e.span(), literal.text() + " beside a truth value");
                return new Expr.Literal(LiteralKind.BOOLEAN, String.valueOf(truth.get()), e.span());
            }
        }
        if (e instanceof Expr.Literal word
                && word.kind() == LiteralKind.STRING
                && (low(word).equals("true") || low(word).equals("false"))) {
            return Expr.Literal.number(low(word).equals("true") ? 1 : 0);
        }
        boolean condition = KindFinder.isCondition(e)
                && adapter.to.has(SqlFeature.BOOLEAN_CONSTANTS)
                && adapter.to.has(SqlFeature.CONDITIONS_ARE_VALUES);
        return condition ? adapter.condition(e) : adapter.expr(e);
    }

    /** The truth value that a word stands for ("Boolean Type" of PostgreSQL). */
    static Optional<Boolean> ofWord(String word) {
        String low = word.toLowerCase(Locale.ROOT);
        return TRUE_WORDS.contains(low) ? Optional.of(true) : Optional.of(false).filter(f -> FALSE_WORDS.contains(low));
    }

    private static String low(Expr.Literal literal) {
        return literal.text().toLowerCase(Locale.ROOT);
    }

    /** True where what is of this kind has to be made a truth value before a column takes it. */
    boolean wantsCondition(ValueKind value, LogicalType column) {
        boolean normal = !adapter.from.has(SqlFeature.NUMBERS_ARE_CONDITIONS);
        return (value.isNumber() || value == ValueKind.BOOLEAN)
                && KindFinder.kind(column) == ValueKind.BOOLEAN
                && !adapter.from.name().equals(adapter.to.name())
                && (apart() || normal);
    }

    /** The greatest of truth values is whether any is true, and the least whether all are. */
    Expr.Call extreme(Expr.Call call, Span span) {
        boolean ofTruths = (call.is("max") || call.is("min"))
                && !adapter.from.name().equals(adapter.to.name())
                && isTruth(call.arguments().get(0));
        if (ofTruths && adapter.to.has(SqlFeature.NO_EXTREMES_OF_TRUTHS)) {
            Expr truth = call.arguments().get(0);
            Expr number = new Expr.Cast(truth, adapter.sourceType(new LogicalType.Int(32, false)), false, span);
            return call.with(call.function(), List.of(number));
        }
        boolean extreme = ofTruths && apart();
        String function = call.is("max") ? "some" : "every";
        return extreme && adapter.writes(function)
                ? new Expr.Call(QualifiedName.of(function), true, call.arguments(), call.suffix(), span)
                : call;
    }

    /** A constant text as the number with which it begins, where the source asks for that and the target for a truth value. */
    Expr numeral(Expr condition) {
        boolean text = condition instanceof Expr.Literal l
                && l.kind() == LiteralKind.STRING
                && adapter.lost(SqlFeature.NUMBERS_ARE_CONDITIONS);
        if (!text) {
            return condition;
        }
        Matcher number = NUMERAL.matcher(((Expr.Literal) condition).text());
        String digits = number.lookingAt() ? number.group().strip() : "0";
        return new Expr.Literal(LiteralKind.NUMBER, digits, condition.span());
    }

    /** A column of truth values where its text is wanted: as the number that it is to the source. */
    static Expr shown(Expr given, Expr adapted, ExprAdapter adapter) {
        return isNumber(given, adapter) ? adapter.ofKind(asNumber(adapted, given.span()), ValueKind.INTEGER) : adapted;
    }

    /** True for a column whose truth values are the numbers 1 and 0 to the source, and have words on the target. */
    static boolean isNumber(Expr given, ExprAdapter adapter) {
        return given instanceof Expr.Column
                && adapter.kind(given) == ValueKind.BOOLEAN
                && adapter.lost(SqlFeature.NUMBERS_ARE_CONDITIONS)
                && adapter.to.has(SqlFeature.BOOLEAN_CONSTANTS);
    }

    /** A truth value by its first letter, as it is shown by what puts texts together and passes over NULL. */
    static Optional<Expr> letter(Expr given, ExprAdapter adapter) {
        boolean other = adapter.kind(given) == ValueKind.BOOLEAN && adapter.lost(SqlFeature.CONCAT_ABBREVIATES_TRUTHS);
        if (!other) {
            return Optional.empty();
        }
        Expr condition = adapter.condition(given);
        Expr not = new Expr.Unary(UnaryOperator.NOT, condition, given.span());
        return Optional.of(new Expr.Case(
                Optional.empty(),
                List.of(
                        new Expr.When(condition, Expr.Literal.string("t")),
                        new Expr.When(not, Expr.Literal.string("f"))),
                Optional.empty(),
                given.span()));
    }

    /** 1, 0 or NULL for a condition. */
    static Expr asNumber(Expr condition, Span span) {
        if (NeverNull.isTrueOrFalse(condition)) {
            return Expr.Case.of(condition, Expr.Literal.number(1), Expr.Literal.number(0));
        }
        Expr not = new Expr.Unary(UnaryOperator.NOT, condition, span);
        return new Expr.Case(
                Optional.empty(),
                List.of(new Expr.When(condition, Expr.Literal.number(1)), new Expr.When(not, Expr.Literal.number(0))),
                Optional.empty(),
                span);
    }
}
