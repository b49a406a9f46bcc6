package raftcart.sql.parse;

import java.util.List;
import java.util.Optional;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Insert;

/**
 * T-SQL's IF with a condition before one change: an INSERT of one row becomes that of a query which gives the row under the
 * condition, and the rows that an UPDATE or a DELETE changes have to fulfil it, too.
 */
final class ConditionalChange {
    private final Parsing parsing;
    private final TokenCursor cursor;

    ConditionalChange(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    /** The change, if what follows is one; the cursor stays where it is if not. */
    Optional<Statement> read() {
        int mark = cursor.mark();
        Optional<Statement> change = Optional.empty();
        try {
            change = change();
        } catch (SqlSyntaxException e) {
            // Other code, which is left as it is.
        }
        if (change.isEmpty()) {
            cursor.reset(mark);
        }
        return change;
    }

    private Optional<Statement> change() {
        if (!cursor.takeWords("IF")) {
            return Optional.empty();
        }
        Expr condition = parsing.expressions.expression();
        boolean block = cursor.takeWords("BEGIN");
        if (!cursor.peek().isAnyWord("INSERT", "UPDATE", "DELETE")) {
            return Optional.empty();
        }
        Statement statement = new DmlParser(parsing).statement();
        if (block) {
            cursor.takeSymbol(";");
        }
        boolean ended = !block || cursor.takeWords("END");
        boolean otherwise = cursor.peek().isWord("ELSE")
                || cursor.peek().isSymbol(";") && cursor.peek(1).isWord("ELSE");
        return ended && !otherwise ? under(condition, statement) : Optional.empty();
    }

    private static Optional<Statement> under(Expr condition, Statement statement) {
        if (statement instanceof Insert insert) {
            return row(insert).map(row -> under(condition, insert, row));
        }
        if (statement instanceof Statement.Update u) {
            return Optional.of(new Statement.Update(
                    u.with(),
                    u.target(),
                    u.assignments(),
                    u.from(),
                    Optional.of(and(u.where(), condition)),
                    u.order(),
                    u.limit(),
                    u.returning(),
                    u.span()));
        }
        return statement instanceof Statement.Delete d
                ? Optional.of(new Statement.Delete(
                        d.with(),
                        d.targets(),
                        d.table(),
                        d.using(),
                        Optional.of(and(d.where(), condition)),
                        d.order(),
                        d.limit(),
                        d.returning(),
                        d.span()))
                : Optional.empty();
    }

    private static Expr and(Optional<Expr> where, Expr condition) {
        return where.<Expr>map(w -> new Expr.Junction(true, List.of(w, condition), condition.span()))
                .orElse(condition);
    }

    /** The only row of an insert without DEFAULT, which a query cannot give. */
    private static Optional<List<Expr>> row(Insert insert) {
        return insert.source()
                .map(Query::body)
                .filter(b -> b instanceof QueryBody.Values v && v.rows().size() == 1)
                .map(b -> ((QueryBody.Values) b).rows().get(0))
                .filter(r -> r.stream().noneMatch(Expr.Default.class::isInstance));
    }

    private static Statement under(Expr condition, Insert insert, List<Expr> row) {
        Select select = Select.of(row.stream().map(Item::of).toList(), List.of(), Optional.of(condition));
        return new Insert(
                insert.with(),
                insert.mode(),
                insert.table(),
                insert.alias(),
                insert.columns(),
                insert.source().map(s -> s.withBody(select)),
                insert.overriding(),
                insert.upsert(),
                insert.returning(),
                insert.span());
    }
}
