package raftcart.sql.expr;

import java.util.List;
import java.util.Locale;
import java.util.Objects;

/**
 * The name of a type as a dialect writes it: the words in lower case without parameters, such as
 * {@code timestamp with time zone} or {@code int unsigned}, then its numbers and its texts.
 */
public record TypeName(String name, List<Integer> parameters, List<String> values, boolean array) {
    public TypeName {
        name = Objects.requireNonNull(name, "name").toLowerCase(Locale.ROOT);
        parameters = List.copyOf(parameters);
        values = List.copyOf(values);
    }

    /** A name without parameters. */
    public static TypeName of(String name) {
        return new TypeName(name, List.of(), List.of(), false);
    }

    /** The parameter at this place, or the fallback where there is none. */
    public int parameter(int index, int fallback) {
        return index < parameters.size() ? parameters.get(index) : fallback;
    }
}
