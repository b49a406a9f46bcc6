package raftcart.rewrite;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.sql.Span;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.CodeStatement.Event;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.Truth;

/**
 * Keeps a trigger that changes its own table from firing for that, which it does not do on the source ("RECURSIVE_TRIGGERS",
 * SQL Server): the session knows that it is at work.
 */
final class TriggerGuard {
    private static final Name BODY = Name.of("body_");

    private TriggerGuard() {}

    /** True where a trigger makes a change by which it would be fired. */
    static boolean isNeeded(CodeStatement.CreateTrigger trigger) {
        return StatementSearch.anyStatement(List.of(trigger.body()), s -> kind(s).filter(k -> concerns(trigger, k, s))
                .isPresent());
    }

    private static boolean concerns(CodeStatement.CreateTrigger trigger, Event.Kind kind, Statement change) {
        return trigger.events().stream().anyMatch(e -> e.kind() == kind && mayTouch(e.columns(), change))
                && changes(change, trigger.table());
    }

    /** True for a change of which a trigger that watches these columns may hear. */
    private static boolean mayTouch(List<Name> columns, Statement change) {
        return columns.isEmpty()
                || !(change instanceof Statement.Update update)
                || update.assignments().stream()
                        .flatMap(a -> a.columns().stream())
                        .anyMatch(c -> !(c instanceof Expr.Column set)
                                || columns.stream()
                                        .anyMatch(n -> n.matches(set.name().last())));
    }

    /** True for a statement that changes rows of this table. */
    static boolean changes(Statement statement, QualifiedName table) {
        return kind(statement).isPresent()
                && tables(statement).anyMatch(t -> t.last().matches(table.last()));
    }

    private static Optional<Event.Kind> kind(Statement statement) {
        if (statement instanceof Statement.Insert) {
            return Optional.of(Event.Kind.INSERT);
        }
        if (statement instanceof Statement.Delete) {
            return Optional.of(Event.Kind.DELETE);
        }
        boolean updates = statement instanceof Statement.Update || statement instanceof Statement.Merge;
        return updates ? Optional.of(Event.Kind.UPDATE) : Optional.empty();
    }

    /** The tables that a change may mean, which may be called by an alias. */
    private static Stream<QualifiedName> tables(Statement change) {
        if (change instanceof Statement.Insert insert) {
            return Stream.of(insert.table());
        }
        if (change instanceof Statement.Update update) {
            return Stream.concat(Stream.of(update.target()), update.from().stream())
                    .flatMap(TableRef::tables)
                    .map(TableRef.Table::name);
        }
        if (change instanceof Statement.Delete delete) {
            return Stream.concat(Stream.of(delete.table()), delete.using().stream())
                    .flatMap(TableRef::tables)
                    .map(TableRef.Table::name);
        }
        return ((Statement.Merge) change).target().tables().map(TableRef.Table::name);
    }

    /** The body, which is left at once, with this row, where the trigger is at work already. */
    static Block around(Block body, Name trigger, Expr row, Span span) {
        Expr setting = Expr.Literal.string("firing." + trigger.text().toLowerCase(Locale.ROOT));
        Expr working = new Expr.Is(Expr.Call.of("session_text", setting), Truth.NULL, true, span);
        Block inner = (Block)
                new StatementMapper() {
                    @Override
                    public Statement statement(Statement statement) {
                        if (!(statement instanceof CodeStatement.Return r)) {
                            return super.statement(statement);
                        }
                        if (r.value().isPresent()) {
                            throw CodeAdapter.at(
                                    r.span(), "a row that a trigger passes over which changes its own table");
                        }
                        return new CodeStatement.Jump(false, Optional.of(BODY), Optional.empty(), r.span());
                    }
                }.statement(body);
        Statement leaves = new CodeStatement.Return(Optional.of(row), span);
        return Block.of(
                List.of(
                        new CodeStatement.If(List.of(new Choice(working, List.of(leaves))), List.of(), span),
                        kept(setting, Expr.Literal.string("yes"), span),
                        new Block(
                                Optional.of(BODY),
                                inner.declarations(),
                                List.of(),
                                inner.body(),
                                inner.rescues(),
                                span),
                        kept(setting, Expr.Literal.ofNull(), span)),
                span);
    }

    private static Statement kept(Expr setting, Expr value, Span span) {
        return new CodeStatement.Evaluate(Expr.Call.of("keep_session_text", setting, value), span);
    }
}
