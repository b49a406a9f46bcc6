package raftcart.migration;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import raftcart.catalog.Catalog;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Schema;
import raftcart.dialect.Languages;
import raftcart.engine.EngineSession;
import raftcart.engine.ResultRows;
import raftcart.engine.RoutineCall;
import raftcart.error.PlanException;
import raftcart.error.SqlSyntaxException;
import raftcart.error.VerifyException;
import raftcart.plan.CallCase;
import raftcart.translate.PlannedStatements;
import raftcart.translate.TableMapping;
import raftcart.translate.Translation;
import raftcart.translate.Translator;
import raftcart.verify.TableVerdict;
import raftcart.verify.Verifier;
import raftcart.verify.calls.CallArguments;
import raftcart.verify.calls.CallDifferences;
import raftcart.verify.calls.CallResult;
import raftcart.verify.calls.CallVerdict;
import raftcart.verify.calls.CallVerdict.Outcome;
import raftcart.verify.calls.RoutineEffects;
import raftcart.verify.calls.RoutineFinder;
import raftcart.verify.calls.RoutineFinder.Found;
import raftcart.verify.calls.SourceCode;

/** Runs single cases on both sides. */
final class CaseRunner {
    private static final Pattern LASTING =
            Pattern.compile("(?i)ENGINE\\s*=?\\s*(MyISAM|Aria|MEMORY|CSV|ARCHIVE|MERGE|BLACKHOLE)");

    private final Translation translation;
    private final EngineSession source;
    private final EngineSession target;
    private final int seconds;
    private final PlannedStatements statements;
    private final SourceCode code;
    private final RoutineFinder onSource;
    private final RoutineFinder onTarget;

    CaseRunner(Catalog catalog, Translator.Planned planned, EngineSession source, EngineSession target, int seconds)
            throws SQLException {
        this.translation = planned.translation();
        this.source = source;
        this.target = target;
        this.seconds = seconds;
        this.statements = planned.statements();
        this.code = new SourceCode(catalog, Languages.named(catalog.dialect()).orElseThrow());
        this.onSource = RoutineFinder.in(source, schemas(catalog));
        this.onTarget = RoutineFinder.in(target, RoutineCheck.schemas(translation));
    }

    private static Set<String> schemas(Catalog catalog) {
        Set<String> schemas =
                catalog.schemas().stream().map(Schema::name).collect(Collectors.toCollection(HashSet::new));
        schemas.add(catalog.defaultSchema());
        return schemas;
    }

    /** Why a case is not run. */
    private static final class NotCalled extends Exception {
        private static final long serialVersionUID = 1L;

        NotCalled(String reason) {
            super(reason);
        }
    }

    CallVerdict run(CallCase one) {
        long start = System.nanoTime();
        try {
            return one.routine().isPresent() ? called(one, start) : done(one, start);
        } catch (NotCalled | PlanException e) {
            return verdict(one, Outcome.NOT_CALLED, List.of(e.getMessage()), List.of(), start);
        } catch (SQLException e) {
            throw new VerifyException(
                    "the case '" + one.title() + "' could not be carried out: " + e.getMessage(),
                    "Its changes were not committed. Look whether both servers are up, then run it again.",
                    e);
        }
    }

    private CallVerdict called(CallCase one, long start) throws NotCalled, SQLException {
        String name = one.routine().orElseThrow();
        Found own = single(onSource.named(name, code), "the source has no routine " + name);
        List<Optional<String>> values = CallArguments.inOrder(own.routine(), one.arguments());
        Optional<ObjectName> mapped = translation.code().stream()
                .filter(c -> c.source().replaceFirst("\\(.*", "").equals(String.join(".", own.path())))
                .map(c -> new ObjectName(
                        c.target().name().schema(), c.target().name().name().replaceFirst("\\(.*", "")))
                .findFirst();
        Found other = single(
                onTarget.insteadOf(own, mapped),
                "the target has no routine " + own.routine().name().name());
        if (other.routine().inputs().size() != values.size()) {
            throw new NotCalled("it takes other parameters on the target: "
                    + other.routine().shown());
        }
        RoutineCall first = CallArguments.call(own, own.routine(), values, seconds);
        RoutineCall second = CallArguments.call(other, own.routine(), values, seconds);
        RoutineEffects.Effects effects = RoutineEffects.of(
                read(one.before()), Optional.of(own.routine().name().name()), code);
        return compared(one, effects, s -> s.call(first), s -> s.call(second), start);
    }

