package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Expected;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.Statement;

/** Queries that give rows to the caller, or assign variables with each of their rows ("SELECT @local_variable"). */
final class TsqlAssignments {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final TsqlVariables variables;

    TsqlAssignments(Parsing parsing, TsqlVariables variables) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.variables = variables;
    }

    /** A query, for the caller or for variables. */
    void select(List<Statement> all) {
        int mark = cursor.mark();
        Span span = cursor.peek().span();
        Statement read = StatementParser.nested(parsing);
        if (!variables.assigns(cursor.taken(mark))) {
            boolean makes = read instanceof Statement.QueryStatement q && q.temporary();
            if (makes) {
                all.add(TsqlParser.drop(((Statement.QueryStatement) read).into().orElseThrow(), span));
            }
            all.add(read);
            return;
        }
        if (!(read instanceof Statement.QueryStatement statement)
                || !(statement.query().body() instanceof QueryBody.Select select)) {
            throw cursor.byHand("several queries that assign variables");
        }
        List<Expr> targets = new ArrayList<>();
        for (Item item : select.items()) {
            Name name = item.alias()
                    .filter(a -> variables.isNamed(new QualifiedName(List.of(a))))
                    .orElseThrow(() -> cursor.byHand("a query that gives rows and assigns variables"));
            targets.add(new Expr.Column(new QualifiedName(List.of(name)), false, span));
        }
        assign(statement.query(), select, targets, span, all);
    }

    private void assign(Query query, QueryBody.Select select, List<Expr> targets, Span span, List<Statement> all) {
        if (select.from().isEmpty() && select.where().isEmpty()) {
            for (int i = 0; i < targets.size(); i++) {
                all.add(new CodeStatement.Assign(
                        targets.get(i), select.items().get(i).value(), span));
            }
            return;
        }
        List<Item> items = select.items().stream().map(i -> Item.of(i.value())).toList();
        all.add(new CodeStatement.SelectInto(query.withBody(select.withItems(items)), targets, Expected.LAST, span));
    }
}
