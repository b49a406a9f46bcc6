package raftcart.engine;

import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import raftcart.catalog.ObjectName;

/**
 * A routine as a database knows it.
 *
 * @param specificName tells it from others of its name
 * @param procedure false for a function
 */
public record Routine(ObjectName name, String specificName, boolean procedure, List<Parameter> parameters) {
    /**
     * A parameter, or a column of the rows that a function gives.
     *
     * @param name empty where it has none
     * @param type as the engine calls it
     * @param in true where it takes a value
     * @param out true where it gives one
     */
    public record Parameter(String name, String type, boolean in, boolean out) {}

    public Routine {
        Objects.requireNonNull(name, "name");
        parameters = List.copyOf(parameters);
    }

    /** The parameters that take values. */
    public List<Parameter> inputs() {
        return parameters.stream().filter(Parameter::in).toList();
    }

    /** The name with what goes in. */
    public String shown() {
        return name
                + inputs().stream()
                        .map(p -> (p.name() + " " + p.type()).strip())
                        .collect(Collectors.joining(", ", "(", ")"));
    }
}
