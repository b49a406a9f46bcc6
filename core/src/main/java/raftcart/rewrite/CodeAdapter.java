package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.rewrite.KnownCode.KnownPackage;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/**
 * Routines and triggers with SQL/PSM in them for a target whose blocks rescue what fails (PL/pgSQL), so that they do there what
 * they do on the source. What cannot be said is refused with the line of its statement.
 */
final class CodeAdapter {
    private final StatementAdapter statements;
    private final QueryAdapter adapter;
    private final CodeTypes types = new CodeTypes(this);
    private final CodeFaults faults = new CodeFaults();
    private CodeFrame frame;
    private CodeCursors cursors;
    private CodeErrors errors;
    private Span place = Span.NONE;

    CodeAdapter(StatementAdapter statements) {
        this.statements = statements;
        this.adapter = statements.expressions();
    }

    /** The routine or trigger in the target's terms; may become several, or part of others. */
    List<Statement> adapt(CodeStatement code) {
        place = code.span();
        if (!(code instanceof CodeStatement.CreateRoutine routine) || adapter.knowledge.isRoutine(routine.name())) {
            return adapted(code);
        }
        String name = routine.name().last().text();
        adapter.knowledge.addRoutine(name); // it may call itself
        try {
            return adapted(code);
        } catch (Untranslatable e) {
            adapter.knowledge.removeRoutine(name);
            throw e;
        }
    }

    private List<Statement> adapted(CodeStatement code) {
        return faults.orAll(
                () -> whole(BoundCursors.bound(DynamicTexts.followed(Gotos.structured(code), adapter.from))));
    }

    private List<Statement> whole(CodeStatement code) {
        CodeWay way = CodeWay.of(adapter.from, adapter.to);
        if (code instanceof CodeStatement.CreatePackage made) {
            refuse(way != CodeWay.TO_RESCUES, "a package");
            return new CodePackages(this).adapt(made);
        }
        if (code instanceof CodeStatement.CreateRoutine routine) {
            refuse(way == CodeWay.NONE, routine.returns().isPresent() ? "a function" : "a procedure");
            return made(routine, way);
        }
        if (code instanceof CodeStatement.CreateTrigger trigger) {
            refuse(way == CodeWay.NONE, "a trigger");
            return made(trigger, way);
        }
        if (code instanceof CodeStatement.RunBlock block) {
            boolean runs = way == CodeWay.TO_RESCUES
                    || way == CodeWay.TO_HANDLERS && adapter.to.has(SqlFeature.EXECUTES_TEXTS);
            refuse(!runs, "a block of code");
            return List.of(
                    way == CodeWay.TO_RESCUES
                            ? new CodeRuns(this).run(block)
                            : new PlCode(statements, this).run(block));
        }
        throw new Untranslatable("a block of code");
    }

    private List<Statement> made(CodeStatement.CreateRoutine routine, CodeWay way) {
        if (way == CodeWay.AS_IT_IS) {
            return List.of(new PsmCode(statements, this).routine(routine));
        }
        sayLanguage(routine.span());
        return way == CodeWay.TO_RESCUES
                ? List.of(routine(routine, Optional.empty()))
                : new PlCode(statements, this).routine(routine);
    }

    private List<Statement> made(CodeStatement.CreateTrigger trigger, CodeWay way) {
        if (way == CodeWay.AS_IT_IS) {
            CodeTriggers.refuseAgain(trigger, adapter);
            return new OwnTableChanges(adapter, trigger)
                    .apart().stream()
                            .map(t -> new PsmCode(statements, this).trigger(t))
                            .toList();
        }
        sayLanguage(trigger.span());
        return way == CodeWay.TO_RESCUES
                ? new CodeTriggers(this).triggers(trigger)
                : PlTriggers.triggers(trigger, statements, this);
    }

