package raftcart.sql.function;

import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/** A dialect's spellings of canonical functions, read from YAML by {@link DictionaryReader}. */
public final class FunctionDictionary {
    private final Map<String, List<Spelling>> byFunction;
    private final Map<String, List<Reading>> byName = new HashMap<>();

    FunctionDictionary(Map<String, List<Spelling>> byFunction) {
        this.byFunction = new LinkedHashMap<>(byFunction);
        byFunction.forEach((function, spellings) -> {
            for (Spelling spelling : spellings) {
                for (CallPattern pattern : spelling.patterns()) {
                    byName.computeIfAbsent(pattern.name(), n -> new java.util.ArrayList<>())
                            .add(new Reading(function, spelling, pattern));
                }
            }
        });
        // What holds for some arguments only is asked before what holds for all.
        byName.values()
                .forEach(readings -> readings.sort(
                        Comparator.comparing(r -> r.spelling().parameter().isEmpty())));
    }

    /**
     * One way to spell a function.
     *
     * @param write the template to write it; empty for a spelling that is only read
     * @param parameter the argument on which this spelling depends, by {@code test}; empty for none
     * @param check what can differ from the canonical meaning; empty for nothing
     */
    record Spelling(
            Optional<Template> write, List<CallPattern> patterns, String parameter, ArgumentTest test, String check) {}

    private record Reading(String function, Spelling spelling, CallPattern pattern) {}

    /** A call that was recognised: the function, its arguments in our order, and what can differ. */
    public record Recognised(Signature signature, List<Expr> arguments, String check) {}

    /** A spelling that was found: its template, and what can differ. */
    public record Written(Template template, Signature signature, String check) {}

    /** How an argument's kind is found out. */
    public interface Kinds {
        /** The kind of an expression. */
        ValueKind of(Expr expression);
    }

    /** True where the dialect has a way to write a canonical function, be it for some arguments only. */
    public boolean writes(String function) {
        return byFunction.getOrDefault(function, List.of()).stream()
                .anyMatch(s -> s.write().isPresent());
    }

    Map<String, List<Spelling>> spellings() {
        return byFunction;
    }

    /** True where the dialect has a function of this name, whatever its arguments. */
    public boolean knows(String name) {
        return byName.containsKey(name.toLowerCase(Locale.ROOT));
    }

    /** True where a call of this name may be an aggregate, if it has the right arguments. */
    public boolean mayBeAggregate(String name) {
        for (Reading reading : byName.getOrDefault(name.toLowerCase(Locale.ROOT), List.of())) {
            if (Signatures.get(reading.function()).group() == Signature.Group.AGGREGATE) {
                return true;
            }
        }
        return false;
    }

    /** The canonical function that a call of this name with these arguments means. */
    public Optional<Recognised> recognise(String name, List<Expr> arguments, Kinds kinds) {
        for (Reading reading : byName.getOrDefault(name.toLowerCase(Locale.ROOT), List.of())) {
            Signature signature = Signatures.get(reading.function());
            Optional<List<Expr>> matched = reading.pattern().match(signature, arguments);
            if (matched.isPresent()
                    && counts(signature, matched.get())
                    && applies(reading.spelling(), signature, matched.get(), kinds)) {
                return Optional.of(new Recognised(
                        signature, matched.get(), reading.spelling().check()));
            }
        }
        return Optional.empty();
    }

    /** True unless a text, such as a format, stands where a number is wanted. */
    private static boolean counts(Signature signature, List<Expr> arguments) {
        for (int i = 0; i < Math.min(arguments.size(), signature.parameters().size()); i++) {
            boolean word = signature.parameters().get(i).kind() == ValueKind.INTEGER
                    && arguments.get(i) instanceof Expr.Literal l
                    && l.kind() == LiteralKind.STRING
                    && !l.text().matches("\\s*-?\\d+\\s*");
            if (word) {
                return false;
            }
        }
        return true;
    }

    private static boolean applies(Spelling spelling, Signature signature, List<Expr> arguments, Kinds kinds) {
        if (spelling.parameter().isEmpty()) {
            return true;
        }
        int index = signature.indexOf(spelling.parameter());
        return index < arguments.size() && spelling.test().holds(arguments.get(index), kinds);
    }

    /** The dialect's template for a canonical function with these arguments. */
    public Optional<Written> write(String function, List<Expr> arguments, Kinds kinds) {
        Signature signature = Signatures.get(function);
        for (Spelling spelling : byFunction.getOrDefault(function, List.of())) {
            if (spelling.write().isPresent()
                    && fits(spelling.write().get(), signature, arguments.size())
                    && applies(spelling, signature, arguments, kinds)) {
                return Optional.of(new Written(spelling.write().get(), signature, spelling.check()));
            }
        }
        return Optional.empty();
    }

    /** A template fits where all that is given has a place and all places that must be filled are given. */
    private static boolean fits(Template template, Signature signature, int given) {
        Set<String> mentioned = template.mentioned();
        Set<String> required = template.required();
        int index = 0;
        for (Signature.Parameter parameter : signature.parameters()) {
            boolean present = index < given;
            if (present ? !mentioned.contains(parameter.name()) : required.contains(parameter.name())) {
                return false;
            }
            index++;
        }
        boolean variable = !signature.parameters().isEmpty()
                && signature.parameters().get(signature.parameters().size() - 1).variable();
        return variable || given <= signature.parameters().size();
    }
}
