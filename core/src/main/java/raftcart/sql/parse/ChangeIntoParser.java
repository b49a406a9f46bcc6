package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Statement;

/** Reads a change in a routine, whose RETURNING may name the variables for the values of its row. */
final class ChangeIntoParser {
    private final Parsing parsing;
    private final TokenCursor cursor;

    ChangeIntoParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    Statement change(Span span) {
        int mark = cursor.mark();
        List<Token> tokens = new ArrayList<>();
        List<Expr> targets = new ArrayList<>();
        boolean returns = false;
        boolean strict = false;
        int depth = 0;
        while (!cursor.atEnd() && !(depth == 0 && cursor.peek().isSymbol(";"))) {
            Token token = cursor.peek();
            depth += token.isSymbol("(") ? 1 : token.isSymbol(")") ? -1 : 0;
            returns |= depth == 0 && token.isAnyWord("RETURNING", "RETURN");
            if (returns && depth == 0 && token.isWord("INTO")) {
                cursor.take();
                strict = cursor.takeWords("STRICT");
                targets.addAll(parsing.list(() -> {
                    Span place = cursor.peek().span();
                    return new Expr.Column(parsing.qualifiedName(), false, place);
                }));
            } else if (returns && depth == 0 && token.isWord("BULK")) {
                throw cursor.byHand("BULK COLLECT");
            } else {
                boolean word = depth == 0 && token.isWord("RETURN");
                cursor.take();
                tokens.add(word ? new Token(TokenKind.WORD, "RETURNING", "RETURNING", token.span()) : token);
            }
        }
        if (targets.isEmpty()) {
            cursor.reset(mark);
            return StatementParser.nested(parsing);
        }
        tokens.add(new Token(TokenKind.END, "", "", cursor.peek().span()));
        TokenCursor inner = new TokenCursor(tokens);
        Statement change = StatementParser.nested(new Parsing(inner, parsing.grammar));
        if (!inner.atEnd()) {
            throw inner.unexpected("the end of the change");
        }
        return new CodeStatement.ChangeInto(change, targets, strict, span);
    }
}
