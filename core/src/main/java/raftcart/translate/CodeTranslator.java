package raftcart.translate;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import raftcart.catalog.Catalog;
import raftcart.catalog.CodeObject;
import raftcart.catalog.Identity;
import raftcart.catalog.Index;
import raftcart.catalog.Key;
import raftcart.catalog.KeyPart;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Dialect;
import raftcart.dialect.Language;
import raftcart.dialect.Languages;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.write.WriterContext;
import raftcart.error.SqlSyntaxException;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge;
import raftcart.rewrite.ObjectRewriter;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.CreateView;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.translate.ObjectRenamer.Relation;

/** Translates what is a statement of its own: views in the order in which they read each other, synonyms. */
final class CodeTranslator {
    private final Catalog source;
    private final Language from;
    private final Dialect to;
    private final NameMapper names;
    private final Notes notes;
    private final Knowledge knowledge;
    private final ObjectRewriter rewriter;
    private final Map<ObjectName, Relation> relations = new LinkedHashMap<>();
    private final List<CodeMapping> done = new ArrayList<>();
    /** A column that a text reads and that stays on the source. */
    private final Function<String, Optional<String>> leftOut;

    CodeTranslator(
            Catalog source,
            Language from,
            Dialect to,
            NameMapper names,
            Notes notes,
            Function<String, Optional<String>> leftOut) {
        this.leftOut = leftOut;
        this.source = source;
        this.from = from;
        this.to = to;
        this.names = names;
        this.notes = notes;
        this.knowledge = Knowledge.ofTypes(names.types());
        this.rewriter = new ObjectRewriter(from, to.language().quotingAll(), knowledge);
    }

    /** A table whose rows queries may read. */
    void add(TableTranslator table) {
        Map<String, String> columns = new LinkedHashMap<>();
        table.pairs().forEach(p -> columns.put(p.source().name(), p.targetName()));
        Relation relation = new Relation(table.target(), columns);
        relations.put(table.source().name(), relation);
        knowledge.add(
                relation.name(),
                table.pairs().stream().map(TableExpressions::known).toList(),
                keys(table));
        table.pairs().stream()
                .filter(p -> p.source().identity().isPresent())
                .forEach(p -> knowledge.addNumbered(relation.name(), new Name(p.targetName(), true), BigInteger.ONE));
        table.pairs().stream()
                .filter(p -> p.source().generated().isPresent())
                .forEach(p -> knowledge.addComputed(relation.name(), new Name(p.targetName(), true)));
    }

    /** The columns of all keys, the primary key first, with the names of the target. */
    private static List<List<Name>> keys(TableTranslator table) {
        Stream<List<KeyPart>> keys = Stream.concat(
                table.source().primaryKey().stream().map(Key::parts),
                table.source().uniqueKeys().stream().map(Key::parts));
        Stream<List<KeyPart>> indexes = table.source().indexes().stream()
                .filter(i -> i.unique() && i.predicate().isEmpty())
                .map(Index::parts);
        return Stream.concat(keys, indexes)
                .filter(k -> k.stream().noneMatch(p -> p.isExpression() || p.prefixLength() > 0))
                .map(k -> k.stream()
                        .map(p -> new Name(table.targetColumn(p.column()), true))
                        .toList())
                .toList();
    }

    /** The table into which rows go; those that go into one of its parts find their part themselves. */
    private Optional<Relation> receiving(QualifiedName name) {
        Optional<Relation> own = relation(name);
        if (own.isPresent() || !from.has(SqlFeature.PARTITIONS_ARE_TABLES)) {
            return own;
        }
        return source.tables()
                .filter(t -> t.partitioning().stream()
                        .flatMap(p -> p.partitions().stream())
                        .anyMatch(p -> p.name().equalsIgnoreCase(name.last().text())))
                .map(t -> relations.get(t.name()))
                .filter(Objects::nonNull)
                .findFirst();
    }

    /** The same rows for the target, with its names; empty for a table that is not there. */
    Optional<Statement.Insert> renamed(Statement.Insert insert) {
        Optional<Relation> table = receiving(insert.table());
        ObjectRenamer renamer = new ObjectRenamer(from, this::relation, this::sequence);
        Optional<Statement.Insert> renamed = table.map(t -> new Statement.Insert(
                insert.with(),
                insert.mode(),
                t.name(),
                insert.alias(),
                insert.columns().stream().map(c -> t.column(c).orElse(c)).toList(),
                insert.source().map(renamer::query),
                overriding(insert),
                insert.upsert(),
                List.of(),
                insert.span()));
        return renamer.missing().isEmpty() ? renamed : Optional.empty();
    }

