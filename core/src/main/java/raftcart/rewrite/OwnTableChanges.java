package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.CreateTrigger;
import raftcart.sql.tree.CodeStatement.Event;
import raftcart.sql.tree.CodeStatement.Timing;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.TableRef;

/**
 * Triggers that change the table that they watch, which a target does not let them ("Trigger Limitations", MariaDB). A change of
 * the row at hand is made before it is written; what else they do stays where it was.
 */
final class OwnTableChanges {
    private final QueryAdapter adapter;
    private final CreateTrigger trigger;

    OwnTableChanges(QueryAdapter adapter, CreateTrigger trigger) {
        this.adapter = adapter;
        this.trigger = trigger;
    }

    /** The trigger as it is, or as one before the row is written and perhaps one behind it. */
    List<CreateTrigger> apart() {
        if (!concerns(trigger, trigger.body(), adapter)) {
            return List.of(trigger);
        }
        boolean possible = trigger.timing() == Timing.AFTER
                && trigger.events().size() == 1
                && trigger.events().get(0).kind() != Event.Kind.DELETE
                && trigger.body() instanceof Block block
                && block.declarations().isEmpty()
                && block.handlers().isEmpty();
        if (!possible) {
            throw refused();
        }
        List<Statement> rest = new ArrayList<>();
        List<Statement> before = new ArrayList<>();
        for (Statement statement : ((Block) trigger.body()).body()) {
            Optional<List<Statement>> assigned = assigned(statement);
            assigned.ifPresentOrElse(before::addAll, () -> rest.add(statement));
        }
        Set<String> columns = before.stream()
                .map(s -> ((CodeStatement.Assign) s).target())
                .map(t -> ((Expr.Column) t).name().last().key())
                .collect(Collectors.toSet());
        boolean sees = changesOwn(rest)
                || readsOwn(rest)
                || reads(rest, columns)
                || trigger.when().filter(w -> reads(w, columns)).isPresent()
                || before.size() > 1
                        && reads(before.stream().map(OwnTableChanges::value).toList(), columns);
        if (sees || isNumbered() && trigger.when().filter(this::namesKey).isPresent()) {
            throw refused();
        }
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                trigger.span(),
                "a change of the trigger's own row is made before it is written; other triggers see it, and do not fire for it");
        CreateTrigger first = with(Timing.BEFORE, before, trigger.name());
        QualifiedName second = trigger.name()
                .withLast(new Name(
                        trigger.name().last().text() + "_after",
                        trigger.name().last().exact()));
        return rest.isEmpty() ? List.of(first) : List.of(first, with(Timing.AFTER, rest, second));
    }

    /** Refuses a trigger that does so, where nothing is known of how to do it otherwise. */
    static void refuse(CreateTrigger trigger, Statement body, QueryAdapter adapter) {
        if (concerns(trigger, body, adapter)) {
            throw new OwnTableChanges(adapter, trigger).refused();
        }
    }

    private static boolean concerns(CreateTrigger trigger, Statement body, QueryAdapter adapter) {
        return adapter.to.has(SqlFeature.TRIGGERS_SPARE_THEIR_TABLE)
                && !adapter.from.has(SqlFeature.TRIGGERS_SPARE_THEIR_TABLE)
                && StatementSearch.anyStatement(List.of(body), s -> TriggerGuard.changes(s, trigger.table()));
    }

    private Untranslatable refused() {
        return CodeAdapter.at(trigger.span(), "a trigger that changes its own table, which the target does not let it");
    }

    private static Statement value(Statement assign) {
        return new CodeStatement.Evaluate(((CodeStatement.Assign) assign).value(), assign.span());
    }

    /** True where something reads the table, in which the row would have its new values already. */
    private boolean readsOwn(List<Statement> body) {
        boolean[] found = {false};
        StatementMapper looking = new StatementMapper() {
            @Override
            public TableRef table(TableRef table) {
                found[0] |= table instanceof TableRef.Table t
                        && t.name().last().matches(trigger.table().last());
                return super.table(table);
            }
        };
        body.forEach(looking::statement);
        return found[0];
    }

    /** Before a row is inserted its number is not there yet. */
    private boolean isNumbered() {
        return trigger.events().get(0).kind() == Event.Kind.INSERT;
    }

    private boolean namesKey(Expr value) {
        return ExprSearch.any(
                value,
                e -> e instanceof Expr.Column c
                        && keys().contains(c.name().last().key()));
    }

    private boolean changesOwn(List<Statement> body) {
        return StatementSearch.anyStatement(body, s -> TriggerGuard.changes(s, trigger.table()));
    }

    /** An UPDATE of the row that fired the trigger as assignments to it. */
    private Optional<List<Statement>> assigned(Statement statement) {
        boolean plain = statement instanceof Statement.Update update
                && TriggerGuard.changes(update, trigger.table())
                && update.target() instanceof TableRef.Table table
                && table.alias().isEmpty()
                && update.with().isEmpty()
                && update.from().isEmpty()
                && update.order().isEmpty()
                && update.limit().isEmpty()
                && update.assignments().stream().allMatch(a -> a.columns().size() == 1)
                && isOfRow(update.where());
        if (!plain) {
            return Optional.empty();
        }
        Statement.Update update = (Statement.Update) statement;
        boolean numbered = isNumbered() && update.assignments().stream().anyMatch(a -> namesKey(a.value()));
        boolean asks = update.assignments().stream()
                .anyMatch(a -> ExprSearch.any(a.value(), e -> e instanceof Expr.Subquery || e instanceof Expr.Exists));
        if (numbered || asks || update.assignments().size() > 1 && isMixed(update)) {
            return Optional.empty();
        }
        return Optional.of(update.assignments().stream()
                .<Statement>map(a -> new CodeStatement.Assign(
                        of(((Expr.Column) a.columns().get(0)).name().last()),
                        new ColumnNames(c -> c.name().parts().size() == 1
                                        ? Optional.of(of(c.name().last()))
                                        : Optional.empty())
                                .expr(a.value()),
                        update.span()))
                .toList());
    }

    /** True where one value reads a column that another one of the same change sets. */
    private boolean isMixed(Statement.Update update) {
        Set<String> set = update.assignments().stream()
                .map(a -> ((Expr.Column) a.columns().get(0)).name().last().key())
                .collect(Collectors.toSet());
        return update.assignments().stream()
                .anyMatch(a -> ExprSearch.any(
                        a.value(),
                        e -> e instanceof Expr.Column c
                                && set.contains(c.name().last().key())));
    }

    private Expr.Column of(Name column) {
        return new Expr.Column(new QualifiedName(List.of(Name.of("new"), column)), false, trigger.span());
    }

    private List<String> keys() {
        return adapter.knowledge
                .table(trigger.table())
                .filter(t -> !t.keys().isEmpty())
                .map(t -> t.keys().get(0).stream().map(Name::key).toList())
                .orElse(List.of());
    }

    /** True for the condition that the key is that of the new row. */
    private boolean isOfRow(Optional<Expr> where) {
        List<String> compared = where.map(OldForms::conjuncts).orElse(List.of()).stream()
                .map(c -> c instanceof Expr.Binary b && b.operator() == BinaryOperator.EQUAL ? column(b) : "")
                .sorted()
                .toList();
        return !keys().isEmpty() && compared.equals(keys().stream().sorted().toList());
    }

    /** The column of a comparison with that of the same name of the new row; an empty text for another one. */
    private String column(Expr.Binary binary) {
        if (!(binary.left() instanceof Expr.Column left) || !(binary.right() instanceof Expr.Column right)) {
            return "";
        }
        boolean alike = left.name().last().matches(right.name().last());
        return alike && (isNew(left) != isNew(right)) ? left.name().last().key() : "";
    }

    private static boolean isNew(Expr.Column column) {
        List<Name> parts = column.name().parts();
        return parts.size() == 2 && parts.get(0).key().equals("new");
    }

    private boolean reads(List<Statement> body, Set<String> columns) {
        return StatementSearch.anyExpression(body, e -> e instanceof Expr.Column c && isRead(c, columns));
    }

    private static boolean reads(Expr value, Set<String> columns) {
        return ExprSearch.any(value, e -> e instanceof Expr.Column c && isRead(c, columns));
    }

    private static boolean isRead(Expr.Column column, Set<String> columns) {
        return isNew(column) && columns.contains(column.name().last().key());
    }

    private CreateTrigger with(Timing timing, List<Statement> body, QualifiedName name) {
        return new CreateTrigger(
                name,
                trigger.replace(),
                timing,
                trigger.events(),
                trigger.table(),
                trigger.eachRow(),
                trigger.rows(),
                trigger.when(),
                trigger.follows(),
                trigger.precedes(),
                trigger.columnsFirst(),
                Block.of(body, trigger.body().span()),
                trigger.span());
    }
}
