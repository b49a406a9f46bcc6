package raftcart.rewrite;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import raftcart.finding.FindingCode;
import raftcart.rewrite.KnownCode.KnownPackage;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.CreatePackage;
import raftcart.sql.tree.CodeStatement.CreateRoutine;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.RoutineTraits;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.TypeName;

/**
 * Packages, for a target without them: each becomes a schema of its name with its routines. Its variables are kept for the
 * session, and asked for and set by two functions of the schema, the first of which fills them when it is called first.
 */
final class CodePackages {
    /** Gives what a variable holds, as a text. */
    static final String GIVES = "state_";

    /** Takes what a variable is to hold. */
    static final String TAKES = "keep_";

    private final CodeAdapter code;
    private final QueryAdapter adapter;

    CodePackages(CodeAdapter code) {
        this.code = code;
        this.adapter = code.adapter();
    }

    List<Statement> adapt(CreatePackage made) {
        for (Declaration declaration : made.declarations()) {
            boolean other = !(declaration instanceof Declaration.Variable)
                    && !(declaration instanceof Declaration.NamedCondition);
            if (other) {
                throw CodeAdapter.at(made.span(), declaration.name().text() + ", a cursor or row of a package");
            }
        }
        KnownPackage known = adapter.knowledge.code().add(made);
        List.of(GIVES, TAKES).forEach(adapter.knowledge::addRoutine);
        known.routines().forEach(adapter.knowledge::addRoutine);
        made.routines().forEach(new CodeHeads(code)::know);
        List<Statement> all = new ArrayList<>();
        if (!made.body()) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, made.span(), "a package becomes a schema of its name");
            all.add(new DdlStatement.CreateSchema(known.name(), true, false, List.of(), made.span()));
        }
        boolean initialised = made.first().isPresent();
        if (known.hasState() || initialised) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    made.span(),
                    "the variables of the package go back where a transaction is rolled back");
            all.add(state(known, made));
        }
        for (CreateRoutine routine : made.routines()) {
            CreateRoutine whole = initialised ? initialising(routine, known) : routine;
            all.add(code.routine(whole, Optional.of(known)));
        }
        return all;
    }

    /** The functions that keep the variables, with what they are filled with first. */
    private Statement state(KnownPackage known, CreatePackage made) {
        List<Declaration> variables = new ArrayList<>();
        for (Declaration.Variable v : known.variables().values()) {
            if (!KnownCode.isFixed(v)) {
                variables.add(new Declaration.Variable(v.name(), v.type(), v.initial(), false, v.span()));
            }
        }
        List<Statement> first = new ArrayList<>();
        variables.forEach(v -> ((Declaration.Variable) v)
                .initial()
                .ifPresent(i -> first.add(new CodeStatement.Assign(
                        new Expr.Column(new QualifiedName(List.of(known.name(), v.name())), false, made.span()),
                        i,
                        made.span()))));
        made.first().ifPresent(first::add);
        RoutineTraits traits = new RoutineTraits(false, RoutineTraits.Access.UNSAID, false, true, Optional.empty());
        // Read and adapted as a procedure, of which the body is what is wanted.
        CreateRoutine filling = new CreateRoutine(
                new QualifiedName(List.of(known.name(), Name.of(GIVES))),
                true,
                List.of(),
                Optional.empty(),
                List.of(),
                traits,
                Block.of(first, made.span()),
                made.span());
        CreateRoutine adapted = (CreateRoutine) code.routine(filling, Optional.of(known));
        return new CodeStatement.SessionState(known.name(), (Block) adapted.body(), made.span());
    }

    /** A routine of a package in which something is done before it is used first. */
    private static CreateRoutine initialising(CreateRoutine routine, KnownPackage known) {
        Statement ask = new CodeStatement.Evaluate(gives(known, Expr.Literal.string("ready_")), routine.span());
        Block body = (Block) routine.body();
        List<Statement> all = new ArrayList<>();
        all.add(ask);
        all.addAll(body.body());
        return new CreateRoutine(
                routine.name(),
                routine.replace(),
                routine.parameters(),
                routine.returns(),
                routine.rows(),
                routine.traits(),
                body.withBody(all),
                routine.span());
    }

    private static Expr gives(KnownPackage of, Expr variable) {
        return new Expr.Call(
                new QualifiedName(List.of(of.name(), Name.of(GIVES))),
                false,
                List.of(variable),
                CallSuffix.NONE,
                variable.span());
    }

    /** Lets the variables of packages be known here. */
    void see() {
        for (KnownPackage known : adapter.knowledge.code().all()) {
            Map<String, Scope.ColumnFacts> facts = new LinkedHashMap<>();
            known.variables().forEach((key, v) -> facts.put(key, Scope.ColumnFacts.of(code.known(v.name(), v.type()))));
            known.conditions().forEach((name, condition) -> code.frame().name(Name.of(name), condition));
            if (!facts.isEmpty()) {
                adapter.scope.add(Scope.Relation.ofVariables(known.name().text(), facts));
            }
        }
    }

    /** Code in which variables of packages are asked for and set by functions. */
    Statement kept(Statement adapted) {
        return !adapter.knowledge.code().all().iterator().hasNext()
                ? adapted
                : new StatementMapper() {
                    @Override
                    public Expr expr(Expr e) {
                        Optional<KnownPackage> of = variableOf(e);
                        return of.isEmpty() ? super.expr(e) : read((Expr.Column) e, of.get());
                    }

                    @Override
                    public Statement statement(Statement statement) {
                        if (statement instanceof CodeStatement.Assign assign) {
                            Optional<KnownPackage> of = variableOf(assign.target());
                            if (of.isPresent()) {
                                return set((Expr.Column) assign.target(), of.get(), expr(assign.value()), assign);
                            }
                        }
                        return super.statement(statement);
                    }
                }.statement(adapted);
    }

    private Optional<KnownPackage> variableOf(Expr e) {
        return e instanceof Expr.Column c && c.name().parts().size() == 2
                ? adapter.knowledge.code().named(c.name().parts().get(0)).filter(p -> p.variable(
                                c.name().last())
                        .isPresent())
                : Optional.empty();
    }

    private Expr read(Expr.Column column, KnownPackage of) {
        Declaration.Variable variable = of.variable(column.name().last()).orElseThrow();
        TypeName type = code.written(
                variable.name(),
                code.known(variable.name(), variable.type()).type().orElseThrow());
        return new Expr.Cast(gives(of, key(variable)), type, false, column.span());
    }

    private static Statement set(Expr.Column column, KnownPackage of, Expr value, CodeStatement.Assign assign) {
        Declaration.Variable variable = of.variable(column.name().last()).orElseThrow();
        Expr call = new Expr.Call(
                new QualifiedName(List.of(of.name(), Name.of(TAKES))),
                false,
                List.of(key(variable), new Expr.Cast(value, TypeName.of("text"), false, assign.span())),
                CallSuffix.NONE,
                assign.span());
        return new CodeStatement.Evaluate(call, assign.span());
    }

    private static Expr key(Declaration.Variable variable) {
        return Expr.Literal.string(KnownCode.key(variable.name()));
    }
}
