package raftcart.translate;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import raftcart.catalog.Catalog;
import raftcart.catalog.CodeObject;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Dialect;
import raftcart.dialect.Language;
import raftcart.error.SqlSyntaxException;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge;
import raftcart.rewrite.ObjectRewriter;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.CreateView;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.translate.ObjectRenamer.Relation;

/** Translates what is a statement of its own: views in the order in which they read each other, synonyms. */
final class CodeTranslator {
    private final Catalog source;
    private final Language from;
    private final NameMapper names;
    private final Notes notes;
    private final Knowledge knowledge = new Knowledge();
    private final ObjectRewriter rewriter;
    private final Map<ObjectName, Relation> relations = new LinkedHashMap<>();
    private final List<CodeObject> done = new ArrayList<>();

    CodeTranslator(Catalog source, Language from, Dialect to, NameMapper names, Notes notes) {
        this.source = source;
        this.from = from;
        this.names = names;
        this.notes = notes;
        this.rewriter = new ObjectRewriter(from, to.language().quotingAll(), knowledge);
        names.enumerations().forEach(e -> knowledge.addEnumeration(TableExpressions.exact(e.name()), e.values()));
    }

    /** A table whose rows queries may read. */
    void add(TableTranslator table) {
        Map<String, String> columns = new LinkedHashMap<>();
        table.pairs().forEach(p -> columns.put(p.source().name().toLowerCase(Locale.ROOT), p.targetName()));
        Relation relation = new Relation(table.target(), columns);
        relations.put(table.source().name(), relation);
        knowledge.add(
                relation.name(),
                table.pairs().stream().map(TableExpressions::known).toList(),
                List.of());
    }

    ObjectRewriter rewriter() {
        return rewriter;
    }

    /** What was translated, in an order in which it can be made. */
    List<CodeObject> done() {
        return List.copyOf(done);
    }

    void translate() {
        List<CodeObject> open = new ArrayList<>();
        source.schemas().stream()
                .flatMap(s -> s.codeObjects().stream())
                .filter(c -> isView(c.kind()))
                .forEach(open::add);
        boolean progress = true;
        while (progress) {
            progress = open.removeIf(c -> attempt(c).isEmpty());
        }
        for (CodeObject left : open) {
            byHand(left, attempt(left).orElse(""));
        }
    }

    /** True for what is translated here. */
    static boolean isView(ObjectKind kind) {
        return kind == ObjectKind.VIEW || kind == ObjectKind.MATERIALIZED_VIEW || kind == ObjectKind.SYNONYM;
    }

    private void byHand(CodeObject object, String reason) {
        notes.byHand(
                object.kind().fileWord(),
                object.name().toString(),
                object.source(),
                FindingCode.NOT_TRANSLATED,
                reason);
        notes.notCreated(object.kind(), object.name().toString());
    }

    /** Translates an object; the reason where that is not possible, or not yet. */
    private Optional<String> attempt(CodeObject object) {
        try {
            Statement statement = ObjectRewriter.parse(object.source(), from);
            ObjectRenamer renamer = new ObjectRenamer(this::relation, this::sequence);
            Optional<Statement> renamed = renamed(statement, object, renamer);
            if (renamed.isEmpty()) {
                return Optional.of("the text is not that of a " + object.kind().word());
            }
            if (!renamer.missing().isEmpty()) {
                return Optional.of("it reads " + renamer.missing().iterator().next() + ", which is not on the target");
            }
            ObjectRewriter.Result result = rewriter.rewrite(renamed.get());
            if (!result.done()) {
                return Optional.of(result.reason());
            }
            finish(object, renamed.get(), result);
            return Optional.empty();
        } catch (SqlSyntaxException e) {
            return Optional.of(e.getMessage());
        }
    }

    private void finish(CodeObject object, Statement statement, ObjectRewriter.Result result) {
        String name = object.name().toString();
        ObjectName target = names.object(object.name());
        result.notes().forEach(n -> notes.find(n.code(), name, n.detail()));
        if (!result.statements().isEmpty()) {
            done.add(new CodeObject(object.kind(), target, String.join(";\n\n", result.statements())));
        }
        Map<String, String> columns = new LinkedHashMap<>();
        if (statement instanceof CreateView view) {
            knowledge.table(view.name()).ifPresent(t -> t.columns()
                    .forEach((k, c) -> columns.put(k, c.name().text())));
        }
        relations.put(object.name(), new Relation(target, columns));
        names.reserve(target);
        notes.outcome(object.kind(), name);
    }

    private Optional<Statement> renamed(Statement statement, CodeObject object, ObjectRenamer renamer) {
        QualifiedName target = TableExpressions.exact(names.object(object.name()));
        if (statement instanceof CreateView view) {
            Query query = renamer.query(view.query());
            return Optional.of(new CreateView(
                    target,
                    false,
                    false,
                    view.materialized(),
                    false,
                    view.recursive(),
                    view.columns(),
                    query,
                    view.check(),
                    view.leftOut(),
                    view.span()));
        }
        if (statement instanceof DdlStatement.CreateSynonym synonym) {
            QualifiedName meant = relation(synonym.target()).map(Relation::name).orElseGet(() -> {
                renamer.missing().add(synonym.target());
                return synonym.target();
            });
            return Optional.of(new DdlStatement.CreateSynonym(target, meant, false, synonym.common(), synonym.span()));
        }
        return Optional.empty();
    }

    /** The table or view that a name of the source means. */
    private Optional<Relation> relation(QualifiedName name) {
        List<String> parts = name.parts().stream().map(this::stored).toList();
        String own = parts.get(parts.size() - 1);
        String schema = parts.size() > 1 ? parts.get(parts.size() - 2) : source.defaultSchema();
        Relation exact = relations.get(new ObjectName(schema, own));
        if (exact != null) {
            return Optional.of(exact);
        }
        List<Relation> alike = relations.entrySet().stream()
                .filter(e -> e.getKey().name().equalsIgnoreCase(own))
                .filter(e -> parts.size() == 1 || e.getKey().schema().equalsIgnoreCase(schema))
                .map(Map.Entry::getValue)
                .toList();
        return alike.size() == 1 ? Optional.of(alike.get(0)) : Optional.empty();
    }

    private QualifiedName sequence(QualifiedName name) {
        return TableExpressions.exact(
                names.sequence(name.parts().stream().map(this::stored).toList()));
    }

    private String stored(Name name) {
        return name.exact() ? name.text() : from.grammar().names().fold(name.text());
    }
}
