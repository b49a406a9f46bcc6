package raftcart.sql.function;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A canonical function: its name, parameters and result. Written as {@code (text text, length? integer) text}; a
 * question mark follows an optional parameter, three points one that may come any number of times.
 *
 * @param result the kind of the result; {@link ValueKind#UNKNOWN} with {@code resultOfFirst} for that of an argument
 */
public record Signature(String name, Group group, List<Parameter> parameters, ValueKind result, boolean resultOfFirst) {
    private static final Pattern FORM = Pattern.compile("\\((.*)\\)\\s*(\\w+)");
    private static final Pattern PARAMETER = Pattern.compile("(\\w+)(\\?|\\.\\.\\.)?\\s+(\\w+)");

    /** What a function works on. */
    public enum Group {
        SCALAR,
        AGGREGATE,
        WINDOW,
        TABLE
    }

    /** A parameter. */
    public record Parameter(String name, boolean optional, boolean variable, ValueKind kind) {}

    static Signature parse(String name, Group group, String text) {
        Matcher form = FORM.matcher(text.strip());
        if (!form.matches()) {
            throw new IllegalArgumentException("the signature of " + name + " is not (parameters) result: " + text);
        }
        List<Parameter> parameters = new ArrayList<>();
        String inner = form.group(1).strip();
        for (String part : inner.isEmpty() ? new String[0] : inner.split(",")) {
            Matcher parameter = PARAMETER.matcher(part.strip());
            if (!parameter.matches()) {
                throw new IllegalArgumentException("the parameter '" + part.strip() + "' of " + name + " has no kind");
            }
            parameters.add(new Parameter(
                    parameter.group(1),
                    "?".equals(parameter.group(2)),
                    "...".equals(parameter.group(2)),
                    ValueKind.named(parameter.group(3))));
        }
        boolean same = form.group(2).equals("same");
        return new Signature(name, group, List.copyOf(parameters), ValueKind.named(form.group(2)), same);
    }

    /** The place of a parameter, or -1. */
    int indexOf(String parameter) {
        for (int i = 0; i < parameters.size(); i++) {
            if (parameters.get(i).name().equals(parameter)) {
                return i;
            }
        }
        return -1;
    }
}
