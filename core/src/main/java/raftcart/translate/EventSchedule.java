package raftcart.translate;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.Lexer;
import raftcart.sql.LexicalRules;
import raftcart.sql.Token;
import raftcart.sql.TokenKind;

/**
 * An event of the source ("CREATE EVENT", MariaDB) in its two halves.
 *
 * @param schedule when it runs, in the source's words
 * @param enabled false for one that does not run
 * @param body what it does
 */
record EventSchedule(String schedule, boolean enabled, String body) {
    private static final Pattern EVERY = Pattern.compile(
            "(?is)EVERY\\s+'?(\\d+)'?\\s+(MINUTE|HOUR|DAY|WEEK|MONTH)(?:\\s+STARTS\\s+'(\\d{4}-\\d\\d-\\d\\d)[ T](\\d\\d):(\\d\\d)[^']*')?");

    /** Reads an event; empty for a text that is none. */
    static Optional<EventSchedule> of(String source, LexicalRules rules) {
        List<Token> tokens = new ArrayList<>();
        Lexer lexer = new Lexer(source, rules, 1, 1);
        try {
            for (Token t = lexer.next(); t.kind() != TokenKind.END; t = lexer.next()) {
                tokens.add(t);
            }
        } catch (SqlSyntaxException e) {
            return Optional.empty();
        }
        int schedule = index(tokens, 0, "SCHEDULE");
        int action = index(tokens, Math.max(schedule, 0), "DO");
        if (schedule < 0 || action < 0 || action + 1 >= tokens.size()) {
            return Optional.empty();
        }
        int end = action;
        boolean enabled = true;
        for (int i = action - 1; i > schedule; i--) {
            Token t = tokens.get(i);
            boolean completes = t.isWord("ON") && tokens.get(i + 1).isWord("COMPLETION");
            if (completes || t.isAnyWord("ENABLE", "DISABLE", "COMMENT")) {
                end = i;
            }
            enabled &= !t.isWord("DISABLE");
        }
        String when = source.substring(
                tokens.get(schedule + 1).span().start(),
                tokens.get(end - 1).span().end());
        return Optional.of(new EventSchedule(
                when.replaceAll("\\s+", " "),
                enabled,
                source.substring(tokens.get(action + 1).span().start())));
    }

    private static int index(List<Token> tokens, int from, String word) {
        for (int i = from; i < tokens.size(); i++) {
            if (tokens.get(i).isWord(word)) {
                return i;
            }
        }
        return -1;
    }

    /** The fields of a line of crontab that runs at the same times ("crontab", POSIX); empty where none does. */
    Optional<String> cron() {
        Matcher every = EVERY.matcher(schedule);
        if (!every.lookingAt()) {
            return Optional.empty();
        }
        int number = Integer.parseInt(every.group(1));
        int minute = every.group(5) == null ? 0 : Integer.parseInt(every.group(5));
        int hour = every.group(4) == null ? 0 : Integer.parseInt(every.group(4));
        java.time.LocalDate first = every.group(3) == null ? null : java.time.LocalDate.parse(every.group(3));
        String fields =
                switch (every.group(2).toUpperCase(Locale.ROOT)) {
                    case "MINUTE" -> 60 % number == 0 ? "*/" + number + " * * * *" : "";
                    case "HOUR" ->
                        24 % number == 0 ? minute + " " + (number == 1 ? "*" : "*/" + number) + " * * *" : "";
                    case "DAY" -> number == 1 ? minute + " " + hour + " * * *" : "";
                    case "WEEK" ->
                        number == 1 && first != null
                                ? minute + " " + hour + " * * "
                                        + first.getDayOfWeek().getValue() % 7
                                : "";
                    default ->
                        number == 1 && first != null && first.getDayOfMonth() <= 28
                                ? minute + " " + hour + " " + first.getDayOfMonth() + " * *"
                                : "";
                };
        return Optional.of(fields).filter(f -> !f.isEmpty());
    }
}