    /** Begins a routine that is adapted elsewhere. */
    CodeFrame open(CodeFrame.Kind kind, Statement whole, Optional<KnownColumn> result) {
        frame = new CodeFrame(kind, whole, result);
        return frame;
    }

    private void sayLanguage(Span span) {
        adapter.note(FindingCode.SYNTAX_ADAPTED, span, "code in the target's own language");
    }

    private void refuse(boolean refused, String what) {
        if (!refused) {
            return;
        }
        boolean none = adapter.to.has(SqlFeature.CODE_OF_OTHER_LANGUAGES);
        throw new Untranslatable(what
                + (none
                        ? ", which the target has in languages other than SQL alone"
                        : ", which is not written for this target from this source"));
    }

    /** A refusal for one statement, with which the whole routine ends. */
    static Untranslatable at(Span span, String what) {
        return new Untranslatable(what, span);
    }

    CodeFrame frame() {
        return frame;
    }

    /** Where the body stands, or the whole where its body is not reached yet. */
    Span place() {
        return frame == null ? place : frame.whole.span();
    }

    CodeTypes types() {
        return types;
    }

    CodeCursors cursors() {
        return cursors;
    }

    QueryAdapter adapter() {
        return adapter;
    }

    /** A routine, perhaps of a package. */
    Statement routine(CodeStatement.CreateRoutine given, Optional<KnownPackage> of) {
        CodeStatement.CreateRoutine routine =
                (CodeStatement.CreateRoutine) PackageNames.inFull(given, of, adapter.knowledge);
        CodeHeads heads = new CodeHeads(this);
        heads.know(routine);
        frame = heads.frame(routine);
        frame.calledAs(routine.name().last());
        Scope before = adapter.scope;
        adapter.scope = new Scope(Optional.of(before));
        frame.enter();
        CodePackages packages = new CodePackages(this);
        packages.see();
        SessionVariables session = new SessionVariables(this, routine.body(), routine.parameters());
        session.see();
        try {
            routine.parameters().forEach(p -> {
                frame.declare(known(p.name(), p.type()));
                types.sayRange(p.name(), types.type(p.type()), true, routine.span());
            });
            adapter.scope.add(Scope.Relation.ofVariables(routine.name().last().text(), frame.facts()));
            List<CodeStatement.Parameter> parameters = heads.written(routine);
            Block body = whole(session.named(routine.body()), heads.rounded(routine.parameters(), parameters));
            heads.sayPresent(body, routine.span());
            return session.kept(packages.kept(new CodeStatement.CreateRoutine(
                    routine.name(),
                    routine.replace(),
                    parameters,
                    routine.returns().map(t -> written(routine.name().last(), types.type(t))),
                    frame.rows(),
                    routine.traits().lookingUp(heads.lookup(routine, of)),
                    body,
                    routine.span())));
        } finally {
            adapter.scope = before;
            frame.leave();
        }
    }

    /** The body as one block, which declares what had to be added. */
    Block whole(Statement body, List<Statement> first) {
        cursors = new CodeCursors(this, body);
        errors = new CodeErrors(this);
        frame.enter();
        cursors.declare(body.span());
        adapter.scope.add(Scope.Relation.ofVariables("", frame.facts()));
        List<Statement> adapted = statement(body);
        frame.leave();
        Block block = adapted.size() == 1 && adapted.get(0) instanceof Block b ? b : Block.of(adapted, body.span());
        List<Declaration> declarations = new ArrayList<>(block.declarations());
        declarations.addAll(frame.added());
        boolean plain = block.rescues().isEmpty() || first.isEmpty();
        List<Statement> all =
                Stream.concat(first.stream(), block.body().stream()).toList();
        return plain
                ? new Block(block.label(), declarations, List.of(), all, block.rescues(), block.span())
                : new Block(
                        Optional.empty(),
                        frame.added(),
                        List.of(),
                        Stream.concat(first.stream(), Stream.of((Statement) block))
                                .toList(),
                        List.of(),
                        block.span());
    }

