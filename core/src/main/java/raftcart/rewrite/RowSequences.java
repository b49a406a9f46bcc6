package raftcart.rewrite;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.Statement.Insert;
import raftcart.sql.tree.TableRef;

/**
 * Several numbers of one sequence in one row: the same number to the standard ("next value expression", ISO/IEC 9075-2), a
 * further one each time to other engines.
 */
final class RowSequences extends QueryMapper {
    private static final Name NUMBERS = Name.of("next_");

    /** The columns that hold the numbers of the sequences concerned. */
    private final Map<QualifiedName, Name> columns = new LinkedHashMap<>();

    private RowSequences(List<QualifiedName> sequences) {
        sequences.forEach(s -> columns.put(s, Name.of("n" + (columns.size() + 1))));
    }

    /** An INSERT whose row asks for each number once. */
    static Insert once(Insert insert, ExprAdapter adapter) {
        if (insert.source().isEmpty() || !(insert.source().get().body() instanceof QueryBody.Values values)) {
            return insert;
        }
        boolean any =
                values.rows().stream().anyMatch(r -> !meantOtherwise(r, adapter).isEmpty());
        if (!any) {
            return insert;
        }
        if (values.rows().size() > 1) {
            throw refused();
        }
        Insert named = LastNumbers.withoutDefaults(insert, values);
        Query source = named.source().orElseThrow();
        List<Item> items = ((QueryBody.Values) source.body())
                .rows().get(0).stream().map(Item::of).toList();
        Select row = Select.of(items, List.of(), Optional.empty());
        return named.withSource(source.withBody(once(row, adapter, values.span())));
    }

    /** A query whose rows ask for each number once. */
    static Query once(Query query, QueryAdapter adapter) {
        if (query.body() instanceof QueryBody.Values values) {
            values.rows().forEach(r -> refuse(r, adapter));
        }
        return query.body() instanceof Select select ? query.withBody(once(select, adapter, select.span())) : query;
    }

    private static Select once(Select select, ExprAdapter adapter, Span span) {
        List<QualifiedName> sequences =
                meantOtherwise(select.items().stream().map(Item::value).toList(), adapter);
        if (sequences.isEmpty()) {
            return select;
        }
        boolean alone = select.from().stream()
                .allMatch(t ->
                        t instanceof TableRef.Table named && named.name().key().equals("dual"));
        boolean sayable = adapter.from.has(SqlFeature.SEQUENCES_STEP_ONCE_A_ROW)
                && !adapter.to.has(SqlFeature.SEQUENCES_STEP_ONCE_A_ROW)
                && !(adapter.from.has(SqlFeature.CURRENT_NUMBER_IS_OLDER) && asksForCurrent(select));
        if (!alone || !sayable) {
            throw refused();
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, span, "one number of a sequence for the whole row, as on the source");
        RowSequences numbers = new RowSequences(sequences);
        List<Item> asked = new ArrayList<>();
        numbers.columns.forEach((s, n) -> asked.add(new Item(new Expr.SequenceValue(s, true, span), Optional.of(n))));
        Query query = Query.of(Select.of(asked, List.of(), Optional.empty()));
        TableRef rows = new TableRef.Derived(query, false, Optional.of(TableRef.Alias.of(NUMBERS.text())), span);
        return ((Select) numbers.body(select)).withFrom(List.of(rows));
    }

    private static boolean asksForCurrent(Select select) {
        Asked asked = new Asked();
        select.items().forEach(i -> asked.expr(i.value()));
        return asked.values.stream().anyMatch(v -> !v.next());
    }

    /** Refuses the values of one row that mean something else on the target. */
    static void refuse(List<Expr> row, ExprAdapter adapter) {
        if (!meantOtherwise(row, adapter).isEmpty()) {
            throw refused();
        }
    }

    private static Untranslatable refused() {
        return new Untranslatable("several numbers of one sequence in a row, which are the same on one engine only");
    }

    /** The sequences whose numbers in the row are others on the target. */
    private static List<QualifiedName> meantOtherwise(List<Expr> row, ExprAdapter adapter) {
        Asked asked = new Asked();
        row.forEach(asked::expr);
        if (asked.values.size() < 2 || adapter.from.name().equals(adapter.to.name())) {
            return List.of();
        }
        boolean once = adapter.from.has(SqlFeature.SEQUENCES_STEP_ONCE_A_ROW);
        boolean other = once != adapter.to.has(SqlFeature.SEQUENCES_STEP_ONCE_A_ROW);
        boolean older = adapter.from.has(SqlFeature.CURRENT_NUMBER_IS_OLDER)
                != adapter.to.has(SqlFeature.CURRENT_NUMBER_IS_OLDER);
        List<QualifiedName> sequences = new ArrayList<>();
        for (QualifiedName name : asked.values.stream()
                .map(Expr.SequenceValue::sequence)
                .distinct()
                .toList()) {
            List<Boolean> steps = asked.values.stream()
                    .filter(v -> v.sequence().equals(name))
                    .map(Expr.SequenceValue::next)
                    .toList();
            boolean several = steps.stream().filter(n -> n).count() > 1;
            boolean both = steps.contains(true) && steps.contains(false);
            boolean currentFirst = both && !steps.get(0);
            if (other && (several || (once ? both : currentFirst)) || older && both) {
                sequences.add(name);
            }
        }
        return sequences;
    }

    @Override
    public Expr expr(Expr e) {
        if (e instanceof Expr.Subquery || e instanceof Expr.Exists) {
            return e;
        }
        return e instanceof Expr.SequenceValue value && columns.containsKey(value.sequence())
                ? Expr.Column.of(NUMBERS.text(), columns.get(value.sequence()).text())
                : super.expr(e);
    }

    /** Collects the numbers that a row asks for, those of inner queries aside. */
    private static final class Asked extends QueryMapper {
        private final List<Expr.SequenceValue> values = new ArrayList<>();

        @Override
        public Expr expr(Expr e) {
            if (e instanceof Expr.Subquery || e instanceof Expr.Exists) {
                return e;
            }
            if (e instanceof Expr.SequenceValue value) {
                values.add(value);
            }
            return super.expr(e);
        }
    }
}
