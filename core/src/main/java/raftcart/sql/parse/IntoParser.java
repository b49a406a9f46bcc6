package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
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
final class IntoParser {
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

    /** True for a variable of the session ("User-Defined Variables", MariaDB). */
    static boolean isOfSession(Token token) {
        return token.kind() == TokenKind.PARAMETER && token.text().matches("@\\w+");
    }

    private Expr target() {
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
