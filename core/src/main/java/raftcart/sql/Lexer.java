package raftcart.sql;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import raftcart.error.SqlSyntaxException;

/** Cuts a text into tokens by a dialect's rules, one at a time. White space is passed over, comments are tokens. */
public final class Lexer {
    /** By their first character, longer ones first. */
    private static final String[][] OPERATORS = byFirst(
            "!~~*", "!~~", "~~*", "!~*", "->>", "#>>", ":::", "<=>", "@-@", "<->", "||/", "**=", "~~", "~*", "!~", "::",
            "||", "<=", ">=", "<>", "!=", "^=", "~=", "<<", ">>", "->", "#>", "#-", "@>", "<@", "&&", "@@", ":=", "=>",
            "!<", "!>", "??", "**", "==", "|/", "&<", "&>", "-|", "..", "//");

    private static final String STRING_PREFIXES = "xXbBeEnNuUqQgG";

    /** A version that no server has: what follows is for the client alone. */
    private static final String NO_VERSION = "999999";

    private final String text;
    private final LexicalRules rules;
    private final LineCounter lines;
    private final QuotedText quotes;
    private int position;
    private boolean inVersionComment;

    public Lexer(String text, LexicalRules rules) {
        this(text, rules, 1, 1);
    }

    /** A lexer of a piece of a longer text that begins at this line and column. */
    public Lexer(String text, LexicalRules rules, int line, int column) {
        this.text = text;
        this.rules = rules;
        this.lines = new LineCounter(text, line, column);
        this.quotes = new QuotedText(text, rules, lines);
    }

    private static String[][] byFirst(String... operators) {
        String[][] table = new String[128][];
        for (char c = 0; c < table.length; c++) {
            String first = String.valueOf(c);
            table[c] = Arrays.stream(operators).filter(o -> o.startsWith(first)).toArray(String[]::new);
        }
        return table;
    }

    /** All tokens of a text without its comments, the end token last. */
    public static List<Token> tokens(String text, LexicalRules rules) {
        Lexer lexer = new Lexer(text, rules);
        List<Token> tokens = new ArrayList<>();
        Token token;
        do {
            token = lexer.next();
            if (token.kind() != TokenKind.COMMENT) {
                tokens.add(token);
            }
        } while (token.kind() != TokenKind.END);
        return tokens;
    }

    /**
     * The next token.
     *
     * @throws SqlSyntaxException if a string, name or comment is not closed
     */
    public Token next() {
        skipBlanks();
        int start = position;
        if (position >= text.length()) {
            return new Token(TokenKind.END, "", "", lines.span(start, start));
        }
        char c = text.charAt(position);
        if (CharClass.isNameStart(c)) {
            return STRING_PREFIXES.indexOf(c) >= 0 && prefixesString(c) ? prefixed(c, start) : word(start);
        }
        if (startsComment(c)) {
            return comment(start);
        }
        char closing = rules.closing(c);
        if (c == '\'' || (c == '"' && closing == 0 && rules.has(LexicalFeature.DOUBLE_QUOTED_STRINGS))) {
            return quoted(TokenKind.STRING, start, c, rules.has(LexicalFeature.BACKSLASH_ESCAPES));
        }
        if (closing != 0) {
            return quoted(TokenKind.QUOTED_NAME, start, closing, false);
        }
        if (c == '$' && rules.has(LexicalFeature.DOLLAR_QUOTES)) {
            String tag = quotes.dollarTag(position);
            if (tag != null) {
                position = quotes.endOfDollar(tag, position);
                return token(TokenKind.STRING, start, text.substring(start + tag.length(), position - tag.length()));
            }
        }
        if (CharClass.isDigit(c) || (c == '.' && CharClass.isDigit(peek(1)))) {
            return number(start);
        }
        int end = ParameterScan.end(text, position, rules);
        if (end > position) {
            position = end;
            return token(TokenKind.PARAMETER, start, null);
        }
        if (c == '#' && rules.has(LexicalFeature.NUMBER_SIGN_NAMES)) {
            position++;
            return word(start);
        }
        return symbol(c, start);
    }

    private Token token(TokenKind kind, int start, String value) {
        String source = text.substring(start, position);
        return new Token(kind, source, value == null ? source : value, lines.span(start, position));
    }

    private char peek(int ahead) {
        int at = position + ahead;
        return at >= 0 && at < text.length() ? text.charAt(at) : '\0';
    }

