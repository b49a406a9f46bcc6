package raftcart.translate;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import raftcart.catalog.Catalog;
import raftcart.catalog.CodeObject;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.catalog.ReferentialAction;
import raftcart.dialect.Language;
import raftcart.dialect.Languages;
import raftcart.dialect.SqlFeature;
import raftcart.error.SqlSyntaxException;
import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;
import raftcart.rewrite.ObjectRewriter;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;

/** Translates functions, procedures and triggers; one that cannot be said as a whole is left to a person. */
final class RoutineTranslator {
    private static final Tried WAITING = Tried.not("it reads what is not on the target");

    private final CodeTranslator code;
    private final NameMapper names;
    private final Catalog source;
    private final Language from;
    private final Language to;
    private final Notes notes;
    private final Map<ObjectName, Integer> routines = new HashMap<>();
    private final Map<ObjectName, Integer> triggers = new HashMap<>();
    private final List<CodeObject> objects = new ArrayList<>();
    private final Map<CodeObject, Tried> tried = new HashMap<>();

    RoutineTranslator(CodeTranslator code, Catalog source, NameMapper names, Language from, Language to, Notes notes) {
        this.code = code;
        this.source = source;
        this.names = names;
        this.from = from;
        this.to = to;
        this.notes = notes;
    }

    /** What became of an object: what is written, or why nothing is. */
    private record Tried(Optional<Statement> read, ObjectRewriter.Result result) {
        static Tried not(String reason) {
            return new Tried(Optional.empty(), ObjectRewriter.Result.not(reason));
        }
    }

    /** What routines of the source there are, which may call each other. */
    void know(CodeObject object) {
        if (object.kind() == ObjectKind.TRIGGER) {
            triggers.merge(target(object), 1, Integer::sum);
        } else if (isRoutine(object)) {
            objects.add(object);
            routines.merge(target(object), object.kind() == ObjectKind.PACKAGE ? 0 : 1, Integer::sum);
            code.knowRoutine(plain(object), true);
            ofPackage(object).forEach(n -> code.knowRoutine(n, true));
        }
    }

    private static boolean isRoutine(CodeObject object) {
        return object.kind() == ObjectKind.FUNCTION
                || object.kind() == ObjectKind.PROCEDURE
                || object.kind() == ObjectKind.PACKAGE;
    }

    /** The routines of a package; none of another object, of which what it takes is remembered, or where it cannot be read. */
    private List<String> ofPackage(CodeObject object) {
        try {
            Statement read = code.parse(object);
            code.rewriter(object.mode()).know(read);
            return read instanceof CodeStatement.CreatePackage made
                    ? Stream.concat(
                                    made.shown().stream(),
                                    made.routines().stream().map(r -> r.name().last()))
                            .map(Name::text)
                            .toList()
                    : List.of();
        } catch (SqlSyntaxException e) {
            return List.of(); // it is told of where it is translated
        }
    }

    private static String plain(CodeObject object) {
        return object.name().name().replaceAll("\\(.*", "");
    }

    /**
     * Translates the routines as far as they can be: one that calls another which is left to a person is so, too.
     *
     * @param all false as long as views are missing that they may read
     */
    void attempt(boolean all) {
        boolean changed = true;
        while (changed) {
            changed = false;
            for (CodeObject object : objects) {
                Tried before = tried.get(object);
                boolean open = before == null || before.result().done();
                Tried now = open ? attempt(object) : before;
                boolean waits = now == WAITING && !all;
                if (open && !waits) {
                    tried.put(object, now == WAITING ? Tried.not(missing(object)) : now);
                    boolean lost = !tried.get(object).result().done();
                    code.knowRoutine(plain(object), !lost);
                    changed |= lost;
                }
            }
        }
    }

