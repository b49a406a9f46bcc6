package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Scope.ColumnFacts;
import raftcart.rewrite.Scope.Relation;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.QueryBody.Item;

/** Stars that leave out columns, as the columns that are left, where all of them are known. */
final class StarExceptions {
    private final QueryAdapter adapter;

    StarExceptions(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** The columns of a star without those that it leaves out; the star itself where some are not known. */
    List<Item> spelled(Expr.Star star) {
        List<Relation> relations = adapter.scope.relations();
        List<Item> items = new ArrayList<>();
        for (Relation relation : relations) {
            if (!isOf(star, relation)) {
                continue;
            }
            if (!relation.complete()) {
                return List.of(Item.of(star));
            }
            for (ColumnFacts column : relation.columns().values()) {
                if (!isLeftOut(star, column)) {
                    items.add(
                            Item.of(new Expr.Column(name(relation, column, relations.size() > 1), false, star.span())));
                }
            }
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, star.span(), "the columns that a star does not leave out");
        return items;
    }

    /** True for a star of all tables, or of this one. */
    static boolean isOf(Expr.Star star, Relation relation) {
        Optional<QualifiedName> table = star.table();
        return table.isEmpty() || table.get().last().text().equalsIgnoreCase(relation.name());
    }

    static boolean isLeftOut(Expr.Star star, ColumnFacts column) {
        return star.except().stream().anyMatch(n -> n.text().equalsIgnoreCase(column.name()));
    }

    private static QualifiedName name(Relation relation, ColumnFacts column, boolean qualified) {
        Name own = Name.of(column.name());
        return new QualifiedName(qualified ? List.of(Name.of(relation.name()), own) : List.of(own));
    }
}
