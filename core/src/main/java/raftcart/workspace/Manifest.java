package raftcart.workspace;

import com.fasterxml.jackson.core.type.TypeReference;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import raftcart.error.PlanException;
import raftcart.error.WorkspaceException;

/**
 * Knows the files that were generated, so that a file edited since is never overwritten or removed. It stands in
 * {@code target/manifest.json}: the SHA-256 of every generated text by path.
 */
public final class Manifest {
    private static final String FILE = "target/manifest.json";

    private final Workspace workspace;
    private final Map<String, String> generated;
    private final Set<String> fresh = new HashSet<>();
    private final List<String> kept = new ArrayList<>();

    private Manifest(Workspace workspace, Map<String, String> generated) {
        this.workspace = workspace;
        this.generated = generated;
    }

    /** The manifest of a migration, empty for a new one. */
    public static Manifest of(Workspace workspace) {
        Path file = workspace.path(FILE);
        if (!Files.exists(file)) {
            return new Manifest(workspace, new TreeMap<>());
        }
        try {
            return new Manifest(
                    workspace,
                    new TreeMap<>(Json.MAPPER.readValue(
                            Files.readString(file), new TypeReference<Map<String, String>>() {})));
        } catch (IOException e) {
            throw new WorkspaceException(
                    file + " is damaged", "Move target/ away and translate again; edits are in it.", e);
        }
    }

    /** Writes a generated file unless the one on disk was edited; then the edit is kept and reported. */
    public void generate(String path, String text) {
        fresh.add(path);
        if (isEdited(path)) {
            kept.add(path);
            return;
        }
        workspace.write(path, text);
        generated.put(path, hash(text));
    }

    /**
     * Writes a generated file anew, also over an edit.
     *
     * @throws PlanException if no file of this path was generated before
     */
    public void redo(String path, String text) {
        if (!generated.containsKey(path)) {
            throw new PlanException(
                    path + " was not made by the last translation; the plan or the catalog has changed since",
                    "Run `raftcart translate` for everything; edited files are kept.");
        }
        workspace.write(path, text);
        generated.put(path, hash(text));
        workspace.write(FILE, Json.pretty(generated) + "\n");
    }

    /** The SQL files of a folder that a person edited or added, as paths in their order. */
    public List<String> edited(String folder) {
        Path root = workspace.path(folder);
        if (!Files.isDirectory(root)) {
            return List.of();
        }
        try (Stream<Path> files = Files.walk(root)) {
            return files.filter(f -> f.toString().endsWith(".sql"))
                    .map(f -> workspace.folder().relativize(f).toString().replace('\\', '/'))
                    .filter(this::isEdited)
                    .sorted()
                    .toList();
        } catch (IOException e) {
            throw new WorkspaceException(root + " cannot be read", "Check its permissions.", e);
        }
    }

    /** Removes generated files that were not generated again, unless edited, and keeps the record. */
    public void finish() {
        for (String path : List.copyOf(generated.keySet())) {
            if (!fresh.contains(path)) {
                removeUnlessEdited(path);
            }
        }
        workspace.write(FILE, Json.pretty(generated) + "\n");
    }

    private void removeUnlessEdited(String path) {
        if (isEdited(path)) {
            kept.add(path);
            return;
        }
        try {
            Files.deleteIfExists(workspace.path(path));
            generated.remove(path);
        } catch (IOException e) {
            throw new WorkspaceException(path + " cannot be removed", "Remove it by hand.", e);
        }
    }

    /** The paths of files that were left as a person edited them. */
    public List<String> kept() {
        return List.copyOf(kept);
    }

    private boolean isEdited(String path) {
        Path file = workspace.path(path);
        try {
            return Files.exists(file) && !hash(Files.readString(file)).equals(generated.get(path));
        } catch (IOException e) {
            throw new WorkspaceException(
                    file + " cannot be read", "Check that it is a text file that you may read.", e);
        }
    }

    /** The SHA-256 of a text, in hexadecimal. */
    public static String hash(String text) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
