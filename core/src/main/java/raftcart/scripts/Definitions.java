package raftcart.scripts;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.catalog.CheckConstraint;
import raftcart.catalog.Column;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Generated;
import raftcart.catalog.Identity;
import raftcart.catalog.Index;
import raftcart.catalog.Key;
import raftcart.catalog.KeyPart;
import raftcart.catalog.ObjectName;
import raftcart.catalog.ReferentialAction;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.dialect.write.SqlWriter;
import raftcart.dialect.write.WriterContext;
import raftcart.rewrite.ColumnFactory;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.function.ValueKind;
import raftcart.sql.parse.ExprParser;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.CreateDomain;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TableParts.IndexPart;
import raftcart.sql.tree.TableParts.TableConstraint;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** Puts columns and constraints of scripts into tables, with their expressions as text of the dialect. */
final class Definitions {
    private final Language language;
    private final SqlWriter writer;
    private final ObjectNames names;
    private final Map<String, CreateDomain> domains = new HashMap<>();
    private final Map<String, List<String>> enumerations = new HashMap<>();

    Definitions(Language language, ObjectNames names) {
        this.language = language;
        this.writer = language.writer().apply(WriterContext.plain(language));
        this.names = names;
    }

    void add(CreateDomain domain) {
        if (!domain.isInCircle(domains)) {
            domains.put(domain.name().last().key(), domain);
        }
    }

    /** Adds a check to a domain and to the columns of it that there are. */
    void add(DdlStatement.DomainCheck check, Collection<TableDraft> tables) {
        String name = check.domain().last().key();
        CreateDomain domain = domains.get(name);
        if (domain == null) {
            throw new Untranslatable("there is no domain " + check.domain());
        }
        List<Expr> checks = Stream.concat(domain.checks().stream(), Stream.of(check.check()))
                .toList();
        add(new CreateDomain(
                domain.name(), domain.type(), domain.notNull(), domain.defaultValue(), checks, domain.span()));
        for (TableDraft table : tables) {
            table.columns.stream()
                    .filter(c -> unqualified(TypeName.of(
                                    c.declaredType().replace("\"", "").toLowerCase(Locale.ROOT)))
                            .equals(name))
                    .map(c -> ofColumn(check.check(), new Name(c.name(), true)))
                    .forEach(c -> add(table, TableConstraint.check(c, check.span())));
        }
    }

    void addEnumeration(QualifiedName name, List<String> values) {
        enumerations.put(name.last().key(), values);
    }

    void remove(QualifiedName type) {
        domains.remove(type.last().key());
        enumerations.remove(type.last().key());
    }

    /** An expression as the dialect writes it. */
    String text(Expr expression) {
        return writer.expression(expression);
    }

    /** Gives a table all that its definition says, but for its constraints. */
    void define(TableDraft draft, CreateTable table) {
        draft.collation = table.collation();
        for (ColumnDefinition column : table.columns()) {
            add(draft, column);
        }
        table.columns().stream()
                .flatMap(c -> c.leftOut().stream().map(l -> c.name().text() + ": " + l))
                .forEach(draft.physical::add);
        draft.physical.addAll(table.leftOut());
        table.partitioning().ifPresent(draft::divide);
        draft.comment = table.comment().orElse("");
    }

