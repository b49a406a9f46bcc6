package raftcart.rewrite;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Expected;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
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

    /** A change of the row that a cursor is at, by the key of that row, which a variable has. */
    Statement byKey(Statement change) {
        if (change instanceof Statement.Update update && isOfCursor(update.where())) {
            return update.withWhere(Optional.of(key(update.where().get(), update.target())));
        }
        if (change instanceof Statement.Delete delete && isOfCursor(delete.where())) {
            return delete.withWhere(Optional.of(key(delete.where().get(), delete.table())));
        }
        return change;
    }

    private static boolean isOfCursor(Optional<Expr> where) {
        return where.filter(w -> w instanceof Expr.Call c && c.is("row_of_cursor"))
                .isPresent();
    }

    private Expr key(Expr where, TableRef table) {
        Name cursor =
                ((Expr.Column) ((Expr.Call) where).arguments().get(0)).name().last();
        Optional<Name> row = pl.frame().rowOf(cursor);
        List<Name> key = table instanceof TableRef.Table t
                ? pl.adapter()
                        .knowledge
                        .table(t.name())
                        .flatMap(k -> k.keys().stream().findFirst())
                        .orElse(List.of())
                : List.of();
        boolean reads = pl.frame()
                .query(cursor)
                .filter(q -> q.body() instanceof QueryBody.Select s
                        && s.from().size() == 1
                        && s.from().get(0) instanceof TableRef.Table
                        && key.stream().allMatch(k -> isRead(k, s)))
                .isPresent();
        if (row.isEmpty() || key.isEmpty() || !reads) {
            throw CodeAdapter.at(where.span(), "WHERE CURRENT OF a cursor whose row has no key that is known");
        }
        List<Expr> same = key.stream()
                .<Expr>map(k -> new Expr.Binary(
                        BinaryOperator.EQUAL,
                        new Expr.Column(QualifiedName.of(k.text()), false, where.span()),
                        Expr.Column.of(row.get().text(), k.text()),
                        where.span()))
                .toList();
        return same.size() == 1 ? same.get(0) : new Expr.Junction(true, same, where.span());
    }

    private static boolean isRead(Name key, QueryBody.Select select) {
        return select.items().stream()
                .anyMatch(i -> i.value() instanceof Expr.Star
                        || i.value() instanceof Expr.Column c
                                && c.name().last().matches(key)
                                && i.alias().map(key::matches).orElse(true));
    }

    private List<Statement> deleted(Statement.Delete delete, CodeStatement.ChangeInto into) {
        boolean plain = delete.using().isEmpty()
                && delete.with().isEmpty()
                && delete.limit().isEmpty()
                && delete.targets().isEmpty();
        if (!plain) {
            throw CodeAdapter.at(into.span(), "a change whose values go into variables");
        }
        CodeStatement.SelectInto read = read(delete.returning(), delete.table(), delete.where(), into);
        if (FilledVariables.areRead(read)) {
            throw CodeAdapter.at(into.span(), "a change that reads a variable which it fills");
        }
        List<Statement> all = new ArrayList<>(pl.statement(read));
        all.addAll(pl.statement(delete.giving(List.of())));
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
        List<Statement> all = new ArrayList<>(pl.statement(update.giving(List.of())));
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