    private Tried attempt(CodeObject object) {
        try {
            Statement statement = code.parse(object);
            if (statement instanceof Statement.NotTranslated not && !not.what().contains(":")) {
                return Tried.not(object.kind().indefinite() + ", which is not translated yet");
            }
            RoutineRenamer renamer =
                    new RoutineRenamer(Languages.inMode(from, object.mode()), code::relation, code::sequence);
            Statement renamed = named(renamer.statement(statement), object);
            if (renamer.hidesTable()) {
                return Tried.not("a temporary table that hides one of its name");
            }
            if (absent(renamer, object).isPresent()) {
                return WAITING;
            }
            Optional<String> called = called(statement);
            if (called.isPresent()) {
                return Tried.not("it calls " + called.get() + ", which is not translated");
            }
            ObjectRewriter.Result result = code.rewriter(object.mode()).rewrite(renamed);
            boolean overloaded = isRoutine(object)
                    && result.done()
                    && !result.statements().isEmpty()
                    && routines.getOrDefault(target(object), 0) > 1
                    && !to.has(SqlFeature.ROUTINES_ARE_OVERLOADED);
            return overloaded
                    ? Tried.not("several routines have this name, which differ in their parameters")
                    : new Tried(Optional.of(statement), result);
        } catch (SqlSyntaxException e) {
            int separators = (int) object.source().chars().filter(c -> c == ';').count();
            Map<Outcome, Integer> shares = Map.of(Outcome.BY_HAND, Math.max(1, separators));
            return new Tried(Optional.empty(), new ObjectRewriter.Result(List.of(), e.getMessage(), List.of(), shares));
        }
    }

    /** A procedure that is called and that is left to a person. */
    private Optional<String> called(Statement statement) {
        List<String> missing = new ArrayList<>();
        StatementSearch.anyStatement(List.of(statement), s -> {
            if (s instanceof Statement.CallProcedure call
                    && !(statement instanceof CodeStatement.CreateTrigger)
                    && !code.knowsRoutine(call.name())) {
                missing.add(call.name().toString());
            }
            return false;
        });
        return missing.stream().findFirst();
    }

    /** What a routine reads that is not on the target. */
    private String missing(CodeObject object) {
        RoutineRenamer renamer =
                new RoutineRenamer(Languages.inMode(from, object.mode()), code::relation, code::sequence);
        renamer.statement(code.parse(object));
        return "it reads " + absent(renamer, object).orElseThrow() + ", which is not on the target";
    }

    /** What a routine reads that is neither a table nor a routine that gives rows. */
    private Optional<QualifiedName> absent(RoutineRenamer renamer, CodeObject object) {
        ObjectRewriter rewriter = code.rewriter(object.mode());
        return renamer.missing().stream().filter(m -> !rewriter.givesRows(m)).findFirst();
    }

    Optional<CodeMapping> translate(CodeObject object) {
        Tried done = isRoutine(object) ? tried.get(object) : attempt(object);
        if (!done.result().done()) {
            return left(
                    object,
                    done == WAITING ? missing(object) : done.result().reason(),
                    done.result().shares());
        }
        String name = object.name().toString();
        if (done.read().orElseThrow() instanceof CodeStatement.CreateTrigger trigger) {
            sayCascades(trigger, name);
        }
        done.result().notes().forEach(n -> notes.find(n.code(), name, n.detail()));
        notes.outcome(object.kind(), name, done.result().shares());
        if (done.result().statements().isEmpty()) {
            return Optional.empty(); // the triggers that call it have its body
        }
        String text =
                done.result().statements().stream().map(ScriptWriter::ended).collect(Collectors.joining("\n\n"));
        return Optional.of(new CodeMapping(name, new CodeObject(object.kind(), label(object), text)));
    }

    /** What an event does becomes a procedure; when it is called is for a person to set up. */
    Optional<CodeMapping> event(CodeObject object) {
        Optional<EventSchedule> read = EventSchedule.of(
                object.source(), Languages.inMode(from, object.mode()).grammar().lexical());
        if (read.isEmpty()) {
            return left(object, "an event that cannot be read", Map.of());
        }
        EventSchedule event = read.get();
        ObjectName own = target(object);
        boolean taken = routines.containsKey(own);
        CodeObject procedure = new CodeObject(
                ObjectKind.PROCEDURE,
                taken ? new ObjectName(object.name().schema(), object.name().name() + "_event") : object.name(),
                "CREATE PROCEDURE event_() " + event.body(),
                object.mode());
        Tried done = attempt(procedure);
        if (!done.result().done()) {
            return left(
                    object,
                    "an event, whose body is not translated: "
                            + (done == WAITING
                                    ? missing(procedure)
                                    : done.result().reason()),
                    done.result().shares());
        }
        String name = object.name().toString();
        done.result().notes().forEach(n -> notes.find(n.code(), name, n.detail()));
        notes.find(
                FindingCode.SYNTAX_CHECK,
                name,
                "an event: the procedure " + target(procedure) + " does what it does; have it called "
                        + event.schedule()
                        + event.cron().map(c -> ", by cron: " + c).orElse(", which no line of cron says")
                        + (event.enabled() ? "" : "; it is disabled on the source"));
        notes.outcome(object.kind(), name, done.result().shares());
        String text =
                done.result().statements().stream().map(ScriptWriter::ended).collect(Collectors.joining("\n\n"));
        return Optional.of(new CodeMapping(name, new CodeObject(ObjectKind.PROCEDURE, target(procedure), text)));
    }

