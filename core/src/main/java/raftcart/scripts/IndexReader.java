package raftcart.scripts;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.catalog.CodeObject;
import raftcart.catalog.Index;
import raftcart.catalog.KeyPart;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.sql.tree.DdlStatement.CreateIndex;
import raftcart.sql.tree.OrderItem.Nulls;
import raftcart.sql.tree.TableParts.IndexPart;

/** Puts the indexes of scripts into their tables. */
final class IndexReader {
    private final CatalogBuilder builder;
    private final Definitions definitions;
    private final ObjectNames names;
    private final List<CodeObject> code;

    IndexReader(CatalogBuilder builder, Definitions definitions, ObjectNames names, List<CodeObject> code) {
        this.builder = builder;
        this.definitions = definitions;
        this.names = names;
        this.code = code;
    }

    /** True for a view whose rows are kept. */
    private boolean isStoredView(ObjectName name) {
        return code.stream()
                .anyMatch(c ->
                        c.kind() == ObjectKind.MATERIALIZED_VIEW && c.name().equals(name));
    }

    Optional<String> create(CreateIndex index, String text) {
        Optional<TableDraft> found = builder.table(index.table());
        ObjectName view = names.object(index.table());
        if (found.isEmpty() && isStoredView(view)) {
            String own = index.name().map(n -> names.stored(n.last())).orElse("index of " + view.name());
            builder.put(ObjectKind.INDEX, new ObjectName(view.schema(), own), text);
            return Optional.empty();
        }
        if (found.isEmpty()) {
            return Optional.of("an index on " + index.table() + ", which is no table");
        }
        TableDraft table = found.get();
        List<IndexPart> read =
                index.unique() ? index.parts().stream().map(IndexPart::distinct).toList() : index.parts();
        List<KeyPart> parts = definitions.parts(table, read);
        if (builder.isPart(index.table())) {
            boolean ofWhole = table.indexes.stream().anyMatch(i -> i.parts().equals(parts));
            return ofWhole ? Optional.empty() : Optional.of("an index on one partition alone");
        }
        String name = index.name()
                .map(n -> names.stored(n.last()))
                .orElseGet(
                        () -> table.nameFor(parts.stream().map(KeyPart::column).toList(), "idx"));
        boolean keyed =
                table.primaryKey.filter(k -> k.name().equalsIgnoreCase(name)).isPresent()
                        || table.uniqueKeys.stream().anyMatch(k -> k.name().equalsIgnoreCase(name));
        if (keyed) {
            return Optional.empty();
        }
        table.indexes.removeIf(i -> i.name().equalsIgnoreCase(name));
        table.indexes.add(new Index(
                name,
                index.unique(),
                parts,
                method(index),
                index.where().map(definitions::text).orElse(""),
                index.include().stream().map(table::columnName).toList()));
        leftOut(index, name, read, parts, table);
        return Optional.empty();
    }

    /** What only the source's engine has of the index. */
    private static void leftOut(
            CreateIndex index, String name, List<IndexPart> read, List<KeyPart> parts, TableDraft table) {
        if (index.kind().equals("BITMAP")) {
            table.physical.add("index " + name + " BITMAP");
        }
        index.leftOut().stream()
                .filter(l -> !l.equals("OR REPLACE"))
                .forEach(l -> table.physical.add("index " + name + " " + l));
        for (int i = 0; i < parts.size() && parts.size() == read.size(); i++) {
            String part = parts.get(i).isExpression()
                    ? "part " + (i + 1)
                    : parts.get(i).column();
            ordering(read.get(i)).forEach(o -> table.physical.add("index " + name + " " + part + ": " + o));
        }
    }

    /** What a part says of the order of its values that is the engine's alone: classes of operators, collations, NULLs. */
    private static List<String> ordering(IndexPart part) {
        List<String> said = new ArrayList<>(part.leftOut());
        if (part.nulls() != Nulls.DEFAULT) {
            said.add("NULLS " + part.nulls());
        }
        return said;
    }

    /** The kind of an index that is none in order: a bitmap is one in order on engines without such. */
    private static String method(CreateIndex index) {
        String method = (index.kind().isEmpty() ? index.method() : index.kind()).toLowerCase(Locale.ROOT);
        return method.matches("btree|bitmap|clustered|nonclustered|cluster|hash|tree") ? "" : method;
    }
}
