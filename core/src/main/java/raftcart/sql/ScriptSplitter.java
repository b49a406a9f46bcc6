package raftcart.sql;

import java.util.ArrayList;
import java.util.List;

/**
 * Splits a script into statements. The separator is the semicolon until a {@code DELIMITER} line, as the command-line
 * clients of the MySQL family have it, names another one.
 */
public final class ScriptSplitter {
    private ScriptSplitter() {}

    /** The statements of a script without separators, in order; strings and comments are never split. */
    public static List<String> split(String script, LexicalRules rules) {
        List<String> statements = new ArrayList<>();
        String delimiter = ";";
        int start = 0;
        Lexer lexer = new Lexer(script, rules);
        int statementStart = -1;
        for (Token token = lexer.next(); token.kind() != TokenKind.END; token = lexer.next()) {
            if (token.span().start() < start || token.kind() == TokenKind.COMMENT) {
                continue;
            }
            if (statementStart < 0 && token.isWord("DELIMITER")) {
                int lineEnd = script.indexOf('\n', token.span().end());
                int end = lineEnd < 0 ? script.length() : lineEnd;
                delimiter = script.substring(token.span().end(), end).strip();
                start = end;
            } else if (script.startsWith(delimiter, token.span().start())) {
                add(statements, script, statementStart, token.span().start());
                start = token.span().start() + delimiter.length();
                statementStart = -1;
            } else if (statementStart < 0) {
                statementStart = token.span().start();
            }
        }
        add(statements, script, statementStart, script.length());
        return statements;
    }

    private static void add(List<String> statements, String script, int from, int to) {
        if (from >= 0) {
            statements.add(script.substring(from, to).strip());
        }
    }
}
