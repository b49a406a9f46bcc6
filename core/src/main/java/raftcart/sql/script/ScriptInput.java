package raftcart.sql.script;

import java.io.IOException;
import java.io.Reader;
import raftcart.sql.CharClass;
import raftcart.sql.LexicalFeature;
import raftcart.sql.LexicalRules;

/** The characters of a script: takes them one by one, or a whole string or comment, and counts lines and columns. */
final class ScriptInput {
    private static final int NONE = -1;
    private static final boolean[] PLAIN = new boolean[128];

    static {
        for (char c : " \t.0123456789".toCharArray()) {
            PLAIN[c] = true;
        }
    }

    private final Reader in;
    private final LexicalRules rules;
    private final boolean signs;
    private final char[] buffer = new char[1 << 16];
    private int at;
    private int limit;
    private boolean ended;

    /** What was taken of the piece at hand. */
    final PieceText text = new PieceText();

    private int line = 1;
    private int column = 1;

    ScriptInput(Reader in, LexicalRules rules) {
        this.signs = rules.has(LexicalFeature.NUMBER_SIGNS_IN_NAMES);
        this.in = in;
        this.rules = rules;
    }

    int line() {
        return line;
    }

    int column() {
        return column;
    }

    /** The character at hand, or -1 at the end. */
    int peek() throws IOException {
        return at < limit || fill(1) ? buffer[at] : NONE;
    }

    /** The character so many places on, or -1 beyond the end; at most some hundred places. */
    int ahead(int count) throws IOException {
        return at + count < limit || fill(count + 1) ? buffer[at + count] : NONE;
    }

    /** True where so many characters are in the buffer now. */
    private boolean fill(int wanted) throws IOException {
        if (ended) {
            return limit - at >= wanted;
        }
        System.arraycopy(buffer, at, buffer, 0, limit - at);
        limit -= at;
        at = 0;
        while (limit < wanted && !ended) {
            int read = in.read(buffer, limit, buffer.length - limit);
            ended = read < 0;
            limit += Math.max(read, 0);
        }
        return limit >= wanted;
    }

    int take() throws IOException {
        int c = peek();
        if (c == NONE) {
            return NONE;
        }
        at++;
        if (c == '\n') {
            line++;
            column = 1;
        } else {
            column++;
        }
        text.append((char) c);
        return c;
    }

    /**
     * Takes letters, digits and what else names consist of.
     *
     * @param separator the character with which separators of statements begin, behind a name too
     */
    void name(char separator) throws IOException {
        do {
            int from = at;
            while (at < limit && isNamePart(buffer[at]) && buffer[at] != separator) {
                at++;
            }
            text.append(buffer, from, at - from);
            column += at - from;
        } while (at == limit
                && fill(1)
                && isNamePart(buffer[at])
                && buffer[at] != separator
                && text.length() <= ScriptReader.LONGEST);
    }

    /**
     * Takes digits, blanks and points up to something else or the end of the line.
     *
     * @return true where all of them are blanks
     */
    boolean plain(char separator) throws IOException {
        boolean blank = true;
        do {
            int from = at;
            while (at < limit && isPlain(buffer[at]) && buffer[at] != separator) {
                blank &= buffer[at] <= ' ';
                at++;
            }
            text.append(buffer, from, at - from);
            column += at - from;
        } while (at == limit
                && fill(1)
                && isPlain(buffer[at])
                && buffer[at] != separator
                && text.length() <= ScriptReader.LONGEST);
        return blank;
    }

    private static boolean isPlain(char c) {
        return c < PLAIN.length && PLAIN[c];
    }

    private boolean isNamePart(char c) {
        return CharClass.isNamePart(c) && (c != '#' || signs);
    }

    /** Takes what is up to one of three characters; a line's end is always one of them. */
    private void until(char one, char other) throws IOException {
        do {
            int from = at;
            while (at < limit && buffer[at] != one && buffer[at] != other && buffer[at] != '\n') {
                at++;
            }
            text.append(buffer, from, at - from);
            column += at - from;
        } while (at == limit && fill(1) && text.length() <= ScriptReader.LONGEST);
    }

