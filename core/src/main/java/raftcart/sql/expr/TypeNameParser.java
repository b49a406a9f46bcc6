package raftcart.sql.expr;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import raftcart.sql.Lexer;
import raftcart.sql.LexicalRules;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;

/** Reads names of types, also those of several words and with parameters in their midst. */
public final class TypeNameParser {
    private static final Set<String> FURTHER_WORDS = Set.of(
            "varying",
            "precision",
            "unsigned",
            "zerofill",
            "with",
            "without",
            "time",
            "zone",
            "local",
            "year",
            "month",
            "day",
            "hour",
            "minute",
            "second",
            "to",
            "large",
            "object");
    private static final Set<String> WITHOUT_MEANING = Set.of("zerofill");

    private TypeNameParser() {}

    /** Reads a text that is the name of a type. */
    public static TypeName parse(String text, LexicalRules rules) {
        TokenCursor cursor = new TokenCursor(Lexer.tokens(text, rules));
        TypeName name = parse(cursor);
        if (!cursor.atEnd()) {
            return TypeName.of(text);
        }
        return name;
    }

    /** Reads the name of a type at the cursor. */
    static TypeName parse(TokenCursor cursor) {
        StringBuilder name = new StringBuilder(nameWord(cursor));
        while (cursor.takeSymbol(".")) {
            name.append('.').append(nameWord(cursor));
        }
        List<Integer> parameters = new ArrayList<>();
        List<String> values = new ArrayList<>();
        boolean first = true;
        while (true) {
            if (cursor.peek().isSymbol("(") && parameters.isEmpty() && values.isEmpty()) {
                parameters(cursor, parameters, values);
            } else if (isFurtherWord(cursor.peek(), first, name)) {
                String word = cursor.take().value().toLowerCase(Locale.ROOT);
                if (!WITHOUT_MEANING.contains(word)) {
                    name.append(' ').append(word);
                }
            } else {
                break;
            }
            first = false;
        }
        boolean array = false;
        while (cursor.takeSymbol("[")) {
            cursor.expectSymbol("]");
            array = true;
        }
        return new TypeName(name.toString(), parameters, values, array);
    }

    private static String nameWord(TokenCursor cursor) {
        if (!cursor.peek().isName()) {
            throw cursor.unexpected("the name of a type");
        }
        return cursor.take().value();
    }

    private static boolean isFurtherWord(Token token, boolean first, CharSequence name) {
        boolean known = token.kind() == TokenKind.WORD
                && FURTHER_WORDS.contains(token.value().toLowerCase(Locale.ROOT));
        return known && !(first && name.isEmpty());
    }

    private static void parameters(TokenCursor cursor, List<Integer> parameters, List<String> values) {
        cursor.expectSymbol("(");
        do {
            Token token = cursor.take();
            if (token.kind() == TokenKind.STRING) {
                values.add(token.value());
            } else if (token.kind() == TokenKind.NUMBER && token.text().length() <= 9) {
                parameters.add(Integer.parseInt(token.text()));
            } else {
                throw cursor.unexpected("a length or a text before this");
            }
        } while (cursor.takeSymbol(","));
        cursor.expectSymbol(")");
    }
}
