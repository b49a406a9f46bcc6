package raftcart.rewrite;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Grouping;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.Truth;

/** Says PIVOT with CASE and UNPIVOT with UNION ALL. */
final class PivotAdapter {
    private final QueryAdapter adapter;

    PivotAdapter(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    TableRef pivot(TableRef.Pivot pivot) {
        List<String> columns = columns(pivot.source());
        Set<String> used = new HashSet<>();
        pivot.aggregates().forEach(a -> collect(a.value(), used));
        pivot.by().forEach(b -> collect(b, used));
        List<Item> items = new ArrayList<>();
        List<Grouping> groups = new ArrayList<>();
        for (String column : columns) {
            if (!used.contains(column.toLowerCase(Locale.ROOT))) {
                items.add(Item.of(Expr.Column.of(column)));
                groups.add(Grouping.of(Expr.Column.of(column)));
            }
        }
        for (Item value : pivot.values()) {
            for (Item aggregate : pivot.aggregates()) {
                items.add(cell(pivot, value, aggregate));
            }
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, pivot.span(), "PIVOT as aggregates of choices");
        Select select =
                Select.of(items, List.of(pivot.source()), Optional.empty()).withGroups(groups);
        Optional<TableRef.Alias> alias = Optional.of(pivot.alias().orElse(TableRef.Alias.of("pivoted_")));
        return adapter.table(new TableRef.Derived(Query.of(select), false, alias, pivot.span()));
    }

    private static Item cell(TableRef.Pivot pivot, Item value, Item aggregate) {
        if (!(aggregate.value() instanceof Expr.Call call) || call.arguments().size() != 1) {
            throw new Untranslatable("PIVOT with this aggregate");
        }
        Expr wanted = value.value();
        if (wanted instanceof Expr.Column name) {
            wanted = Expr.Literal.string(name.name().last().text()); // a bracketed name stands for its text
        }
        Expr is = new Expr.Binary(
                BinaryOperator.EQUAL, pivot.by().get(0), wanted, value.value().span());
        boolean star = call.arguments().get(0) instanceof Expr.Star;
        Expr argument = star ? Expr.Literal.number(1) : call.arguments().get(0);
        Expr choice = new Expr.Case(
                Optional.empty(),
                List.of(new Expr.When(is, argument)),
                Optional.empty(),
                value.value().span());
        Expr cell = new Expr.Call(call.name(), call.canonical(), List.of(choice), call.suffix(), call.span());
        String label = value.alias().map(Name::text).orElseGet(() -> label(value.value()));
        String suffix = aggregate.alias().map(a -> "_" + a.text()).orElse("");
        return new Item(cell, Optional.of(Name.of(label + suffix)));
    }

    /** The name that a value gives its column. */
    private static String label(Expr value) {
        if (value instanceof Expr.Literal literal) {
            return literal.text();
        }
        if (value instanceof Expr.Column column) {
            return column.name().last().text();
        }
        throw new Untranslatable("PIVOT by a value without a name of its own; give it an alias");
    }

    private static void collect(Expr e, Set<String> names) {
        new QueryMapper() {
            @Override
            public Expr expr(Expr inner) {
                if (inner instanceof Expr.Column column) {
                    names.add(column.name().last().key());
                }
                return super.expr(inner);
            }
        }.expr(e);
    }

    private List<String> columns(TableRef source) {
        Scope scope = new Scope(Optional.of(adapter.scope));
        adapter.finder.addTable(source, scope);
        if (scope.relations().size() != 1 || !scope.relations().get(0).complete()) {
            throw new Untranslatable("PIVOT of a table whose columns are not known");
        }
        return scope.relations().get(0).columns().values().stream()
                .map(Scope.ColumnFacts::name)
                .toList();
    }

    TableRef unpivot(TableRef.Unpivot unpivot) {
        List<String> columns = columns(unpivot.source());
        Set<String> turned = new HashSet<>();
        unpivot.columns().forEach(c -> collect(c.value(), turned));
        QueryBody all = null;
        for (Item column : unpivot.columns()) {
            List<Item> items = new ArrayList<>();
            for (String name : columns) {
                if (!turned.contains(name.toLowerCase(Locale.ROOT))) {
                    items.add(Item.of(Expr.Column.of(name)));
                }
            }
            String label = column.alias()
                    .map(Name::text)
                    .orElse(((Expr.Column) column.value()).name().last().text());
            items.add(new Item(Expr.Literal.string(label), Optional.of(unpivot.by())));
            items.add(new Item(column.value(), Optional.of(unpivot.value())));
            Optional<Expr> where = unpivot.withNulls()
                    ? Optional.empty()
                    : Optional.of(new Expr.Is(column.value(), Truth.NULL, true, unpivot.span()));
            Select one = Select.of(items, List.of(unpivot.source()), where);
            all = all == null
                    ? one
                    : new QueryBody.SetOperation(QueryBody.SetOperation.Kind.UNION, true, all, one, unpivot.span());
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, unpivot.span(), "UNPIVOT as a union");
        Optional<TableRef.Alias> alias = Optional.of(unpivot.alias().orElse(TableRef.Alias.of("unpivoted_")));
        return adapter.table(new TableRef.Derived(Query.of(all), false, alias, unpivot.span()));
    }
}
