package raftcart.rewrite;

import static raftcart.rewrite.HierarchyAdapter.DEPTH;
import static raftcart.rewrite.HierarchyAdapter.TREE;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.Untranslatable;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.Hierarchy;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TypeName;
import raftcart.sql.tree.UnaryOperator;
import raftcart.sql.tree.Window;

/** The columns that a recursive query carries along for what only CONNECT BY knows: paths, roots, the order of siblings. */
final class TreeColumns {
    private static final String CHILD = "child_";
    private static final String SIBLING = "sibling_";
    private static final TypeName TEXT = TypeName.of("varchar", 4000);
    private static final int DIGITS = 10;
    /** Added to the number of a row, so that all have as many digits and sort as texts. */
    private static final int FIRST_SIBLING = 1_000_000_000;

    private final Hierarchy hierarchy;
    private final TableRef table;
    private final String alias;
    private final List<Item> roots = new ArrayList<>();
    private final List<Expr> children = new ArrayList<>();
    private List<OrderItem> siblings = List.of();

    TreeColumns(Hierarchy hierarchy, TableRef table, String alias) {
        this.hierarchy = hierarchy;
        this.table = table;
        this.alias = alias;
    }

    /** What the first rows carry beside the table's columns and their depth. */
    List<Item> roots() {
        return roots;
    }

    /** The same for the rows below. */
    List<Expr> children() {
        return children;
    }

    static boolean isLevel(Expr e) {
        return e instanceof Expr.Column c && c.name().key().equals("level");
    }

    Expr deeper(Span span) {
        return new Expr.Binary(BinaryOperator.ADD, Expr.Column.of(TREE, DEPTH), Expr.Literal.number(1), span);
    }

    /** An expression of the query, in terms of the tree. */
    Expr outer(Expr e) {
        return new QueryMapper() {
            @Override
            public Expr expr(Expr inner) {
                if (isLevel(inner)) {
                    return Expr.Column.of(DEPTH);
                }
                if (inner instanceof Expr.Unary u && u.operator() == UnaryOperator.ROOT) {
                    Name root = carried("root_", own(u.operand()), Optional.empty());
                    return Expr.Column.of(root.text());
                }
                if (inner instanceof Expr.Call call && call.function().equals("sys_connect_by_path")) {
                    return path(call);
                }
                boolean leaf = inner instanceof Expr.Column c && c.name().key().equals("connect_by_isleaf");
                if (leaf) {
                    return isLeaf(inner.span());
                }
                if (inner instanceof Expr.Unary u && u.operator() == UnaryOperator.PRIOR) {
                    return prior(u.operand());
                }
                if (inner instanceof Expr.Column c && c.name().last().key().startsWith("connect_by_")) {
                    throw new Untranslatable("CONNECT_BY_ISCYCLE among the columns of a hierarchical query");
                }
                return super.expr(inner);
            }
        }.expr(e);
    }

    /** A value of the row above; NULL, of the value's type, where there is none. */
    private Expr prior(Expr value) {
        Name name = Name.of("prior_" + (roots.size() + 1) + "_");
        roots.add(new Item(Expr.Call.of("nullif", own(value), own(value)), Optional.of(name)));
        children.add(qualified(value, TREE));
        return Expr.Column.of(name.text());
    }

    private Expr path(Expr.Call call) {
        if (call.arguments().size() != 2) {
            throw new Untranslatable("SYS_CONNECT_BY_PATH of this form");
        }
        Expr step = new Expr.Concat(
                List.of(call.arguments().get(1), own(call.arguments().get(0))), true, call.span());
        return Expr.Column.of(carried("path_", text(step), Optional.of(step)).text());
    }

    /** A column that the tree carries: this value in the first rows, below them that of the parent with a step added. */
    private Name carried(String word, Expr first, Optional<Expr> step) {
        Name name = Name.of(word + (roots.size() + 1) + "_");
        Expr parent = Expr.Column.of(TREE, name.text());
        roots.add(new Item(first, Optional.of(name)));
        children.add(step.map(s -> text(new Expr.Concat(List.of(parent, s), false, s.span())))
                .orElse(parent));
        return name;
    }

    private static Expr text(Expr e) {
        return new Expr.Cast(e, TEXT, false, e.span());
    }

