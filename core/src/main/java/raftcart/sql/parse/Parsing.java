package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import raftcart.sql.LexicalFeature;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;

/** One text being read: the cursor, the grammar, and the parsers for each kind of thing. */
final class Parsing {
    /** How deep parentheses, queries and choices may be nested. */
    static final int DEEPEST = 300;

    final TokenCursor cursor;
    final Grammar grammar;
    final ExprParser expressions;
    final QueryParser queries;
    private int depth;
    private Optional<Name> named = Optional.empty();

    Parsing(TokenCursor cursor, Grammar grammar) {
        this.cursor = cursor;
        this.grammar = grammar;
        this.expressions = new ExprParser(this);
        this.queries = new QueryParser(this);
    }

    boolean has(GrammarFeature feature) {
        return grammar.has(feature);
    }

    /** Passes over the comment that H2 writes between a name and what follows. */
    void commentBehindName(List<String> leftOut) {
        if (cursor.peek().isWord("COMMENT") && cursor.peek(1).isString()) {
            leftOut.add(cursor.take().text() + " " + cursor.take().text());
        }
    }

    /** A name that stands with an expression, of which its item is to be called. */
    void named(Name name) {
        named = Optional.of(name);
    }

    /** The name that was given with the expression read last, if any. */
    Optional<Name> takeNamed() {
        Optional<Name> given = named;
        named = Optional.empty();
        return given;
    }

    /** Reads something that may contain itself. */
    <T> T nested(Supplier<T> reader) {
        enter();
        try {
            return reader.get();
        } finally {
            leave();
        }
    }

    /** Begins something that may contain itself, and that ends with {@link #leave()}. */
    void enter() {
        if (++depth > DEEPEST) {
            throw cursor.error("nested more than " + DEEPEST + " deep");
        }
    }

    void leave() {
        depth--;
    }

    /** What stands before this word outside of parentheses, to be read apart; the cursor stays at the word. */
    Parsing before(String word) {
        List<Token> tokens = new ArrayList<>();
        int open = 0;
        while (!cursor.atEnd() && !(open == 0 && cursor.peek().isWord(word))) {
            open += cursor.peek().isSymbol("(") ? 1 : cursor.peek().isSymbol(")") ? -1 : 0;
            tokens.add(cursor.take());
        }
        tokens.add(new Token(TokenKind.END, "", "", cursor.peek().span()));
        return new Parsing(new TokenCursor(tokens), grammar);
    }

    /** A name, quoted or not. */
    Name name() {
        Token token = cursor.peek();
        if (token.isString()
                && cursor.previous().kind() == TokenKind.WORD
                && cursor.previous().span().end() == token.span().start()) {
            throw cursor.byHand("a text of the kind " + cursor.previous().text() + "'...'");
        }
        if (!token.isName() && !isTextAsName(token)) {
            throw cursor.unexpected("a name");
        }
        return nameOf(cursor.take());
    }

    /** Some dialects let a text stand where an alias is wanted. */
    private static boolean isTextAsName(Token token) {
        return token.isString();
    }

    Name nameOf(Token token) {
        if (token.kind() == TokenKind.WORD) {
            return Name.of(token.value());
        }
        boolean padded = grammar.has(GrammarFeature.NAMES_END_BEFORE_BLANKS);
        return grammar.names().quoted(padded ? token.value().stripTrailing() : token.value());
    }

    /** True where the parts of a name go on. */
    boolean atPoint() {
        return cursor.peek().isSymbol(".") || cursor.peek().isSymbol("..") && has(GrammarFeature.EMPTY_NAME_PARTS);
    }

    /** A name with points in it. An empty part between two points is the default schema. */
    QualifiedName qualifiedName() {
        Name first = name();
        if (!atPoint() && !cursor.peek().isSymbol("@")) {
            return new QualifiedName(List.of(first)); // most names
        }
        List<Name> parts = new ArrayList<>(List.of(first));
        while (atPoint()) {
            cursor.take();
            parts.add(name());
        }
        if (cursor.peek().isSymbol("@") && cursor.peek(1).isName()) {
            throw cursor.byHand("a database link: objects of another database");
        }
        return new QualifiedName(parts);
    }

    /** Names in parentheses, if they stand next. */
    List<Name> namesInParentheses() {
        List<Name> names = new ArrayList<>();
        if (cursor.takeSymbol("(")) {
            do {
                names.add(name());
            } while (cursor.takeSymbol(","));
            cursor.expectSymbol(")");
        }
        return names;
    }

    <T> List<T> list(Supplier<T> reader) {
        List<T> items = new ArrayList<>();
        do {
            items.add(reader.get());
        } while (cursor.takeSymbol(","));
        return items;
    }

    /** Passes over what stands in parentheses, and gives its text. */
    String skipParentheses() {
        StringBuilder text = new StringBuilder("(");
        cursor.expectSymbol("(");
        int open = 1;
        while (open > 0) {
            if (cursor.atEnd()) {
                throw cursor.unexpected("')'");
            }
            Token token = cursor.take();
            open += token.isSymbol("(") ? 1 : token.isSymbol(")") ? -1 : 0;
            text.append(text.length() > 1 && !token.isSymbol(")") ? " " : "").append(token.text());
        }
        return text.toString();
    }

    /** The word that stands next in upper case, or the empty text. */
    String word() {
        Token token = cursor.peek();
        return token.kind() == TokenKind.WORD ? token.value().toUpperCase(java.util.Locale.ROOT) : "";
    }

    /** A text constant. */
    String string() {
        if (!cursor.peek().isString()) {
            throw cursor.unexpected("a text");
        }
        return cursor.take().value();
    }

    /** A whole number, perhaps with a sign. */
    java.math.BigInteger wholeNumber() {
        boolean negative = cursor.takeSymbol("-");
        cursor.takeSymbol("+");
        Token token = cursor.peek();
        if (token.kind() != TokenKind.NUMBER || !token.text().matches("[0-9]{1,40}")) {
            throw cursor.unexpected("a whole number");
        }
        java.math.BigInteger value = new java.math.BigInteger(cursor.take().text());
        return negative ? value.negate() : value;
    }

    Optional<Name> optionalName(boolean present) {
        return present ? Optional.of(name()) : Optional.empty();
    }

    /** True for a name that makes its table temporary. */
    boolean isTemporary(QualifiedName name) {
        return name.last().text().startsWith("#") && grammar.lexical().has(LexicalFeature.NUMBER_SIGN_NAMES);
    }
}
