package raftcart.rewrite;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TableRef.Join;

/**
 * Oracle's {@code UPDATE (SELECT ...) SET}: a change of the tables that the query reads, whose columns stand in the place of
 * its own ("UPDATE", DML_table_expression_clause, in the SQL Language Reference).
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
        List<Expr> conditions = Stream.concat(select.where().stream(), update.where().map(query::expr).stream())
                .toList();
        return new Statement.Update(
                update.with(),
                tables,
                update.assignments().stream().map(query::assignment).toList(),
                update.from(),
                OldForms.and(conditions),
                update.order(),
                update.limit(),
                update.returning(),
                update.span());
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
        List<Name> parts = column.name().parts();
        boolean own = parts.size() == 1
                || parts.size() == 2
                        && alias.filter(a -> a.name().matches(parts.get(0))).isPresent();
        Expr value = own ? columns.get(column.name().last().key()) : null;
        if (value == null && !(own && all)) {
            throw new Untranslatable(
                    "an UPDATE of a query, with the column " + column.name() + " that it does not give");
        }
        return value == null ? Expr.Column.of(column.name().last().text()) : value;
    }
}
