package raftcart.workspace;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;

/** The published schemas of the files of a migration folder, in JSON Schema of 2020-12. */
public enum JsonSchema {
    /** {@code raftcart.yaml}. */
    PLAN,
    /** {@code source/catalog.json}. */
    CATALOG;

    /** The schema's text. */
    public String text() {
        String path = "/raftcart/schema/" + name().toLowerCase(Locale.ROOT) + ".schema.json";
        try (InputStream in = JsonSchema.class.getResourceAsStream(path)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).strip();
        } catch (IOException e) {
            throw new UncheckedIOException(path + " cannot be read", e);
        }
    }
}
