package raftcart.migration;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import raftcart.catalog.ObjectKind;
import raftcart.dialect.DdlPrinter;
import raftcart.engine.EngineSession;
import raftcart.error.BuildException;
import raftcart.error.ConnectException;
import raftcart.error.PlanException;
import raftcart.move.ProgressTable;
import raftcart.translate.ScriptWriter;
import raftcart.translate.TableMapping;
import raftcart.translate.Translation;
import raftcart.workspace.Journal;
import raftcart.workspace.Json;
import raftcart.workspace.Mark;
import raftcart.workspace.Stage;

/** Creates the empty structure on the target: schemas, types, sequences and tables. */
public final class BuildStage {
    /** Tables that are removed in one transaction: each takes locks, of which servers keep some thousand. */
    private static final int MOST_DROPS = 200;

    private BuildStage() {}

    /** What to do with a table that exists on the target and was not made by this migration. */
    public enum Existing {
        STOP,
        /** Use it as it is. */
        SKIP,
        /** Remove it with its rows, and the views and sequences of the names that are wanted. */
        DROP
    }

    /** Which scripts are run. */
    public enum Part {
        /** What has to be there before the rows: schemas, types, sequences and tables. */
        BEFORE_DATA(false),
        /** What comes after the rows: indexes, foreign keys, views and triggers. */
        AFTER_DATA(true),
        ALL(false);

        private final boolean after;

        Part(boolean after) {
            this.after = after;
        }

        boolean includes(boolean afterData) {
            return this == ALL || after == afterData;
        }
    }

    /**
     * Runs the stage, going on where an earlier run stopped.
     *
     * @param part which scripts are run
     * @param again true to run all scripts, also those that ran already, since the target was emptied
     */
    public static Result run(Migration migration, Part part, Existing existing, boolean again) {
        long start = System.nanoTime();
        Journal journal = migration.workspace().journal();
        if (!journal.isDone(Stage.TRANSLATE)) {
            throw new PlanException("there are no scripts yet", "Run `raftcart translate` (or `raftcart run`) first.");
        }
        if (again) {
            journal.add(Stage.BUILD, Mark.BEGUN, Json.MAPPER.createObjectNode().put(ScriptRunner.AGAIN, true));
        }
        try (EngineSession target = migration.openTarget()) {
            Translation translation = migration.translation(target.defaultSchema());
            checkPermissions(target);
            List<String> skipped = List.of();
            int ran = 0;
            RoutineCheck.Result routines = RoutineCheck.Result.NONE;
            if (part.includes(false)) {
                ScriptRunner runner = new ScriptRunner(migration.workspace(), target, Stage.BUILD);
                skipped = skipExisting(translation, target, runner, existing);
                boolean anew = runner.scripts(false).stream()
                        .anyMatch(s -> s.startsWith(ScriptWriter.TABLES) && !runner.isApplied(s));
                if (anew) {
                    forgetEarlierLoad(target);
                }
                ran += runAll(runner, runner.scripts(false));
            }
            if (part.includes(true)) {
                // They belong to the load, which must not run them again.
                ScriptRunner runner = new ScriptRunner(migration.workspace(), target, Stage.LOAD);
                ran += runAll(runner, runner.scripts(true));
                routines = RoutineCheck.run(migration, target, translation);
            }
            Result result = new Result(ran, skipped, routines, (System.nanoTime() - start) / 1e9);
            ObjectNode details = Json.MAPPER.createObjectNode();
            details.set("result", Json.MAPPER.valueToTree(result));
            if (part.includes(false)) {
                journal.add(Stage.BUILD, Mark.DONE, details);
            }
            return result;
        } catch (SQLException e) {
            throw new BuildException("the target could not be examined: " + e.getMessage(), null, e);
        }
    }

    /** What an earlier load noted is of no worth for tables that are made anew: it would pass over their rows. */
    private static void forgetEarlierLoad(EngineSession target) throws SQLException {
        new ProgressTable(target.connection(), target.engine().dialect().identifiers(), target.defaultSchema()).drop();
    }

