package raftcart.rewrite;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.Span;
import raftcart.sql.parse.GrammarFeature;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.CodeStatement.Condition;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Handler;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;
import raftcart.type.LogicalType;

/**
 * Routines and triggers with SQL/PSM in them for a target whose blocks have handlers as well: the code stays as it is, and what
 * it says in SQL is put in the target's words.
 */
final class PsmCode {
    private static final Name ROUTINE = Name.of("routine_");

    private final StatementAdapter statements;
    private final QueryAdapter adapter;
    private final CodeAdapter code;
    private CodeFrame frame;
    private boolean leaves;

    PsmCode(StatementAdapter statements, CodeAdapter code) {
        this.statements = statements;
        this.adapter = statements.expressions();
        this.code = code;
    }

    Statement routine(CodeStatement.CreateRoutine routine) {
        CodeHeads heads = new CodeHeads(code);
        heads.know(routine);
        if (CodeHeads.callsItself(routine)) {
            throw CodeAdapter.at(routine.span(), "a function that calls itself");
        }
        routine.parameters().forEach(heads::sayDefault);
        Optional<KnownColumn> result =
                routine.returns().map(t -> code.known(routine.name().last(), t));
        CodeFrame.Kind kind = result.isPresent() ? CodeFrame.Kind.FUNCTION : CodeFrame.Kind.PROCEDURE;
        frame = code.open(kind, routine.body(), result);
        Scope before = adapter.scope;
        adapter.scope = new Scope(Optional.of(before));
        frame.enter();
        try {
            List<CodeStatement.Parameter> parameters = new ArrayList<>();
            for (CodeStatement.Parameter p : routine.parameters()) {
                KnownColumn known = code.known(p.name(), p.type());
                frame.declare(known);
                parameters.add(new CodeStatement.Parameter(
                        p.mode(),
                        p.name(),
                        code.written(p.name(), known.type().orElseThrow()),
                        p.initial().map(adapter::expr)));
            }
            adapter.scope.add(Scope.Relation.ofVariables(routine.name().last().text(), frame.facts()));
            HiddenColumns.refuse(
                    routine.body(), meansOther(routine.traits().columnsFirst()), routine.span(), frame, adapter);
            refuse(routine.body());
            return new CodeStatement.CreateRoutine(
                    routine.name(),
                    routine.replace(),
                    parameters,
                    result.map(r -> code.written(r.name(), r.type().orElseThrow())),
                    routine.rows(),
                    routine.traits(),
                    whole(routine.body()),
                    routine.span());
        } finally {
            adapter.scope = before;
            frame.leave();
        }
    }

    /** True where a name that could mean a column or a variable means the other one on the target. */
    private boolean meansOther(boolean columnsFirst) {
        return columnsFirst != adapter.to.grammar().has(GrammarFeature.COLUMNS_HIDE_VARIABLES);
    }

    /** Refuses what the engine of the source alone has in its code. */
    private void refuse(Statement body) {
        boolean session = !adapter.to.has(SqlFeature.SESSION_VARIABLES)
                && StatementSearch.anyExpression(List.of(body), SessionVariables::isOne);
        if (session) {
            throw CodeAdapter.at(place(), "a variable of the session");
        }
        boolean again = !adapter.to.has(SqlFeature.QUERIES_OF_CODE_GIVE_ROWS)
                && StatementSearch.anyStatement(
                        List.of(body),
                        s -> s instanceof CodeStatement.Loop loop
                                && StatementSearch.anyStatement(loop.body(), PsmCode::givesRows));
        if (again) {
            throw CodeAdapter.at(place(), "a query that gives its rows again and again");
        }
    }

    private static boolean givesRows(Statement statement) {
        return statement instanceof Statement.QueryStatement q && q.into().isEmpty();
    }

