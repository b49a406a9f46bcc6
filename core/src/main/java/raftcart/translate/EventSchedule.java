package raftcart.translate;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
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
    private static final int SHORTEST_MONTH = 28;

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
        Optional<LocalDate> first = Optional.ofNullable(every.group(3)).map(LocalDate::parse);
        return switch (every.group(2).toUpperCase(Locale.ROOT)) {
            case "MINUTE" -> steps(minute, number, 60).map(m -> m + " * * * *");
            case "HOUR" -> steps(hour, number, 24).map(h -> minute + " " + h + " * * *");
            case "DAY" -> number == 1 ? Optional.of(minute + " " + hour + " * * *") : Optional.empty();
            case "WEEK" ->
                first.filter(d -> number == 1)
                        .map(d ->
                                minute + " " + hour + " * * " + d.getDayOfWeek().getValue() % 7);
            default ->
                first.filter(d -> number == 1 && d.getDayOfMonth() <= SHORTEST_MONTH)
                        .map(d -> minute + " " + hour + " " + d.getDayOfMonth() + " * *");
        };
    }

    /** The values of a field that come again each so many, as a list; empty where they are others the next time. */
    private static Optional<String> steps(int first, int step, int range) {
        if (step == 1) {
            return Optional.of("*");
        }
        return step < 1 || range % step != 0
                ? Optional.empty()
                : Optional.of(IntStream.iterate(first % step, v -> v < range, v -> v + step)
                        .mapToObj(Integer::toString)
                        .collect(Collectors.joining(",")));
    }
}
