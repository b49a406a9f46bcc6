package raftcart.rewrite;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Query.Paging;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TableRef.Join;

/** Brings old forms of queries into standard ones: joins marked with (+), ROWNUM, and CONNECT BY. */
final class OldForms {
    private final QueryAdapter adapter;

    OldForms(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    Query rewrite(Query query) {
        if (!(query.body() instanceof Select select)) {
            return query;
        }
        Query result = KeptAggregates.rewrite(adapter, query);
        select = (Select) result.body();
        if (select.hierarchy().isPresent()) {
            result = new HierarchyAdapter(adapter).rewrite(result, select);
            select = (Select) result.body();
        }
        if (select.where().isPresent() && hasMark(select.where().get())) {
            select = joined(select);
            result = result.withBody(select);
        }
        if (!adapter.lost(SqlFeature.ROW_NUMBERS)) {
            return result;
        }
        return new CountedRows(adapter).rewrite(numbered(result, select));
    }

    static List<Expr> conjuncts(Expr condition) {
        List<Expr> parts = new ArrayList<>();
        if (condition instanceof Expr.Junction junction && junction.and()) {
            junction.parts().forEach(p -> parts.addAll(conjuncts(p)));
        } else {
            parts.add(condition);
        }
        return parts;
    }

    static Optional<Expr> and(List<Expr> parts) {
        if (parts.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(
                parts.size() == 1
                        ? parts.get(0)
                        : new Expr.Junction(true, parts, parts.get(0).span()));
    }

    private static boolean hasMark(Expr e) {
        return !marked(e).isEmpty();
    }

    /** The tables whose columns carry the mark in a condition. */
    private static Set<String> marked(Expr e) {
        Set<String> tables = new LinkedHashSet<>();
        new QueryMapper() {
            @Override
            public Expr expr(Expr inner) {
                if (inner instanceof Expr.Column column && column.outer()) {
                    List<raftcart.sql.tree.Name> parts = column.name().parts();
                    tables.add(
                            parts.size() > 1
                                    ? parts.get(parts.size() - 2).text().toLowerCase(Locale.ROOT)
                                    : "");
                }
                return inner instanceof Expr.Subquery ? inner : super.expr(inner);
            }
        }.expr(e);
        return tables;
    }

    private static Expr withoutMark(Expr e) {
        return new QueryMapper() {
            @Override
            public Expr expr(Expr inner) {
                return inner instanceof Expr.Column column
                        ? new Expr.Column(column.name(), false, column.span())
                        : super.expr(inner);
            }
        }.expr(e);
    }

    /** The tables of FROM with those that are marked joined to the others by LEFT JOIN. */
    private Select joined(Select select) {
        Map<String, List<Expr>> conditions = new LinkedHashMap<>();
        List<Expr> rest = new ArrayList<>();
        for (Expr part : conjuncts(select.where().orElseThrow())) {
            Set<String> tables = marked(part);
            if (tables.isEmpty()) {
                rest.add(part);
            } else if (tables.size() > 1 || tables.contains("")) {
                throw new Untranslatable("a condition with (+) whose table is not plain");
            } else {
                conditions
                        .computeIfAbsent(tables.iterator().next(), t -> new ArrayList<>())
                        .add(withoutMark(part));
            }
        }
        List<TableRef> plain = new ArrayList<>();
        Map<String, TableRef> outer = new LinkedHashMap<>();
        for (TableRef table : select.from()) {
            String name = name(table);
            if (conditions.containsKey(name)) {
                outer.put(name, table);
            } else {
                plain.add(table);
            }
        }
        if (plain.isEmpty() || outer.size() != conditions.size()) {
            throw new Untranslatable("joins with (+) of this form");
        }
        TableRef joined = plain.get(0);
        for (TableRef table : plain.subList(1, plain.size())) {
            joined = new Join(Join.Kind.CROSS, joined, table, Optional.empty(), List.of(), select.span());
        }
        joined = outerJoins(joined, outer, conditions, select.span());
        adapter.note(FindingCode.SYNTAX_ADAPTED, select.span(), "(+) as LEFT JOIN");
        return select.withFrom(List.of(joined)).withWhere(and(rest));
    }

    /** Each marked table after those that its condition names. */
    private static TableRef outerJoins(
            TableRef base, Map<String, TableRef> outer, Map<String, List<Expr>> conditions, Span span) {
        TableRef joined = base;
        Map<String, TableRef> waiting = new LinkedHashMap<>(outer);
        while (!waiting.isEmpty()) {
            Optional<String> next = waiting.keySet().stream()
                    .filter(t -> waiting.keySet().stream()
                            .filter(o -> !o.equals(t))
                            .noneMatch(o -> conditions.get(t).stream().anyMatch(c -> names(c).contains(o))))
                    .findFirst();
            if (next.isEmpty()) {
                throw new Untranslatable("joins with (+) in a circle");
            }
            TableRef table = waiting.remove(next.get());
            joined = new Join(Join.Kind.LEFT, joined, table, and(conditions.get(next.get())), List.of(), span);
        }
        return joined;
    }

    private static Set<String> names(Expr e) {
        Set<String> tables = new LinkedHashSet<>();
        new QueryMapper() {
            @Override
            public Expr expr(Expr inner) {
                if (inner instanceof Expr.Column column && column.name().parts().size() > 1) {
                    List<raftcart.sql.tree.Name> parts = column.name().parts();
                    tables.add(parts.get(parts.size() - 2).text().toLowerCase(Locale.ROOT));
                }
                return super.expr(inner);
            }
        }.expr(e);
        return tables;
    }

    private static String name(TableRef table) {
        if (table instanceof TableRef.Table named) {
            return named.alias()
                    .map(a -> a.name().text())
                    .orElse(named.name().last().text())
                    .toLowerCase(Locale.ROOT);
        }
        return table instanceof TableRef.Derived d
                ? d.alias().map(a -> a.name().text().toLowerCase(Locale.ROOT)).orElse("")
                : "";
    }

    /** ROWNUM below a number as a limit. */
    private Query numbered(Query query, Select select) {
        Counted counted = counted(select.where());
        Optional<Expr> limit = counted.limit();
        if (limit.isEmpty()) {
            return query;
        }
        boolean plain = select.groupBy().isEmpty()
                && !select.distinct()
                && query.order().isEmpty()
                && query.paging().isEmpty()
                && select.items().stream().noneMatch(i -> Aggregates.in(i.value(), adapter.from));
        if (!plain) {
            return query.withBody(within(select, counted.where(), limit.get()));
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, select.span(), "ROWNUM as a limit");
        Optional<Paging> paging = Optional.of(new Paging(Optional.empty(), limit, false, false));
        boolean around = counted.where().isEmpty()
                && select.from().size() == 1
                && select.from().get(0) instanceof TableRef.Derived d
                && d.query().paging().isEmpty()
                && d.query().body() instanceof Select;
        if (around) {
            TableRef.Derived d = (TableRef.Derived) select.from().get(0);
            TableRef inner = new TableRef.Derived(d.query().withPaging(paging), d.lateral(), d.alias(), d.span());
            return query.withBody(select.withFrom(List.of(inner)).withWhere(Optional.empty()));
        }
        return query.withBody(select.withWhere(counted.where())).withPaging(paging);
    }

    /** ROWNUM counts before rows are grouped and sorted: the limit is that of the rows that are read. */
    private Select within(Select select, Optional<Expr> where, Expr limit) {
        boolean single = select.from().size() == 1
                && (select.from().get(0) instanceof TableRef.Table
                        || select.from().get(0) instanceof TableRef.Derived);
        if (!single) {
            throw new Untranslatable("ROWNUM in a query that is grouped or sorted, where it counts before that");
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, select.span(), "ROWNUM as a limit before rows are grouped and sorted");
        Span span = select.span();
        TableRef from = select.from().get(0);
        Optional<Paging> paging = Optional.of(new Paging(Optional.empty(), Optional.of(limit), false, false));
        boolean sorted =
                from instanceof TableRef.Derived d && !d.query().order().isEmpty();
        if (sorted) {
            TableRef.Derived d = (TableRef.Derived) from;
            if (where.isPresent() || d.query().paging().isPresent()) {
                throw new Untranslatable("ROWNUM beside conditions on sorted rows");
            }
            TableRef first = new TableRef.Derived(d.query().withPaging(paging), d.lateral(), d.alias(), d.span());
            return select.withFrom(List.of(first)).withWhere(Optional.empty());
        }
        Query rows = Query.of(Select.of(
                        List.of(Item.of(new Expr.Star(Optional.empty(), List.of(), span))), List.of(from), where))
                .withPaging(paging);
        TableRef.Alias alias = new TableRef.Alias(ChangeAdapter.alias(from), List.of(), List.of());
        return select.withFrom(List.of(new TableRef.Derived(rows, false, Optional.of(alias), span)))
                .withWhere(Optional.empty());
    }

    private static boolean mentionsRowNumber(Expr condition) {
        return ExprSearch.anyOutside(
                e -> e instanceof Expr.Subquery,
                condition,
                e -> e instanceof Expr.Column c && c.name().key().equals("rownum"));
    }

    /** The condition of a change without ROWNUM, and the limit that it is. */
    record Counted(Optional<Expr> where, Optional<Expr> limit) {}

    static Counted counted(Optional<Expr> where) {
        List<Expr> rest = new ArrayList<>();
        Optional<Expr> limit = Optional.empty();
        for (Expr part : where.map(OldForms::conjuncts).orElse(List.of())) {
            Optional<Expr> most = most(part);
            if (most.isPresent()) {
                limit = most;
            } else {
                rest.add(part);
            }
        }
        if (rest.stream().anyMatch(OldForms::mentionsRowNumber)) {
            throw new Untranslatable("ROWNUM in a condition of this form");
        }
        return new Counted(limit.isEmpty() ? where : and(rest), limit);
    }

    private static Optional<Expr> most(Expr condition) {
        boolean row = condition instanceof Expr.Binary b
                && b.left() instanceof Expr.Column c
                && c.name().key().equals("rownum");
        if (!row) {
            return Optional.empty();
        }
        Expr.Binary b = (Expr.Binary) condition;
        boolean one = b.right() instanceof Expr.Literal l && l.text().equals("1");
        if (b.operator() == BinaryOperator.LESS_OR_EQUAL || (b.operator() == BinaryOperator.EQUAL && one)) {
            return Optional.of(b.right());
        }
        if (b.operator() == BinaryOperator.LESS) {
            if (b.right() instanceof Expr.Literal l && l.kind() == LiteralKind.NUMBER && l.isDigits(18)) {
                return Optional.of(Expr.Literal.number(Long.parseLong(l.text()) - 1));
            }
            return Optional.of(new Expr.Binary(BinaryOperator.SUBTRACT, b.right(), Expr.Literal.number(1), b.span()));
        }
        return Optional.empty();
    }
}
