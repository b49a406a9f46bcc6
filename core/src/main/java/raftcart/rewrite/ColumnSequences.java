package raftcart.rewrite;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.Numbered;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Insert;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableRef;

/**
 * The sequences behind columns that the engine numbers, which PostgreSQL names after table and column ("Serial Types"),
 * for targets whose numbered columns have none.
 */
final class ColumnSequences {
    private final ExprAdapter adapter;

    ColumnSequences(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The column whose sequence this is, if the target has the column alone. */
    Optional<Numbered> column(QualifiedName sequence) {
        boolean lost = adapter.lost(SqlFeature.COLUMNS_HAVE_SEQUENCES)
                && adapter.to.has(SqlFeature.IDENTITY)
                && !adapter.knowledge.isSequence(sequence);
        return lost ? adapter.knowledge.numberedBy(sequence.last()) : Optional.empty();
    }

    /** The next or the last number of a sequence. */
    Expr value(Expr.SequenceValue value) {
        Optional<Numbered> column = column(value.sequence());
        if (column.isEmpty()) {
            return value;
        }
        if (value.next()) {
            throw new Untranslatable("a number of " + shown(column.get()) + " that is drawn before its row");
        }
        adapter.note(
                FindingCode.FUNCTION_DIFFERS,
                value.span(),
                "the last number of " + shown(column.get()) + " on the source, of any numbered column on the target");
        return adapter.expr(Expr.Call.of("last_identity").at(value.span()));
    }

    /** A sequence that is read like a table, whose columns are the engine's own. */
    void refuseRows(TableRef.Table named) {
        boolean sequence = adapter.knowledge.table(named.name()).isEmpty()
                && (adapter.knowledge.isSequence(named.name())
                        || column(named.name()).isPresent());
        if (sequence && adapter.scope.commonTable(named.name()).isEmpty()) {
            throw new Untranslatable("a sequence read as a table");
        }
    }

    private static String shown(Numbered column) {
        return column.table().last().text() + "." + column.column().text();
    }

    /** What a change of such a sequence is for its column; empty for any other sequence. */
    Optional<List<Statement>> altered(DdlStatement.CreateSequence sequence) {
        Optional<Numbered> column = sequence.alter() ? column(sequence.name()) : Optional.empty();
        return column.map(c -> {
            if (sequence.restart().isEmpty() || !adapter.to.has(SqlFeature.IDENTITY_RESTARTS)) {
                throw new Untranslatable("the numbers of " + shown(c) + " in another way");
            }
            adapter.note(FindingCode.SYNTAX_ADAPTED, sequence.span(), "the numbers of " + shown(c));
            BigInteger next = BigInteger.valueOf(sequence.restart().get());
            AlterAction restart = new AlterAction.RestartIdentity(c.column(), next);
            return List.of(new DdlStatement.AlterTable(c.table(), false, List.of(restart), sequence.span()));
        });
    }

    /** True for a query that sets such a sequence behind the highest number of its column, where the target does so itself. */
    boolean follows(Query query) {
        Optional<Expr.Call> call = SequencePositions.call(query);
        Optional<QualifiedName> sequence =
                call.flatMap(c -> SequencePositions.sequence(c.arguments().get(0), adapter.from.grammar()));
        Optional<Numbered> column = sequence.flatMap(this::column);
        if (column.isEmpty()) {
            return false;
        }
        Expr.Row numbers = new Expr.Row(call.get().arguments(), call.get().span());
        boolean highest = ExprSearch.any(numbers, e -> isHighest(e, query, column.get()));
        if (!highest || !adapter.to.has(SqlFeature.KEYS_MOVE_COUNTERS)) {
            throw new Untranslatable("the numbers of a column set by a query");
        }
        adapter.note(
                FindingCode.SYNTAX_ADAPTED,
                call.get().span(),
                "the numbers go on behind the highest one by themselves: " + sequence.get());
        return true;
    }

    /** True for the highest number of the column, asked of its own table and of no other. */
    private static boolean isHighest(Expr e, Query asked, Numbered column) {
        if (e instanceof Expr.Subquery s) {
            return s.query().body() instanceof QueryBody.Select select
                    && select.items().stream()
                            .anyMatch(i -> ExprSearch.any(i.value(), v -> isHighest(v, s.query(), column)));
        }
        return e instanceof Expr.Call c
                && c.function().equals("max")
                && c.arguments().get(0) instanceof Expr.Column numbers
                && numbers.name().last().matches(column.column())
                && asked.body() instanceof QueryBody.Select select
                && select.from().size() == 1
                && select.from().get(0) instanceof TableRef.Table table
                && table.name().last().matches(column.table().last())
                && select.where().isEmpty();
    }

    /** An INSERT whose rows take their numbers from the column instead of naming its sequence, or numbers that do not count. */
    Insert numbered(Insert insert) {
        Optional<Numbered> column = adapter.knowledge.numbered(insert.table());
        boolean replaced = insert.overriding().equals("USER")
                && !adapter.from.name().equals(adapter.to.name())
                && !adapter.to.has(SqlFeature.OVERRIDING);
        int place = column.map(c -> KeyNumbers.place(c.column(), insert, adapter.knowledge.table(insert.table())))
                .orElse(-1);
        boolean values = insert.source()
                .filter(q -> q.body() instanceof QueryBody.Values)
                .isPresent();
        if (place < 0 || !values) {
            if (replaced && (column.isEmpty() || place >= 0)) {
                throw new Untranslatable("OVERRIDING USER VALUE");
            }
            return insert;
        }
        QueryBody.Values given = (QueryBody.Values) insert.source().get().body();
        List<List<Expr>> rows = new ArrayList<>();
        for (List<Expr> row : given.rows()) {
            List<Expr> changed = new ArrayList<>(row);
            if (place < row.size() && (replaced || isNext(row.get(place)))) {
                changed.set(place, new Expr.Default(row.get(place).span()));
            }
            rows.add(changed);
        }
        if (rows.equals(given.rows())) {
            return insert;
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, insert.span(), "the column gives the number itself");
        return insert.withSource(insert.source().get().withBody(new QueryBody.Values(rows, given.span())));
    }

    private boolean isNext(Expr value) {
        return value instanceof Expr.SequenceValue s
                && s.next()
                && column(s.sequence()).isPresent();
    }

    /** A table whose columns take their numbers from sequences, where the target has nothing else for that. */
    CreateTable made(CreateTable table, Consumer<Statement> sequences) {
        List<ColumnDefinition> columns = new ArrayList<>();
        for (ColumnDefinition column : table.columns()) {
            if (column.identity().isEmpty()) {
                columns.add(column);
                continue;
            }
            QualifiedName sequence = table.name()
                    .withLast(Name.of(
                            table.name().last().text() + "_" + column.name().text() + "_seq"));
            adapter.note(
                    FindingCode.SYNTAX_ADAPTED, column.span(), column.name().text() + " is numbered by a sequence");
            sequences.accept(new DdlStatement.CreateSequence(
                    sequence,
                    false,
                    table.ifNotExists(),
                    Optional.empty(),
                    ColumnFactory.fromFirst(column.identity().get(), column.name(), column.span(), adapter)
                            .portable(),
                    Optional.empty(),
                    List.of(),
                    column.span()));
            columns.add(column.numberedBy(new Expr.SequenceValue(sequence, true, column.span())));
        }
        return table.withColumns(columns);
    }
}
