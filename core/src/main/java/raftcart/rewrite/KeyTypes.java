package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.rewrite.Knowledge.KnownTable;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.Reference;
import raftcart.sql.tree.TableParts.TableConstraint;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/**
 * Where decimal numbers become whole ones, a column that refers to such a number has to be one too: engines refuse foreign
 * keys between numbers of different kinds.
 */
final class KeyTypes {
    private final QueryAdapter adapter;

    KeyTypes(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** The type of a column, which is that of the column it refers to if need be. */
    LogicalType following(LogicalType own, ColumnDefinition column, List<TableConstraint> constraints) {
        Optional<LogicalType> leading = leading(own, column, constraints);
        leading.ifPresent(l -> adapter.note(
                FindingCode.KEY_TYPE_FOLLOWS, column.span(), column.name().text()));
        return leading.orElse(own);
    }

    /** The type of the column to which a column refers, by these constraints or by its own, if it has to follow it. */
    Optional<LogicalType> leading(LogicalType own, ColumnDefinition column, List<TableConstraint> constraints) {
        if (adapter.from.types().wholeColumns().isEmpty() || !mayBeWhole(own)) {
            return Optional.empty();
        }
        return Stream.concat(column.constraints().stream(), constraints.stream())
                .filter(c -> c.kind() == ConstraintKind.FOREIGN_KEY)
                .flatMap(c -> leading(column.name(), c).stream())
                .findFirst();
    }

    /** Remembers of a table that is made now what its columns are that refer to others, or to each other. */
    void remember(CreateTable table, Function<ColumnDefinition, KnownColumn> known) {
        for (ColumnDefinition column : table.columns()) {
            KnownColumn own = known.apply(column);
            own.type()
                    .flatMap(t -> leading(t, column, table.constraints()))
                    .ifPresent(t -> adapter.knowledge.addColumn(
                            table.name(),
                            new KnownColumn(own.name(), Optional.of(t), own.notNull(), own.ignoresCase())));
        }
    }

    /** The columns that a foreign key, which comes after their table, makes whole numbers. */
    List<AlterAction> retyped(TableConstraint key, QualifiedName table) {
        List<AlterAction> actions = new ArrayList<>();
        if (key.kind() != ConstraintKind.FOREIGN_KEY
                || adapter.from.types().wholeColumns().isEmpty()) {
            return actions;
        }
        for (Name column : TableAdapter.names(key.parts())) {
            Optional<KnownColumn> own = adapter.knowledge.table(table).map(t -> t.columns()
                    .get(column.text().toLowerCase(Locale.ROOT)));
            Optional<LogicalType> leading =
                    own.flatMap(KnownColumn::type).filter(KeyTypes::mayBeWhole).flatMap(t -> leading(column, key));
            if (leading.isPresent()) {
                adapter.note(FindingCode.KEY_TYPE_FOLLOWS, key.span(), column.text());
                KnownColumn old = own.get();
                adapter.knowledge.addColumn(
                        table, new KnownColumn(old.name(), leading, old.notNull(), old.ignoresCase()));
                actions.add(new AlterAction.SetType(column, digits(leading.get()), Optional.empty()));
            }
        }
        return actions;
    }

    /** The source's type of so many digits, which becomes these whole numbers. */
    private static TypeName digits(LogicalType type) {
        int bits = ((LogicalType.Int) type).bits();
        return TypeName.of("numeric", bits <= 16 ? 4 : bits <= 32 ? 9 : 18, 0);
    }

    private static boolean mayBeWhole(LogicalType type) {
        return type instanceof LogicalType.Decimal d && d.scale() == 0;
    }

    /** The whole numbers that a column refers to by a foreign key. */
    private Optional<LogicalType> leading(Name column, TableConstraint key) {
        List<Name> columns = key.parts().isEmpty() ? List.of(column) : TableAdapter.names(key.parts());
        Reference reference = key.reference().orElseThrow();
        for (int i = 0; i < columns.size(); i++) {
            if (columns.get(i).matches(column)) {
                return referred(reference, i);
            }
        }
        return Optional.empty();
    }

    private Optional<LogicalType> referred(Reference reference, int place) {
        QualifiedName name = reference.table();
        Optional<KnownTable> table = adapter.knowledge.table(name);
        List<Name> columns = reference.columns().isEmpty()
                ? table.filter(t -> !t.keys().isEmpty())
                        .map(t -> t.keys().get(0))
                        .orElse(List.of())
                : reference.columns();
        if (place >= columns.size()) {
            return Optional.empty();
        }
        return table.map(t -> t.columns().get(columns.get(place).text().toLowerCase(Locale.ROOT)))
                .flatMap(KnownColumn::type)
                .filter(t -> t instanceof LogicalType.Int);
    }
}
