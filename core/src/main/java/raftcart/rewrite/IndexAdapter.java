package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import raftcart.dialect.ColumnUse;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.OrderItem.Nulls;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.IndexPart;
import raftcart.sql.tree.TableRef;
import raftcart.type.LogicalType;

/** Adapts indexes. */
final class IndexAdapter {
    /** As many characters or bytes as are in any index of MySQL, whatever its rows look like. */
    private static final int PREFIX = 190;

    /** Types of texts that have no length. */
    private static final Pattern LONG = Pattern.compile("(?i)text|lob|\\(max\\)");

    private final QueryAdapter adapter;
    private final StructureAdapter structure;

    IndexAdapter(QueryAdapter adapter, StructureAdapter structure) {
        this.adapter = adapter;
        this.structure = structure;
    }

    private boolean has(SqlFeature feature) {
        return adapter.to.has(feature);
    }

    /** DROP INDEX with the names that the target has, and the tables where it wants them. */
    List<Statement> drop(DdlStatement.Drop drop) {
        List<Statement> all = new ArrayList<>();
        for (QualifiedName name : drop.names()) {
            Optional<Knowledge.KnownIndex> known = drop.table()
                    .map(t -> adapter.knowledge.index(name.last(), t))
                    .orElseGet(() -> adapter.knowledge.index(name.last()));
            known.ifPresent(adapter.knowledge::removeIndex);
            Optional<QualifiedName> table = drop.table().or(() -> known.map(Knowledge.KnownIndex::table));
            boolean besideTable = table.isPresent()
                    && !has(SqlFeature.INDEXES_OF_TABLES)
                    && (name.parts().size() == 1 || adapter.from.has(SqlFeature.INDEXES_OF_TABLES));
            QualifiedName written = (besideTable ? table.get() : name)
                    .withLast(known.map(i -> i.written().last()).orElse(name.last()));
            if (!adapter.same()) {
                all.addAll(structure.dropped(new DdlStatement.Drop(
                        drop.kind(), List.of(written), drop.ifExists(), drop.cascade(), table, drop.span())));
            }
        }
        return adapter.same() ? List.of(drop) : all;
    }

    private String kind(DdlStatement.CreateIndex index) {
        boolean bitmap = index.kind().equals("BITMAP");
        if (bitmap) {
            adapter.note(FindingCode.PHYSICAL_CLAUSES, index.span(), index.kind());
        }
        if (index.kind().equals("SPATIAL") && !index.parts().stream().allMatch(this::isPlace)) {
            throw new Untranslatable("a spatial index on a column that holds no geometry there");
        }
        return bitmap ? "" : index.kind();
    }

    /** True for a column of a type of geometry that the target has too; of one of which nothing is known, its kin's. */
    private boolean isPlace(IndexPart part) {
        Optional<LogicalType> type = adapter.facts(part.value()).flatMap(Scope.ColumnFacts::type);
        return type.map(t -> t instanceof LogicalType.Opaque own && own.bytes())
                .orElse(adapter.from.has(SqlFeature.FULLTEXT_INDEXES));
    }

    /** An index, behind what drops the one that was there where it is to be replaced. */
    List<Statement> index(DdlStatement.CreateIndex index) {
        boolean replaces =
                index.leftOut().contains("OR REPLACE") && index.name().isPresent() && !adapter.same();
        if (!adapter.same()) {
            structure.leftOut(
                    index.leftOut().stream()
                            .filter(c -> !c.equals("OR REPLACE"))
                            .toList(),
                    index);
            adapter.scope = new Scope(Optional.of(adapter.scope));
            adapter.finder.addTable(TableRef.Table.of(index.table()), adapter.scope);
        }
        if (index.unique() && !adapter.same() && (index.where().isEmpty() || has(SqlFeature.PARTIAL_INDEXES))) {
            new ConstraintAdapter(adapter)
                    .nulls(PartialIndexes.perhapsNull(index), SqlFeature.NULLS_ARE_DUPLICATES, index.span());
        }
        if (index.unique() && !adapter.same() && !has(SqlFeature.EXPRESSION_INDEXES)) {
            new ConstraintAdapter(adapter).withoutCase(index.parts(), index.span());
        }
        if (!replaces) {
            return remembered(index, created(index));
        }
        List<Statement> all = new ArrayList<>(drop(new DdlStatement.Drop(
                "INDEX", List.of(index.name().get()), true, false, Optional.of(index.table()), index.span())));
        all.addAll(created(index));
        return remembered(index, all);
    }

