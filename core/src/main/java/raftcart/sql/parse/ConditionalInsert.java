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
 * T-SQL's IF with a condition before one INSERT of one row: the INSERT of a query that gives the row under that condition.
 */
final class ConditionalInsert {
    private final Parsing parsing;
    private final TokenCursor cursor;

    ConditionalInsert(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    /** The insert, if what follows is one; the cursor stays where it is if not. */
    Optional<Statement> read() {
        int mark = cursor.mark();
        Optional<Statement> insert = Optional.empty();
        try {
            insert = insert();
        } catch (SqlSyntaxException e) {
            // Other code, which is left as it is.
        }
        if (insert.isEmpty()) {
            cursor.reset(mark);
        }
        return insert;
    }

    private Optional<Statement> insert() {
        if (!cursor.takeWords("IF")) {
            return Optional.empty();
        }
        Expr condition = parsing.expressions.expression();
        boolean block = cursor.takeWords("BEGIN");
        if (!cursor.peek().isWord("INSERT")) {
            return Optional.empty();
        }
        Statement statement = new DmlParser(parsing).statement();
        if (block) {
            cursor.takeSymbol(";");
        }
        boolean ended = !block || cursor.takeWords("END");
        boolean otherwise = cursor.peek().isWord("ELSE")
                || cursor.peek().isSymbol(";") && cursor.peek(1).isWord("ELSE");
        return ended && !otherwise && statement instanceof Insert insert
                ? row(insert).map(row -> under(condition, insert, row))
                : Optional.empty();
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
