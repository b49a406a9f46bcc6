package raftcart.dialect;

import java.util.Set;
import java.util.function.Function;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** Names of types that say the schema in which the engine keeps its own, as dumps do. */
final class SystemTypes {
    private SystemTypes() {}

    /**
     * What a name means as it is, or without such a schema.
     *
     * @param schemas those that hold the types of the engine, and those of its extensions in dumps
     */
    static LogicalType read(TypeName name, Set<String> schemas, Function<TypeName, LogicalType> known) {
        if (name.array()) {
            return new LogicalType.Array(read(name.element(), schemas, known));
        }
        LogicalType meaning = known.apply(name);
        int dot = name.name().indexOf('.');
        boolean qualified = dot > 0 && schemas.contains(name.name().substring(0, dot));
        if (!(meaning instanceof LogicalType.Opaque) || !qualified) {
            return meaning;
        }
        LogicalType own = known.apply(
                new TypeName(name.name().substring(dot + 1), name.parameters(), name.values(), name.arrays()));
        return own instanceof LogicalType.Opaque ? meaning : own;
    }
}
