package raftcart.rewrite;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.MissingNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import raftcart.dialect.Language;
import raftcart.dialect.LanguageResources;
import raftcart.dialect.Languages;
import raftcart.dialect.TypeTable;
import raftcart.dialect.YamlTypes;
import raftcart.error.RulesException;
import raftcart.resource.StrictYaml;
import raftcart.sql.function.DictionaryReader;
import raftcart.sql.function.FunctionDictionary;
import raftcart.sql.function.Signatures;

/**
 * A folder of rules that a team adds to the tool: {@code functions.yaml} with signatures of functions of its own,
 * {@code functions-DIALECT.yaml} with spellings, {@code types-DIALECT.yaml} with types, {@code replace.yaml} with
 * find-and-replace rules on tokens, and {@code dialect-NAME.yaml} with whole dialects that extend one of ours.
 */
public final class RulesFolder {
    private final Optional<Path> folder;

    private RulesFolder(Optional<Path> folder) {
        this.folder = folder;
    }

    /** No folder. */
    public static RulesFolder none() {
        return new RulesFolder(Optional.empty());
    }

    /**
     * Opens a folder.
     *
     * @throws RulesException if it is none, or if its list of functions is wrong
     */
    public static RulesFolder open(Path folder) {
        if (!Files.isDirectory(folder)) {
            throw new RulesException(folder + " is not a folder", "Give the folder that holds the rules.", null);
        }
        RulesFolder rules = new RulesFolder(Optional.of(folder));
        rules.yaml("functions.yaml").ifPresent(document -> document.properties().forEach(f -> {
            try {
                Signatures.add(f.getKey(), f.getValue().asText());
            } catch (IllegalArgumentException e) {
                throw rules.wrong("functions.yaml", e.getMessage());
            }
        }));
        return rules;
    }

    private Optional<Path> file(String name) {
        return folder.map(f -> f.resolve(name)).filter(Files::isRegularFile);
    }

    private Optional<JsonNode> yaml(String name) {
        return file(name).map(f -> {
            try {
                return StrictYaml.MAPPER.readTree(Files.readAllBytes(f));
            } catch (IOException e) {
                throw new RulesException(f + ": " + e.getMessage(), "Mend the YAML; see docs/rules.md.", e);
            }
        });
    }

    private String path(String file) {
        return folder.map(f -> f.resolve(file).toString()).orElse(file);
    }

    private RulesException wrong(String file, String message) {
        return new RulesException(path(file) + ": " + message, "Mend the entry; see docs/rules.md.", null);
    }

    /** The dialect of this name: one of the folder's own, or one of ours with what the folder adds. */
    public Optional<Language> language(String name) {
        Optional<JsonNode> own = yaml("dialect-" + name + ".yaml");
        if (own.isEmpty()) {
            return Languages.named(name).map(l -> extended(l, name));
        }
        String base = own.get().path("extends").asText("");
        Language language = Languages.named(base)
                .orElseThrow(() ->
                        wrong("dialect-" + name + ".yaml", "extends names '" + base + "', which is not a dialect"));
        Language extended = extended(language, base).named(name);
        return Optional.of(extended(
                extended,
                own.get().has("functions") ? Optional.of(own.get().get("functions")) : Optional.empty(),
                own.get().has("types") ? Optional.of(own.get().get("types")) : Optional.empty(),
                "dialect-" + name + ".yaml"));
    }

    private Language extended(Language language, String name) {
        String functions = "functions-" + name + ".yaml";
        Optional<JsonNode> dictionary = yaml(functions);
        if (dictionary.isPresent() && dictionary.get().has("functions")) {
            throw wrong(functions, "the functions stand at the top, without the key functions");
        }
        return extended(language, dictionary, yaml("types-" + name + ".yaml"), functions);
    }

    private Language extended(Language language, Optional<JsonNode> functions, Optional<JsonNode> types, String file) {
        if (functions.isEmpty() && types.isEmpty()) {
            return language;
        }
        Supplier<FunctionDictionary> dictionary = language.dictionary();
        if (functions.isPresent()) {
            FunctionDictionary more = dictionary(file);
            dictionary = () -> DictionaryReader.merged(language.functions(), more);
        }
        Supplier<TypeTable> table = language.typeTable();
        if (types.isPresent()) {
            String typesFile = path(file.replace("functions-", "types-"));
            YamlTypes more = YamlTypes.read(typesFile, StrictYaml.MAPPER.treeAsTokens(types.get()), n -> {
                throw wrong(file.replace("functions-", "types-"), "types extend nothing here");
            });
            table = () -> more.over(language.types());
        }
        return language.with(memoized(dictionary), memoized(table));
    }

    private static <T> Supplier<T> memoized(Supplier<T> supplier) {
        List<T> held = new ArrayList<>(1);
        return () -> {
            if (held.isEmpty()) {
                held.add(supplier.get());
            }
            return held.get(0);
        };
    }

    private FunctionDictionary dictionary(String file) {
        String path = path(file);
        // Read from the file itself, so that lines in errors are right.
        try (JsonParser in =
                StrictYaml.MAPPER.createParser(file(file).orElseThrow().toFile())) {
            return file.startsWith("functions-")
                    ? DictionaryReader.readEntries(path, in, LanguageResources::dictionary)
                    : DictionaryReader.readSection(path, in, LanguageResources::dictionary);
        } catch (IOException e) {
            throw wrong(file, e.getMessage());
        }
    }

    /** The find-and-replace rules for text in this dialect. */
    public TokenRules tokenRules(String dialect) {
        List<TokenRules.Rule> rules = new ArrayList<>();
        for (JsonNode node : yaml("replace.yaml").orElse(MissingNode.getInstance())) {
            if (!node.has("find") || !node.has("replace")) {
                throw wrong("replace.yaml", "a rule has the keys find and replace");
            }
            known(node, Set.of("name", "from", "find", "replace", "example"), "a rule");
            known(node.path("example"), Set.of("before", "after"), "an example");
            boolean applies = !node.has("from") || node.get("from").asText().equals(dialect);
            if (applies) {
                rules.add(new TokenRules.Rule(
                        node.path("name").asText(node.get("find").asText()),
                        node.get("find").asText(),
                        node.get("replace").asText(),
                        node.path("example").path("before").asText(""),
                        node.path("example").path("after").asText("")));
            }
        }
        return new TokenRules(rules);
    }

    /** Refuses a key that means nothing, without which a rule would seem to be tested or to be for one dialect. */
    private void known(JsonNode node, Set<String> keys, String what) {
        node.fieldNames().forEachRemaining(key -> {
            if (!keys.contains(key)) {
                throw wrong(
                        "replace.yaml",
                        what + " has no key " + key + "; it has "
                                + String.join(", ", keys.stream().sorted().toList()));
            }
        });
    }
}
