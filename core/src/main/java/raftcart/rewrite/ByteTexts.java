package raftcart.rewrite;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/** Texts that stand where bytes are wanted, as the bytes that the source makes of them. */
final class ByteTexts {
    private static final char LOST = '\uFFFD';

    private static final Pattern OCTAL = Pattern.compile("[0-3][0-7]{2}");
    private static final Pattern HEX = Pattern.compile("x[0-9A-Fa-f]{2}");

    private ByteTexts() {}

    /** The bytes of a text; empty where they cannot be told, as of one that was not read in its own encoding. */
    static Optional<Expr.Literal> bytes(Expr.Literal text, Language from) {
        if (text.text().indexOf(LOST) >= 0) {
            return Optional.empty();
        }
        Optional<String> hex = hex(text.text(), from);
        return hex.map(h -> new Expr.Literal(LiteralKind.BYTES, h, text.span()));
    }

    /** The characters that bytes are in UTF-8. */
    static Optional<Expr.Literal> text(Expr.Literal bytes) {
        try {
            ByteBuffer buffer =
                    ByteBuffer.wrap(HexFormat.of().parseHex(bytes.text().toLowerCase(Locale.ROOT)));
            String text = StandardCharsets.UTF_8.newDecoder().decode(buffer).toString();
            return Optional.of(new Expr.Literal(LiteralKind.STRING, text, bytes.span()));
        } catch (CharacterCodingException | IllegalArgumentException e) {
            return Optional.empty(); // the caller says that they are no text
        }
    }

    /** A constant text as bytes, if it is one and they can be told; anything else as it is. */
    static Expr of(Expr e, Language from) {
        return e instanceof Expr.Literal l && l.kind() == LiteralKind.STRING
                ? bytes(l, from).orElse(l)
                : e;
    }

    private static Optional<String> hex(String text, Language from) {
        if (from.has(SqlFeature.BYTES_ARE_HEX_TEXTS)) {
            return pairs(text);
        }
        if (from.has(SqlFeature.TEXTS_OF_HEX_BYTES)) {
            return text.startsWith("\\x") ? pairs(text.substring(2).replaceAll("\\s", "")) : escaped(text, OCTAL, 8);
        }
        if (from.has(SqlFeature.TEXTS_OF_ESCAPED_BYTES)) {
            return escaped(text, HEX, 16);
        }
        return Optional.of(HexFormat.of().formatHex(text.getBytes(StandardCharsets.UTF_8)));
    }

    private static Optional<String> pairs(String digits) {
        return digits.matches("(?:[0-9A-Fa-f]{2})*+") ? Optional.of(digits.toLowerCase(Locale.ROOT)) : Optional.empty();
    }

    /** Characters, and bytes as a backslash with three octal or an x with two hexadecimal digits. */
    private static Optional<String> escaped(String text, Pattern digits, int base) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        for (int i = 0; i < text.length(); i++) {
            if (text.charAt(i) != '\\') {
                String one = Character.toString(text.codePointAt(i));
                bytes.writeBytes(one.getBytes(StandardCharsets.UTF_8));
                i += one.length() - 1;
            } else if (text.startsWith("\\\\", i)) {
                bytes.write('\\');
                i++;
            } else if (digits.matcher(text).region(i + 1, text.length()).lookingAt()) {
                bytes.write(Integer.parseInt(text, base == 8 ? i + 1 : i + 2, i + 4, base));
                i += 3;
            } else {
                return Optional.empty();
            }
        }
        return Optional.of(HexFormat.of().formatHex(bytes.toByteArray()));
    }

    /** Texts that the source compares as bytes, for the sake of their case, where the target compares letters as exactly. */
    static List<Expr> asLetters(List<Expr> compared, ExprAdapter adapter) {
        boolean exact = !adapter.from.name().equals(adapter.to.name())
                && !adapter.to.has(SqlFeature.IGNORES_CASE)
                && compared.stream().anyMatch(ByteTexts::isAsBytes)
                && compared.stream().allMatch(e -> adapter.kind(unwrapped(e)) != ValueKind.BYTES);
        return exact ? compared.stream().map(ByteTexts::unwrapped).toList() : compared;
    }

    static boolean isAsBytes(Expr e) {
        return e instanceof Expr.Call call && call.is("as_bytes");
    }

    private static Expr unwrapped(Expr e) {
        return isAsBytes(e) ? ((Expr.Call) e).arguments().get(0) : e;
    }

    /** Bytes of a fixed length, filled up with zeros or cut. */
    static Expr.Literal padded(Expr.Literal bytes, int length) {
        int missing = length * 2 - bytes.text().length();
        String all = missing < 0 ? bytes.text().substring(0, length * 2) : bytes.text() + "0".repeat(missing);
        return new Expr.Literal(LiteralKind.BYTES, all, bytes.span());
    }
}
