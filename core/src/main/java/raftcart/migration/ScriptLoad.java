package raftcart.migration;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Savepoint;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import raftcart.catalog.ObjectName;
import raftcart.dialect.DdlPrinter;
import raftcart.engine.EngineSession;
import raftcart.error.LoadException;
import raftcart.error.PlanException;
import raftcart.error.WorkspaceException;
import raftcart.move.LoadListener;
import raftcart.move.ProgressTable;
import raftcart.move.TableResult;
import raftcart.move.TargetRows;
import raftcart.rewrite.ObjectRewriter;
import raftcart.scripts.DrawnNumber;
import raftcart.scripts.DrawnSequences;
import raftcart.scripts.ScriptSource;
import raftcart.scripts.ScriptStatement;
import raftcart.sql.tree.Statement;
import raftcart.translate.RowStatements;
import raftcart.translate.TableMapping;
import raftcart.translate.Translation;
import raftcart.workspace.Json;

/**
 * Loads the rows that the INSERT statements of scripts bring. What was run is noted in the same transaction, so that a load
 * that stops goes on with the statement that comes next; a row that the target refuses is put aside, and the rest goes on.
 */
final class ScriptLoad {
    /** The line of the progress table that counts statements, with the digest of their texts; no table is called so. */
    private static final String STATEMENTS = "statements of the scripts";

    /** Statements of one transaction: each may lock a table of its own with its indexes, of which servers keep some thousand. */
    private static final int MOST_STATEMENTS = 500;

    /** The bits of a digest of texts. */
    private static final long BITS = (1L << 48) - 1;

    private final EngineSession target;
    private final ProgressTable progress;
    private final Translation translation;
    private final List<TableMapping> tables;
    private final RowStatements statements;
    private final Path refusedFolder;
    private final int mostRefused;
    private final Map<ObjectName, Count> counts = new LinkedHashMap<>();
    private Optional<DrawnSequences> sequences = Optional.empty();
    private long done;
    private long passed;
    private long noted;
    /** Digests of the texts of the statements passed, noted, and to be found again; they show that scripts were changed. */
    private long texts;

    private long notedTexts;
    private long wantedTexts;
    private boolean refusedSince;

    ScriptLoad(
            EngineSession target,
            Translation translation,
            RowStatements statements,
            Path refusedFolder,
            int mostRefused) {
        this.target = target;
        this.progress =
                new ProgressTable(target.connection(), target.engine().dialect().identifiers(), target.defaultSchema());
        this.translation = translation;
        this.statements = statements;
        this.refusedFolder = refusedFolder;
        this.mostRefused = mostRefused;
        this.tables =
                translation.tables().stream().filter(TableMapping::isLoaded).toList();
        tables.forEach(t -> counts.put(t.source().name(), new Count()));
    }

    /** The rows of a table so far. */
    private static final class Count {
        private long loaded;
        private long refused;
        private long notedLoaded;
        private long notedRefused;
        private Optional<Path> file = Optional.empty();
    }

    List<TableResult> run(ScriptSource scripts, TargetRows targetRows, LoadListener listener) throws SQLException {
        progress.create();
        Optional<ProgressTable.Progress> earlier =
                targetRows == TargetRows.REPLACE ? Optional.empty() : progress.find(STATEMENTS);
        if (earlier.isPresent()) {
            wantedTexts = earlier.get().refused();
            goOn(earlier.get().loaded());
        } else {
            prepare(targetRows);
            begin();
        }
        long start = System.nanoTime();
        sequences = Optional.of(scripts.forEachStatement(this::execute));
        if (passed < done) {
            throw changed();
        }
        note();
        double seconds = (System.nanoTime() - start) / 1e9 / Math.max(1, counts.size());
        List<TableResult> results = new ArrayList<>();
        for (TableMapping table : tables) {
            Count count = counts.get(table.source().name());
            TableResult result = new TableResult(
                    table.source().name().toString(),
                    table.target().name().toString(),
                    count.loaded + count.refused,
                    count.loaded,
                    count.refused,
                    seconds,
                    count.file.map(f -> "journal/refused/" + f.getFileName()).orElse(""));
            listener.tableStarted(result.table(), result.read());
            listener.rowsWritten(result.table(), result.loaded(), 0);
            listener.tableFinished(result);
            results.add(result);
        }
        return results;
    }

    /** Where the sequences of the source stand once its rows are inserted. */
    DrawnSequences sequences() {
        return sequences.orElseThrow();
    }

    /** Takes the progress table away once everything that follows the rows is done too. */
    void forgetProgress() throws SQLException {
        progress.drop();
    }

