package raftcart.translate;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.catalog.Column;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Key;
import raftcart.catalog.KeyPart;
import raftcart.catalog.ObjectName;
import raftcart.catalog.ReferentialAction;
import raftcart.catalog.Table;
import raftcart.dialect.ColumnUse;
import raftcart.dialect.Dialect;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.TypeChoice;
import raftcart.dialect.write.WriterContext;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.type.LogicalType;
import raftcart.type.ValueChoices.EnumerationForm;

/** Enumerations that the plan wants as texts: with a check of their values, or with a table of them. */
final class Enumerations {
    /** The columns of a table of values. */
    private static final String VALUE = "value";

    private static final String PLACE = "place";

    private final Dialect to;
    private final NameMapper names;
    private final EnumerationForm form;
    private final Map<ObjectName, Lookup> lookups = new LinkedHashMap<>();

    Enumerations(Dialect to, NameMapper names, EnumerationForm form) {
        this.to = to;
        this.names = names;
        this.form = form;
    }

    /** The tables of values. */
    List<Lookup> lookups() {
        return List.copyOf(lookups.values());
    }

    /** True where enumerations of the source are types of the target. */
    boolean areTypes() {
        return form == EnumerationForm.TYPE && to.has(SqlFeature.ENUM_TYPES);
    }

    /** The type of a column; empty where the target's own type for enumerations is wanted. */
    Optional<TypeChoice> choose(LogicalType type, ColumnUse use) {
        if (form == EnumerationForm.TYPE || !(type instanceof LogicalType.Enumeration enumeration)) {
            return Optional.empty();
        }
        int length =
                enumeration.values().stream().mapToInt(String::length).max().orElse(1);
        ColumnUse key = new ColumnUse(
                use.table(), use.column(), false, false, 1, use.otherBytes(), use.ignoresCase(), use.ignoresPadding());
        TypeChoice text = to.types()
                .choose(new LogicalType.Varchar(Math.max(1, length)), form == EnumerationForm.LOOKUP ? key : use);
        TypeChoice noted = text.note(
                FindingCode.ENUMERATION_AS_TEXT,
                text.sql()
                        + (form == EnumerationForm.CHECK ? " with a check" : ", its values in a table of their own"));
        if (form == EnumerationForm.LOOKUP) {
            return Optional.of(noted);
        }
        String values = enumeration.values().stream().map(this::literal).collect(Collectors.joining(", "));
        return Optional.of(noted.check(to.identifiers().quote(use.column()) + " IN (" + values + ")"));
    }

    /** The reference of a column to the table of its values, if the plan wants that. */
    Optional<ForeignKey> reference(ObjectName table, Column target, LogicalType type) {
        if (form != EnumerationForm.LOOKUP || !(type instanceof LogicalType.Enumeration enumeration)) {
            return Optional.empty();
        }
        String own = table.name() + "_" + target.name();
        ObjectName name = new ObjectName(
                table.schema(), to.identifiers().shorten(enumeration.name().isEmpty() ? own : enumeration.name()));
        Lookup lookup = lookups.computeIfAbsent(name, n -> lookup(names.free(n), target, enumeration.values()));
        return Optional.of(new ForeignKey(
                to.identifiers().shorten(own + "_value"),
                List.of(target.name()),
                lookup.table().name(),
                List.of(VALUE),
                ReferentialAction.NO_ACTION,
                ReferentialAction.NO_ACTION,
                false,
                false,
                List.of()));
    }

    private static Lookup lookup(ObjectName name, Column column, List<String> values) {
        Column value = column(VALUE, column.declaredType(), column.type(), column.ignoresCase());
        Column place = column(PLACE, "integer", new LogicalType.Int(32, false), false);
        Table table = new Table(
                name,
                List.of(value, place),
                Optional.of(new Key("", List.of(KeyPart.ofColumn(VALUE)))),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                "",
                Optional.empty(),
                List.of(),
                values.size(),
                0);
        return new Lookup(table, values);
    }

    private static Column column(String name, String declared, LogicalType type, boolean ignoresCase) {
        return new Column(
                name,
                declared,
                type,
                false,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                ignoresCase,
                "",
                Optional.empty(),
                "");
    }

    private String literal(String text) {
        return literal(text, to);
    }

    /** A text as the target writes it. */
    static String literal(String text, Dialect to) {
        return to.language().writer().apply(WriterContext.plain(to.language())).expression(Expr.Literal.string(text));
    }
}
