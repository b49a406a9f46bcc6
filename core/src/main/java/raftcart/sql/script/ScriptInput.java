package raftcart.sql.script;

import java.io.IOException;
import java.io.Reader;
import raftcart.sql.LexicalFeature;
import raftcart.sql.LexicalRules;

/** The characters of a script: takes them one by one, or a whole string or comment, and counts lines and columns. */
final class ScriptInput {
    private final Reader in;
    private final LexicalRules rules;

    /** What was taken of the piece at hand. */
    final StringBuilder text = new StringBuilder();

    private int line = 1;
    private int column = 1;
    private int peeked = -2;

    ScriptInput(Reader in, LexicalRules rules) {
        this.in = in;
        this.rules = rules;
    }

    int line() {
        return line;
    }

    int column() {
        return column;
    }

    int peek() throws IOException {
        if (peeked == -2) {
            peeked = in.read();
        }
        return peeked;
    }

    int take() throws IOException {
        int c = peek();
        peeked = -2;
        if (c == '\n') {
            line++;
            column = 1;
        } else if (c >= 0) {
            column++;
        }
        if (c >= 0) {
            text.append((char) c);
        }
        return c;
    }

    /** Takes a comment if one begins here; a character that begins none is given back. */
    boolean comment() throws IOException {
        int first = peek();
        if (first == '#') {
            return rules.has(LexicalFeature.HASH_COMMENTS) && restOfLine();
        }
        int second = second();
        if (first == '-' && second == '-') {
            return restOfLine();
        }
        if (first == '/' && second == '/' && rules.has(LexicalFeature.SLASH_COMMENTS)) {
            return restOfLine();
        }
        if (first != '/' || second != '*') {
            return false;
        }
        if (third() == '!' && rules.has(LexicalFeature.VERSION_COMMENTS) || third() == '+') {
            return false;
        }
        blockComment();
        return true;
    }

    boolean restOfLine() throws IOException {
        while (peek() >= 0 && peek() != '\n') {
            take();
        }
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

    // The reader must support mark: all that the rewriter opens are buffered.
    private int second() throws IOException {
        return ahead(1);
    }

    private int third() throws IOException {
        return ahead(2);
    }

    int ahead(int count) throws IOException {
        peek();
        in.mark(count + 1);
        int c = -1;
        for (int i = 0; i < count; i++) {
            c = in.read();
        }
        in.reset();
        return c;
    }

    /** The rest of the line, at most 500 characters, without taking it. */
    String lineAhead() throws IOException {
        StringBuilder ahead = new StringBuilder();
        ahead.append((char) peek());
        in.mark(600);
        for (int i = 0; i < 500; i++) {
            int c = in.read();
            if (c < 0 || c == '\n') {
                break;
            }
            ahead.append((char) c);
        }
        in.reset();
        return ahead.toString();
    }

    void alternativeQuote() throws IOException {
        if (peek() != '\'' || !rules.has(LexicalFeature.ALTERNATIVE_QUOTES)) {
            return;
        }
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
