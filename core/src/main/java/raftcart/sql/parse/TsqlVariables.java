package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;

/**
 * The names of a routine's variables, of which T-SQL tells by their first character that they are no columns: parameters get
 * {@code p_} before them and all others {@code v_}; tables become temporary ones ("DECLARE @local_variable", "table").
 */
final class TsqlVariables {
    private static final String PARAMETER = "p_";
    private static final String OTHER = "v_";

    /** The question whether a change names a column, which begins as the statement does. */
    static final String UPDATES = "change_names_column";

    private final Map<String, String> names = new HashMap<>();
    private final Map<Integer, String> places = new HashMap<>();

    /** The name by which callers give a parameter. */
    static Name parameter(String written) {
        return Name.of(PARAMETER + written.substring(1));
    }

    /** True for a variable of the routine, not one of the engine. */
    static boolean isVariable(Token token) {
        return token.kind() == TokenKind.PARAMETER
                && token.text().startsWith("@")
                && !token.text().startsWith("@@");
    }

    /** Takes a parameter with the name that it gets. */
    Name declare(Token parameter) {
        Name name = parameter(parameter.text());
        names.put(key(parameter), name.text());
        return name;
    }

    /** The name of a variable that is a table. */
    Name table(Token variable) {
        return Name.of(named(variable));
    }

    private static String key(Token token) {
        return token.text().toLowerCase(Locale.ROOT);
    }

    private String named(Token token) {
        return names.computeIfAbsent(key(token), k -> OTHER + token.text().substring(1));
    }

    /** The rest of a text, in which variables have names of their own. */
    Parsing rest(Parsing parsing) {
        TokenCursor cursor = parsing.cursor;
        List<Token> given = new ArrayList<>();
        while (!cursor.atEnd()) {
            given.add(cursor.take());
        }
        refuseTaken(given, parsing);
        List<Token> tokens = new ArrayList<>();
        for (int i = 0; i < given.size(); i++) {
            Token token = given.get(i);
            if (!isVariable(token)) {
                boolean asks = i > 0
                        && i + 1 < given.size()
                        && token.isWord("UPDATE")
                        && given.get(i + 1).isSymbol("(")
                        && (given.get(i - 1).isAnyWord("IF", "AND", "OR", "NOT")
                                || given.get(i - 1).isSymbol("("));
                tokens.add(asks ? new Token(TokenKind.WORD, UPDATES, UPDATES, token.span()) : token);
                continue;
            }
            places.put(token.span().start(), token.text());
            String name = named(token);
            Token variable = new Token(TokenKind.WORD, name, name, token.span());
            tokens.add(variable);
            if (i + 2 < given.size() && isSum(given.get(i + 1), given.get(i + 2))) {
                tokens.addAll(List.of(given.get(i + 2), variable, given.get(i + 1)));
                i += 2;
            }
        }
        tokens.add(new Token(TokenKind.END, "", "", cursor.peek().span()));
        return new Parsing(new TokenCursor(tokens), parsing.grammar);
    }

    /** Variables that would be called like something else that the text names are left to a person. */
    private void refuseTaken(List<Token> given, Parsing parsing) {
        Set<String> taken = new HashSet<>();
        given.stream()
                .filter(TsqlVariables::isVariable)
                .map(t -> named(t).toLowerCase(Locale.ROOT))
                .forEach(taken::add);
        given.stream()
                .filter(t -> t.isName() && taken.contains(t.value().toLowerCase(Locale.ROOT)))
                .findFirst()
                .ifPresent(t -> {
                    throw parsing.cursor.byHand("a variable that would get the name of something else, " + t.text());
                });
    }

    /** True for the two signs of {@code @x += 1}, which is written as {@code @x = @x + 1}. */
    private static boolean isSum(Token plus, Token equal) {
        return plus.isSymbol("+")
                && equal.isSymbol("=")
                && plus.span().end() == equal.span().start();
    }

    /** True for a token that stands for a variable. */
    boolean isAt(Token token) {
        return token.kind() == TokenKind.WORD && places.containsKey(token.span().start());
    }

    /** What a variable, or the parameter of another routine in its place, is called in the text. */
    String written(Token variable) {
        return places.get(variable.span().start());
    }

    /** True for the name of a variable. */
    boolean isNamed(QualifiedName name) {
        return name.parts().size() == 1 && names.containsValue(name.last().text());
    }

    /** True where a column of a query is a variable that gets its value: {@code SELECT @x = ...}. */
    boolean assigns(List<Token> select) {
        int depth = 0;
        for (int i = 0; i + 1 < select.size(); i++) {
            Token token = select.get(i);
            depth += token.isSymbol("(") ? 1 : token.isSymbol(")") ? -1 : 0;
            if (depth == 0 && token.isWord("FROM")) {
                return false;
            }
            boolean first = i > 0
                    && (select.get(i - 1).isAnyWord("SELECT", "DISTINCT", "ALL", "PERCENT", "TIES")
                            || select.get(i - 1).kind() == TokenKind.NUMBER
                            || select.get(i - 1).isSymbol(")"));
            boolean set = select.get(i + 1).isSymbol("=")
                    || select.get(i + 1).kind() == TokenKind.SYMBOL
                            && i + 2 < select.size()
                            && select.get(i + 2).isSymbol("=");
            if (depth == 0 && first && isAt(token) && set) {
                return true;
            }
        }
        return false;
    }
}
