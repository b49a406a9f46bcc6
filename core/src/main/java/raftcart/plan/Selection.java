package raftcart.plan;

import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import raftcart.catalog.ObjectName;

/**
 * Which tables go. Patterns match a table's name, or schema and name with a point between; {@code *} stands for any
 * characters and {@code ?} for one; case does not matter.
 */
public record Selection(List<String> include, List<String> exclude) {
    public Selection {
        include = List.copyOf(include);
        exclude = List.copyOf(exclude);
    }

    /** All tables. */
    public static Selection everything() {
        return new Selection(List.of("*"), List.of());
    }

    /** True where the table goes. */
    public boolean takes(ObjectName table) {
        return include.stream().anyMatch(p -> matches(p, table))
                && exclude.stream().noneMatch(p -> matches(p, table));
    }

    /** True where a pattern matches the table. */
    public static boolean matches(String pattern, ObjectName table) {
        Pattern compiled = compile(pattern);
        return compiled.matcher(table.name().toLowerCase(Locale.ROOT)).matches()
                || compiled.matcher(table.toString().toLowerCase(Locale.ROOT)).matches();
    }

    static Pattern compile(String pattern) {
        String expression = pattern.toLowerCase(Locale.ROOT)
                .chars()
                .mapToObj(c -> switch (c) {
                    case '*' -> ".*";
                    case '?' -> ".";
                    default -> Pattern.quote(String.valueOf((char) c));
                })
                .collect(Collectors.joining());
        return Pattern.compile(expression, Pattern.DOTALL);
    }
}
