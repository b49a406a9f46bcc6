package raftcart.translate;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.catalog.Column;
import raftcart.catalog.Key;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Partitioning;
import raftcart.catalog.Table;
import raftcart.dialect.Dialect;
import raftcart.dialect.SqlFeature;
import raftcart.rewrite.ExpressionRewriter;
import raftcart.sql.tree.Name;
import raftcart.type.LogicalType;

/** Brings the partitions of tables across. */
final class PartitionTranslator {
    private final Dialect to;
    private final NameMapper names;
    private final Notes notes;

    PartitionTranslator(Dialect to, NameMapper names, Notes notes) {
        this.to = to;
        this.names = names;
        this.notes = notes;
    }

    /**
     * The partitions of a table on the target.
     *
     * @param uniqueKeys its unique keys there, the primary key first
     * @param referred true where foreign keys lead to it
     */
    Optional<Partitioning> partitions(TableTranslator translator, Stream<Key> uniqueKeys, boolean referred) {
        Table table = translator.source();
        if (table.partitioning().isEmpty()) {
            return Optional.empty();
        }
        List<List<Name>> keys = uniqueKeys
                .map(k ->
                        k.parts().stream().map(p -> new Name(p.column(), true)).toList())
                .toList();
        ExpressionRewriter.Parts parts = translator
                .expressions()
                .partitions(
                        table.partitioning().get(),
                        keys,
                        referred || !table.foreignKeys().isEmpty(),
                        name -> stored(translator, name));
        parts.notes().forEach(n -> notes.find(n.code(), table.name().toString(), n.detail()));
        return parts.partitioning().map(p -> named(p, translator.target().schema()));
    }

    private static Optional<LogicalType> stored(TableTranslator translator, Name name) {
        return translator.source().columns().stream()
                .map(Column::name)
                .filter(c -> translator.targetColumn(c).equalsIgnoreCase(name.text()))
                .map(c -> translator.types().choice(c).stored())
                .findFirst();
    }

    /** Partitions that are tables have names that no other object has. */
    private Partitioning named(Partitioning parts, String schema) {
        return to.has(SqlFeature.PARTITIONS_ARE_TABLES)
                ? new Partitioning(
                        parts.scheme(),
                        parts.partitions().stream()
                                .map(p -> new Partitioning.Partition(free(p.name(), schema), p.bounds()))
                                .toList())
                : parts;
    }

    private String free(String name, String schema) {
        return names.free(new ObjectName(schema, to.identifiers().shorten(name)))
                .name();
    }
}
