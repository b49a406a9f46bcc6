package raftcart.rewrite;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.catalog.ObjectName;
import raftcart.dialect.ColumnUse;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** The types of variables, some of which are said to be those of a column, of a row, or of another variable. */
final class CodeTypes {
    private final CodeAdapter code;

    CodeTypes(CodeAdapter code) {
        this.code = code;
    }

    LogicalType type(TypeName type) {
        if (!type.name().endsWith(TypeName.OF_COLUMN)) {
            return known(type);
        }
        String said = type.name().substring(0, type.name().length() - TypeName.OF_COLUMN.length());
        List<Name> parts = Stream.of(said.split("\\.")).map(Name::of).toList();
        return of(parts)
                .flatMap(KnownColumn::type)
                .orElseThrow(
                        () -> CodeAdapter.at(place(), "a variable of the type of " + said + ", which is not known"));
    }

    /** A type that has a meaning; one that nobody knows may be that of a table or an object. */
    private LogicalType known(TypeName type) {
        LogicalType meant = code.adapter().finder.type(type);
        boolean cursor = type.equals(CodeResults.CURSOR) && code.adapter().to.has(SqlFeature.BLOCKS_RESCUE);
        boolean unknown =
                !cursor && meant instanceof LogicalType.Opaque o && !o.isInterval() && !o.isXml() && !o.bytes();
        if (unknown) {
            throw CodeAdapter.at(place(), "a variable of the type " + type.name() + ", whose meaning is not known");
        }
        return meant;
    }

    /** A type for a parameter: constants are whole numbers of 32 bits, which narrower parameters do not take. */
    LogicalType wide(LogicalType type) {
        boolean narrow = type instanceof LogicalType.Int i && i.bits() < 32;
        return narrow && code.adapter().to.has(SqlFeature.BLOCKS_RESCUE) ? new LogicalType.Int(32, false) : type;
    }

    /**
     * Says where a variable holds more than it does on the source, which refuses that.
     *
     * @param given true for a parameter; flags that code has for itself are often of the smallest type
     */
    void sayRange(Name name, LogicalType type, boolean given, Span span) {
        boolean lost =
                type instanceof LogicalType.Int i && (i.unsigned() || given && (i.bits() == 8 || i.bits() == 24));
        if (lost) {
            code.adapter()
                    .note(
                            FindingCode.SYNTAX_CHECK,
                            span,
                            name.text() + " takes numbers out of its range, too, which the source refuses");
        }
    }

    /** Says where a number without a scale gets one, whose digits show where it becomes a text. */
    void sayDigits(Name name, LogicalType type, Span span) {
        if (type instanceof LogicalType.Decimal d && d.precision() == 0) {
            code.adapter()
                    .note(
                            FindingCode.SYNTAX_CHECK,
                            span,
                            name.text()
                                    + " has as many digits as the target allows, which show where it becomes a text");
        }
    }

    private Optional<KnownColumn> of(List<Name> parts) {
        Name last = parts.get(parts.size() - 1);
        if (parts.size() == 1) {
            return code.frame().variable(last);
        }
        QualifiedName table = new QualifiedName(parts.subList(0, parts.size() - 1));
        return code.adapter().knowledge.table(table).map(t -> t.columns()
                .get(last.text().toLowerCase(Locale.ROOT)));
    }

    private Span place() {
        return code.place();
    }

    /** The type of a variable as the target writes it. */
    TypeName written(Name name, LogicalType type) {
        if (type instanceof LogicalType.Opaque o && o.nativeName().equals(CodeResults.CURSOR.name())) {
            return CodeResults.CURSOR;
        }
        boolean array = type instanceof LogicalType.Array
                && !(TargetTypes.chosen(type, code.adapter().to) instanceof LogicalType.Array)
                && !code.adapter().writes("array_item");
        if (array) {
            throw CodeAdapter.at(place(), name.text() + ", an array");
        }
        boolean listed = type instanceof LogicalType.Enumeration || type instanceof LogicalType.Members;
        ColumnUse use = new ColumnUse(new ObjectName("", ""), name.text(), false, false, 0, 0, false, false);
        boolean exact = KindFinder.kind(type) == ValueKind.TEXT
                && !code.adapter().from.has(SqlFeature.IGNORES_CASE)
                && code.adapter().to.has(SqlFeature.IGNORES_CASE);
        String letters = exact
                ? code.adapter()
                        .to
                        .types()
                        .exactTexts(code.adapter().from.has(SqlFeature.IGNORES_PADDING))
                        .map(c -> " " + c)
                        .orElse("")
                : "";
        return code.adapter()
                .written(code.adapter()
                                .to
                                .types()
                                .choose(listed ? new LogicalType.Text(0) : type, use)
                                .sql()
                        + letters);
    }
}