    /** An expression of the dialect with another name for a column. */
    String renamed(String expression, Name from, Name to) {
        Expr renamed = new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                return e instanceof Expr.Column c && c.name().last().matches(from)
                        ? new Expr.Column(c.name().withLast(to), c.outer(), c.span())
                        : super.expr(e);
            }
        }.expr(ExprParser.parse(expression, language.grammar()));
        return text(renamed);
    }

    /** The domain of a type, with what it has of the domain that it is of; an array has the rules of none. */
    private Optional<CreateDomain> domain(TypeName type) {
        Optional<CreateDomain> own = Optional.ofNullable(type.arrays() > 0 ? null : domains.get(unqualified(type)));
        return own.map(d -> d.isOfItself() ? d : domain(d.type()).map(d::of).orElse(d));
    }

    private static String unqualified(TypeName type) {
        return type.name().substring(type.name().lastIndexOf('.') + 1);
    }

    private LogicalType type(TypeName name) {
        if (name.arrays() > 0) {
            return new LogicalType.Array(type(name.element()));
        }
        Optional<CreateDomain> domain = domain(name);
        if (domain.isPresent() && !domain.get().isOfItself()) {
            return type(domain.get().type());
        }
        String last = unqualified(name);
        List<String> values = enumerations.get(last);
        return values == null ? language.types().read(name) : new LogicalType.Enumeration(last, values);
    }

    /** Adds a column with the constraints that stand with it. */
    void add(TableDraft table, ColumnDefinition definition) {
        table.add(column(definition, table));
        constraints(table, definition);
    }

    /** Puts a definition in the place of a column; what it does not say stays, but on engines that mean it as a whole. */
    void change(TableDraft table, Name given, ColumnDefinition definition) {
        String name = names.stored(definition.name());
        if (!table.columnName(given).equals(name)) {
            table.renameColumn(given, name, text -> renamed(text, given, definition.name()));
        }
        boolean whole = language.has(SqlFeature.COLUMNS_CHANGE_AS_A_WHOLE);
        table.change(new Name(name, true), old -> {
            Column changed = column(definition, table);
            boolean key =
                    table.primaryKey.filter(k -> k.columns().contains(name)).isPresent();
            return whole ? key ? Columns.nullable(changed, false) : changed : merged(old, changed, definition);
        });
        constraints(table, definition);
    }

    private static Column merged(Column old, Column changed, ColumnDefinition definition) {
        boolean typed = definition.type().isPresent();
        return new Column(
                changed.name(),
                typed ? changed.declaredType() : old.declaredType(),
                typed ? changed.type() : old.type(),
                definition.notNull().map(n -> !n).orElse(old.nullable()),
                changed.defaultValue().or(old::defaultValue),
                changed.generated().or(old::generated),
                changed.identity().or(old::identity),
                typed ? changed.ignoresCase() : old.ignoresCase(),
                typed ? changed.collation() : old.collation(),
                changed.onUpdate().or(old::onUpdate),
                changed.comment().isEmpty() ? old.comment() : changed.comment());
    }

    private void constraints(TableDraft table, ColumnDefinition definition) {
        List<IndexPart> own = List.of(IndexPart.of(definition.name()));
        definition.options().forEach(o -> table.name(o, definition.name()));
        for (TableConstraint c : definition.constraints()) {
            boolean keyed = c.kind() != ConstraintKind.CHECK && c.parts().isEmpty();
            boolean nameless = c.kind() == ConstraintKind.CHECK && c.name().isEmpty();
            String name = table.nameFor(List.of(names.stored(definition.name())), "check");
            add(table, keyed ? ColumnFactory.withParts(c, own) : nameless ? c.withName(new Name(name, true)) : c);
        }
        definition.type().flatMap(this::domain).ifPresent(d -> {
            for (Expr check : d.checks()) {
                add(table, TableConstraint.check(ofColumn(check, definition.name()), definition.span()));
            }
        });
    }

    /** A domain's check, with the column for VALUE. */
    private static Expr ofColumn(Expr check, Name column) {
        return new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                return e instanceof Expr.Column c && c.name().toString().equalsIgnoreCase("value")
                        ? new Expr.Column(new QualifiedName(List.of(column)), false, c.span())
                        : super.expr(e);
            }
        }.expr(check);
    }

    private Column column(ColumnDefinition definition, TableDraft table) {
        Optional<CreateDomain> domain = definition.type().flatMap(this::domain);
        LogicalType type = definition
                .type()
                .map(this::type)
                .or(() -> definition.generated().flatMap(g -> computed(g, table)))
                .orElseGet(() -> new LogicalType.Text(0));
        boolean notNull =
                definition.notNull().orElse(domain.filter(CreateDomain::notNull).isPresent());
        Optional<Expr> value = definition
                .defaultValue()
                .or(() -> domain.flatMap(CreateDomain::defaultValue))
                .filter(v -> !(v instanceof Expr.Literal l && l.kind() == LiteralKind.NULL)) // as without one
                .map(v -> ColumnFactory.defaultValue(v, type));
        return new Column(
                names.stored(definition.name()),
                definition.type().map(writer::typeName).orElse(""),
                type,
                !notNull && definition.identity().isEmpty(),
                definition.identity().isPresent() ? Optional.empty() : value.map(this::text),
                definition.generated().map(g -> new Generated(text(g), definition.stored(), false)),
                definition.identity().map(this::identity),
                ColumnFactory.ignoresCase(definition, type, table.collation, language),
                ColumnFactory.collation(definition, table.collation),
                definition.onUpdate().map(this::text),
                definition.comment().orElse(""));
    }

    /** What MySQL puts into the rows that are there for a column that refuses NULL and has no default. */
    Optional<String> zero(Column column) {
        if (!language.has(SqlFeature.ADDED_COLUMNS_ARE_FILLED)) {
            return Optional.empty();
        }
        ValueKind kind = ColumnFactory.kind(column.type());
        return kind.isNumber() || kind == ValueKind.BOOLEAN
                ? Optional.of("0")
                : kind == ValueKind.TEXT ? Optional.of("''") : Optional.empty();
    }

    private Optional<LogicalType> computed(Expr value, TableDraft table) {
        List<KnownColumn> columns = table.columns.stream()
                .map(c -> new KnownColumn(Name.of(c.name()), Optional.of(c.type()), !c.nullable(), c.ignoresCase()))
                .toList();
        return ColumnFactory.computedType(value, columns, language);
    }

    /** The numbers of a column; the first one is 0 to HSQLDB and 1 to all others. */
    Identity identity(IdentityOptions options) {
        BigInteger first = language.has(SqlFeature.SEQUENCES_FROM_ZERO) ? BigInteger.ZERO : BigInteger.ONE;
        BigInteger start = options.start().orElse(first);
        long increment = options.increment().orElse(BigInteger.ONE).longValue();
        return new Identity(start.longValue(), increment, options.always(), start);
    }

    /** The type of a column as it is from now on. */
    void retype(TableDraft table, Name column, TypeName type) {
        table.change(column, c -> Columns.typed(c, writer.typeName(type), type(type)));
    }

    /** Adds a constraint, or an index that is written like one. */
    void add(TableDraft table, TableConstraint c) {
        if (c.disabled()) {
            table.physical.add("a constraint that is switched off: " + name(c, table, "constraint"));
            return;
        }
        switch (c.kind()) {
            case PRIMARY_KEY -> table.addKey(key(c, table, "pkey"), true);
            case UNIQUE -> unique(table, c);
            case CHECK ->
                table.checks.add(new CheckConstraint(
                        name(c, table, "check"), text(c.check().orElseThrow())));
            case FOREIGN_KEY -> table.foreignKeys.add(foreignKey(table, c));
            default ->
                table.indexes.add(new Index(
                        name(c, table, "idx"),
                        false,
                        parts(table, c.parts()),
                        method(c.leftOut()),
                        c.check().map(this::text).orElse(""),
                        List.of()));
        }
        String name = c.name().map(Name::text).orElse("constraint");
        String label = c.kind() == ConstraintKind.INDEX ? "index " + name + " " : name + ": ";
        c.leftOut().stream()
                .filter(l -> !TableConstraint.KINDS_OF_INDEXES.contains(l))
                .forEach(l -> table.physical.add(label + l));
        if (c.deferrable() && c.kind() != ConstraintKind.FOREIGN_KEY) {
            table.physical.add(label + "DEFERRABLE" + (c.initiallyDeferred() ? " INITIALLY DEFERRED" : ""));
        }
    }

    private void unique(TableDraft table, TableConstraint c) {
        List<IndexPart> parts = c.parts().stream().map(IndexPart::distinct).toList();
        boolean plain = parts.stream()
                .allMatch(p -> p.value() instanceof Expr.Column column
                        && table.column(column.name().last()).isPresent());
        if (plain && !c.isOfRows()) {
            table.addKey(key(c, table, "key"), false);
        } else {
            String rows = c.check().map(this::text).orElse("");
            table.indexes.add(new Index(name(c, table, "key"), true, parts(table, parts), "", rows, List.of()));
        }
    }

    private static String method(List<String> leftOut) {
        return leftOut.stream()
                .filter(TableConstraint.KINDS_OF_INDEXES::contains)
                .findFirst()
                .orElse("")
                .toLowerCase(java.util.Locale.ROOT);
    }

    private Key key(TableConstraint c, TableDraft table, String ending) {
        List<KeyPart> parts = parts(table, c.parts()).stream()
                .map(p -> new KeyPart(p.column(), p.expression(), p.prefixLength(), false))
                .toList();
        return new Key(name(c, table, ending), parts);
    }

    private String name(TableConstraint c, TableDraft table, String ending) {
        List<String> columns = new ArrayList<>();
        c.parts().forEach(p -> {
            if (p.value() instanceof Expr.Column column) {
                columns.add(table.columnName(column.name().last()));
            }
        });
        return c.name().map(names::stored).orElseGet(() -> table.nameFor(
                        c.kind() == ConstraintKind.PRIMARY_KEY ? List.of() : columns, ending)
                .replace("__", "_"));
    }

    /** The parts of a key or index, columns by the names that the table has for them. */
    List<KeyPart> parts(TableDraft table, List<IndexPart> parts) {
        return parts.stream()
                .map(p -> p.value() instanceof Expr.Column column
                                && table.column(column.name().last()).isPresent()
                        ? new KeyPart(table.columnName(column.name().last()), "", p.prefix(), p.descending())
                        : new KeyPart("", text(p.value()), p.prefix(), p.descending()))
                .toList();
    }

    private ForeignKey foreignKey(TableDraft table, TableConstraint c) {
        var reference = c.reference().orElseThrow();
        List<String> columns =
                parts(table, c.parts()).stream().map(KeyPart::column).toList();
        ObjectName target = names.object(reference.table());
        return new ForeignKey(
                name(c, table, "fkey"),
                columns,
                target,
                reference.columns().stream().map(names::stored).toList(),
                ReferentialAction.of(reference.onDelete()),
                ReferentialAction.of(reference.onUpdate()),
                c.deferrable(),
                c.initiallyDeferred(),
                reference.cleared().stream().map(table::columnName).toList());
    }
}
