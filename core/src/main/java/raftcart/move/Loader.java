package raftcart.move;

import java.nio.file.Path;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Dialect;
import raftcart.engine.EngineSession;
import raftcart.engine.TableLookup;
import raftcart.engine.TransferColumn;
import raftcart.error.LoadException;
import raftcart.error.PlanException;
import raftcart.plan.LoadSettings;
import raftcart.translate.ColumnMapping;
import raftcart.translate.TableMapping;

/** Loads tables one after the other, parents before children, from one consistent view of the source. */
public final class Loader {
    private final EngineSession source;
    private final EngineSession target;
    private final LoadSettings settings;
    private final TargetRows targetRows;
    private final Path refusedFolder;
    private final LoadListener listener;
    private final ProgressTable progress;

    public Loader(
            EngineSession source,
            EngineSession target,
            LoadSettings settings,
            TargetRows targetRows,
            Path refusedFolder,
            LoadListener listener) {
        this.source = source;
        this.target = target;
        this.settings = settings;
        this.targetRows = targetRows;
        this.refusedFolder = refusedFolder;
        this.listener = listener;
        this.progress =
                new ProgressTable(target.connection(), target.engine().dialect().identifiers(), target.defaultSchema());
    }

    /**
     * Loads the tables. Those that an earlier run finished are passed over; one that it left half-way is emptied and
     * loaded anew.
     *
     * @throws LoadException if it stops part-way
     */
    public List<TableResult> load(List<TableMapping> tables) {
        List<TableResult> results = new ArrayList<>();
        try {
            progress.create();
            refuseFilledTables(tables);
            source.beginSnapshot();
            for (TableMapping table : tables) {
                results.add(load(table));
            }
        } catch (SQLException e) {
            throw stopped(e, tables.size(), results.size());
        }
        return results;
    }

    private static LoadException stopped(SQLException e, int all, int done) {
        return new LoadException(
                "the load stopped after " + done + " of " + all + " tables: " + e.getMessage(),
                "When the cause is mended, run `raftcart load` again; it goes on where it stopped.",
                e);
    }

    /** Looks at all tables before the first row moves, so that nothing is half done when one of them is in the way. */
    private void refuseFilledTables(List<TableMapping> tables) throws SQLException {
        List<String> filled = new ArrayList<>();
        for (TableMapping table : tables) {
            if (!TableLookup.exists(target, table.target().name())) {
                throw new PlanException(
                        "table " + table.target().name() + " is not on the target; nothing was loaded",
                        "If the target was emptied since it was built, run `raftcart build --again`.");
            }
            target.connection().commit(); // a lock for each table at once may be more than the server keeps
            boolean ours = progress.find(key(table)).isPresent();
            if (!ours
                    && targetRows == TargetRows.STOP
                    && holdsRows(table.target().name())) {
                filled.add(table.target().name().toString());
            }
        }
        target.connection().commit();
        if (!filled.isEmpty()) {
            throw new PlanException(
                    (filled.size() == 1 ? "table " : "tables ") + String.join(", ", filled)
                            + " of the target hold rows already; nothing was loaded",
                    "Use --if-not-empty replace to remove these rows first, or --if-not-empty append to keep them.");
        }
    }

    private TableResult load(TableMapping table) throws SQLException {
        String name = table.source().name().toString();
        Optional<ProgressTable.Progress> earlier = progress.find(name);
        if (earlier.isPresent() && earlier.get().finished()) {
            ProgressTable.Progress p = earlier.get();
            return finished(table, p.loaded() + p.refused(), p.loaded(), p.refused(), 0);
        }
        boolean appended = targetRows == TargetRows.APPEND
                && earlier.isEmpty()
                && holdsRows(table.target().name());
        if (earlier.isPresent() && earlier.get().appended()) {
            refuseMixedRows(table, earlier.get());
            appended = true;
        } else if (earlier.isPresent() || targetRows == TargetRows.REPLACE) {
            execute(dialect().ddl().emptyTable(table.target().name()));
        }
        progress.begin(name, appended);
        target.connection().commit();
        listener.tableStarted(name, table.source().rowEstimate());
        long start = System.nanoTime();
        List<TransferColumn> columns = table.columns().stream()
                .filter(ColumnMapping::loaded)
                .map(c -> new TransferColumn(c.source(), c.form(), false))
                .toList();
        try (RefusedRows refused = new RefusedRows(refusedFile(table), columns)) {
            long read = new TableLoader(source, target, table, settings, listener).run(progress, refused);
            double seconds = (System.nanoTime() - start) / 1e9;
            return finished(table, read, read - refused.count(), refused.count(), seconds);
        }
    }

    /** Rows of a load that stopped cannot be told from those that were there before, and must not be removed with them. */
    private static void refuseMixedRows(TableMapping table, ProgressTable.Progress earlier) {
        if (earlier.loaded() > 0) {
            throw new LoadException(
                    "the load stopped while it appended to " + table.target().name() + ", which held rows before; "
                            + earlier.loaded() + " rows were added and cannot be told from those",
                    "Restore the table as it was, remove its line from " + ProgressTable.NAME
                            + " on the target, and run the load again.");
        }
    }

    private TableResult finished(TableMapping table, long read, long loaded, long refused, double seconds) {
        String file =
                refused == 0 ? "" : "journal/refused/" + refusedFile(table).getFileName();
        TableResult result = new TableResult(
                table.source().name().toString(),
                table.target().name().toString(),
                read,
                loaded,
                refused,
                seconds,
                file);
        listener.tableFinished(result);
        return result;
    }

    private Path refusedFile(TableMapping table) {
        return refusedFolder.resolve(table.source().name().toString().replaceAll("[^\\p{L}\\p{N}._-]", "_") + ".jsonl");
    }

    /** Takes the progress table away once everything that follows the rows is done too. */
    public void forgetProgress() {
        try {
            progress.drop();
        } catch (SQLException e) {
            throw new LoadException(
                    "table " + ProgressTable.NAME + " could not be removed: " + e.getMessage(),
                    "Remove it by hand.",
                    e);
        }
    }

    private boolean holdsRows(ObjectName table) throws SQLException {
        String sql = "SELECT 1 FROM " + dialect().identifiers().quote(table);
        try (Statement statement = target.connection().createStatement()) {
            statement.setMaxRows(1);
            try (ResultSet rows = statement.executeQuery(sql)) {
                return rows.next();
            }
        }
    }

    private void execute(String sql) throws SQLException {
        try (Statement statement = target.connection().createStatement()) {
            statement.execute(sql);
        }
    }

    private Dialect dialect() {
        return target.engine().dialect();
    }

    private static String key(TableMapping table) {
        return table.source().name().toString();
    }
}
