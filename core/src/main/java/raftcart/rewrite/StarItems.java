package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.TableRef;

/** Stars among the items of a query. */
final class StarItems {
    private final ExprAdapter adapter;

    StarItems(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** A star beside other columns as one star for each table, where the target wants that. */
    List<Item> spelled(List<Item> items, List<TableRef> from) {
        boolean allowed = adapter.from.name().equals(adapter.to.name())
                || items.size() == 1
                || adapter.to.has(SqlFeature.STAR_BESIDE_COLUMNS);
        if (allowed) {
            return items;
        }
        List<Item> all = new ArrayList<>();
        for (Item item : items) {
            if (item.value() instanceof Expr.Star star
                    && star.table().isEmpty()
                    && star.except().isEmpty()) {
                adapter.note(FindingCode.SYNTAX_ADAPTED, star.span(), "a star for each table");
                from.forEach(t -> star(t, star, all));
            } else {
                all.add(item);
            }
        }
        return all;
    }

    private static void star(TableRef table, Expr.Star star, List<Item> items) {
        if (table instanceof TableRef.Join join) {
            boolean merges = !join.using().isEmpty() || join.kind().name().startsWith("NATURAL");
            if (merges) {
                throw new Untranslatable("a star beside other columns over a join that merges columns");
            }
            star(join.left(), star, items);
            star(join.right(), star, items);
            return;
        }
        QualifiedName name =
                table instanceof TableRef.Table named && named.alias().isEmpty()
                        ? named.name()
                        : new QualifiedName(List.of(ChangeAdapter.alias(table)));
        items.add(Item.of(new Expr.Star(Optional.of(name), List.of(), star.span())));
    }
}