    Statement trigger(CodeStatement.CreateTrigger trigger) {
        frame = code.open(CodeFrame.Kind.TRIGGER, trigger.body(), Optional.empty());
        Scope before = adapter.scope;
        adapter.scope = new Scope(Optional.of(before));
        frame.enter();
        try {
            for (String row : List.of("NEW", "OLD")) {
                Scope.Relation.of(row, trigger.table(), adapter.knowledge).ifPresent(adapter.scope::add);
            }
            HiddenColumns.refuse(trigger.body(), meansOther(trigger.columnsFirst()), trigger.span(), frame, adapter);
            refuse(trigger.body());
            return new CodeStatement.CreateTrigger(
                    trigger.name(),
                    trigger.replace(),
                    trigger.timing(),
                    trigger.events(),
                    trigger.table(),
                    trigger.eachRow(),
                    Optional.empty(),
                    Optional.empty(),
                    trigger.follows(),
                    trigger.precedes(),
                    trigger.columnsFirst(),
                    watching(trigger),
                    trigger.span());
        } finally {
            adapter.scope = before;
            frame.leave();
        }
    }

    /** The body, under the condition of the trigger and that a column which it watches changes. */
    private Statement watching(CodeStatement.CreateTrigger trigger) {
        if (trigger.events().size() > 1) {
            throw CodeAdapter.at(trigger.span(), "a trigger for several kinds of change");
        }
        boolean watches = adapter.to.has(SqlFeature.TRIGGERS_WATCH_COLUMNS);
        List<Expr> changed = (watches
                        ? List.<Name>of()
                        : trigger.events().get(0).columns())
                .stream()
                        .<Expr>map(c ->
                                new Expr.Binary(BinaryOperator.DIFFERENT, of("old", c), of("new", c), trigger.span()))
                        .toList();
        List<Expr> all = new ArrayList<>(trigger.when().stream().toList());
        if (!changed.isEmpty()) {
            all.add(changed.size() == 1 ? changed.get(0) : new Expr.Junction(false, changed, trigger.span()));
            PlTriggers.sayWatched(adapter, trigger.span());
        }
        if (all.isEmpty()) {
            return whole(trigger.body());
        }
        Expr condition = adapter.condition(all.size() == 1 ? all.get(0) : new Expr.Junction(true, all, trigger.span()));
        Choice choice = new Choice(condition, List.of(whole(trigger.body())));
        return Block.of(List.of(new CodeStatement.If(List.of(choice), List.of(), trigger.span())), trigger.span());
    }

    private static Expr of(String row, Name column) {
        return new Expr.Column(new QualifiedName(List.of(Name.of(row), column)), false, Span.NONE);
    }

    /** The body, under a label where something leaves it. */
    private Statement whole(Statement body) {
        Statement adapted = one(body);
        return leaves
                ? new Block(Optional.of(ROUTINE), List.of(), List.of(), List.of(adapted), List.of(), place())
                : adapted;
    }

    /** RETURN of what gives no value, which the target has in functions only. */
    private Statement left(CodeStatement.Return returned) {
        leaves = true;
        if (returned.value()
                .filter(v -> v instanceof Expr.Literal l && l.kind() == LiteralKind.NULL)
                .isPresent()) {
            throw CodeAdapter.at(returned.span(), "a row that a trigger passes over");
        }
        if (returned.value().isPresent()) {
            adapter.note(FindingCode.SYNTAX_CHECK, returned.span(), "the status that a procedure returns is left out");
        }
        return new CodeStatement.Jump(false, Optional.of(ROUTINE), Optional.empty(), returned.span());
    }

    private Statement one(Statement statement) {
        List<Statement> all = statement(statement);
        return all.size() == 1 ? all.get(0) : Block.of(all, place());
    }

    private List<Statement> all(List<Statement> given) {
        return code.faults().each(given, this::statement);
    }

