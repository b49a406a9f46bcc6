package raftcart.move;

import java.nio.file.Path;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Supplier;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Table;
import raftcart.engine.EngineSession;
import raftcart.engine.SharedSnapshot;
import raftcart.engine.TableLookup;
import raftcart.error.LoadException;
import raftcart.error.PlanException;
import raftcart.plan.LoadSettings;
import raftcart.translate.TableMapping;

/** Loads tables, several parts at a time, from one consistent view of the source. */
public final class Loader {
    private static final int LOCK_SECONDS = 10;

    private final SnapshotOpener source;
    private final EngineSession target;
    private final Supplier<EngineSession> targets;
    private final LoadSettings settings;
    private final TargetRows targetRows;
    private final RefusedFiles refusedFiles;
    private final LoadListener listener;
    private final ProgressTable progress;
    private final AtomicBoolean stopped = new AtomicBoolean();

    /** Opens a view of the source for so many readers. */
    @FunctionalInterface
    public interface SnapshotOpener {
        /** The view; whoever opens it closes it. */
        SharedSnapshot open(int readers) throws SQLException;
    }

    /**
     * @param target the connection for what is done once; it holds the lock that keeps a second load away
     * @param targets opens further connections
     */
    public Loader(
            SnapshotOpener source,
            EngineSession target,
            Supplier<EngineSession> targets,
            LoadSettings settings,
            TargetRows targetRows,
            Path refusedFolder,
            LoadListener listener) {
        this.source = source;
        this.target = target;
        this.targets = targets;
        this.settings = settings;
        this.targetRows = targetRows;
        this.refusedFiles = new RefusedFiles(refusedFolder);
        this.listener = new SerialListener(listener);
        this.progress =
                new ProgressTable(target.connection(), target.engine().dialect().identifiers(), target.defaultSchema());
    }

    /**
     * Loads the tables. Those that an earlier run finished are passed over; one that it left half-way goes on where
     * nothing was written to the source meanwhile, and is emptied and loaded anew otherwise.
     *
     * @param now the source's tables as they are today
     * @param earlierState the {@link raftcart.engine.SnapshotPlace#state} of the run that stopped; empty if there is none
     * @return what became of each table, in the order given
     * @throws LoadException if it stops part-way
     */
    public List<TableResult> load(List<TableMapping> tables, Map<ObjectName, Table> now, String earlierState) {
        Map<TableMapping, TableResult> results = new HashMap<>();
        try {
            lock();
            progress.create();
            refuseFilledTables(tables);
            int workers = settings.workers(Runtime.getRuntime().availableProcessors());
            try (SharedSnapshot snapshot = source.open(workers)) {
                listener.snapshotTaken(snapshot.place(), snapshot.readers().size());
                if (!snapshot.place().weakness().isEmpty()) {
                    listener.remark(snapshot.place().weakness());
                }
                boolean unchanged = snapshot.place().sameDataAs(earlierState);
                WorkPlan plan = new WorkPlanner(snapshot, settings, now).plan(unfinished(tables), keysOf(target));
                PartQueue queue = new PartQueue();
                Restart restart =
                        new Restart(target, progress, refusedFiles, settings, targetRows, unchanged, listener);
                for (WorkPlan.Step step : plan.steps()) {
                    restart.begin(step).forEach(p -> queue.add(step.level(), p));
                }
                target.connection().commit();
                run(snapshot, queue, results);
            }
            for (TableMapping table : tables) {
                if (!results.containsKey(table)) {
                    results.put(table, earlier(table));
                }
            }
            target.connection().commit();
        } catch (SQLException e) {
            throw new LoadException(
                    "the load stopped after " + results.size() + " of " + tables.size() + " tables: " + e.getMessage(),
                    "When the cause is mended, run `raftcart load` again; it goes on where it stopped.",
                    e);
        }
        return tables.stream().map(results::get).toList();
    }

