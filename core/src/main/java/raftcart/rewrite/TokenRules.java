package raftcart.rewrite;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import raftcart.error.SqlSyntaxException;
import raftcart.finding.FindingCode;
import raftcart.sql.Lexer;
import raftcart.sql.LexicalRules;
import raftcart.sql.Token;
import raftcart.sql.TokenKind;

/**
 * Find-and-replace rules of users. They work on tokens, so that nothing inside of strings and comments is touched. In
 * the text to find, {@code $1} to {@code $9} stand for one token each, or for everything in one pair of parentheses.
 */
public final class TokenRules {
    /** No rules. */
    public static final TokenRules NONE = new TokenRules(List.of());

    private final List<Rule> rules;

    public TokenRules(List<Rule> rules) {
        this.rules = List.copyOf(rules);
    }

    /**
     * A rule.
     *
     * @param before an example, and {@code after} what the rule makes of it
     */
    public record Rule(String name, String find, String replace, String before, String after) {}

    boolean isEmpty() {
        return rules.isEmpty();
    }

    /** The rules, in order. */
    public List<Rule> rules() {
        return rules;
    }

    /** What one rule makes of a text. */
    public static String apply(Rule rule, String text, LexicalRules lexical) {
        return new TokenRules(List.of(rule)).apply(text, lexical, 1, 1, new AdaptNotes());
    }

    /** The text with all rules applied, one after the other. */
    String apply(String text, LexicalRules lexical, int line, int column, AdaptNotes notes) {
        String result = text;
        for (Rule rule : rules) {
            try {
                result = applied(rule, result, lexical, line, column, notes);
            } catch (SqlSyntaxException e) {
                return result; // what cannot be cut into tokens is reported when it is read
            }
        }
        return result;
    }

    private static String applied(
            Rule rule, String text, LexicalRules lexical, int line, int column, AdaptNotes notes) {
        List<Token> find = tokens(rule.find(), lexical, 1, 1);
        List<Token> tokens = tokens(text, lexical, line, column);
        StringBuilder result = new StringBuilder();
        int copied = 0;
        int at = 0;
        while (at < tokens.size()) {
            Map<String, String> captured = new LinkedHashMap<>();
            int end = match(find, tokens, at, text, captured);
            if (end <= at) {
                at++;
                continue;
            }
            String replacement = rule.replace();
            for (Map.Entry<String, String> c : captured.entrySet()) {
                replacement = replacement.replace(c.getKey(), c.getValue());
            }
            result.append(text, copied, tokens.get(at).span().start()).append(replacement);
            copied = tokens.get(end - 1).span().end();
            notes.add(FindingCode.RULE_APPLIED, tokens.get(at).span(), rule.name());
            at = end;
        }
        return result.append(text.substring(copied)).toString();
    }

    private static List<Token> tokens(String text, LexicalRules lexical, int line, int column) {
        List<Token> tokens = new ArrayList<>();
        Lexer lexer = new Lexer(text, lexical, line, column);
        for (Token t = lexer.next(); t.kind() != TokenKind.END; t = lexer.next()) {
            if (t.kind() != TokenKind.COMMENT) {
                tokens.add(t);
            }
        }
        return tokens;
    }

    /** The index after the last token of a match, or the same index for none. */
    private static int match(
            List<Token> find, List<Token> tokens, int from, String text, Map<String, String> captured) {
        int at = from;
        for (Token wanted : find) {
            if (at >= tokens.size()) {
                return from;
            }
            Token token = tokens.get(at);
            if (wanted.text().matches("\\$[1-9]")) {
                int end = token.isSymbol("(") ? closing(tokens, at) : at;
                if (end < 0) {
                    return from;
                }
                captured.put(
                        wanted.text(),
                        text.substring(
                                token.span().start(), tokens.get(end).span().end()));
                at = end + 1;
            } else if (same(wanted, token)) {
                at++;
            } else {
                return from;
            }
        }
        return at;
    }

    private static boolean same(Token wanted, Token token) {
        return wanted.kind() == TokenKind.WORD
                ? token.isWord(wanted.value())
                : wanted.kind() == token.kind() && wanted.text().equals(token.text());
    }

    private static int closing(List<Token> tokens, int open) {
        int depth = 0;
        for (int i = open; i < tokens.size(); i++) {
            depth += tokens.get(i).isSymbol("(") ? 1 : tokens.get(i).isSymbol(")") ? -1 : 0;
            if (depth == 0) {
                return i;
            }
        }
        return -1;
    }
}
