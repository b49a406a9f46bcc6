package raftcart.migration;

import java.math.BigInteger;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import raftcart.catalog.Catalog;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Table;
import raftcart.engine.EngineSession;
import raftcart.error.BuildException;
import raftcart.error.LoadException;
import raftcart.error.PlanException;
import raftcart.move.Counters;
import raftcart.move.LoadListener;
import raftcart.move.LoadOptions;
import raftcart.move.Loader;
import raftcart.move.RefusedRetry;
import raftcart.move.SetAside;
import raftcart.move.TableResult;
import raftcart.move.TargetRows;
import raftcart.move.WorkPlan;
import raftcart.plan.Selection;
import raftcart.translate.TableMapping;
import raftcart.translate.Translation;
import raftcart.translate.Translator;
import raftcart.workspace.Journal;
import raftcart.workspace.Json;
import raftcart.workspace.Mark;
import raftcart.workspace.Stage;

/** Moves the rows, then adds indexes and foreign keys and sets the counters. */
public final class LoadStage {
    /** The stages whose scripts do not build on each other. */
    private static final Set<String> PARALLEL_STAGES = Set.of("target/50-indexes", "target/60-foreign-keys");

    private LoadStage() {}

    /** Is told how the stage goes on. */
    public interface Listener extends LoadListener {
        /** Indexes, keys and counters are being made; so many scripts are to run. */
        void finishing(int scripts);
    }

    /** Runs the stage, going on where an earlier run stopped. */
    public static Result run(Migration migration, LoadOptions options, Listener listener) {
        long start = System.nanoTime();
        Journal journal = migration.workspace().journal();
        refuseUnbuilt(journal);
        boolean once = journal.wasDone(Stage.LOAD);
        if (migration.hasScripts()) {
            refuseForScripts(options);
            journal.add(Stage.LOAD, Mark.BEGUN, Json.MAPPER.createObjectNode());
            return ofScripts(migration, options, listener, start);
        }
        try (EngineSession target = migration.openTarget()) {
            Translation translation = migration.translation(target.defaultSchema());
            Catalog now = sourceNow(migration);
            refuseChangedSource(translation, migration.catalog(), now);
            List<TableMapping> loaded = loaded(translation, options);
            LoadWatch watch = new LoadWatch(migration.workspace(), expectedRows(loaded, now));
            Loader loader = loader(migration, target, options, new JournalingListener(listener, journal, watch));
            List<TableResult> tables = loader.load(loaded, byName(now));
            List<TableMapping> open = loader.open(loaded(translation, LoadOptions.of(options.targetRows())), once);
            if (!open.isEmpty()) {
                watch.end();
                List<String> names =
                        open.stream().map(t -> t.source().name().toString()).toList();
                return new Result(tables, List.of(), RoutineCheck.Result.NONE, seconds(start), names);
            }
            watch.finishing();
            List<String> failures = finish(migration, target, listener);
            failures.addAll(setAside(migration).restore(target, translation.tables()));
            RoutineCheck.Result routines = RoutineCheck.run(migration, target, translation);
            failures.addAll(setCounters(target, translation, now, sequences(now)));
            if (failures.isEmpty()) {
                loader.forgetProgress(); // otherwise another run tries what failed, and passes over the rows
            }
            Result result = new Result(tables, failures, routines, seconds(start), List.of());
            LoadRecord.done(migration, result);
            watch.end();
            return result;
        } catch (SQLException e) {
            throw new LoadException(
                    "the load stopped: " + e.getMessage(),
                    "Run `raftcart load` again; it goes on where it stopped.",
                    e);
        }
    }

    /** What {@link #run} would move, in which order and in which parts; nothing is changed. */
    public static WorkPlan plan(Migration migration, LoadOptions options, Listener listener) {
        refuseUnbuilt(migration.workspace().journal());
        if (migration.hasScripts()) {
            throw new PlanException(
                    "the source is a folder of script files, which are loaded statement by statement", null);
        }
        try (EngineSession target = migration.openTarget()) {
            Translation translation = migration.translation(target.defaultSchema());
            Catalog now = sourceNow(migration);
            refuseChangedSource(translation, migration.catalog(), now);
            return loader(migration, target, options, listener).plan(loaded(translation, options), byName(now));
        } catch (SQLException e) {
            throw new LoadException("the work could not be planned: " + e.getMessage(), null, e);
        }
    }

