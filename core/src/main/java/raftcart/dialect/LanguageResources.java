package raftcart.dialect;

import com.fasterxml.jackson.core.JsonParser;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import raftcart.resource.ShippedTable;
import raftcart.sql.function.DictionaryReader;
import raftcart.sql.function.FunctionDictionary;
import raftcart.sql.function.Signature;

/** The dictionaries and type tables that ship with the tool; each is read when it is first needed. */
public final class LanguageResources {
    private static final Map<String, FunctionDictionary> DICTIONARIES = new ConcurrentHashMap<>();
    private static final Map<String, YamlTypes> TYPES = new ConcurrentHashMap<>();

    private static final Map<String, Pattern> CATALOGS = new ConcurrentHashMap<>();

    private LanguageResources() {}

    /** The functions of a dialect. */
    public static Supplier<FunctionDictionary> functions(String dialect) {
        return new Supplier<>() {
            private volatile FunctionDictionary known;

            @Override
            public FunctionDictionary get() {
                FunctionDictionary found = known;
                if (found == null) {
                    found = dictionary(dialect);
                    known = found;
                }
                return found;
            }
        };
    }

    /** The types of a dialect. */
    public static Supplier<TypeTable> types(String dialect) {
        return () -> table(dialect);
    }

    /** The types of a dialect in front of another table. */
    public static Supplier<TypeTable> types(String dialect, Supplier<TypeTable> base) {
        return () -> table(dialect).over(base.get());
    }

    /** The dictionary of a dialect, or the one that all have in common. */
    public static FunctionDictionary dictionary(String name) {
        FunctionDictionary known = DICTIONARIES.get(name);
        if (known == null) {
            boolean common = name.equals("common");
            String path = common ? "common.yaml" : "/raftcart/dialect/" + name + "/dictionary.yaml";
            known = load(
                    common ? Signature.class : LanguageResources.class,
                    path,
                    in -> DictionaryReader.read(path, in, LanguageResources::dictionary));
            DICTIONARIES.put(name, known);
        }
        return known;
    }

    /** The words that a dialect does not take for names, those that all have in common among them. */
    public static Set<String> reserved(String dialect) {
        String path = "/raftcart/dialect/" + dialect + "/reserved.txt";
        try (InputStream in = LanguageResources.class.getResourceAsStream(path)) {
            if (in == null) {
                throw new IllegalStateException(path + " is missing from the program");
            }
            String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            String[] words = text.replaceAll("(?m)^#.*$", "").strip().split("\\s+");
            return ReservedWords.with(words);
        } catch (IOException e) {
            throw new UncheckedIOException("the reserved words of " + dialect + " cannot be read", e);
        }
    }

    /**
     * Tells the engine's own tables and views by their names in lower case; nothing for a dialect that does not ship with
     * the tool.
     */
    public static Pattern catalogs(String dialect) {
        return CATALOGS.computeIfAbsent(dialect, d -> {
            try (InputStream in =
                    LanguageResources.class.getResourceAsStream("/raftcart/dialect/" + d + "/catalogs.txt")) {
                String text = in == null ? "" : new String(in.readAllBytes(), StandardCharsets.UTF_8);
                String names = text.replaceAll("(?m)^#.*$", "")
                        .strip()
                        .replaceAll("[.$]", "\\\\$0")
                        .replace("*", ".*")
                        .replaceAll("\\s+", "|");
                return Pattern.compile(names);
            } catch (IOException e) {
                throw new UncheckedIOException("the list of catalogs of " + d + " cannot be read", e);
            }
        });
    }

    private static YamlTypes table(String name) {
        YamlTypes known = TYPES.get(name);
        if (known == null) {
            String path = name.equals("common")
                    ? "/raftcart/dialect/common-types.yaml"
                    : "/raftcart/dialect/" + name + "/types.yaml";
            known = load(LanguageResources.class, path, in -> YamlTypes.read(path, in, LanguageResources::table));
            TYPES.put(name, known);
        }
        return known;
    }

    private static <T> T load(Class<?> beside, String path, Function<JsonParser, T> reader) {
        try (JsonParser in = ShippedTable.open(beside, path)) {
            return reader.apply(in);
        } catch (IOException e) {
            throw new UncheckedIOException(path + " cannot be read", e);
        }
    }
}
