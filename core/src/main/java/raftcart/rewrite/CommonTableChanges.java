package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Query.CommonTable;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableRef;

/**
 * T-SQL changes the table that a common table reads: {@code WITH c AS (SELECT *, ROW_NUMBER() ...) DELETE FROM c WHERE n >
 * 1}. Elsewhere the common table gives the addresses of the rows.
 */
final class CommonTableChanges {
    private static final Name ADDRESS = Name.of("row_address_");

    private final QueryAdapter adapter;

    CommonTableChanges(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** Common tables before the query of an INSERT, or before the whole, as the target has it. */
    Statement.Insert insert(Statement.Insert insert) {
        Optional<Query> source = insert.source().filter(q -> !adapter.same());
        boolean leads = adapter.to.has(SqlFeature.COMMON_TABLES_LEAD);
        if (source.isEmpty() || (leads ? source.get().with() : insert.with()).isEmpty()) {
            return insert;
        }
        List<CommonTable> all = new ArrayList<>(insert.with());
        all.addAll(source.get().with());
        boolean twice = all.stream().map(t -> t.name().key()).distinct().count() < all.size();
        if (twice) {
            throw new Untranslatable("an INSERT with two common tables of one name");
        }
        return insert.withSource(source.get()
                        .withTables(leads ? List.of() : all, source.get().recursive()))
                .withCommonTables(leads ? all : List.of());
    }

    Statement.Delete delete(Statement.Delete delete) {
        Optional<CommonTable> read = read(delete.with(), delete.table());
        if (read.isEmpty() || !delete.using().isEmpty() || !delete.targets().isEmpty()) {
            return delete;
        }
        return new Statement.Delete(
                addressed(delete.with(), read.get()),
                List.of(),
                base(read.get()),
                List.of(),
                Optional.of(chosen(read.get(), delete.where(), delete.span())),
                List.of(),
                Optional.empty(),
                delete.returning(),
                delete.span());
    }

    Statement.Update update(Statement.Update update) {
        Optional<CommonTable> read = read(update.with(), update.target());
        if (read.isEmpty() || !update.from().isEmpty()) {
            return update;
        }
        Set<String> computed = select(read.get()).items().stream()
                .filter(i -> !(i.value() instanceof Expr.Star))
                .filter(i -> !(i.value() instanceof Expr.Column) || i.alias().isPresent())
                .flatMap(i -> i.alias().stream())
                .map(Name::key)
                .collect(Collectors.toSet());
        boolean reads = update.assignments().stream().anyMatch(a -> mentions(a.value(), computed));
        if (reads) {
            throw new Untranslatable("an UPDATE of a common table with values that it computes");
        }
        return new Statement.Update(
                addressed(update.with(), read.get()),
                base(read.get()),
                update.assignments(),
                List.of(),
                Optional.of(chosen(read.get(), update.where(), update.span())),
                List.of(),
                Optional.empty(),
                update.returning(),
                update.span());
    }

    private static boolean mentions(Expr value, Set<String> names) {
        return ExprSearch.any(
                value,
                e -> e instanceof Expr.Column c
                        && names.contains(c.name().last().key()));
    }

    /** The common table that a change names as its target. */
    private Optional<CommonTable> read(List<CommonTable> with, TableRef target) {
        if (adapter.same()
                || !(target instanceof TableRef.Table table)
                || table.name().parts().size() > 1) {
            return Optional.empty();
        }
        return with.stream().filter(c -> c.name().matches(table.name().last())).findFirst();
    }

    private Select select(CommonTable table) {
        boolean simple = table.query().body() instanceof Select s
                && s.from().size() == 1
                && s.from().get(0) instanceof TableRef.Table
                && s.groupBy().isEmpty()
                && !s.distinct()
                && s.hierarchy().isEmpty()
                && table.columns().isEmpty()
                && table.query().paging().isEmpty();
        if (!simple || RowKeys.address(adapter.to).isEmpty()) {
            throw new Untranslatable("a change of what a common table reads");
        }
        return (Select) table.query().body();
    }

    private TableRef base(CommonTable table) {
        TableRef.Table read = (TableRef.Table) select(table).from().get(0);
        return TableRef.Table.of(read.name());
    }

    private Expr address() {
        return Expr.Column.of(RowKeys.address(adapter.to).orElseThrow().text());
    }

    private List<CommonTable> addressed(List<CommonTable> with, CommonTable changed) {
        Select select = select(changed);
        List<Item> items = new ArrayList<>(select.items());
        items.add(new Item(address(), Optional.of(ADDRESS)));
        Query query = changed.query().withBody(select.withItems(items)).withOrder(List.of());
        return with.stream()
                .map(c -> c == changed ? new CommonTable(c.name(), c.columns(), query, c.hint()) : c)
                .toList();
    }

    private Expr chosen(CommonTable table, Optional<Expr> where, Span span) {
        adapter.note(FindingCode.SYNTAX_ADAPTED, span, "a change of what a common table reads, by the rows' addresses");
        Query rows = Query.of(Select.of(
                List.of(Item.of(Expr.Column.of(ADDRESS.text()))),
                List.of(TableRef.Table.of(new raftcart.sql.tree.QualifiedName(List.of(table.name())))),
                where));
        return new Expr.InList(address(), List.of(new Expr.Subquery(rows, span)), false, span);
    }
}