    /**
     * Loads the rows again that were refused before, see {@link RefusedRetry}.
     *
     * @param options of which the tables count
     */
    public static Result retryRefused(Migration migration, LoadOptions options, Listener listener) {
        long start = System.nanoTime();
        if (migration.hasScripts()) {
            throw new PlanException(
                    "rows of scripts are loaded as statements, which are not tried one by one",
                    "Mend the scripts or the target, and run `raftcart load --if-not-empty replace`.");
        }
        if (!migration.workspace().journal().isDone(Stage.LOAD)) {
            throw new PlanException(
                    "the load is not finished, and reads refused rows again itself", "Run `raftcart load`.");
        }
        try (EngineSession target = migration.openTarget()) {
            Translation translation = migration.translation(target.defaultSchema());
            RefusedRetry retry = new RefusedRetry(
                    target, migration.plan().load(), migration.workspace().path("journal"), listener);
            List<TableResult> tables = retry.run(loaded(translation, options));
            // Counters stand behind the numbers of refused rows already, as they go by what the source gives next.
            List<String> failures = setAside(migration).restore(target, translation.tables());
            Result result = new Result(tables, failures, RoutineCheck.Result.NONE, seconds(start), List.of());
            LoadRecord.retried(migration, result);
            return result;
        } catch (SQLException e) {
            throw new LoadException(
                    "the refused rows could not be loaded: " + e.getMessage(),
                    "Those of tables that are not named as loaded are still in journal/refused/.",
                    e);
        }
    }

    private static SetAside setAside(Migration migration) {
        return new SetAside(migration.workspace().path("journal"));
    }

    private static void refuseUnbuilt(Journal journal) {
        if (!journal.isDone(Stage.BUILD)) {
            throw new PlanException("the target is not built yet", "Run `raftcart build` (or `raftcart run`) first.");
        }
    }

    private static Loader loader(
            Migration migration, EngineSession target, LoadOptions options, LoadListener listener) {
        return new Loader(
                migration::openSnapshot,
                target,
                migration::openTarget,
                options.settings(migration.plan().load()),
                options.targetRows(),
                migration.plan().tables(),
                migration.workspace().path("journal"),
                listener);
    }

    /** The tables whose rows go in this run. */
    private static List<TableMapping> loaded(Translation translation, LoadOptions options) {
        List<TableMapping> all =
                translation.tables().stream().filter(TableMapping::isLoaded).toList();
        for (String pattern : options.tables()) {
            if (all.stream()
                    .noneMatch(t -> Selection.matches(pattern, t.source().name()))) {
                throw new PlanException(
                        "no table that is loaded matches '" + pattern + "'",
                        "Patterns are `name` or `schema.name` on the source, * for any characters; `raftcart load"
                                + " --plan-only` lists the tables.");
            }
        }
        return all.stream().filter(t -> options.takes(t.source().name())).toList();
    }

    private static Map<ObjectName, Table> byName(Catalog catalog) {
        return catalog.tables().collect(Collectors.toMap(Table::name, t -> t));
    }

    private static long expectedRows(List<TableMapping> tables, Catalog now) {
        return tables.stream()
                .mapToLong(t ->
                        now.table(t.source().name()).map(Table::rowEstimate).orElse(0L))
                .sum();
    }

    private static double seconds(long start) {
        return (System.nanoTime() - start) / 1e9;
    }

    private static void refuseForScripts(LoadOptions options) {
        boolean rowsOnly = Set.of(TargetRows.SKIP, TargetRows.UPDATE).contains(options.targetRows());
        if (rowsOnly || !options.tables().isEmpty() || options.parallel().isPresent()) {
            throw new PlanException(
                    "the rows of scripts come one statement after the other, all tables together",
                    "Leave --tables, --parallel and --if-not-empty update or skip out.");
        }
    }

    /** The rows that the scripts insert; the counters go on behind them. */
    private static Result ofScripts(Migration migration, LoadOptions options, Listener listener, long start) {
        try (EngineSession target = migration.openTarget()) {
            Translator.Planned planned = migration.planned(target.defaultSchema());
            Translation translation = planned.translation();
            ScriptLoad load = new ScriptLoad(
                    target,
                    translation,
                    planned.rows(),
                    migration.workspace().path("journal/refused"),
                    options.settings(migration.plan().load()).stopAfterRefused());
            if (migration.scripts().asksForKeys()) {
                makeUniqueKeys(migration, target);
            }
            List<TableResult> tables = load.run(migration.scripts(), options.targetRows(), listener);
            List<String> failures = finish(migration, target, listener);
            RoutineCheck.Result routines = RoutineCheck.run(migration, target, translation);
            Map<ObjectName, BigInteger> next = new HashMap<>(sequences(migration.catalog()));
            next.putAll(load.sequences().next());
            next.keySet().removeAll(load.sequences().byTarget());
            failures.addAll(setCounters(target, translation, migration.catalog(), next));
            if (failures.isEmpty()) {
                load.forgetProgress();
            }
            Result result = new Result(tables, failures, routines, seconds(start), List.of());
            LoadRecord.done(migration, result);
            return result;
        } catch (SQLException e) {
            throw new LoadException(
                    "the load stopped: " + e.getMessage(),
                    "When the cause is mended, run `raftcart load` again; it goes on where it stopped.",
                    e);
        }
    }

