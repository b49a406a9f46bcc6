package raftcart.translate;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.catalog.Catalog;
import raftcart.catalog.CodeObject;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.catalog.ReferentialAction;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.error.SqlSyntaxException;
import raftcart.finding.FindingCode;
import raftcart.rewrite.ObjectRewriter;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;

/** Translates functions, procedures and triggers; one that cannot be said as a whole is left to a person. */
final class RoutineTranslator {
    private final CodeTranslator code;
    private final NameMapper names;
    private final Catalog source;
    private final Language from;
    private final Language to;
    private final Notes notes;
    private final Map<ObjectName, Integer> routines = new HashMap<>();
    private final Map<ObjectName, Integer> triggers = new HashMap<>();

    RoutineTranslator(CodeTranslator code, Catalog source, NameMapper names, Language from, Language to, Notes notes) {
        this.code = code;
        this.source = source;
        this.names = names;
        this.from = from;
        this.to = to;
        this.notes = notes;
    }

    /** What routines of the source may be called. */
    void know(CodeObject object) {
        if (object.kind() == ObjectKind.FUNCTION || object.kind() == ObjectKind.PROCEDURE) {
            code.knowRoutine(object.name().name().replaceAll("\\(.*", ""));
            routines.merge(target(object), 1, Integer::sum);
        } else if (object.kind() == ObjectKind.TRIGGER) {
            triggers.merge(target(object), 1, Integer::sum);
        }
    }

    Optional<CodeMapping> translate(CodeObject object) {
        String name = object.name().toString();
        try {
            Statement statement = code.parse(object.source());
            if (statement instanceof Statement.NotTranslated not && !not.what().contains(":")) {
                return left(object, object.kind().indefinite() + ", which is not translated yet");
            }
            RoutineRenamer renamer = new RoutineRenamer(from, code::relation, code::sequence);
            Statement renamed = named(renamer.statement(statement), object);
            if (!renamer.missing().isEmpty()) {
                QualifiedName missing = renamer.missing().iterator().next();
                return left(object, "it reads " + missing + ", which is not on the target");
            }
            ObjectRewriter.Result result = code.rewriter().rewrite(renamed);
            if (!result.done()) {
                return left(object, result.reason());
            }
            boolean overloaded = object.kind() != ObjectKind.TRIGGER
                    && routines.getOrDefault(target(object), 0) > 1
                    && !result.statements().isEmpty()
                    && !to.has(SqlFeature.ROUTINES_ARE_OVERLOADED);
            if (overloaded) {
                return left(object, "several routines have this name, which differ in their parameters");
            }
            if (statement instanceof CodeStatement.CreateTrigger trigger) {
                sayCascades(trigger, name);
            }
            result.notes().forEach(n -> notes.find(n.code(), name, n.detail()));
            notes.outcome(object.kind(), name);
            if (result.statements().isEmpty()) {
                return Optional.empty(); // the triggers that call it have its body
            }
            String text = result.statements().stream().map(ScriptWriter::ended).collect(Collectors.joining("\n\n"));
            return Optional.of(new CodeMapping(name, new CodeObject(object.kind(), label(object), text)));
        } catch (SqlSyntaxException e) {
            return left(object, e.getMessage());
        }
    }

    private Statement named(Statement statement, CodeObject object) {
        QualifiedName target = TableExpressions.exact(target(object));
        if (statement instanceof CodeStatement.CreateRoutine r) {
            return new CodeStatement.CreateRoutine(
                    target, true, r.parameters(), r.returns(), r.rows(), r.traits(), r.body(), r.span());
        }
        return statement instanceof CodeStatement.CreateTrigger t
                ? new CodeStatement.CreateTrigger(
                        target,
                        t.replace(),
                        t.timing(),
                        t.events(),
                        t.table(),
                        t.eachRow(),
                        t.when(),
                        t.follows(),
                        t.precedes(),
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

    private Optional<CodeMapping> left(CodeObject object, String reason) {
        String name = object.name().toString();
        notes.byHand(object.kind().fileWord(), name, object.source(), FindingCode.NOT_TRANSLATED, reason);
        notes.notCreated(object.kind(), name);
        return Optional.empty();
    }
}
