package raftcart.rewrite;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.resource.ShippedTable;

/** The states of the errors that engines number. */
final class ErrorStates {
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
            if (e.getValue().asText().equals(state)) {
                numbers.add(e.getKey());
            }
        });
        return numbers;
    }

    static Optional<String> of(String dialect, String number) {
        return Optional.ofNullable(TABLE.path(dialect).get(number)).map(JsonNode::asText);
    }
}
