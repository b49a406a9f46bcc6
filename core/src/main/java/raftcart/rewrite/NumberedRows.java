package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.Numbered;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.Statement.Insert;

/** Rows that leave the number of a column to the engine by giving NULL for it, or 0. */
final class NumberedRows {
    private final QueryAdapter adapter;

    NumberedRows(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** The INSERT with such numbers as the target wants them; in parts where its counter has to be set in between. */
    List<Insert> spelled(Insert insert) {
        Optional<Numbered> numbered = adapter.knowledge.numbered(insert.table());
        if (adapter.same() || numbered.isEmpty() || insert.source().isEmpty()) {
            return List.of(insert);
        }
        int place = KeyNumbers.place(numbered.get().column(), insert, adapter.knowledge.table(insert.table()));
        if (place < 0) {
            return List.of(insert);
        }
        Query source = insert.source().get();
        if (source.body() instanceof QueryBody.Select select) {
            return List.of(selected(insert, select, place));
        }
        if (source.body() instanceof QueryBody.Values values) {
            return parts(insert.withSource(source.withBody(rows(values, place))), place);
        }
        if (!adapter.to.has(SqlFeature.NULL_IS_NUMBERED) && leavesInPart(source.body(), place)) {
            throw new Untranslatable("a number that is left to the engine in a part of a set operation");
        }
        return List.of(insert);
    }

    private boolean leavesInPart(QueryBody body, int place) {
        if (body instanceof QueryBody.SetOperation set) {
            return leavesInPart(set.left(), place) || leavesInPart(set.right(), place);
        }
        return body instanceof QueryBody.Select select
                && select.items().size() > place
                && isLeft(select.items().get(place).value());
    }

    /** True for a value in whose stead the source takes the next number. */
    private boolean isLeft(Expr value) {
        if (!(value instanceof Expr.Literal literal)) {
            return false;
        }
        boolean none = literal.kind() == LiteralKind.NULL && adapter.from.has(SqlFeature.NULL_IS_NUMBERED);
        return none || isZero(literal) && zerosAreNumbered();
    }

    private boolean zerosAreNumbered() {
        return adapter.from.has(SqlFeature.ZERO_IS_NUMBERED)
                && adapter.knowledge.zeros().areNumbered();
    }

    private static boolean isZero(Expr.Literal literal) {
        return literal.kind() == LiteralKind.NUMBER && literal.text().equals("0");
    }

    private Expr left(Expr value) {
        return adapter.to.has(SqlFeature.NULL_IS_NUMBERED) ? Expr.Literal.ofNull() : new Expr.Default(value.span());
    }

    private QueryBody.Values rows(QueryBody.Values values, int place) {
        boolean any = false;
        List<List<Expr>> rows = new ArrayList<>(values.rows().size());
        for (List<Expr> row : values.rows()) {
            Expr value = place < row.size() ? row.get(place) : null;
            if (value instanceof Expr.Literal zero && isZero(zero) && adapter.to.has(SqlFeature.ZERO_IS_NUMBERED)) {
                zero(zero);
            }
            if (value != null && isLeft(value) && !left(value).equals(value)) {
                any = true;
                List<Expr> changed = new ArrayList<>(row);
                changed.set(place, left(value));
                rows.add(changed);
            } else {
                rows.add(row);
            }
        }
        if (any) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, values.span(), "the next number of the column as its default");
        }
        return any ? new QueryBody.Values(rows, values.span()) : values;
    }

    private void zero(Expr.Literal zero) {
        if (!zerosAreNumbered()) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    zero.span(),
                    "0 stands for the next number, unless the session's sql_mode has NO_AUTO_VALUE_ON_ZERO");
        }
    }

    /** A query without the item that leaves the number to the engine. */
    private Insert selected(Insert insert, QueryBody.Select select, int place) {
        boolean plain = select.items().size() > place
                && select.items().stream().noneMatch(i -> i.value() instanceof Expr.Star)
                && isLeft(select.items().get(place).value())
                && !adapter.to.has(SqlFeature.NULL_IS_NUMBERED);
        List<Name> columns = plain ? columns(insert) : List.of();
        if (columns.size() != select.items().size() || columns.size() < 2 || select.distinct()) {
            return insert;
        }
        List<Item> items = new ArrayList<>(select.items());
        items.remove(place);
        List<Name> named = new ArrayList<>(columns);
        named.remove(place);
        adapter.note(
                FindingCode.SYNTAX_ADAPTED, select.span(), "a column that the engine numbers is left out of the query");
        return insert.withColumns(named)
                .withSource(insert.source().orElseThrow().withBody(select.withItems(items)));
    }

    private List<Name> columns(Insert insert) {
        return insert.columns().isEmpty()
                ? adapter.knowledge.table(insert.table()).stream()
                        .flatMap(t -> t.columns().values().stream())
                        .map(Knowledge.KnownColumn::name)
                        .toList()
                : insert.columns();
    }

    /** Rows with numbers apart from rows without, which do not name the column. */
    private List<Insert> parts(Insert insert, int place) {
        List<List<Expr>> rows =
                ((QueryBody.Values) insert.source().orElseThrow().body()).rows();
        boolean mixed = rows.stream().map(r -> isGenerated(r, place)).distinct().count() > 1;
        if (adapter.to.has(SqlFeature.NULL_IS_NUMBERED)
                || mixed && !insert.returning().isEmpty()) {
            return List.of(insert);
        }
        if (mixed) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, insert.span(), "rows with numbers apart from rows without");
        }
        List<Insert> parts = new ArrayList<>();
        int start = 0;
        for (int i = 1; i <= rows.size(); i++) {
            boolean generated = isGenerated(rows.get(start), place);
            if (i == rows.size() || isGenerated(rows.get(i), place) != generated) {
                List<List<Expr>> part = rows.subList(start, i);
                parts.add(generated ? withoutNumber(insert, part, place) : withRows(insert, part));
                start = i;
            }
        }
        return parts;
    }

    private static Insert withRows(Insert insert, List<List<Expr>> rows) {
        return insert.withSource(insert.source().orElseThrow().withBody(new QueryBody.Values(rows, insert.span())));
    }

    private Insert withoutNumber(Insert insert, List<List<Expr>> rows, int place) {
        Insert plain = withoutConflict(insert);
        boolean upserts = plain.upsert().isPresent() || plain.mode() != Insert.Mode.INSERT;
        List<Name> columns = new ArrayList<>(columns(insert));
        if (columns.size() == 1 && rows.size() == 1 && !upserts && adapter.to.has(SqlFeature.INSERT_DEFAULT_VALUES)) {
            return plain.ofDefaults();
        }
        if (upserts || columns.size() < 2 || rows.stream().anyMatch(r -> r.size() != columns.size())) {
            return withRows(plain, rows);
        }
        columns.remove(place);
        return withRows(
                plain.withColumns(columns),
                rows.stream().map(r -> without(r, place)).toList());
    }

    /** A row with a new number meets no other, where its number is the table's only key. */
    private Insert withoutConflict(Insert insert) {
        List<List<Name>> keys = adapter.knowledge
                .table(insert.table())
                .map(Knowledge.KnownTable::keys)
                .orElse(List.of());
        Name number = adapter.knowledge.numbered(insert.table()).orElseThrow().column();
        boolean only = keys.size() == 1
                && keys.get(0).size() == 1
                && keys.get(0).get(0).matches(number);
        return only ? insert.plain() : insert;
    }

    private static List<Expr> without(List<Expr> row, int place) {
        List<Expr> rest = new ArrayList<>(row);
        rest.remove(place);
        return rest;
    }

    /** True for a row that takes its number from the counter. */
    static boolean isGenerated(List<Expr> row, int place) {
        return place >= row.size()
                || row.get(place) instanceof Expr.Default
                || row.get(place) instanceof Expr.Literal none && none.kind() == LiteralKind.NULL;
    }
}
