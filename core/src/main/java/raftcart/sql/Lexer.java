package raftcart.sql;

import java.util.ArrayList;
import java.util.List;
import raftcart.error.SqlSyntaxException;

/** Cuts a text into tokens by a dialect's rules, one at a time. White space is passed over, comments are tokens. */
public final class Lexer {
    private final String text;
    private final LexicalRules rules;
    private int position;
    private int line = 1;
    private int lineStart;

    public Lexer(String text, LexicalRules rules) {
        this.text = text;
        this.rules = rules;
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
        int startLine = line;
        int startColumn = position - lineStart + 1;
        if (position >= text.length()) {
            return new Token(TokenKind.END, "", "", new Span(start, start, startLine, startColumn));
        }
        char c = text.charAt(position);
        TokenKind kind;
        String value;
        if (startsComment()) {
            kind = TokenKind.COMMENT;
            value = "";
            skipComment();
        } else if (c == '\'' || (c == '"' && rules.doubleQuotedStrings() && rules.nameQuote() != '"')) {
            kind = TokenKind.STRING;
            value = quoted(c, rules.backslashEscapes());
        } else if (c == rules.nameQuote()) {
            kind = TokenKind.QUOTED_NAME;
            value = quoted(c, false);
        } else if (isPrefixedString(c)) {
            position++;
            kind = prefixedKind(c);
            value = quoted('\'', c == 'e' || c == 'E');
        } else if (rules.dollarQuotes() && c == '$' && dollarTag() != null) {
            kind = TokenKind.STRING;
            value = dollarQuoted(dollarTag());
        } else if (isDigit(c) || (c == '.' && isDigit(peek(1)))) {
            kind = number();
            value = kind == TokenKind.HEX_STRING
                    ? text.substring(start + 2, position)
                    : text.substring(start, position);
        } else if (isNameStart(c)) {
            kind = TokenKind.WORD;
            value = word();
        } else {
            kind = TokenKind.SYMBOL;
            value = symbol();
        }
        countLines(start);
        return new Token(
                kind, text.substring(start, position), value, new Span(start, position, startLine, startColumn));
    }

    private char peek(int ahead) {
        int at = position + ahead;
        return at < text.length() ? text.charAt(at) : '\0';
    }

    private void skipBlanks() {
        while (position < text.length() && Character.isWhitespace(text.charAt(position))) {
            if (text.charAt(position) == '\n') {
                line++;
                lineStart = position + 1;
            }
            position++;
        }
    }

    private void countLines(int from) {
        for (int i = from; i < position; i++) {
            if (text.charAt(i) == '\n') {
                line++;
                lineStart = i + 1;
            }
        }
    }

    private boolean startsComment() {
        char c = text.charAt(position);
        return (c == '-' && peek(1) == '-') || (c == '/' && peek(1) == '*') || (c == '#' && rules.hashComments());
    }

    private void skipComment() {
        if (text.charAt(position) != '/') {
            int end = text.indexOf('\n', position);
            position = end < 0 ? text.length() : end;
            return;
        }
        int start = position;
        int depth = 0;
        do {
            if (position >= text.length()) {
                throw error("comment is not closed", start);
            }
            if (peek(0) == '/' && peek(1) == '*' && (depth == 0 || rules.nestedComments())) {
                depth++;
                position += 2;
            } else if (peek(0) == '*' && peek(1) == '/') {
                depth--;
                position += 2;
            } else {
                position++;
            }
        } while (depth > 0);
    }

    private String quoted(char quote, boolean backslash) {
        int start = position++;
        StringBuilder value = new StringBuilder();
        while (true) {
            if (position >= text.length()) {
                throw error("text that begins with " + quote + " is not closed", start);
            }
            char c = text.charAt(position++);
            if (c == quote) {
                if (peek(0) != quote) {
                    return value.toString();
                }
                position++;
                value.append(quote);
            } else if (c == '\\' && backslash && position < text.length()) {
                value.append(unescape(text.charAt(position++)));
            } else {
                value.append(c);
            }
        }
    }

    private static String unescape(char c) {
        return switch (c) {
            case 'n' -> "\n";
            case 't' -> "\t";
            case 'r' -> "\r";
            case 'b' -> "\b";
            case '0' -> "\0";
            case 'Z' -> "\u001a";
            case '%', '_' -> "\\" + c;
            default -> String.valueOf(c);
        };
    }

    private boolean isPrefixedString(char c) {
        return peek(1) == '\'' && "xXbBeEnN".indexOf(c) >= 0;
    }

    private static TokenKind prefixedKind(char prefix) {
        return switch (prefix) {
            case 'x', 'X' -> TokenKind.HEX_STRING;
            case 'b', 'B' -> TokenKind.BIT_STRING;
            default -> TokenKind.STRING;
        };
    }

    private String dollarTag() {
        int end = position + 1;
        while (end < text.length() && (Character.isLetterOrDigit(text.charAt(end)) || text.charAt(end) == '_')) {
            end++;
        }
        boolean tag = end < text.length() && text.charAt(end) == '$' && !isDigit(peek(1));
        return tag ? text.substring(position, end + 1) : null;
    }

    private String dollarQuoted(String tag) {
        int start = position;
        int end = text.indexOf(tag, position + tag.length());
        if (end < 0) {
            throw error("text that begins with " + tag + " is not closed", start);
        }
        String value = text.substring(position + tag.length(), end);
        position = end + tag.length();
        return value;
    }

    private TokenKind number() {
        if (peek(0) == '0' && (peek(1) == 'x' || peek(1) == 'X') && isHexDigit(peek(2))) {
            position += 2;
            while (isHexDigit(peek(0))) {
                position++;
            }
            return TokenKind.HEX_STRING;
        }
        while (isDigit(peek(0))) {
            position++;
        }
        if (peek(0) == '.' && peek(1) != '.') {
            position++;
            while (isDigit(peek(0))) {
                position++;
            }
        }
        boolean signed = peek(1) == '+' || peek(1) == '-';
        if ((peek(0) == 'e' || peek(0) == 'E') && isDigit(peek(signed ? 2 : 1))) {
            position += signed ? 3 : 2;
            while (isDigit(peek(0))) {
                position++;
            }
        }
        return TokenKind.NUMBER;
    }

    private String word() {
        int start = position;
        while (position < text.length() && isNamePart(text.charAt(position))) {
            position++;
        }
        return text.substring(start, position);
    }

    private String symbol() {
        for (String operator : rules.operators()) {
            if (text.startsWith(operator, position)) {
                position += operator.length();
                return operator;
            }
        }
        return String.valueOf(text.charAt(position++));
    }

    private static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }

    private static boolean isHexDigit(char c) {
        return Character.digit(c, 16) >= 0;
    }

    private static boolean isNameStart(char c) {
        return Character.isLetter(c) || c == '_' || c == '@' || c > 127;
    }

    private static boolean isNamePart(char c) {
        return isNameStart(c) || isDigit(c) || c == '$' || c == '#';
    }

    private SqlSyntaxException error(String message, int at) {
        int errorLine = 1;
        int errorLineStart = 0;
        for (int i = 0; i < at; i++) {
            if (text.charAt(i) == '\n') {
                errorLine++;
                errorLineStart = i + 1;
            }
        }
        return new SqlSyntaxException(errorLine + ":" + (at - errorLineStart + 1) + ": " + message, null);
    }
}
