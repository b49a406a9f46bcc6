package raftcart.sql.function;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import raftcart.resource.ShippedTable;

/** All canonical functions, from {@code functions.yaml} beside this class and from users' rules. */
public final class Signatures {
    private Signatures() {}

    /** Read when they are first asked for, which not every command does. */
    private static final class Shipped {
        private static final Map<String, Signature> ALL = new ConcurrentHashMap<>(read());

        private Shipped() {}
    }

    private static Map<String, Signature> all() {
        return Shipped.ALL;
    }

    private static Map<String, Signature> read() {
        try {
            Map<String, Signature> read = new LinkedHashMap<>();
            JsonNode groups = ShippedTable.tree(Signatures.class, "functions.yaml");
            groups.properties().forEach(group -> group.getValue()
                    .properties()
                    .forEach(f -> read.put(
                            f.getKey(),
                            Signature.parse(
                                    f.getKey(),
                                    group(group.getKey()),
                                    f.getValue().asText()))));
            return read;
        } catch (IOException e) {
            throw new UncheckedIOException("the list of functions cannot be read", e);
        }
    }

    private static Signature.Group group(String name) {
        return switch (name.toLowerCase(Locale.ROOT)) {
            case "aggregate" -> Signature.Group.AGGREGATE;
            case "window" -> Signature.Group.WINDOW;
            case "table" -> Signature.Group.TABLE;
            default -> Signature.Group.SCALAR;
        };
    }

    /** Adds a function of a user's. */
    public static void add(String name, String signature) {
        all().put(name, Signature.parse(name, Signature.Group.SCALAR, signature));
    }

    /** The names of all canonical functions. */
    public static Set<String> names() {
        return all().keySet();
    }

    /** The function of this name. */
    public static Optional<Signature> find(String name) {
        return Optional.ofNullable(all().get(name));
    }

    static Signature get(String name) {
        Signature signature = all().get(name);
        if (signature == null) {
            throw new IllegalArgumentException("there is no canonical function " + name);
        }
        return signature;
    }
}