    private void skipBlanks() {
        int length = text.length();
        while (position < length) {
            char c = text.charAt(position);
            if (c > ' ' && !Character.isWhitespace(c) && c != '\u00a0' && c != '\ufeff') {
                if (inVersionComment && c == '*' && peek(1) == '/') {
                    inVersionComment = false;
                    position += 2;
                    continue;
                }
                return;
            }
            position++;
        }
    }

    private boolean startsComment(char c) {
        return switch (c) {
            case '-' -> peek(1) == '-' && (!rules.has(LexicalFeature.DASHES_BEFORE_BLANK) || peek(2) <= ' ');
            case '/' ->
                peek(1) == '*' || (peek(1) == '/' && peek(-1) != ':' && rules.has(LexicalFeature.SLASH_COMMENTS));
            case '#' -> rules.has(LexicalFeature.HASH_COMMENTS);
            default -> false;
        };
    }

    private Token comment(int start) {
        if (peek(1) != '*') {
            int end = text.indexOf('\n', position);
            position = end < 0 ? text.length() : end;
            return token(TokenKind.COMMENT, start, "");
        }
        int version = startOfVersion();
        if (version > 0 && !text.startsWith(NO_VERSION, version)) {
            position = version;
            while (CharClass.isDigit(peek(0))) {
                position++;
            }
            inVersionComment = true;
            return next();
        }
        position = quotes.endOfComment(position);
        return token(text.charAt(start + 2) == '+' ? TokenKind.HINT : TokenKind.COMMENT, start, "");
    }

    /** Where the version of a comment stands that is read by servers of that version, or 0. */
    private int startOfVersion() {
        if (peek(2) == '!' && rules.has(LexicalFeature.VERSION_COMMENTS)) {
            return position + 3;
        }
        boolean own = peek(2) == 'M' && peek(3) == '!' && rules.has(LexicalFeature.M_VERSION_COMMENTS);
        return own ? position + 4 : 0;
    }

    private Token quoted(TokenKind kind, int start, char closing, boolean backslash) {
        String value = quotes.value(position + 1, closing, backslash);
        position = quotes.end();
        boolean folds = closing == '`' && rules.has(LexicalFeature.BACKTICKS_FOLD);
        return token(kind, start, folds ? value.toUpperCase(Locale.ROOT) : value);
    }

    private boolean prefixesString(char c) {
        return switch (c) {
            case 'q', 'Q' -> peek(1) == '\'' && rules.has(LexicalFeature.ALTERNATIVE_QUOTES);
            case 'u', 'U' -> peek(1) == '&' && (peek(2) == '\'' || peek(2) == '"');
            case 'n', 'N' ->
                peek(1) == '\''
                        || ((peek(1) == 'q' || peek(1) == 'Q')
                                && peek(2) == '\''
                                && rules.has(LexicalFeature.ALTERNATIVE_QUOTES));
            case 'e', 'E' -> peek(1) == '\'' && rules.has(LexicalFeature.ESCAPE_STRINGS);
            case 'g', 'G' -> peek(1) == '\'' && rules.has(LexicalFeature.GRAPHIC_STRINGS);
            case 'b', 'B' -> peek(1) == '\'' || prefixesBytes();
            default -> peek(1) == '\'';
        };
    }

    /** DB2's BX'0A'. */
    private boolean prefixesBytes() {
        return (peek(1) == 'x' || peek(1) == 'X') && peek(2) == '\'' && rules.has(LexicalFeature.GRAPHIC_STRINGS);
    }

    private Token prefixed(char c, int start) {
        char lower = Character.toLowerCase(c);
        if (lower == 'b' && peek(1) != '\'') {
            position++;
            lower = 'x';
        }
        if (lower == 'q' || (lower == 'n' && peek(1) != '\'')) {
            String value = quotes.alternative(position + (lower == 'q' ? 2 : 3));
            position = quotes.end();
            return token(TokenKind.STRING, start, value);
        }
        position += lower == 'u' ? 2 : 1;
        boolean backslash = lower == 'e' || (lower == 'n' && rules.has(LexicalFeature.BACKSLASH_ESCAPES));
        char quote = peek(0);
        String value = quotes.value(position + 1, quote, backslash);
        if (lower == 'u') {
            value = quotes.unicode(value, start);
        }
        position = quotes.end();
        if (quote == '"') {
            return token(TokenKind.QUOTED_NAME, start, value);
        }
        if (lower == 'x') {
            value = value.replace(" ", ""); // SQL:2016, 5.3, lets them stand between the digits
        }
        if (lower == 'x' && rules.has(LexicalFeature.HEX_STRINGS_ARE_BITS) && isHex(value)) {
            return token(TokenKind.BIT_STRING, start, bits(value));
        }
        TokenKind kind = lower == 'x' ? TokenKind.HEX_STRING : lower == 'b' ? TokenKind.BIT_STRING : TokenKind.STRING;
        return token(kind, start, value);
    }

