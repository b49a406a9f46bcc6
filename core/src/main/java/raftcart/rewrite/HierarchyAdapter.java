package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Grouping;
import raftcart.sql.tree.QueryBody.Hierarchy;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.TableRef;

/** Says CONNECT BY over one table with a recursive common table. */
final class HierarchyAdapter {
    static final String TREE = "tree_";
    static final String DEPTH = "depth_";

    private final QueryAdapter adapter;

    HierarchyAdapter(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    Query rewrite(Query query, Select select) {
        Hierarchy hierarchy = select.hierarchy().orElseThrow();
        if (!adapter.to.has(SqlFeature.RECURSION)) {
            throw new Untranslatable("a hierarchical query");
        }
        TableRef table = table(select);
        String alias = ChangeAdapter.alias(table).text();
        Span span = select.span();
        adapter.note(FindingCode.SYNTAX_ADAPTED, span, "CONNECT BY as a recursive query");
        boolean generator = hierarchy.start().isEmpty()
                && table instanceof TableRef.Table t
                && t.name().key().equals("dual");
        TreeColumns columns = new TreeColumns(hierarchy, table, alias);
        List<Item> items = new ArrayList<>();
        for (Item item : select.items()) {
            items.addAll(outer(item, table, columns));
        }
        Optional<Expr> where = select.where().map(columns::outer);
        List<OrderItem> order = new ArrayList<>(query.order().stream()
                .map(o -> o.withValue(columns.outer(o.value())))
                .toList());
        if (!hierarchy.siblings().isEmpty()) {
            order.add(new OrderItem(columns.siblings(hierarchy.siblings()), false, OrderItem.Nulls.DEFAULT));
        } else if (!generator && order.isEmpty()) {
            adapter.note(FindingCode.SYNTAX_CHECK, span, "the rows come in no particular order, not depth first");
        }
        if (generator && !columns.roots().isEmpty()) {
            throw new Untranslatable("paths and roots of rows that are only counted");
        }
        Query.CommonTable tree = generator ? numbers(hierarchy, span) : tree(table, alias, hierarchy, columns, span);
        TableRef from = new TableRef.Table(
                QualifiedName.of(TREE), Optional.of(TableRef.Alias.of(alias)), Optional.empty(), false, span);
        List<Query.CommonTable> tables = new ArrayList<>(query.with());
        tables.add(tree);
        Select outer = select.withoutHierarchy()
                .withFrom(List.of(generator ? TableRef.Table.of(QualifiedName.of(TREE)) : from))
                .withItems(items)
                .withGroups(
                        select.groupBy().stream().map(g -> outer(g, columns)).toList(),
                        select.having().map(columns::outer))
                .withWhere(where);
        return new Query(tables, true, outer, order, query.paging(), query.locking(), query.span());
    }

    private static TableRef table(Select select) {
        boolean one = select.from().size() == 1
                && (select.from().get(0) instanceof TableRef.Table
                        || select.from().get(0) instanceof TableRef.Derived d
                                && d.alias().isPresent());
        if (!one) {
            throw new Untranslatable("a hierarchical query over several tables");
        }
        return select.from().get(0);
    }

    private static Grouping outer(Grouping grouping, TreeColumns columns) {
        return new Grouping(
                grouping.kind(),
                grouping.items().stream().map(columns::outer).toList(),
                grouping.sets().stream().map(s -> outer(s, columns)).toList());
    }

    /** An item of the query; a star as the table's own columns, since the tree has more. */
    private List<Item> outer(Item item, TableRef table, TreeColumns columns) {
        if (item.value() instanceof Expr.Star star) {
            Optional<Knowledge.KnownTable> known =
                    table instanceof TableRef.Table t ? adapter.knowledge.table(t.name()) : Optional.empty();
            if (known.isEmpty()) {
                adapter.note(
                        FindingCode.SYNTAX_CHECK,
                        star.span(),
                        "the star also gives the columns that the recursion needs; name the columns");
                return List.of(item);
            }
            return known.get().columns().values().stream()
                    .map(c -> Item.of(new Expr.Column(new QualifiedName(List.of(c.name())), false, star.span())))
                    .toList();
        }
        return List.of(new Item(columns.outer(item.value()), item.alias().or(() -> level(item.value()))));
    }

    private static Optional<Name> level(Expr e) {
        return TreeColumns.isLevel(e) ? Optional.of(Name.of("level")) : Optional.empty();
    }

    private Query.CommonTable tree(TableRef table, String alias, Hierarchy hierarchy, TreeColumns columns, Span span) {
        List<Expr> conditions = new ArrayList<>(List.of(columns.connected(TREE, alias)));
        if (hierarchy.noCycle()) {
            conditions.add(columns.unvisited());
        }
        TableRef source = columns.source(table);
        Expr all = new Expr.Star(Optional.of(QualifiedName.of(alias)), List.of(), span);
        List<Item> first =
                new ArrayList<>(List.of(Item.of(all), new Item(Expr.Literal.number(1), Optional.of(Name.of(DEPTH)))));
        first.addAll(columns.roots());
        Select roots = Select.of(first, List.of(source), hierarchy.start());
        List<Item> next = new ArrayList<>(List.of(Item.of(all), Item.of(columns.deeper(span))));
        columns.children().forEach(c -> next.add(Item.of(c)));
        TableRef join = new TableRef.Join(
                TableRef.Join.Kind.INNER,
                source,
                TableRef.Table.of(QualifiedName.of(TREE)),
                OldForms.and(conditions),
                List.of(),
                span);
        Select children = Select.of(next, List.of(join), Optional.empty());
        return new Query.CommonTable(Name.of(TREE), List.of(), union(roots, children, span), "");
    }

    private static Query union(Select roots, Select children, Span span) {
        return Query.of(new QueryBody.SetOperation(QueryBody.SetOperation.Kind.UNION, true, roots, children, span));
    }

    /** CONNECT BY LEVEL <= n over DUAL gives numbers. */
    private static Query.CommonTable numbers(Hierarchy hierarchy, Span span) {
        Select first = Select.of(
                List.of(new Item(Expr.Literal.number(1), Optional.of(Name.of(DEPTH)))), List.of(), Optional.empty());
        Expr deeper = new Expr.Binary(BinaryOperator.ADD, Expr.Column.of(DEPTH), Expr.Literal.number(1), span);
        Expr condition = new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                return TreeColumns.isLevel(e) ? deeper : super.expr(e);
            }
        }.expr(hierarchy.connect());
        Select next = Select.of(
                List.of(Item.of(deeper)), List.of(TableRef.Table.of(QualifiedName.of(TREE))), Optional.of(condition));
        return new Query.CommonTable(Name.of(TREE), List.of(Name.of(DEPTH)), union(first, next, span), "");
    }
}
