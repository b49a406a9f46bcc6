package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.CodeStatement.Event;
import raftcart.sql.tree.CodeStatement.Timing;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.TableRef;

/** Triggers for a target where a function is called at each, which gives the row that is to be written. */
final class CodeTriggers {
    private final CodeAdapter code;
    private final QueryAdapter adapter;

    CodeTriggers(CodeAdapter code) {
        this.code = code;
        this.adapter = code.adapter();
    }

    /** The trigger; one for each kind of change where it reads the rows of the statement as tables. */
    List<Statement> triggers(CodeStatement.CreateTrigger source) {
        if (source.rows().isEmpty() || source.events().size() == 1) {
            CodeStatement.CreateTrigger one = source.rows().isEmpty()
                    ? source
                    : of(source, source.events().get(0));
            return List.of(trigger(one, source));
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, source.span(), "a trigger for each kind of change");
        return source.events().stream().map(e -> trigger(of(source, e), source)).toList();
    }

    /** The trigger for one kind of change, which has no rows before it or after it. */
    private CodeStatement.CreateTrigger of(CodeStatement.CreateTrigger source, Event event) {
        CodeStatement.ChangedRows rows = source.rows().orElseThrow();
        Statement body = new StatementMapper() {
            @Override
            public TableRef table(TableRef table) {
                Name none = event.kind() == Event.Kind.INSERT ? rows.before() : rows.after();
                boolean missing = event.kind() != Event.Kind.UPDATE
                        && table instanceof TableRef.Table t
                        && t.name().parts().size() == 1
                        && t.name().last().matches(none);
                return missing ? noRows((TableRef.Table) table, source.table()) : super.table(table);
            }

            @Override
            public Expr expr(Expr e) {
                boolean asks = e instanceof Expr.Call call
                        && call.function().equals(ChangedColumns.QUESTION)
                        && call.arguments().size() == 1;
                return asks ? new ChangedColumns(adapter, source, rows).answer((Expr.Call) e, event) : super.expr(e);
            }
        }.statement(source.body());
        String suffix =
                source.events().size() == 1 ? "" : "_" + event.kind().name().toLowerCase(Locale.ROOT);
        Name last = source.name().last();
        return new CodeStatement.CreateTrigger(
                source.name().withLast(new Name(last.text() + suffix, last.exact())),
                source.replace(),
                source.timing(),
                List.of(event),
                source.table(),
                source.eachRow(),
                source.rows(),
                source.when(),
                source.follows(),
                source.precedes(),
                source.columnsFirst(),
                body,
                source.span());
    }

    private static TableRef noRows(TableRef.Table missing, QualifiedName like) {
        Expr never =
                new Expr.Binary(BinaryOperator.EQUAL, Expr.Literal.number(0), Expr.Literal.number(1), missing.span());
        QueryBody none = QueryBody.Select.of(
                List.of(QueryBody.Item.of(new Expr.Star(Optional.empty(), List.of(), missing.span()))),
                List.of(new TableRef.Table(like, Optional.empty(), Optional.empty(), false, missing.span())),
                Optional.of(never));
        TableRef.Alias alias =
                missing.alias().orElse(new TableRef.Alias(missing.name().last(), List.of(), List.of()));
        return new TableRef.Derived(Query.of(none), false, Optional.of(alias), missing.span());
    }

    private Statement trigger(CodeStatement.CreateTrigger source, CodeStatement.CreateTrigger whole) {
        CodeStatement.CreateTrigger trigger =
                (CodeStatement.CreateTrigger) PackageNames.inFull(source, Optional.empty(), adapter.knowledge);
        CodeFrame frame = opened(trigger);
        Scope before = adapter.scope;
        adapter.scope = new Scope(Optional.of(before));
        frame.enter();
        CodePackages packages = new CodePackages(code);
        packages.see();
        SessionVariables session = new SessionVariables(code, trigger.body(), List.of());
        session.see();
        try {
            seeRows(trigger);
            Optional<Expr> when = trigger.when().map(adapter::condition);
            boolean inside = when.isPresent() && asksForNoRow(trigger);
            Block given = code.whole(session.named(trigger.body()), List.of());
            Block once = isAlone(whole)
                    ? TriggerGuard.around(given, whole.name().last(), given(trigger), trigger.span())
                    : leaving(given, trigger);
            Block body = inside ? guarded(once, when.get()) : once;
            return session.kept(packages.kept(new CodeStatement.CreateTrigger(
                    trigger.name(),
                    trigger.replace(),
                    trigger.timing(),
                    trigger.events(),
                    trigger.table(),
                    trigger.eachRow(),
                    trigger.rows(),
                    inside ? Optional.empty() : when,
                    Optional.empty(),
                    false,
                    trigger.columnsFirst(),
                    returning(body, trigger),
                    trigger.span())));
        } finally {
            adapter.scope = before;
            frame.leave();
        }
    }

