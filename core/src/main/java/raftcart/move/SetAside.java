package raftcart.move;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import raftcart.catalog.ObjectName;
import raftcart.engine.ActingObject;
import raftcart.engine.EngineSession;
import raftcart.error.WorkspaceException;
import raftcart.translate.TableMapping;

/**
 * The triggers and foreign keys of the target that must not act while rows come. How they come back is written to a file
 * before the first of them is removed, and stays there until they are back, so that no crash can lose one.
 */
public final class SetAside {
    private static final ObjectMapper JSON = new ObjectMapper().findAndRegisterModules();

    private final Path file;

    /** An object with the statements that restore it. */
    private record Entry(String what, List<String> restore) {}

    /** @param journal the folder of what must not be lost */
    public SetAside(Path journal) {
        this.file = journal.resolve("set-aside.json");
    }

    /** What is not back yet, for the user. */
    public List<String> missing() {
        return read().stream().map(Entry::what).toList();
    }

    /**
     * Sets the triggers of tables aside, and of the foreign keys between them and others those that a condition wants.
     *
     * @return what was set aside now or by an earlier run
     */
    List<String> take(EngineSession target, Set<ObjectName> tables, Predicate<ActingObject> keys) throws SQLException {
        Set<String> schemas = tables.stream().map(ObjectName::schema).collect(Collectors.toSet());
        List<ActingObject> found = target.actingObjects(schemas).stream()
                .filter(o -> o.foreignKey()
                        ? (tables.contains(o.table()) || tables.contains(o.parent())) && keys.test(o)
                        : tables.contains(o.table()))
                .toList();
        target.connection().commit();
        if (!found.isEmpty()) {
            Map<String, Entry> all = new LinkedHashMap<>();
            read().forEach(e -> all.put(e.what(), e));
            found.forEach(o -> all.put(o.what(), new Entry(o.what(), o.restore())));
            write(List.copyOf(all.values()));
        }
        for (ActingObject object : found) {
            execute(target, object.remove());
        }
        return missing();
    }

    /**
     * Brings everything back.
     *
     * @param tables all that may have been loaded
     * @return what the target refused, with its words; it is tried again by the next load
     */
    public List<String> restore(EngineSession target, List<TableMapping> tables) throws SQLException {
        List<Entry> entries = read();
        if (entries.isEmpty()) {
            return List.of();
        }
        Set<String> schemas =
                tables.stream().map(t -> t.target().name().schema()).collect(Collectors.toSet());
        // A crash may have come between the file and the removal.
        Set<String> there =
                target.actingObjects(schemas).stream().map(ActingObject::what).collect(Collectors.toSet());
        target.connection().commit();
        List<String> failures = new ArrayList<>();
        List<Entry> left = new ArrayList<>();
        for (Entry entry : entries) {
            if (!there.contains(entry.what())) {
                try {
                    execute(target, entry.restore());
                } catch (SQLException e) {
                    target.connection().rollback();
                    failures.add(entry.what() + " is not back: " + target.messageOf(e));
                    left.add(entry);
                }
            }
        }
        write(left);
        return failures;
    }

    /** Runs all statements even if one fails, as the last ones put the session back to how it was. */
    private static void execute(EngineSession target, List<String> statements) throws SQLException {
        SQLException failure = null;
        try (Statement statement = target.connection().createStatement()) {
            for (String sql : statements) {
                try {
                    statement.execute(sql);
                } catch (SQLException e) {
                    if (failure == null) {
                        failure = e;
                    } else {
                        failure.addSuppressed(e);
                    }
                }
            }
        }
        if (failure != null) {
            throw failure;
        }
        target.connection().commit();
    }

    private List<Entry> read() {
        try {
            return Files.exists(file) ? JSON.readValue(file.toFile(), new TypeReference<List<Entry>>() {}) : List.of();
        } catch (IOException e) {
            throw new WorkspaceException(
                    file + " is damaged; it says which triggers and foreign keys are to be restored on the target",
                    "Restore them by hand, and remove the file.",
                    e);
        }
    }

    private void write(List<Entry> entries) {
        try {
            if (entries.isEmpty()) {
                Files.deleteIfExists(file);
                return;
            }
            Files.createDirectories(file.getParent());
            Path fresh = file.resolveSibling(file.getFileName() + ".new");
            Files.writeString(fresh, JSON.writerWithDefaultPrettyPrinter().writeValueAsString(entries));
            Files.move(fresh, file, StandardCopyOption.REPLACE_EXISTING);
        } catch (IOException e) {
            throw new WorkspaceException(
                    file + " cannot be written",
                    "Check that the folder is yours to write and the disk is not full.",
                    e);
        }
    }
}
