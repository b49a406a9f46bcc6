package raftcart.sql;

/** A token: {@code text} as it stands in the source, {@code value} with quotes and escapes taken away. */
public record Token(TokenKind kind, String text, String value, Span span) {
    private static final int CASE_MASK = ~0x20;

    /** True for a word without quotes that equals this one regardless of case. */
    public boolean isWord(String word) {
        return kind == TokenKind.WORD && same(word);
    }

    /** True for one of these words. */
    public boolean isAnyWord(String... words) {
        if (kind == TokenKind.WORD) {
            for (String word : words) {
                if (same(word)) {
                    return true;
                }
            }
        }
        return false;
    }

    /** Most words differ in their length, first or last letter, which is cheap to see; many are written as we ask. */
    private boolean same(String word) {
        int length = word.length();
        return value.length() == length
                && ((value.charAt(0) ^ word.charAt(0)) & CASE_MASK) == 0
                && ((value.charAt(length - 1) ^ word.charAt(length - 1)) & CASE_MASK) == 0
                && (value.equals(word) || value.equalsIgnoreCase(word));
    }

    /** True for this operator or punctuation mark. */
    public boolean isSymbol(String symbol) {
        return kind == TokenKind.SYMBOL && text.equals(symbol);
    }

    /** True for a name, quoted or not. */
    public boolean isName() {
        return kind == TokenKind.WORD || kind == TokenKind.QUOTED_NAME;
    }

    /** True for a string. */
    public boolean isString() {
        return kind == TokenKind.STRING;
    }
}
