package raftcart.sql.tree;

import java.util.List;
import java.util.Locale;
import java.util.Objects;

/**
 * The name of a type as a dialect writes it: the words in lower case without parameters, such as
 * {@code timestamp with time zone} or {@code int unsigned}, then its numbers and its texts.
 *
 * @param arrays the number of array dimensions
 */
public record TypeName(String name, List<Integer> parameters, List<String> values, int arrays) {
    /** The parameter that stands for {@code MAX} or {@code *}. */
    public static final int MAX = -1;

    /** The end of the name of a column whose type is meant. */
    public static final String OF_COLUMN = "%type";

    /** The end of the name of a table or cursor whose rows are meant. */
    public static final String OF_ROW = "%rowtype";

    public TypeName {
        name = Objects.requireNonNull(name, "name").toLowerCase(Locale.ROOT);
        parameters = List.copyOf(parameters);
        values = List.copyOf(values);
    }

    /** A name without parameters. */
    public static TypeName of(String name) {
        return new TypeName(name, List.of(), List.of(), 0);
    }

    /** A name with numbers. */
    public static TypeName of(String name, Integer... parameters) {
        return new TypeName(name, List.of(parameters), List.of(), 0);
    }

    /** True for an array. */
    public boolean array() {
        return arrays > 0;
    }

    /** The type of the elements of this array. */
    public TypeName element() {
        return new TypeName(name, parameters, values, 0);
    }

    /** The parameter at this place, or the fallback where there is none. */
    public int parameter(int index, int fallback) {
        return index < parameters.size() ? parameters.get(index) : fallback;
    }
}
