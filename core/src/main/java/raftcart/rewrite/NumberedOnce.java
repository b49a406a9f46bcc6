package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.IdentityOptions;

/** Chooses the column that is numbered where the target numbers one of a table. */
final class NumberedOnce {
    private NumberedOnce() {}

    /** How a column is numbered that was written so, if it still is. */
    static Optional<IdentityOptions> identity(
            ColumnDefinition written, ColumnDefinition column, CreateTable table, ExprAdapter adapter) {
        return column.identity().filter(o -> stays(written, table, adapter));
    }

    private static boolean stays(ColumnDefinition column, CreateTable table, ExprAdapter adapter) {
        List<ColumnDefinition> numbered =
                table.columns().stream().filter(c -> c.identity().isPresent()).toList();
        boolean one = numbered.size() < 2
                || adapter.from.name().equals(adapter.to.name())
                || !adapter.to.has(SqlFeature.ONE_NUMBERED_COLUMN);
        if (one || !numbered.contains(column)) {
            return true;
        }
        ColumnDefinition chosen = numbered.stream()
                .filter(c -> ColumnFactory.isInKey(c, table)
                        || c.constraints().stream().anyMatch(k -> k.kind() == ConstraintKind.PRIMARY_KEY))
                .findFirst()
                .orElse(numbered.get(0));
        if (chosen != column) {
            adapter.note(FindingCode.NUMBERED_ONCE, column.span(), column.name().text());
        }
        return chosen == column;
    }
}
