package raftcart.translate;

import java.util.List;
import java.util.Optional;
import raftcart.catalog.CodeObject;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.error.SqlSyntaxException;
import raftcart.finding.FindingCode;
import raftcart.rewrite.ObjectRewriter;
import raftcart.sql.tree.DdlStatement.ColumnComments;
import raftcart.sql.tree.DdlStatement.Comment;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.translate.ObjectRenamer.Relation;

/** Translates the comments on other than tables; those that the target has no place for are told. */
final class ObjectComments {
    private final CodeTranslator code;
    private final NameMapper names;
    private final Notes notes;

    ObjectComments(CodeTranslator code, NameMapper names, Notes notes) {
        this.code = code;
        this.names = names;
        this.notes = notes;
    }

    /** A comment as an object to make; empty where the target has none of its kind. */
    Optional<CodeMapping> translate(CodeObject object) {
        String name = object.name().toString();
        List<String> statements = renamed(object).stream()
                .map(code.rewriter()::rewrite)
                .filter(ObjectRewriter.Result::done)
                .flatMap(r -> r.statements().stream())
                .toList();
        if (statements.isEmpty()) {
            notes.find(FindingCode.PHYSICAL_CLAUSES, name, "the comment stays behind");
        }
        notes.outcome(ObjectKind.COMMENT, name);
        ObjectName target = new ObjectName(
                names.schema(object.name().schema()),
                "comment on " + object.name().name());
        return statements.isEmpty()
                ? Optional.empty()
                : Optional.of(new CodeMapping(
                        name, new CodeObject(ObjectKind.COMMENT, target, String.join(";\n\n", statements))));
    }

    private List<Comment> renamed(CodeObject object) {
        try {
            Statement statement = code.parse(object);
            if (statement instanceof ColumnComments columns) {
                return columns.texts().entrySet().stream()
                        .flatMap(e -> ofColumn(new Comment(
                                        "COLUMN",
                                        columns.table().with(e.getKey()),
                                        Optional.of(e.getValue()),
                                        columns.span()))
                                .stream())
                        .toList();
            }
            return statement instanceof Comment comment
                    ? renamed(comment).stream().toList()
                    : List.of();
        } catch (SqlSyntaxException e) {
            return List.of(); // it is told that it stays behind
        }
    }

    private Optional<Comment> renamed(Comment comment) {
        return switch (comment.kind()) {
            case "VIEW", "TABLE" -> code.relation(comment.name()).map(r -> on(comment, kindOf(r), r.name()));
            case "COLUMN" -> ofColumn(comment);
            case "SEQUENCE" -> Optional.of(on(comment, "SEQUENCE", code.sequence(comment.name())));
            default -> Optional.empty();
        };
    }

    private Optional<Comment> ofColumn(Comment comment) {
        if (comment.name().parts().size() < 2) {
            return Optional.empty();
        }
        return code.relation(new QualifiedName(comment.name().qualifier()))
                .flatMap(r -> r.column(comment.name().last())
                        .map(c -> on(comment, "COLUMN", r.name().with(c))));
    }

    /** A view's kind; a comment on a table is one on a view here, as tables have theirs themselves. */
    private String kindOf(Relation relation) {
        return code.done().stream()
                .map(CodeMapping::target)
                .filter(o -> o.name().equals(relation.target()))
                .map(o -> o.kind() == ObjectKind.MATERIALIZED_VIEW ? "MATERIALIZED VIEW" : "VIEW")
                .findFirst()
                .orElse("VIEW");
    }

    private static Comment on(Comment comment, String kind, QualifiedName name) {
        return new Comment(kind, name, comment.text(), comment.span());
    }
}
