package raftcart.rewrite;

import java.math.BigInteger;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SequenceRange;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.CreateView.CheckOption;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TableRef;
import raftcart.type.LogicalType;

/** Adapts statements that make, change and remove objects other than whole tables. */
final class StructureAdapter {
    private final QueryAdapter adapter;

    StructureAdapter(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    private boolean has(SqlFeature feature) {
        return adapter.to.has(feature);
    }

    /** True where the target can say IF EXISTS or IF NOT EXISTS; otherwise the loss is noted. */
    boolean canSayIf(SqlFeature feature, Statement statement) {
        if (!has(feature)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    statement.span(),
                    "without IF " + (feature.name().contains("NOT") ? "NOT " : "") + "EXISTS the statement can fail");
        }
        return has(feature);
    }

    void leftOut(List<String> clauses, Statement statement) {
        clauses.forEach(c -> adapter.note(FindingCode.PHYSICAL_CLAUSES, statement.span(), c));
    }

    List<Statement> adapt(DdlStatement statement) {
        if (statement instanceof DdlStatement.AlterTable alter) {
            return new AlterAdapter(adapter, this).alter(alter);
        }
        if (statement instanceof DdlStatement.CreateIndex index) {
            return new IndexAdapter(adapter, this).index(index);
        }
        if (statement instanceof DdlStatement.CreateView view) {
            return new ViewAdapter(adapter, this).view(view);
        }
        if (statement instanceof DdlStatement.CreateSequence sequence) {
            return sequence(sequence);
        }
        if (statement instanceof DdlStatement.CreateSchema schema) {
            return schema(schema);
        }
        return further(statement);
    }

    private List<Statement> sequence(DdlStatement.CreateSequence sequence) {
        Optional<List<Statement>> ofColumn = new ColumnSequences(adapter).altered(sequence);
        if (ofColumn.isPresent()) {
            return ofColumn.get();
        }
        if (!sequence.alter()) {
            adapter.knowledge.addSequence(sequence.name());
        }
        if (!adapter.same() && !has(SqlFeature.SEQUENCES) && has(SqlFeature.IDENTITY)) {
            return ofColumn(sequence);
        }
        leftOut(sequence.leftOut(), sequence);
        if (sequence.alter() && isUnchanged(sequence)) {
            sequence.type()
                    .ifPresent(t -> adapter.note(
                            FindingCode.SYNTAX_CHECK,
                            sequence.span(),
                            "the numbers keep their type; on the source it is " + t.name() + " now"));
            return List.of();
        }
        boolean ifNotExists = sequence.ifNotExists() && canSayIf(SqlFeature.IF_NOT_EXISTS, sequence);
        return List.of(new DdlStatement.CreateSequence(
                sequence.name(),
                sequence.alter(),
                ifNotExists,
                sequence.type(),
                cached(
                        sequence.alter()
                                ? sequence.options().portable()
                                : range(sequence).on(adapter.to, sequence.options()),
                        adapter,
                        sequence.span()),
                sequence.restart(),
                List.of(),
                sequence.span()));
    }

    /** Numbers kept ahead for all sessions are not to be kept, and lost, by each one. */
    static IdentityOptions cached(IdentityOptions options, ExprAdapter adapter, Span span) {
        boolean lost =
                options.cache().filter(c -> c.compareTo(BigInteger.ONE) > 0).isPresent()
                        && adapter.to.has(SqlFeature.SESSIONS_KEEP_NUMBERS)
                        && !adapter.from.has(SqlFeature.SESSIONS_KEEP_NUMBERS);
        if (lost) {
            adapter.note(
                    FindingCode.SYNTAX_ADAPTED,
                    span,
                    "no numbers ahead: each session would keep, and lose, "
                            + options.cache().get() + " of them");
        }
        return lost ? options.withoutCache() : options;
    }

    private SequenceRange range(DdlStatement.CreateSequence sequence) {
        return SequenceRange.of(adapter.from, sequence.type(), sequence.options());
    }

    private List<Statement> schema(DdlStatement.CreateSchema schema) {
        if (schema.database() && isApart()) {
            throw new Untranslatable("a database; make it and connect to it");
        }
        leftOut(schema.leftOut(), schema);
        if (!adapter.same() && schema.name().text().equalsIgnoreCase(adapter.from.defaultSchema())) {
            adapter.note(
                    FindingCode.CLIENT_COMMAND,
                    schema.span(),
                    "the schema " + schema.name().text() + " is there");
            return List.of();
        }
        boolean ifNotExists = schema.ifNotExists() && canSayIf(SqlFeature.IF_NOT_EXISTS, schema);
        return List.of(
                new DdlStatement.CreateSchema(schema.name(), ifNotExists, schema.database(), List.of(), schema.span()));
    }

