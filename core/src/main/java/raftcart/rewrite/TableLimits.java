package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import raftcart.dialect.RowSize;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.TypeChoice;
import raftcart.dialect.TypeTable;
import raftcart.finding.FindingCode;
import raftcart.sql.parse.TypeNameParser;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.DdlStatement.CreateTable.Temporary;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.TableConstraint;
import raftcart.type.LogicalType;

/** What some targets do not take in the definition of a table ("CREATE TABLE", "CONSTRAINT", MariaDB). */
final class TableLimits {
    private final QueryAdapter adapter;

    TableLimits(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    private boolean has(SqlFeature feature) {
        return !adapter.same() && adapter.to.has(feature);
    }

    /** The table, still the source's, without constraints that the target would refuse; each is told. */
    CreateTable within(CreateTable table) {
        boolean alone = table.temporary() != Temporary.NO && has(SqlFeature.TEMPORARY_TABLES_STAND_ALONE);
        List<Name> numbered = has(SqlFeature.NUMBERED_COLUMNS_UNCHECKED)
                ? table.columns().stream()
                        .filter(c -> c.identity().isPresent())
                        .map(ColumnDefinition::name)
                        .toList()
                : List.of();
        if (!alone && numbered.isEmpty()) {
            return table;
        }
        List<ColumnDefinition> columns = new ArrayList<>();
        for (ColumnDefinition column : table.columns()) {
            List<TableConstraint> kept = kept(column.constraints(), alone, numbered);
            columns.add(
                    kept.size() == column.constraints().size()
                            ? column
                            : column.alone().withConstraints(kept));
        }
        CreateTable within = table.withParts(columns, kept(table.constraints(), alone, numbered));
        if (alone && table.partitioning().isPresent()) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, table.span(), "a temporary table in one part");
            return within.undivided();
        }
        return within;
    }

    private List<TableConstraint> kept(List<TableConstraint> constraints, boolean alone, List<Name> numbered) {
        return constraints.stream()
                .filter(c -> !(alone && isLostReference(c)) && !isLostCheck(c, numbered))
                .toList();
    }

    private boolean isLostReference(TableConstraint c) {
        boolean lost = c.kind() == ConstraintKind.FOREIGN_KEY;
        if (lost) {
            adapter.note(FindingCode.SYNTAX_CHECK, c.span(), "a temporary table goes without foreign keys");
        }
        return lost;
    }

    private boolean isLostCheck(TableConstraint c, List<Name> numbered) {
        Optional<Name> column = c.check()
                .flatMap(check -> numbered.stream().filter(n -> reads(check, n)).findFirst());
        column.ifPresent(n -> adapter.note(
                FindingCode.SYNTAX_CHECK,
                c.span(),
                "a check of " + n.text() + ", which the engine numbers, is left out"));
        return column.isPresent();
    }

    private static boolean reads(Expr check, Name column) {
        return ExprSearch.any(
                check, e -> e instanceof Expr.Column c && c.name().last().matches(column));
    }

    /** Takes texts out of a row that would be too long. */
    void inRow(List<ColumnDefinition> columns, List<TableConstraint> constraints) {
        if (!has(SqlFeature.ROWS_OF_64_KILOBYTES)) {
            return;
        }
        TypeTable table = adapter.to.types();
        List<Optional<LogicalType>> types = columns.stream()
                .map(c -> c.type()
                        .map(t -> table.read(TypeNameParser.parse(
                                t.name(), adapter.to.grammar().lexical()))))
                .toList();
        Set<Integer> apart = RowSize.apart(
                types,
                i -> columns.get(i).defaultValue().isPresent()
                        || !columns.get(i).constraints().isEmpty()
                        || constraints.stream()
                                .anyMatch(c -> names(c, columns.get(i).name())));
        for (int place : apart) {
            ColumnDefinition column = columns.get(place);
            TypeChoice choice = RowSize.longValue(types.get(place).orElseThrow(), table);
            choice.notes()
                    .forEach(n ->
                            adapter.note(n.code(), column.span(), column.name().text() + ": " + n.detail()));
            columns.set(place, column.withType(adapter.written(choice.sql())));
        }
    }

    private static boolean names(TableConstraint constraint, Name column) {
        return constraint.parts().stream()
                .anyMatch(p ->
                        p.value() instanceof Expr.Column c && c.name().last().matches(column));
    }

    /** Moves what a column checks beyond its first check to the table, where the target takes but one. */
    void oneCheckEach(List<ColumnDefinition> columns, List<TableConstraint> constraints) {
        if (!has(SqlFeature.ONE_CHECK_A_COLUMN)) {
            return;
        }
        for (int i = 0; i < columns.size(); i++) {
            ColumnDefinition column = columns.get(i);
            List<TableConstraint> checks = column.constraints().stream()
                    .filter(c -> c.kind() == ConstraintKind.CHECK)
                    .toList();
            if (checks.size() > 1) {
                List<TableConstraint> further = checks.subList(1, checks.size());
                List<TableConstraint> kept = column.constraints().stream()
                        .filter(c -> !further.contains(c))
                        .toList();
                columns.set(i, column.alone().withConstraints(kept));
                constraints.addAll(further);
            }
        }
    }
}