    /** The place of a row among all, depth first, with siblings in this order. */
    Expr siblings(List<OrderItem> order) {
        siblings = order;
        Expr number = new Expr.Binary(
                BinaryOperator.ADD, Expr.Literal.number(FIRST_SIBLING), Expr.Column.of(alias, SIBLING), Span.NONE);
        Expr place = new Expr.Cast(number, TypeName.of("varchar", DIGITS), false, Span.NONE);
        return Expr.Column.of(carried("place_", text(place), Optional.of(place)).text());
    }

    /** The table, with its rows numbered where siblings have an order. */
    TableRef source(TableRef given) {
        if (siblings.isEmpty()) {
            return given instanceof TableRef.Table t
                    ? new TableRef.Table(
                            t.name(), Optional.of(TableRef.Alias.of(alias)), t.sample(), t.only(), t.span())
                    : given;
        }
        Window window = new Window(Optional.empty(), List.of(), siblings, Optional.empty());
        Expr number = new Expr.Call(
                QualifiedName.of("row_number"), true, List.of(), CallSuffix.NONE.withOver(window), Span.NONE);
        Expr all = new Expr.Star(Optional.of(QualifiedName.of(alias)), List.of(), Span.NONE);
        Select numbered = Select.of(
                List.of(Item.of(all), new Item(number, Optional.of(Name.of(SIBLING)))),
                List.of(given),
                Optional.empty());
        return new TableRef.Derived(Query.of(numbered), false, Optional.of(TableRef.Alias.of(alias)), Span.NONE);
    }

    /** True for a row that no row above it is; NOCYCLE stops there. */
    Expr unvisited() {
        Expr[] key = {null};
        new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                key[0] = key[0] == null && e instanceof Expr.Unary u && u.operator() == UnaryOperator.PRIOR
                        ? u.operand()
                        : key[0];
                return super.expr(e);
            }
        }.expr(hierarchy.connect());
        if (key[0] == null) {
            throw new Untranslatable("NOCYCLE without PRIOR");
        }
        Expr slash = Expr.Literal.string("/");
        Expr step = new Expr.Concat(List.of(slash, own(key[0]), slash), true, Span.NONE);
        Name visited = carried("visited_", text(step), Optional.of(step));
        Expr found = Expr.Call.of("locate", Expr.Column.of(TREE, visited.text()), step);
        return new Expr.Binary(BinaryOperator.EQUAL, found, Expr.Literal.number(0), Span.NONE);
    }

    /** 1 for a row without rows below it, else 0. */
    private Expr isLeaf(Span span) {
        TableRef child = table instanceof TableRef.Table t
                ? new TableRef.Table(t.name(), Optional.of(TableRef.Alias.of(CHILD)), Optional.empty(), false, span)
                : new TableRef.Derived(
                        ((TableRef.Derived) table).query(), false, Optional.of(TableRef.Alias.of(CHILD)), span);
        Select below = Select.of(
                List.of(Item.of(Expr.Literal.number(1))), List.of(child), Optional.of(connected(alias, CHILD)));
        return Expr.Case.of(new Expr.Exists(Query.of(below), span), Expr.Literal.number(0), Expr.Literal.number(1));
    }

    /** Bare columns as those of the table. */
    private Expr own(Expr e) {
        return qualified(e, alias);
    }

    private static Expr qualified(Expr expression, String table) {
        return new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                return e instanceof Expr.Column c && c.name().parts().size() == 1
                        ? new Expr.Column(
                                new QualifiedName(
                                        List.of(Name.of(table), c.name().last())),
                                false,
                                e.span())
                        : super.expr(e);
            }
        }.expr(expression);
    }

    /** The condition of CONNECT BY: PRIOR x is the parent's x, other columns are the child's own. */
    Expr connected(String parent, String child) {
        return new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                if (e instanceof Expr.Unary u && u.operator() == UnaryOperator.PRIOR) {
                    if (!(u.operand() instanceof Expr.Column c)) {
                        throw new Untranslatable("PRIOR before other than a column");
                    }
                    return new Expr.Column(
                            new QualifiedName(List.of(Name.of(parent), c.name().last())), false, e.span());
                }
                if (isLevel(e)) {
                    return new Expr.Binary(
                            BinaryOperator.ADD, Expr.Column.of(parent, DEPTH), Expr.Literal.number(1), e.span());
                }
                if (e instanceof Expr.Column c && c.name().parts().size() <= 2) {
                    return new Expr.Column(
                            new QualifiedName(List.of(Name.of(child), c.name().last())), false, e.span());
                }
                return super.expr(e);
            }
        }.expr(hierarchy.connect());
    }
}
