package raftcart.rewrite;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownTable;
import raftcart.rewrite.Knowledge.Numbered;
import raftcart.sql.Span;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Insert;

/**
 * Numbers that rows bring with them for a column that the engine numbers. On some engines they move its counter on; on
 * the others it has to be set, or the next row without a number gets one that is there.
 */
final class KeyNumbers {
    private final QueryAdapter adapter;

    KeyNumbers(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    boolean isLost() {
        return adapter.lost(SqlFeature.KEYS_MOVE_COUNTERS) && adapter.to.has(SqlFeature.IDENTITY);
    }

    void saw(Insert insert, Optional<KnownTable> table) {
        Optional<Numbered> numbered = adapter.knowledge.numbered(insert.table());
        if (!adapter.lost(SqlFeature.KEYS_MOVE_COUNTERS)
                || numbered.isEmpty()
                || insert.source().isEmpty()) {
            return;
        }
        int place = place(numbered.get().column(), insert, table);
        if (place < 0) {
            return;
        }
        if (!isLost()) {
            unknown(insert, numbered.get());
            return;
        }
        OptionalLong taken = generated(insert, place);
        if (insert.source().get().body() instanceof QueryBody.Values all
                && taken.orElse(0) == all.rows().size()) {
            return; // none of them brings a number
        }
        if (!(insert.source().get().body() instanceof QueryBody.Values values)
                || numbered.get().isUncertain()) {
            unknown(insert, numbered.get());
            return;
        }
        boolean all = true;
        for (List<Expr> row : values.rows()) {
            all &= place >= row.size() || saw(row.get(place), insert);
        }
        if (!all) {
            unknown(insert, numbered.get());
        }
    }

    /** What sets the counter behind the numbers seen before, for an INSERT whose rows take their numbers from it. */
    List<Statement> before(Insert insert) {
        Optional<Numbered> numbered = adapter.knowledge.numbered(insert.table());
        if (adapter.same() || !isLost() || numbered.isEmpty()) {
            return List.of();
        }
        int place = place(numbered.get().column(), insert, adapter.knowledge.table(insert.table()));
        OptionalLong generated = generated(insert, place);
        if (generated.isPresent() && generated.getAsLong() == 0) {
            return List.of();
        }
        List<Statement> set = numbered.get().isPassed() ? List.of(restart(numbered.get(), insert.span())) : List.of();
        adapter.knowledge.generated(numbered.get(), generated);
        return set;
    }

    /** How many rows take their number from the counter, if that can be told. */
    private static OptionalLong generated(Insert insert, int place) {
        if (insert.source().isEmpty()) {
            return OptionalLong.of(1);
        }
        if (insert.source().get().body() instanceof QueryBody.Values values) {
            return OptionalLong.of(
                    place < 0
                            ? values.rows().size()
                            : values.rows().stream()
                                    .filter(r -> NumberedRows.isGenerated(r, place))
                                    .count());
        }
        return place < 0 ? OptionalLong.empty() : OptionalLong.of(0);
    }

    private static Statement restart(Numbered column, Span span) {
        return new DdlStatement.AlterTable(
                column.table(),
                false,
                List.of(new AlterAction.RestartIdentity(
                        column.column(), column.highest().orElseThrow().add(BigInteger.ONE))),
                span);
    }

    private boolean saw(Expr value, Insert insert) {
        boolean given =
                value instanceof Expr.Default || value instanceof Expr.Literal none && none.kind() == LiteralKind.NULL;
        if (given) {
            return true;
        }
        boolean whole = value instanceof Expr.Literal l && l.kind() == LiteralKind.NUMBER && l.isDigits(18);
        if (whole) {
            Numbered column = adapter.knowledge.numbered(insert.table()).orElseThrow();
            adapter.knowledge.sawNumber(column, new BigInteger(((Expr.Literal) value).text()));
        }
        return whole;
    }

    private void unknown(Insert insert, Numbered column) {
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                insert.span(),
                "the rows bring numbers for " + column.column().text()
                        + " with them, which do not move its counter on; set it behind them");
    }

    /** The statement, between those that allow its rows to bring numbers with them where the target wants that. */
    List<Statement> allowed(Insert source, Statement written) {
        Optional<Numbered> numbered = adapter.knowledge.numbered(source.table());
        boolean needed = !adapter.same()
                && adapter.to.has(SqlFeature.KEYS_NEED_LEAVE)
                && numbered.isPresent()
                && source.source().isPresent();
        Optional<KnownTable> table = adapter.knowledge.table(source.table());
        if (!needed || place(numbered.get().column(), source, table) < 0) {
            return List.of(written);
        }
        Statement named = written instanceof Insert insert && insert.columns().isEmpty() && table.isPresent()
                ? insert.withColumns(table.get().columns().values().stream()
                        .map(Knowledge.KnownColumn::name)
                        .toList())
                : written;
        adapter.note(FindingCode.SYNTAX_ADAPTED, source.span(), "rows are allowed to bring numbers with them");
        return List.of(
                new Statement.AllowKeys(source.table(), true, source.span()),
                named,
                new Statement.AllowKeys(source.table(), false, source.span()));
    }

    static int place(Name column, Insert insert, Optional<KnownTable> table) {
        List<Name> names = insert.columns().isEmpty()
                ? table.map(t -> t.columns().values().stream()
                                .map(Knowledge.KnownColumn::name)
                                .toList())
                        .orElse(List.of())
                : insert.columns();
        for (int i = 0; i < names.size(); i++) {
            if (names.get(i).matches(column)) {
                return i;
            }
        }
        return -1;
    }

    /** What sets the counters behind the numbers seen so far. */
    static List<Statement> statements(Knowledge knowledge) {
        List<Statement> all = new ArrayList<>();
        for (Numbered column : knowledge.passedNumbers()) {
            all.add(restart(column, Span.NONE));
        }
        return all;
    }
}