    private static Found single(List<Found> found, String none) throws NotCalled {
        if (found.size() == 1) {
            return found.get(0);
        }
        throw new NotCalled(
                found.isEmpty()
                        ? none
                        : "several routines have this name: "
                                + found.stream().map(f -> f.routine().shown()).collect(Collectors.joining("; ")));
    }

    private CallVerdict done(CallCase one, long start) throws NotCalled, SQLException {
        String text = one.statement().orElseThrow();
        List<raftcart.sql.tree.Statement> all = new ArrayList<>(read(one.before()));
        all.addAll(read(List.of(text)));
        List<String> translated = translated(text);
        RoutineEffects.Effects effects = RoutineEffects.of(all, Optional.empty(), code);
        return compared(one, effects, s -> run(s, List.of(text)), s -> run(s, translated), start);
    }

    private List<raftcart.sql.tree.Statement> read(List<String> texts) throws NotCalled {
        List<raftcart.sql.tree.Statement> all = new ArrayList<>();
        for (String text : texts) {
            try {
                raftcart.sql.tree.Statement statement = statements.parse(text);
                if (!(statement instanceof raftcart.sql.tree.Statement.Dml)) {
                    throw new NotCalled("`" + text + "` is no statement that reads or changes rows");
                }
                all.add(statement);
            } catch (SqlSyntaxException e) {
                throw new NotCalled("`" + text + "` cannot be read: " + e.getMessage());
            }
        }
        return all;
    }

    private List<String> translated(String text) throws NotCalled {
        var result = statements.translate(text);
        if (!result.done()) {
            throw new NotCalled("`" + text + "` is not translated: " + result.reason());
        }
        return result.statements();
    }

    private List<ResultRows> run(EngineSession session, List<String> texts) throws SQLException {
        List<ResultRows> results = new ArrayList<>();
        try (Statement statement = session.connection().createStatement()) {
            statement.setQueryTimeout(seconds);
            for (String text : texts) {
                if (statement.execute(text)) {
                    try (ResultSet rows = statement.getResultSet()) {
                        results.add(ResultRows.read(rows));
                    }
                }
            }
        }
        return results;
    }

    private CallVerdict compared(
            CallCase one,
            RoutineEffects.Effects effects,
            CallResult.Work onSource,
            CallResult.Work onTarget,
            long start)
            throws NotCalled, SQLException {
        if (effects.ends().isPresent()) {
            throw new NotCalled("its changes could not be taken back, as there is "
                    + effects.ends().get() + " in what it does");
        }
        refuseLasting(effects);
        List<TableMapping> tables = tables(one, effects);
        List<String> names =
                tables.stream().map(t -> t.source().name().toString()).toList();
        List<List<String>> before = new ArrayList<>();
        for (String text : one.before()) {
            before.add(translated(text));
        }
        List<String> differences;
        List<TableVerdict> differing = List.of();
        boolean succeeded;
        try {
            prepare(source, one.before());
            prepare(target, before.stream().flatMap(List::stream).toList());
            CallResult first = CallResult.of(source, onSource);
            CallResult second = CallResult.of(target, onTarget);
            differences = new ArrayList<>(CallDifferences.between(first, second, one.anyOrder()));
            succeeded = first.failure().isEmpty() && second.failure().isEmpty();
            if (succeeded) {
                differing = differing(tables);
            }
        } finally {
            source.connection().rollback();
            target.connection().rollback();
        }
        differences.addAll(effects(differing, tables));
        Outcome outcome = differences.isEmpty() ? Outcome.SAME : Outcome.DIFFERS;
        return verdict(one, outcome, differences, succeeded ? names : List.of(), start);
    }

