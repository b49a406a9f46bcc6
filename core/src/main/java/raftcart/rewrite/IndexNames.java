package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownIndex;
import raftcart.sql.Span;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.IndexPart;
import raftcart.sql.tree.TableParts.TableConstraint;

/** The names of indexes and keys, which are those of a table on some engines and those of a schema on others. */
final class IndexNames {
    private final QueryAdapter adapter;

    IndexNames(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** The name of an index on the target, which is remembered; an index without one gets one. */
    QualifiedName index(Optional<QualifiedName> name, QualifiedName table, List<IndexPart> parts, Span span) {
        QualifiedName source = name.orElseGet(() -> unnamed(table, parts));
        QualifiedName wanted = name.orElseGet(() -> TableAdapter.indexName(table, parts));
        boolean clashes = name.isEmpty() || clashes(wanted, table);
        QualifiedName written = clashes ? free(wanted, table, span) : wanted;
        adapter.knowledge.addIndex(new KnownIndex(source, table, written, false));
        return written;
    }

    /** A key under a name that the target has not yet. */
    TableConstraint key(TableConstraint key, QualifiedName table) {
        boolean indexed = key.kind() == ConstraintKind.UNIQUE && key.name().isPresent();
        if (!indexed) {
            return key;
        }
        QualifiedName source = new QualifiedName(List.of(key.name().get()));
        QualifiedName written = clashes(source, table) ? free(source, table, key.span()) : source;
        adapter.knowledge.addIndex(new KnownIndex(source, table, written, true));
        return written.equals(source) ? key : key.withName(written.last());
    }

    /** MySQL calls an index without a name as its first column, with a number behind it from the second one on. */
    private QualifiedName unnamed(QualifiedName table, List<IndexPart> parts) {
        List<Name> columns = TableAdapter.names(parts);
        if (columns.isEmpty() || !adapter.from.has(SqlFeature.INDEXES_OF_TABLES)) {
            return TableAdapter.indexName(table, parts);
        }
        String stem = columns.get(0).text();
        String name = stem;
        for (int i = 2; adapter.knowledge.index(Name.of(name), table).isPresent(); i++) {
            name = stem + "_" + i;
        }
        return QualifiedName.of(name);
    }

    /** True where a name of the source can be that of another index on the target. */
    private boolean clashes(QualifiedName name, QualifiedName table) {
        return !adapter.same()
                && (!adapter.to.has(SqlFeature.INDEXES_OF_TABLES)
                        || adapter.knowledge.index(name.last(), table).isPresent());
    }

    private QualifiedName free(QualifiedName wanted, QualifiedName table, Span span) {
        if (!adapter.knowledge.isIndexOfTarget(wanted)) {
            return wanted;
        }
        String stem = wanted.last().text().startsWith(table.last().text() + "_")
                ? wanted.last().text()
                : table.last().text() + "_" + wanted.last().text();
        QualifiedName name = wanted.withLast(Name.of(shortened(stem, "")));
        for (int i = 2; adapter.knowledge.isIndexOfTarget(name); i++) {
            name = wanted.withLast(Name.of(shortened(stem, "_" + i)));
        }
        adapter.note(
                FindingCode.SYNTAX_ADAPTED,
                span,
                "the name " + wanted.last().text() + " is that of another index, so this one is called "
                        + name.last().text());
        return name;
    }

    private String shortened(String stem, String end) {
        int room = adapter.to.longestName() - end.length();
        return (stem.length() > room ? stem.substring(0, room) : stem) + end;
    }
}
