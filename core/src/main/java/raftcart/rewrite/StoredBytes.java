package raftcart.rewrite;

import java.math.BigInteger;
import java.util.Locale;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.sql.LexicalFeature;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.type.LogicalType;
import raftcart.type.ValueForm;

/** Constants that go into columns of bytes and of bits. */
final class StoredBytes {
    private final ExprAdapter adapter;

    StoredBytes(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** Bytes of a fixed length that the source fills up with zeros. */
    private Expr.Literal filled(Expr.Literal bytes, LogicalType type) {
        return bytes.kind() == LiteralKind.BYTES
                        && type instanceof LogicalType.Binary fixed
                        && adapter.lost(SqlFeature.BINARIES_FILLED_UP)
                        && bytes.text().length() < fixed.length() * 2
                ? ByteTexts.padded(bytes, fixed.length())
                : bytes;
    }

    Expr constant(Expr.Literal given, LogicalType type) {
        boolean text = given.kind() == LiteralKind.STRING;
        if (!(type instanceof LogicalType.Bits wide)) {
            Expr.Literal literal =
                    filled(text ? ByteTexts.bytes(given, adapter.from).orElse(given) : given, type);
            boolean large = literal.kind() == LiteralKind.BYTES
                    && type instanceof LogicalType.Blob
                    && adapter.to.has(SqlFeature.BLOBS_WANT_CASTS);
            return large
                    ? new Expr.Cast(literal, adapter.castType(type), false, literal.span())
                    : adapter.expr(literal);
        }
        Expr.Literal literal = text
                ? digits(given).orElseGet(() -> bits(given, wide.length()))
                : given.kind() == LiteralKind.NUMBER || given.kind() == LiteralKind.BYTES
                        ? bitsOfNumber(given, wide)
                        : given;
        if (literal.kind() == LiteralKind.BITS
                && TargetTypes.chosen(wide, adapter.to).form() == ValueForm.TEXT) {
            return new Expr.Literal(LiteralKind.STRING, literal.text(), literal.span());
        }
        // A number to MySQL, which fills it up on the left.
        int missing = literal.kind() == LiteralKind.BITS && !wide.varying()
                ? Math.max(0, wide.length() - literal.text().length())
                : 0;
        if (literal.kind() != LiteralKind.BITS) {
            return adapter.expr(literal);
        }
        Expr.Literal whole = new Expr.Literal(LiteralKind.BITS, "0".repeat(missing) + literal.text(), literal.span());
        return becomesBytes(wide) ? asBytes(whole) : whole;
    }

    boolean becomesBytes(LogicalType bits) {
        return TargetTypes.chosen(bits, adapter.to).form() == ValueForm.BYTES;
    }

    /** Bits for a column of bytes, filled up on the left to whole ones. */
    static Expr.Literal asBytes(Expr.Literal bits) {
        int digits = (bits.text().length() + 7) / 8 * 2;
        String hex = digits == 0 ? "" : new BigInteger(bits.text(), 2).toString(16);
        String filled = "0".repeat(Math.max(0, digits - hex.length())) + hex;
        return new Expr.Literal(LiteralKind.BYTES, filled.toUpperCase(Locale.ROOT), bits.span());
    }

    /** A number in a column of bits: its digits in base two. */
    private static Expr.Literal bitsOfNumber(Expr.Literal number, LogicalType.Bits type) {
        boolean bytes = number.kind() == LiteralKind.BYTES;
        if (!bytes && !number.isDigits(20)) {
            return number;
        }
        boolean none = number.text().isEmpty(); // no byte at all is how MySQL's dumps write a row of zeros
        String digits = none ? "0" : new BigInteger(number.text(), bytes ? 16 : 10).toString(2);
        String bits = digits.length() > type.length() ? digits : "0".repeat(type.length() - digits.length()) + digits;
        return new Expr.Literal(LiteralKind.BITS, bits, number.span());
    }

    /** A text in a column of bits: its digits, where that is what it means. */
    private Optional<Expr.Literal> digits(Expr.Literal text) {
        boolean bytes = adapter.from.grammar().lexical().has(LexicalFeature.HEX_NUMBERS_ARE_BYTES);
        return bytes || !text.text().matches("[01]+")
                ? Optional.empty()
                : Optional.of(new Expr.Literal(LiteralKind.BITS, text.text(), text.span()));
    }

    /** A text in a column of bits: its bytes, as dumps have them. */
    private static Expr.Literal bits(Expr.Literal literal, int length) {
        StringBuilder bits = new StringBuilder();
        for (char c : literal.text().toCharArray()) {
            if (c > 0xFF) {
                return literal;
            }
            bits.append(Integer.toBinaryString(c | 0x100), 1, 9);
        }
        int extra = bits.length() - length;
        boolean fits = extra < 0 || bits.substring(0, extra).indexOf("1") < 0;
        return fits ? new Expr.Literal(LiteralKind.BITS, bits.substring(Math.max(0, extra)), literal.span()) : literal;
    }
}
