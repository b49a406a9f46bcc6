package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
    List<Statement> call(Statement.CallProcedure call, StatementAdapter statements) {
        if (code.adapter().knowledge.code().signatures().givesRows(call.name())) {
            throw CodeAdapter.at(call.span(), "a call of " + call.name() + ", which gives rows to the caller");
        }
        List<KnownSignatures.Taken> wanted = code.adapter()
                .knowledge
                .code()
                .signatures()
                .of(call.name(), call.arguments().size());
        List<Statement> before = new ArrayList<>();
        List<Statement> after = new ArrayList<>();
        List<Expr> arguments = new ArrayList<>(call.arguments());
        for (int i = 0; i < wanted.size(); i++) {
            Expr argument = arguments.get(i);
            Expr given = argument instanceof Expr.NamedArgument named ? named.value() : argument;
            KnownSignatures.Taken taken = taken(wanted, i, argument);
            if (taken.mode() == Mode.IN || !isOther(given, taken.type())) {
                continue;
            }
            Name name = Name.of("given_" + (code.frame().added().size() + 1) + "_");
            KnownColumn known = new KnownColumn(name, Optional.of(taken.type()), false, false);
            code.frame().declare(known);
            code.frame()
                    .added()
                    .add(new Declaration.Variable(
                            name, code.written(name, taken.type()), Optional.empty(), false, call.span()));
            Expr variable = Expr.Column.of(name.text());
            if (taken.mode() == Mode.INOUT) {
                before.add(moved(variable, given, Optional.of(known), call));
            }
            after.add(moved(code.target(given), variable, code.known(given), call));
            arguments.set(
                    i,
                    argument instanceof Expr.NamedArgument named
                            ? new Expr.NamedArgument(named.name(), variable, named.span())
                            : variable);
        }
        List<Statement> all = new ArrayList<>(before);
        all.addAll(statements.adapt(new Statement.CallProcedure(call.name(), arguments, call.span())));
        all.addAll(after);
        return all;
    }

    /** What a place takes, or a name where the argument says one. */
    private static KnownSignatures.Taken taken(List<KnownSignatures.Taken> wanted, int place, Expr argument) {
        return argument instanceof Expr.NamedArgument named
                ? wanted.stream()
                        .filter(t -> t.name().matches(named.name()))
                        .findFirst()
                        .orElse(wanted.get(place))
                : wanted.get(place);
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
