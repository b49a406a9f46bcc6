package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;

/**
 * The number that an INSERT gave its row, which code asks for in the statement behind it. The INSERT gives it by itself then:
 * what the target would answer is the number that came last, be it one that a trigger gave to a row of its own.
 */
final class CodeNumbers {
    private final QueryAdapter adapter;

    CodeNumbers(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** Statements of which those that belong together are one. */
    List<Statement> paired(List<Statement> all) {
        List<Statement> paired = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            Optional<Statement> both = i + 1 < all.size() ? both(all.get(i), all.get(i + 1)) : Optional.empty();
            paired.add(both.orElse(all.get(i)));
            if (both.isEmpty()) {
                note(all.get(i));
            }
            i += both.isPresent() ? 1 : 0;
        }
        return paired;
    }

    /** Says that a number may be that of a trigger, which takes one for a row of its own. */
    private void note(Statement statement) {
        boolean holds = !(statement instanceof Statement.Dml
                || statement instanceof CodeStatement.Assign
                || statement instanceof CodeStatement.Return);
        boolean other = adapter.to.has(SqlFeature.LAST_NUMBER_OF_TRIGGERS)
                && !adapter.from.has(SqlFeature.LAST_NUMBER_OF_TRIGGERS);
        if (holds || !other) {
            return;
        }
        StatementSearch.anyExpression(List.of(statement), e -> {
            boolean asks = e instanceof Expr.Call && LastNumbers.isLastNumber(e, adapter);
            if (asks) {
                adapter.note(
                        FindingCode.FUNCTION_DIFFERS,
                        e.span(),
                        "where a trigger gives numbers to rows of its own, the last of them is meant");
            }
            return asks;
        });
    }

    private static Expr plain(Expr e) {
        return e instanceof Expr.Cast cast ? plain(cast.value()) : e;
    }

    private Optional<Statement> both(Statement first, Statement second) {
        boolean asks = first instanceof Statement.Insert
                && second instanceof CodeStatement.Assign assign
                && assign.target() instanceof Expr.Column
                && plain(assign.value()) instanceof Expr.Call
                && LastNumbers.isLastNumber(plain(assign.value()), adapter)
                && adapter.to.has(SqlFeature.RETURNING);
        if (!asks) {
            return Optional.empty();
        }
        Statement.Insert insert = (Statement.Insert) first;
        boolean plain = insert.upsert().isEmpty()
                && insert.returning().isEmpty()
                && insert.mode() == Statement.Insert.Mode.INSERT
                && isOneRow(insert.source());
        return adapter.knowledge
                .numbered(insert.table())
                .filter(n -> plain)
                .map(n -> new CodeStatement.ChangeInto(
                        giving(insert, n.column()),
                        List.of(((CodeStatement.Assign) second).target()),
                        false,
                        insert.span()));
    }

    private static boolean isOneRow(Optional<Query> source) {
        return source.map(Query::body)
                .filter(b -> b instanceof QueryBody.Values v && v.rows().size() == 1)
                .isPresent();
    }

    private static Statement giving(Statement.Insert insert, Name column) {
        return new Statement.Insert(
                insert.with(),
                insert.mode(),
                insert.table(),
                insert.alias(),
                insert.columns(),
                insert.source(),
                insert.overriding(),
                insert.upsert(),
                List.of(QueryBody.Item.of(Expr.Column.of(column.text()))),
                insert.span());
    }
}
