package raftcart.sql.function;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import raftcart.error.PlanException;
import raftcart.resource.ShippedTable;
import raftcart.sql.function.FunctionDictionary.Spelling;

/**
 * Reads a dictionary. Its key {@code extends} names another one whose spellings hold where this one says nothing;
 * {@code functions} has an entry for each function: a template, a list of them (the first that fits is written, all
 * that are plain calls are read), or {@code false} where the dialect lacks it.
 */
public final class DictionaryReader {
    private final String file;
    private final Function<String, FunctionDictionary> others;
    private final Map<String, List<Spelling>> entries = new LinkedHashMap<>();

    private DictionaryReader(String file, Function<String, FunctionDictionary> others) {
        this.file = file;
        this.others = others;
    }

    /**
     * Reads a dictionary.
     *
     * @param file its name, for errors
     * @param in the YAML, or its twin in JSON
     * @param others gives the dictionary that this one extends
     * @throws PlanException if an entry is wrong; the message names file and line
     */
    public static FunctionDictionary read(String file, JsonParser in, Function<String, FunctionDictionary> others) {
        DictionaryReader reader = new DictionaryReader(file, others);
        try {
            reader.document(in);
        } catch (IOException e) {
            throw new PlanException(file + ": " + e.getMessage(), "Mend the YAML.", e);
        }
        return new FunctionDictionary(reader.entries);
    }

    /** Reads entries that stand at the top of a file, without the key functions. */
    public static FunctionDictionary readEntries(
            String file, JsonParser in, Function<String, FunctionDictionary> others) {
        DictionaryReader reader = new DictionaryReader(file, others);
        try {
            if (in.nextToken() == JsonToken.START_OBJECT) {
                reader.functions(in);
            }
        } catch (IOException e) {
            throw new PlanException(file + ": " + e.getMessage(), "Mend the YAML.", e);
        }
        return new FunctionDictionary(reader.entries);
    }

    /** Reads the entries below the key functions of a file that holds other keys as well. */
    public static FunctionDictionary readSection(
            String file, JsonParser in, Function<String, FunctionDictionary> others) {
        DictionaryReader reader = new DictionaryReader(file, others);
        try {
            in.nextToken();
            while (in.nextToken() == JsonToken.FIELD_NAME) {
                boolean functions = in.currentName().equals("functions");
                in.nextToken();
                if (functions) {
                    reader.functions(in);
                } else {
                    in.skipChildren();
                }
            }
        } catch (IOException e) {
            throw new PlanException(file + ": " + e.getMessage(), "Mend the YAML.", e);
        }
        return new FunctionDictionary(reader.entries);
    }

    /** This dictionary with the entries of another in front of its own. */
    public static FunctionDictionary merged(FunctionDictionary base, FunctionDictionary more) {
        Map<String, List<Spelling>> all = new LinkedHashMap<>(base.spellings());
        more.spellings().forEach((function, spellings) -> {
            List<Spelling> both = new ArrayList<>(spellings);
            both.addAll(all.getOrDefault(function, List.of()));
            all.put(function, both);
        });
        return new FunctionDictionary(all);
    }

    private void document(JsonParser parser) throws IOException {
        if (parser.nextToken() != JsonToken.START_OBJECT) {
            throw wrong(1, "a dictionary is a mapping with the key functions");
        }
        while (parser.nextToken() == JsonToken.FIELD_NAME) {
            String key = parser.currentName();
            int line = parser.currentLocation().getLineNr();
            parser.nextToken();
            switch (key) {
                case "extends" -> {
                    for (String other : parser.getText().split("[ ,]+")) {
                        entries.putAll(others.apply(other).spellings());
                    }
                }
                case "functions" -> functions(parser);
                default -> throw wrong(line, "the key '" + key + "' is not one of extends, functions");
            }
        }
    }

    private void functions(JsonParser parser) throws IOException {
        while (parser.nextToken() == JsonToken.FIELD_NAME) {
            String function = parser.currentName();
            int line = parser.currentLocation().getLineNr();
            parser.nextToken();
            JsonNode value = ShippedTable.value(parser);
            try {
                entry(function, value);
            } catch (IllegalArgumentException e) {
                throw wrong(line, e.getMessage());
            }
        }
    }

    private void entry(String function, JsonNode value) {
        Signature signature = Signatures.find(function)
                .orElseThrow(() -> new IllegalArgumentException("there is no canonical function " + function));
        if (value.isBoolean() && !value.asBoolean()) {
            entries.remove(function);
            return;
        }
        List<Spelling> spellings = new ArrayList<>();
        if (value.isArray()) {
            value.forEach(v -> spellings.add(spelling(signature, v)));
        } else {
            spellings.add(spelling(signature, value));
        }
        entries.put(function, spellings);
    }

    private static Spelling spelling(Signature signature, JsonNode value) {
        if (value.isTextual()) {
            Template template = checked(signature, value.asText());
            return new Spelling(
                    Optional.of(template),
                    CallPattern.of(value.asText()).map(List::of).orElse(List.of()),
                    "",
                    ArgumentTest.NONE,
                    "");
        }
        if (!value.isObject()) {
            throw new IllegalArgumentException("the entry of " + signature.name() + " is neither text nor mapping");
        }
        Optional<Template> write = Optional.empty();
        List<CallPattern> patterns = new ArrayList<>();
        if (value.has("write")) {
            write = Optional.of(checked(signature, value.get("write").asText()));
        }
        for (JsonNode read : value.path("read")) {
            checked(signature, read.asText());
            patterns.add(CallPattern.of(read.asText())
                    .orElseThrow(() -> new IllegalArgumentException("'" + read.asText() + "' is not a plain call")));
        }
        if (!value.has("read") && write.isPresent()) {
            CallPattern.of(value.get("write").asText()).ifPresent(patterns::add);
        }
        String parameter = "";
        ArgumentTest test = ArgumentTest.NONE;
        if (value.has("if")) {
            String[] words = value.get("if").asText().split(" is ");
            if (words.length != 2 || signature.indexOf(words[0].strip()) < 0) {
                throw new IllegalArgumentException("'if' of " + signature.name() + " is not '<parameter> is <kind>'");
            }
            parameter = words[0].strip();
            test = ArgumentTest.named(words[1].strip());
        }
        value.fieldNames().forEachRemaining(key -> {
            if (!List.of("write", "read", "if", "check").contains(key)) {
                throw new IllegalArgumentException("the key '" + key + "' is not one of write, read, if, check");
            }
        });
        return new Spelling(
                write, patterns, parameter, test, value.path("check").asText(""));
    }

    /** A template all of whose names are parameters. */
    private static Template checked(Signature signature, String text) {
        // Of several words that are read, the first is written.
        Template template = Template.parse(text.replaceAll("\\b([A-Za-z_]+)(\\|[A-Za-z_]+)+", "$1"));
        for (String name : template.mentioned()) {
            if (signature.indexOf(name) < 0) {
                throw new IllegalArgumentException(
                        "$" + name + " is not a parameter of " + signature.name() + "; it has "
                                + signature.parameters().stream()
                                        .map(p -> "$" + p.name())
                                        .toList());
            }
        }
        return template;
    }

    private PlanException wrong(int line, String message) {
        return new PlanException(file + ":" + line + ": " + message, "Mend the entry; see docs/rules.md.", null);
    }
}
