package raftcart.sql;

import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Collections;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import raftcart.error.SqlSyntaxException;

/** A place in a list of tokens, and the small questions that parsers ask of it. */
public final class TokenCursor {
    private final Token[] tokens;
    private final Map<Integer, Token> hints = new TreeMap<>();
    private int position;
    private int[] closings;

    public TokenCursor(List<Token> tokens) {
        this.tokens = tokens.toArray(Token[]::new);
    }

    /** The token at the cursor; the end token for ever once it is reached. */
    public Token peek() {
        return peek(0);
    }

    /** The token so many places ahead. */
    public Token peek(int ahead) {
        return tokens[Math.min(position + ahead, tokens.length - 1)];
    }

    /** How many places ahead the parenthesis is closed that stands so many places ahead; the end where it is not. */
    public int closing(int ahead) {
        if (closings == null) {
            closings = closings();
        }
        return closings[position + ahead] - position;
    }

    private int[] closings() {
        int[] places = new int[tokens.length];
        Deque<Integer> open = new ArrayDeque<>();
        for (int i = 0; i < tokens.length; i++) {
            if (tokens[i].isSymbol("(")) {
                open.push(i);
            } else if (tokens[i].isSymbol(")") && !open.isEmpty()) {
                places[open.pop()] = i;
            }
        }
        open.forEach(i -> places[i] = tokens.length - 1);
        return places;
    }

    /** True where one of these words stands directly in the parentheses that open next, not in others or a CASE inside. */
    public boolean hasDirectly(String... words) {
        int choices = 0;
        for (int i = 1; i < closing(0); i++) {
            if (peek(i).isSymbol("(")) {
                i = closing(i);
            } else if (peek(i).isWord("CASE")) {
                choices++;
            } else if (peek(i).isWord("END")) {
                choices--;
            } else if (choices == 0 && peek(i).isAnyWord(words)) {
                return true;
            }
        }
        return false;
    }

    /** The token taken last. */
    public Token previous() {
        return tokens[Math.max(position - 1, 0)];
    }

    /** Takes the token at the cursor. */
    public Token take() {
        Token token = peek();
        if (position > tokens.length) {
            throw unexpected("more"); // so that no loop goes on for ever
        }
        position++;
        return token;
    }

    /** The place, to come back to. */
    public int mark() {
        return position;
    }

    /** Goes back to a place. */
    public void reset(int mark) {
        position = mark;
    }

    /** What was taken since this mark. */
    public List<Token> taken(int mark) {
        return Collections.unmodifiableList(Arrays.asList(tokens).subList(mark, Math.min(position, tokens.length)));
    }

    /** Remembers what was taken since this mark, if anything, as advice that the tree does not hold. */
    public void noteHint(int mark) {
        if (mark < position) {
            String text = taken(mark).stream().map(Token::text).collect(Collectors.joining(" "));
            Span first = tokens[mark].span();
            Span span = new Span(first.start(), previous().span().end(), first.line(), first.column());
            hints.put(mark, new Token(TokenKind.HINT, text, text, span));
        }
    }

    /** Remembers advice that was met in a part of the text read apart. */
    public void addHints(List<Token> more) {
        more.forEach(h -> hints.put(tokens.length + h.span().start(), h));
    }

    /** The advice met so far, each piece once however often a parser came by. */
    public List<Token> hints() {
        return List.copyOf(hints.values());
    }

    /** True where this word stands next. */
    public boolean atWords(String word) {
        return peek().isWord(word);
    }

    /** Takes this word if it stands next. */
    public boolean takeWords(String word) {
        boolean next = peek().isWord(word);
        if (next) {
            position++;
        }
        return next;
    }

    /** True where these words stand next. */
    public boolean atWords(String... words) {
        for (int i = 0; i < words.length; i++) {
            if (!peek(i).isWord(words[i])) {
                return false;
            }
        }
        return true;
    }

    /** Takes these words if they stand next; otherwise takes nothing. */
    public boolean takeWords(String... words) {
        boolean all = atWords(words);
        if (all) {
            position += words.length;
        }
        return all;
    }

    /** Takes one of these words if it stands next. */
    public boolean takeAny(String... words) {
        boolean any = peek().isAnyWord(words);
        if (any) {
            position++;
        }
        return any;
    }

    /** Takes this symbol if it stands next. */
    public boolean takeSymbol(String symbol) {
        if (!peek().isSymbol(symbol)) {
            return false;
        }
        position++;
        return true;
    }

    /** Takes this symbol. */
    public void expectSymbol(String symbol) {
        if (!takeSymbol(symbol)) {
            throw unexpected("'" + symbol + "'");
        }
    }

    /** Takes these words. */
    public void expectWords(String... words) {
        for (String word : words) {
            if (!takeWords(word)) {
                throw unexpected(word);
            }
        }
    }

    /** True at the end of the text. */
    public boolean atEnd() {
        return peek().kind() == TokenKind.END;
    }

    /** An error at the cursor that says what was expected there. */
    public SqlSyntaxException unexpected(String expected) {
        return unexpectedAt(peek(), expected);
    }

    /** An error at a token that says what was expected there. */
    public SqlSyntaxException unexpectedAt(Token token, String expected) {
        String text = token.text().length() > 40 ? token.text().substring(0, 40) + "..." : token.text();
        String found = token.kind() == TokenKind.END ? "the end of the text" : "'" + text + "'";
        Span span = token.span();
        return new SqlSyntaxException(span.line(), span.column(), "found " + found + ", expected " + expected);
    }

    /** Refuses a form at the cursor that is known, but is left to a person. */
    public SqlSyntaxException byHand(String form) {
        Span span = peek().span();
        return new SqlSyntaxException(span.line(), span.column(), form, true);
    }

    /** An error at the cursor. */
    public SqlSyntaxException error(String reason) {
        Span span = peek().span();
        return new SqlSyntaxException(span.line(), span.column(), reason);
    }
}
