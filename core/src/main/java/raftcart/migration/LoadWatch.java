package raftcart.migration;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import raftcart.error.WorkspaceException;
import raftcart.workspace.Json;
import raftcart.workspace.Workspace;

/**
 * How far a running load has come, in a small file that is written anew every other second, so that another terminal can
 * see it.
 */
final class LoadWatch {
    private static final Duration BETWEEN = Duration.ofSeconds(2);
    private static final String FILE = "journal/load-now.json";

    private final Path file;
    private final long expectedRows;
    private final Instant began = Instant.now();
    private Instant written = Instant.EPOCH;
    private long rows;
    private boolean finishing;

    LoadWatch(Workspace workspace, long expectedRows) {
        this.file = workspace.path(FILE);
        this.expectedRows = expectedRows;
    }

    /** What is in the file. */
    record Now(Instant at, Instant began, long rows, long expectedRows, boolean finishing) {
        private static final double SECOND = 1000.0;
        private static final Duration SILENT = Duration.ofSeconds(60);

        /** In a line, for the user. */
        String line() {
            if (finishing) {
                return "all rows are there; indexes and keys follow";
            }
            double seconds = Math.max(1, Duration.between(began, at).toMillis()) / SECOND;
            double rate = rows / seconds;
            String left = rate > 0 && expectedRows > rows
                    ? ", about " + shown(Duration.ofSeconds((long) ((expectedRows - rows) / rate))) + " left"
                    : "";
            return String.format(
                    Locale.ROOT,
                    "%,d of about %,d rows, %,.0f rows/s%s, %s",
                    rows,
                    Math.max(rows, expectedRows),
                    rate,
                    left,
                    at.isBefore(Instant.now().minus(SILENT))
                            ? "can be resumed"
                            : "at " + at.toString().substring(11, 19));
        }

        private static String shown(Duration duration) {
            return String.format(
                    Locale.ROOT,
                    "%d:%02d:%02d",
                    duration.toHours(),
                    duration.toMinutesPart(),
                    duration.toSecondsPart());
        }
    }

    static Optional<Now> read(Workspace workspace) {
        Path file = workspace.path(FILE);
        if (!Files.exists(file)) {
            return Optional.empty();
        }
        try {
            JsonNode node = Json.MAPPER.readTree(file.toFile());
            return Optional.of(new Now(
                    Instant.parse(node.path("at").asText()),
                    Instant.parse(node.path("began").asText()),
                    node.path("rows").asLong(),
                    node.path("expectedRows").asLong(),
                    node.path("finishing").asBoolean()));
        } catch (IOException | java.time.DateTimeException e) {
            throw new WorkspaceException(file + " is damaged", "Remove it; it only says how far a load has come.", e);
        }
    }

    void rows(long more) {
        rows += more;
        if (!Instant.now().isBefore(written.plus(BETWEEN))) {
            write();
        }
    }

    /** All rows are there. */
    void finishing() {
        finishing = true;
        write();
    }

    /** The load has ended. */
    void end() {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            throw failed(e);
        }
    }

    private void write() {
        written = Instant.now();
        try {
            Files.createDirectories(file.getParent());
            ObjectNode node = Json.MAPPER.createObjectNode();
            node.put("at", written.toString());
            node.put("began", began.toString());
            node.put("rows", rows);
            node.put("expectedRows", expectedRows);
            node.put("finishing", finishing);
            Path fresh = file.resolveSibling(file.getFileName() + ".new");
            Files.writeString(fresh, Json.line(node));
            Files.move(fresh, file, StandardCopyOption.REPLACE_EXISTING);
        } catch (IOException e) {
            throw failed(e);
        }
    }

    private WorkspaceException failed(IOException e) {
        return new WorkspaceException(
                file + " cannot be written", "Check that the folder is yours to write and the disk is not full.", e);
    }
}