    /** Makes the unique keys at once, as some rows hang on which keys are there already. */
    private static void makeUniqueKeys(Migration migration, EngineSession target) {
        ScriptRunner runner = new ScriptRunner(migration.workspace(), target, Stage.LOAD);
        for (String script : runner.uniqueKeys()) {
            try {
                runner.run(script);
            } catch (BuildException e) {
                return; // it is tried again, and told, when the rows are there
            }
        }
    }

    private static Catalog sourceNow(Migration migration) {
        try (EngineSession source = migration.openSource()) {
            return source.readCatalog();
        }
    }

    private static void refuseChangedSource(Translation translation, Catalog surveyed, Catalog now) {
        List<String> changed = new ArrayList<>();
        for (TableMapping mapping : translation.tables()) {
            ObjectName name = mapping.source().name();
            boolean same = now.table(name)
                    .map(LoadStage::shape)
                    .equals(surveyed.table(name).map(LoadStage::shape));
            if (!same) {
                changed.add(name.toString());
            }
        }
        if (!changed.isEmpty()) {
            throw new PlanException(
                    "the source's columns have changed since the survey: " + String.join(", ", changed),
                    "Run `raftcart survey` and `raftcart translate` again, and look at what is different.");
        }
    }

    private static List<String> shape(Table table) {
        return table.columns().stream()
                .map(c -> c.name() + " " + c.declaredType() + " " + c.nullable())
                .toList();
    }

    /**
     * Indexes and keys at the same time as others of their stage, everything else one by one. A key that the rows do not
     * fulfil must not keep the others from being made; it is reported at the end.
     */
    private static List<String> finish(Migration migration, EngineSession target, Listener listener) {
        ScriptRunner runner = new ScriptRunner(migration.workspace(), target, Stage.LOAD);
        List<String> scripts =
                runner.scripts(true).stream().filter(s -> !runner.isApplied(s)).toList();
        listener.finishing(scripts.size());
        Map<String, List<String>> stages = scripts.stream()
                .collect(Collectors.groupingBy(
                        s -> s.substring(0, s.lastIndexOf('/')), LinkedHashMap::new, Collectors.toList()));
        int workers = migration.plan().load().workers(Runtime.getRuntime().availableProcessors());
        List<String> failures = new ArrayList<>();
        stages.forEach((stage, all) -> failures.addAll(new ParallelScripts(
                        migration.workspace(),
                        target,
                        migration::openTarget,
                        PARALLEL_STAGES.contains(stage) ? workers : 1)
                .run(all)));
        return failures;
    }

    /** Where the sequences of a catalog stand. */
    private static Map<ObjectName, BigInteger> sequences(Catalog catalog) {
        Map<ObjectName, BigInteger> next = new HashMap<>();
        catalog.schemas().forEach(s -> s.sequences().forEach(q -> next.put(q.name(), q.next())));
        return next;
    }

    private static List<String> setCounters(
            EngineSession target, Translation translation, Catalog now, Map<ObjectName, BigInteger> sequences)
            throws SQLException {
        Map<ObjectName, Table> tables = new HashMap<>();
        now.tables().forEach(t -> tables.put(t.name(), t));
        Counters counters = new Counters(target);
        List<String> failures = new ArrayList<>(counters.setIdentities(translation.tables(), tables));
        failures.addAll(counters.setSequences(translation.sequences(), sequences));
        try (Statement statement = target.connection().createStatement()) {
            for (TableMapping mapping : translation.tables()) {
                statement.execute(
                        target.engine().dialect().ddl().analyze(mapping.target().name()));
                // A lock for each table and index at once may be more than the server keeps.
                target.connection().commit();
            }
        }
        return failures;
    }

    /**
     * What was loaded.
     *
     * @param failures indexes, keys and counters that the target refused, with the server's words
     * @param routines what came of calling each routine once
     * @param open tables that are still to be loaded before indexes, keys and counters follow
     */
    public record Result(
            List<TableResult> tables,
            List<String> failures,
            RoutineCheck.Result routines,
            double seconds,
            List<String> open) {
        /** The number of rows that the target refused. */
        public long refused() {
            return tables.stream().mapToLong(TableResult::refused).sum();
        }

        /** The number of rows that arrived. */
        public long loaded() {
            return tables.stream().mapToLong(TableResult::loaded).sum();
        }
    }
}
