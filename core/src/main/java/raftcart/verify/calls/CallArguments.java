package raftcart.verify.calls;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.engine.Routine;
import raftcart.engine.RoutineCall;
import raftcart.engine.RoutineCall.Slot;
import raftcart.error.PlanException;
import raftcart.plan.CallCase.Argument;
import raftcart.verify.calls.RoutineFinder.Found;

/** Puts arguments to the parameters of a routine of the source, and of the one that took its place. */
public final class CallArguments {
    private CallArguments() {}

    /**
     * The values in the order of the parameters of the source that take some.
     *
     * @throws PlanException if there are more or fewer, or a name is not that of a parameter
     */
    public static List<Optional<String>> inOrder(Routine routine, List<Argument> arguments) {
        List<Routine.Parameter> inputs = routine.inputs();
        if (arguments.size() != inputs.size()) {
            throw new PlanException(
                    routine.shown() + " takes " + (inputs.size() == 1 ? "1 argument" : inputs.size() + " arguments")
                            + "; " + arguments.size() + (arguments.size() == 1 ? " is" : " are") + " given",
                    "Give each parameter that takes a value its own: "
                            + inputs.stream().map(Routine.Parameter::name).collect(Collectors.joining(", ")) + ".");
        }
        List<Optional<String>> values = new ArrayList<>();
        for (int i = 0; i < inputs.size(); i++) {
            String name = inputs.get(i).name();
            Argument argument = arguments.get(i).name().isEmpty()
                    ? arguments.get(i)
                    : arguments.stream()
                            .filter(a -> a.name().orElse("").equalsIgnoreCase(name))
                            .findFirst()
                            .orElseThrow(() -> new PlanException(
                                    routine.shown() + " has the parameter " + name + ", for which there is no argument",
                                    "Name each argument after its parameter, or give them in order."));
            values.add(argument.value());
        }
        return values;
    }

    /**
     * A call with values in the order of the parameters of the source.
     *
     * @param source the routine of the source, by whose names the parameters are found where both have the same
     */
    public static RoutineCall call(Found called, Routine source, List<Optional<String>> values, int seconds) {
        Routine routine = called.routine();
        List<String> own = names(routine);
        List<String> theirs = names(source);
        boolean byName = !own.contains("")
                && own.stream()
                        .sorted()
                        .toList()
                        .equals(theirs.stream().sorted().toList());
        List<Slot> slots = new ArrayList<>();
        int next = 0;
        for (Routine.Parameter p : routine.parameters()) {
            Optional<String> value = Optional.empty();
            if (p.in()) {
                value = values.get(byName ? theirs.indexOf(key(p)) : next);
                next++;
            }
            slots.add(new Slot(p.in(), p.out(), value));
        }
        return new RoutineCall(called.path(), routine.procedure(), slots, seconds);
    }

    private static List<String> names(Routine routine) {
        return routine.inputs().stream().map(CallArguments::key).toList();
    }

    private static String key(Routine.Parameter parameter) {
        return parameter.name().toLowerCase(Locale.ROOT);
    }
}
