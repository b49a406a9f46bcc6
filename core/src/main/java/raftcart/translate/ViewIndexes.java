package raftcart.translate;

import java.util.List;
import java.util.Optional;
import raftcart.catalog.CodeObject;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Dialect;
import raftcart.dialect.SqlFeature;
import raftcart.error.SqlSyntaxException;
import raftcart.finding.FindingCode;
import raftcart.rewrite.ObjectRewriter;
import raftcart.sql.tree.DdlStatement.CreateIndex;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TableParts.IndexPart;
import raftcart.translate.ObjectRenamer.Relation;

/** Translates the indexes of materialized views; a view that is computed whenever it is read has none. */
final class ViewIndexes {
    private final CodeTranslator code;
    private final NameMapper names;
    private final Dialect to;
    private final Notes notes;

    ViewIndexes(CodeTranslator code, NameMapper names, Dialect to, Notes notes) {
        this.code = code;
        this.names = names;
        this.to = to;
        this.notes = notes;
    }

    /** An index as an object to make; empty where there is none on the target. */
    Optional<CodeMapping> translate(CodeObject object) {
        String name = object.name().toString();
        if (!to.has(SqlFeature.MATERIALIZED_VIEWS)) {
            notes.find(
                    FindingCode.PHYSICAL_CLAUSES, name, "an index of a materialized view, which is a plain one there");
            notes.outcome(ObjectKind.INDEX, name);
            return Optional.empty();
        }
        ObjectRewriter.Result result = translated(object);
        if (!result.done()) {
            notes.byHand("index", name, object.source(), FindingCode.INDEX_BY_HAND, result.reason());
            notes.notCreated(ObjectKind.INDEX, name);
            return Optional.empty();
        }
        result.notes().forEach(n -> notes.find(n.code(), name, n.detail()));
        notes.outcome(ObjectKind.INDEX, name);
        ObjectName target = new ObjectName(
                names.schema(object.name().schema()), object.name().name());
        return Optional.of(new CodeMapping(
                name, new CodeObject(ObjectKind.INDEX, target, String.join(";\n\n", result.statements()))));
    }

    private ObjectRewriter.Result translated(CodeObject object) {
        try {
            if (code.parse(object) instanceof CreateIndex index) {
                return code.relation(index.table())
                        .map(r -> renamed(index, r))
                        .map(code.rewriter()::rewrite)
                        .orElseGet(() -> ObjectRewriter.Result.not(index.table() + " is not on the target"));
            }
            return ObjectRewriter.Result.not("the text is not that of an index");
        } catch (SqlSyntaxException e) {
            return ObjectRewriter.Result.not(e.getMessage());
        }
    }

    private static CreateIndex renamed(CreateIndex index, Relation view) {
        List<IndexPart> parts = index.parts().stream()
                .map(p -> new IndexPart(column(p.value(), view), p.prefix(), p.descending(), p.nulls(), p.leftOut()))
                .toList();
        return new CreateIndex(
                index.name(),
                index.unique(),
                index.kind(),
                index.ifNotExists(),
                view.name(),
                parts,
                index.include(),
                index.where(),
                index.method(),
                index.leftOut(),
                index.span());
    }

    private static Expr column(Expr value, Relation view) {
        return value instanceof Expr.Column column && column.name().parts().size() == 1
                ? view.column(column.name().last())
                        .map(c -> (Expr) new Expr.Column(new QualifiedName(List.of(c)), column.outer(), column.span()))
                        .orElse(value)
                : value;
    }
}