    /** The statements, behind which the columns of a unique index are a key of their table. */
    private List<Statement> remembered(DdlStatement.CreateIndex index, List<Statement> made) {
        boolean key = index.unique()
                && index.where().isEmpty()
                && index.parts().stream().allMatch(p -> p.prefix() == 0 && p.value() instanceof Expr.Column);
        if (key) {
            adapter.knowledge.addKey(index.table(), TableAdapter.names(index.parts()), false);
        }
        return made;
    }

    private List<Statement> created(DdlStatement.CreateIndex index) {
        IndexNames names = new IndexNames(adapter);
        if (adapter.same()) {
            names.index(index.name(), index.table(), index.parts(), index.span());
            return List.of(index);
        }
        Optional<Expr> where = index.where();
        if (where.isPresent() && !has(SqlFeature.PARTIAL_INDEXES)) {
            List<IndexPart> all = new PartialIndexes(adapter).parts(index);
            return created(index.withoutWhere(all));
        }
        List<IndexPart> parts = new ArrayList<>(parts(index));
        boolean include = !index.include().isEmpty() && !has(SqlFeature.INCLUDED_COLUMNS);
        if (include) {
            adapter.note(FindingCode.PHYSICAL_CLAUSES, index.span(), "INCLUDE");
        }
        String kind = kind(index);
        if (isLeftOut(index) || index.kind().isEmpty() && !fitted(parts, index)) {
            return List.of();
        }
        QualifiedName name = names.index(index.name(), index.table(), index.parts(), index.span());
        boolean unnamed = index.name().isEmpty()
                && has(SqlFeature.UNNAMED_INDEXES)
                && !adapter.from.has(SqlFeature.INDEXES_OF_TABLES);
        return List.of(new DdlStatement.CreateIndex(
                unnamed ? Optional.empty() : Optional.of(name),
                index.unique(),
                kind,
                index.ifNotExists() && canSayIfAbsent(index),
                index.table(),
                parts,
                include ? List.of() : index.include(),
                where.map(adapter::condition),
                index.method(),
                List.of(),
                index.span()));
    }

