package raftcart.dialect.hsqldb;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import raftcart.dialect.Untranslatable;
import raftcart.dialect.write.PsmCodeWriter;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.CreateRoutine;
import raftcart.sql.tree.CodeStatement.CreateTrigger;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.TypeName;
import raftcart.sql.tree.UnaryOperator;

/** Writes SQL/PSM ("SQL-Invoked Routines", "Triggers", HSQLDB). */
final class HsqldbCodeWriter extends PsmCodeWriter {
    @Override
    protected String begin() {
        return "BEGIN ATOMIC";
    }

    @Override
    protected String statement(CodeStatement code) {
        if (code instanceof CodeStatement.CaseOf choice && choice.otherwise().isEmpty()) {
            Statement none = new CodeStatement.Signal(
                    Optional.of("20000"), Optional.of(Expr.Literal.string("case not found")), List.of(), choice.span());
            return caseOf(new CodeStatement.CaseOf(
                    choice.operand(), choice.choices(), Optional.of(List.of(none)), choice.span()));
        }
        if (code instanceof CodeStatement.ForRows rows && rows.query().isPresent()) {
            return loop(rows);
        }
        if (code instanceof CodeStatement.ReturnRows given) {
            return given(given);
        }
        return super.statement(code);
    }

    /** The columns of the rows are variables of the loop; what leaves it would leave the routine. */
    private String loop(CodeStatement.ForRows rows) {
        boolean left = StatementSearch.anyStatement(
                rows.body(),
                s -> s instanceof CodeStatement.Jump j
                        && !j.again()
                        && j.label().equals(rows.label()));
        if (left) {
            throw new Untranslatable("a loop over rows that is left before its end");
        }
        return label(rows.label()) + "FOR\n" + indented(text(rows.query().orElseThrow())) + "\nDO\n" + body(rows.body())
                + "END FOR";
    }

    /** A block of nothing is none. */
    @Override
    protected String simple(CodeStatement code) {
        if (code instanceof CodeStatement.Nothing) {
            return nothing();
        }
        if (code instanceof CodeStatement.Fetch || code instanceof CodeStatement.CursorStep) {
            throw new Untranslatable("a cursor of the code's own");
        }
        if (code instanceof CodeStatement.Assign a && isCondition(a.value())) {
            return "SET " + text(a.target()) + " = " + chosen(a.value());
        }
        if (code instanceof CodeStatement.Return r
                && r.value().filter(HsqldbCodeWriter::isCondition).isPresent()) {
            return "RETURN " + chosen(r.value().get());
        }
        if (code instanceof CodeStatement.SelectInto s
                && (!s.query().order().isEmpty() || s.query().paging().isPresent())) {
            return "SELECT * INTO " + targets(s.targets()) + "\nFROM (\n" + indented(text(s.query())) + "\n) row_";
        }
        return super.simple(code);
    }

    /** True for a condition, which is no value for variables. */
    private static boolean isCondition(Expr e) {
        return e instanceof Expr.Binary b && b.operator().compares()
                || e instanceof Expr.Junction
                || e instanceof Expr.Unary u && u.operator() == UnaryOperator.NOT
                || e instanceof Expr.Is
                || e instanceof Expr.InList
                || e instanceof Expr.Between
                || e instanceof Expr.Like
                || e instanceof Expr.Exists
                || e instanceof Expr.Quantified;
    }

    private String chosen(Expr condition) {
        String text = text(condition);
        return "CASE WHEN " + text + " THEN TRUE WHEN NOT (" + text + ") THEN FALSE END";
    }

    private String nothing() {
        return begin() + "\n    DECLARE nothing_ INTEGER;\n    SET nothing_ = 0;\nEND";
    }

    @Override
    protected String body(List<Statement> statements) {
        return statements.isEmpty() ? indented(nothing() + ";") + "\n" : lines(statements);
    }

