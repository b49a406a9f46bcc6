package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import raftcart.dialect.SqlFeature;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;

/**
 * Computed statements for a target that runs them with EXECUTE IMMEDIATE, in procedures alone ("EXECUTE IMMEDIATE", MariaDB). The
 * values of a row go through variables of the session, as the text sees no others.
 */
final class PlComputed {
    private final QueryAdapter adapter;
    private final CodeFrame frame;

    PlComputed(QueryAdapter adapter, CodeFrame frame) {
        this.adapter = adapter;
        this.frame = frame;
    }

    /** Statements of which some may be computed. */
    List<Statement> all(List<Statement> made) {
        return made.stream().flatMap(s -> one(s).stream()).toList();
    }

    /** Statements of a source whose texts fill variables of the session and hand rows to the caller as those of the target do. */
    List<Statement> kept(List<Statement> made) {
        List<Statement> all = new ArrayList<>();
        for (Statement statement : made) {
            if (statement instanceof CodeStatement.ReturnText given) {
                all.add(runs(new CodeStatement.Dynamic(given.text(), List.of(), given.values(), given.span())));
            } else if (statement instanceof CodeStatement.Dynamic dynamic) {
                if (!dynamic.targets().stream().allMatch(SessionVariables::isOne)) {
                    throw CodeAdapter.at(dynamic.span(), "a computed query for variables of the code");
                }
                String into = dynamic.targets().isEmpty() ? "" : " INTO " + names(dynamic.targets());
                all.add(runs(
                        into.isEmpty()
                                ? dynamic
                                : dynamic.of(joined(List.of(dynamic.text(), Expr.Literal.string(into)), dynamic))
                                        .into(List.of())));
            } else {
                all.add(statement);
            }
        }
        return all;
    }

    /** Computed queries whose rows go into the table in which those of the routine are collected. */
    List<Statement> collected(List<Statement> made, Name table, List<CodeStatement.Parameter> columns) {
        if (columns.isEmpty()) {
            throw CodeAdapter.at(frame.whole.span(), "rows of a computed query");
        }
        String into = "INSERT INTO " + adapter.to.write(table) + " ("
                + columns.stream().map(c -> adapter.to.write(c.name())).collect(Collectors.joining(", ")) + ") ";
        return made.stream()
                .map(s -> s instanceof CodeStatement.Dynamic d
                        ? d.of(joined(List.of(Expr.Literal.string(into), d.text()), d))
                        : s)
                .toList();
    }

    private CodeStatement.Dynamic runs(CodeStatement.Dynamic dynamic) {
        if (!(frame.kind.isProcedure() && adapter.to.has(SqlFeature.EXECUTES_TEXTS))) {
            throw CodeAdapter.at(dynamic.span(), "a computed statement");
        }
        return dynamic;
    }

    private static String names(List<Expr> session) {
        return session.stream().map(v -> ((Expr.Parameter) v).text()).collect(Collectors.joining(", "));
    }

    private static Expr joined(List<Expr> parts, CodeStatement.Dynamic dynamic) {
        return new Expr.Call(QualifiedName.of("CONCAT"), false, parts, CallSuffix.NONE, dynamic.span());
    }

    private List<Statement> one(Statement made) {
        if (!(made instanceof CodeStatement.Dynamic dynamic)) {
            return List.of(made);
        }
        runs(dynamic);
        if (dynamic.targets().isEmpty()) {
            return List.of(dynamic);
        }
        if (dynamic.expected() != CodeStatement.Expected.FIRST) {
            throw CodeAdapter.at(dynamic.span(), "a computed query that gives exactly one row");
        }
        List<Statement> all = new ArrayList<>();
        List<Expr> session = new ArrayList<>();
        for (int i = 1; i <= dynamic.targets().size(); i++) {
            Expr variable = new Expr.Parameter("@given_" + i + "_", dynamic.span());
            session.add(variable);
            all.add(new CodeStatement.Assign(variable, Expr.Literal.ofNull(), dynamic.span()));
        }
        Expr first = joined(
                List.of(
                        Expr.Literal.string("SELECT * FROM ("),
                        dynamic.text(),
                        Expr.Literal.string(") AS given_ LIMIT 1 INTO " + names(session))),
                dynamic);
        all.add(new CodeStatement.Dynamic(first, List.of(), dynamic.values(), dynamic.expected(), dynamic.span()));
        for (int i = 0; i < session.size(); i++) {
            all.add(new CodeStatement.Assign(dynamic.targets().get(i), session.get(i), dynamic.span()));
        }
        return all;
    }
}
