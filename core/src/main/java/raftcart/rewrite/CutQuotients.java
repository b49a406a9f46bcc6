package raftcart.rewrite;

import java.math.BigDecimal;
import java.util.Optional;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.type.LogicalType;

/**
 * Quotients of exact numbers, of which SQL Server keeps so many digits as follow from the types and cuts the others off
 * ("Precision, scale, and length (Transact-SQL)"), where the target gives more.
 */
final class CutQuotients {
    private static final int MOST = 38;
    private static final int FEWEST = 6;
    private static final int BEFORE_THE_POINT = 32;
    /** What every engine gives of a quotient of decimals; beyond it nothing is gained by cutting. */
    private static final int GIVEN = 16;

    private final ExprAdapter adapter;

    CutQuotients(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The digits of a number: all of them, and those behind the point. */
    private record Size(int precision, int scale) {}

    /** The quotient, cut as on the source, or with a word about it where its types are not known. */
    Expr cut(Expr.Binary source, Expr quotient) {
        ValueKind left = adapter.kind(source.left());
        ValueKind right = adapter.kind(source.right());
        boolean exact = left == ValueKind.DECIMAL && right.isNumber() && right != ValueKind.FLOAT
                || right == ValueKind.DECIMAL && left.isNumber() && left != ValueKind.FLOAT;
        if (!exact || !DivisionDigits.isShort(adapter.to, adapter.from)) {
            return quotient;
        }
        Optional<Integer> digits =
                size(source.left()).flatMap(l -> size(source.right()).map(r -> digits(l, r)));
        boolean money = DivisionDigits.isMoney(adapter, source.left()); // of which more is said elsewhere
        if (money || digits.filter(d -> d >= GIVEN || ends(source, d)).isPresent()) {
            return quotient;
        }
        return cut(quotient, digits, source.span());
    }

    /** The average of exact numbers, which has as many digits as they have, or six. */
    Expr average(Expr.Call average, Expr.Call call) {
        Expr of = call.arguments().get(0);
        boolean exact = average.is("avg")
                && adapter.kind(of) == ValueKind.DECIMAL
                && DivisionDigits.isShort(adapter.to, adapter.from)
                && !DivisionDigits.isMoney(adapter, of);
        if (!exact) {
            return average;
        }
        return cut(average, size(of).map(s -> Math.max(FEWEST, s.scale())), call.span());
    }

    private Expr cut(Expr value, Optional<Integer> digits, Span span) {
        if (digits.isEmpty() || !adapter.writes("truncate_to")) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS,
                    span,
                    "the source keeps six digits or more behind the point of a quotient or average, and cuts the others off");
            return value;
        }
        adapter.note(FindingCode.DIVISION, span, "cut after so many digits as on the source");
        return Expr.Call.of("truncate_to", adapter.ofKind(value, ValueKind.DECIMAL), Expr.Literal.number(digits.get()))
                .at(span);
    }

    /** True where the quotient ends by itself within so many digits, as by 2, 8 or 1000. */
    private boolean ends(Expr.Binary source, int digits) {
        int scale = size(source.left()).map(Size::scale).orElse(digits);
        if (!(source.right() instanceof Expr.Literal literal) || !literal.text().matches("\\d{1,9}([.]\\d{1,9})?")) {
            return false;
        }
        BigDecimal divisor = new BigDecimal(literal.text());
        int more = Math.max(0, digits - scale);
        return divisor.signum() > 0
                && BigDecimal.TEN.pow(more).remainder(divisor).signum() == 0;
    }

    private static int digits(Size dividend, Size divisor) {
        int scale = Math.max(FEWEST, dividend.scale() + divisor.precision() + 1);
        int before = dividend.precision() - dividend.scale() + divisor.scale();
        if (before + scale <= MOST) {
            return scale;
        }
        return before < BEFORE_THE_POINT ? Math.min(scale, MOST - before) : Math.min(scale, FEWEST);
    }

    private Optional<Size> size(Expr e) {
        if (e instanceof Expr.Literal literal && literal.kind() == LiteralKind.NUMBER) {
            String digits = literal.text().replaceFirst("^-?0*", "");
            int point = digits.indexOf('.');
            int scale = point < 0 ? 0 : digits.length() - point - 1;
            return Optional.of(new Size(Math.max(1, point < 0 ? digits.length() : digits.length() - 1), scale));
        }
        boolean money = e instanceof Expr.Cast made && made.type().name().endsWith("money");
        Optional<LogicalType> type = e instanceof Expr.Cast cast && !money
                ? Optional.of(adapter.finder.type(cast.type()))
                : adapter.facts(e).flatMap(Scope.ColumnFacts::type);
        return type.flatMap(t -> t instanceof LogicalType.Decimal d && d.precision() > 0
                ? Optional.of(new Size(d.precision(), d.scale()))
                : t instanceof LogicalType.Int i ? Optional.of(new Size(ofInteger(i.bits()), 0)) : Optional.empty());
    }

    /** The digits for which a whole number of so many bits is taken there. */
    private static int ofInteger(int bits) {
        return bits <= 8 ? 3 : bits <= 16 ? 5 : bits <= 32 ? 10 : 19;
    }
}
