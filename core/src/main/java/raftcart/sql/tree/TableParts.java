package raftcart.sql.tree;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import raftcart.sql.Span;
import raftcart.sql.tree.OrderItem.Nulls;

/** The parts of a table's definition. */
public final class TableParts {
    private TableParts() {}

    /**
     * A column.
     *
     * @param type empty where the dialect wants none
     * @param collation the clause that says how texts compare
     * @param notNull true where NULL is refused, empty where nothing is said
     * @param constraints those written with the column
     * @param options the names that its default and its NOT NULL were given
     */
    public record ColumnDefinition(
            Name name,
            Optional<TypeName> type,
            Optional<Boolean> notNull,
            Optional<Expr> defaultValue,
            Optional<Expr> generated,
            boolean stored,
            Optional<IdentityOptions> identity,
            Optional<Expr> onUpdate,
            Optional<String> collation,
            Optional<String> comment,
            List<TableConstraint> constraints,
            List<NamedOption> options,
            List<String> leftOut,
            Span span) {
        public ColumnDefinition {
            constraints = List.copyOf(constraints);
            options = List.copyOf(options);
            leftOut = List.copyOf(leftOut);
        }

        /** True for a change of a column of which nothing is left. */
        public boolean isIdle() {
            return type.isEmpty()
                    && notNull.isEmpty()
                    && defaultValue.isEmpty()
                    && generated.isEmpty()
                    && identity.isEmpty()
                    && onUpdate.isEmpty()
                    && collation.isEmpty()
                    && comment.isEmpty()
                    && constraints.isEmpty();
        }

        private ColumnDefinition with(
                Optional<TypeName> itsType,
                Optional<Boolean> refusesNull,
                Optional<Expr> value,
                Optional<IdentityOptions> numbers) {
            return new ColumnDefinition(
                    name,
                    itsType,
                    refusesNull,
                    value,
                    generated,
                    stored,
                    numbers,
                    onUpdate,
                    collation,
                    comment,
                    constraints,
                    options,
                    leftOut,
                    span);
        }

        /** The same with other options for its numbers. */
        public ColumnDefinition withIdentity(IdentityOptions options) {
            return with(type, notNull, defaultValue, Optional.of(options));
        }

        /** The same with numbers that come by its default. */
        public ColumnDefinition numberedBy(Expr next) {
            return with(type, notNull, Optional.of(next), Optional.empty());
        }

        /** The same with this default, or without one. */
        public ColumnDefinition withDefault(Optional<Expr> value) {
            return with(type, notNull, value, identity);
        }

        /** The same of another type. */
        public ColumnDefinition withType(TypeName other) {
            return with(Optional.of(other), notNull, defaultValue, identity);
        }

        /** The same with NOT NULL, without it, or without a word of it. */
        public ColumnDefinition withNotNull(Optional<Boolean> refusesNull) {
            return with(type, refusesNull, defaultValue, identity);
        }

        /** The same by another name. */
        public ColumnDefinition named(Name other) {
            return new ColumnDefinition(
                    other,
                    type,
                    notNull,
                    defaultValue,
                    generated,
                    stored,
                    identity,
                    onUpdate,
                    collation,
                    comment,
                    constraints,
                    options,
                    leftOut,
                    span);
        }

        /** Its name and type with what is given, and nothing else. */
        public static ColumnDefinition of(Name name, TypeName type, Optional<Boolean> notNull, Span span) {
            return new ColumnDefinition(
                    name,
                    Optional.of(type),
                    notNull,
                    Optional.empty(),
                    Optional.empty(),
                    false,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    List.of(),
                    List.of(),
                    List.of(),
                    span);
        }

        /** The same with one more name for its default or its NOT NULL. */
        public ColumnDefinition with(NamedOption option) {
            List<NamedOption> more = new ArrayList<>(options);
            more.add(option);
            return new ColumnDefinition(
                    name,
                    type,
                    notNull,
                    defaultValue,
                    generated,
                    stored,
                    identity,
                    onUpdate,
                    collation,
                    comment,
                    constraints,
                    more,
                    leftOut,
                    span);
        }

        /** What is meant by dropping the constraint of this name, if it is the default or the NOT NULL. */
        public Optional<AlterAction> without(Name constraint) {
            return options.stream()
                    .filter(o -> o.name().matches(constraint))
                    .findFirst()
                    .map(o -> o.dropped(name));
        }

        /** The same with further constraints. */
        public ColumnDefinition withConstraints(List<TableConstraint> further) {
            List<TableConstraint> more = new ArrayList<>(constraints);
            more.addAll(further);
            return new ColumnDefinition(
                    name,
                    type,
                    notNull,
                    defaultValue,
                    generated,
                    stored,
                    identity,
                    onUpdate,
                    collation,
                    comment,
                    more,
                    options,
                    leftOut,
                    span);
        }

        /** The same with another comment. */
        public ColumnDefinition withComment(Optional<String> text) {
            return new ColumnDefinition(
                    name,
                    type,
                    notNull,
                    defaultValue,
                    generated,
                    stored,
                    identity,
                    onUpdate,
                    collation,
                    text,
                    constraints,
                    options,
                    leftOut,
                    span);
        }

        /** The same without the keys and checks that are written with it. */
        public ColumnDefinition alone() {
            return new ColumnDefinition(
                    name,
                    type,
                    notNull,
                    defaultValue,
                    generated,
                    stored,
                    identity,
                    onUpdate,
                    collation,
                    comment,
                    List.of(),
                    List.of(),
                    List.of(),
                    span);
        }
    }

