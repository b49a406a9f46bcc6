package raftcart.sql.parse;

import java.util.List;
import java.util.Optional;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.TableConstraint;
import raftcart.sql.tree.TypeName;

/** MariaDB's JSON, which its dumps spell as what it stands for: a long text with a check ("JSON Data Type"). */
final class CheckedDocuments {
    private CheckedDocuments() {}

    /** The column of documents that a column of texts is; else the column as it is. */
    static ColumnDefinition read(ColumnDefinition column) {
        boolean text = column.type().filter(t -> t.name().equals("longtext")).isPresent();
        Optional<TableConstraint> check = column.constraints().stream()
                .filter(c -> c.kind() == ConstraintKind.CHECK && isValid(c, column))
                .findFirst();
        if (!text || check.isEmpty()) {
            return column;
        }
        List<TableConstraint> others =
                column.constraints().stream().filter(c -> c != check.get()).toList();
        return new ColumnDefinition(
                column.name(),
                Optional.of(TypeName.of("json")),
                column.notNull(),
                column.defaultValue(),
                column.generated(),
                column.stored(),
                column.identity(),
                column.onUpdate(),
                Optional.empty(),
                column.comment(),
                others,
                column.options(),
                column.leftOut().stream()
                        .filter(c -> !c.startsWith("CHARACTER SET"))
                        .toList(),
                column.span());
    }

    private static boolean isValid(TableConstraint check, ColumnDefinition column) {
        return check.check().orElse(null) instanceof Expr.Call call
                && call.name().last().text().equalsIgnoreCase("json_valid")
                && call.arguments().size() == 1
                && call.arguments().get(0) instanceof Expr.Column of
                && of.name().last().matches(column.name());
    }
}
