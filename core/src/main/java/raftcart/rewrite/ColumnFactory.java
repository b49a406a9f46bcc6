package raftcart.rewrite;

import java.math.BigInteger;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import raftcart.dialect.DecimalFloats;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.WholeColumns;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TableParts.IndexPart;
import raftcart.sql.tree.TableParts.TableConstraint;
import raftcart.type.LogicalType;

/** What the definition of a column says about it beyond its words. */
public final class ColumnFactory {
    private static final Pattern BY_CASE = Pattern.compile("bin|_cs|casespecific");
    private static final Pattern AROUND_COLLATION = Pattern.compile("(?i)^collate\\s+['\"]?|^['\"]|['\"]$");
    private static final Set<String> FLOATS = Set.of("float", "double", "real", "double precision");

    private ColumnFactory() {}

    /** True where two texts of the column are equal that differ in the case of their letters alone. */
    public static boolean ignoresCase(
            ColumnDefinition column, LogicalType type, Optional<String> collationOfTable, Language language) {
        String collation =
                column.collation().or(() -> collationOfTable).orElse("").toLowerCase(Locale.ROOT);
        boolean binary = BY_CASE.matcher(collation).find();
        return TableAdapter.saysItIgnoresCase(column)
                || isText(type) && language.has(SqlFeature.IGNORES_CASE) && !binary;
    }

    /** True where letters with accents and without, which a column without regard to case tells apart, become equal. */
    public static boolean losesAccents(String collation, Language from, Language to) {
        String rules = collation.toLowerCase(Locale.ROOT);
        boolean count = rules.contains("_as") || !from.has(SqlFeature.IGNORES_ACCENTS) && !rules.contains("_ai");
        return count && to.has(SqlFeature.IGNORES_ACCENTS) && !from.name().equals(to.name());
    }

    /** True for letters; those of a unique identifier are digits. */
    private static boolean isText(LogicalType type) {
        boolean digits = type instanceof LogicalType.Uuid || type instanceof LogicalType.Address;
        return KindFinder.kind(type) == ValueKind.TEXT && !digits;
    }

    /** The name of a column's collation, or of that of its table; empty where neither says one. */
    public static String collation(ColumnDefinition column, Optional<String> ofTable) {
        return column.collation()
                .or(() -> ofTable)
                .map(c -> AROUND_COLLATION.matcher(c).replaceAll(""))
                .orElse("");
    }

    /** The type of a column; whole numbers are such on the target even where the source has decimal ones only. */
    static Optional<LogicalType> type(ColumnDefinition column, ExprAdapter adapter) {
        return column.type()
                .map(t -> WholeColumns.type(t, adapter.finder.type(t), adapter.from.types(), adapter.to.types()));
    }