    private List<Statement> statement(Statement statement) {
        if (statement instanceof Block block) {
            return List.of(block(block));
        }
        if (statement instanceof CodeStatement.If choice) {
            return List.of(new CodeStatement.If(choices(choice.choices()), all(choice.otherwise()), choice.span()));
        }
        if (statement instanceof CodeStatement.CaseOf choice) {
            List<Choice> choices = choice.operand().isEmpty() ? choices(choice.choices()) : values(choice.choices());
            return List.of(new CodeStatement.CaseOf(
                    choice.operand().map(adapter::expr),
                    choices,
                    choice.otherwise().map(this::all),
                    choice.span()));
        }
        if (statement instanceof CodeStatement.Loop loop) {
            return List.of(new CodeStatement.Loop(
                    loop.label(),
                    loop.before().map(adapter::condition),
                    loop.after().map(adapter::condition),
                    all(loop.body()),
                    loop.span()));
        }
        if (statement instanceof CodeStatement.Dynamic dynamic) {
            DynamicCode computed =
                    new DynamicCode(adapter, this::statement, adapter::expr, (q, apart, span) -> apart.expressions()
                            .query(q));
            return new PlComputed(adapter, frame).kept(computed.made(dynamic));
        }
        boolean over = statement instanceof CodeStatement.ForRange || statement instanceof CodeStatement.ForRows;
        if (over) {
            return List.of(over((CodeStatement) statement));
        }
        boolean assigns = statement instanceof CodeStatement.Assign
                || statement instanceof CodeStatement.SelectInto
                || statement instanceof CodeStatement.Return;
        return statement instanceof CodeStatement simple
                ? adapter.dividing(
                        assigns && adapter.from.has(SqlFeature.ZERO_DIVISION_FAILS_IN_CODE),
                        () -> List.of(simple(simple)))
                : plain(statement);
    }

    private List<Statement> plain(Statement statement) {
        if (statement instanceof Statement.Transaction transaction) {
            if (!adapter.to.has(SqlFeature.CODE_ENDS_TRANSACTIONS)) {
                throw CodeAdapter.at(transaction.span(), "a transaction that code ends, or a savepoint");
            }
            return List.of(statement);
        }
        if (givesRows(statement) && !adapter.to.has(SqlFeature.QUERIES_OF_CODE_GIVE_ROWS)) {
            Statement.QueryStatement query = (Statement.QueryStatement) statement;
            return List.of(new CodeStatement.ReturnRows(adapter.query(query.query()), query.span()));
        }
        return statements.adapt(statement);
    }

    /** A loop over rows or numbers, where the target has them. */
    private Statement over(CodeStatement loop) {
        if (loop instanceof CodeStatement.ForRows && !adapter.to.has(SqlFeature.LOOPS_OVER_ROWS)) {
            throw CodeAdapter.at(place(), "FOR");
        }
        Scope before = adapter.scope;
        adapter.scope = new Scope(Optional.of(before));
        try {
            return loop instanceof CodeStatement.ForRange range ? numbers(range) : rows((CodeStatement.ForRows) loop);
        } finally {
            adapter.scope = before;
        }
    }

    private Statement numbers(CodeStatement.ForRange range) {
        Expr from = adapter.expr(range.from());
        Expr to = adapter.expr(range.to());
        KnownColumn number =
                new KnownColumn(range.variable(), Optional.of(new LogicalType.Int(32, false)), true, false);
        see("", List.of(Scope.ColumnFacts.of(number)));
        CodeStatement.ForRange adapted = new CodeStatement.ForRange(
                range.label(),
                range.variable(),
                range.reverse(),
                from,
                to,
                range.step(),
                all(range.body()),
                range.span());
        return adapter.to.has(SqlFeature.LOOPS_OVER_NUMBERS)
                ? adapted
                : CountedLoops.of(
                        adapted,
                        range.label().orElse(Name.of("loop_" + range.span().line() + "_")),
                        code.written(range.variable(), new LogicalType.Int(32, false)));
    }

