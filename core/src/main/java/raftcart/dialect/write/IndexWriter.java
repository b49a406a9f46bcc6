package raftcart.dialect.write;

import java.util.stream.Collectors;
import raftcart.dialect.SqlFeature;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.QualifiedName;

/** Writes indexes. */
final class IndexWriter {
    private final DdlWriter ddl;

    IndexWriter(DdlWriter ddl) {
        this.ddl = ddl;
    }

    String index(DdlStatement.CreateIndex index) {
        if (!index.kind().isEmpty()) {
            return ddl.specialIndex(index);
        }
        if (index.where().isPresent()) {
            ddl.require(SqlFeature.PARTIAL_INDEXES, "an index with a condition");
        }
        if (!index.include().isEmpty()) {
            ddl.require(SqlFeature.INCLUDED_COLUMNS, "an index with included columns");
        }
        String name = indexName(index);
        return "CREATE " + (index.unique() ? "UNIQUE " : "") + "INDEX " + ddl.ifNotExists(index.ifNotExists()) + name
                + "ON "
                + ddl.indexed(index) + ddl.method(index) + " ("
                + index.parts().stream().map(ddl::indexPart).collect(Collectors.joining(", ")) + ")"
                + (index.include().isEmpty()
                        ? ""
                        : " INCLUDE" + ddl.writer().queries().columns(index.include()))
                + index.where().map(w -> " WHERE " + ddl.text(w)).orElse("");
    }

    private String indexName(DdlStatement.CreateIndex index) {
        if (index.name().isEmpty()) {
            ddl.require(SqlFeature.UNNAMED_INDEXES, "an index without a name");
            return "";
        }
        QualifiedName own = index.name().get();
        return (ddl.has(SqlFeature.QUALIFIED_INDEX_NAMES)
                        ? ddl.name(own)
                        : ddl.language().write(own.last())) + " ";
    }
}
