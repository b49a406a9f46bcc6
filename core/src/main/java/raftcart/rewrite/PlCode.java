package raftcart.rewrite;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/**
 * Routines whose blocks rescue what fails (PL/pgSQL) for a target whose blocks have handlers (SQL/PSM): labels for all that is
 * left, rescues as handlers, and queries into variables that are NULL where there is no row.
 */
final class PlCode {
    private static final Name ROUTINE = Name.of("routine_");
    static final Name FOUND = Name.of("found_");
    /** What a function of no value gives NULL of. */
    private static final LogicalType NOTHING = new LogicalType.Int(32, false);

    private final StatementAdapter statements;
    private final QueryAdapter adapter;
    private final CodeAdapter code;
    private final Deque<Name> loops = new ArrayDeque<>();
    private final List<Declaration> added = new ArrayList<>();
    private CodeFrame frame;
    private List<CodeStatement.Parameter> columns = List.of();
    private Name collected = Name.of("rows_");
    private boolean direct;
    private PlErrors errors;
    private boolean leaves;
    private boolean after;
    private int labels;

    PlCode(StatementAdapter statements, CodeAdapter code) {
        this.statements = statements;
        this.adapter = statements.expressions();
        this.code = code;
    }

    List<Statement> routine(CodeStatement.CreateRoutine routine) {
        refuse(routine);
        if (CodeHeads.callsItself(routine)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    routine.span(),
                    "a procedure does the work of the function that calls itself, in each other at most 255 times");
            PlRecursion recursion = new PlRecursion(routine);
            List<Statement> both = new ArrayList<>(new PlCode(statements, code).routine(recursion.procedure()));
            both.addAll(new PlCode(statements, code).routine(recursion.caller()));
            return both;
        }
        boolean trigger =
                routine.returns().filter(t -> t.name().equals("trigger")).isPresent();
        if (trigger) {
            adapter.knowledge.addTriggerFunction(routine);
            adapter.note(
                    FindingCode.SYNTAX_ADAPTED,
                    routine.span(),
                    "what the function does goes into the triggers that call it");
            return List.of();
        }
        return List.of(body(new PlRecords(this).ofOneRow(routine).orElse(routine)));
    }

    private Statement body(CodeStatement.CreateRoutine routine) {
        new CodeHeads(code).know(routine);
        boolean nothing = routine.returns().filter(t -> t.name().equals("void")).isPresent();
        Optional<KnownColumn> result = routine.returns()
                .map(t -> nothing
                        ? new KnownColumn(routine.name().last(), Optional.of(NOTHING), false, false)
                        : code.known(routine.name().last(), t));
        CodeFrame.Kind kind = result.isPresent() ? CodeFrame.Kind.FUNCTION : CodeFrame.Kind.PROCEDURE;
        frame = code.open(kind, routine.body(), result);
        Scope before = adapter.scope;
        adapter.scope = new Scope(Optional.of(before));
        frame.enter();
        try {
            result.ifPresent(r -> code.types().sayDigits(r.name(), r.type().orElseThrow(), routine.span()));
            List<CodeStatement.Parameter> parameters =
                    routine.parameters().stream().map(this::parameter).toList();
            adapter.scope.add(Scope.Relation.ofVariables(routine.name().last().text(), frame.facts()));
            HiddenColumns.refuse(routine.body(), routine.traits().columnsFirst(), routine.span(), frame, adapter);
            Block body = !routine.rows().isEmpty()
                    ? givingRows(routine)
                    : nothing ? givingNull(routine) : whole(routine.body());
            return new CodeStatement.CreateRoutine(
                    routine.name(),
                    routine.replace(),
                    parameters,
                    result.map(r -> code.written(r.name(), r.type().orElseThrow())),
                    List.of(),
                    routine.traits(),
                    body,
                    routine.span());
        } finally {
            adapter.scope = before;
            frame.leave();
        }
    }

    /** A block that runs at once, as the body of a procedure would. */
    Statement run(CodeStatement.RunBlock block) {
        frame = code.open(CodeFrame.Kind.PROCEDURE, block.body(), Optional.empty());
        Scope before = adapter.scope;
        adapter.scope = new Scope(Optional.of(before));
        frame.enter();
        try {
            return new CodeStatement.RunBlock(whole(block.body()), block.span());
        } finally {
            adapter.scope = before;
            frame.leave();
        }
    }

    private static void refuse(CodeStatement.CreateRoutine routine) {
        boolean several = !routine.rows().isEmpty()
                || routine.parameters().stream().anyMatch(p -> p.mode() != CodeStatement.Mode.IN);
        if (several && CodeHeads.callsItself(routine)) {
            throw CodeAdapter.at(routine.span(), "a function that calls itself and gives rows");
        }
        routine.traits().lookup().ifPresent(l -> {
            throw CodeAdapter.at(routine.span(), "names that are looked up in " + l.text());
        });
    }

    /** Says what a caller has to pass where the source had a default. */
    private CodeStatement.Parameter parameter(CodeStatement.Parameter p) {
        new CodeHeads(code).sayDefault(p);
        KnownColumn known = code.known(p.name(), p.type());
        frame.declare(known);
        code.types().sayDigits(p.name(), known.type().orElseThrow(), frame.whole.span());
        TypeName type = code.written(p.name(), known.type().orElseThrow());
        return new CodeStatement.Parameter(p.mode(), p.name(), type, Optional.empty());
    }

    /** The body of a function that gives rows, which becomes a procedure. */
    private Block givingRows(CodeStatement.CreateRoutine routine) {
        PlGiven given = new PlGiven(this);
        columns = given.columns(routine);
        direct = PlGiven.isOfOneQuery(routine.body());
        collected = Name.of(routine.name().last().text() + "_rows_");
        added.addAll(given.variables(routine));
        adapter.scope.add(Scope.Relation.ofVariables("", frame.facts()));
        Block body = whole(routine.body());
        return direct ? body : PlGiven.collecting(body, columns, collected, routine.span());
    }

    /** The body of a function of no value, which stays a function, as it is called by SELECT. */
    private Block givingNull(CodeStatement.CreateRoutine routine) {
        adapter.note(FindingCode.SYNTAX_ADAPTED, routine.span(), "a function of no value gives NULL");
        Block body = whole(routine.body());
        List<Statement> all = new ArrayList<>(body.body());
        all.add(new CodeStatement.Return(Optional.of(Expr.Literal.ofNull()), routine.span()));
        return body.withBody(all);
    }

    /** The body of a trigger, whose rows are known. */
    Block trigger(Statement body, CodeFrame opened, boolean afterChange) {
        frame = opened;
        after = afterChange;
        return whole(body);
    }

    private Block whole(Statement body) {
        boolean asks = StatementSearch.anyExpression(List.of(body), PlCode::isFound)
                || StatementSearch.anyStatement(List.of(body), s -> s instanceof CodeStatement.Fetch);
        if (asks) {
            added.add(new Declaration.Variable(
                    FOUND,
                    code.written(FOUND, new LogicalType.Int(32, false)),
                    Optional.of(Expr.Literal.number(0)),
                    false,
                    body.span()));
            frame.declare(new KnownColumn(FOUND, Optional.of(new LogicalType.Int(32, false)), true, false));
            adapter.scope.add(Scope.Relation.ofVariables("", frame.facts()));
        }
        errors = new PlErrors(this, body);
        Block block = (Block) statement(body).get(0);
        added.addAll(errors.variables());
        List<Declaration> declarations = new ArrayList<>(block.declarations());
        declarations.addAll(added);
        if (!leaves) {
            return new Block(block.label(), declarations, block.handlers(), block.body(), List.of(), block.span());
        }
        if (block.label().isEmpty()) {
            return new Block(
                    Optional.of(ROUTINE), declarations, block.handlers(), block.body(), List.of(), block.span());
        }
        return new Block(Optional.of(ROUTINE), added, List.of(), List.of(block), List.of(), block.span());
    }

    static boolean isFound(Expr e) {
        return e instanceof Expr.Column c
                && c.name().parts().size() == 1
                && c.name().last().text().equalsIgnoreCase("found");
    }

    CodeAdapter code() {
        return code;
    }

    CodeFrame frame() {
        return frame;
    }

    QueryAdapter adapter() {
        return adapter;
    }

    List<Declaration> added() {
        return added;
    }

    PlErrors errors() {
        return errors;
    }

    boolean asksForFound() {
        return added.stream().anyMatch(d -> d.name().equals(FOUND));
    }

    Name label(String stem) {
        return Name.of(stem + "_" + ++labels + "_");
    }

    List<Statement> statements(List<Statement> all) {
        return code.faults().each(all, this::statement);
    }

    List<Statement> statement(Statement statement) {
        if (statement instanceof Block block) {
            return List.of(new PlBlocks(this).block(block));
        }
        if (statement instanceof CodeStatement.Assign assign) {
            Expr target = assign.target();
            if (target instanceof Expr.Subscript item) {
                return new PlItems(this).put(item, assign);
            }
            if (new PlRecords(this).held(List.of(target)).isPresent()) {
                return List.of(new PlRecords(this).assigned(assign));
            }
            return List.of(new CodeStatement.Assign(
                    code.target(target),
                    new ValueAdapter(adapter).forColumn(meant(assign.value()), code.known(target)),
                    assign.span()));
        }
        if (statement instanceof CodeStatement.If choice) {
            return List.of(new CodeStatement.If(
                    new PlChoices(this).choices(choice.choices()), statements(choice.otherwise()), choice.span()));
        }
        if (statement instanceof CodeStatement.CaseOf choice) {
            return List.of(new PlChoices(this).caseOf(choice));
        }
        if (statement instanceof CodeStatement.Loop
                || statement instanceof CodeStatement.ForRange
                || statement instanceof CodeStatement.ForRows) {
            return looped((CodeStatement) statement);
        }
        if (statement instanceof CodeStatement.Jump jump) {
            return List.of(jump(jump));
        }
        if (statement instanceof CodeStatement.ForText loop) {
            throw CodeAdapter.at(loop.span(), "a loop over the rows of a computed statement");
        }
        return statement instanceof CodeStatement simple ? simple(simple) : change(statement);
    }

    private List<Statement> simple(CodeStatement statement) {
        if (statement instanceof CodeStatement.Return returned) {
            return returned(returned);
        }
        if (statement instanceof CodeStatement.SelectInto into) {
            return new PlRows(this).select(into);
        }
        if (statement instanceof CodeStatement.Signal signal) {
            return new PlBlocks(this).signal(signal);
        }
        if (statement instanceof CodeStatement.Message message) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, message.span(), "a text for whoever watches is left out");
            return List.of();
        }
        if (statement instanceof CodeStatement.Evaluate evaluate) {
            return new PlValues(this).evaluated(evaluate);
        }
        if (statement instanceof CodeStatement.ReturnText text) {
            return given(text);
        }
        if (statement instanceof CodeStatement.ReturnRows rows) {
            return given(rows);
        }
        if (statement instanceof CodeStatement.CursorStep step) {
            return List.of(new PlCursors(this).step(step));
        }
        if (statement instanceof CodeStatement.Fetch fetch) {
            return new PlCursors(this).fetch(fetch);
        }
        if (statement instanceof CodeStatement.ChangeInto into) {
            return new PlRows(this).changed(into);
        }
        if (statement instanceof CodeStatement.Dynamic dynamic) {
            return dynamic(dynamic);
        }
        if (statement instanceof CodeStatement.RowCount count) {
            return List.of(new CodeStatement.RowCount(code.target(count.target()), count.span()));
        }
        if (statement instanceof CodeStatement.Diagnosis diagnosis) {
            return List.of(code.diagnosis(diagnosis));
        }
        return List.of(statement);
    }

    /** Rows of a computed query, for the caller or for those that are collected. */
    private List<Statement> given(CodeStatement.ReturnText text) {
        PlComputed computed = new PlComputed(adapter, frame);
        List<Statement> made = computed.all(computed(text.span()).given(text));
        return direct ? made : computed.collected(made, collected, columns);
    }

    /** Rows for the caller; those of a query say whether there were any, too, one that is put together does not. */
    private List<Statement> given(CodeStatement.ReturnRows rows) {
        Statement given = new PlGiven(this).given(rows, columns, collected, direct);
        boolean asked = asksForFound() && !direct && !PlGiven.isOne(rows);
        return asked
                ? List.of(given, new CodeStatement.RowCount(Expr.Column.of(FOUND.text()), rows.span()))
                : List.of(given);
    }

    /** A statement that is put together as a text, which leaves FOUND as it is. */
    private List<Statement> dynamic(CodeStatement.Dynamic dynamic) {
        return new PlComputed(adapter, frame).all(computed(dynamic.span()).made(dynamic));
    }

    private DynamicCode computed(Span span) {
        if (asksForFound()) {
            throw CodeAdapter.at(span, "EXECUTE beside FOUND");
        }
        return new DynamicCode(
                adapter,
                this::statement,
                t -> new PlRecords(this).targets(List.of(t)).get(0),
                (q, apart, place) -> apart.expressions().query(q));
    }

    private List<Statement> change(Statement statement) {
        List<Statement> all = new ArrayList<>(statements.adapt(new PlChanges(this).byKey(statement)));
        boolean counts = asksForFound()
                && (statement instanceof Statement.Update
                        || statement instanceof Statement.Delete
                        || statement instanceof Statement.Insert);
        if (counts) {
            Expr rows = Expr.Column.of(FOUND.text());
            all.add(new CodeStatement.RowCount(rows, statement.span()));
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    statement.span(),
                    "FOUND after an UPDATE: the target counts the rows whose values it changed");
        }
        return all;
    }

    /** An expression with what stands for the last row count, and for the error at hand. */
    Expr meant(Expr e) {
        return new StatementMapper() {
            @Override
            public Expr expr(Expr inner) {
                Optional<Expr> other = errors.variable(inner).or(() -> new PlRecords(PlCode.this).missing(inner));
                if (other.isPresent()) {
                    return other.get();
                }
                return isFound(inner) && asksForFound()
                        ? new Expr.Binary(
                                BinaryOperator.GREATER,
                                Expr.Column.of(FOUND.text()),
                                Expr.Literal.number(0),
                                inner.span())
                        : super.expr(inner);
            }
        }.expr(e);
    }

    /** A loop; what goes through rows or numbers says afterwards whether there were any. */
    private List<Statement> looped(CodeStatement loop) {
        if (loop instanceof CodeStatement.Loop || !asksForFound()) {
            return List.of(loop(loop));
        }
        Span span = loop.span();
        Name any = Name.of("any_" + ++labels + "_");
        added.add(new Declaration.Variable(
                any,
                code.written(any, new LogicalType.Int(32, false)),
                Optional.of(Expr.Literal.number(0)),
                false,
                span));
        Expr variable = Expr.Column.of(any.text());
        Statement one = new CodeStatement.Assign(variable, Expr.Literal.number(1), span);
        return List.of(
                new CodeStatement.Assign(variable, Expr.Literal.number(0), span),
                PlRows.beginning(loop(loop), one),
                new CodeStatement.Assign(Expr.Column.of(FOUND.text()), variable, span));
    }

    private Statement loop(CodeStatement loop) {
        Optional<Name> given = loop instanceof CodeStatement.Loop l
                ? l.label()
                : loop instanceof CodeStatement.ForRange r ? r.label() : ((CodeStatement.ForRows) loop).label();
        Name label = given.orElseGet(() -> label("loop"));
        loops.push(label);
        try {
            if (loop instanceof CodeStatement.Loop l) {
                return new CodeStatement.Loop(
                        Optional.of(label),
                        l.before().map(new PlValues(this)::condition),
                        Optional.empty(),
                        statements(l.body()),
                        l.span());
            }
            if (loop instanceof CodeStatement.ForRows && !adapter.to.has(SqlFeature.LOOPS_OVER_ROWS)) {
                throw CodeAdapter.at(loop.span(), "FOR");
            }
            return new PlRows(this).loop(loop, label);
        } finally {
            loops.pop();
        }
    }

    private Statement jump(CodeStatement.Jump jump) {
        Name label = jump.label()
                .or(() -> Optional.ofNullable(loops.peek()))
                .orElseThrow(() -> CodeAdapter.at(jump.span(), "EXIT outside of a loop"));
        Statement plain = new CodeStatement.Jump(jump.again(), Optional.of(label), Optional.empty(), jump.span());
        return jump.when()
                .<Statement>map(w -> new CodeStatement.If(
                        List.of(new Choice(new PlValues(this).condition(w), List.of(plain))), List.of(), jump.span()))
                .orElse(plain);
    }

    private List<Statement> returned(CodeStatement.Return returned) {
        if (frame.kind == CodeFrame.Kind.FUNCTION) {
            Expr value = new ValueAdapter(adapter)
                    .forColumn(meant(returned.value().orElse(Expr.Literal.ofNull())), frame.result);
            return List.of(new CodeStatement.Return(Optional.of(value), returned.span()));
        }
        if (frame.kind == CodeFrame.Kind.TRIGGER && !after) {
            new PlTriggers(this).sayWhatIsGiven(returned);
        }
        leaves = true;
        return List.of(new CodeStatement.Jump(false, Optional.of(ROUTINE), Optional.empty(), returned.span()));
    }
}
