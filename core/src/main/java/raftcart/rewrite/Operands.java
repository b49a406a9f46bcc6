package raftcart.rewrite;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.LexicalFeature;
import raftcart.sql.function.ValueKind;
import raftcart.sql.parse.CallReading;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** What operands mean before the operator is looked at: bytes and truth values that are numbers, calls that are intervals. */
final class Operands {
    private static final Set<String> SUMS = Set.of("sum", "avg", "stddev_pop", "stddev_samp", "var_pop", "var_samp");

    private static final Pattern NUMERAL = Pattern.compile("-?\\d+(?:[.]\\d+)?");

    private static final Set<BinaryOperator> NUMERIC = EnumSet.of(
            BinaryOperator.ADD,
            BinaryOperator.SUBTRACT,
            BinaryOperator.MULTIPLY,
            BinaryOperator.DIVIDE,
            BinaryOperator.DIVIDE_WHOLE,
            BinaryOperator.MODULO,
            BinaryOperator.BIT_AND,
            BinaryOperator.BIT_OR,
            BinaryOperator.BIT_XOR);

    private static final Pattern DATE = Pattern.compile("\\d{4}-?\\d\\d-?\\d\\d([ T]\\d\\d:\\d\\d.*)?");

    private final ExprAdapter adapter;

    Operands(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    private boolean same() {
        return adapter.from.name().equals(adapter.to.name());
    }

    /** A sum or difference with the intervals that calls make of constants. */
    Expr.Binary meant(Expr.Binary binary) {
        boolean sum = binary.operator() == BinaryOperator.ADD || binary.operator() == BinaryOperator.SUBTRACT;
        return sum && !same()
                ? new Expr.Binary(binary.operator(), interval(binary.left()), interval(binary.right()), binary.span())
                : binary;
    }

    /** The interval that a call makes of constants. */
    private Expr interval(Expr e) {
        return e instanceof Expr.Call call
                ? adapter.from
                        .grammar()
                        .calls()
                        .meaning(call)
                        .map(CallReading.Meaning::value)
                        .filter(Expr.Interval.class::isInstance)
                        .orElse(e)
                : e;
    }

    /** MySQL's 0x10 and x'10', and truth values, which are numbers where numbers are wanted. */
    Expr.Binary ofNumbers(Expr.Binary binary) {
        if (same() || !NUMERIC.contains(binary.operator())) {
            return binary;
        }
        Expr left = number(numeral(binary.left(), binary.right(), binary));
        Expr right = number(numeral(binary.right(), binary.left(), binary));
        return new Expr.Binary(binary.operator(), left, right, binary.span());
    }

    /** A constant text that is a number, beside anything but a moment or, where plus joins texts, another text. */
    private Expr numeral(Expr side, Expr other, Expr.Binary binary) {
        boolean number = side instanceof Expr.Literal l
                && l.kind() == LiteralKind.STRING
                && NUMERAL.matcher(l.text()).matches()
                && !adapter.kind(other).isDate()
                && !(other instanceof Expr.Interval);
        boolean joins = binary.operator() == BinaryOperator.ADD
                && (adapter.from.has(SqlFeature.PLUS_CONCATENATES) || adapter.from.has(SqlFeature.PLUS_JOINS_TEXTS))
                && !adapter.kind(other).isNumber();
        if (side instanceof Expr.Literal text
                && text.kind() == LiteralKind.STRING
                && adapter.lost(SqlFeature.LENIENT_NUMBERS)
                && adapter.kind(other).isNumber()) {
            return floating(PlainConstants.leading(text), binary);
        }
        return number && !joins
                ? floating(new Expr.Literal(LiteralKind.NUMBER, ((Expr.Literal) side).text(), side.span()), binary)
                : side;
    }

    /** A text is a floating-point number to MySQL, which a quotient shows. */
    private Expr floating(Expr.Literal number, Expr.Binary binary) {
        boolean shows =
                binary.operator() == BinaryOperator.DIVIDE && adapter.from.has(SqlFeature.FOUR_DIGITS_OF_DIVISION);
        return shows && !number.text().matches(".*[eE].*")
                ? new Expr.Literal(LiteralKind.NUMBER, number.text() + "e0", number.span())
                : number;
    }

    private Expr number(Expr e) {
        boolean bytes = adapter.from.grammar().lexical().has(LexicalFeature.HEX_NUMBERS_ARE_BYTES);
        return new Truths(adapter).number(bytes ? ValueAdapter.number(e) : e);
    }

    /** Truth values as numbers where they are compared with some that are no constants. */
    List<Expr> compared(List<Expr> given) {
        List<Expr> expressions = new ListedValues(adapter).beside(given);
        boolean numbers = expressions.stream()
                .anyMatch(e -> !(e instanceof Expr.Literal) && adapter.kind(e).isNumber());
        return numbers ? new Truths(adapter).asNumbers(expressions) : expressions;
    }

    /** A difference in which a constant text stands beside a moment, which it is to engines that go by the other side. */
    Expr.Binary moments(Expr.Binary difference) {
        ValueKind left = adapter.kind(difference.left());
        ValueKind right = adapter.kind(difference.right());
        boolean goes = difference.operator() == BinaryOperator.SUBTRACT && adapter.from.has(SqlFeature.INTERVAL_VALUES);
        return goes && (left.isDate() || right.isDate())
                ? new Expr.Binary(
                        difference.operator(),
                        moment(difference.left(), right),
                        moment(difference.right(), left),
                        difference.span())
                : difference;
    }

    private static Expr moment(Expr side, ValueKind other) {
        return other.isDate() && side instanceof Expr.Literal l && l.kind() == LiteralKind.STRING
                ? DateAdapter.typed(l, other)
                : side;
    }

    /** A sum of texts, which are numbers to the source, where the target would put them together. */
    Expr.Binary added(Expr.Binary sum, ValueKind left, ValueKind right) {
        boolean any = left == ValueKind.TEXT || right == ValueKind.TEXT;
        boolean texts = adapter.to.has(SqlFeature.PLUS_JOINS_TEXTS) && any
                || adapter.to.has(SqlFeature.PLUS_CONCATENATES)
                        && (left == ValueKind.TEXT && !right.isNumber() || right == ValueKind.TEXT && !left.isNumber());
        if (!texts) {
            return sum;
        }
        adapter.note(FindingCode.IMPLICIT_CAST, sum.span(), "texts that are added, as the numbers that they stand for");
        TypeName number = adapter.sourceType(new LogicalType.Floating(64));
        return new Expr.Binary(
                sum.operator(),
                left == ValueKind.TEXT ? new Expr.Cast(sum.left(), number, false, sum.span()) : sum.left(),
                right == ValueKind.TEXT ? new Expr.Cast(sum.right(), number, false, sum.span()) : sum.right(),
                sum.span());
    }

    /** Says where a text that looks like a date stands beside a column that may hold dates, which the target reads by its settings. */
    void perhapsDates(List<Expr> expressions) {
        boolean unknown = adapter.lost(SqlFeature.ISO_TEXTS_ARE_DATES)
                && expressions.stream().anyMatch(e -> e instanceof Expr.Column && adapter.kind(e) == ValueKind.UNKNOWN);
        if (!unknown) {
            return;
        }
        expressions.stream()
                .filter(e -> e instanceof Expr.Literal l
                        && l.kind() == LiteralKind.STRING
                        && DATE.matcher(l.text()).matches())
                .findFirst()
                .ifPresent(e -> adapter.note(
                        FindingCode.TYPES_UNKNOWN,
                        e.span(),
                        "a text that looks like a date: beside a date write DATE '...' or TO_DATE"));
    }

    /** A computation with the texts cast that the source takes for numbers, and the target does not. */
    Expr.Binary ofTexts(Expr.Binary binary) {
        boolean sum = binary.operator() == BinaryOperator.ADD || binary.operator() == BinaryOperator.SUBTRACT;
        boolean joins = sum && adapter.from.has(SqlFeature.PLUS_CONCATENATES);
        ValueKind left = adapter.kind(binary.left());
        ValueKind right = adapter.kind(binary.right());
        boolean numbers = joins ? left.isNumber() || right.isNumber() : isOfNumbers(left) && isOfNumbers(right);
        if (!NUMERIC.contains(binary.operator()) || !numbers || !adapter.losesConversions()) {
            return binary;
        }
        Expr first = numberOfText(binary.left());
        Expr second = numberOfText(binary.right());
        if (first != binary.left() || second != binary.right()) {
            adapter.note(FindingCode.IMPLICIT_CAST, binary.span(), "a text is taken for a number");
        }
        return new Expr.Binary(binary.operator(), first, second, binary.span());
    }

    private static boolean isOfNumbers(ValueKind kind) {
        return kind.isNumber() || kind == ValueKind.TEXT;
    }

    /** A text where the source takes it for a number, with the cast that other engines want. */
    Expr numberOfText(Expr e) {
        boolean enumeration = adapter.facts(e)
                .flatMap(Scope.ColumnFacts::type)
                .filter(LogicalType.Enumeration.class::isInstance)
                .isPresent();
        boolean text = adapter.losesConversions()
                && !enumeration
                && !(e instanceof Expr.Literal)
                && adapter.kind(e) == ValueKind.TEXT;
        LogicalType type = adapter.from.has(SqlFeature.LENIENT_NUMBERS)
                ? new LogicalType.Floating(64)
                : new LogicalType.Decimal(0, 0, false);
        return text ? new Expr.Cast(e, adapter.sourceType(type), false, e.span()) : e;
    }

    /** What stands behind a sign; a text as the number that the source takes it for. */
    Expr signed(Expr.Unary unary) {
        Expr operand = unary.operand();
        if (adapter.kind(operand) != ValueKind.TEXT || !adapter.losesConversions()) {
            return new Truths(adapter).number(operand);
        }
        adapter.note(FindingCode.IMPLICIT_CAST, unary.span(), "a text is taken for a number");
        return operand instanceof Expr.Literal l ? PlainConstants.leading(l) : numberOfText(operand);
    }

    /** A value among the rows of a query, with the cast that other engines want where one side is a text. */
    Expr.InList amongRows(Expr.InList in) {
        new TextRules(adapter).compared(List.of(in.value()), in.span());
        Expr.Subquery rows = (Expr.Subquery) in.items().get(0);
        List<Scope.ColumnFacts> columns = adapter.finder.columns(rows.query(), adapter.scope);
        ValueKind left = adapter.kind(in.value());
        ValueKind right = columns.size() == 1 ? columns.get(0).kind() : ValueKind.UNKNOWN;
        boolean text = left == ValueKind.TEXT && right.isNumber() || left.isNumber() && right == ValueKind.TEXT;
        if (!text || !adapter.losesConversions()) {
            return new TextMoments(adapter).amongRows(in, right);
        }
        adapter.note(FindingCode.IMPLICIT_CAST, in.span(), "a text is compared with a number");
        boolean plain = rows.query().body() instanceof Select s && s.items().size() == 1;
        if (left == ValueKind.TEXT || !plain) {
            return new Expr.InList(numberOfText(in.value()), in.items(), in.negated(), in.span());
        }
        Select select = (Select) rows.query().body();
        Item number = Item.of(new Expr.Cast(
                select.items().get(0).value(), adapter.sourceType(new LogicalType.Floating(64)), false, in.span()));
        Query numbers = rows.query().withBody(select.withItems(List.of(number)));
        return new Expr.InList(in.value(), List.of(new Expr.Subquery(numbers, rows.span())), in.negated(), in.span());
    }

    /** A sum, mean or spread of texts, as one of the numbers that the source takes them for. */
    Expr.Call summed(Expr.Call call) {
        boolean sums = SUMS.contains(call.function());
        ValueKind kind = sums ? adapter.kind(call.arguments().get(0)) : ValueKind.UNKNOWN;
        if (!same() && (kind.isDate() || kind == ValueKind.TIME)) {
            throw new Untranslatable(call.function() + " of dates or times");
        }
        Expr number = sums ? numberOfText(call.arguments().get(0)) : null;
        if (!sums || number == call.arguments().get(0)) {
            return call;
        }
        adapter.note(FindingCode.IMPLICIT_CAST, call.span(), "a text is taken for a number");
        return new Expr.Call(call.name(), call.canonical(), List.of(number), call.suffix(), call.span());
    }

    /** A text where the source takes it for a moment, with the cast that other engines want. */
    Expr momentOfText(Expr e) {
        boolean string = e instanceof Expr.Literal l && l.kind() == LiteralKind.STRING;
        Optional<Expr> constant = string && adapter.losesConversions() && adapter.to.has(SqlFeature.TYPED_DATES)
                ? DateAdapter.moment(e)
                : Optional.empty();
        if (constant.isPresent()) {
            return constant.get();
        }
        boolean text = adapter.losesConversions()
                && !adapter.from.has(SqlFeature.DATES_ARE_TEXTS)
                && !(e instanceof Expr.Literal)
                && adapter.kind(e) == ValueKind.TEXT;
        if (!text) {
            return e;
        }
        adapter.note(FindingCode.IMPLICIT_CAST, e.span(), "a text is taken for a date");
        return new Expr.Cast(e, adapter.sourceType(new LogicalType.Timestamp(6, false)), false, e.span());
    }
}