    /** The sequence of a column, by its name in PostgreSQL's dumps, where columns number themselves. */
    private List<Statement> ofColumn(DdlStatement.CreateSequence sequence) {
        for (Knowledge.KnownTable.Named table : adapter.knowledge.tables()) {
            String rest = rest(sequence.name().last().text(), table.name());
            if (table.table().columns().containsKey(rest)) {
                adapter.note(
                        FindingCode.SYNTAX_ADAPTED, sequence.span(), "the numbers of " + table.name() + "." + rest);
                return restarted(sequence, table.name());
            }
        }
        boolean ofSome = !sequence.alter()
                && sequence.name()
                        .last()
                        .text()
                        .toLowerCase(java.util.Locale.ROOT)
                        .endsWith("_seq");
        if (ofSome) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    sequence.span(),
                    "without the sequence " + sequence.name() + "; a column that takes its numbers is numbered itself");
            return List.of();
        }
        throw new Untranslatable("a sequence");
    }

    private static String rest(String sequence, String table) {
        String name = sequence.toLowerCase(java.util.Locale.ROOT);
        String start = table + "_";
        boolean fits = name.startsWith(start) && name.endsWith("_seq") && name.length() > start.length() + 4;
        return fits ? name.substring(start.length(), name.length() - 4) : "";
    }

    private List<Statement> restarted(DdlStatement.CreateSequence sequence, String table) {
        if (sequence.restart().isEmpty() || !has(SqlFeature.IDENTITY_RESTARTS)) {
            return List.of();
        }
        QualifiedName name = QualifiedName.of(table);
        return adapter.knowledge
                .numbered(name)
                .<List<Statement>>map(n -> List.of(new DdlStatement.AlterTable(
                        n.table(),
                        false,
                        List.of(new AlterAction.RestartIdentity(
                                n.column(),
                                java.math.BigInteger.valueOf(sequence.restart().get()))),
                        sequence.span())))
                .orElse(List.of());
    }

    /** True where a database is more than a schema to both sides. */
    private boolean isApart() {
        return !adapter.same()
                && !adapter.from.has(SqlFeature.DATABASES_ARE_SCHEMAS)
                && !has(SqlFeature.DATABASES_ARE_SCHEMAS);
    }

    /** True where an ALTER SEQUENCE says nothing that the target could take over. */
    private boolean isUnchanged(DdlStatement.CreateSequence sequence) {
        IdentityOptions o = sequence.options();
        return !adapter.same()
                && sequence.restart().isEmpty()
                && o.start().isEmpty()
                && o.increment().isEmpty()
                && o.min().isEmpty()
                && o.max().isEmpty()
                && o.cache().isEmpty()
                && !o.cycle();
    }

    private List<Statement> further(DdlStatement statement) {
        if (statement instanceof DdlStatement.CreateType type) {
            return type(type);
        }
        if (statement instanceof DdlStatement.CreateDomain domain) {
            return domain(domain);
        }
        if (statement instanceof DdlStatement.DomainCheck check) {
            return List.of(domainCheck(check));
        }
        if (statement instanceof DdlStatement.CreateSynonym synonym) {
            return synonym(synonym);
        }
        if (statement instanceof DdlStatement.Drop drop) {
            return drop(drop);
        }
        if (statement instanceof DdlStatement.Comment comment && !adapter.same()) {
            return comment(comment);
        }
        if (statement instanceof DdlStatement.Grant grant && !adapter.same()) {
            return new GrantAdapter(adapter).adapt(grant);
        }
        if (statement instanceof DdlStatement.RoleMembers members && !adapter.same()) {
            return new GrantAdapter(adapter).adapt(members);
        }
        if (statement instanceof DdlStatement.CreateRole role
                && role.ifNotExists()
                && !canSayIf(SqlFeature.ROLE_IF_NOT_EXISTS, role)) {
            return List.of(new DdlStatement.CreateRole(role.name(), false, role.span()));
        }
        if (statement instanceof DdlStatement.CreatePartition part && !has(SqlFeature.PARTITIONS_ARE_TABLES)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    part.span(),
                    "the partition " + part.name() + " is left out; its rows belong to " + part.table());
            return List.of();
        }
        return List.of(statement);
    }

    private List<Statement> comment(DdlStatement.Comment comment) {
        boolean table = comment.kind().equals("TABLE") && has(SqlFeature.INLINE_COMMENTS);
        boolean usual = comment.kind().matches("TABLE|COLUMN|VIEW") && has(SqlFeature.COMMENT_ON);
        Optional<List<Statement>> ofColumn = commentOfColumn(comment);
        if (ofColumn.isPresent()) {
            return ofColumn.get();
        }
        if (!table && !usual && !has(SqlFeature.COMMENT_ON_ALL)) {
            adapter.note(FindingCode.PHYSICAL_CLAUSES, comment.span(), "the comment on " + comment.name());
            return List.of();
        }
        boolean asTable = comment.kind().equals("VIEW") && has(SqlFeature.VIEWS_COMMENT_AS_TABLES);
        return List.of(
                asTable ? new DdlStatement.Comment("TABLE", comment.name(), comment.text(), comment.span()) : comment);
    }

    /** A comment of a column that is known, as a change of the column where the target wants that. */
    private Optional<List<Statement>> commentOfColumn(DdlStatement.Comment comment) {
        boolean inline = comment.kind().equals("COLUMN")
                && comment.name().parts().size() > 1
                && has(SqlFeature.INLINE_COMMENTS)
                && !has(SqlFeature.COMMENT_ON);
        if (!inline) {
            return Optional.empty();
        }
        QualifiedName table = new QualifiedName(comment.name().qualifier());
        return adapter.knowledge
                .definitions()
                .of(table, comment.name().last())
                .filter(d -> d.type().isPresent())
                .map(d -> new AlterAdapter(adapter, this)
                        .alter(new DdlStatement.AlterTable(
                                table,
                                false,
                                List.of(new AlterAction.ChangeColumn(
                                        d.name(),
                                        d.alone()
                                                .withComment(Optional.of(
                                                        comment.text().orElse(""))))),
                                comment.span())));
    }

    private List<Statement> type(DdlStatement.CreateType type) {
        if (!type.values().isEmpty()) {
            adapter.knowledge.addEnumeration(type.name(), type.values());
            if (!adapter.same()) {
                adapter.note(
                        FindingCode.ENUMERATION_AS_TYPE, type.span(), type.name() + ": its columns get a check each");
                return List.of();
            }
        }
        boolean row = !type.fields().isEmpty() && !adapter.same() && has(SqlFeature.ROW_VARIABLES);
        if (row) {
            List<Knowledge.KnownColumn> fields = type.fields().stream()
                    .map(f -> new Knowledge.KnownColumn(f.name(), f.type().map(adapter.finder::type), false, false))
                    .toList();
            adapter.knowledge.add(type.name(), fields, List.of());
            adapter.note(
                    FindingCode.SYNTAX_ADAPTED,
                    type.span(),
                    "the type " + type.name() + " is left out: variables for its rows say their fields");
            return List.of();
        }
        return List.of(type);
    }

    private List<Statement> domain(DdlStatement.CreateDomain domain) {
        adapter.knowledge.addDomain(domain);
        if (adapter.same()) {
            return List.of(domain);
        }
        if (!has(SqlFeature.DOMAINS)) {
            adapter.note(
                    FindingCode.SYNTAX_ADAPTED,
                    domain.span(),
                    domain.name() + ": its columns get the type and the checks themselves");
            return List.of();
        }
        LogicalType type = adapter.finder.type(domain.type());
        if (type instanceof LogicalType.Enumeration) {
            throw new Untranslatable("a domain whose values are listed");
        }
        return List.of(new DdlStatement.CreateDomain(
                domain.name(),
                adapter.castType(type),
                domain.notNull(),
                domain.defaultValue().map(adapter::expr),
                domain.checks().stream().map(this::ofValue).toList(),
                domain.span()));
    }

    private Statement domainCheck(DdlStatement.DomainCheck check) {
        if (!adapter.same() && !has(SqlFeature.DOMAINS)) {
            throw new Untranslatable("a check for the columns of the domain " + check.domain());
        }
        return new DdlStatement.DomainCheck(check.domain(), ofValue(check.check()), check.span());
    }

    /** The check of a domain, whose value is called by a word that is no name: quoted it would be a column's. */
    private Expr ofValue(Expr check) {
        if (adapter.same()) {
            return check;
        }
        return adapter.condition(
                DomainValue.replaced(check, e -> Expr.Call.of("domain_value").at(e.span())));
    }

    private List<Statement> synonym(DdlStatement.CreateSynonym synonym) {
        if (has(SqlFeature.SYNONYMS)) {
            boolean replaces = synonym.orReplace() && has(SqlFeature.REPLACES_SYNONYMS);
            if (synonym.orReplace() && !replaces) {
                adapter.note(
                        FindingCode.SYNTAX_CHECK, synonym.span(), "OR REPLACE is left out; drop the synonym first");
            }
            return List.of(new DdlStatement.CreateSynonym(
                    synonym.name(), synonym.target(), replaces, synonym.common(), synonym.span()));
        }
        if (synonym.name().last().matches(synonym.target().last())) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    synonym.span(),
                    "a synonym that has the name of its object is left out; name the schema, or put it on the path");
            return List.of();
        }
        adapter.note(FindingCode.SYNTAX_CHECK, synonym.span(), "a synonym as a view, which fits tables and views only");
        QueryBody.Select all = QueryBody.Select.of(
                List.of(QueryBody.Item.of(new Expr.Star(Optional.empty(), List.of(), synonym.span()))),
                List.of(TableRef.Table.of(synonym.target())),
                Optional.empty());
        return List.of(new DdlStatement.CreateView(
                synonym.name(),
                synonym.orReplace() && has(SqlFeature.OR_REPLACE_VIEW),
                false,
                false,
                false,
                false,
                List.of(),
                Query.of(all),
                CheckOption.NONE,
                List.of(),
                synonym.span()));
    }

    /** Why there is nothing to remove on the target. */
    private Optional<String> needless(DdlStatement.Drop drop) {
        boolean inlined = drop.kind().equals("DOMAIN") && !has(SqlFeature.DOMAINS)
                || drop.kind().equals("TYPE") && !has(SqlFeature.ENUM_TYPES) && !has(SqlFeature.DOMAINS);
        if (inlined) {
            return Optional.of("columns have the type itself");
        }
        boolean usual = drop.kind().equals("SCHEMA")
                && drop.names().stream().allMatch(n -> n.last().text().equalsIgnoreCase(adapter.from.defaultSchema()));
        if (usual) {
            return Optional.of("the default schema stays");
        }
        boolean gone = drop.kind().equals("SEQUENCE")
                && drop.ifExists()
                && has(SqlFeature.IDENTITY)
                && !has(SqlFeature.SEQUENCES);
        return gone ? Optional.of("there are none") : Optional.empty();
    }

    private List<Statement> drop(DdlStatement.Drop given) {
        if (given.ofCode()) {
            return adapter.same() ? List.of(given) : new RoutineDrops(adapter).drop(given);
        }
        boolean tables = given.kind().equals("TABLE") && !adapter.same();
        List<QualifiedName> inOrder =
                tables ? adapter.knowledge.definitions().referringFirst(given.names()) : given.names();
        List<QualifiedName> names =
                inOrder.stream().map(n -> TemporaryNames.of(n, adapter)).toList();
        boolean view = given.kind().equals("SYNONYM") && !adapter.same() && !has(SqlFeature.SYNONYMS);
        if (view) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    given.span(),
                    "a synonym, which is taken for the view that stands for it");
        }
        DdlStatement.Drop drop = new DdlStatement.Drop(
                view ? "VIEW" : given.kind(),
                names,
                given.ifExists(),
                given.cascade(),
                given.table(),
                given.temporary(),
                given.span());
        if (drop.kind().equals("TABLE")) {
            given.names().stream()
                    .filter(n -> !given.temporary() || adapter.knowledge.isTemporary(n))
                    .forEach(adapter.knowledge::remove);
        }
        if (drop.kind().equals("INDEX")) {
            return new IndexAdapter(adapter, this).drop(drop);
        }
        if (adapter.same()) {
            return List.of(drop);
        }
        return dropped(drop);
    }

    /** What drops an object of the target. */
    List<Statement> dropped(DdlStatement.Drop drop) {
        boolean ifExists = drop.ifExists() && canSayIf(SqlFeature.IF_EXISTS, drop);
        if (drop.cascade() && !has(SqlFeature.CASCADE)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    drop.span(),
                    "without CASCADE, objects that depend on it stay or hinder it");
        }
        if (drop.kind().equals("MATERIALIZED VIEW") && !has(SqlFeature.MATERIALIZED_VIEWS)) {
            throw new Untranslatable("a materialized view");
        }
        if (drop.kind().equals("SEQUENCE") && !has(SqlFeature.SEQUENCES)) {
            throw new Untranslatable("a sequence");
        }
        Optional<String> needless = needless(drop);
        if (needless.isPresent()) {
            adapter.note(FindingCode.CLIENT_COMMAND, drop.span(), "DROP " + drop.kind() + ": " + needless.get());
            return List.of();
        }
        if (drop.kind().matches("DATABASE|SCHEMA") && !has(SqlFeature.SCHEMAS)) {
            throw new Untranslatable("a schema");
        }
        if (drop.kind().equals("DATABASE") && isApart()) {
            throw new Untranslatable("DROP DATABASE");
        }
        String kind = drop.kind().equals("DATABASE") && has(SqlFeature.SCHEMAS) ? "SCHEMA" : drop.kind();
        return List.of(new DdlStatement.Drop(
                kind, drop.names(), ifExists, drop.cascade(), drop.table(), drop.temporary(), drop.span()));
    }
}
