package raftcart.scripts;

import java.util.Locale;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.sql.tree.DdlStatement.ColumnComments;
import raftcart.sql.tree.DdlStatement.Comment;
import raftcart.sql.tree.QualifiedName;

/** Puts the comments of scripts into their tables and columns; those on anything else are objects of their own. */
final class ScriptComments {
    private final CatalogBuilder builder;
    private final ObjectNames names;

    ScriptComments(CatalogBuilder builder, ObjectNames names) {
        this.builder = builder;
        this.names = names;
    }

    void take(Comment comment, String text) {
        boolean everyDumpSaysIt = comment.kind().equals("EXTENSION")
                || comment.kind().equals("SCHEMA")
                        && comment.name().last().key().equals("public");
        if (!everyDumpSaysIt && !isOfTable(comment)) {
            keep(comment.kind(), comment.name(), text);
        }
    }

    void take(ColumnComments comments, String text) {
        comments.texts().forEach((column, said) -> {
            if (!ofColumn(comments.table().with(column), said)) {
                keep("columns of", comments.table(), text);
            }
        });
    }

    /** Keeps a comment that the parser passes over, such as that on a function. */
    void takeOther(String text) {
        String name = text.strip().replaceAll("(?is)^comment\\s+on\\s+|\\s+is\\s+('|null|[EUeu]&?').*", "");
        builder.put(ObjectKind.COMMENT, new ObjectName(names.defaultSchema(), name.replaceAll("\\s+", " ")), text);
    }

    private void keep(String kind, QualifiedName name, String text) {
        ObjectName object = names.object(
                kind.equals("COLUMN") && name.parts().size() > 1 ? new QualifiedName(name.qualifier()) : name);
        String own = kind.equals("COLUMN") ? object.name() + "." + name.last().text() : object.name();
        builder.put(
                ObjectKind.COMMENT, new ObjectName(object.schema(), kind.toLowerCase(Locale.ROOT) + " " + own), text);
    }

    private boolean isOfTable(Comment comment) {
        String said = comment.text().orElse("");
        return switch (comment.kind()) {
            case "TABLE" ->
                builder.table(comment.name())
                        .map(t -> {
                            t.comment = said;
                            return true;
                        })
                        .orElse(false);
            case "COLUMN" -> ofColumn(comment.name(), said);
            default -> false;
        };
    }

    private boolean ofColumn(QualifiedName name, String said) {
        return name.parts().size() > 1
                && builder.table(new QualifiedName(name.qualifier()))
                        .filter(t -> t.change(name.last(), c -> Columns.commented(c, said)))
                        .isPresent();
    }
}
