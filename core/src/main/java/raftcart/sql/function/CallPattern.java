package raftcart.sql.function;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/**
 * A spelling by which a call is recognised: a name and arguments, each a parameter, a constant, or one of several words.
 * Made of a template that is a plain call.
 */
final class CallPattern {
    private static final Pattern CALL = Pattern.compile("([\\w.$#]+)\\((.*)\\)");
    private static final Pattern SLOT = Pattern.compile("\\$(\\w+)(\\.\\.\\.)?");
    private static final Pattern WORDS = Pattern.compile("[A-Za-z_]\\w*(\\|[A-Za-z_]\\w*)*");
    private static final Pattern CONSTANT = Pattern.compile("'[^']*'|-?\\d+");

    private final String name;
    private final List<Argument> arguments;

    private CallPattern(String name, List<Argument> arguments) {
        this.name = name;
        this.arguments = arguments;
    }

    private record Argument(String slot, boolean rest, boolean optional, Set<String> words, String constant) {}

    /** The pattern of a template, if it is a plain call. */
    static Optional<CallPattern> of(String template) {
        Matcher call = CALL.matcher(template.strip());
        if (!call.matches()) {
            return Optional.empty();
        }
        List<Argument> arguments = new ArrayList<>();
        String inner = call.group(2).strip();
        boolean optional = false;
        for (String raw : inner.isEmpty() ? new String[0] : inner.split(",")) {
            String part = raw.strip();
            boolean opens = part.startsWith("[") || part.endsWith("[");
            String bare = part.replace("[", "").replace("]", "").strip();
            boolean startsOptional = part.startsWith("[");
            Optional<Argument> argument = argument(bare, optional || startsOptional);
            if (argument.isEmpty()) {
                return Optional.empty();
            }
            arguments.add(argument.get());
            optional |= opens;
        }
        return Optional.of(new CallPattern(call.group(1).toLowerCase(Locale.ROOT), arguments));
    }

    private static Optional<Argument> argument(String text, boolean optional) {
        Matcher slot = SLOT.matcher(text);
        if (slot.matches()) {
            return Optional.of(new Argument(slot.group(1), slot.group(2) != null, optional, Set.of(), ""));
        }
        if (WORDS.matcher(text).matches()) {
            Set<String> words =
                    new HashSet<>(Arrays.asList(text.toLowerCase(Locale.ROOT).split("\\|")));
            return Optional.of(new Argument("", false, optional, words, ""));
        }
        return CONSTANT.matcher(text).matches()
                ? Optional.of(new Argument("", false, optional, Set.of(), text))
                : Optional.empty();
    }

    String name() {
        return name;
    }

    /** The given arguments in the order of the function's parameters, if the call is of this spelling. */
    Optional<List<Expr>> match(Signature signature, List<Expr> given) {
        Expr[] ordered = new Expr[signature.parameters().size()];
        List<Expr> rest = new ArrayList<>();
        int at = 0;
        for (Argument argument : arguments) {
            if (argument.rest()) {
                while (at < given.size()) {
                    rest.add(given.get(at++));
                }
            } else if (at >= given.size()) {
                if (!argument.optional()) {
                    return Optional.empty();
                }
            } else if (!argument.slot().isEmpty()) {
                ordered[signature.indexOf(argument.slot())] = given.get(at++);
            } else if (!fits(argument, given.get(at++))) {
                return Optional.empty();
            }
        }
        return at == given.size() ? inOrder(ordered, rest) : Optional.empty();
    }

    private static boolean fits(Argument argument, Expr given) {
        if (!argument.words().isEmpty()) {
            String word =
                    given instanceof Expr.Column column && column.name().parts().size() == 1
                            ? column.name().last().key()
                            : given instanceof Expr.Literal text && text.kind() == LiteralKind.STRING
                                    ? text.text().toLowerCase(Locale.ROOT)
                                    : "";
            return argument.words().contains(word);
        }
        if (!(given instanceof Expr.Literal literal)) {
            return false;
        }
        String spelled = literal.kind() == LiteralKind.STRING ? "'" + literal.text() + "'" : literal.text();
        return argument.constant().equalsIgnoreCase(spelled);
    }

    /** Arguments that are left out are left out at the end only; a gap is no match. */
    private static Optional<List<Expr>> inOrder(Expr[] ordered, List<Expr> rest) {
        List<Expr> all = new ArrayList<>();
        boolean gap = false;
        for (Expr argument : ordered) {
            if (argument == null) {
                gap = true;
            } else if (gap) {
                return Optional.empty();
            } else {
                all.add(argument);
            }
        }
        all.addAll(rest);
        return Optional.of(all);
    }
}