    private void goOn(long statements) throws SQLException {
        done = statements;
        noted = statements;
        notedTexts = wantedTexts;
        for (TableMapping table : tables) {
            Optional<ProgressTable.Progress> known =
                    progress.find(table.source().name().toString());
            Count count = counts.get(table.source().name());
            count.loaded = known.map(ProgressTable.Progress::loaded).orElse(0L);
            count.refused = known.map(ProgressTable.Progress::refused).orElse(0L);
            count.notedLoaded = count.loaded;
            count.notedRefused = count.refused;
            keepNoted(table.source().name(), count);
        }
    }

    /** Leaves of the rows put aside those that were noted; what stopped the load comes again. */
    private void keepNoted(ObjectName table, Count count) {
        Path file = refusedFile(table);
        try {
            if (count.refused == 0) {
                Files.deleteIfExists(file);
                return;
            }
            count.file = Optional.of(file);
            List<String> kept = new ArrayList<>();
            long rows = 0;
            for (String line : Files.exists(file) ? Files.readAllLines(file) : List.<String>of()) {
                rows += Json.MAPPER.readTree(line).path("rows").asLong();
                if (rows <= count.refused) {
                    kept.add(line);
                }
            }
            Files.write(file, kept);
        } catch (IOException e) {
            throw new WorkspaceException(file + " cannot be written", "Check that the disk is not full.", e);
        }
    }

    private void begin() throws SQLException {
        progress.begin(STATEMENTS);
        for (TableMapping table : tables) {
            progress.begin(table.source().name().toString());
            keepNoted(table.source().name(), counts.get(table.source().name()));
        }
        target.connection().commit();
    }

    /** Commits what was run, together with its numbers. */
    private void note() throws SQLException {
        for (TableMapping table : tables) {
            Count count = counts.get(table.source().name());
            if (count.loaded > count.notedLoaded || count.refused > count.notedRefused) {
                progress.add(
                        table.source().name().toString(),
                        count.loaded - count.notedLoaded,
                        count.refused - count.notedRefused);
                count.notedLoaded = count.loaded;
                count.notedRefused = count.refused;
            }
        }
        if (passed > noted) {
            progress.add(STATEMENTS, passed - noted, texts - notedTexts);
            noted = passed;
            notedTexts = texts;
        }
        refusedSince = false;
        target.connection().commit();
    }

    private void prepare(TargetRows targetRows) throws SQLException {
        List<String> filled = new ArrayList<>();
        for (TableMapping table : tables) {
            target.connection().commit(); // a lock for each table at once may be more than the server keeps
            if (holdsRows(table)) {
                filled.add(table.target().name().toString());
                if (targetRows == TargetRows.REPLACE) {
                    change(target.engine()
                            .dialect()
                            .ddl()
                            .emptyTable(table.target().name()));
                }
            }
        }
        if (!filled.isEmpty() && targetRows == TargetRows.STOP) {
            throw new PlanException(
                    String.join(", ", filled) + " of the target hold rows already; nothing was loaded",
                    "Use --if-not-empty replace to remove these rows first, or --if-not-empty append to keep them.");
        }
    }

    private boolean holdsRows(TableMapping table) throws SQLException {
        String name =
                target.engine().dialect().identifiers().quote(table.target().name());
        try (java.sql.Statement query = target.connection().createStatement();
                ResultSet rows = query.executeQuery("SELECT 1 FROM " + name + " LIMIT 1")) {
            return rows.next();
        }
    }

    private void execute(ScriptStatement given) {
        Statement statement = given.statement();
        String place = given.place();
        Optional<RowStatements.Rows> translated = statements.translate(statement);
        passed++;
        int text = translated.map(r -> r.result().statements().hashCode()).orElse(0);
        texts = (texts * 31 + text) & BITS;
        if (passed == done && texts != wantedTexts) {
            throw changed();
        }
        if (passed <= done
                || translated.isEmpty()
                || !counts.containsKey(translated.get().table())) {
            return;
        }
        try {
            load(translated.get(), given);
            if (refusedSince || passed - noted >= MOST_STATEMENTS) {
                note();
            }
        } catch (SQLException e) {
            throw new LoadException(
                    place + ": the load stopped: " + e.getMessage(),
                    "When the cause is mended, run `raftcart load` again; it goes on where it stopped.",
                    e);
        }
    }

    private static LoadException changed() {
        return new LoadException(
                "the scripts have other statements before the place where the load stopped than they had then",
                "Use --if-not-empty replace to load all of their rows anew.",
                null);
    }

    private void load(RowStatements.Rows rows, ScriptStatement given) throws SQLException {
        if (given.refusal().isPresent()) {
            refuse(rows, given.statement(), given.place(), given.refusal().get(), rows.rows());
            return;
        }
        for (DrawnNumber drawn : given.draws()) {
            advance(drawn);
        }
        Optional<String> reason = attempt(rows);
        if (reason.isPresent()) {
            oneByOne(rows, (Statement.Insert) given.statement(), given.place(), reason.get());
        }
    }

