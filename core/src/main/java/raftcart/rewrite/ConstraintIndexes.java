package raftcart.rewrite;

import java.util.List;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.DdlStatement.CreateIndex;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.TableConstraint;

/** Indexes said among the constraints of a table, and keys that are but unique indexes elsewhere. */
final class ConstraintIndexes {
    private final QueryAdapter adapter;

    ConstraintIndexes(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** True for what is said of a table on the source and is an index of its own on the target. */
    boolean takes(TableConstraint constraint) {
        return constraint.kind() == ConstraintKind.INDEX || isUniqueIndex(constraint);
    }

    /** A key of some rows only, on an expression, or on the beginnings of texts, which elsewhere are expressions. */
    private boolean isUniqueIndex(TableConstraint constraint) {
        boolean beginnings = constraint.parts().stream().anyMatch(p -> p.prefix() > 0)
                && !adapter.to.has(SqlFeature.PREFIX_INDEXES)
                && adapter.to.has(SqlFeature.EXPRESSION_INDEXES);
        return constraint.kind() == ConstraintKind.UNIQUE
                && !adapter.same()
                && (beginnings
                        || constraint.isOfRows()
                        || constraint.parts().stream().anyMatch(p -> !(p.value() instanceof Expr.Column)));
    }

    /** What makes the index, once its table is there; nothing where the target has none of its kind. */
    List<Statement> made(TableConstraint constraint, QualifiedName table) {
        boolean special = constraint.leftOut().stream().anyMatch(TableConstraint.KINDS_OF_INDEXES::contains);
        if (special && !adapter.to.has(SqlFeature.FULLTEXT_INDEXES)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK, constraint.span(), "a full-text, spatial or inverted index is left out");
            return List.of();
        }
        return new IndexAdapter(adapter, new StructureAdapter(adapter)).index(index(constraint, table));
    }

    private static CreateIndex index(TableConstraint constraint, QualifiedName table) {
        return new CreateIndex(
                constraint.name().map(n -> new QualifiedName(List.of(n))),
                constraint.kind() == ConstraintKind.UNIQUE,
                constraint.leftOut().stream()
                        .filter(l -> l.equals("FULLTEXT") || l.equals("SPATIAL"))
                        .findFirst()
                        .orElse(""),
                false,
                table,
                constraint.parts(),
                List.of(),
                constraint.check(),
                "",
                constraint.leftOut().stream()
                        .filter(l -> !TableConstraint.KINDS_OF_INDEXES.contains(l))
                        .toList(),
                constraint.span());
    }
}
