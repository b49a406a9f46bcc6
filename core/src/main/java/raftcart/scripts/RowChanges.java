package raftcart.scripts;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import raftcart.dialect.Language;
import raftcart.rewrite.DummyTables;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Branch;
import raftcart.sql.tree.Statement.Insert;
import raftcart.sql.tree.Statement.MultiInsert;
import raftcart.sql.tree.TableRef;

/** What statements that change rows bring to a load, which takes INSERT alone. */
final class RowChanges {
    private RowChanges() {}

    /** The INSERT statements of which a statement consists: itself, or one for each table that it names. */
    static List<Statement> single(Statement statement, Language language) {
        if (!(statement instanceof MultiInsert several) || !isOfConstants(several, language)) {
            return List.of(statement);
        }
        List<Expr> row = ((QueryBody.Select) several.source().body())
                .items().stream().map(QueryBody.Item::value).toList();
        List<Statement> inserts = new ArrayList<>();
        for (Branch branch : several.branches()) {
            List<Expr> values = branch.values().isEmpty() ? row : branch.values();
            inserts.add(new Insert(
                    List.of(),
                    Insert.Mode.INSERT,
                    branch.table(),
                    Optional.empty(),
                    branch.columns(),
                    Optional.of(Query.of(new QueryBody.Values(List.of(values), several.span()))),
                    "",
                    Optional.empty(),
                    List.of(),
                    several.span()));
        }
        return inserts;
    }

    private static boolean isOfConstants(MultiInsert several, Language language) {
        boolean always = several.branches().stream().allMatch(b -> b.condition().isEmpty() && !b.otherwise());
        return always
                && several.source().body() instanceof QueryBody.Select select
                && select.where().isEmpty()
                && select.from().stream()
                        .allMatch(t -> t instanceof TableRef.Table one && DummyTables.isOne(one.name(), language));
    }

    /**
     * Why the rows of a statement are not those of a load; empty if it changes none.
     *
     * @param isTable true for tables of the scripts
     * @param holdsRows true for those into which rows were inserted before
     */
    static Optional<String> reason(
            Statement statement, Predicate<QualifiedName> isTable, Predicate<QualifiedName> holdsRows) {
        if (statement instanceof Insert insert) {
            return isTable.test(insert.table())
                    ? Optional.empty()
                    : Optional.of("rows for " + insert.table() + ", which is no table of the scripts");
        }
        if (statement instanceof Statement.CallProcedure call) {
            return Optional.of(
                    "what the procedure " + call.name() + " does, which it is called for here, is not known");
        }
        boolean empty = statement instanceof Statement.Update update && !holdsRows(update.target(), holdsRows)
                || statement instanceof Statement.Delete delete && !holdsRows(delete.table(), holdsRows)
                || statement instanceof Statement.Truncate truncate
                        && truncate.tables().stream().noneMatch(holdsRows);
        boolean changes = statement instanceof Statement.Update
                || statement instanceof Statement.Delete
                || statement instanceof Statement.Truncate
                || statement instanceof Statement.Merge
                || statement instanceof MultiInsert;
        return changes && !empty
                ? Optional.of("a change of rows other than by INSERT, which `raftcart load` does not make")
                : Optional.empty();
    }

    private static boolean holdsRows(TableRef ref, Predicate<QualifiedName> holdsRows) {
        return !(ref instanceof TableRef.Table table) || holdsRows.test(table.name());
    }
}
