package raftcart.sql.tree;

import java.util.Optional;

/**
 * What a routine says of itself.
 *
 * @param definer true where it runs with the rights of the one who made it
 * @param columnsFirst true where a name that could mean a column or a variable of the routine means the column
 * @param lookup the schema in which names without one are looked up, where that is not left to the caller
 * @param goesOn true where the statements behind one that fails are done
 */
public record RoutineTraits(
        boolean deterministic,
        Access access,
        boolean definer,
        boolean columnsFirst,
        Optional<String> comment,
        Optional<Name> lookup,
        boolean goesOn) {
    /** Names are looked up as the caller has it, and an error ends the routine. */
    public RoutineTraits(
            boolean deterministic, Access access, boolean definer, boolean columnsFirst, Optional<String> comment) {
        this(deterministic, access, definer, columnsFirst, comment, Optional.empty(), false);
    }

    /** The same with another schema for names without one. */
    public RoutineTraits lookingUp(Optional<Name> schema) {
        return new RoutineTraits(deterministic, access, definer, columnsFirst, comment, schema, goesOn);
    }

    /** The same of a routine that goes on behind a statement that fails, or does not. */
    public RoutineTraits goingOn(boolean behindErrors) {
        return new RoutineTraits(deterministic, access, definer, columnsFirst, comment, lookup, behindErrors);
    }

    /** What a routine does to data, as it says of itself. */
    public enum Access {
        UNSAID,
        NONE,
        READS,
        CHANGES
    }
}
