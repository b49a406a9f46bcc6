package raftcart.rewrite;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Expected;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableRef;

/**
 * Changes of rows of which values go into variables ("Executing a Command with a Single-Row Result", PL/pgSQL), for a target that
 * gives none of them: a query reads them before the row is removed, or after it was changed.
 */
final class PlChanges {
    private final PlCode pl;

    PlChanges(PlCode pl) {
        this.pl = pl;
    }

    List<Statement> changed(CodeStatement.ChangeInto into) {
        return into.change() instanceof Statement.Delete delete
                ? deleted(delete, into)
                : updated((Statement.Update) into.change(), into);
    }

    private List<Statement> deleted(Statement.Delete delete, CodeStatement.ChangeInto into) {
        boolean plain = delete.using().isEmpty()
                && delete.with().isEmpty()
                && delete.limit().isEmpty()
                && delete.targets().isEmpty();
        if (!plain) {
            throw CodeAdapter.at(into.span(), "a change whose values go into variables");
        }
        List<Statement> all =
                new ArrayList<>(pl.statement(read(delete.returning(), delete.table(), delete.where(), into)));
        all.addAll(pl.statement(new Statement.Delete(
                delete.with(),
                delete.targets(),
                delete.table(),
                delete.using(),
                delete.where(),
                delete.order(),
                delete.limit(),
                List.of(),
                delete.span())));
        return all;
    }

    /** A row whose values are read after the change, by a condition that the change leaves as it is. */
    private List<Statement> updated(Statement.Update update, CodeStatement.ChangeInto into) {
        Set<String> assigned = new HashSet<>();
        update.assignments().forEach(a -> a.columns().forEach(c -> assigned.add(key(c))));
        boolean plain = update.from().isEmpty()
                && update.with().isEmpty()
                && update.limit().isEmpty()
                && update.where()
                        .filter(w -> !ExprSearch.any(
                                w,
                                e -> e instanceof Expr.Column c
                                                && assigned.contains(
                                                        c.name().last().text().toLowerCase(Locale.ROOT))
                                        || e instanceof Expr.Subquery
                                        || e instanceof Expr.Exists
                                        || e instanceof Expr.Call))
                        .isPresent();
        if (!plain) {
            throw CodeAdapter.at(into.span(), "a change whose values go into variables");
        }
        List<Statement> all = new ArrayList<>(pl.statement(new Statement.Update(
                update.with(),
                update.target(),
                update.assignments(),
                update.from(),
                update.where(),
                update.order(),
                update.limit(),
                List.of(),
                update.span())));
        all.addAll(pl.statement(read(update.returning(), update.target(), update.where(), into)));
        return all;
    }

    private static String key(Expr column) {
        return ((Expr.Column) column).name().last().text().toLowerCase(Locale.ROOT);
    }

    private CodeStatement.SelectInto read(
            List<Item> items, TableRef table, Optional<Expr> where, CodeStatement.ChangeInto into) {
        pl.adapter()
                .note(
                        FindingCode.SYNTAX_ADAPTED,
                        into.span(),
                        "the values of the changed row are read by a query of their own");
        Query query = Query.of(QueryBody.Select.of(items, List.of(table), where));
        return new CodeStatement.SelectInto(
                query, into.targets(), into.strict() ? Expected.EXACTLY_ONE : Expected.FIRST, into.span());
    }
}