    /** Some tables know no transactions, so that changes in them stay whatever happens. */
    private void refuseLasting(RoutineEffects.Effects effects) throws NotCalled {
        for (TableMapping table : translation.tables()) {
            boolean changed =
                    effects.tables().contains(table.source().name().name().toLowerCase(Locale.ROOT));
            if (changed
                    && table.source().physical().stream()
                            .anyMatch(p -> LASTING.matcher(p).matches())) {
                throw new NotCalled("its changes could not be taken back, as "
                        + table.source().name() + " is a table without transactions");
            }
        }
    }

    private List<TableVerdict> differing(List<TableMapping> tables) {
        return Verifier.withinTransactions(source, target, tables).stream()
                .filter(v -> !v.same())
                .toList();
    }

    /** What differs afterwards; without the changes, which are taken back, it may have differed as well. */
    private List<String> effects(List<TableVerdict> afterwards, List<TableMapping> tables) throws SQLException {
        List<TableMapping> again = tables.stream()
                .filter(t -> afterwards.stream()
                        .anyMatch(v -> v.table().equals(t.source().name().toString())))
                .toList();
        List<String> before = differing(again).stream().map(TableVerdict::table).toList();
        source.connection().rollback();
        target.connection().rollback();
        return afterwards.stream()
                .map(v -> effect(v) + (before.contains(v.table()) ? "; it differs before the call, too" : ""))
                .toList();
    }

    private void prepare(EngineSession session, List<String> texts) throws NotCalled {
        CallResult result = CallResult.of(session, s -> run(s, texts));
        if (result.failure().isPresent()) {
            throw new NotCalled("what comes before fails on the " + (session == source ? "source" : "target") + ": "
                    + result.failure().get().message());
        }
    }

    /** The tables whose rows are compared: those that the case names, or those that it changes. */
    private List<TableMapping> tables(CallCase one, RoutineEffects.Effects effects) throws NotCalled {
        Set<String> wanted = new LinkedHashSet<>();
        one.tables()
                .ifPresentOrElse(
                        named -> named.forEach(t -> wanted.add(t.toLowerCase(Locale.ROOT))),
                        () -> wanted.addAll(effects.tables()));
        List<TableMapping> tables = new ArrayList<>();
        for (String name : wanted) {
            List<TableMapping> meant = translation.tables().stream()
                    .filter(t -> t.source().name().name().equalsIgnoreCase(name)
                            || t.source().name().toString().equalsIgnoreCase(name))
                    .toList();
            if (meant.isEmpty() && one.tables().isPresent()) {
                throw new NotCalled("the plan moves no table " + name);
            }
            meant.stream().filter(TableMapping::isLoaded).forEach(t -> tables.add(without(t, one.ignored())));
        }
        return tables;
    }

    private static TableMapping without(TableMapping table, List<String> ignored) {
        String own = table.source().name().name();
        return new TableMapping(
                table.source(),
                table.target(),
                table.columns().stream()
                        .filter(c -> ignored.stream()
                                .noneMatch(i -> i.equalsIgnoreCase(
                                        own + "." + c.source().name())))
                        .toList(),
                table.rows(),
                table.moves());
    }

    private static String effect(TableVerdict verdict) {
        String table = "afterwards " + verdict.table();
        if (!verdict.problem().isEmpty()) {
            return table + " could not be compared: " + verdict.problem();
        }
        if (verdict.sourceRows() != verdict.targetRows()) {
            return table + " has " + verdict.sourceRows() + " rows on the source, " + verdict.targetRows()
                    + " on the target";
        }
        return verdict.differingColumns().isEmpty()
                ? table + " has other rows, though each column has the same values"
                : table + " differs in " + String.join(", ", verdict.differingColumns())
                        + " (what holds the time of the call, or a counter, can be left out with `ignore`)";
    }

    private static CallVerdict verdict(
            CallCase one, Outcome outcome, List<String> details, List<String> tables, long start) {
        return new CallVerdict(one.title(), outcome, details, tables, (System.nanoTime() - start) / 1e9);
    }
}