    /** Waits a little, as a server may need some time to see that the client of a load before this one is gone. */
    private void lock() throws SQLException {
        for (int second = 0; !target.lock("raftcart load"); second++) {
            if (second == LOCK_SECONDS) {
                throw new PlanException(
                        "another load into this database is running; nothing was changed",
                        "Wait until it ends, or stop it. The lock is gone with its connection.");
            }
            try {
                Thread.sleep(1000);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new LoadException("the load was interrupted", "Run `raftcart load` again.", e);
            }
        }
    }

    private List<TableMapping> unfinished(List<TableMapping> tables) throws SQLException {
        List<TableMapping> unfinished = new ArrayList<>();
        for (TableMapping table : tables) {
            if (!progress.find(key(table)).map(ProgressTable.Progress::finished).orElse(false)) {
                unfinished.add(table);
            }
        }
        return unfinished;
    }

    /** The tables to which each table of the target refers by keys that are there already. */
    private static Map<ObjectName, List<ObjectName>> keysOf(EngineSession target) throws SQLException {
        Map<ObjectName, List<ObjectName>> parents = new HashMap<>();
        target.readCatalog()
                .tables()
                .forEach(t -> parents.put(
                        t.name(),
                        t.foreignKeys().stream().map(ForeignKey::target).toList()));
        target.connection().commit();
        return parents;
    }

    /** What an earlier run made of a table that it finished. */
    private TableResult earlier(TableMapping table) throws SQLException {
        ProgressTable.Progress known = progress.find(key(table)).orElseThrow();
        TableProgress done = new TableProgress(table, known.appended(), 0);
        done.addEarlier(known.loaded(), known.refused());
        return finish(done);
    }

    private TableResult finish(TableProgress table) {
        refusedFiles.join(table.mapping());
        TableResult result = table.result(
                "journal/refused/" + refusedFiles.of(table.mapping()).getFileName());
        listener.tableFinished(result);
        return result;
    }

    private void run(SharedSnapshot snapshot, PartQueue queue, Map<TableMapping, TableResult> results) {
        List<EngineSession> readers = snapshot.readers();
        ExecutorService pool = Executors.newFixedThreadPool(readers.size(), r -> {
            Thread thread = new Thread(r, "load worker");
            thread.setDaemon(true);
            return thread;
        });
        try {
            List<Future<?>> running = new ArrayList<>();
            for (EngineSession reader : readers) {
                LoadWorker worker = new LoadWorker(
                        snapshot, reader, targets, queue, refusedFiles, settings, listener, stopped::get, table -> {
                            synchronized (results) {
                                results.put(table.mapping(), finish(table));
                            }
                        });
                running.add(pool.submit(() -> {
                    work(worker, queue);
                    return null;
                }));
            }
            await(running);
        } finally {
            stopped.set(true);
            queue.close();
            pool.shutdownNow();
            awaitEnd(pool);
        }
    }

    private static void awaitEnd(ExecutorService pool) {
        try {
            pool.awaitTermination(60, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** The first worker that fails stops the others. */
    private void work(LoadWorker worker, PartQueue queue) throws InterruptedException {
        boolean done = false;
        try {
            worker.run();
            done = true;
        } finally {
            if (!done) {
                stopped.set(true);
                queue.close();
            }
        }
    }

    private static void await(List<Future<?>> running) {
        Optional<Throwable> first = Optional.empty();
        for (Future<?> worker : running) {
            try {
                worker.get();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new LoadException("the load was interrupted", "Run `raftcart load` again; it goes on.", e);
            } catch (ExecutionException e) {
                boolean consequence = first.isPresent() && !isInterruption(first.get());
                first = consequence ? first : Optional.of(e.getCause());
            }
        }
        if (first.isPresent()) {
            throw first.get() instanceof RuntimeException own
                    ? own
                    : new IllegalStateException("a worker failed", first.get());
        }
    }

    /** True for workers that ended because another one had failed. */
    private static boolean isInterruption(Throwable failure) {
        return failure instanceof InterruptedException
                || failure instanceof LoadException && "the load was interrupted".equals(failure.getMessage());
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
                    && TableRows.exist(target, table.target().name())) {
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
        refusedFiles.forgetParts();
    }

    static String key(TableMapping table) {
        return table.source().name().toString();
    }
}