    /** Puts the beginnings of long texts in their place where the target indexes no more; false where it cannot do that. */
    private boolean fitted(List<IndexPart> parts, DdlStatement.CreateIndex index) {
        if (has(SqlFeature.INDEXES_LONG_TEXTS)) {
            return true;
        }
        Optional<IndexPart> whole = index.parts().stream()
                .filter(p -> isLong(p, index) && (p.prefix() == 0 || !has(SqlFeature.PREFIX_INDEXES)))
                .findFirst();
        if (whole.isEmpty()) {
            return true;
        }
        String column =
                whole.get().value() instanceof Expr.Column c ? c.name().last().text() : "";
        if (index.unique()) {
            throw new Untranslatable("a unique index on " + column + ", a long text or long bytes");
        }
        if (!has(SqlFeature.PREFIX_INDEXES) || index.parts().stream().anyMatch(this::isJson)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    index.span(),
                    "the index" + index.name().map(n -> " " + n.last().text()).orElse("")
                            + " is left out, as the target has none on long texts and bytes such as " + column);
            return false;
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, index.span(), "the beginning of " + column + " is indexed");
        parts.replaceAll(p -> p.prefix() == 0 && isLong(p, index)
                ? new IndexPart(p.value(), PREFIX, p.descending(), p.nulls(), p.leftOut())
                : p);
        return true;
    }

    private Optional<LogicalType> type(IndexPart part) {
        return part.value() instanceof Expr.Column
                ? adapter.facts(part.value()).flatMap(Scope.ColumnFacts::type)
                : Optional.empty();
    }

    private boolean isLong(IndexPart part, DdlStatement.CreateIndex index) {
        return isJson(part) || type(part).filter(this::isLong).isPresent() && !isInKey(part, index);
    }

    private boolean isLong(LogicalType type) {
        boolean text = type instanceof LogicalType.Varchar || type instanceof LogicalType.Char;
        return type instanceof LogicalType.Text
                || type instanceof LogicalType.Blob
                || text
                        && LONG.matcher(adapter.to
                                        .types()
                                        .choose(type, ColumnUse.PLAIN)
                                        .sql())
                                .find();
    }

    /** True for a column of a key, which has a length for its sake. */
    private boolean isInKey(IndexPart part, DdlStatement.CreateIndex index) {
        return part.value() instanceof Expr.Column column
                && adapter.knowledge.table(index.table()).stream()
                        .flatMap(t -> t.keys().stream())
                        .anyMatch(k -> k.stream().anyMatch(column.name().last()::matches));
    }

    private boolean isJson(IndexPart part) {
        return type(part).filter(LogicalType.Json.class::isInstance).isPresent();
    }

    private List<IndexPart> parts(DdlStatement.CreateIndex index) {
        List<IndexPart> parts = new ArrayList<>();
        for (IndexPart given : index.parts()) {
            IndexPart part = index.unique() && has(SqlFeature.EXPRESSION_INDEXES) ? given.distinct() : given;
            boolean idle = part.value() instanceof Expr.Literal
                    && index.parts().size() > 1
                    && !index.unique()
                    && !has(SqlFeature.EXPRESSION_INDEXES);
            if (idle) {
                adapter.note(
                        FindingCode.SYNTAX_ADAPTED,
                        index.span(),
                        "the constant in the index is left out, as NULLs are in it in any case");
            } else {
                parts.add(part(part, index));
            }
        }
        return parts;
    }

    /** True for an index of a kind that the target has not. */
    private boolean isLeftOut(DdlStatement.CreateIndex index) {
        if (index.method().matches("GIN|GIST|SPGIST|BRIN|RTREE") && !has(SqlFeature.INDEX_METHODS)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK, index.span(), "an index of the kind " + index.method() + " is left out");
            return true;
        }
        if (!index.method().isEmpty() && !index.method().matches("BTREE")) {
            adapter.note(FindingCode.PHYSICAL_CLAUSES, index.span(), "USING " + index.method());
        }
        return false;
    }

    private boolean canSayIfAbsent(DdlStatement.CreateIndex index) {
        boolean indexes = has(SqlFeature.INDEX_IF_NOT_EXISTS);
        return structure.canSayIf(indexes ? SqlFeature.IF_NOT_EXISTS : SqlFeature.INDEX_IF_NOT_EXISTS, index);
    }

    private IndexPart part(IndexPart part, DdlStatement.CreateIndex index) {
        structure.leftOut(part.leftOut(), index);
        if (!index.unique()) {
            adapter.empties.kept(List.of(part.value()));
        }
        Expr value = SteadyValues.of(adapter.expr(part.value()), adapter);
        int prefix = part.prefix();
        if (prefix > 0 && !has(SqlFeature.PREFIX_INDEXES)) {
            boolean expression = has(SqlFeature.EXPRESSION_INDEXES);
            adapter.note(
                    FindingCode.PREFIX_INDEX,
                    index.span(),
                    expression ? "an expression that cuts the text" : "the whole column");
            value = expression
                    ? Expr.Call.of("substring", value, Expr.Literal.number(1), Expr.Literal.number(prefix))
                    : value;
            prefix = 0;
        }
        boolean descending = part.descending() && has(SqlFeature.DESCENDING_INDEXES);
        Nulls nulls = Nulls.DEFAULT;
        if (part.nulls() != Nulls.DEFAULT) {
            boolean first = part.nulls() == Nulls.FIRST;
            boolean keeps = has(SqlFeature.NULLS_ORDER) && has(SqlFeature.PARTIAL_INDEXES);
            nulls = keeps && adapter.to.nulls().first(descending) != first ? part.nulls() : Nulls.DEFAULT;
            if (!keeps) {
                adapter.note(FindingCode.PHYSICAL_CLAUSES, index.span(), "NULLS " + part.nulls() + " of an index");
            }
        }
        return new IndexPart(value, prefix, descending, nulls, List.of());
    }
}