    /** Handlers do not see the variables of their own block. */
    @Override
    protected String block(Block block) {
        if (block.body().isEmpty()
                && block.declarations().isEmpty()
                && block.handlers().isEmpty()) {
            return label(block.label()) + nothing();
        }
        List<Declaration> declarations = new ArrayList<>();
        List<Statement> all = new ArrayList<>();
        for (Declaration declaration : block.declarations()) {
            declarations.add(without(declaration, all));
        }
        if (block.handlers().isEmpty() || block.declarations().isEmpty()) {
            all.addAll(block.body());
            return super.block(new Block(block.label(), declarations, block.handlers(), all, List.of(), block.span()));
        }
        all.add(new Block(Optional.empty(), List.of(), block.handlers(), block.body(), List.of(), block.span()));
        return super.block(new Block(block.label(), declarations, List.of(), all, List.of(), block.span()));
    }

    /** A variable without the value that it begins with, which is assigned where it is more than a constant. */
    private static Declaration without(Declaration declaration, List<Statement> assignments) {
        if (!(declaration instanceof Declaration.Variable v)
                || v.initial().filter(i -> !(i instanceof Expr.Literal)).isEmpty()) {
            return declaration;
        }
        Expr variable = new Expr.Column(new QualifiedName(List.of(v.name())), false, v.span());
        assignments.add(new CodeStatement.Assign(variable, v.initial().get(), v.span()));
        return new Declaration.Variable(v.name(), v.type(), Optional.empty(), v.constant(), v.span());
    }

    @Override
    protected String declaration(Declaration declaration) {
        if (declaration instanceof Declaration.Cursor) {
            throw new Untranslatable("a cursor of the code's own");
        }
        return super.declaration(declaration);
    }

    @Override
    protected String signal(CodeStatement.Signal signal) {
        boolean computed =
                signal.message().filter(m -> !(m instanceof Expr.Literal)).isPresent();
        if (computed) {
            throw new Untranslatable("an error whose text is computed");
        }
        return super.signal(signal);
    }

    @Override
    protected String routine(CreateRoutine routine) {
        boolean function = routine.returns().isPresent();
        refuse(routine, function);
        Set<Name> assigned = assigned(routine);
        String parameters = routine.parameters().stream()
                .map(p -> parameter(p, function, assigned))
                .collect(Collectors.joining(", "));
        String kind = function ? "FUNCTION " : "PROCEDURE ";
        String again = routine.replace() ? "DROP " + kind + "IF EXISTS " + own(routine.name()) + ";\n" : "";
        String traits = function
                ? "RETURNS " + type(routine.returns().orElseThrow()) + "\n"
                        + (routine.traits().deterministic() ? "DETERMINISTIC" : "NOT DETERMINISTIC") + " READS SQL DATA"
                : "MODIFIES SQL DATA" + results(routine.body());
        return again + "CREATE " + kind + own(routine.name()) + "(" + parameters + ")\n" + traits + "\n"
                + text(own(routine, assigned));
    }

    /** The name of what is made, in whose schema PUBLIC is a word of the language. */
    private String own(QualifiedName name) {
        boolean everyone =
                name.parts().size() == 2 && name.parts().get(0).text().equalsIgnoreCase("public");
        return everyone ? "\"PUBLIC\"." + name(name.last()) : name(name);
    }

    private static void refuse(CreateRoutine routine, boolean function) {
        if (routine.name().last().text().startsWith("_")) {
            throw new Untranslatable("a name that begins with an underscore");
        }
        if (function && changesRows(routine.body())) {
            throw new Untranslatable("a function that changes rows");
        }
        boolean itself = StatementSearch.anyStatement(
                List.of(routine.body()),
                s -> s instanceof Statement.CallProcedure c
                        && c.name().last().equals(routine.name().last()));
        if (itself) {
            throw new Untranslatable("a procedure that calls itself");
        }
        refuseMore(routine);
    }

    private static void refuseMore(CreateRoutine routine) {
        boolean structure = StatementSearch.anyStatement(List.of(routine.body()), DdlStatement.class::isInstance);
        if (structure) {
            throw new Untranslatable("a table that code makes or removes");
        }
        boolean handsOn = StatementSearch.anyStatement(
                List.of(routine.body()),
                s -> s instanceof Statement.CallProcedure c
                        && routine.parameters().stream()
                                .anyMatch(p -> p.mode() != Mode.IN
                                        && c.arguments().stream().anyMatch(a -> isOf(a, p.name()))));
        if (handsOn) {
            throw new Untranslatable("an output parameter that is handed on to another routine");
        }
        boolean arrays = Stream.concat(routine.parameters().stream().map(Parameter::type), routine.returns().stream())
                .anyMatch(HsqldbCodeWriter::isArray);
        if (arrays) {
            throw new Untranslatable("arrays in code");
        }
        refuseHidden(routine.body(), new HashSet<>());
    }

