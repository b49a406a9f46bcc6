package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;

/** The names that a trigger has for its rows before and after the change (ISO 9075-2, "trigger definition", REFERENCING). */
final class TriggerRows {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final Set<String> news = new TreeSet<>(String.CASE_INSENSITIVE_ORDER);
    private final Set<String> olds = new TreeSet<>(String.CASE_INSENSITIVE_ORDER);

    TriggerRows(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        news.add("new");
        olds.add("old");
    }

    /** Reads REFERENCING, if it stands next. */
    void referencing() {
        if (!cursor.takeWords("REFERENCING")) {
            return;
        }
        while (cursor.peek().isAnyWord("NEW", "OLD", "PARENT", "NEW_TABLE", "OLD_TABLE")) {
            Token which = cursor.take();
            boolean tables =
                    which.isAnyWord("NEW_TABLE", "OLD_TABLE") || cursor.peek().isWord("TABLE");
            if (tables || which.isWord("PARENT")) {
                throw cursor.byHand(tables ? "the rows of a change as a table" : "rows of nested tables");
            }
            cursor.takeWords("ROW");
            cursor.takeWords("AS");
            String alias = parsing.name().text();
            (which.isWord("NEW") ? news : olds).add(alias);
        }
    }

    /** The rest of the text, in which the rows are called new and old without a colon. */
    Parsing rest() {
        List<Token> tokens = new ArrayList<>();
        while (!cursor.atEnd()) {
            Token token = cursor.take();
            boolean row = cursor.peek().isSymbol(".")
                    && (token.kind() == TokenKind.PARAMETER || token.kind() == TokenKind.WORD);
            String name = token.text().replaceFirst("^:", "");
            boolean isNew = row && news.contains(name);
            boolean isOld = row && olds.contains(name);
            String plain = isNew ? "new" : "old";
            tokens.add(isNew || isOld ? new Token(TokenKind.WORD, plain, plain, token.span()) : token);
        }
        tokens.add(new Token(TokenKind.END, "", "", cursor.peek().span()));
        return new Parsing(new TokenCursor(tokens), parsing.grammar);
    }
}