    private Statement rows(CodeStatement.ForRows given) {
        CodeStatement.ForRows rows = ColumnLoops.fitted(given, adapter);
        List<Scope.ColumnFacts> columns = rows.query()
                .map(q -> adapter.finder.columns(q, adapter.scope))
                .orElseGet(() -> frame.cursor(rows.cursor().orElseThrow()));
        Optional<Query> query = rows.query().map(adapter::query);
        List<Expr> arguments = targets(rows.arguments());
        see(rows.row().text(), columns);
        return new CodeStatement.ForRows(
                rows.label(), rows.row(), query, rows.cursor(), arguments, all(rows.body()), rows.span());
    }

    /** Lets the variable of a loop be known: a number, or a row of its own name. */
    private void see(String name, List<Scope.ColumnFacts> columns) {
        Map<String, Scope.ColumnFacts> facts = new LinkedHashMap<>();
        columns.forEach(c -> facts.put(c.name().toLowerCase(Locale.ROOT), c));
        adapter.scope.add(new Scope.Relation(name, facts, !facts.isEmpty()));
    }

    private Span place() {
        return frame.whole instanceof Block b ? b.span() : Span.NONE;
    }

    private List<Choice> choices(List<Choice> choices) {
        return choices.stream()
                .map(c -> new Choice(adapter.condition(c.condition()), all(c.body())))
                .toList();
    }

    private List<Choice> values(List<Choice> choices) {
        return choices.stream()
                .map(c -> new Choice(adapter.expr(c.condition()), all(c.body())))
                .toList();
    }

    private Statement simple(CodeStatement statement) {
        if (statement instanceof CodeStatement.Assign a) {
            return new CodeStatement.Assign(adapter.expr(a.target()), value(a.value(), a.target()), a.span());
        }
        if (statement instanceof CodeStatement.SelectInto s) {
            FilledVariables.refuseChains(s, adapter.from, adapter.to);
            return new CodeStatement.SelectInto(adapter.query(s.query()), targets(s.targets()), s.expected(), s.span());
        }
        if (statement instanceof CodeStatement.Fetch f) {
            return new CodeStatement.Fetch(f.cursor(), targets(f.targets()), f.span());
        }
        if (statement instanceof CodeStatement.Return r && frame.result.isEmpty()) {
            return left(r);
        }
        if (statement instanceof CodeStatement.Return r) {
            return new CodeStatement.Return(
                    r.value().map(v -> new ValueAdapter(adapter).forColumn(v, frame.result)), r.span());
        }
        if (statement instanceof CodeStatement.Signal s) {
            return new CodeStatement.Signal(
                    s.state().map(n -> frame.state(n, adapter.from.name(), s.span())),
                    s.message().map(adapter::expr),
                    code.sayMore(s),
                    s.span());
        }
        if (statement instanceof CodeStatement.Diagnosis d) {
            return new CodeStatement.Diagnosis(targets(d.targets()), d.items(), d.span());
        }
        if (statement instanceof CodeStatement.RowCount c) {
            return new CodeStatement.RowCount(adapter.expr(c.target()), c.span());
        }
        if (statement instanceof CodeStatement.CursorStep c && c.query().isEmpty()) {
            return new CodeStatement.CursorStep(
                    c.opens(), c.cursor(), targets(c.arguments()), Optional.empty(), c.span());
        }
        boolean plain = statement instanceof CodeStatement.Jump || statement instanceof CodeStatement.Nothing;
        if (plain) {
            return statement;
        }
        throw CodeAdapter.at(place(), "a statement of one engine alone");
    }

    private Expr value(Expr value, Expr target) {
        Optional<KnownColumn> known = target instanceof Expr.Column
                ? adapter.facts(target)
                        .map(f -> new KnownColumn(
                                ((Expr.Column) target).name().last(), f.type(), f.notNull(), f.ignoresCase()))
                : Optional.empty();
        return new ValueAdapter(adapter).forColumn(value, known);
    }

