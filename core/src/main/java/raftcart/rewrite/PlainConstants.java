package raftcart.rewrite;

import java.math.BigInteger;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.dialect.SqlFeature;
import raftcart.sql.LexicalFeature;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.type.LogicalType;

/** Constants whose casts, as catalogs write them, say no more than what they are: {@code '-5'::integer}, {@code '101'::bit}. */
final class PlainConstants {
    private static final Pattern WITHOUT_SECONDS = Pattern.compile("\\s*\\d{1,2}:\\d\\d\\s*");
    private static final Pattern DAY = Pattern.compile("\\s*\\d{4}-\\d{1,2}-\\d{1,2}\\s*");
    private static final Pattern TO_MINUTE = Pattern.compile("\\s*\\d{4}-\\d{1,2}-\\d{1,2}[ T]+\\d{1,2}:\\d\\d\\s*");
    private static final Pattern DATED = Pattern.compile("\\s*\\d{4}-\\d{1,2}-\\d{1,2}[ T]+(\\d{1,2}:.*)");
    private static final Pattern MONEY = Pattern.compile("\\s*([(-]?)\\s*[$]?([\\d,]*\\d(?:\\.\\d+)?)[)]?\\s*");
    private static final Pattern DIGITS = Pattern.compile("\\s*[+]?(-?\\d+)");
    private static final Pattern LEADING = Pattern.compile("\\s*([-+]?\\d+(?:\\.\\d+)?(?:[eE][-+]?\\d+)?)");

    private PlainConstants() {}

    /** The constant without its cast, if it can do without. */
    static Optional<Expr> of(Expr.Cast cast, LogicalType type, ExprAdapter adapter) {
        if (!(cast.value() instanceof Expr.Literal literal)) {
            return Optional.empty();
        }
        boolean text = literal.kind() == LiteralKind.STRING;
        if (type instanceof LogicalType.Enumeration && text) {
            return Optional.of(literal);
        }
        if (type instanceof LogicalType.Bits bits
                && (text || literal.kind() == LiteralKind.BITS)
                && literal.text().matches("[01]+")
                && (cast.type().parameters().isEmpty()
                        || bits.length() == literal.text().length())) {
            return Optional.of(new Expr.Literal(LiteralKind.BITS, literal.text(), literal.span()));
        }
        boolean money = text && cast.type().name().equals("money") && type instanceof LogicalType.Decimal;
        Optional<Expr.Literal> amount = money ? ofMoney(literal) : Optional.empty();
        if (amount.filter(a -> !a.text().equals(literal.text())).isPresent()) {
            return Optional.of(new Expr.Cast(amount.get(), adapter.castType(type), cast.safe(), cast.span()));
        }
        boolean bytes = literal.kind() == LiteralKind.BYTES
                && adapter.from.grammar().lexical().has(LexicalFeature.HEX_NUMBERS_ARE_BYTES)
                && type instanceof LogicalType.Int wide
                && literal.text().matches("[0-9A-Fa-f]+")
                && literal.text().length() * 4 < wide.bits();
        if (bytes) {
            String number = new BigInteger(literal.text(), 16).toString();
            return Optional.of(new Expr.Literal(LiteralKind.NUMBER, number, literal.span()));
        }
        if (text && type instanceof LogicalType.Int i && adapter.lost(SqlFeature.LENIENT_NUMBERS)) {
            return lenient(literal, i);
        }
        boolean whole = type instanceof LogicalType.Int i
                && text
                && literal.text().matches(i.unsigned() ? "\\d{1,9}" : "-?\\d{1,9}");
        boolean exact = type instanceof LogicalType.Decimal d
                && d.precision() == 0
                && (text || literal.kind() == LiteralKind.NUMBER)
                && literal.text().matches("-?\\d{1,15}\\.\\d{1,9}");
        return whole || exact
                ? Optional.of(new Expr.Literal(LiteralKind.NUMBER, literal.text(), literal.span()))
                : Optional.empty();
    }

