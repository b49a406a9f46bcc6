package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TableRef.Join;

/**
 * Queries in FROM that read the rows before them, for targets that have neither LATERAL nor APPLY: what such a query has in
 * common with those rows becomes a condition of a join, so that it is read once for all of them ({@link LateralQuery} says
 * which can).
 */
final class LateralQueries {
    private final ExprAdapter adapter;
    private final NamedExpressions named = new NamedExpressions();
    private final List<Shape> shapes = new ArrayList<>();

    /** A table of FROM and, where it would show more than on the source, the columns that it has there. */
    private record Shape(String name, Optional<List<Name>> columns) {}

    private LateralQueries(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    static Query rewrite(Query query, ExprAdapter adapter) {
        boolean concerns = query.body() instanceof Select select
                && !adapter.to.has(SqlFeature.LATERAL)
                && !adapter.to.has(SqlFeature.APPLY)
                && select.from().stream().anyMatch(LateralQueries::reads);
        return concerns ? new LateralQueries(adapter).joined(query, (Select) query.body()) : query;
    }

    private static boolean reads(TableRef table) {
        return table instanceof Join join
                ? reads(join.left()) || reads(join.right()) || isApply(join)
                : table instanceof TableRef.Derived d && d.lateral();
    }

    private static boolean isApply(Join join) {
        return join.kind() == Join.Kind.CROSS_APPLY || join.kind() == Join.Kind.OUTER_APPLY;
    }

    private Query joined(Query query, Select select) {
        List<TableRef> tables = new ArrayList<>();
        for (TableRef table : select.from()) {
            boolean lateral = table instanceof TableRef.Derived d && d.lateral();
            if (lateral && !tables.isEmpty()) {
                TableRef before = crossed(tables);
                tables.clear();
                tables.add(join(cross(before, table), before));
            } else {
                tables.add(table(table));
            }
        }
        Select plain = select.withFrom(tables);
        Select shown = shapes.stream().anyMatch(s -> s.columns().isPresent()) ? plain.withItems(items(select)) : plain;
        return named.in(query.withBody(shown));
    }

    private static TableRef crossed(List<TableRef> tables) {
        TableRef all = tables.get(0);
        for (TableRef table : tables.subList(1, tables.size())) {
            all = cross(all, table);
        }
        return all;
    }

    private static Join cross(TableRef left, TableRef right) {
        return new Join(Join.Kind.CROSS, left, right, Optional.empty(), List.of(), right.span());
    }

    private TableRef table(TableRef table) {
        if (!(table instanceof Join join)) {
            shapes.add(new Shape(name(table), Optional.empty()));
            return table;
        }
        TableRef left = table(join.left());
        boolean lateral = join.right() instanceof TableRef.Derived d && (d.lateral() || isApply(join));
        if (lateral) {
            return join(join, left);
        }
        TableRef right = table(join.right());
        return new Join(join.kind(), left, right, join.on(), join.using(), join.span());
    }

    /** A join with such a query; as it was where it cannot be done without. */
    private TableRef join(Join join, TableRef left) {
        TableRef.Derived derived = (TableRef.Derived) join.right();
        Optional<LateralQuery.Joined> joined = derived.alias().isEmpty()
                ? Optional.empty()
                : new LateralQuery(adapter, left, derived).joined(join, named);
        shapes.add(new Shape(name(derived), joined.map(LateralQuery.Joined::columns)));
        joined.ifPresent(j -> adapter.note(
                FindingCode.SYNTAX_ADAPTED, derived.span(), "a query that reads the rows before it, as a join"));
        return joined.map(LateralQuery.Joined::table)
                .orElseGet(() -> new Join(join.kind(), left, derived, join.on(), join.using(), join.span()));
    }

    static String name(TableRef table) {
        Optional<TableRef.Alias> alias = table instanceof TableRef.Table t
                ? t.alias()
                : table instanceof TableRef.Derived d
                        ? d.alias()
                        : table instanceof TableRef.Function f
                                ? f.alias()
                                : table instanceof TableRef.JsonTable j ? j.alias() : Optional.empty();
        String own = table instanceof TableRef.Table t ? t.name().last().text() : "";
        return alias.map(a -> a.name().text()).orElse(own).toLowerCase(Locale.ROOT);
    }

    /** The items, with the columns of such queries in the place of all that these have now. */
    private List<Item> items(Select select) {
        List<Item> items = new ArrayList<>();
        for (Item item : select.items()) {
            if (item.value() instanceof Expr.Star star && star.except().isEmpty()) {
                items.addAll(spelled(star));
            } else {
                items.add(item);
            }
        }
        return items;
    }

    private List<Item> spelled(Expr.Star star) {
        List<Item> items = new ArrayList<>();
        for (Shape shape : shapes) {
            boolean meant = star.table()
                    .map(t -> t.last().text().equalsIgnoreCase(shape.name()))
                    .orElse(true);
            if (!meant) {
                continue;
            }
            QualifiedName table = star.table().orElseGet(() -> QualifiedName.of(shape.name()));
            if (shape.columns().isEmpty()) {
                items.add(Item.of(new Expr.Star(Optional.of(table), List.of(), star.span())));
            }
            shape.columns()
                    .orElse(List.of())
                    .forEach(c -> items.add(Item.of(new Expr.Column(
                            new QualifiedName(List.of(Name.of(shape.name()), c)), false, star.span()))));
        }
        return items;
    }
}
