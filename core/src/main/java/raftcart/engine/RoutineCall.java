package raftcart.engine;

import java.util.List;
import java.util.Optional;

/**
 * A routine and what goes into it.
 *
 * @param path its name, behind those of its schema and of its package if it has one
 * @param procedure false for a function
 * @param slots its parameters
 * @param seconds after how long the engine is asked to give up
 */
public record RoutineCall(List<String> path, boolean procedure, List<Slot> slots, int seconds) {
    /**
     * A parameter.
     *
     * @param in true where it takes a value
     * @param out true where it gives one
     * @param value the value that goes in; empty for NULL
     */
    public record Slot(boolean in, boolean out, Optional<String> value) {}

    public RoutineCall {
        path = List.copyOf(path);
        slots = List.copyOf(slots);
    }

    /** The parameters that take values. */
    public List<Slot> inputs() {
        return slots.stream().filter(Slot::in).toList();
    }
}