    /**
     * A default or a NOT NULL that was given the name of a constraint, and is dropped by it.
     *
     * @param isDefault true for a default, false for a NOT NULL
     */
    public record NamedOption(Name name, boolean isDefault) {
        /** A column without it. */
        public AlterAction dropped(Name column) {
            return isDefault
                    ? AlterAction.SetDefault.of(column, Optional.empty())
                    : new AlterAction.SetNullable(column, true);
        }
    }

    /** How numbers are given out; what is not said is empty. */
    public record IdentityOptions(
            boolean always,
            Optional<BigInteger> start,
            Optional<BigInteger> increment,
            Optional<BigInteger> min,
            Optional<BigInteger> max,
            Optional<BigInteger> cache,
            boolean cycle) {
        /** Nothing said. */
        public static final IdentityOptions DEFAULT = new IdentityOptions(
                false, Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), false);

        /** The same without numbers that are kept ahead. */
        public IdentityOptions withoutCache() {
            return new IdentityOptions(always, start, increment, min, max, Optional.empty(), cycle);
        }

        /** The same without bounds beyond 64 bits, and with room for a start below the usual bound of 1. */
        public IdentityOptions portable() {
            boolean rises = increment.map(i -> i.signum() > 0).orElse(true);
            boolean low =
                    rises && min.isEmpty() && start.filter(s -> s.signum() <= 0).isPresent();
            return new IdentityOptions(
                    always,
                    start,
                    increment,
                    low ? start : min.filter(m -> m.bitLength() < 64),
                    max.filter(m -> m.compareTo(BigInteger.valueOf(Long.MAX_VALUE)) < 0),
                    cache,
                    cycle);
        }

        /** The same, where rows may bring their own numbers. */
        public IdentityOptions byDefault() {
            return new IdentityOptions(false, start, increment, min, max, cache, cycle);
        }

        /** The same from another number on. */
        public IdentityOptions from(BigInteger number) {
            return new IdentityOptions(always, Optional.of(number), increment, min, max, cache, cycle);
        }

