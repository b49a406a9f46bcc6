package raftcart.rewrite;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.TableParts.IndexPart;

/** Indexes of some of the rows, for targets that index all. */
final class PartialIndexes {
    private final QueryAdapter adapter;

    PartialIndexes(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** The parts of an index of all rows in the stead of one with a condition. */
    List<IndexPart> parts(DdlStatement.CreateIndex index) {
        Expr condition = index.where().orElseThrow();
        if (!index.unique()) {
            adapter.note(FindingCode.PARTIAL_INDEX, index.span(), "all rows are indexed");
            return index.parts();
        }
        if (passesOverNulls(condition, index)) {
            adapter.note(
                    FindingCode.SYNTAX_ADAPTED,
                    index.span(),
                    "rows with NULL in the key are no duplicates of each other, so the condition is not needed");
            return index.parts();
        }
        if (!adapter.to.has(SqlFeature.EXPRESSION_INDEXES)) {
            throw new Untranslatable("a unique index with a condition");
        }
        new ConstraintAdapter(adapter).nulls(perhapsNull(index), SqlFeature.NULLS_ARE_DUPLICATES, index.span());
        adapter.note(FindingCode.SYNTAX_ADAPTED, index.span(), "the condition as a choice between the key and NULL");
        return index.parts().stream()
                .map(p -> new IndexPart(
                        new Expr.Case(
                                Optional.empty(),
                                List.of(new Expr.When(condition, p.value())),
                                Optional.empty(),
                                index.span()),
                        p.prefix(),
                        p.descending(),
                        p.nulls(),
                        p.leftOut()))
                .toList();
    }

    /** The parts of an index whose NULLs its condition does not keep out. */
    static List<IndexPart> perhapsNull(DdlStatement.CreateIndex index) {
        List<String> notNull =
                index.where().map(w -> keys(NotNullConditions.among(w))).orElse(List.of());
        return index.parts().stream()
                .filter(p -> !(p.value() instanceof Expr.Column c
                        && notNull.contains(c.name().last().key())))
                .toList();
    }

    /** True where the condition is that columns of the key are not NULL, which the target's own rule comes to. */
    private boolean passesOverNulls(Expr condition, DdlStatement.CreateIndex index) {
        Set<String> key = new HashSet<>();
        for (IndexPart part : index.parts()) {
            if (part.value() instanceof Expr.Column column) {
                key.add(column.name().last().key());
            }
        }
        List<String> notNull = keys(NotNullConditions.among(condition));
        boolean plain = NotNullConditions.alone(condition).isPresent() && key.containsAll(notNull);
        boolean others = key.stream().filter(k -> !notNull.contains(k)).allMatch(k -> isNotNull(Name.of(k), index));
        boolean one = key.size() == 1 && index.parts().size() == 1;
        return plain
                && key.size() == index.parts().size()
                && (others || !adapter.from.has(SqlFeature.NULLS_ARE_DUPLICATES))
                && !adapter.to.has(SqlFeature.NULLS_ARE_DUPLICATES)
                && (one || !adapter.to.has(SqlFeature.NULLS_ARE_DUPLICATES_IN_PART));
    }

    private boolean isNotNull(Name column, DdlStatement.CreateIndex index) {
        return adapter.knowledge
                .table(index.table())
                .map(t -> t.columns().get(column.text()))
                .filter(Knowledge.KnownColumn::notNull)
                .isPresent();
    }

    private static List<String> keys(List<Name> names) {
        return names.stream().map(Name::key).toList();
    }
}