    List<Statement> statements(List<Statement> all) {
        return faults.each(new CodeNumbers(adapter).paired(all), this::statement);
    }

    /** Where statements that cannot be said are gathered. */
    CodeFaults faults() {
        return faults;
    }

    /** A statement in the target's terms, with what is done if it fails and the routine goes on. */
    List<Statement> statement(Statement statement) {
        boolean simple = statement instanceof Statement.Dml
                || statement instanceof CodeStatement.SelectInto
                || statement instanceof CodeStatement.Fetch
                || statement instanceof CodeStatement.CursorStep
                || statement instanceof CodeStatement.Assign a
                        && !(a.value() instanceof Expr.Literal || a.value() instanceof Expr.Column)
                || statement instanceof CodeStatement.Signal;
        List<Statement> adapted = new ArrayList<>();
        Statement asked = statement instanceof Block ? statement : errors.answered(cursors.answered(statement));
        Statement counted = new CodeCounts(this).counted(asked, adapted);
        boolean assigns = counted instanceof CodeStatement.Assign
                || counted instanceof CodeStatement.SelectInto
                || counted instanceof CodeStatement.Return;
        adapted.addAll(adapter.dividing(
                assigns && adapter.from.has(SqlFeature.ZERO_DIVISION_FAILS_IN_CODE), () -> adapted(counted)));
        boolean countsItself =
                statement instanceof CodeStatement.SelectInto && !adapted.isEmpty() && adapted.get(0) instanceof Block;
        adapted.addAll(Math.min(1, adapted.size()), countsItself ? List.of() : cursors.after(statement));
        return simple ? new CodeHandlers(this).going(adapted, statement.span()) : adapted;
    }

    private List<Statement> adapted(Statement statement) {
        if (statement instanceof Block block) {
            return List.of(new CodeHandlers(this).block(block));
        }
        if (statement instanceof Statement.QueryStatement query && query.into().isEmpty()) {
            return new CodeResults(this).given(query);
        }
        if (statement instanceof Statement.CallProcedure call) {
            return new CodeCalls(this).call(call, statements);
        }
        if (statement instanceof Statement.Insert insert) {
            refuseHiddenKeys(insert);
        }
        cursors.refuseUnknown(statement);
        if (statement instanceof Statement.Transaction transaction) {
            return new CodeTransactions(this).adapt(transaction);
        }
        return statement instanceof CodeStatement code ? moving(code) : statements.adapt(statement);
    }

    /** Statements that move values between rows and variables. */
    private List<Statement> moving(CodeStatement statement) {
        if (statement instanceof CodeStatement.Assign assign) {
            return List.of(assign(assign));
        }
        if (statement instanceof CodeStatement.SelectInto into) {
            return new CodeRows(this).select(into);
        }
        if (statement instanceof CodeStatement.Fetch fetch) {
            return new CodeRows(this).fetch(fetch);
        }
        if (statement instanceof CodeStatement.CursorStep step) {
            return List.of(cursors.step(step));
        }
        if (statement instanceof CodeStatement.ChangeInto into) {
            return List.of(new CodeRows(this).changed(into, statements));
        }
        if (statement instanceof CodeStatement.ReturnRows rows) {
            return List.of(new CodeStatement.ReturnRows(adapter.query(rows.query()), rows.span()));
        }
        return statement instanceof CodeStatement.Dynamic dynamic
                ? new DynamicCode(adapter, this::statement, this::variable, new CodeResults(this)::given).made(dynamic)
                : List.of(simple(statement));
    }

    private Statement simple(CodeStatement statement) {
        if (statement instanceof CodeStatement.Evaluate evaluate) {
            return new CodeStatement.Evaluate(adapter.expr(evaluate.value()), evaluate.span());
        }
        if (statement instanceof CodeStatement.Message message) {
            return new CodeStatement.Message(adapter.expr(message.text()), message.span());
        }
        if (statement instanceof CodeStatement.Signal signal) {
            return signal(signal);
        }
        if (statement instanceof CodeStatement.Return returned) {
            return returned(returned);
        }
        return statement instanceof CodeStatement.Diagnosis diagnosis ? diagnosis(diagnosis) : nested(statement);
    }

