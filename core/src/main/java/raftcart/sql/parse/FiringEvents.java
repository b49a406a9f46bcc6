package raftcart.sql.parse;

import java.util.Map;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;

/** INSERTING, UPDATING and DELETING, by which a trigger asks what kind of change has fired it. */
final class FiringEvents extends StatementMapper {
    private static final Map<String, String> WORDS =
            Map.of("inserting", "INSERT", "updating", "UPDATE", "deleting", "DELETE");

    private final TokenCursor cursor;

    private FiringEvents(TokenCursor cursor) {
        this.cursor = cursor;
    }

    /** The body with comparisons in the place of the words. */
    static Statement asked(Statement body, TokenCursor cursor) {
        return new FiringEvents(cursor).statement(body);
    }

    @Override
    public Expr expr(Expr e) {
        if (e instanceof Expr.Call call && call.function().equals("updating")) {
            throw cursor.byHand("UPDATING with the name of a column");
        }
        String event = e instanceof Expr.Column c && c.name().parts().size() == 1
                ? WORDS.get(c.name().last().key())
                : null;
        return event == null
                ? super.expr(e)
                : new Expr.Binary(BinaryOperator.EQUAL, Expr.Column.of("tg_op"), Expr.Literal.string(event), e.span());
    }
}
