package raftcart.migration;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.math.BigInteger;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
import raftcart.move.Loader;
import raftcart.move.TableResult;
import raftcart.move.TargetRows;
import raftcart.translate.TableMapping;
import raftcart.translate.Translation;
import raftcart.translate.Translator;
import raftcart.workspace.Journal;
import raftcart.workspace.Json;
import raftcart.workspace.Mark;
import raftcart.workspace.Stage;

/** Moves the rows, then adds indexes and foreign keys and sets the counters. */
public final class LoadStage {
    private LoadStage() {}

    /** Is told how the stage goes on. */
    public interface Listener extends LoadListener {
        /** Indexes, keys and counters are being made; so many scripts are to run. */
        void finishing(int scripts);
    }

    /** Runs the stage, going on where an earlier run stopped. */
    public static Result run(Migration migration, TargetRows targetRows, Listener listener) {
        long start = System.nanoTime();
        Journal journal = migration.workspace().journal();
        if (!journal.isDone(Stage.BUILD)) {
            throw new PlanException("the target is not built yet", "Run `raftcart build` (or `raftcart run`) first.");
        }
        journal.add(Stage.LOAD, Mark.BEGUN, Json.MAPPER.createObjectNode());
        if (migration.hasScripts()) {
            return ofScripts(migration, targetRows, listener, start);
        }
        try (EngineSession target = migration.openTarget()) {
            Translation translation = migration.translation(target.defaultSchema());
            Catalog now = sourceNow(migration);
            refuseChangedSource(translation, migration.catalog(), now);
            Loader loader = new Loader(
                    migration::openSnapshot,
                    target,
                    migration::openTarget,
                    migration.plan().load(),
                    targetRows,
                    migration.workspace().path("journal/refused"),
                    new JournalingListener(listener, journal));
            List<TableResult> tables = loader.load(
                    translation.tables().stream().filter(TableMapping::isLoaded).toList(),
                    now.tables().collect(Collectors.toMap(Table::name, t -> t)),
                    JournalingListener.earlierState(journal));
            List<String> failures = finish(migration, target, listener);
            RoutineCheck.Result routines = RoutineCheck.run(migration, target, translation);
            failures.addAll(setCounters(target, translation, now, sequences(now)));
            if (failures.isEmpty()) {
                loader.forgetProgress(); // otherwise another run tries what failed, and passes over the rows
            }
            Result result = new Result(tables, failures, routines, (System.nanoTime() - start) / 1e9);
            record(migration, result);
            return result;
        } catch (SQLException e) {
            throw new LoadException(
                    "the load stopped: " + e.getMessage(),
                    "Run `raftcart load` again; it goes on where it stopped.",
                    e);
        }
    }

    /** The rows that the scripts insert; the counters go on behind them. */
    private static Result ofScripts(Migration migration, TargetRows targetRows, Listener listener, long start) {
        try (EngineSession target = migration.openTarget()) {
            Translator.Planned planned = migration.planned(target.defaultSchema());
            Translation translation = planned.translation();
            ScriptLoad load = new ScriptLoad(
                    target,
                    translation,
                    planned.rows(),
                    migration.workspace().path("journal/refused"),
                    migration.plan().load().stopAfterRefused());
            if (migration.scripts().asksForKeys()) {
                makeUniqueKeys(migration, target);
            }
            List<TableResult> tables = load.run(migration.scripts(), targetRows, listener);
            List<String> failures = finish(migration, target, listener);
            RoutineCheck.Result routines = RoutineCheck.run(migration, target, translation);
            Map<ObjectName, BigInteger> next = new HashMap<>(sequences(migration.catalog()));
            next.putAll(load.sequences().next());
            next.keySet().removeAll(load.sequences().byTarget());
            failures.addAll(setCounters(target, translation, migration.catalog(), next));
            if (failures.isEmpty()) {
                load.forgetProgress();
            }
            Result result = new Result(tables, failures, routines, (System.nanoTime() - start) / 1e9);
            record(migration, result);
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

    private static void record(Migration migration, Result result) {
        migration.workspace().keepReport("load.json", Json.MAPPER.valueToTree(result));
        ObjectNode details = Json.MAPPER.createObjectNode();
        details.set("result", Json.MAPPER.valueToTree(result));
        migration.workspace().journal().add(Stage.LOAD, Mark.DONE, details);
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

    /** A key that the rows do not fulfil must not keep the others from being made; it is reported at the end. */
    private static List<String> finish(Migration migration, EngineSession target, Listener listener) {
        ScriptRunner runner = new ScriptRunner(migration.workspace(), target, Stage.LOAD);
        List<String> scripts =
                runner.scripts(true).stream().filter(s -> !runner.isApplied(s)).toList();
        listener.finishing(scripts.size());
        List<String> failures = new ArrayList<>();
        for (String script : scripts) {
            try {
                runner.run(script);
            } catch (BuildException e) {
                failures.add(e.getMessage());
            }
        }
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
     */
    public record Result(
            List<TableResult> tables, List<String> failures, RoutineCheck.Result routines, double seconds) {
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