    private static boolean isHex(String digits) {
        return digits.chars().allMatch(d -> CharClass.isHexDigit((char) d));
    }

    private static String bits(String digits) {
        StringBuilder bits = new StringBuilder();
        for (char digit : digits.toCharArray()) {
            bits.append(Integer.toBinaryString(Character.digit(digit, 16) | 0x10), 1, 5);
        }
        return bits.toString();
    }

    private Token number(int start) {
        boolean bytesAlone = rules.has(LexicalFeature.HEX_NUMBERS_ARE_BYTES) && !CharClass.isNamePart(peek(2));
        boolean hex = peek(0) == '0' && (peek(1) == 'x' || peek(1) == 'X');
        if (hex && (bytesAlone || CharClass.isHexDigit(peek(2)))) { // 0x alone is no bytes at all
            position += 2;
            while (CharClass.isHexDigit(peek(0))) {
                position++;
            }
            boolean bytes = rules.has(LexicalFeature.HEX_NUMBERS_ARE_BYTES);
            return token(bytes ? TokenKind.HEX_STRING : TokenKind.NUMBER, start, text.substring(start + 2, position));
        }
        digits();
        if (rules.has(LexicalFeature.DIGIT_NAMES) && CharClass.isNameStart(peek(0)) && !isExponent()) {
            return word(start);
        }
        if (peek(0) == '_' && CharClass.isDigit(peek(1))) {
            return grouped(start);
        }
        if (peek(0) == '.' && peek(1) != '.') {
            position++;
            digits();
        }
        boolean exponent = isExponent();
        if (exponent) {
            position += peek(1) == '+' || peek(1) == '-' ? 3 : 2;
            digits();
        }
        if (rules.has(LexicalFeature.FLOAT_SUFFIXES) && isFloatSuffix()) {
            String number = text.substring(start, position) + (exponent ? "" : "E0");
            position++;
            return new Token(TokenKind.NUMBER, number, number, lines.span(start, position));
        }
        return token(TokenKind.NUMBER, start, null);
    }

    private boolean isFloatSuffix() {
        return "dDfF".indexOf(peek(0)) >= 0 && !CharClass.isNamePart(peek(1));
    }

    private boolean isExponent() {
        boolean signed = peek(1) == '+' || peek(1) == '-';
        return (peek(0) == 'e' || peek(0) == 'E') && CharClass.isDigit(peek(signed ? 2 : 1));
    }

    /** A whole number whose digits stand in groups, as in {@code 1_000} (SQL:2023). */
    private Token grouped(int start) {
        while (CharClass.isDigit(peek(0)) || peek(0) == '_' && CharClass.isDigit(peek(1))) {
            position++;
        }
        String digits = text.substring(start, position).replace("_", "");
        return new Token(TokenKind.NUMBER, digits, digits, lines.span(start, position));
    }

    private void digits() {
        while (CharClass.isDigit(peek(0))) {
            position++;
        }
    }

    private Token word(int start) {
        int length = text.length();
        boolean signs = rules.has(LexicalFeature.NUMBER_SIGNS_IN_NAMES);
        while (position < length
                && CharClass.isNamePart(text.charAt(position))
                && (signs || text.charAt(position) != '#')) {
            position++;
        }
        if (position == start) {
            position++;
        }
        return token(TokenKind.WORD, start, null);
    }

    private Token symbol(char c, int start) {
        if (c == CharClass.NOT_SIGN && (peek(1) == '=' || peek(1) == '<' || peek(1) == '>')) {
            position += 2;
            return token(TokenKind.SYMBOL, start, null);
        }
        for (String operator : c < OPERATORS.length ? OPERATORS[c] : OPERATORS[0]) {
            if (text.startsWith(operator, position)) {
                position += operator.length();
                return new Token(TokenKind.SYMBOL, operator, operator, lines.span(start, position));
            }
        }
        position++;
        String symbol = CharClass.symbol(c);
        return new Token(TokenKind.SYMBOL, symbol, symbol, lines.span(start, position));
    }
}