        /** From this number on in such steps. */
        public static IdentityOptions of(BigInteger start, BigInteger increment) {
            return new IdentityOptions(
                    false,
                    Optional.of(start),
                    Optional.of(increment),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    false);
        }
    }

    /**
     * Kinds of constraint. {@code INDEX} is an index written among the constraints, {@code EXCLUDE} keeps rows from
     * meeting others (PostgreSQL, "CREATE TABLE") and is kept as written.
     */
    public enum ConstraintKind {
        PRIMARY_KEY,
        UNIQUE,
        FOREIGN_KEY,
        CHECK,
        INDEX,
        EXCLUDE
    }

    /**
     * A constraint; parts that its kind does not have are empty.
     *
     * @param check the condition of a check, or that of the rows in an index
     */
    public record TableConstraint(
            ConstraintKind kind,
            Optional<Name> name,
            List<IndexPart> parts,
            Optional<Expr> check,
            Optional<Reference> reference,
            boolean deferrable,
            boolean initiallyDeferred,
            boolean disabled,
            List<String> leftOut,
            Span span) {
        /** True for an index of some rows only, which is no key even where it is unique. */
        public boolean isOfRows() {
            return check.isPresent() && (kind == ConstraintKind.UNIQUE || kind == ConstraintKind.INDEX);
        }

        /** True where no two rows have the same values in the columns named. */
        public boolean isKeyOfColumns() {
            return kind == ConstraintKind.PRIMARY_KEY
                    || kind == ConstraintKind.UNIQUE
                            && check.isEmpty()
                            && parts.stream().allMatch(p -> p.value() instanceof Expr.Column);
        }

        /** The clauses that tell of which kind an index is. */
        public static final Set<String> KINDS_OF_INDEXES = Set.of("FULLTEXT", "SPATIAL", "INVERTED");

        public TableConstraint {
            parts = List.copyOf(parts);
            leftOut = List.copyOf(leftOut);
        }

        /** The same under another name. */
        public TableConstraint withName(Name other) {
            return new TableConstraint(
                    kind,
                    Optional.of(other),
                    parts,
                    check,
                    reference,
                    deferrable,
                    initiallyDeferred,
                    disabled,
                    leftOut,
                    span);
        }

        /** A check without a name. */
        public static TableConstraint check(Expr condition, Span span) {
            return new TableConstraint(
                    ConstraintKind.CHECK,
                    Optional.empty(),
                    List.of(),
                    Optional.of(condition),
                    Optional.empty(),
                    false,
                    false,
                    false,
                    List.of(),
                    span);
        }
    }

    /**
     * What a foreign key refers to. Actions are in upper case and empty where nothing is said.
     *
     * @param cleared the columns that SET NULL or SET DEFAULT changes on a deletion; empty for all of them
     */
    public record Reference(
            QualifiedName table,
            List<Name> columns,
            String onDelete,
            String onUpdate,
            String match,
            List<Name> cleared) {
        public Reference {
            columns = List.copyOf(columns);
            cleared = List.copyOf(cleared);
        }
    }

    /** A part of a key or index; the prefix is a number of characters, 0 for all. */
    public record IndexPart(Expr value, int prefix, boolean descending, Nulls nulls, List<String> leftOut) {
        private static final Pattern NO_CASE = Pattern.compile("(?i)collate \\W?nocase\\W?");

        public IndexPart {
            leftOut = List.copyOf(leftOut);
        }

        /** True where the part says itself that texts which differ in case alone are equal. */
        public boolean ignoresCase() {
            return leftOut.stream().anyMatch(NO_CASE.asMatchPredicate());
        }

        /** The part for a unique index: texts without case, which SQLite's NOCASE makes equal, in small letters. */
        public IndexPart distinct() {
            return ignoresCase()
                    ? new IndexPart(Expr.Call.of("lower", value), prefix, descending, nulls, List.of())
                    : this;
        }

        /** A column in rising order. */
        public static IndexPart of(Name column) {
            return new IndexPart(
                    new Expr.Column(new QualifiedName(List.of(column)), false, Span.NONE),
                    0,
                    false,
                    Nulls.DEFAULT,
                    List.of());
        }
    }
}