    /** What names the key of an INSERT that may meet a row is taken for a variable of that name on the target. */
    private void refuseHiddenKeys(Statement.Insert insert) {
        boolean meets = insert.upsert().isPresent() || insert.mode() == Statement.Insert.Mode.REPLACE;
        boolean hidden = meets
                && insert.columns().stream().anyMatch(c -> frame.variable(c).isPresent());
        if (hidden) {
            throw at(insert.span(), "a row that may meet another, and a variable with the name of one of its columns");
        }
    }

    private Statement nested(CodeStatement code) {
        if (code instanceof CodeStatement.If choice) {
            return new CodeStatement.If(choices(choice.choices()), statements(choice.otherwise()), choice.span());
        }
        if (code instanceof CodeStatement.CaseOf choice) {
            return caseOf(choice);
        }
        if (code instanceof CodeStatement.Loop loop) {
            frame.loops().push(loop);
            try {
                return new CodeStatement.Loop(
                        loop.label(),
                        loop.before().map(adapter::condition),
                        loop.after().map(adapter::condition),
                        statements(loop.body()),
                        loop.span());
            } finally {
                frame.loops().pop();
            }
        }
        return code instanceof CodeStatement.ForRange || code instanceof CodeStatement.ForRows
                ? new CodeLoops(this).loop(code)
                : code;
    }

    private List<Choice> choices(List<Choice> choices) {
        return choices.stream()
                .map(c -> new Choice(adapter.condition(c.condition()), statements(c.body())))
                .toList();
    }

    /** A choice by the value of a variable, as conditions, so that each is compared as the source does. */
    private Statement caseOf(CodeStatement.CaseOf given) {
        boolean variable = given.operand().filter(Expr.Column.class::isInstance).isPresent();
        CodeStatement.CaseOf choice = variable ? given.searched() : given;
        Optional<List<Statement>> otherwise = choice.otherwise().map(this::statements);
        return choice.operand().isPresent()
                ? valueOf(choice, otherwise)
                : new CodeStatement.CaseOf(Optional.empty(), choices(choice.choices()), otherwise, choice.span());
    }

    /** A choice by the value of an expression, which is computed once. */
    private Statement valueOf(CodeStatement.CaseOf choice, Optional<List<Statement>> otherwise) {
        Expr operand = choice.operand().orElseThrow();
        if (adapter.kind(operand) == ValueKind.TEXT && adapter.from.has(SqlFeature.IGNORES_CASE)) {
            adapter.note(FindingCode.CASE_OF_TEXT, operand.span(), "CASE");
        }
        List<Choice> values = choice.choices().stream()
                .map(c -> new Choice(adapter.expr(c.condition()), statements(c.body())))
                .toList();
        return new CodeStatement.CaseOf(Optional.of(adapter.expr(operand)), values, otherwise, choice.span());
    }

    private Statement assign(CodeStatement.Assign assign) {
        CodeRecords records = new CodeRecords(this);
        Optional<List<Scope.ColumnFacts>> row = records.target(List.of(assign.target()));
        if (row.filter(r -> records.copies(assign, r)).isPresent()) {
            return assign;
        }
        Optional<KnownColumn> known = known(assign.target());
        Expr value = new ValueAdapter(adapter).forColumn(assign.value(), known);
        return new CodeStatement.Assign(target(assign.target()), value, assign.span());
    }

