package raftcart.dialect.mariadb;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.sql.parse.CallReading;
import raftcart.sql.parse.SeveralPaths;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;

/** Functions of MariaDB and MySQL that do two things at once ("Date and Time Functions"). */
final class MariaDbCalls {
    private static final Pattern MASK = Pattern.compile("(?i)YYYY|YY|MM|DDD|DD|HH24|HH12|HH|MI|SS|[-/,.;: ]");
    private static final Map<String, String> WORDS = Map.of(
            "YYYY", "%Y", "YY", "%y", "MM", "%m", "DDD", "%j", "DD", "%d", "HH24", "%H", "HH12", "%h", "HH", "%h", "MI",
            "%i", "SS", "%s");

    private MariaDbCalls() {}

    static Optional<CallReading.Meaning> meaning(Expr.Call call) {
        return writtenMoment(call)
                .or(() -> unquoted(call))
                .or(() -> byWords(call))
                .or(() -> SeveralPaths.apart(call));
    }

    /** A part of a document without its quotes, however it is said, is what {@code ->>} gives. */
    private static Optional<CallReading.Meaning> unquoted(Expr.Call call) {
        boolean unquotes = !call.canonical()
                && call.function().equals("json_unquote")
                && call.arguments().size() == 1;
        if (!unquotes) {
            return Optional.empty();
        }
        Expr part = call.arguments().get(0);
        if (part instanceof Expr.Binary get && get.operator() == BinaryOperator.JSON_GET) {
            return Optional.of(text(get.left(), get.right(), call));
        }
        return part instanceof Expr.Call extract
                        && extract.function().equals("json_extract")
                        && extract.arguments().size() == 2
                ? Optional.of(
                        text(extract.arguments().get(0), extract.arguments().get(1), call))
                : Optional.empty();
    }

    private static CallReading.Meaning text(Expr document, Expr path, Expr.Call call) {
        return CallReading.Meaning.of(new Expr.Binary(BinaryOperator.JSON_GET_TEXT, document, path, call.span()));
    }

    /** FROM_UNIXTIME with a mask writes the moment as a text. */
    private static Optional<CallReading.Meaning> writtenMoment(Expr.Call call) {
        boolean written = !call.canonical()
                && call.function().equals("from_unixtime")
                && call.arguments().size() == 2;
        if (!written) {
            return Optional.empty();
        }
        Expr moment =
                Expr.Call.of("timestamp_of_epoch", call.arguments().get(0)).at(call.span());
        return Optional.of(CallReading.Meaning.of(
                Expr.Call.of("format_date", moment, call.arguments().get(1)).at(call.span())));
    }

    /** TO_CHAR, whose masks are words ("TO_CHAR"); those of numbers alone are the masks that other functions have, too. */
    private static Optional<CallReading.Meaning> byWords(Expr.Call call) {
        boolean written = !call.canonical()
                && call.function().equals("to_char")
                && call.arguments().size() == 2
                && call.arguments().get(1) instanceof Expr.Literal;
        return !written
                ? Optional.empty()
                : mask(((Expr.Literal) call.arguments().get(1)).text())
                        .map(m -> CallReading.Meaning.of(
                                Expr.Call.of("format_date", call.arguments().get(0), Expr.Literal.string(m))
                                        .at(call.span())));
    }

    private static Optional<String> mask(String words) {
        Matcher matcher = MASK.matcher(words);
        StringBuilder mask = new StringBuilder();
        int end = 0;
        while (matcher.find() && matcher.start() == end) {
            String word = matcher.group().toUpperCase(Locale.ROOT);
            mask.append(WORDS.getOrDefault(word, word));
            end = matcher.end();
        }
        return end == words.length() ? Optional.of(mask.toString()) : Optional.empty();
    }
}
