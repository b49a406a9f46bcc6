package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import raftcart.sql.Span;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.CodeStatement.CreateRoutine;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;

/**
 * A function that calls itself, for a target where only procedures may ("Stored Function Limitations", MariaDB): a procedure
 * does the work and hands its result over, and the function calls that. What is called within an expression is called before its
 * statement, where the expression computes it in any case.
 */
final class PlRecursion {
    private static final Name RESULT = Name.of("result_");

    private final CreateRoutine function;
    private final QualifiedName procedure;
    private final List<Declaration> variables = new ArrayList<>();

    PlRecursion(CreateRoutine function) {
        this.function = function;
        Name last = function.name().last();
        this.procedure = function.name().withLast(new Name(last.text() + "_again_", last.exact()));
    }

    /** The procedure. */
    CreateRoutine procedure() {
        Statement body = statement(function.body());
        List<Parameter> parameters = new ArrayList<>(function.parameters());
        function.returns()
                .filter(t -> !isNothing())
                .ifPresent(t -> parameters.add(new Parameter(Mode.OUT, RESULT, t, Optional.empty())));
        Block block = body instanceof Block b ? b : Block.of(List.of(body), function.span());
        List<Declaration> declarations = new ArrayList<>(variables);
        declarations.addAll(block.declarations());
        Block whole =
                new Block(block.label(), declarations, block.handlers(), block.body(), block.rescues(), block.span());
        return new CreateRoutine(
                procedure,
                true, // it is no part of what the source drops
                parameters,
                Optional.empty(),
                List.of(),
                function.traits(),
                whole,
                function.span());
    }

    /** The function, which calls the procedure. */
    CreateRoutine caller() {
        Span span = function.span();
        List<Expr> arguments = new ArrayList<>();
        function.parameters()
                .forEach(p ->
                        arguments.add(new Expr.Column(QualifiedName.of(p.name().text()), false, span)));
        List<Declaration> declarations = new ArrayList<>();
        List<Statement> all = new ArrayList<>();
        if (!isNothing()) {
            declarations.add(
                    new Declaration.Variable(RESULT, function.returns().orElseThrow(), Optional.empty(), false, span));
            arguments.add(Expr.Column.of(RESULT.text()));
        }
        all.add(new Statement.CallProcedure(procedure, arguments, span));
        all.add(new CodeStatement.Return(
                isNothing() ? Optional.empty() : Optional.of(Expr.Column.of(RESULT.text())), span));
        Block body = new Block(Optional.empty(), declarations, List.of(), all, List.of(), span);
        return new CreateRoutine(
                function.name(),
                function.replace(),
                function.parameters(),
                function.returns(),
                List.of(),
                function.traits(),
                body,
                span);
    }

    private boolean isNothing() {
        return function.returns().filter(t -> t.name().equals("void")).isPresent();
    }

    private boolean isAgain(Expr e) {
        return e instanceof Expr.Call call
                && CodeHeads.isOf(call.name(), function.name())
                && call.arguments().size() <= function.parameters().size();
    }

    private boolean calls(Expr e) {
        return ExprSearch.any(e, this::isAgain);
    }

    /** A statement, behind the calls that its expressions make. */
    private Statement statement(Statement given) {
        List<Statement> before = new ArrayList<>();
        Statement made = made(given, before);
        if (before.isEmpty()) {
            return made;
        }
        before.add(made);
        return Block.of(before, function.span());
    }

    private Statement made(Statement given, List<Statement> before) {
        if (given instanceof CodeStatement.Return r) {
            return returned(r, before);
        }
        if (given instanceof CodeStatement.Assign a) {
            return a.value() instanceof Expr.Case c && c.subject().isEmpty() && calls(c)
                    ? choice(c, v -> new CodeStatement.Assign(a.target(), v, a.span()), a.span(), before)
                    : new CodeStatement.Assign(a.target(), hoisted(a.value(), before), a.span());
        }
        if (given instanceof CodeStatement.Evaluate e) {
            return new CodeStatement.Evaluate(hoisted(e.value(), before), e.span());
        }
        if (given instanceof CodeStatement.If choice) {
            return choice(choice, before);
        }
        return new StatementMapper() {
            @Override
            public Expr expr(Expr e) {
                if (calls(e)) {
                    throw CodeAdapter.at(function.span(), "a function that calls itself within such a statement");
                }
                return e;
            }

            @Override
            public Statement statement(Statement inner) {
                return inner == given ? super.statement(inner) : PlRecursion.this.statement(inner);
            }
        }.statement(given);
    }

