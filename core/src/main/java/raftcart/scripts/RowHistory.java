package raftcart.scripts;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import raftcart.catalog.Column;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.sql.parse.ExprParser;
import raftcart.sql.script.Piece;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Insert;

/**
 * Rows that scripts insert before they change a table once more, as rows of the table that is there in the end: under its
 * last names, without columns that are gone, and with what columns that came later held for them.
 */
final class RowHistory {
    private static final String UNTOLD =
            "the table is changed later in the scripts, and it cannot be told which of its columns this fills";

    private final Language language;
    private final CatalogBuilder last;
    private final CatalogBuilder now;
    private Optional<Map<Integer, TableDraft>> ends = Optional.empty();
    private Optional<RowNumbers> numbers = Optional.empty();

    RowHistory(Language language) {
        this.language = language;
        this.last = new CatalogBuilder(language);
        this.now = new CatalogBuilder(language);
    }

    /** Takes a piece of the scripts into account, all of which have to be seen before the first row is. */
    void foresee(Piece piece, String file) {
        String start = piece.text().stripLeading();
        boolean rows = piece.kind() == Piece.Kind.ROWS
                || start.regionMatches(true, 0, "insert", 0, 6)
                || start.regionMatches(true, 0, "replace into", 0, 12);
        if (piece.kind() == Piece.Kind.STATEMENT && !rows) {
            last.take(piece, file);
        }
    }

    /** The statement as the load takes it; empty where its rows are gone in the end. */
    Optional<ScriptStatement> next(Statement statement, String place) {
        if (statement instanceof Insert insert) {
            return inEnd(insert, place);
        }
        if (statement instanceof Statement.ZerosInKeys zeros) {
            numbers().zeros().take(zeros);
        }
        now.applied(statement, ""); // what cannot be applied was told by the survey
        return Optional.of(ScriptStatement.of(statement, place));
    }

    private Optional<ScriptStatement> inEnd(Insert insert, String place) {
        Optional<TableDraft> then = now.table(insert.table());
        if (then.isEmpty()) {
            return Optional.of(ScriptStatement.of(insert, place));
        }
        if (ends.isEmpty()) {
            ends = Optional.of(last.drafts());
        }
        Optional<TableDraft> end = Optional.ofNullable(ends.get().get(then.get().id));
        RowNumbers.Numbered numbered = numbers().number(insert, then.get(), given(insert, then.get()));
        return end.map(e -> {
            Insert named = numbered.insert().into(exact(e));
            boolean same = then.get().ids.equals(e.ids) && described(then.get()).equals(described(e));
            return (same ? Optional.of(named) : mapped(named, then.get(), e))
                    .map(i -> ScriptStatement.of(i, place))
                    .orElseGet(() -> new ScriptStatement(named, place, Optional.of(UNTOLD), List.of()))
                    .drawing(numbered.draws().stream()
                            .map(d -> inEnd(d, then.get(), e))
                            .toList());
        });
    }

    private static DrawnNumber inEnd(DrawnNumber drawn, TableDraft then, TableDraft end) {
        Optional<String> column = drawn.column()
                .flatMap(c -> then.column(new Name(c, true)))
                .map(c -> then.ids.get(then.columns.indexOf(c)))
                .filter(end.ids::contains)
                .map(id -> name(end, id).text());
        return column.isPresent() ? new DrawnNumber(end.name, column, drawn.next()) : drawn;
    }

    private RowNumbers numbers() {
        if (numbers.isEmpty()) {
            numbers = Optional.of(new RowNumbers(language, now, last.filledKeys()));
        }
        return numbers.get();
    }

    /** Where the sequences stand after all statements, as far as rows drew from them. */
    DrawnSequences sequences() {
        return new DrawnSequences(numbers().next(), numbers().drawnByTarget());
    }

    private static QualifiedName exact(TableDraft table) {
        Name name = new Name(table.name.name(), true);
        return table.name.schema().isEmpty()
                ? new QualifiedName(List.of(name))
                : new QualifiedName(List.of(new Name(table.name.schema(), true), name));
    }

    /** What matters to rows: names and defaults. */
    private static List<String> described(TableDraft table) {
        return table.columns.stream()
                .map(c -> c.name() + " " + c.defaultValue().orElse(""))
                .toList();
    }