    /** What is known of a variable, or of a column of the row that a trigger is about. */
    Optional<KnownColumn> known(Expr target) {
        QualifiedName name = ((Expr.Column) target).name();
        if (name.parts().size() > 1) {
            return adapter.scope
                    .column(name)
                    .map(f -> new KnownColumn(name.last(), f.type(), f.notNull(), f.ignoresCase()));
        }
        return Optional.of(frame.variable(name.last())
                .orElseThrow(() -> at(target.span(), name + ", a setting of the session, is assigned")));
    }

    /** A variable by its name; the rows of a trigger are called so in small letters. */
    Expr target(Expr target) {
        Expr.Column column = (Expr.Column) target;
        return adapter.expr(column);
    }

    /** A variable of the routine by its name. */
    private Expr variable(Expr target) {
        known(target);
        return target(target);
    }

    private Statement signal(CodeStatement.Signal signal) {
        Optional<String> state = signal.state().map(s -> frame.state(s, adapter.from.name(), signal.span()));
        boolean warns = state.filter(s -> s.startsWith("01")).isPresent();
        if (warns) {
            throw at(signal.span(), "a warning that is raised");
        }
        if (signal.goesOn()) {
            String rest = frame.kind == CodeFrame.Kind.TRIGGER ? "the change stays" : "the next statement follows";
            adapter.note(FindingCode.SYNTAX_CHECK, signal.span(), "an error ends the routine, on the source " + rest);
        }
        return new CodeStatement.Signal(state, signal.message().map(adapter::expr), sayMore(signal), signal.span());
    }

    /** What is asked of the error at hand. */
    Statement diagnosis(CodeStatement.Diagnosis diagnosis) {
        if (diagnosis.items().contains("RETURNED_SQLSTATE")) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    diagnosis.span(),
                    "the same error may have another SQLSTATE on the target");
        }
        return new CodeStatement.Diagnosis(
                diagnosis.targets().stream().map(this::target).toList(), diagnosis.items(), diagnosis.span());
    }

    /** Says what an error tells besides its text, for which the target has no room. */
    List<String> sayMore(CodeStatement.Signal signal) {
        if (!signal.more().isEmpty()) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    signal.span(),
                    String.join(", ", signal.more()) + " of an error left out");
        }
        return List.of();
    }

    /** What a function gives, with the digits of its type, which the target's functions do not see to. */
    private Statement returned(CodeStatement.Return returned) {
        if (returned.value().isPresent() && frame.kind.isProcedure()) {
            boolean well =
                    returned.value().get() instanceof Expr.Literal l && l.text().equals("0");
            if (!well) {
                adapter.note(
                        FindingCode.SYNTAX_CHECK, returned.span(), "the status that a procedure returns is left out");
            }
            return new CodeStatement.Return(Optional.empty(), returned.span());
        }
        if (returned.value().isEmpty() || frame.result.isEmpty()) {
            return returned;
        }
        KnownColumn result = frame.result.get();
        Expr value = new ValueAdapter(adapter).forColumn(returned.value().get(), Optional.of(result));
        boolean digits = result.type()
                        .filter(t -> t instanceof LogicalType.Decimal d && d.precision() > 0)
                        .isPresent()
                && !isOfType(returned.value().get(), result);
        TypeName type = written(result.name(), result.type().orElseThrow());
        return new CodeStatement.Return(
                Optional.of(digits ? new Expr.Cast(value, type, false, returned.span()) : value), returned.span());
    }

    /** True for a variable that has the digits of the result already. */
    private boolean isOfType(Expr value, KnownColumn result) {
        return value instanceof Expr.Column c
                && c.name().parts().size() == 1
                && frame.variable(c.name().last()).flatMap(KnownColumn::type).equals(result.type());
    }

    KnownColumn known(Name name, TypeName type) {
        return new KnownColumn(name, Optional.of(types.type(type)), false, adapter.from.has(SqlFeature.IGNORES_CASE));
    }

    /** The type of a variable as the target writes it. */
    TypeName written(Name name, LogicalType type) {
        return types.written(name, type);
    }
}