    private Statement returned(CodeStatement.Return given, List<Statement> before) {
        if (given.value().isEmpty() || isNothing()) {
            return given;
        }
        Expr value = given.value().get();
        if (value instanceof Expr.Case c && c.subject().isEmpty() && calls(c)) {
            return choice(c, v -> new CodeStatement.Return(Optional.of(v), given.span()), given.span(), before);
        }
        before.add(new CodeStatement.Assign(Expr.Column.of(RESULT.text()), hoisted(value, before), given.span()));
        return new CodeStatement.Return(Optional.empty(), given.span());
    }

    /** A choice between values as one between statements, of which only one is done. */
    private Statement choice(Expr.Case given, Function<Expr, Statement> each, Span span, List<Statement> before) {
        List<Choice> choices = given.branches().stream()
                .map(b -> new Choice(b.condition(), List.of(each.apply(b.result()))))
                .toList();
        Statement last = each.apply(given.otherwise().orElse(Expr.Literal.ofNull()));
        return choice(new CodeStatement.If(choices, List.of(last), span), before);
    }

    /** Choices in each other where a later condition makes calls, too. */
    private Statement choice(CodeStatement.If given, List<Statement> before) {
        Choice first = given.choices().get(0);
        Expr condition = hoisted(first.condition(), before);
        List<Statement> body = first.body().stream().map(this::statement).toList();
        List<Choice> rest = given.choices().subList(1, given.choices().size());
        boolean later = rest.stream().anyMatch(c -> calls(c.condition()));
        if (later) {
            Statement inner = statement(new CodeStatement.If(rest, given.otherwise(), given.span()));
            return new CodeStatement.If(List.of(new Choice(condition, body)), List.of(inner), given.span());
        }
        List<Choice> choices = new ArrayList<>(List.of(new Choice(condition, body)));
        rest.forEach(c -> choices.add(
                new Choice(c.condition(), c.body().stream().map(this::statement).toList())));
        return new CodeStatement.If(
                choices, given.otherwise().stream().map(this::statement).toList(), given.span());
    }

    /** An expression in which variables have what its calls give. */
    private Expr hoisted(Expr given, List<Statement> before) {
        if (!calls(given)) {
            return given;
        }
        return new StatementMapper() {
            @Override
            public Expr expr(Expr e) {
                boolean perhaps = e instanceof Expr.Case
                        || e instanceof Expr.Junction
                        || e instanceof Expr.Subquery
                        || e instanceof Expr.Exists
                        || e instanceof Expr.Call c && c.isAny("coalesce", "nullif", "greatest", "least");
                if (perhaps && calls(e)) {
                    throw CodeAdapter.at(
                            function.span(), "a function that calls itself where that may not be computed");
                }
                return isAgain(e) ? called((Expr.Call) super.expr(e), before) : super.expr(e);
            }

            @Override
            public Query query(Query query) {
                return query;
            }
        }.expr(given);
    }

    private Expr called(Expr.Call call, List<Statement> before) {
        boolean whole = call.arguments().size() == function.parameters().size()
                && call.arguments().stream().noneMatch(Expr.NamedArgument.class::isInstance);
        boolean unsure = call.name().parts().size() > function.name().parts().size();
        if (unsure) {
            throw CodeAdapter.at(
                    call.span(), "a call of " + call.name() + ", which may be the function itself or another");
        }
        if (!whole) {
            throw CodeAdapter.at(call.span(), "a function that calls itself with other arguments than it lists");
        }
        List<Expr> arguments = new ArrayList<>(call.arguments());
        if (isNothing()) {
            before.add(new Statement.CallProcedure(procedure, arguments, call.span()));
            return Expr.Literal.ofNull();
        }
        Name variable = Name.of("again_" + (variables.size() + 1) + "_");
        variables.add(new Declaration.Variable(
                variable, function.returns().orElseThrow(), Optional.empty(), false, call.span()));
        arguments.add(Expr.Column.of(variable.text()));
        before.add(new Statement.CallProcedure(procedure, arguments, call.span()));
        return Expr.Column.of(variable.text());
    }
}