    private Optional<Insert> mapped(Insert insert, TableDraft then, TableDraft end) {
        Optional<List<Integer>> given = given(insert, then);
        if (given.isEmpty()) {
            return Optional.empty();
        }
        List<Integer> kept = IntStream.range(0, given.get().size())
                .filter(i -> end.ids.contains(given.get().get(i)))
                .boxed()
                .toList();
        List<Name> columns = new ArrayList<>();
        kept.forEach(i -> columns.add(name(end, given.get().get(i))));
        List<Expr> further = new ArrayList<>();
        for (int i = 0; i < end.ids.size(); i++) {
            Column column = end.columns.get(i);
            boolean filled = given.get().contains(end.ids.get(i))
                    || column.identity().isPresent()
                    || column.generated().isPresent();
            Optional<String> held = filled ? column.defaultValue() : held(then, end, end.ids.get(i), column);
            if (!held.equals(column.defaultValue())) {
                columns.add(new Name(column.name(), true));
                further.add(
                        held.map(t -> ExprParser.parse(t, language.grammar())).orElse(Expr.Literal.ofNull()));
            }
        }
        if (further.isEmpty()
                && insert.source().isPresent()
                && kept.size() == given.get().size()) {
            return Optional.of(insert.withColumns(columns));
        }
        return insert.upsert().isPresent()
                ? Optional.empty()
                : rows(insert, kept, further)
                        .map(q -> insert.withColumns(columns).withSource(q));
    }

    private static Name name(TableDraft table, int id) {
        return new Name(table.columns.get(table.ids.indexOf(id)).name(), true);
    }

    /** What a row without a value for a column held in it: its default at that time, or what the column came with. */
    private static Optional<String> held(TableDraft then, TableDraft end, int id, Column column) {
        int place = then.ids.indexOf(id);
        if (place >= 0) {
            return then.columns.get(place).defaultValue();
        }
        return end.filledWith.getOrDefault(id, column.defaultValue());
    }

    /** The columns for which an INSERT has values; empty where that cannot be told. */
    private Optional<List<Integer>> given(Insert insert, TableDraft then) {
        if (insert.source().isEmpty()) {
            return Optional.of(List.of());
        }
        if (insert.columns().isEmpty()) {
            List<Integer> all = IntStream.range(0, then.ids.size())
                    .filter(i -> takesValue(then.columns.get(i)))
                    .mapToObj(then.ids::get)
                    .toList();
            int values = insert.width().orElse(-1);
            boolean fits = values == all.size() || values < all.size() && language.has(SqlFeature.ROWS_MAY_BE_SHORT);
            return fits ? Optional.of(all.subList(0, values)) : Optional.empty();
        }
        List<Integer> ids = insert.columns().stream()
                .map(c -> then.column(c)
                        .map(d -> then.ids.get(then.columns.indexOf(d)))
                        .orElse(-1))
                .toList();
        return ids.contains(-1) ? Optional.empty() : Optional.of(ids);
    }

    private boolean takesValue(Column column) {
        return !(column.identity().isPresent() && language.has(SqlFeature.NUMBERED_TAKE_NO_VALUE))
                && !(column.generated().isPresent() && language.has(SqlFeature.COMPUTED_TAKE_NO_VALUE));
    }

    /** The rows with the values that are kept and further ones; empty where single values cannot be told. */
    private static Optional<Query> rows(Insert insert, List<Integer> kept, List<Expr> further) {
        if (insert.source().isEmpty()) {
            return further.isEmpty()
                    ? Optional.empty()
                    : Optional.of(Query.of(new QueryBody.Values(List.of(further), insert.span())));
        }
        Query source = insert.source().get();
        if (source.body() instanceof QueryBody.Values values) {
            boolean odd = values.rows().stream().anyMatch(r -> kept.stream().anyMatch(i -> i >= r.size()));
            return odd
                    ? Optional.empty()
                    : Optional.of(source.withBody(new QueryBody.Values(
                            values.rows().stream()
                                    .map(r -> row(r, kept, further))
                                    .toList(),
                            values.span())));
        }
        if (source.body() instanceof QueryBody.Select select && insert.width().isPresent()) {
            List<QueryBody.Item> items = new ArrayList<>();
            kept.forEach(i -> items.add(select.items().get(i)));
            further.forEach(e -> items.add(QueryBody.Item.of(e)));
            return Optional.of(source.withBody(select.withItems(items)));
        }
        return Optional.empty();
    }

    private static List<Expr> row(List<Expr> row, List<Integer> kept, List<Expr> further) {
        List<Expr> values = new ArrayList<>();
        kept.forEach(i -> values.add(row.get(i)));
        values.addAll(further);
        return values;
    }
}