    private Statement named(Statement statement, CodeObject object) {
        QualifiedName target = TableExpressions.exact(target(object));
        if (statement instanceof CodeStatement.CreateRoutine r) {
            return new CodeStatement.CreateRoutine(
                    target, true, r.parameters(), r.returns(), r.rows(), r.traits(), r.body(), r.span());
        }
        if (statement instanceof CodeStatement.CreatePackage p) {
            return new CodeStatement.CreatePackage(
                    target, true, p.body(), p.declarations(), p.routines(), p.shown(), p.first(), p.span());
        }
        return statement instanceof CodeStatement.CreateTrigger t
                ? new CodeStatement.CreateTrigger(
                        target,
                        t.replace(),
                        t.timing(),
                        t.events(),
                        t.table(),
                        t.eachRow(),
                        t.rows(),
                        t.when(),
                        t.follows(),
                        t.precedes(),
                        t.columnsFirst(),
                        t.body(),
                        t.span())
                : statement;
    }

    /** What the routine is called on the target; the name of an overloaded one has its parameters behind it. */
    private ObjectName target(CodeObject object) {
        String own = object.name().name();
        int bracket = own.indexOf('(');
        int table = own.indexOf(" on ");
        int end = bracket > 0 ? bracket : table > 0 && object.kind() == ObjectKind.TRIGGER ? table : own.length();
        return names.object(new ObjectName(object.name().schema(), own.substring(0, end)));
    }

    /** Says where foreign keys change rows of the table, of which the triggers of only one engine know. */
    private void sayCascades(CodeStatement.CreateTrigger trigger, String name) {
        boolean before = from.has(SqlFeature.TRIGGERS_SEE_CASCADES);
        boolean after = to.has(SqlFeature.TRIGGERS_SEE_CASCADES);
        boolean cascades = source.tables()
                .filter(t ->
                        t.name().name().equalsIgnoreCase(trigger.table().last().text()))
                .flatMap(t -> t.foreignKeys().stream())
                .anyMatch(k -> changes(k.onDelete()) || changes(k.onUpdate()));
        boolean watches = trigger.events().stream().anyMatch(e -> e.kind() != CodeStatement.Event.Kind.INSERT);
        if (before != after && cascades && watches) {
            notes.find(
                    FindingCode.SYNTAX_CHECK,
                    name,
                    after
                            ? "it fires for rows that a foreign key changes or removes, too, on the source it does not"
                            : "it does not fire for rows that a foreign key changes or removes, on the source it does");
        }
    }

    private static boolean changes(ReferentialAction action) {
        return action != ReferentialAction.NO_ACTION && action != ReferentialAction.RESTRICT;
    }

    /** The name under which it is told of; triggers of one name on several tables are told apart by these. */
    private ObjectName label(CodeObject object) {
        ObjectName own = target(object);
        boolean several = object.kind() == ObjectKind.TRIGGER && triggers.getOrDefault(own, 0) > 1;
        return several ? new ObjectName(own.schema(), object.name().name()) : own;
    }

    private Optional<CodeMapping> left(CodeObject object, String reason, Map<Outcome, Integer> shares) {
        String name = object.name().toString();
        notes.byHand(object.kind().fileWord(), name, object.source(), FindingCode.NOT_TRANSLATED, reason);
        notes.notCreated(object.kind(), name, shares);
        return Optional.empty();
    }
}