    /** Lets the target count on from where the source was, before it draws numbers for rows itself. */
    private void advance(DrawnNumber drawn) throws SQLException {
        DdlPrinter ddl = target.engine().dialect().ddl();
        Optional<String> sql = drawn.column().isPresent()
                ? translation.mapping(drawn.owner()).flatMap(m -> m.columns().stream()
                        .filter(c -> c.source().name().equals(drawn.column().get()))
                        .filter(c -> c.target().identity().isPresent())
                        .findFirst()
                        .flatMap(c -> ddl.advanceIdentity(m.target().name(), c.target(), drawn.next())))
                : translation.sequences().stream()
                        .filter(s -> s.source().name().equals(drawn.owner()))
                        .findFirst()
                        .map(s -> ddl.advanceSequence(s.target(), drawn.next()));
        if (sql.isPresent()) {
            try (java.sql.Statement statement = target.connection().createStatement()) {
                statement.execute(sql.get());
            }
        }
    }

    /** Runs a statement; the reason where it has no text or the target refuses it. */
    private Optional<String> attempt(RowStatements.Rows rows) throws SQLException {
        ObjectRewriter.Result result = rows.result();
        if (!result.done()) {
            return Optional.of(result.reason());
        }
        Connection connection = target.connection();
        Savepoint before = connection.setSavepoint();
        try {
            long changed = 0;
            for (String text : result.statements()) {
                changed += change(text);
            }
            connection.releaseSavepoint(before);
            counts.get(rows.table()).loaded += rows.rows() > 0 ? rows.rows() : changed;
            return Optional.empty();
        } catch (SQLException e) {
            if (endsLoad(e)) {
                throw e;
            }
            connection.rollback(before);
            return Optional.of(e.getMessage());
        }
    }

    /** True for what no statement is to blame for: the connection, other transactions, the server itself. */
    private static boolean endsLoad(SQLException e) {
        String state = e.getSQLState() == null ? "" : e.getSQLState();
        return state.matches("(08|40|53|57|58|XX).*");
    }

    private long change(String sql) throws SQLException {
        try (java.sql.Statement statement = target.connection().createStatement()) {
            return Math.max(0, statement.executeUpdate(sql));
        }
    }

    private void oneByOne(RowStatements.Rows rows, Statement.Insert insert, String place, String reason)
            throws SQLException {
        List<Statement.Insert> single = RowStatements.single(insert);
        if (single.size() < 2) {
            refuse(rows, insert, place, reason, rows.rows());
            return;
        }
        for (Statement.Insert row : single) {
            RowStatements.Rows one = statements.translate(row).orElseThrow();
            Optional<String> why = attempt(one);
            if (why.isPresent()) {
                refuse(one, row, place, why.get(), 1);
            }
        }
    }

    private void refuse(RowStatements.Rows rows, Statement given, String place, String reason, int number) {
        Count count = counts.get(rows.table());
        boolean first = count.refused == 0;
        count.refused += Math.max(1, number);
        refusedSince = true;
        Path file = refusedFile(rows.table());
        count.file = Optional.of(file);
        ObjectNode line = Json.MAPPER.createObjectNode();
        line.put("reason", reason);
        line.put("place", place);
        line.put("rows", Math.max(1, number));
        List<String> translated = rows.result().statements();
        line.put("statement", translated.isEmpty() ? statements.source(given) : String.join(";\n", translated));
        try {
            Files.createDirectories(refusedFolder);
            if (first) {
                Files.deleteIfExists(file);
            }
            try (BufferedWriter writer = Files.newBufferedWriter(
                    file, java.nio.file.StandardOpenOption.CREATE, java.nio.file.StandardOpenOption.APPEND)) {
                writer.write(Json.MAPPER.writeValueAsString(line) + "\n");
            }
        } catch (IOException e) {
            throw new WorkspaceException(file + " cannot be written", "Check that the disk is not full.", e);
        }
        if (count.refused > mostRefused) {
            throw new LoadException(
                    "the target has refused more than " + mostRefused + " rows of " + rows.table()
                            + "; the last reason was: " + reason,
                    "Look at " + file + ", mend the cause or raise `load.stop-after-refused` in the plan, and run"
                            + " `raftcart load` again; it goes on where it stopped.",
                    null);
        }
    }

    private Path refusedFile(ObjectName table) {
        return refusedFolder.resolve(table.toString().replaceAll("[^\\p{L}\\p{N}._-]", "_") + ".jsonl");
    }
}
