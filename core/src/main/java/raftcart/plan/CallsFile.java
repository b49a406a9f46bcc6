package raftcart.plan;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.error.PlanException;

/** Reads the file that says which routines are called on both sides. All faults are reported together, each with its line. */
public final class CallsFile {
    private static final String ADVICE = "Mend the file; docs/routines.md shows every key.";
    private static final int LONGEST_TITLE = 60;

    private CallsFile() {}

    /**
     * The cases of a file.
     *
     * @throws PlanException if it cannot be read, or does not hold cases
     */
    public static List<CallCase> read(Path file) {
        String text;
        try {
            text = Files.readString(file);
        } catch (IOException e) {
            throw new PlanException(
                    file + " cannot be read: it is not there, or not a text in UTF-8",
                    "Write the calls to compare into it; docs/routines.md shows how.",
                    e);
        }
        return parse(text, file.getFileName().toString());
    }

    /** The cases of a text; {@code name} stands in messages. */
    static List<CallCase> parse(String text, String name) {
        return PlanFile.checked(text, name, ADVICE, CallsFile::cases);
    }

    private static List<CallCase> cases(PlanChecker checker, JsonNode root) {
        checker.keys(root, "", List.of("version", "cases"));
        checker.number(root.path("version"), "version", 1, 1, 1);
        List<CallCase> cases = new ArrayList<>();
        JsonNode all = root.path("cases");
        if (checker.isList(all, "cases")) {
            for (int i = 0; i < all.size(); i++) {
                cases.add(one(checker, all.get(i), "cases." + i));
            }
        }
        return cases;
    }

    private static CallCase one(PlanChecker checker, JsonNode node, String path) {
        checker.keys(
                node,
                path,
                List.of("title", "routine", "statement", "arguments", "before", "tables", "ignore", "order"));
        Optional<String> routine = checker.text(node.path("routine"), path + ".routine");
        Optional<String> statement = checker.text(node.path("statement"), path + ".statement");
        List<CallCase.Argument> arguments = arguments(checker, node.path("arguments"), path + ".arguments");
        String key = routine.isPresent() ? path + ".routine" : path + ".statement";
        if (routine.isPresent() == statement.isPresent()) {
            checker.fault(key, "'" + path + "' needs either the key 'routine' or the key 'statement'");
        }
        if (statement.isPresent() && !arguments.isEmpty()) {
            checker.fault(path + ".arguments", "'" + path + "' has arguments for a statement, which takes none");
        }
        String title = checker.text(node.path("title"), path + ".title")
                .orElseGet(() -> routine.map(r -> CallCase.shown(r, arguments)).orElse(statement.orElse("")));
        return new CallCase(
                title.length() > LONGEST_TITLE ? title.substring(0, LONGEST_TITLE) + "…" : title,
                routine,
                statement,
                arguments,
                checker.texts(node.path("before"), path + ".before", List.of()),
                PlanFile.absent(node.path("tables"))
                        ? Optional.empty()
                        : Optional.of(checker.texts(node.path("tables"), path + ".tables", List.of())),
                checker.texts(node.path("ignore"), path + ".ignore", List.of()),
                checker.choice(node.path("order"), path + ".order", Order.SAME) == Order.ANY);
    }

    private enum Order {
        SAME,
        ANY
    }

    private static List<CallCase.Argument> arguments(PlanChecker checker, JsonNode node, String path) {
        List<CallCase.Argument> arguments = new ArrayList<>();
        if (node.isArray()) {
            for (int i = 0; i < node.size(); i++) {
                arguments.add(argument(checker, Optional.empty(), node.get(i), path + "." + i));
            }
        } else if (node.isObject()) {
            node.properties()
                    .forEach(f -> arguments.add(
                            argument(checker, Optional.of(f.getKey()), f.getValue(), path + "." + f.getKey())));
        } else if (!PlanFile.absent(node)) {
            checker.fault(path, "'" + path + "' must be a list of values, or hold names with values");
        }
        return arguments;
    }

    /** Truth values are numbers, which parameters of all engines for them take. */
    private static CallCase.Argument argument(PlanChecker checker, Optional<String> name, JsonNode node, String path) {
        Optional<String> value = node.isBoolean()
                ? Optional.of(node.asBoolean() ? "1" : "0")
                : node.isBigDecimal() ? Optional.of(node.decimalValue().toPlainString()) : checker.text(node, path);
        return new CallCase.Argument(name, value);
    }
}