    private CodeFrame opened(CodeStatement.CreateTrigger trigger) {
        CodeFrame frame = code.open(CodeFrame.Kind.TRIGGER, trigger.body(), Optional.empty());
        frame.calledAs(trigger.name().last());
        if (trigger.follows().isPresent()) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    trigger.span(),
                    "triggers of one table fire in the order of their names on the target");
        }
        return frame;
    }

    private boolean isAlone(CodeStatement.CreateTrigger trigger) {
        return isAlone(trigger, adapter);
    }

    private static boolean isAlone(CodeStatement.CreateTrigger trigger, QueryAdapter adapter) {
        return adapter.from.has(SqlFeature.TRIGGERS_DO_NOT_FIRE_THEMSELVES) && TriggerGuard.isNeeded(trigger);
    }

    /** Refuses a trigger that would fire itself on the target alone, where nothing in its code tells whether it is at work. */
    static void refuseAgain(CodeStatement.CreateTrigger trigger, QueryAdapter adapter) {
        boolean again = isAlone(trigger, adapter)
                && !adapter.to.has(SqlFeature.TRIGGERS_DO_NOT_FIRE_THEMSELVES)
                && !adapter.to.has(SqlFeature.TRIGGERS_SPARE_THEIR_TABLE);
        if (again) {
            throw CodeAdapter.at(trigger.span(), "a trigger that would fire itself on the target");
        }
    }

    /** The rows before and after the change, as variables or as tables. */
    private void seeRows(CodeStatement.CreateTrigger trigger) {
        for (String row : List.of("NEW", "OLD")) {
            Scope.Relation.of(row, trigger.table(), adapter.knowledge).ifPresent(adapter.scope::add);
        }
        trigger.rows().ifPresent(r -> {
            for (Name rows : List.of(r.before(), r.after())) {
                Scope.Relation.of(rows.text(), trigger.table(), adapter.knowledge)
                        .ifPresent(t -> adapter.scope.addCommonTable(rows, t));
            }
        });
    }

    /** A trigger's function gives the row that is to be written; what it gives after the change does not matter. */
    private static Block returning(Block body, CodeStatement.CreateTrigger trigger) {
        Expr row = given(trigger);
        Statement end = new CodeStatement.Return(Optional.of(row), trigger.span());
        if (body.label().isPresent() || !body.rescues().isEmpty()) {
            return Block.of(List.of(body, end), trigger.span());
        }
        List<Statement> all = new ArrayList<>(body.body());
        if (all.isEmpty() || !(all.get(all.size() - 1) instanceof CodeStatement.Return)) {
            all.add(end);
        }
        return body.withBody(all);
    }

    /** True where the condition of a trigger is about a row that one of its changes does not have. */
    private static boolean asksForNoRow(CodeStatement.CreateTrigger trigger) {
        return trigger.events().stream()
                .anyMatch(e -> e.kind() == Event.Kind.DELETE && asksFor(trigger, "new")
                        || e.kind() == Event.Kind.INSERT && asksFor(trigger, "old"));
    }

    private static boolean asksFor(CodeStatement.CreateTrigger trigger, String row) {
        return ExprSearch.any(
                trigger.when().orElseThrow(),
                e -> e instanceof Expr.Column c
                        && c.name().parts().size() > 1
                        && c.name().parts().get(0).text().equalsIgnoreCase(row));
    }

    private static Block guarded(Block body, Expr when) {
        Statement choice = new CodeStatement.If(List.of(new Choice(when, List.of(body))), List.of(), when.span());
        return Block.of(List.of(choice), body.span());
    }

    /** The body, in which what leaves the trigger gives its row as well. */
    private static Block leaving(Block body, CodeStatement.CreateTrigger trigger) {
        return (Block)
                new StatementMapper() {
                    @Override
                    public Statement statement(Statement statement) {
                        return statement instanceof CodeStatement.Return r
                                        && r.value().isEmpty()
                                ? new CodeStatement.Return(Optional.of(given(trigger)), r.span())
                                : super.statement(statement);
                    }
                }.statement(body);
    }

    /** What the function of a trigger gives. */
    private static Expr given(CodeStatement.CreateTrigger trigger) {
        return trigger.timing() == Timing.AFTER || !trigger.eachRow() ? Expr.Literal.ofNull() : written(trigger);
    }

    /** The row that is written, or removed. */
    private static Expr written(CodeStatement.CreateTrigger trigger) {
        boolean removes = trigger.events().stream().anyMatch(e -> e.kind() == Event.Kind.DELETE);
        boolean writes = trigger.events().stream().anyMatch(e -> e.kind() != Event.Kind.DELETE);
        Expr row = Expr.Column.of(writes ? "new" : "old");
        return removes && writes ? Expr.Call.of("coalesce", row, Expr.Column.of("old")) : row;
    }
}
