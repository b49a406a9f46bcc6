package raftcart.rewrite;

import java.util.List;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.StatementSearch;

/** Queries that read variables into which their own row goes. */
final class FilledVariables {
    private FilledVariables() {}

    /** True where the query asks for a variable that it fills, or for a part of such a row. */
    static boolean areRead(CodeStatement.SelectInto into) {
        return StatementSearch.anyExpression(
                List.of(new CodeStatement.ReturnRows(into.query(), into.span())),
                e -> into.targets().stream().anyMatch(t -> isOf(e, t)));
    }

    /**
     * Refuses a query one of whose values reads a variable that a value before it fills: MariaDB and MySQL fill one after the
     * other, so that it reads what was just filled in (measured), and the others all at once.
     */
    static void refuseChains(CodeStatement.SelectInto into, Language from, Language to) {
        boolean differs = from.has(SqlFeature.ASSIGNS_IN_ORDER) != to.has(SqlFeature.ASSIGNS_IN_ORDER);
        if (differs && isChain(into)) {
            throw CodeAdapter.at(into.span(), "a query that reads a variable which it fills before");
        }
    }

    private static boolean isChain(CodeStatement.SelectInto into) {
        if (!(into.query().body() instanceof QueryBody.Select select)
                || select.items().size() != into.targets().size()) {
            return false;
        }
        for (int i = 1; i < into.targets().size(); i++) {
            List<Expr> before = into.targets().subList(0, i);
            if (ExprSearch.any(
                    select.items().get(i).value(), e -> before.stream().anyMatch(t -> isOf(e, t)))) {
                return true;
            }
        }
        return false;
    }

    private static boolean isOf(Expr e, Expr target) {
        if (!(e instanceof Expr.Column column) || !(target instanceof Expr.Column variable)) {
            return e.equals(target);
        }
        Name name = variable.name().last();
        return variable.name().parts().size() == 1
                ? column.name().parts().get(0).matches(name)
                : column.name().parts().size() == variable.name().parts().size()
                        && column.name().last().matches(name)
                        && column.name()
                                .parts()
                                .get(0)
                                .matches(variable.name().parts().get(0));
    }
}
