package raftcart.scripts;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.catalog.CodeObject;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.sql.tree.DdlStatement.ColumnComments;
import raftcart.sql.tree.DdlStatement.Comment;
import raftcart.sql.tree.QualifiedName;

/** Puts the comments of scripts into their tables and columns; those on anything else are objects of their own. */
final class ScriptComments {
    private final CatalogBuilder builder;
    private final ObjectNames names;
    private final List<CodeObject> code;

    /** @param code the objects so far, to which comments are added, and from which they are taken back */
    ScriptComments(CatalogBuilder builder, ObjectNames names, List<CodeObject> code) {
        this.builder = builder;
        this.names = names;
        this.code = code;
    }

    void take(Comment comment, String text) {
        boolean everyDumpSaysIt = comment.kind().equals("EXTENSION")
                || comment.kind().equals("SCHEMA")
                        && comment.name().last().key().equals("public");
        if (!everyDumpSaysIt && !isOfTable(comment)) {
            keep(comment, text);
        }
    }

    void take(ColumnComments comments, String text) {
        comments.texts().forEach((column, said) -> {
            QualifiedName name = comments.table().with(column);
            if (!ofColumn(name, said)) {
                keep(new Comment("COLUMN", name, Optional.of(said), comments.span()), text);
            }
        });
    }

    /** Keeps a comment that the parser passes over, such as that on a function. */
    void takeOther(String text) {
        String name = text.strip().replaceAll("(?is)^comment\\s+on\\s+|\\s+is\\s+('|null|[EUeu]&?').*", "");
        builder.put(ObjectKind.COMMENT, new ObjectName(names.defaultSchema(), name.replaceAll("\\s+", " ")), text);
    }

    /** The last comment counts; an empty one takes it back. */
    private void keep(Comment comment, String text) {
        boolean column =
                comment.kind().equals("COLUMN") && comment.name().parts().size() > 1;
        QualifiedName owner = column ? new QualifiedName(comment.name().qualifier()) : comment.name();
        ObjectName object = names.object(owner);
        String own = object.name() + (column ? "." + comment.name().last().text() : "");
        ObjectName name = new ObjectName(object.schema(), comment.kind().toLowerCase(Locale.ROOT) + " " + own);
        if (comment.text().filter(t -> !t.isEmpty()).isPresent()) {
            builder.put(ObjectKind.COMMENT, name, text);
        } else {
            code.removeIf(c -> c.kind() == ObjectKind.COMMENT && c.name().equals(name));
        }
    }

    private boolean isOfTable(Comment comment) {
        String said = comment.text().orElse("");
        if (!comment.kind().equals("TABLE")) {
            return comment.kind().equals("COLUMN") && ofColumn(comment.name(), said);
        }
        Optional<TableDraft> table = builder.table(comment.name());
        table.ifPresent(t -> t.comment = said);
        return table.isPresent();
    }

    private boolean ofColumn(QualifiedName name, String said) {
        return name.parts().size() > 1
                && builder.table(new QualifiedName(name.qualifier()))
                        .filter(t -> t.change(name.last(), c -> Columns.commented(c, said)))
                        .isPresent();
    }
}
