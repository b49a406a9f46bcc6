package raftcart.workspace;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.error.WorkspaceException;

/**
 * The append-only record of what was done, one JSON object a line in {@code journal/journal.jsonl}. It holds names,
 * counts and times; no secrets and no row values.
 */
public final class Journal {
    /** Several threads of one process may make indexes at the same time and note them. */
    private static final Object ONE_WRITER = new Object();

    private final Path file;

    Journal(Workspace workspace) {
        this.file = workspace.path("journal/journal.jsonl");
    }

    /** Adds an entry about a stage; its time is now. */
    public void add(Stage stage, Mark mark, ObjectNode details) {
        ObjectNode entry = Json.MAPPER.createObjectNode();
        entry.put("at", Instant.now().truncatedTo(ChronoUnit.MILLIS).toString());
        entry.put("stage", stage.word());
        entry.put("mark", mark.word());
        entry.setAll(details);
        try {
            Files.createDirectories(file.getParent());
            synchronized (ONE_WRITER) {
                dropPartialLine();
                Files.writeString(file, Json.line(entry) + "\n", StandardOpenOption.CREATE, StandardOpenOption.APPEND);
            }
        } catch (IOException e) {
            throw new WorkspaceException(
                    file + " cannot be written: " + Workspace.reason(e),
                    "Check that the folder is yours to write and the disk is not full.",
                    e);
        }
    }

    /** A line without its end was cut off by a crash; it says nothing, and the next one must not be glued to it. */
    private void dropPartialLine() throws IOException {
        if (!Files.exists(file)) {
            return;
        }
        try (RandomAccessFile bytes = new RandomAccessFile(file.toFile(), "rw")) {
            long end = bytes.length();
            while (end > 0) {
                bytes.seek(end - 1);
                if (bytes.read() == '\n') {
                    break;
                }
                end--;
            }
            bytes.setLength(end);
        }
    }

    /** All entries, oldest first; a last line that was cut off by a crash is passed over. */
    public List<JsonNode> entries() {
        List<JsonNode> entries = new ArrayList<>();
        if (!Files.exists(file)) {
            return entries;
        }
        try {
            List<String> lines = Files.readAllLines(file);
            for (int i = 0; i < lines.size(); i++) {
                try {
                    entries.add(Json.MAPPER.readTree(lines.get(i)));
                } catch (IOException e) {
                    if (i < lines.size() - 1) {
                        throw e;
                    }
                }
            }
        } catch (IOException e) {
            throw new WorkspaceException(file + " is damaged", "Move it away to begin a new journal.", e);
        }
        return entries;
    }

    /** The newest entry of a stage with one of these marks. */
    public Optional<JsonNode> last(Stage stage, Mark... marks) {
        List<JsonNode> entries = entries();
        for (int i = entries.size() - 1; i >= 0; i--) {
            JsonNode entry = entries.get(i);
            if (entry.path("stage").asText().equals(stage.word())) {
                for (Mark mark : marks) {
                    if (entry.path("mark").asText().equals(mark.word())) {
                        return Optional.of(entry);
                    }
                }
            }
        }
        return Optional.empty();
    }

    /** True where the stage was finished once, and no stage before it has been finished anew since. */
    public boolean wasDone(Stage stage) {
        boolean done = false;
        for (JsonNode entry : entries()) {
            int order = Stage.of(entry.path("stage").asText()).compareTo(stage);
            boolean finished = entry.path("mark").asText().equals(Mark.DONE.word());
            done = finished && order <= 0 ? order == 0 : done;
        }
        return done;
    }

    /**
     * True where the stage was finished, has not been begun anew since, and no stage before it has been finished anew
     * since.
     */
    public boolean isDone(Stage stage) {
        boolean done = false;
        for (JsonNode entry : entries()) {
            String mark = entry.path("mark").asText();
            int order = Stage.of(entry.path("stage").asText()).compareTo(stage);
            if (order == 0 && !mark.equals(Mark.PART.word())) {
                done = mark.equals(Mark.DONE.word());
            } else if (order < 0 && mark.equals(Mark.DONE.word())) {
                done = false;
            }
        }
        return done;
    }
}
