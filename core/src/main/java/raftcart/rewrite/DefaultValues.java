package raftcart.rewrite;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.rewrite.Knowledge.KnownTable;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement.Insert;

/** Rows with DEFAULT among their values: a column that is left out gets its default on every engine. */
final class DefaultValues {
    private final QueryAdapter adapter;

    DefaultValues(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** The INSERT without DEFAULT, as one for each run of rows that have it in the same places. */
    List<Insert> without(Insert given) {
        if (areEmpty(given)) {
            int rows = ((QueryBody.Values) given.source().get().body()).rows().size();
            adapter.note(FindingCode.SYNTAX_ADAPTED, given.span(), "a statement for each row of defaults");
            return Collections.nCopies(rows, withSource(given.withoutSource()));
        }
        Insert insert = withSource(given);
        boolean says = adapter.to.has(SqlFeature.DEFAULT_IN_VALUES);
        boolean rows = insert.source().isPresent()
                && insert.source().get().body() instanceof QueryBody.Values
                && !adapter.same()
                && !(says && adapter.to.has(SqlFeature.DEFAULT_FOR_GENERATED));
        List<Name> columns = rows ? columns(insert) : List.of();
        if (columns.isEmpty()) {
            return List.of(insert);
        }
        List<List<Expr>> all = ((QueryBody.Values) insert.source().get().body()).rows();
        boolean any = all.stream().flatMap(List::stream).anyMatch(Expr.Default.class::isInstance);
        boolean odd = all.stream().anyMatch(r -> r.size() != columns.size());
        List<List<List<Expr>>> runs = runs(all);
        if (!any || odd || runs.size() > 1 && (says || !insert.returning().isEmpty())) {
            return List.of(insert);
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, insert.span(), "columns with DEFAULT are left out");
        return runs.stream().map(run -> withoutDefaults(insert, columns, run)).toList();
    }

    /** True for MySQL's {@code VALUES (), ()}. */
    private boolean areEmpty(Insert insert) {
        return !adapter.same()
                && insert.source().isPresent()
                && insert.source().get().body() instanceof QueryBody.Values values
                && values.rows().stream().allMatch(List::isEmpty);
    }

    /** DEFAULT for one column as a row of defaults, where the target has no shorter form. */
    private Insert withSource(Insert insert) {
        boolean spelled = insert.source().isPresent()
                || adapter.same()
                || adapter.to.has(SqlFeature.INSERT_DEFAULT_VALUES)
                || !adapter.to.has(SqlFeature.DEFAULT_IN_VALUES);
        List<Name> columns = spelled ? List.of() : columns(insert);
        if (columns.isEmpty()) {
            return insert;
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, insert.span(), "a row of defaults by the default of one column");
        List<List<Expr>> row = List.of(List.of(new Expr.Default(insert.span())));
        return insert.withColumns(columns.subList(0, 1)).withSource(Query.of(new QueryBody.Values(row, insert.span())));
    }

    private List<Name> columns(Insert insert) {
        return insert.columns().isEmpty()
                ? adapter.knowledge
                        .table(insert.table())
                        .map(KnownTable::columns)
                        .map(c -> c.values().stream().map(KnownColumn::name).toList())
                        .orElse(List.of())
                : insert.columns();
    }

    private static List<Boolean> defaults(List<Expr> row) {
        return row.stream().map(Expr.Default.class::isInstance).toList();
    }

    private static List<List<List<Expr>>> runs(List<List<Expr>> rows) {
        List<List<List<Expr>>> runs = new ArrayList<>();
        List<Boolean> before = List.of();
        for (List<Expr> row : rows) {
            if (runs.isEmpty() || !defaults(row).equals(before)) {
                runs.add(new ArrayList<>());
                before = defaults(row);
            }
            runs.get(runs.size() - 1).add(row);
        }
        return runs;
    }

    private static Insert withoutDefaults(Insert insert, List<Name> columns, List<List<Expr>> rows) {
        List<Boolean> defaults = defaults(rows.get(0));
        List<List<Expr>> shorter = rows.stream().map(row -> kept(row, defaults)).toList();
        if (shorter.get(0).isEmpty() && rows.size() == 1) {
            return new Insert(
                    insert.with(),
                    insert.mode(),
                    insert.table(),
                    insert.alias(),
                    List.of(),
                    Optional.empty(),
                    insert.overriding(),
                    insert.upsert(),
                    insert.returning(),
                    insert.span());
        }
        QueryBody.Values values =
                (QueryBody.Values) insert.source().orElseThrow().body();
        return shorter.get(0).isEmpty()
                ? insert
                : insert.withColumns(kept(columns, defaults))
                        .withSource(Query.of(new QueryBody.Values(shorter, values.span())));
    }

    private static <T> List<T> kept(List<T> all, List<Boolean> defaults) {
        List<T> kept = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            if (!defaults.get(i)) {
                kept.add(all.get(i));
            }
        }
        return kept;
    }
}