    /** Takes a comment if one begins here; a character that begins none is given back. */
    boolean comment() throws IOException {
        int first = peek();
        if (first == '#') {
            return rules.has(LexicalFeature.HASH_COMMENTS) && restOfLine();
        }
        int second = ahead(1);
        if (first == '-' && second == '-') {
            return restOfLine();
        }
        if (first == '/' && second == '/' && rules.has(LexicalFeature.SLASH_COMMENTS) && !isAddress()) {
            return restOfLine();
        }
        if (first != '/' || second != '*') {
            return false;
        }
        boolean read = ahead(2) == '!' && rules.has(LexicalFeature.VERSION_COMMENTS)
                || ahead(2) == 'M' && ahead(3) == '!' && rules.has(LexicalFeature.M_VERSION_COMMENTS)
                || ahead(2) == '+';
        if (read) {
            return false;
        }
        blockComment();
        return true;
    }

    /** True for the slashes of {@code file://}, which stand without quotes in commands of clients. */
    private boolean isAddress() {
        return !text.isEmpty() && text.charAt(text.length() - 1) == ':';
    }

    boolean restOfLine() throws IOException {
        until('\n', '\n');
        return true;
    }

    void blockComment() throws IOException {
        take();
        take();
        int depthOfComment = 1;
        int previous = ' ';
        while (peek() >= 0 && depthOfComment > 0 && text.length() < ScriptReader.LONGEST) {
            int c = take();
            if (previous == '*' && c == '/') {
                depthOfComment--;
                c = ' ';
            } else if (previous == '/' && c == '*' && rules.has(LexicalFeature.NESTED_COMMENTS)) {
                depthOfComment++;
                c = ' ';
            }
            previous = c;
        }
    }

    /** The rest of the line, at most 500 characters, without taking it. */
    String lineAhead() throws IOException {
        fill(500);
        int end = at;
        while (end < limit && end < at + 500 && buffer[end] != '\n') {
            end++;
        }
        return new String(buffer, at, end - at);
    }

    /** Takes a text from its quote on up to the bracket that answers its own, with a quote behind. */
    void alternativeQuote() throws IOException {
        take();
        int open = take();
        int close = open == '[' ? ']' : open == '(' ? ')' : open == '{' ? '}' : open == '<' ? '>' : open;
        int previous = -1;
        while (peek() >= 0 && text.length() < ScriptReader.LONGEST) {
            int c = take();
            if (previous == close && c == '\'') {
                return;
            }
            previous = c;
        }
    }

    void string(char quote, boolean backslash) throws IOException {
        take();
        while (peek() >= 0 && text.length() <= ScriptReader.LONGEST) {
            until(quote, backslash ? '\\' : quote);
            int c = take();
            if (c == '\\' && backslash) {
                take();
            } else if (c == quote) {
                if (peek() != quote) {
                    return;
                }
                take();
            }
        }
    }

    void dollar() throws IOException {
        if (!rules.has(LexicalFeature.DOLLAR_QUOTES)) {
            take();
            return;
        }
        StringBuilder tag = new StringBuilder("$");
        take();
        while (peek() >= 0 && (Character.isLetterOrDigit(peek()) || peek() == '_')) {
            tag.append((char) take());
        }
        boolean quoted = peek() == '$' && (tag.length() == 1 || !Character.isDigit(tag.charAt(1)));
        if (!quoted) {
            return;
        }
        tag.append((char) take());
        while (peek() >= 0 && text.length() <= ScriptReader.LONGEST) {
            int c = take();
            if (c == '$' && endsWith(tag)) {
                return;
            }
        }
    }

    private boolean endsWith(CharSequence tag) {
        int from = text.length() - tag.length();
        if (from < 0) {
            return false;
        }
        for (int i = 0; i < tag.length(); i++) {
            if (text.charAt(from + i) != tag.charAt(i)) {
                return false;
            }
        }
        return true;
    }
}
