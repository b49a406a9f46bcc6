package raftcart.plan;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Something that is done on both sides to see whether they do the same: a routine that is called, or a statement.
 *
 * @param routine the routine as the source calls it; empty where a statement is run
 * @param statement a statement in the source's SQL; empty where a routine is called
 * @param arguments what goes into the routine
 * @param before statements in the source's SQL that are run first
 * @param tables the source's tables whose rows are compared afterwards; empty for those that the routine changes
 * @param ignored columns, as {@code table.column}, that are not compared
 * @param anyOrder true where rows may come in another order
 */
public record CallCase(
        String title,
        Optional<String> routine,
        Optional<String> statement,
        List<Argument> arguments,
        List<String> before,
        Optional<List<String>> tables,
        List<String> ignored,
        boolean anyOrder) {
    public CallCase {
        Objects.requireNonNull(title, "title");
        arguments = List.copyOf(arguments);
        before = List.copyOf(before);
        tables = tables.map(List::copyOf);
        ignored = List.copyOf(ignored);
    }

    /**
     * A value for a parameter.
     *
     * @param name the parameter; empty where the place says it
     * @param value its text; empty for NULL
     */
    public record Argument(Optional<String> name, Optional<String> value) {
        private String shown() {
            return name.map(n -> n + ": ").orElse("") + value.orElse("NULL");
        }
    }

    /** How a call is shown that has no title. */
    static String shown(String routine, List<Argument> arguments) {
        return routine + arguments.stream().map(Argument::shown).collect(Collectors.joining(", ", "(", ")"));
    }
}