    private static int runAll(ScriptRunner runner, List<String> scripts) {
        int ran = 0;
        for (String script : scripts) {
            if (!runner.isApplied(script)) {
                runner.run(script);
                ran++;
            }
        }
        return ran;
    }

    private static void checkPermissions(EngineSession target) {
        List<String> missing = target.missingToWrite(target.defaultSchema());
        if (!missing.isEmpty()) {
            throw new ConnectException(
                    "the account or the server of the target lacks what it takes to fill " + target.defaultSchema(),
                    "Have an administrator run:\n  " + String.join("\n  ", missing));
        }
    }

    private static List<String> skipExisting(
            Translation translation, EngineSession target, ScriptRunner runner, Existing existing) throws SQLException {
        List<ExistingObjects.Found> found = ExistingObjects.find(translation, target, runner);
        if (existing == Existing.SKIP) {
            found.forEach(f -> runner.note(f.script()));
        }
        if (!found.isEmpty() && existing == Existing.DROP) {
            drop(translation, target);
        }
        target.connection().commit();
        if (!found.isEmpty() && existing == Existing.STOP) {
            throw new PlanException(
                    found.stream().map(ExistingObjects.Found::object).collect(Collectors.joining(", "))
                            + " of the target " + (found.size() == 1 ? "exists" : "exist")
                            + " already; nothing was changed",
                    "Use --if-exists skip to load into what is there, --if-exists drop to remove it with its rows, or"
                            + " choose another schema.");
        }
        return existing == Existing.DROP
                ? List.of()
                : found.stream()
                        .filter(f -> f.kind() == ObjectKind.TABLE)
                        .map(f -> f.name().toString())
                        .toList();
    }

    /** Views first, as they stand on tables. */
    private static void drop(Translation translation, EngineSession target) throws SQLException {
        DdlPrinter ddl = target.engine().dialect().ddl();
        List<String> statements = new ArrayList<>();
        translation.code().stream()
                .map(c -> c.target())
                .filter(c -> c.kind() == ObjectKind.VIEW || c.kind() == ObjectKind.SYNONYM)
                .forEach(c -> statements.add(ddl.dropView(c.name())));
        translation.tables().stream()
                .filter(TableMapping::isCreated)
                .forEach(t -> statements.addAll(ddl.dropTable(t.target().name())));
        translation
                .lookups()
                .forEach(l -> statements.addAll(ddl.dropTable(l.table().name())));
        translation.sequences().forEach(s -> statements.add(ddl.dropSequence(s.target())));
        translation.target().schemas().stream()
                .flatMap(s -> s.enumeratedTypes().stream())
                .forEach(t -> statements.add(ddl.dropType(t.name())));
        try (Statement statement = target.connection().createStatement()) {
            for (int i = 0; i < statements.size(); i++) {
                statement.execute(statements.get(i));
                if (i % MOST_DROPS == MOST_DROPS - 1) {
                    target.connection().commit();
                }
            }
        }
    }

    /** The scripts that would run, in their order, as paths below the folder. */
    public static List<String> open(Migration migration, Part part) {
        if (!migration.workspace().journal().isDone(Stage.TRANSLATE)) {
            throw new PlanException("there are no scripts yet", "Run `raftcart translate` (or `raftcart run`) first.");
        }
        List<String> open = new ArrayList<>();
        for (boolean after : new boolean[] {false, true}) {
            if (part.includes(after)) {
                open.addAll(ScriptRunner.open(migration.workspace(), after ? Stage.LOAD : Stage.BUILD, after));
            }
        }
        return open;
    }

    /**
     * What was built.
     *
     * @param routines what came of calling each routine once, where what comes after the rows was built
     */
    public record Result(int scripts, List<String> skippedTables, RoutineCheck.Result routines, double seconds) {}
}
