package raftcart.rewrite;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Query.CommonTable;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TableRef.Alias;

/** Writes common tables as queries in FROM, for targets that do not have them, or not before a change. */
final class InlinedTables extends StatementMapper {
    private static final Set<String> VOLATILE = Set.of(
            "random",
            "rand",
            "nextval",
            "newid",
            "uuid",
            "gen_random_uuid",
            "random_uuid",
            "generate_uuid",
            "sys_guid");

    /** Tables that read each other twice in many levels would come to more than any engine reads. */
    private static final int MOST_QUERIES = 1_000;

    private final Map<String, CommonTable> tables = new HashMap<>();
    /** In how many queries each of the tables results. */
    private final Map<String, Integer> queries = new HashMap<>();

    private int written;
    private final Set<String> read = new HashSet<>();
    private final boolean everywhere;

    private InlinedTables(boolean everywhere) {
        this.everywhere = everywhere;
    }

    private InlinedTables(InlinedTables outer, List<CommonTable> shadows) {
        this(outer.everywhere);
        tables.putAll(outer.tables);
        queries.putAll(outer.queries);
        shadows.forEach(s -> tables.remove(s.name().key()));
    }

    /** The query without common tables, where the target has none. */
    static Query in(Query query, QueryAdapter adapter) {
        boolean needed =
                !adapter.to.has(SqlFeature.COMMON_TABLES) && !query.with().isEmpty() && !adapter.same();
        return needed ? new InlinedTables(true).without(query, adapter) : query;
    }

    private static Optional<InlinedTables> before(List<CommonTable> with, Span span, QueryAdapter adapter) {
        if (with.isEmpty() || adapter.same() || adapter.to.has(SqlFeature.COMMON_TABLES_BEFORE_CHANGES)) {
            return Optional.empty();
        }
        InlinedTables mapper = new InlinedTables(!adapter.to.has(SqlFeature.COMMON_TABLES));
        mapper.add(with, span, adapter);
        return Optional.of(mapper);
    }

    static Statement.Update in(Statement.Update update, QueryAdapter adapter) {
        return before(update.with(), update.span(), adapter)
                .map(m -> new Statement.Update(
                        List.of(),
                        update.target(),
                        m.assignments(update.assignments()),
                        update.from().stream().map(m::table).toList(),
                        m.optional(update.where()),
                        m.order(update.order()),
                        m.optional(update.limit()),
                        m.items(update.returning()),
                        update.span()))
                .orElse(update);
    }

    static Statement.Delete in(Statement.Delete delete, QueryAdapter adapter) {
        return before(delete.with(), delete.span(), adapter)
                .map(m -> new Statement.Delete(
                        List.of(),
                        delete.targets(),
                        delete.targets().isEmpty() ? delete.table() : m.table(delete.table()),
                        delete.using().stream().map(m::table).toList(),
                        m.optional(delete.where()),
                        m.order(delete.order()),
                        m.optional(delete.limit()),
                        m.items(delete.returning()),
                        delete.span()))
                .orElse(delete);
    }

    static Statement.Merge in(Statement.Merge merge, QueryAdapter adapter) {
        return before(merge.with(), merge.span(), adapter)
                .map(m -> new Statement.Merge(
                        List.of(),
                        merge.target(),
                        m.table(merge.source()),
                        m.expr(merge.on()),
                        merge.actions().stream().map(m::action).toList(),
                        m.items(merge.returning()),
                        merge.span()))
                .orElse(merge);
    }

    private Query without(Query query, QueryAdapter adapter) {
        add(query.with(), query.span(), adapter);
        return super.query(query.withTables(List.of(), false));
    }

    private void add(List<CommonTable> with, Span span, QueryAdapter adapter) {
        adapter.note(FindingCode.SYNTAX_ADAPTED, span, "common tables as queries in FROM");
        for (CommonTable table : with) {
            if (QueryAdapter.mentions(table.query().body(), table)) {
                throw new Untranslatable("a recursive query");
            }
            put(table);
        }
    }

    private void put(CommonTable table) {
        written = 1;
        CommonTable alone = new CommonTable(table.name(), table.columns(), query(table.query()), table.hint());
        tables.put(table.name().key(), alone);
        queries.put(table.name().key(), written);
        written = 1;
    }

    @Override
    public Query query(Query query) {
        if (query.with().isEmpty()) {
            return super.query(query);
        }
        InlinedTables inner = new InlinedTables(this, query.with());
        if (!everywhere) {
            Query kept = inner.inside(query);
            count(inner.written);
            return kept;
        }
        for (CommonTable table : query.with()) {
            if (QueryAdapter.mentions(table.query().body(), table)) {
                throw new Untranslatable("a recursive query");
            }
            inner.put(table);
        }
        Query alone = inner.inside(query.withTables(List.of(), false));
        count(inner.written);
        return alone;
    }

    private Query inside(Query query) {
        return super.query(query);
    }

    @Override
    public TableRef table(TableRef table) {
        if (!(table instanceof TableRef.Table named)
                || named.name().parts().size() > 1
                || !tables.containsKey(named.name().last().key())) {
            return super.table(table);
        }
        CommonTable common = tables.get(named.name().last().key());
        count(queries.get(named.name().last().key()));
        if (!read.add(common.name().key()) && changes(common.query())) {
            throw new Untranslatable("a common table that is read twice and would give other values each time");
        }
        Alias alias = named.alias().orElse(new Alias(common.name(), List.of(), List.of()));
        if (alias.columns().isEmpty()) {
            alias = new Alias(alias.name(), common.columns(), List.of());
        }
        return new TableRef.Derived(common.query(), false, Optional.of(alias), table.span());
    }

    private void count(int more) {
        written += more;
        if (written > MOST_QUERIES) {
            throw new Untranslatable("common tables that come to more than " + MOST_QUERIES + " queries in FROM");
        }
    }

    private static boolean changes(Query query) {
        return ExprSearch.any(
                query,
                e -> e instanceof Expr.Call c && VOLATILE.contains(c.function()) || e instanceof Expr.SequenceValue);
    }
}
