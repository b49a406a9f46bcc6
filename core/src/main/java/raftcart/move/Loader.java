package raftcart.move;

import java.nio.file.Path;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Table;
import raftcart.dialect.Dialect;
import raftcart.engine.ActingObject;
import raftcart.engine.EngineSession;
import raftcart.engine.SharedSnapshot;
import raftcart.engine.TableLookup;
import raftcart.error.LoadException;
import raftcart.error.PlanException;
import raftcart.plan.LoadSettings;
import raftcart.plan.Selection;
import raftcart.translate.ColumnMapping;
import raftcart.translate.TableMapping;

/** Loads tables, several parts at a time, from one consistent view of the source. */
public final class Loader {
    private static final int MOST_NAMED = 6;

    private final SnapshotOpener source;
    private final EngineSession target;
    private final Supplier<EngineSession> targets;
    private final LoadSettings settings;
    private final TargetRows targetRows;
    private final Selection selection;
    private final RefusedFiles refusedFiles;
    private final SetAside setAside;
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
     * @param selection the plan's rules for tables
     * @param journal the folder for what must not be lost: refused rows, and what is set aside
     */
    public Loader(
            SnapshotOpener source,
            EngineSession target,
            Supplier<EngineSession> targets,
            LoadSettings settings,
            TargetRows targetRows,
            Selection selection,
            Path journal,
            LoadListener listener) {
        this.source = source;
        this.target = target;
        this.targets = targets;
        this.settings = settings;
        this.targetRows = targetRows;
        this.selection = selection;
        this.refusedFiles = new RefusedFiles(journal.resolve("refused"));
        this.setAside = new SetAside(journal);
        this.listener = new SerialListener(listener);
        this.progress =
                new ProgressTable(target.connection(), target.engine().dialect().identifiers(), target.defaultSchema());
    }