    /** The numbers of a column from the first one on that the source gives: 1 to most engines, 0 to HSQLDB. */
    static IdentityOptions fromFirst(IdentityOptions given, Name column, Span span, ExprAdapter adapter) {
        boolean zero = adapter.from.has(SqlFeature.SEQUENCES_FROM_ZERO);
        boolean differs = zero != adapter.to.has(SqlFeature.SEQUENCES_FROM_ZERO)
                && given.start().isEmpty();
        if (!differs) {
            return given;
        }
        if (zero && adapter.to.has(SqlFeature.NUMBERS_BEGIN_WITH_1)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    span,
                    "the numbers of " + column.text() + " begin with 1, on the source with 0");
            return given;
        }
        return given.from(zero ? BigInteger.ZERO : BigInteger.ONE);
    }

    /** Says what the source makes of a column's definition, and other engines do not. */
    static void sayDifferences(ColumnDefinition column, ExprAdapter adapter) {
        sayWhole(column, adapter);
        column.type()
                .flatMap(t -> DecimalFloats.note(t, adapter.from.types(), adapter.to.types()))
                .ifPresent(
                        n -> adapter.note(n.code(), column.span(), column.name().text() + ": " + n.detail()));
        boolean refers = column.constraints().stream().anyMatch(c -> c.kind() == ConstraintKind.FOREIGN_KEY);
        if (refers && adapter.lost(SqlFeature.PASSES_OVER_REFERENCES)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    column.span(),
                    "the source passes over REFERENCES beside a column, here it is a foreign key: "
                            + column.name().text());
        }
        if (column.type().filter(t -> CastNotes.roundsToMinutes(t, adapter)).isPresent()) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    column.span(),
                    "the source rounds what goes into " + column.name().text() + " to minutes");
        }
        boolean rounded = adapter.from.has(SqlFeature.LISTED_VALUES_ARE_NUMBERS)
                && !adapter.from.name().equals(adapter.to.name())
                && column.type()
                        .filter(t -> FLOATS.contains(t.name().replace(" unsigned", "")) && t.parameter(1, -1) >= 0)
                        .isPresent();
        if (rounded) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    column.span(),
                    "the source rounds what goes into " + column.name().text() + " to "
                            + column.type().get().parameter(1, 0) + " digits");
        }
    }

    private static void sayWhole(ColumnDefinition column, ExprAdapter adapter) {
        column.type()
                .flatMap(t -> WholeColumns.note(t, adapter.finder.type(t), adapter.from.types(), adapter.to.types()))
                .ifPresent(
                        n -> adapter.note(n.code(), column.span(), column.name().text() + ": " + n.detail()));
    }

    /** The default, with that of the type in the place of a bare WITH DEFAULT. */
    public static Expr defaultValue(Expr given, LogicalType type) {
        return given instanceof Expr.Call call && call.is("default_of_type")
                ? ColumnAdapter.ofType(type, call.span())
                : given;
    }

    /** True for a column of a key, or of a foreign key, which has to be as long as the key it leads to. */
    static boolean isInKey(ColumnDefinition column, CreateTable table) {
        boolean refers = column.constraints().stream().anyMatch(c -> c.kind() == ConstraintKind.FOREIGN_KEY)
                || table.constraints().stream()
                        .filter(c -> c.kind() == ConstraintKind.FOREIGN_KEY)
                        .anyMatch(c -> TableAdapter.names(c.parts()).stream().anyMatch(column.name()::matches));
        return refers
                || TableAdapter.keys(table).stream().anyMatch(k -> k.stream().anyMatch(n -> n.matches(column.name())));
    }

    /** The kind of the values of a type. */
    public static ValueKind kind(LogicalType type) {
        return KindFinder.kind(type);
    }

    /** The type of a column that is computed from these others, where that can be told. */
    public static Optional<LogicalType> computedType(Expr value, List<KnownColumn> columns, Language language) {
        Knowledge knowledge = new Knowledge();
        QualifiedName table = QualifiedName.of("t");
        knowledge.add(table, columns, List.of());
        Scope scope = new Scope(Optional.empty());
        Scope.Relation.of("t", table, knowledge).ifPresent(scope::add);
        KindFinder finder = new KindFinder(language, knowledge);
        return named(value, finder, language).or(() -> ofKind(finder.kind(value, scope)));
    }

    /** The type that an expression itself names. */
    static Optional<LogicalType> named(Expr value, KindFinder finder, Language language) {
        if (value instanceof Expr.Cast cast) {
            return Optional.of(finder.type(cast.type()));
        }
        return value instanceof Expr.Call call && call.is("convert_with_style")
                ? Optional.of(finder.type(StyleTranslator.type(call, language)))
                : Optional.empty();
    }

    /** A type that holds all values of a kind. */
    static Optional<LogicalType> ofKind(ValueKind kind) {
        return Optional.ofNullable(
                switch (kind) {
                    case INTEGER -> new LogicalType.Int(64, false);
                    case DECIMAL -> new LogicalType.Decimal(38, 10, false);
                    case FLOAT -> new LogicalType.Floating(64);
                    case TEXT -> new LogicalType.Text(0);
                    case DATE -> new LogicalType.Date();
                    case TIMESTAMP -> new LogicalType.Timestamp(6, false);
                    case BOOLEAN -> new LogicalType.Bool();
                    default -> null;
                });
    }

    /** The constraint of a column as one of its table. */
    public static TableConstraint withParts(TableConstraint c, List<IndexPart> parts) {
        return new TableConstraint(
                c.kind(),
                c.name(),
                parts,
                c.check(),
                c.reference(),
                c.deferrable(),
                c.initiallyDeferred(),
                c.disabled(),
                c.leftOut(),
                c.span());
    }
}
