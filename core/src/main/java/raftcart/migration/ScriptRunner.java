package raftcart.migration;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import raftcart.engine.EngineSession;
import raftcart.error.BuildException;
import raftcart.error.WorkspaceException;
import raftcart.sql.ScriptSplitter;
import raftcart.workspace.Journal;
import raftcart.workspace.Json;
import raftcart.workspace.Manifest;
import raftcart.workspace.Mark;
import raftcart.workspace.Stage;
import raftcart.workspace.Workspace;

/**
 * Runs scripts below {@code target/} in the order of their names, and after them what a person edited below
 * {@code by-hand/}. What the files say counts, so that edits take effect.
 * Every script that ran is noted in the journal, and is not run a second time.
 */
final class ScriptRunner {
    /** Marks a journal entry from which on nothing counts as run. */
    static final String AGAIN = "again";

    private static final String BY_HAND = "by-hand";

    private final Workspace workspace;
    private final EngineSession target;
    private final Journal journal;
    private final Stage stage;
    private final Set<String> applied;

    ScriptRunner(Workspace workspace, EngineSession target, Stage stage) {
        this.workspace = workspace;
        this.target = target;
        this.journal = workspace.journal();
        this.stage = stage;
        this.applied = applied(journal, stage);
    }

    /** The scripts that this migration ran already, by path and content. */
    private static Set<String> applied(Journal journal, Stage stage) {
        Set<String> applied = new HashSet<>();
        for (JsonNode entry : journal.entries()) {
            if (entry.has(AGAIN)) {
                applied.clear();
            }
            if (entry.path("stage").asText().equals(stage.word()) && entry.has("script")) {
                applied.add(
                        mark(entry.get("script").asText(), entry.path("hash").asText()));
            }
        }
        return applied;
    }

    /** The scripts that have not run yet, without a connection. */
    static List<String> open(Workspace workspace, Stage stage, boolean afterData) {
        Set<String> applied = applied(workspace.journal(), stage);
        return scripts(workspace, afterData).stream()
                .filter(s -> !applied.contains(mark(s, Manifest.hash(read(workspace, s)))))
                .toList();
    }

    /** The scripts in running order: those for before the rows, or those for after. */
    List<String> scripts(boolean afterData) {
        return scripts(workspace, afterData);
    }

    /** What a person made of the parts that were left to them runs last. */
    private static List<String> scripts(Workspace workspace, boolean afterData) {
        List<String> scripts = new ArrayList<>(generated(workspace, afterData));
        if (afterData) {
            scripts.addAll(Manifest.of(workspace).edited(BY_HAND));
        }
        return scripts;
    }

    private static List<String> generated(Workspace workspace, boolean afterData) {
        Path folder = workspace.path("target");
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.walk(folder)) {
            return files.filter(f -> f.toString().endsWith(".sql"))
                    .map(f -> workspace.folder().relativize(f).toString().replace('\\', '/'))
                    .filter(f -> isAfterData(f) == afterData)
                    .sorted()
                    .toList();
        } catch (IOException e) {
            throw new WorkspaceException(folder + " cannot be read", "Check its permissions.", e);
        }
    }

    /** Stages below 50 run before the rows. */
    private static boolean isAfterData(String path) {
        return path.compareTo("target/50") >= 0;
    }

    /** The scripts of unique keys and indexes that have not run yet. */
    List<String> uniqueKeys() {
        return scripts(true).stream()
                .filter(s -> s.startsWith("target/50-indexes/") && !isApplied(s))
                .filter(s -> read(workspace, s).contains(" UNIQUE "))
                .toList();
    }

    boolean isApplied(String script) {
        return applied.contains(mark(script, hash(script)));
    }

    /** A script that was changed since it ran counts as another one. */
    private static String mark(String script, String hash) {
        return script + " " + hash;
    }

    private String hash(String script) {
        return Manifest.hash(read(workspace, script));
    }

    /**
     * Runs a script and notes it.
     *
     * @throws BuildException if a statement fails; the message holds the file, its line and the server's words
     */
    void run(String script) {
        String text = read(workspace, script);
        int from = 0;
        for (String statement :
                ScriptSplitter.split(text, target.engine().dialect().grammar().lexical())) {
            int at = text.indexOf(statement, from);
            from = at + statement.length();
            try (Statement jdbc = target.connection().createStatement()) {
                jdbc.execute(statement);
            } catch (SQLException e) {
                rollback(e);
                long line = text.substring(0, at).lines().count() + 1;
                throw new BuildException(
                        script + ":" + line + ": the target refused a statement: "
                                + e.getMessage().strip() + "\n" + excerpt(statement),
                        "Edit the file (edits are kept) or the plan, and run the stage again; it goes on here.",
                        e);
            }
        }
        commit(script);
        note(script);
    }

    /** Notes a script as done without running it. */
    void note(String script) {
        ObjectNode details = Json.MAPPER.createObjectNode();
        String hash = hash(script);
        details.put("script", script);
        details.put("hash", hash);
        journal.add(stage, Mark.PART, details);
        applied.add(mark(script, hash));
    }

    private void commit(String script) {
        try {
            target.connection().commit();
        } catch (SQLException e) {
            throw new BuildException(script + ": the target refused to commit: " + e.getMessage(), null, e);
        }
    }

    private void rollback(SQLException cause) {
        try {
            target.connection().rollback();
        } catch (SQLException e) {
            cause.addSuppressed(e);
        }
    }

    private static String read(Workspace workspace, String script) {
        try {
            return Files.readString(workspace.path(script));
        } catch (IOException e) {
            throw new WorkspaceException(script + " cannot be read", "Check that it is UTF-8 text.", e);
        }
    }

    private static String excerpt(String statement) {
        List<String> lines = statement.lines().limit(6).map(l -> "    " + l).toList();
        return String.join("\n", lines) + (statement.lines().count() > 6 ? "\n    ..." : "");
    }
}
