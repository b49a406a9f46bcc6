package raftcart.plan;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import raftcart.catalog.ObjectName;

/**
 * Which tables go. Patterns match a table's name, or schema and name with a point between; {@code *} stands for any
 * characters and {@code ?} for one; case does not matter.
 */
public record Selection(List<String> include, List<String> exclude, List<TableRule> rules) {
    public Selection {
        include = List.copyOf(include);
        exclude = List.copyOf(exclude);
        rules = List.copyOf(rules);
    }

    /** All tables. */
    public static Selection everything() {
        return new Selection(List.of("*"), List.of(), List.of());
    }

    /** The condition in the source's SQL under which rows of a table go; empty for all rows. */
    public Optional<String> rows(ObjectName table) {
        return first(table, TableRule::rows);
    }

    /** What goes of a table. */
    public TableRule.Moves moves(ObjectName table) {
        return first(table, TableRule::moves).orElse(TableRule.Moves.STRUCTURE_AND_ROWS);
    }

    /** What becomes of a table's key of one number. */
    public TableRule.KeyStrategy key(ObjectName table) {
        return first(table, TableRule::key).orElse(TableRule.KeyStrategy.KEEP);
    }

    /** The growing column of a table, by which a load that adds rows finds the new ones. */
    public Optional<String> since(ObjectName table) {
        return first(table, TableRule::since);
    }

    /** True where a column of a table goes. */
    public boolean takesColumn(ObjectName table, String column) {
        List<String> taken = list(table, TableRule::columns);
        return (taken.isEmpty() || fits(taken, column)) && !fits(list(table, TableRule::without), column);
    }

    private static boolean fits(List<String> patterns, String column) {
        return patterns.stream()
                .anyMatch(
                        p -> compile(p).matcher(column.toLowerCase(Locale.ROOT)).matches());
    }

    private List<String> list(ObjectName table, Function<TableRule, List<String>> part) {
        return first(table, r -> Optional.of(part.apply(r)).filter(l -> !l.isEmpty()))
                .orElse(List.of());
    }

    private <T> Optional<T> first(ObjectName table, Function<TableRule, Optional<T>> part) {
        return rules.stream()
                .filter(r -> matches(r.table(), table))
                .map(part)
                .flatMap(Optional::stream)
                .findFirst();
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
