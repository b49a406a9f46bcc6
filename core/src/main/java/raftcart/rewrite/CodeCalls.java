package raftcart.rewrite;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Statement;
import raftcart.type.LogicalType;

/** Calls whose output goes into variables of another kind than the procedure gives, which the target wants to be the same. */
final class CodeCalls {
    private final CodeAdapter code;

    CodeCalls(CodeAdapter code) {
        this.code = code;
    }

    /** The call, with variables of the right kind, and what moves values between them and those that were named. */
    List<Statement> call(Statement.CallProcedure given, StatementAdapter statements) {
        Statement.CallProcedure call = SplitCalls.whole(given, code.adapter(), false);
        KnownSignatures signatures = code.adapter().knowledge.code().signatures();
        if (signatures.givesRows(call.name())) {
            throw CodeAdapter.at(call.span(), "a call of " + call.name() + ", which gives rows to the caller");
        }
        List<KnownSignatures.Taken> wanted =
                signatures.of(call.name(), call.arguments().size());
        List<Statement> before = new ArrayList<>();
        List<Statement> after = new ArrayList<>();
        List<Expr> arguments = new ArrayList<>(call.arguments());
        Set<KnownSignatures.Taken> missing = new LinkedHashSet<>(wanted);
        for (int i = 0; i < arguments.size() && !wanted.isEmpty(); i++) {
            Expr argument = arguments.get(i);
            KnownSignatures.Taken taken = KnownSignatures.taken(wanted, i, argument);
            missing.remove(taken);
            Expr passed = argument instanceof Expr.NamedArgument named ? named.value() : argument;
            int place = i;
            boolean back = passed instanceof Expr.Column
                    && call.outputs().filter(o -> !o.contains(place)).isEmpty();
            if (taken.mode() == Mode.IN || back && !isOther(passed, taken.type())) {
                continue;
            }
            KnownColumn known = variable(taken, call);
            Expr variable = Expr.Column.of(known.name().text());
            if (taken.mode() == Mode.INOUT) {
                before.add(moved(variable, passed, Optional.of(known), call));
            }
            if (back) {
                after.add(moved(code.target(passed), variable, code.known(passed), call));
            }
            arguments.set(
                    i,
                    argument instanceof Expr.NamedArgument named
                            ? new Expr.NamedArgument(named.name(), variable, named.span())
                            : variable);
        }
        for (KnownSignatures.Taken taken : missing) {
            leftOut(taken, call, before).ifPresent(arguments::add);
        }
        List<Statement> all = new ArrayList<>(before);
        all.addAll(statements.adapt(call.with(arguments)));
        all.addAll(after);
        return all;
    }

    /** What gives a value wants a variable for it, even where the call has none. */
    private Optional<Expr> leftOut(KnownSignatures.Taken taken, Statement.CallProcedure call, List<Statement> before) {
        if (taken.mode() == Mode.IN) {
            return Optional.empty();
        }
        KnownColumn known = variable(taken, call);
        Expr variable = Expr.Column.of(known.name().text());
        taken.initial().ifPresent(i -> before.add(moved(variable, i, Optional.of(known), call)));
        return Optional.of(new Expr.NamedArgument(taken.name(), variable, call.span()));
    }

    /** A variable of the routine's own for a parameter. */
    private KnownColumn variable(KnownSignatures.Taken taken, Statement.CallProcedure call) {
        Name name = Name.of("given_" + (code.frame().added().size() + 1) + "_");
        KnownColumn known = new KnownColumn(name, Optional.of(taken.type()), false, false);
        code.frame().declare(known);
        code.frame()
                .added()
                .add(new Declaration.Variable(
                        name, code.written(name, taken.type()), Optional.empty(), false, call.span()));
        return known;
    }

    private boolean isOther(Expr given, LogicalType wanted) {
        if (!(given instanceof Expr.Column)) {
            return false;
        }
        Optional<LogicalType> type = code.adapter().facts(given).flatMap(Scope.ColumnFacts::type);
        return SessionVariables.isNamed(given)
                || code.adapter().kind(given) != KindFinder.kind(wanted)
                || type.filter(t -> !t.equals(wanted)).isPresent();
    }

    private Statement moved(Expr target, Expr value, Optional<KnownColumn> column, Statement.CallProcedure call) {
        return new CodeStatement.Assign(target, new ValueAdapter(code.adapter()).forColumn(value, column), call.span());
    }
}
