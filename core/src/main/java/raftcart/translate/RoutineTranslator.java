package raftcart.translate;

import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import raftcart.catalog.CodeObject;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Language;
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
    private final Language from;
    private final Notes notes;
    private final Set<ObjectName> made = new HashSet<>();

    RoutineTranslator(CodeTranslator code, NameMapper names, Language from, Notes notes) {
        this.code = code;
        this.names = names;
        this.from = from;
        this.notes = notes;
    }

    /** What routines of the source may be called. */
    void know(CodeObject object) {
        if (object.kind() == ObjectKind.FUNCTION || object.kind() == ObjectKind.PROCEDURE) {
            code.knowRoutine(object.name().name().replaceAll("\\(.*", ""));
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
            if (object.kind() != ObjectKind.TRIGGER && !result.statements().isEmpty() && !made.add(target(object))) {
                return left(object, "another routine has this name, and other parameters");
            }
            result.notes().forEach(n -> notes.find(n.code(), name, n.detail()));
            notes.outcome(object.kind(), name);
            if (result.statements().isEmpty()) {
                return Optional.empty(); // the triggers that call it have its body
            }
            String text = result.statements().stream().map(ScriptWriter::ended).collect(Collectors.joining("\n\n"));
            return Optional.of(new CodeMapping(name, new CodeObject(object.kind(), target(object), text)));
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

    private Optional<CodeMapping> left(CodeObject object, String reason) {
        String name = object.name().toString();
        notes.byHand(object.kind().fileWord(), name, object.source(), FindingCode.NOT_TRANSLATED, reason);
        notes.notCreated(object.kind(), name);
        return Optional.empty();
    }
}