    /** A whole number as MySQL casts a text to one: the digits at its beginning, or 0. */
    private static Optional<Expr> lenient(Expr.Literal literal, LogicalType.Int type) {
        Matcher digits = DIGITS.matcher(literal.text());
        String number = digits.lookingAt() ? digits.group(1) : "0";
        return type.unsigned() && number.startsWith("-")
                ? Optional.empty()
                : Optional.of(new Expr.Literal(LiteralKind.NUMBER, number, literal.span()));
    }

    /** The number that a text for money stands for, as in {@code '$1,000.50'} and {@code '(5)'} ("Monetary Types", PostgreSQL). */
    static Optional<Expr.Literal> ofMoney(Expr.Literal text) {
        Matcher money = MONEY.matcher(text.text());
        if (!money.matches()) {
            return Optional.empty();
        }
        String sign = money.group(1).isEmpty() ? "" : "-";
        return Optional.of(
                new Expr.Literal(LiteralKind.STRING, sign + money.group(2).replace(",", ""), text.span()));
    }

    /** A time of day without a date before it, and times and moments with the seconds that some engines do not do without. */
    static Expr.Literal withSeconds(Expr.Literal literal, ExprAdapter adapter) {
        boolean timed = literal.kind() == LiteralKind.TIME || literal.kind() == LiteralKind.TIMESTAMP;
        if (!timed || adapter.from.name().equals(adapter.to.name())) {
            return literal;
        }
        if (literal.kind() == LiteralKind.TIMESTAMP) {
            String rest = DAY.matcher(literal.text()).matches()
                    ? " 00:00:00"
                    : TO_MINUTE.matcher(literal.text()).matches() ? ":00" : "";
            return rest.isEmpty()
                    ? literal
                    : new Expr.Literal(LiteralKind.TIMESTAMP, literal.text().strip() + rest, literal.span());
        }
        Matcher dated = DATED.matcher(literal.text());
        String text = dated.matches() ? dated.group(1) : literal.text();
        String whole = WITHOUT_SECONDS.matcher(text).matches() ? text.strip() + ":00" : text;
        return whole.equals(literal.text()) ? literal : new Expr.Literal(LiteralKind.TIME, whole, literal.span());
    }

    /** A number that is cast to another kind for nothing but a comparison, as PostgreSQL writes checks. */
    static Expr compared(Expr e, ExprAdapter adapter) {
        boolean plain = e instanceof Expr.Cast cast
                && cast.value() instanceof Expr.Literal number
                && (number.kind() == LiteralKind.NUMBER || number.kind() == LiteralKind.STRING)
                && number.text().matches("-?\\d{1,38}")
                && isWide(adapter.finder.type(cast.type()));
        return plain
                ? new Expr.Literal(LiteralKind.NUMBER, ((Expr.Literal) ((Expr.Cast) e).value()).text(), e.span())
                : e;
    }

    private static boolean isWide(LogicalType type) {
        return type instanceof LogicalType.Floating || type instanceof LogicalType.Decimal d && d.precision() == 0;
    }

    /** A text beside a number as MySQL reads it: the number at its beginning, or 0 ("Type Conversion in Expression Evaluation"). */
    static Expr.Literal leading(Expr.Literal text) {
        Matcher number = LEADING.matcher(text.text());
        return new Expr.Literal(LiteralKind.NUMBER, number.lookingAt() ? number.group(1) : "0", text.span());
    }

    /** A NULL with a type, where the target takes none without beside other values. */
    static Expr typedNull(Expr adapted, ExprAdapter adapter) {
        boolean bare = adapted instanceof Expr.Literal l
                && l.kind() == LiteralKind.NULL
                && !adapter.to.has(SqlFeature.NULL_ITEMS)
                && !adapter.from.name().equals(adapter.to.name());
        return bare
                ? new Expr.Cast(adapted, adapter.castType(new LogicalType.Varchar(1)), false, adapted.span())
                : adapted;
    }
}
