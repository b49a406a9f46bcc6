package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;

/** Reads bodies that are statements of SQL alone, of which the last gives the result ("Query Language (SQL) Functions"). */
final class QueryRoutine {
    private static final String NOTHING = "void";

    private final Parsing inner;

    QueryRoutine(Parsing inner) {
        this.inner = inner;
    }

    Statement body(RoutineResult result, Span span) {
        List<Statement> all = new ArrayList<>();
        while (!inner.cursor.atEnd()) {
            all.add(StatementParser.nested(inner));
            if (!inner.cursor.atEnd()) {
                inner.cursor.expectSymbol(";");
            }
            while (inner.cursor.takeSymbol(";")) {
                continue;
            }
        }
        if (result.once()) {
            throw inner.cursor.byHand("a query for several output parameters");
        }
        boolean gives = !result.rows().isEmpty()
                || result.returns().filter(r -> !r.name().equals(NOTHING)).isPresent();
        if (gives) {
            if (all.isEmpty() || !(all.get(all.size() - 1) instanceof Statement.QueryStatement last)) {
                throw inner.cursor.byHand("a function whose result is that of a change");
            }
            all.set(
                    all.size() - 1,
                    result.rows().isEmpty()
                            ? new CodeStatement.Return(Optional.of(value(last.query(), span)), span)
                            : new CodeStatement.ReturnRows(last.query(), span));
        }
        all.replaceAll(s -> s instanceof Statement.QueryStatement q
                ? new CodeStatement.Evaluate(new Expr.Subquery(q.query(), span), span)
                : s);
        return CodeStatement.Block.of(all, span);
    }

    /** The value of the first row. */
    private static Expr value(Query query, Span span) {
        boolean plain = query.body() instanceof QueryBody.Select select
                && select.from().isEmpty()
                && select.where().isEmpty()
                && select.items().size() == 1;
        Query first = query.paging().isPresent()
                ? query
                : query.withPaging(Optional.of(
                        new Query.Paging(Optional.empty(), Optional.of(Expr.Literal.number(1)), false, false)));
        return plain ? ((QueryBody.Select) query.body()).items().get(0).value() : new Expr.Subquery(first, span);
    }
}
