package raftcart.scripts;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import raftcart.dialect.Language;
import raftcart.rewrite.Aggregates;
import raftcart.rewrite.DummyTables;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryMapper;
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
        Set<String> drawn = new HashSet<>();
        for (Branch branch : several.branches()) {
            List<Expr> values = drawnOnce(branch.values().isEmpty() ? row : branch.values(), drawn);
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

    /** One row of the query is one draw from a sequence, in however many tables it ends up. */
    private static List<Expr> drawnOnce(List<Expr> values, Set<String> drawn) {
        Set<String> before = Set.copyOf(drawn);
        QueryMapper later = new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                if (e instanceof Expr.SequenceValue value && value.next()) {
                    String key = value.sequence().key();
                    drawn.add(key);
                    return before.contains(key) ? new Expr.SequenceValue(value.sequence(), false, value.span()) : value;
                }
                return super.expr(e);
            }
        };
        return values.stream().map(later::expr).toList();
    }

    private static boolean isOfConstants(MultiInsert several, Language language) {
        boolean always = several.branches().stream().allMatch(b -> b.condition().isEmpty() && !b.otherwise());
        return always
                && several.source().body() instanceof QueryBody.Select select
                && select.where().isEmpty()
                && isWithoutTable(select, language);
    }

    private static boolean isWithoutTable(QueryBody.Select select, Language language) {
        return select.from().stream()
                .allMatch(t -> t instanceof TableRef.Table one && DummyTables.isOne(one.name(), language));
    }

    /** The one row of a query that reads no table and has no conditions. */
    static Optional<List<Expr>> constants(Query query, Language language) {
        boolean plain = query.with().isEmpty()
                && query.paging().isEmpty()
                && query.body() instanceof QueryBody.Select select
                && select.where().isEmpty()
                && select.having().isEmpty()
                && select.hierarchy().isEmpty()
                && select.groupBy().isEmpty()
                && select.items().stream()
                        .noneMatch(i -> i.value() instanceof Expr.Star || Aggregates.in(i.value(), language))
                && isWithoutTable(select, language);
        return plain
                ? Optional.of(((QueryBody.Select) query.body())
                        .items().stream().map(QueryBody.Item::value).toList())
                : Optional.empty();
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
                    : Optional.of("rows for " + insert.table() + ", a table that the scripts have not made up to here");
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
