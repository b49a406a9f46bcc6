package raftcart.catalog;

import java.util.Objects;

/** A schema and a name in it, both exactly as the engine spells them. */
public record ObjectName(String schema, String name) implements Comparable<ObjectName> {
    public ObjectName {
        Objects.requireNonNull(schema, "schema");
        Objects.requireNonNull(name, "name");
    }

    @Override
    public int compareTo(ObjectName other) {
        int bySchema = schema.compareTo(other.schema);
        return bySchema != 0 ? bySchema : name.compareTo(other.name);
    }

    @Override
    public String toString() {
        return schema.isEmpty() ? name : schema + "." + name;
    }
}
