package raftcart.sql.tree;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** A name with the names of what it stands in before it, such as schema and table. */
public record QualifiedName(List<Name> parts) {
    public QualifiedName {
        parts = List.copyOf(parts);
    }

    /** A name of these parts whose case does not matter. */
    public static QualifiedName of(String... parts) {
        return parts.length == 1
                ? new QualifiedName(List.of(Name.of(parts[0])))
                : new QualifiedName(Arrays.stream(parts).map(Name::of).toList());
    }

    /** The last part. */
    public Name last() {
        return parts.get(parts.size() - 1);
    }

    /** All parts but the last. */
    public List<Name> qualifier() {
        return parts.subList(0, parts.size() - 1);
    }

    /** The same with another last part. */
    public QualifiedName withLast(Name name) {
        List<Name> all = new java.util.ArrayList<>(qualifier());
        all.add(name);
        return new QualifiedName(all);
    }

    /** A name inside of what this one means, such as a column of this table. */
    public QualifiedName with(Name inner) {
        List<Name> all = new java.util.ArrayList<>(parts);
        all.add(inner);
        return new QualifiedName(all);
    }

    /** The parts in lower case with points between, for looking up. */
    public String key() {
        return parts.size() == 1
                ? parts.get(0).text().toLowerCase(Locale.ROOT)
                : parts.stream().map(p -> p.text().toLowerCase(Locale.ROOT)).collect(Collectors.joining("."));
    }

    @Override
    public String toString() {
        return parts.size() == 1
                ? parts.get(0).text()
                : parts.stream().map(Name::text).collect(Collectors.joining("."));
    }
}