    private static boolean isArray(TypeName type) {
        return type.array() || type.name().toLowerCase(Locale.ROOT).contains(" array");
    }

    /** A block may not have a variable of a name that one around it has. */
    private static void refuseHidden(Statement body, Set<String> outer) {
        Set<String> names = new HashSet<>(outer);
        if (body instanceof Block block) {
            for (Declaration d : block.declarations()) {
                if (!names.add(d.name().key())) {
                    throw new Untranslatable("a variable that hides another of its name");
                }
                if (d instanceof Declaration.Variable v && isArray(v.type())) {
                    throw new Untranslatable("arrays in code");
                }
            }
        }
        StatementSearch.anyStatement(List.of(body), s -> {
            boolean inner = s != body && s instanceof Block;
            if (inner) {
                refuseHidden(s, names);
            }
            return false;
        });
    }

    /** A parameter that is assigned is a variable of its own; one that goes out can be read if it goes in as well. */
    private String parameter(Parameter parameter, boolean function, Set<Name> assigned) {
        if (parameter.mode() == Mode.IN) {
            Name name = assigned.contains(parameter.name()) ? given(parameter.name()) : parameter.name();
            return (function ? "" : "IN ") + name(name) + " " + type(parameter.type());
        }
        return "INOUT " + name(parameter.name()) + " " + type(parameter.type());
    }

    private static Name given(Name name) {
        return new Name(name.text() + "_given_", name.exact());
    }

    private static Set<Name> assigned(CreateRoutine routine) {
        Set<Name> all = new HashSet<>();
        for (Parameter parameter : routine.parameters()) {
            boolean changes = parameter.mode() == Mode.IN
                    && StatementSearch.anyStatement(
                            List.of(routine.body()), s -> targets(s).stream().anyMatch(t -> isOf(t, parameter.name())));
            if (changes) {
                all.add(parameter.name());
            }
        }
        return all;
    }

    private static List<Expr> targets(Statement statement) {
        if (statement instanceof CodeStatement.Assign a) {
            return List.of(a.target());
        }
        if (statement instanceof CodeStatement.SelectInto s) {
            return s.targets();
        }
        if (statement instanceof CodeStatement.RowCount c) {
            return List.of(c.target());
        }
        return statement instanceof Statement.CallProcedure c ? c.arguments() : List.of();
    }

    private static boolean isOf(Expr target, Name name) {
        return target instanceof Expr.Column c
                && c.name().parts().size() == 1
                && c.name().last().matches(name);
    }

    /** The body, which takes over what it was given, and begins without what it gives. */
    private Statement own(CreateRoutine routine, Set<Name> assigned) {
        List<Declaration> variables = new ArrayList<>();
        List<Statement> first = new ArrayList<>();
        for (Parameter p : routine.parameters()) {
            Expr variable = new Expr.Column(new QualifiedName(List.of(p.name())), false, routine.span());
            if (assigned.contains(p.name())) {
                variables.add(new Declaration.Variable(p.name(), p.type(), Optional.empty(), false, routine.span()));
                first.add(new CodeStatement.Assign(
                        variable,
                        new Expr.Column(new QualifiedName(List.of(given(p.name()))), false, routine.span()),
                        routine.span()));
            } else if (p.mode() == Mode.OUT) {
                first.add(new CodeStatement.Assign(variable, Expr.Literal.ofNull(), routine.span()));
            }
        }
        if (first.isEmpty()) {
            return whole(routine.body(), routine.span());
        }
        first.add(routine.body());
        return new Block(Optional.empty(), variables, List.of(), first, List.of(), routine.span());
    }

    @Override
    protected String trigger(CreateTrigger trigger) {
        boolean changes = trigger.timing() == CodeStatement.Timing.BEFORE && changesRows(trigger.body());
        if (changes) {
            throw new Untranslatable("a trigger before a change that changes rows itself");
        }
        return "CREATE TRIGGER " + own(trigger.name()) + " " + watching(trigger, "ROW ");
    }
}
