package raftcart.sql.parse;

import java.util.Locale;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/** Reads texts behind the name of a character set, as in {@code _utf8mb4'x'} ("Character Set Introducers", MySQL). */
final class IntroducedTextParser {
    private final TokenCursor cursor;

    IntroducedTextParser(TokenCursor cursor) {
        this.cursor = cursor;
    }

    /** True at a character set before bytes. */
    boolean atBytes() {
        String word = cursor.peek().value();
        if (!word.startsWith("_")) {
            return false;
        }
        Token next = cursor.peek(1);
        boolean bytes = next.kind() == TokenKind.HEX_STRING || next.text().matches("0[xX]\\p{XDigit}+");
        return bytes && CharacterSets.named(word.substring(1)).isPresent();
    }

    /** The text that bytes are in the set before them. */
    Expr ofBytes() {
        String set = cursor.take().value().substring(1).toLowerCase(Locale.ROOT);
        Token digits = cursor.take();
        String hex = digits.kind() == TokenKind.HEX_STRING
                ? digits.value()
                : digits.text().substring(2);
        String text = CharacterSets.named(set)
                .flatMap(s -> CharacterSets.decoded(hex, s))
                .orElseThrow(() -> cursor.byHand("bytes that are no text of the character set " + set));
        return new Expr.Literal(LiteralKind.STRING, text, digits.span());
    }

    /** A text that is read already; beyond ASCII it is what its bytes are in the set. */
    Expr ofText(String set, Expr.Literal text) {
        boolean plain = text.text().chars().allMatch(c -> c <= 0x7F);
        if (set.equals("binary")) {
            return bytes(text, plain);
        }
        boolean narrow = CharacterSets.named(set)
                .filter(s -> s.newEncoder().maxBytesPerChar() < 2)
                .isPresent();
        if (!set.startsWith("utf8") && !(narrow && plain)) {
            throw cursor.byHand("a text in the character set " + set);
        }
        return text;
    }

    /** The bytes that a text stands for; beyond ASCII they are no longer known once the text is decoded. */
    private Expr bytes(Expr.Literal text, boolean plain) {
        if (!plain) {
            throw cursor.byHand("bytes given as a text beyond ASCII");
        }
        StringBuilder hex = new StringBuilder();
        text.text().chars().forEach(c -> hex.append(String.format("%02X", c)));
        return new Expr.Literal(LiteralKind.BYTES, hex.toString(), text.span());
    }
}
