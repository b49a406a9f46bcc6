package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.CodeStatement.Event;
import raftcart.sql.tree.CodeStatement.Timing;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;

/** Triggers for a target where a function is called at each, which gives the row that is to be written. */
final class CodeTriggers {
    private final CodeAdapter code;
    private final QueryAdapter adapter;

    CodeTriggers(CodeAdapter code) {
        this.code = code;
        this.adapter = code.adapter();
    }

    Statement trigger(CodeStatement.CreateTrigger source) {
        CodeStatement.CreateTrigger trigger =
                (CodeStatement.CreateTrigger) PackageNames.inFull(source, Optional.empty(), adapter.knowledge);
        CodeFrame frame = code.open(CodeFrame.Kind.TRIGGER, trigger.body(), Optional.empty());
        if (trigger.follows().isPresent()) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    trigger.span(),
                    "triggers of one table fire in the order of their names on the target");
        }
        Scope before = adapter.scope;
        adapter.scope = new Scope(Optional.of(before));
        frame.enter();
        CodePackages packages = new CodePackages(code);
        packages.see();
        SessionVariables session = new SessionVariables(code, trigger.body(), List.of());
        session.see();
        try {
            for (String row : List.of("NEW", "OLD")) {
                Scope.Relation.of(row, trigger.table(), adapter.knowledge).ifPresent(adapter.scope::add);
            }
            Optional<Expr> when = trigger.when().map(adapter::condition);
            boolean inside = when.isPresent() && asksForNoRow(trigger);
            Block given = code.whole(session.named(trigger.body()), List.of());
            Block whole = leaving(given, trigger);
            Block body = inside ? guarded(whole, when.get()) : whole;
            return session.kept(packages.kept(new CodeStatement.CreateTrigger(
                    trigger.name(),
                    trigger.replace(),
                    trigger.timing(),
                    trigger.events(),
                    trigger.table(),
                    trigger.eachRow(),
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

    /** A trigger's function gives the row that is to be written; what it gives after the change does not matter. */
    private static Block returning(Block body, CodeStatement.CreateTrigger trigger) {
        Expr row = given(trigger);
        Statement end = new CodeStatement.Return(Optional.of(row), trigger.span());
        if (body.label().isPresent() || !body.rescues().isEmpty()) {
            return Block.of(List.of(body, end), trigger.span());
        }
        List<Statement> all = new ArrayList<>(body.body());
        all.add(end);
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
