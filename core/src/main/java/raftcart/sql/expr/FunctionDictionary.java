package raftcart.sql.expr;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * A dialect's spellings of the canonical functions, read from {@code functions.yaml} beside the dialect: for each
 * canonical name the spellings that are read, the one that is written, and how many arguments it takes.
 */
public final class FunctionDictionary {
    private final Class<?> dialect;
    private final Map<String, List<Entry>> bySpelling = new HashMap<>();
    private final Map<String, List<Entry>> byCanonicalName = new HashMap<>();
    private boolean loaded;

    private FunctionDictionary(Class<?> dialect) {
        this.dialect = dialect;
    }

    /** The dictionary that stands beside a class; it is read at its first use, since many commands never use it. */
    public static FunctionDictionary beside(Class<?> dialect) {
        return new FunctionDictionary(dialect);
    }

    private synchronized void load() {
        if (loaded) {
            return;
        }
        try (InputStream in = dialect.getResourceAsStream("functions.yaml")) {
            if (in == null) {
                throw new IllegalStateException("no functions.yaml beside " + dialect.getName());
            }
            for (JsonNode node : new YAMLMapper().readTree(in)) {
                add(entry(node));
            }
        } catch (IOException e) {
            throw new UncheckedIOException("functions.yaml beside " + dialect.getName() + " cannot be read", e);
        }
        loaded = true;
    }

    private static Entry entry(JsonNode node) {
        List<String> read = new ArrayList<>();
        node.get("read").forEach(n -> read.add(n.asText()));
        String write = node.has("write") ? node.get("write").asText() : read.get(0);
        JsonNode arguments = node.get("arguments");
        return new Entry(
                node.get("name").asText(),
                read,
                write,
                arguments.get(0).asInt(),
                arguments.get(1).asInt());
    }

    private void add(Entry entry) {
        for (String spelling : entry.read()) {
            bySpelling.computeIfAbsent(spelling, k -> new ArrayList<>()).add(entry);
        }
        byCanonicalName.computeIfAbsent(entry.name(), k -> new ArrayList<>()).add(entry);
    }

    /** The canonical name of a call in the dialect's spelling. */
    public Optional<String> canonical(String spelling, int arguments) {
        load();
        return find(bySpelling, spelling.toLowerCase(Locale.ROOT), arguments).map(Entry::name);
    }

    /** The dialect's spelling of a canonical function. */
    public Optional<String> spelling(String canonicalName, int arguments) {
        load();
        return find(byCanonicalName, canonicalName, arguments).map(Entry::write);
    }

    private static Optional<Entry> find(Map<String, List<Entry>> entries, String name, int arguments) {
        return entries.getOrDefault(name, List.of()).stream()
                .filter(e -> arguments >= e.fewest() && arguments <= e.most())
                .findFirst();
    }

    private record Entry(String name, List<String> read, String write, int fewest, int most) {}
}
