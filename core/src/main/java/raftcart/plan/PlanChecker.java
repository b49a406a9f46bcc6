package raftcart.plan;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.error.PlanException;
import raftcart.finding.FindingCode;

/** Reads the values of a plan and gathers everything that is wrong with them. */
final class PlanChecker {
    private final String file;
    private final String advice;
    private final Map<String, Integer> lines;
    private final List<String> faults = new ArrayList<>();

    /** @param advice what to do about faults */
    PlanChecker(String file, String advice, Map<String, Integer> lines) {
        this.file = file;
        this.advice = advice;
        this.lines = lines;
    }

    void throwIfFaulty() {
        if (!faults.isEmpty()) {
            throw new PlanException(String.join("\n", faults), advice);
        }
    }

    boolean isObject(JsonNode node, String path) {
        if (!PlanFile.absent(node) && !node.isObject()) {
            fault(path, "'" + path + "' must hold keys of its own");
        }
        return node.isObject();
    }

    boolean isList(JsonNode node, String path) {
        if (!node.isArray()) {
            fault(path, "'" + path + "' must be a list");
        }
        return node.isArray();
    }

    double fraction(JsonNode node, String path, double fallback) {
        if (PlanFile.absent(node)) {
            return fallback;
        }
        if (!node.isNumber() || node.asDouble() < 0) {
            fault(path, "'" + path + "' is " + node.asText() + " but must be a number that is not below 0");
            return fallback;
        }
        return node.asDouble();
    }

    Optional<FindingCode> code(String text, String path) {
        Optional<FindingCode> code = FindingCode.of(text);
        if (code.isEmpty()) {
            fault(path, "'" + text + "' is not the code of a finding");
        }
        return code;
    }

    Optional<Boolean> truth(JsonNode node, String path) {
        if (PlanFile.absent(node)) {
            return Optional.empty();
        }
        if (!node.isBoolean()) {
            fault(path, "'" + path + "' must be true or false");
            return Optional.empty();
        }
        return Optional.of(node.asBoolean());
    }

    void keys(JsonNode node, String path, List<String> known) {
        boolean top = path.isEmpty();
        if (!isObject(node, top ? file : path)) {
            return;
        }
        node.fieldNames().forEachRemaining(key -> {
            if (!known.contains(key)) {
                String hint = Suggestion.nearest(key, known)
                        .map(k -> "; did you mean '" + k + "'?")
                        .orElse("; known here: " + String.join(", ", known));
                String where = top ? "" : " in '" + path + "'";
                fault(top ? key : path + "." + key, "unknown key '" + key + "'" + where + hint);
            }
        });
    }

    Optional<String> text(JsonNode node, String path) {
        if (PlanFile.absent(node)) {
            return Optional.empty();
        }
        if (!node.isValueNode()) {
            fault(path, "'" + path + "' must be a text");
            return Optional.empty();
        }
        return Optional.of(node.asText());
    }

    String requiredText(JsonNode node, String parent, String key) {
        Optional<String> text = text(node, parent + "." + key).filter(t -> !t.isBlank());
        if (text.isEmpty()) {
            fault(parent, "'" + parent + "' needs the key '" + key + "'");
        }
        return text.orElse("");
    }

    List<String> texts(JsonNode node, String path, List<String> fallback) {
        if (PlanFile.absent(node)) {
            return fallback;
        }
        if (!node.isArray()) {
            fault(path, "'" + path + "' must be a list");
            return fallback;
        }
        List<String> texts = new ArrayList<>();
        node.forEach(n -> texts.add(n.asText()));
        return texts;
    }

    int number(JsonNode node, String path, int fallback, int least, int most) {
        if (PlanFile.absent(node)) {
            return fallback;
        }
        if (!node.isInt() || node.asInt() < least || node.asInt() > most) {
            String range = least == most ? "" + least : "a whole number from " + least + " to " + most;
            fault(path, "'" + path + "' is " + node.asText() + " but must be " + range);
            return fallback;
        }
        return node.asInt();
    }

    <E extends Enum<E>> E choice(JsonNode node, String path, E fallback) {
        if (PlanFile.absent(node)) {
            return fallback;
        }
        E[] constants = fallback.getDeclaringClass().getEnumConstants();
        Optional<E> found = Arrays.stream(constants)
                .filter(c -> word(c).equals(node.asText()))
                .findFirst();
        if (found.isEmpty()) {
            String known = Arrays.stream(constants).map(PlanChecker::word).collect(Collectors.joining(", "));
            fault(path, "'" + path + "' is '" + node.asText() + "' but must be one of: " + known);
        }
        return found.orElse(fallback);
    }

    /** A constant as it stands in a plan. */
    static String word(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    void fault(String path, String message) {
        Integer line = lines.get(path);
        faults.add(file + (line == null ? "" : ":" + line) + ": " + message);
    }
}
