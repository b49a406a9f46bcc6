package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.Lexer;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Expected;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;

/** Reads a query in a routine, whose INTO may stand in several places and names the variables for the values of its row. */
public final class IntoParser {
    private final Parsing parsing;
    private final TokenCursor cursor;

    IntoParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    Statement select(Expected expected) {
        Span span = cursor.peek().span();
        int mark = cursor.mark();
        List<Token> tokens = new ArrayList<>();
        List<Expr> targets = new ArrayList<>();
        int depth = 0;
        boolean strict = false;
        while (!cursor.atEnd() && !(depth == 0 && cursor.peek().isSymbol(";"))) {
            Token token = cursor.peek();
            depth += token.isSymbol("(") ? 1 : token.isSymbol(")") ? -1 : 0;
            if (depth == 0 && token.isWord("BULK") && cursor.peek(1).isWord("COLLECT")) {
                throw cursor.byHand("BULK COLLECT");
            }
            if (depth == 0 && token.isWord("INTO")) {
                cursor.take();
                strict = cursor.takeWords("STRICT");
                targets.addAll(parsing.list(this::target));
            } else {
                tokens.add(cursor.take());
            }
        }
        Token end = new Token(TokenKind.END, "", "", cursor.peek().span());
        tokens.add(end);
        if (targets.isEmpty()) {
            int stop = cursor.mark();
            cursor.reset(mark);
            Statement query = StatementParser.nested(parsing);
            if (cursor.mark() != stop) {
                throw cursor.unexpected("the end of the query");
            }
            return query;
        }
        TokenCursor inner = new TokenCursor(tokens);
        Query query = new Parsing(inner, parsing.grammar).queries.query();
        if (!inner.atEnd()) {
            throw inner.unexpected("the end of the query");
        }
        return new CodeStatement.SelectInto(query, targets, strict ? Expected.EXACTLY_ONE : expected, span);
    }

    /**
     * A piece of a text without {@code INTO @a, @b}.
     *
     * @param targets takes the variables
     */
    public static String without(String text, Grammar grammar, List<Expr> targets) {
        List<Token> tokens = new ArrayList<>();
        Lexer lexer = new Lexer(text, grammar.lexical(), 1, 1);
        try {
            for (Token token = lexer.next(); token.kind() != TokenKind.END; token = lexer.next()) {
                tokens.add(token);
            }
        } catch (SqlSyntaxException e) {
            return text; // a quote that is closed in another piece
        }
        for (int i = 0; i + 1 < tokens.size(); i++) {
            if (tokens.get(i).isWord("INTO") && isOfSession(tokens.get(i + 1))) {
                int last = i + 1;
                targets.add(variable(tokens.get(last)));
                while (last + 2 < tokens.size()
                        && tokens.get(last + 1).isSymbol(",")
                        && isOfSession(tokens.get(last + 2))) {
                    last += 2;
                    targets.add(variable(tokens.get(last)));
                }
                return text.substring(0, tokens.get(i).span().start())
                        + text.substring(tokens.get(last).span().end());
            }
        }
        return text;
    }

    private static Expr variable(Token token) {
        return new Expr.Parameter(token.text(), token.span());
    }

    /** True for a variable of the session ("User-Defined Variables", MariaDB). */
    static boolean isOfSession(Token token) {
        return token.kind() == TokenKind.PARAMETER && token.text().matches("@\\w+");
    }

    /** A variable that takes a value. */
    Expr target() {
        Span span = cursor.peek().span();
        if (isOfSession(cursor.peek())) {
            return new Expr.Parameter(cursor.take().text(), span);
        }
        if (!cursor.peek().isName() || cursor.peek().isAnyWord("OUTFILE", "DUMPFILE")) {
            throw cursor.byHand("a variable of the session, or a file");
        }
        return new Expr.Column(parsing.qualifiedName(), false, span);
    }
}
