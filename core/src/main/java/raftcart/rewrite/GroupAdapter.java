package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.Grouping;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryMapper;

/** Adapts GROUP BY and HAVING: aliases and places in them, and columns that they leave out. */
final class GroupAdapter {
    private final ExprAdapter adapter;

    GroupAdapter(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** GROUP BY ALL with the items that it means. */
    static Query spelled(Query query, QueryAdapter adapter) {
        boolean all =
                query.body() instanceof Select s && s.groupBy().stream().anyMatch(g -> g.kind() == Grouping.Kind.ALL);
        if (!all) {
            return query;
        }
        Select select = (Select) query.body();
        if (select.items().stream().anyMatch(i -> i.value() instanceof Expr.Star)) {
            throw new Untranslatable("GROUP BY ALL beside a star");
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, select.span(), "GROUP BY ALL with the items that it means");
        return query.withBody(select.withGroupBy(select.items().stream()
                .map(Item::value)
                .filter(v -> !(v instanceof Expr.Literal) && !Aggregates.in(v, adapter.from))
                .map(Grouping::of)
                .toList()));
    }

    /** What an alias or a place in GROUP BY stands for. */
    static Expr meant(Expr item, Select select) {
        boolean place = item instanceof Expr.Literal l
                && l.kind() == LiteralKind.NUMBER
                && l.isDigits(3)
                && Integer.parseInt(l.text()) >= 1
                && Integer.parseInt(l.text()) <= select.items().size();
        if (place) {
            return select.items()
                    .get(Integer.parseInt(((Expr.Literal) item).text()) - 1)
                    .value();
        }
        return item instanceof Expr.Column c && c.name().parts().size() == 1
                ? select.items().stream()
                        .filter(i -> i.alias()
                                .filter(a -> a.matches(c.name().last()))
                                .isPresent())
                        .map(Item::value)
                        // An expression of the column itself under its name: the column comes before the alias.
                        .filter(v -> v instanceof Expr.Column
                                || !ExprSearch.mentions(v, c.name().last()))
                        .findFirst()
                        .orElse(item)
                : item;
    }

    /** The groups with aliases and places replaced by what they stand for, where the target does not take them. */
    List<Grouping> groups(Select select) {
        boolean places = !adapter.to.has(SqlFeature.GROUP_BY_WITHOUT_PLACES);
        if (adapter.to.has(SqlFeature.ALIAS_IN_GROUP_BY) && places) {
            return select.groupBy();
        }
        return select.groupBy().stream().map(g -> replaced(g, select)).toList();
    }

    private Grouping replaced(Grouping grouping, Select select) {
        List<Expr> items =
                grouping.items().stream().map(i -> replaced(i, select)).toList();
        return new Grouping(
                grouping.kind(),
                items,
                grouping.sets().stream().map(s -> replaced(s, select)).toList());
    }

    private Expr replaced(Expr item, Select select) {
        if (item instanceof Expr.Literal place && place.kind() == LiteralKind.NUMBER && place.isDigits(4)) {
            int index = Integer.parseInt(place.text()) - 1;
            if (index >= 0 && index < select.items().size()) {
                adapter.note(FindingCode.SYNTAX_ADAPTED, item.span(), "the expression for its place in GROUP BY");
                return select.items().get(index).value();
            }
        }
        return alias(item, select)
                .map(e -> {
                    adapter.note(FindingCode.SYNTAX_ADAPTED, item.span(), "the expression for its alias in GROUP BY");
                    return e;
                })
                .orElse(item);
    }

    private Optional<Expr> alias(Expr item, Select select) {
        if (!(item instanceof Expr.Column column) || column.name().parts().size() > 1) {
            return Optional.empty();
        }
        if (adapter.scope.column(column.name()).isPresent()) {
            return Optional.empty(); // a column of a table comes before an alias
        }
        return ofAlias(column, select);
    }

    /** HAVING of single rows, as MySQL and HSQLDB have it without groups or aggregates, as WHERE. */
    static Query ofRows(Query query, QueryAdapter adapter) {
        boolean each = adapter.lost(SqlFeature.HAVING_OF_ROWS) || adapter.lost(SqlFeature.HAVING_ASKS_EACH_ROW);
        boolean rows = each && query.body() instanceof Select s && isOneGroup(s, adapter);
        if (!rows) {
            return query;
        }
        Select select = (Select) query.body();
        Expr condition = new ColumnNames(c -> c.name().parts().size() > 1
                        ? Optional.empty()
                        : select.items().stream()
                                .filter(i -> i.alias()
                                        .filter(a -> a.matches(c.name().last()))
                                        .isPresent())
                                .map(Item::value)
                                .findFirst())
                .expr(select.having().get());
        adapter.note(FindingCode.SYNTAX_ADAPTED, condition.span(), "HAVING of single rows as WHERE");
        List<Expr> all = new ArrayList<>();
        select.where().ifPresent(all::add);
        all.add(condition);
        return query.withBody(select.withConditions(OldForms.and(all), Optional.empty()));
    }

    /** HAVING without groups or aggregates, of the one group that all rows are, which says nothing of single rows. */
    static Query ofOneGroup(Query query, QueryAdapter adapter) {
        boolean whole = adapter.to.has(SqlFeature.HAVING_ASKS_EACH_ROW)
                && !adapter.from.has(SqlFeature.HAVING_ASKS_EACH_ROW)
                && query.body() instanceof Select s
                && isOneGroup(s, adapter);
        if (!whole) {
            return query;
        }
        Select select = (Select) query.body();
        adapter.note(FindingCode.SYNTAX_ADAPTED, select.span(), "HAVING of all rows as WHERE of none");
        return query.withBody(select.withFrom(List.of()).withConditions(select.having(), Optional.empty()));
    }

    private static boolean isOneGroup(Select select, QueryAdapter adapter) {
        return select.having().isPresent()
                && select.groupBy().isEmpty()
                && !Aggregates.in(select.having().get(), adapter.from)
                && select.items().stream().noneMatch(i -> Aggregates.in(i.value(), adapter.from));
    }

    /** HAVING with aliases replaced where the target does not take them. */
    Expr having(Expr having, Select select) {
        if (!adapter.lost(SqlFeature.ALIAS_IN_HAVING)) {
            return having;
        }
        QueryMapper columns = new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                return alias(e, select).orElseGet(() -> e instanceof Expr.Subquery ? e : super.expr(e));
            }
        };
        return new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                if (Aggregates.is(e, adapter.from)) {
                    return alias(e, select).orElseGet(() -> e.map(columns));
                }
                return named(e, select)
                        .or(() -> alias(e, select))
                        .orElseGet(() -> e instanceof Expr.Subquery ? e : super.expr(e));
            }
        }.expr(having);
    }

    /** An item by its alias, which comes before a column that is not grouped. */
    private static Optional<Expr> named(Expr e, Select select) {
        boolean grouped = select.groupBy().stream()
                .flatMap(g -> g.items().stream())
                .anyMatch(i -> i instanceof Expr.Column g
                        && e instanceof Expr.Column c
                        && g.name().last().matches(c.name().last()));
        if (grouped
                || !(e instanceof Expr.Column column)
                || column.name().parts().size() > 1) {
            return Optional.empty();
        }
        return ofAlias(column, select);
    }

    /** What is selected under the name of a column, unless it is that column itself. */
    private static Optional<Expr> ofAlias(Expr.Column column, Select select) {
        return select.items().stream()
                .filter(i ->
                        i.alias().filter(a -> a.matches(column.name().last())).isPresent())
                .map(Item::value)
                .filter(v -> !v.equals(column))
                .findFirst();
    }
}
