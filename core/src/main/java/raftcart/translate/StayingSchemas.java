package raftcart.translate;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import raftcart.catalog.Catalog;
import raftcart.catalog.Column;
import raftcart.catalog.EnumeratedType;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.Schema;
import raftcart.catalog.Sequence;
import raftcart.plan.Selection;
import raftcart.type.LogicalType;

/**
 * What becomes of a schema of which the plan takes no table: its views, routines and rights stay with its tables, and
 * nothing is said of them, as the plan wants it so. What tables of other schemas need of it still goes.
 */
final class StayingSchemas {
    /** Kinds that belong to the database as a whole, whatever schema they are listed under. */
    private static final Set<ObjectKind> OF_THE_DATABASE = EnumSet.of(
            ObjectKind.ROLE,
            ObjectKind.EXTENSION,
            ObjectKind.SETTING,
            ObjectKind.PUBLICATION,
            ObjectKind.FOREIGN_SERVER,
            ObjectKind.EVENT_TRIGGER,
            ObjectKind.LARGE_OBJECT);

    private StayingSchemas() {}

    /** The schema as it goes; a schema that never had tables goes whole, as nothing says that it is not wanted. */
    static Schema without(Schema schema, Catalog source, Selection selection) {
        boolean stays =
                !schema.tables().isEmpty() && schema.tables().stream().noneMatch(t -> selection.takes(t.name()));
        if (!stays) {
            return schema;
        }
        List<Column> columns = source.tables()
                .filter(t -> selection.takes(t.name()))
                .flatMap(t -> t.columns().stream())
                .toList();
        return new Schema(
                schema.name(),
                schema.tables(),
                schema.sequences().stream().filter(s -> isRead(s, columns)).toList(),
                schema.enumeratedTypes().stream()
                        .filter(t -> isUsed(t, columns))
                        .toList(),
                schema.codeObjects().stream()
                        .filter(o -> OF_THE_DATABASE.contains(o.kind()))
                        .toList());
    }

    /** True where a default has the sequence's name among its words: one too many does no harm. */
    private static boolean isRead(Sequence sequence, List<Column> columns) {
        return columns.stream()
                .flatMap(c -> c.defaultValue().stream())
                .anyMatch(d -> PlannedCatalog.names(d, sequence.name().name()));
    }

    private static boolean isUsed(EnumeratedType type, List<Column> columns) {
        return columns.stream()
                .map(c -> c.type() instanceof LogicalType.Array a ? a.element() : c.type())
                .anyMatch(t ->
                        t instanceof LogicalType.Enumeration e && e.values().equals(type.values()));
    }
}
