package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.ZerosInKeys.Kind;
import raftcart.sql.tree.Statement.ZerosInKeys.Step;

/**
 * Reads SET statements that set or keep SQL_MODE ("SQL_MODE" in MariaDB's manual), of which most modes say what is refused.
 */
final class SqlMode {
    private static final String ZEROS_KEPT = "NO_AUTO_VALUE_ON_ZERO";

    private static final Pattern MODE = Pattern.compile("(?i)(@@)?((session|local)\\.)?sql_mode");

    private final TokenCursor cursor;
    private final CallReading reading;
    private final List<Step> steps = new ArrayList<>();
    private Optional<String> otherwise = Optional.empty();

    SqlMode(Parsing parsing) {
        this.cursor = parsing.cursor;
        this.reading = parsing.grammar.calls();
    }

    /** What follows SET; empty, with nothing read, where it is not about the mode of this session. */
    Optional<Statement> set(Span span) {
        int mark = cursor.mark();
        if (!cursor.peek().isWord("GLOBAL")) {
            do {
                assignment();
            } while (cursor.takeSymbol(","));
        }
        if (otherwise.isPresent()) {
            String what = "a SQL_MODE by which the statements behind it mean something else: ";
            return Optional.of(new Statement.NotTranslated(what + otherwise.get(), false, span));
        }
        if (steps.isEmpty()) {
            cursor.reset(mark);
            return Optional.empty();
        }
        String text = cursor.taken(mark).stream().map(Token::text).collect(Collectors.joining(" ", "SET ", ""));
        return Optional.of(new Statement.ZerosInKeys(steps, text, span));
    }

    private void assignment() {
        cursor.takeAny("SESSION", "LOCAL");
        int start = cursor.mark();
        int depth = 0;
        while (!cursor.atEnd()
                && !cursor.peek().isSymbol(";")
                && !(depth == 0 && cursor.peek().isSymbol(","))) {
            Token token = cursor.take();
            depth += token.isSymbol("(") ? 1 : token.isSymbol(")") ? -1 : 0;
        }
        List<Token> words = cursor.taken(start);
        if (words.size() > 2 && (words.get(1).isSymbol("=") || words.get(1).isSymbol(":="))) {
            assigned(words.get(0), words.subList(2, words.size()));
        }
    }

    private void assigned(Token to, List<Token> value) {
        Token first = value.get(0);
        boolean single = value.size() == 1;
        if (single && isVariable(to) && isMode(first)) {
            steps.add(new Step(Kind.SAVED, key(to), ""));
        } else if (single && isMode(to) && isVariable(first)) {
            steps.add(new Step(Kind.RESTORED, key(first), ""));
        } else if (isMode(to)) {
            List<String> modes = value.stream()
                    .filter(t -> t.isString() || single)
                    .flatMap(t -> Arrays.stream(t.value().split(",")))
                    .map(m -> m.strip().toUpperCase(Locale.ROOT))
                    .toList();
            Optional<String> unread = reading.unreadable(modes);
            otherwise = otherwise.or(() -> unread);
            boolean keeps = modes.contains(ZEROS_KEPT);
            if (keeps || value.stream().noneMatch(SqlMode::isMode)) {
                steps.add(new Step(keeps ? Kind.KEPT : Kind.NUMBERED, "", reading.mode(modes)));
            }
        }
    }

    private static boolean isMode(Token token) {
        return MODE.matcher(token.text()).matches();
    }

    private static boolean isVariable(Token token) {
        return token.kind() == TokenKind.PARAMETER && !token.text().startsWith("@@");
    }

    private static String key(Token variable) {
        return variable.text().toLowerCase(Locale.ROOT);
    }
}
