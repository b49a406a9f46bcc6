package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.ChangedRows;
import raftcart.sql.tree.CodeStatement.CreateTrigger;
import raftcart.sql.tree.CodeStatement.Event;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.TableRef;

/**
 * A trigger for each statement that does no more than copy the rows of the change into other tables ("REFERENCING", PostgreSQL),
 * as one that does so for each row: the same rows arrive.
 */
final class RowByRow {
    private final CreateTrigger trigger;
    private final ChangedRows rows;
    private final QueryAdapter adapter;

    private RowByRow(CreateTrigger trigger, QueryAdapter adapter) {
        this.trigger = trigger;
        this.rows = trigger.rows().orElseThrow();
        this.adapter = adapter;
    }

    /** The body for each row; empty where the trigger does anything else. */
    static Optional<Statement> body(CreateTrigger trigger, Statement body, QueryAdapter adapter) {
        if (trigger.rows().isEmpty()) {
            return Optional.empty();
        }
        RowByRow each = new RowByRow(trigger, adapter);
        Statement made = each.mapped(body);
        boolean other = StatementSearch.anyStatement(
                List.of(made),
                s -> !(s instanceof CodeStatement.Block b
                                && b.declarations().isEmpty()
                                && b.rescues().isEmpty()
                        || s instanceof CodeStatement.If choice
                                && choice.choices().stream().allMatch(c -> ofEvent(c.condition()))
                        || s instanceof CodeStatement.Return
                        || s instanceof CodeStatement.Nothing
                        || s instanceof Statement.Insert i && each.isOfRow(i)));
        return other ? Optional.empty() : Optional.of(made);
    }

    /** True for what asks for no more than the kind of change. */
    private static boolean ofEvent(Expr condition) {
        return !ExprSearch.any(
                condition,
                e -> e instanceof Expr.Column c && !c.name().last().text().equalsIgnoreCase("tg_op")
                        || e instanceof Expr.Subquery
                        || e instanceof Expr.Exists
                        || e instanceof Expr.Call);
    }

    private Statement mapped(Statement body) {
        return new StatementMapper() {
            @Override
            public Statement statement(Statement statement) {
                return statement instanceof Statement.Insert insert ? copied(insert) : super.statement(statement);
            }
        }.statement(body);
    }

    private Statement copied(Statement.Insert insert) {
        boolean plain = insert.with().isEmpty()
                && insert.upsert().isEmpty()
                && insert.returning().isEmpty()
                && insert.source().filter(this::isPlain).isPresent();
        if (!plain) {
            return insert;
        }
        Query query = insert.source().get();
        QueryBody.Select select = (QueryBody.Select) query.body();
        TableRef.Table table = (TableRef.Table) select.from().get(0);
        String row = table.name().last().matches(rows.before()) ? "old" : "new";
        Name alias = table.alias().map(TableRef.Alias::name).orElse(table.name().last());
        QueryBody.Select of =
                (QueryBody.Select) new ToRow(row, alias).query(query).body();
        return insert.withSource(query.withBody(of.withFrom(List.of())));
    }

    /** True for rows of the change one by one, and nothing else. */
    private boolean isPlain(Query query) {
        if (!(query.body() instanceof QueryBody.Select select)
                || select.from().size() != 1
                || !(select.from().get(0) instanceof TableRef.Table table)) {
            return false;
        }
        boolean changed = table.name().parts().size() == 1
                && (table.name().last().matches(rows.before())
                        || table.name().last().matches(rows.after()));
        boolean alone = !select.distinct()
                && select.distinctOn().isEmpty()
                && select.groupBy().isEmpty()
                && select.having().isEmpty()
                && query.with().isEmpty()
                && query.paging().isEmpty();
        return changed
                && alone
                && select.items().stream().noneMatch(i -> isOfMore(i.value()))
                && select.where().filter(this::isOfMore).isEmpty();
    }

    /** True for what looks at more than one row, or at all columns. */
    private boolean isOfMore(Expr e) {
        return ExprSearch.any(
                e,
                part -> part instanceof Expr.Star
                        || part instanceof Expr.Subquery
                        || part instanceof Expr.Exists
                        || part instanceof Expr.Call c && Aggregates.is(c, adapter.from));
    }

    private boolean isOfRow(Statement.Insert insert) {
        boolean own = insert.table().last().matches(trigger.table().last());
        return !own
                && insert.source()
                        .filter(q -> q.body() instanceof QueryBody.Select s
                                && s.from().isEmpty()
                                && StatementSearch.anyExpression(
                                        List.of(insert),
                                        e -> e instanceof Expr.Column c
                                                && c.name().parts().size() == 2
                                                && c.name()
                                                        .parts()
                                                        .get(0)
                                                        .text()
                                                        .matches("new|old")))
                        .isPresent();
    }

    /** Columns of the rows of a change as those of the row at hand. */
    private final class ToRow extends StatementMapper {
        private final String row;
        private final Name alias;

        private ToRow(String row, Name alias) {
            this.row = row;
            this.alias = alias;
        }

        @Override
        public Expr expr(Expr e) {
            if (!(e instanceof Expr.Column column)) {
                return super.expr(e);
            }
            boolean qualified = column.name().parts().size() > 1;
            boolean of = qualified
                    ? column.name().parts().get(0).matches(alias)
                    : adapter.knowledge
                            .table(trigger.table())
                            .filter(t ->
                                    t.columns().containsKey(column.name().last().key()))
                            .isPresent();
            return of
                    ? new Expr.Column(
                            new QualifiedName(
                                    List.of(Name.of(row), column.name().last())),
                            false,
                            column.span())
                    : e;
        }
    }

    /** The trigger that fires for each row. */
    static CreateTrigger each(CreateTrigger trigger) {
        List<Event> events = trigger.events();
        return new CreateTrigger(
                trigger.name(),
                trigger.replace(),
                trigger.timing(),
                events,
                trigger.table(),
                true,
                Optional.empty(),
                trigger.when(),
                trigger.follows(),
                trigger.precedes(),
                trigger.columnsFirst(),
                trigger.body(),
                trigger.span());
    }
}
