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
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Hierarchy;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.UnaryOperator;

/** Says CONNECT BY over one table with a recursive common table. */
final class HierarchyAdapter {
    private static final String TREE = "tree_";
    private static final String DEPTH = "depth_";

    private final QueryAdapter adapter;

    HierarchyAdapter(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    Query rewrite(Query query, Select select) {
        Hierarchy hierarchy = select.hierarchy().orElseThrow();
        if (!adapter.to.has(SqlFeature.RECURSION)) {
            throw new Untranslatable("a hierarchical query");
        }
        if (hierarchy.noCycle() || !hierarchy.siblings().isEmpty()) {
            throw new Untranslatable("a hierarchical query with NOCYCLE or ORDER SIBLINGS BY");
        }
        if (select.from().size() != 1 || !(select.from().get(0) instanceof TableRef.Table table)) {
            throw new Untranslatable("a hierarchical query over several tables");
        }
        boolean generator = hierarchy.start().isEmpty() && table.name().key().equals("dual");
        if (hierarchy.start().isEmpty() && !generator) {
            throw new Untranslatable("a hierarchical query without START WITH");
        }
        Span span = select.span();
        adapter.note(FindingCode.SYNTAX_ADAPTED, span, "CONNECT BY as a recursive query");
        if (!generator && query.order().isEmpty()) {
            adapter.note(FindingCode.SYNTAX_CHECK, span, "the rows come in no particular order, not depth first");
        }
        String alias = table.alias()
                .map(a -> a.name().text())
                .orElse(table.name().last().text());
        Query.CommonTable tree = generator ? numbers(hierarchy, span) : tree(table, alias, hierarchy, span);
        TableRef from = new TableRef.Table(
                QualifiedName.of(TREE), Optional.of(TableRef.Alias.of(alias)), Optional.empty(), false, span);
        List<Query.CommonTable> tables = new ArrayList<>(query.with());
        tables.add(tree);
        Select outer = select.withoutHierarchy()
                .withFrom(List.of(generator ? TableRef.Table.of(QualifiedName.of(TREE)) : from))
                .withItems(select.items().stream()
                        .map(i -> new Item(outerColumn(i.value()), i.alias().or(() -> level(i.value()))))
                        .toList())
                .withWhere(select.where().map(this::outerColumn));
        return new Query(
                tables,
                true,
                outer,
                query.order().stream()
                        .map(o -> o.withValue(outerColumn(o.value())))
                        .toList(),
                query.paging(),
                query.locking(),
                query.span());
    }

    private static Optional<Name> level(Expr e) {
        return isLevel(e) ? Optional.of(Name.of("level")) : Optional.empty();
    }

    private static boolean isLevel(Expr e) {
        return e instanceof Expr.Column c && c.name().key().equals("level");
    }

    /** LEVEL is the depth; what only CONNECT BY knows cannot be said. */
    private Expr outerColumn(Expr e) {
        return new QueryMapper() {
            @Override
            public Expr expr(Expr inner) {
                if (isLevel(inner)) {
                    return Expr.Column.of(DEPTH);
                }
                boolean known = inner instanceof Expr.Unary u
                                && (u.operator() == UnaryOperator.PRIOR || u.operator() == UnaryOperator.ROOT)
                        || inner instanceof Expr.Column c
                                && c.name().last().key().startsWith("connect_by_")
                        || inner instanceof Expr.Call call && call.function().equals("sys_connect_by_path");
                if (known) {
                    throw new Untranslatable("PRIOR, CONNECT_BY_ROOT and paths in a hierarchical query");
                }
                return super.expr(inner);
            }
        }.expr(e);
    }

    private Query.CommonTable tree(TableRef.Table table, String alias, Hierarchy hierarchy, Span span) {
        TableRef source = new TableRef.Table(
                table.name(), Optional.of(TableRef.Alias.of(alias)), Optional.empty(), table.only(), span);
        Expr all = new Expr.Star(Optional.of(QualifiedName.of(alias)), List.of(), span);
        Select roots = Select.of(
                List.of(Item.of(all), new Item(Expr.Literal.number(1), Optional.of(Name.of(DEPTH)))),
                List.of(source),
                hierarchy.start());
        Expr deeper = new Expr.Binary(BinaryOperator.ADD, Expr.Column.of(TREE, DEPTH), Expr.Literal.number(1), span);
        TableRef join = new TableRef.Join(
                TableRef.Join.Kind.INNER,
                source,
                TableRef.Table.of(QualifiedName.of(TREE)),
                Optional.of(connected(hierarchy.connect(), alias)),
                List.of(),
                span);
        Select children = Select.of(List.of(Item.of(all), Item.of(deeper)), List.of(join), Optional.empty());
        return new Query.CommonTable(Name.of(TREE), List.of(), union(roots, children, span), "");
    }

    private static Query union(Select roots, Select children, Span span) {
        return Query.of(new QueryBody.SetOperation(QueryBody.SetOperation.Kind.UNION, true, roots, children, span));
    }

    /** PRIOR x is the parent's x, other columns are the child's own. */
    private static Expr connected(Expr connect, String alias) {
        return new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                if (e instanceof Expr.Unary u && u.operator() == UnaryOperator.PRIOR) {
                    if (!(u.operand() instanceof Expr.Column c)) {
                        throw new Untranslatable("PRIOR before other than a column");
                    }
                    return new Expr.Column(
                            new QualifiedName(List.of(Name.of(TREE), c.name().last())), false, e.span());
                }
                if (isLevel(e)) {
                    return new Expr.Binary(
                            BinaryOperator.ADD, Expr.Column.of(TREE, DEPTH), Expr.Literal.number(1), e.span());
                }
                if (e instanceof Expr.Column c && c.name().parts().size() == 1) {
                    return new Expr.Column(
                            new QualifiedName(List.of(Name.of(alias), c.name().last())), false, e.span());
                }
                return super.expr(e);
            }
        }.expr(connect);
    }

    /** CONNECT BY LEVEL <= n over DUAL gives numbers. */
    private static Query.CommonTable numbers(Hierarchy hierarchy, Span span) {
        Select first = Select.of(
                List.of(new Item(Expr.Literal.number(1), Optional.of(Name.of(DEPTH)))), List.of(), Optional.empty());
        Expr deeper = new Expr.Binary(BinaryOperator.ADD, Expr.Column.of(DEPTH), Expr.Literal.number(1), span);
        Expr condition = new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                return isLevel(e) ? deeper : super.expr(e);
            }
        }.expr(hierarchy.connect());
        Select next = Select.of(
                List.of(Item.of(deeper)), List.of(TableRef.Table.of(QualifiedName.of(TREE))), Optional.of(condition));
        return new Query.CommonTable(Name.of(TREE), List.of(Name.of(DEPTH)), union(first, next, span), "");
    }
}