    /**
     * Loads the tables. Those that an earlier run finished are passed over; one that it left half-way goes on where
     * nothing was written to the source meanwhile, and is emptied and loaded anew otherwise.
     *
     * @param now the source's tables as they are today
     * @return what became of each table, in the order given
     * @throws LoadException if it stops part-way
     */
    public List<TableResult> load(List<TableMapping> tables, Map<ObjectName, Table> now) {
        Map<TableMapping, TableResult> results = new HashMap<>();
        try {
            LoadLock.take(target);
            progress.create();
            List<TableMapping> wanted = withoutSkipped(tables);
            refuseFilledTables(wanted);
            refuseKeyless(wanted);
            refuseWaitingRows(wanted);
            listener.begun();
            Map<ObjectName, List<ObjectName>> parents = setAside(unfinished(wanted));
            int workers = settings.workers(Runtime.getRuntime().availableProcessors());
            try (SharedSnapshot snapshot = source.open(workers)) {
                listener.snapshotTaken(snapshot.place(), snapshot.readers().size());
                if (!snapshot.place().weakness().isEmpty()) {
                    listener.remark(snapshot.place().weakness());
                }
                WorkPlan plan =
                        new WorkPlanner(snapshot, settings, now, newer(snapshot)).plan(unfinished(wanted), parents);
                PartQueue queue = new PartQueue();
                Restart restart =
                        new Restart(target, progress, refusedFiles, settings, targetRows, snapshot.place(), listener);
                for (WorkPlan.Step step : plan.steps()) {
                    restart.begin(step).forEach(p -> queue.add(step.level(), p));
                }
                target.connection().commit();
                run(snapshot, queue, results);
            }
            for (TableMapping table : wanted) {
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
        return tables.stream().filter(results::containsKey).map(results::get).toList();
    }

    private List<TableMapping> unfinished(List<TableMapping> tables) throws SQLException {
        List<TableMapping> unfinished = new ArrayList<>();
        for (TableMapping table : tables) {
            Optional<ProgressTable.Progress> known = progress.find(key(table));
            // Rows of others are not replaced where an earlier load only added to them.
            boolean mixed = targetRows == TargetRows.REPLACE
                    && known.map(ProgressTable.Progress::appended).orElse(false);
            if (mixed || !known.map(ProgressTable.Progress::finished).orElse(false)) {
                unfinished.add(table);
            }
        }
        return unfinished;
    }

    /** Tables that hold rows that are not of this load stay out of it where the user wants so. */
    private List<TableMapping> withoutSkipped(List<TableMapping> tables) throws SQLException {
        if (targetRows != TargetRows.SKIP) {
            return tables;
        }
        List<TableMapping> wanted = new ArrayList<>();
        for (TableMapping table : tables) {
            ObjectName name = table.target().name();
            if (progress.find(key(table)).isEmpty()
                    && TableLookup.exists(target, name)
                    && TableRows.exist(target, name)) {
                listener.remark(key(table) + " is skipped, as " + name + " holds rows already");
            } else {
                wanted.add(table);
            }
        }
        target.connection().commit();
        return wanted;
    }

    /**
     * Sets aside what must not act while rows come: triggers; foreign keys of tables that are emptied first, which would
     * keep them from it, and those that close a circle, which no order of rows could fulfil.
     *
     * @return the tables to which each table refers by keys that stay
     */
    private Map<ObjectName, List<ObjectName>> setAside(List<TableMapping> tables) throws SQLException {
        Set<ObjectName> names =
                tables.stream().map(t -> t.target().name()).collect(Collectors.toCollection(LinkedHashSet::new));
        Set<String> schemas = names.stream().map(ObjectName::schema).collect(Collectors.toSet());
        LoadLevels levels = new LoadLevels(parents(schemas));
        boolean empties = targetRows == TargetRows.REPLACE || progress.holdsAny();
        List<String> aside =
                setAside.take(target, names, key -> empties || levels.of(key.parent()) >= levels.of(key.table()));
        if (!aside.isEmpty()) {
            listener.remark("set aside until the rows are there: "
                    + (aside.size() > MOST_NAMED
                            ? aside.size() + " triggers and foreign keys"
                            : String.join(", ", aside)));
        }
        return parents(schemas);
    }

    private Map<ObjectName, List<ObjectName>> parents(Set<String> schemas) throws SQLException {
        Map<ObjectName, List<ObjectName>> parents = new HashMap<>();
        for (ActingObject object : target.actingObjects(schemas)) {
            if (object.foreignKey()) {
                parents.computeIfAbsent(object.table(), t -> new ArrayList<>()).add(object.parent());
            }
        }
        target.connection().commit();
        return parents;
    }

    private NewerRows newer(SharedSnapshot snapshot) {
        Dialect source = snapshot.readers().get(0).engine().dialect();
        return new NewerRows(target, source, selection, targetRows);
    }

    /** Rows can be updated by a primary key only, all columns of which come from the source. */
    private void refuseKeyless(List<TableMapping> tables) {
        if (targetRows != TargetRows.UPDATE) {
            return;
        }
        List<String> keyless = tables.stream()
                .filter(t -> !t.target()
                        .primaryKey()
                        .map(k -> t.columns().stream()
                                .filter(ColumnMapping::loaded)
                                .map(c -> c.target().name())
                                .toList()
                                .containsAll(k.columns()))
                        .orElse(false))
                .map(Loader::key)
                .toList();
        if (!keyless.isEmpty()) {
            throw new PlanException(
                    "no primary key to update by: " + String.join(", ", keyless) + "; nothing was loaded",
                    "Leave them out with --tables, and load them with --if-not-empty replace.");
        }
    }

    /** Rows that were refused before are not read again by a load that reads only newer ones, so they must not be forgotten. */
    private void refuseWaitingRows(List<TableMapping> tables) throws SQLException {
        List<String> waiting = new ArrayList<>();
        for (TableMapping table : tables) {
            boolean adds = targetRows == TargetRows.APPEND || targetRows == TargetRows.UPDATE;
            if (adds
                    && selection.since(table.source().name()).isPresent()
                    && refusedFiles.wait(table)
                    && progress.find(key(table)).isEmpty()) {
                waiting.add(key(table));
            }
        }
        target.connection().commit();
        if (!waiting.isEmpty()) {
            throw new PlanException(
                    "rows of " + String.join(", ", waiting) + " that were refused before wait in journal/refused/, and"
                            + " would not be read again; nothing was loaded",
                    "Load them with --retry-refused first, or move the files away.");
        }
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
                throw LoadException.interrupted(e);
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
                || failure instanceof LoadException stop && stop.isInterruption();
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

    /**
     * The tables of which not all rows have arrived yet.
     *
     * @param once true where all tables were loaded before, so that only those count that were begun again
     */
    public List<TableMapping> open(List<TableMapping> tables, boolean once) throws SQLException {
        List<TableMapping> open = new ArrayList<>();
        for (TableMapping table : tables) {
            Optional<ProgressTable.Progress> known = progress.find(key(table));
            boolean skipped = targetRows == TargetRows.SKIP
                    && TableRows.exist(target, table.target().name());
            if (known.isPresent() ? !known.get().finished() : !once && !skipped) {
                open.add(table);
            }
        }
        target.connection().commit();
        return open;
    }

    /**
     * What {@link #load} would do, without doing anything.
     *
     * @param now the source's tables as they are today
     */
    public WorkPlan plan(List<TableMapping> tables, Map<ObjectName, Table> now) throws SQLException {
        Set<String> schemas =
                tables.stream().map(t -> t.target().name().schema()).collect(Collectors.toSet());
        int workers = settings.workers(Runtime.getRuntime().availableProcessors());
        try (SharedSnapshot snapshot = source.open(workers)) {
            if (!snapshot.place().weakness().isEmpty()) {
                listener.remark(snapshot.place().weakness());
            }
            boolean begun = TableLookup.exists(target, new ObjectName(target.defaultSchema(), ProgressTable.NAME));
            Map<ObjectName, List<ObjectName>> parents = targetRows == TargetRows.REPLACE ? Map.of() : parents(schemas);
            return new WorkPlanner(snapshot, settings, now, newer(snapshot))
                    .plan(begun ? unfinished(tables) : tables, parents);
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