    /** Rows that bring numbers for a column which always numbers itself, as exports do, keep them. */
    private String overriding(Statement.Insert insert) {
        boolean numbers = table(insert.table()).stream()
                .flatMap(name -> source.tables().filter(t -> t.name().equals(name)))
                .flatMap(t -> t.columns().stream())
                .filter(c -> c.identity().filter(Identity::always).isPresent())
                .anyMatch(c -> insert.columns().stream().anyMatch(n -> n.text().equalsIgnoreCase(c.name())));
        return numbers && insert.overriding().isEmpty() ? "SYSTEM" : insert.overriding();
    }

    /** The table of the source into which a statement inserts. */
    Optional<ObjectName> table(QualifiedName name) {
        return receiving(name).flatMap(r -> relations.entrySet().stream()
                .filter(e -> e.getValue().equals(r))
                .map(Map.Entry::getKey)
                .findFirst());
    }

    /** A routine of the source that statements may call. */
    void knowRoutine(String name, boolean there) {
        if (there) {
            knowledge.addRoutine(name);
        } else {
            knowledge.removeRoutine(name);
        }
    }

    boolean knowsRoutine(QualifiedName name) {
        return knowledge.isRoutine(name);
    }

    Statement parse(CodeObject object) {
        return ObjectRewriter.parse(object.source(), Languages.inMode(from, object.mode()));
    }

    /** A statement in the source's SQL. */
    String spelled(Statement statement) {
        return from.writer().apply(WriterContext.plain(from)).statement(statement);
    }

    ObjectRewriter rewriter() {
        return rewriter;
    }

    /** What translates objects of this mode. */
    ObjectRewriter rewriter(String mode) {
        return mode.isEmpty() ? rewriter : rewriter.in(Languages.inMode(from, mode));
    }

    /** What was translated, in an order in which it can be made. */
    List<CodeMapping> done() {
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

    private static boolean isView(ObjectKind kind) {
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
        Optional<String> missing = leftOut.apply(object.source());
        if (missing.isPresent()) {
            return Optional.of("it reads " + missing.get() + ", which the plan leaves out");
        }
        try {
            Statement statement = parse(object);
            ObjectRenamer renamer = new ObjectRenamer(from, this::relation, this::sequence);
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
        if (object.kind() == ObjectKind.MATERIALIZED_VIEW && !to.has(SqlFeature.MATERIALIZED_VIEWS)) {
            notes.find(FindingCode.SYNTAX_CHECK, name, "a view, which is computed whenever it is read");
        }
        if (!result.statements().isEmpty()) {
            String text = String.join(";\n\n", result.statements());
            done.add(new CodeMapping(name, new CodeObject(object.kind(), target, text)));
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
            Query renamedQuery = renamer.query(view.query());
            Query query = view.columns().isEmpty() ? renamedQuery.withBody(named(renamedQuery.body())) : renamedQuery;
            boolean stored = view.materialized() && to.has(SqlFeature.MATERIALIZED_VIEWS);
            return Optional.of(new CreateView(
                    target,
                    false,
                    false,
                    stored,
                    false,
                    view.recursive(),
                    view.columns().stream().map(names::viewColumn).toList(),
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

    /** The query with the names of its columns as the target is to have them. */
    private QueryBody named(QueryBody body) {
        if (body instanceof QueryBody.SetOperation set) {
            return new QueryBody.SetOperation(set.kind(), set.all(), named(set.left()), set.right(), set.span());
        }
        return body instanceof QueryBody.Select select
                ? select.withItems(select.items().stream()
                        .map(i -> new QueryBody.Item(i.value(), i.alias().map(names::viewColumn)))
                        .toList())
                : body;
    }

    /** The table or view that a name of the source means. */
    Optional<Relation> relation(QualifiedName name) {
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

    QualifiedName sequence(QualifiedName name) {
        return TableExpressions.exact(
                names.sequence(name.parts().stream().map(this::stored).toList()));
    }

    private String stored(Name name) {
        return name.exact() ? name.text() : from.grammar().names().fold(name.text());
    }
}