    private List<Expr> targets(List<Expr> given) {
        return given.stream().map(adapter::expr).toList();
    }

    private Block block(Block block) {
        Scope before = adapter.scope;
        adapter.scope = new Scope(Optional.of(before));
        frame.enter();
        try {
            for (Declaration declaration : block.declarations()) {
                if (declaration instanceof Declaration.Variable v) {
                    frame.declare(code.known(v.name(), v.type()));
                } else if (declaration instanceof Declaration.NamedCondition named) {
                    frame.name(named.name(), named.condition());
                }
            }
            String name = block.label().map(l -> l.text()).orElse("");
            adapter.scope.add(Scope.Relation.ofVariables(name, frame.facts()));
            List<Declaration> declarations = new ArrayList<>();
            block.declarations().forEach(d -> declared(d).ifPresent(declarations::add));
            List<Handler> handlers = block.handlers().stream()
                    .map(h -> new Handler(
                            h.leaves(),
                            h.conditions().stream()
                                    .flatMap(c -> conditions(frame.resolved(c)).stream())
                                    .toList(),
                            one(h.action()),
                            h.span()))
                    .toList();
            return new Block(block.label(), declarations, handlers, all(block.body()), List.of(), block.span());
        } finally {
            frame.leave();
            adapter.scope = before;
        }
    }

    /** Errors by the numbers that the target has for them. */
    private List<Condition> conditions(Condition condition) {
        if (condition.kind() == Condition.Kind.STATE) {
            return ofState(condition);
        }
        if (condition.kind() != Condition.Kind.NUMBER) {
            return List.of(condition);
        }
        Optional<String> state = ErrorStates.of(adapter.from.name(), condition.value());
        if (state.isPresent() && !ErrorStates.hasNumbers(adapter.to.name())) {
            return ofState(new Condition(Condition.Kind.STATE, state.get()));
        }
        List<String> numbers =
                state.map(s -> ErrorStates.numbers(adapter.to.name(), s)).orElse(List.of());
        return numbers.isEmpty() || numbers.contains(condition.value())
                ? List.of(condition)
                : numbers.stream()
                        .map(n -> new Condition(Condition.Kind.NUMBER, n))
                        .toList();
    }

    /** A state, and the numbers of the target's own errors where the source has the state for such errors, too. */
    private List<Condition> ofState(Condition condition) {
        List<Condition> all = new ArrayList<>();
        if (ErrorStates.numbers(adapter.from.name(), condition.value()).isEmpty()) {
            ErrorStates.numbers(adapter.to.name(), condition.value())
                    .forEach(n -> all.add(new Condition(Condition.Kind.NUMBER, n)));
        }
        all.add(new Condition(Condition.Kind.STATE, ErrorStates.inWordsOf(adapter.to.name(), condition.value())));
        return all;
    }

    private Optional<Declaration> declared(Declaration declaration) {
        if (declaration instanceof Declaration.Variable v) {
            KnownColumn known = code.known(v.name(), v.type());
            return Optional.of(new Declaration.Variable(
                    v.name(),
                    code.written(v.name(), known.type().orElseThrow()),
                    v.initial()
                            .map(i -> adapter.dividing(
                                    adapter.from.has(SqlFeature.ZERO_DIVISION_FAILS_IN_CODE),
                                    () -> new ValueAdapter(adapter).forColumn(i, Optional.of(known)))),
                    v.constant(),
                    v.span()));
        }
        if (declaration instanceof Declaration.Cursor c) {
            boolean takes = !c.parameters().isEmpty() && !adapter.to.has(SqlFeature.ROW_VARIABLES);
            if (takes) {
                throw CodeAdapter.at(c.span(), "a cursor with parameters");
            }
            return Optional.of(new CodeCursors(code, frame.whole).declared(c));
        }
        if (declaration instanceof Declaration.Row r) {
            throw CodeAdapter.at(r.span(), "a variable for a row");
        }
        return Optional.empty();
    }
}
