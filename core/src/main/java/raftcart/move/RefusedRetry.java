package raftcart.move;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import raftcart.catalog.ObjectName;
import raftcart.engine.EngineSession;
import raftcart.engine.TransferColumn;
import raftcart.error.LoadException;
import raftcart.error.WorkspaceException;
import raftcart.plan.LoadSettings;
import raftcart.translate.ColumnMapping;
import raftcart.translate.TableMapping;

/**
 * Loads the rows again that were refused and set aside, after the target or the lines themselves were mended. Rows that
 * arrive leave their file, the others stay with the reason of today. Each table is one transaction; which of the two
 * files is right after a crash is told by the progress table.
 */
public final class RefusedRetry {
    private static final ObjectMapper JSON = new ObjectMapper();

    private final EngineSession target;
    private final LoadSettings settings;
    private final RefusedFiles files;
    private final SetAside setAside;
    private final LoadListener listener;
    private final ProgressTable progress;

    /** @param journal the folder of what must not be lost */
    public RefusedRetry(EngineSession target, LoadSettings settings, Path journal, LoadListener listener) {
        this.target = target;
        this.settings = settings.withoutLimit();
        this.files = new RefusedFiles(journal.resolve("refused"));
        this.setAside = new SetAside(journal);
        this.listener = listener;
        this.progress =
                new ProgressTable(target.connection(), target.engine().dialect().identifiers(), target.defaultSchema());
    }

    /** Tries the rows of all tables that have such; parents before children, in the order given. */
    public List<TableResult> run(List<TableMapping> tables) throws SQLException {
        LoadLock.take(target);
        progress.create();
        List<TableMapping> refused =
                tables.stream().filter(t -> Files.exists(files.of(t))).toList();
        Set<ObjectName> names = refused.stream().map(t -> t.target().name()).collect(Collectors.toSet());
        setAside.take(target, names, key -> false);
        List<TableResult> results = new ArrayList<>();
        try {
            for (TableMapping table : refused) {
                results.add(retry(table));
            }
        } catch (LoadException | SQLException e) {
            target.connection().rollback();
            setAside.restore(target, tables).forEach(f -> e.addSuppressed(new IllegalStateException(f)));
            throw e;
        }
        progress.drop();
        return results;
    }

    private Path fresh(TableMapping table) {
        return files.of(table).resolveSibling(files.of(table).getFileName() + ".again");
    }

    private TableResult retry(TableMapping table) throws SQLException {
        long start = System.nanoTime();
        settleEarlier(table);
        listener.tableStarted(table.source().name().toString(), 0);
        Counts counts = Files.exists(files.of(table)) ? write(table) : new Counts(0, 0);
        settle(table, counts.refused());
        long loaded = counts.read() - counts.refused();
        listener.rowsWritten(table.source().name().toString(), loaded, 0);
        TableResult result = new TableResult(
                table.source().name().toString(),
                table.target().name().toString(),
                counts.read(),
                loaded,
                counts.refused(),
                (System.nanoTime() - start) / 1e9,
                counts.refused() == 0
                        ? ""
                        : "journal/refused/" + files.of(table).getFileName());
        listener.tableFinished(result);
        return result;
    }

    private record Counts(long read, long refused) {}

    /** Writes the rows and commits them; those that are refused again are in a new file. */
    private Counts write(TableMapping table) throws SQLException {
        List<ColumnMapping> columns =
                table.columns().stream().filter(ColumnMapping::loaded).toList();
        RowWriter writer = target.openWriter(
                table.target(),
                columns.stream()
                        .map(c -> new TransferColumn(c.target(), c.form(), false))
                        .toList());
        RowBuffer buffer = new RowBuffer(columns.size(), settings.rowsPerBatch());
        long read = 0;
        try (BufferedReader lines = Files.newBufferedReader(files.of(table));
                RefusedRows refused = new RefusedRows(fresh(table), table)) {
            BatchWriter batches =
                    new BatchWriter(target, writer, refused, new TableProgress(table, false, 1), settings);
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                read++;
                row(table, columns, line, read, buffer);
                if (buffer.isFull()) {
                    batches.write(buffer);
                    buffer.clear();
                }
            }
            if (buffer.rows() > 0) {
                batches.write(buffer);
            }
            progress.begin(mark(table));
            progress.add(mark(table), read - refused.count(), refused.count());
            target.connection().commit();
            return new Counts(read, refused.count());
        } catch (IOException e) {
            throw new WorkspaceException(
                    files.of(table) + " cannot be read", "Check that it is UTF-8 text and yours to read.", e);
        }
    }

    private void row(TableMapping table, List<ColumnMapping> columns, String line, long number, RowBuffer buffer) {
        try {
            JsonNode values = JSON.readTree(line).path("values");
            for (ColumnMapping column : columns) {
                RefusedValue.add(buffer, column, values);
            }
        } catch (IOException | IllegalArgumentException e) {
            throw new LoadException(
                    files.of(table) + ":" + number + ": is no row of "
                            + table.source().name() + ": "
                            + e.getMessage().lines().findFirst().orElse(""),
                    "Mend the line, or remove it; nothing of this table was loaded.",
                    e);
        }
    }

    private static String mark(TableMapping table) {
        return "again " + table.source().name();
    }

    /** After a crash: the rows were committed if the progress table says so. */
    private void settleEarlier(TableMapping table) throws SQLException {
        Optional<ProgressTable.Progress> earlier = progress.find(mark(table));
        if (earlier.isPresent()) {
            settle(table, earlier.get().refused());
        }
        target.connection().commit();
    }

    /** Lets the file of today's refused rows take the place of the one before; does nothing where it has. */
    private void settle(TableMapping table, long stillRefused) throws SQLException {
        try {
            if (stillRefused == 0) {
                Files.deleteIfExists(files.of(table));
            } else if (Files.exists(fresh(table))) {
                Files.move(fresh(table), files.of(table), StandardCopyOption.REPLACE_EXISTING);
            }
        } catch (IOException e) {
            throw RefusedFiles.failed(files.of(table), e);
        }
        progress.forget(mark(table));
        target.connection().commit();
    }
}
