package raftcart.rewrite;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TableRef.Join;

/**
 * Oracle's {@code UPDATE (SELECT ...) SET} and {@code DELETE FROM (SELECT ...)}: changes of the tables that the query reads,
 * whose columns stand in the place of its own ("UPDATE" and "DELETE", DML_table_expression_clause, in the SQL Language
 * Reference).
 */
final class ChangedQueries extends QueryMapper {
    private final Map<String, Expr> columns = new HashMap<>();
    private final Optional<TableRef.Alias> alias;
    private final boolean all;

    private ChangedQueries(Select select, Optional<TableRef.Alias> alias) {
        this.alias = alias;
        this.all = select.items().stream().anyMatch(i -> i.value() instanceof Expr.Star);
        for (Item item : select.items()) {
            Optional<Name> named = item.alias()
                    .or(() -> item.value() instanceof Expr.Column c
                            ? Optional.of(c.name().last())
                            : Optional.empty());
            named.ifPresent(n -> columns.put(n.key(), item.value()));
        }
    }

    /** The same as a change of tables; other changes as they are. */
    static Statement.Update tables(Statement.Update update, QueryAdapter adapter) {
        if (adapter.same() || !(update.target() instanceof TableRef.Derived derived)) {
            return update;
        }
        Select select = simple(derived.query()).orElseThrow(() -> new Untranslatable("an UPDATE of a query"));
        adapter.note(FindingCode.SYNTAX_ADAPTED, update.span(), "an UPDATE of the tables that the query reads");
        ChangedQueries query = new ChangedQueries(select, derived.alias());
        TableRef tables = select.from().stream()
                .reduce((a, b) -> new Join(Join.Kind.CROSS, a, b, Optional.empty(), List.of(), update.span()))
                .orElseThrow();
        return new Statement.Update(
                update.with(),
                tables,
                update.assignments().stream().map(query::assignment).toList(),
                update.from(),
                query.condition(select, update.where()),
                update.order(),
                update.limit(),
                update.returning(),
                update.span());
    }

    /** The same of a table; what deletes from several has no table that is certainly meant. */
    static Statement.Delete table(Statement.Delete delete, QueryAdapter adapter) {
        if (adapter.same() || !(delete.table() instanceof TableRef.Derived derived)) {
            return delete;
        }
        Select select = simple(derived.query())
                .filter(s -> s.from().size() == 1 && s.from().get(0) instanceof TableRef.Table)
                .orElseThrow(() -> new Untranslatable("a DELETE from a query"));
        adapter.note(FindingCode.SYNTAX_ADAPTED, delete.span(), "a DELETE from the table that the query reads");
        return new Statement.Delete(
                delete.with(),
                List.of(),
                select.from().get(0),
                List.of(),
                new ChangedQueries(select, derived.alias()).condition(select, delete.where()),
                delete.order(),
                delete.limit(),
                delete.returning(),
                delete.span());
    }

    private Optional<Expr> condition(Select select, Optional<Expr> where) {
        return OldForms.and(Stream.concat(select.where().stream(), where.map(this::expr).stream())
                .toList());
    }

    private static Optional<Select> simple(Query query) {
        return Optional.of(query.body())
                .filter(b -> query.with().isEmpty() && query.paging().isEmpty())
                .filter(Select.class::isInstance)
                .map(Select.class::cast)
                .filter(s -> !s.distinct()
                        && !s.from().isEmpty()
                        && s.hierarchy().isEmpty()
                        && s.groupBy().isEmpty()
                        && s.having().isEmpty()
                        && s.qualify().isEmpty());
    }

    private Statement.Assignment assignment(Statement.Assignment assignment) {
        assignment.columns().stream()
                .filter(c -> !all
                        && c instanceof Expr.Column column
                        && !columns.containsKey(column.name().last().key()))
                .forEach(c -> refuse((Expr.Column) c));
        List<Expr> changed = assignment.columns().stream().map(this::expr).toList();
        if (!changed.stream().allMatch(Expr.Column.class::isInstance)) {
            throw new Untranslatable("an UPDATE of what a query computes");
        }
        return new Statement.Assignment(changed, expr(assignment.value()));
    }

    @Override
    public Expr expr(Expr e) {
        if (!(e instanceof Expr.Column column)) {
            return super.expr(e);
        }
        Name name = column.name().last();
        Expr value = columns.get(name.key());
        boolean plain = column.name().parts().size() == 1;
        if (!plain && (!isOfAlias(column) || value == null && !all)) {
            refuse(column);
        }
        return value != null ? value : new Expr.Column(new QualifiedName(List.of(name)), false, column.span());
    }

    /** A query within the change, whose names are its own if it has such columns: they stay if they mean the same either way. */
    @Override
    public Query query(Query query) {
        if (ExprSearch.any(query, this::isRenamed)) {
            throw new Untranslatable("a change of a query, with another query that may read its columns");
        }
        return query;
    }

    private boolean isRenamed(Expr e) {
        if (!(e instanceof Expr.Column column)) {
            return false;
        }
        Name name = column.name().last();
        Expr value = column.name().parts().size() == 1 ? columns.get(name.key()) : null;
        return isOfAlias(column)
                || value != null
                        && !(value instanceof Expr.Column v && v.name().last().matches(name));
    }

    private static void refuse(Expr.Column column) {
        throw new Untranslatable("a change of a query, with the column " + column.name() + " that it does not give");
    }

    private boolean isOfAlias(Expr.Column column) {
        List<Name> parts = column.name().parts();
        return parts.size() == 2
                && alias.filter(a -> a.name().matches(parts.get(0))).isPresent();
    }
}
