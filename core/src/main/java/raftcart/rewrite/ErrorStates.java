package raftcart.rewrite;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import raftcart.resource.ShippedTable;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;

/** The states of the errors that engines number. */
final class ErrorStates {
    /** A number that is no engine's, for errors whose number is not known, so that it is another than any that code asks for. */
    static final int OTHERS = -99_999;

    private static final Pattern NUMBER = Pattern.compile("-?\\d+");
    private static final JsonNode TABLE = read();

    private ErrorStates() {}

    private static JsonNode read() {
        try {
            return ShippedTable.tree(ErrorStates.class, "errors.yaml");
        } catch (IOException e) {
            throw new UncheckedIOException("the table of errors cannot be read", e);
        }
    }

    /** The numbers that a dialect has for a state; none where it is called by the state itself. */
    static List<String> numbers(String dialect, String state) {
        List<String> numbers = new ArrayList<>();
        TABLE.path(dialect).properties().forEach(e -> {
            if (NUMBER.matcher(e.getKey()).matches() && e.getValue().asText().equals(state)) {
                numbers.add(e.getKey());
            }
        });
        return numbers;
    }

    /** True for a dialect whose errors have numbers of its own. */
    static boolean hasNumbers(String dialect) {
        return !numbered(dialect).isEmpty();
    }

    /** A state as a dialect has it where that is another than the standard's, or PostgreSQL's. */
    static String inWordsOf(String dialect, String state) {
        return TABLE.path(dialect).path("state " + state).asText(state);
    }

    /** The state for a number or name; the first where it stands for several. */
    static Optional<String> of(String dialect, String number) {
        return all(dialect, number).stream().findFirst();
    }

    /** All states for which a number or name stands; none where it is not known. */
    static List<String> all(String dialect, String number) {
        JsonNode states = TABLE.path(dialect).path(number);
        List<String> all = new ArrayList<>();
        if (states.isTextual()) {
            all.add(states.asText());
        }
        states.forEach(s -> all.add(s.asText()));
        return all;
    }

    /** The numbers that a dialect has for states; the first where it has several for one. */
    private static Map<String, String> numbered(String dialect) {
        Map<String, String> numbers = new LinkedHashMap<>();
        TABLE.path(dialect).properties().forEach(e -> {
            if (NUMBER.matcher(e.getKey()).matches()) {
                all(dialect, e.getKey()).forEach(state -> numbers.putIfAbsent(state, e.getKey()));
            }
        });
        return numbers;
    }

    /** The numbers that a dialect has for states as choices by the state at hand. */
    static List<Expr.When> cases(String dialect, Expr state, Span span) {
        List<Expr.When> cases = new ArrayList<>();
        numbered(dialect)
                .forEach((known, number) -> cases.add(new Expr.When(
                        new Expr.Binary(BinaryOperator.EQUAL, state, Expr.Literal.string(known), span),
                        Expr.Literal.number(Long.parseLong(number)))));
        return cases;
    }

    /** The number that a dialect has for all errors that code declares or signals. */
    static Optional<Integer> ofRaised(String dialect) {
        return Optional.ofNullable(TABLE.path(dialect).get("raised")).map(JsonNode::asInt);
    }
}
