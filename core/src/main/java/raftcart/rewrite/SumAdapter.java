package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.parse.IntervalTexts;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/** Sums and differences: of numbers, of texts that are put together, and of moments. */
final class SumAdapter {
    private final ExprAdapter adapter;

    SumAdapter(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    Expr sum(Expr.Binary given) {
        if (adapter.from.name().equals(adapter.to.name())) {
            return plain(given);
        }
        Expr.Binary binary = new Operands(adapter).moments(given);
        ValueKind left = adapter.kind(binary.left());
        ValueKind right = adapter.kind(binary.right());
        boolean minus = binary.operator() == BinaryOperator.SUBTRACT;
        Optional<Expr.Interval> after = DateAdapter.interval(binary.right());
        if (after.isPresent()) {
            Expr moment = new Operands(adapter).momentOfText(binary.left());
            return new DateAdapter(adapter).add(moment, adapter.kind(moment), after.get(), minus, binary.span());
        }
        Optional<Expr.Interval> before = DateAdapter.interval(binary.left());
        if (before.isPresent() && !minus) {
            return new DateAdapter(adapter).add(binary.right(), right, before.get(), false, binary.span());
        }
        Optional<Expr> length = minus ? Optional.empty() : length(binary, left);
        if (length.isPresent()) {
            return sum(new Expr.Binary(binary.operator(), binary.left(), length.get(), binary.span()));
        }
        Optional<Expr> moment = ofMoments(binary, left, right, minus);
        if (moment.isPresent()) {
            return moment.get();
        }
        if (adapter.from.has(SqlFeature.PLUS_CONCATENATES) && !minus) {
            return plus(binary, left, right);
        }
        boolean joins = adapter.from.has(SqlFeature.PLUS_JOINS_TEXTS) && !minus;
        if (joins && (left == ValueKind.TEXT || right == ValueKind.TEXT)) {
            List<Expr> parts = List.of(binary.left(), binary.right());
            return new ConcatAdapter(adapter).concat(new Expr.Concat(parts, false, binary.span()));
        }
        new DateAdapter(adapter).uncertain(binary, left, right);
        return plain(minus ? binary : new Operands(adapter).added(binary, left, right));
    }

    /** A difference of moments, or one and a number of days. */
    private Optional<Expr> ofMoments(Expr.Binary binary, ValueKind left, ValueKind right, boolean minus) {
        if (isHalfKnown(binary, left, right)) {
            return Optional.of(new DateDifferences(adapter).halfKnown(binary));
        }
        if (left.isDate() && right.isDate() && minus) {
            return Optional.of(new DateDifferences(adapter).of(binary, left, right));
        }
        boolean days = left.isDate() && (right.isNumber() || right == ValueKind.UNKNOWN);
        boolean unsure =
                minus && (left.isDate() && right == ValueKind.UNKNOWN || left == ValueKind.UNKNOWN && right.isDate());
        if (unsure && !adapter.from.has(SqlFeature.DATE_PLUS_DAYS)) {
            adapter.note(FindingCode.TYPES_UNKNOWN, binary.span(), "a date and something whose kind is not known");
        }
        boolean asNumber = days && right.isNumber() || right.isDate() && left.isNumber();
        if (left == ValueKind.TIMESTAMP
                && right == ValueKind.INTEGER
                && adapter.from.has(SqlFeature.TIMESTAMP_PLUS_DAYS)) {
            return Optional.of(plusDays(binary, left, minus));
        }
        if (asNumber && !adapter.from.has(SqlFeature.DATE_PLUS_DAYS)) {
            throw new Untranslatable("arithmetic with a date as a number");
        }
        return days || (!minus && right.isDate() && left.isNumber())
                ? Optional.of(new DateAdapter(adapter).addDays(binary, days, left))
                : Optional.empty();
    }

    /** The length of time that a text beside a moment is, where the source takes it for one. */
    private Optional<Expr> length(Expr.Binary binary, ValueKind left) {
        boolean text = left == ValueKind.TIMESTAMP
                && adapter.from.has(SqlFeature.INTERVAL_VALUES)
                && binary.right() instanceof Expr.Literal l
                && l.kind() == LiteralKind.STRING;
        return text
                ? IntervalTexts.read(
                        ((Expr.Literal) binary.right()).text(), binary.right().span())
                : Optional.empty();
    }

    /** A difference of a date and something unknown. */
    private boolean isHalfKnown(Expr.Binary binary, ValueKind left, ValueKind right) {
        return binary.operator() == BinaryOperator.SUBTRACT
                && adapter.from.has(SqlFeature.DATE_PLUS_DAYS)
                && (left.isDate() && right == ValueKind.UNKNOWN && binary.right() instanceof Expr.Column
                        || right.isDate() && left == ValueKind.UNKNOWN);
    }

    private Expr plusDays(Expr.Binary binary, ValueKind left, boolean minus) {
        Expr.Interval interval =
                new Expr.Interval(List.of(new Expr.IntervalPart(binary.right(), DateUnit.DAY)), binary.span());
        return new DateAdapter(adapter).add(binary.left(), left, interval, minus, binary.span());
    }

    /** A plus that puts texts together, or adds, by the kinds of what stands on both sides. */
    private Expr plus(Expr.Binary binary, ValueKind left, ValueKind right) {
        boolean text = left == ValueKind.TEXT || right == ValueKind.TEXT;
        if (text && (left.isDate() || right.isDate())) {
            throw new Untranslatable("a date and a text that are added");
        }
        if (left.isDate() && right.isDate()) {
            return momentWithTime(binary);
        }
        if (left.isNumber() || right.isNumber()) {
            if (text) {
                adapter.note(
                        FindingCode.IMPLICIT_CAST,
                        binary.span(),
                        "a text and a number are added; the text is taken for a number");
            }
            new DateAdapter(adapter).uncertain(binary, left, right);
            return plain(binary);
        }
        if (text) {
            boolean perhaps = (left == ValueKind.UNKNOWN || right == ValueKind.UNKNOWN)
                    && (isNumeral(binary.left()) || isNumeral(binary.right()));
            if (perhaps) {
                adapter.note(FindingCode.TYPES_UNKNOWN, binary.span(), "taken for texts put together, it may be a sum");
            }
            List<Expr> parts = new ArrayList<>();
            flatten(binary, parts);
            adapter.note(FindingCode.SYNTAX_ADAPTED, binary.span(), "+ puts texts together");
            return new ConcatAdapter(adapter).concat(new Expr.Concat(parts, false, binary.span()));
        }
        if (left == ValueKind.UNKNOWN && right == ValueKind.UNKNOWN && !adapter.to.has(SqlFeature.PLUS_CONCATENATES)) {
            adapter.note(FindingCode.TYPES_UNKNOWN, binary.span(), "taken for a sum, it may put texts together");
        }
        return plain(binary);
    }

    /** A day and a time of day that was made a moment of the day from which the source counts. */
    private Expr momentWithTime(Expr.Binary binary) {
        boolean time = binary.right() instanceof Expr.Cast cast && adapter.kind(cast.value()) == ValueKind.TIME;
        if (!time) {
            throw new Untranslatable("two dates that are added");
        }
        Expr clock = ((Expr.Cast) binary.right()).value();
        return adapter.expr(
                Expr.Call.of("timestamp_of_parts", binary.left(), clock).at(binary.span()));
    }

    private static boolean isNumeral(Expr e) {
        return e instanceof Expr.Literal l
                && l.kind() == LiteralKind.STRING
                && l.text().matches(" *-?\\d+([.]\\d*)? *");
    }

    private void flatten(Expr e, List<Expr> parts) {
        boolean chain =
                e instanceof Expr.Binary b && b.operator() == BinaryOperator.ADD && adapter.kind(b) == ValueKind.TEXT;
        if (chain) {
            flatten(((Expr.Binary) e).left(), parts);
            parts.add(((Expr.Binary) e).right());
        } else {
            parts.add(e);
        }
    }

    private Expr plain(Expr.Binary binary) {
        return new Expr.Binary(
                binary.operator(), adapter.expr(binary.left()), adapter.expr(binary.right()), binary.span());
    }
}
