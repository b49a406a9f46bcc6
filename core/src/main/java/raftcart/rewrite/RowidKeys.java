package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.TableConstraint;
import raftcart.sql.tree.TypeName;

/** Makes a column that is numbered the primary key itself, where the target wants that. */
final class RowidKeys {
    private final QueryAdapter adapter;

    RowidKeys(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** SQLite numbers a column that is INTEGER PRIMARY KEY. */
    void rewrite(List<ColumnDefinition> columns, List<TableConstraint> constraints) {
        if (!adapter.to.has(SqlFeature.ROWID_KEYS)) {
            return;
        }
        for (int i = 0; i < columns.size(); i++) {
            if (columns.get(i).identity().isPresent()) {
                columns.set(i, numbered(columns.get(i), constraints));
            }
        }
    }

    private ColumnDefinition numbered(ColumnDefinition c, List<TableConstraint> constraints) {

        Optional<TableConstraint> key = constraints.stream()
                .filter(k -> k.kind() == ConstraintKind.PRIMARY_KEY
                        && TableAdapter.names(k.parts()).equals(List.of(c.name())))
                .findFirst();
        List<TableConstraint> own = new ArrayList<>(c.constraints());
        key.ifPresent(k -> {
            constraints.remove(k);
            own.add(new TableConstraint(
                    ConstraintKind.PRIMARY_KEY,
                    k.name(),
                    List.of(),
                    Optional.empty(),
                    Optional.empty(),
                    false,
                    false,
                    false,
                    List.of(),
                    k.span()));
        });
        boolean primary = own.stream().anyMatch(k -> k.kind() == ConstraintKind.PRIMARY_KEY);
        if (!primary) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    c.span(),
                    "the column " + c.name().text() + " is not numbered by the target, as it is not the primary key");
        }
        return new ColumnDefinition(
                c.name(),
                Optional.of(TypeName.of("INTEGER")),
                Optional.empty(),
                c.defaultValue(),
                c.generated(),
                c.stored(),
                c.identity(),
                c.onUpdate(),
                c.collation(),
                c.comment(),
                own,
                c.options(),
                c.leftOut(),
                c.span());
    }
}
