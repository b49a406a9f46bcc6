package raftcart.rewrite;

import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import raftcart.sql.tree.CodeStatement.Condition;
import raftcart.sql.tree.CodeStatement.CreatePackage;
import raftcart.sql.tree.CodeStatement.CreateRoutine;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;

/** The packages that were made so far, with what they show and what is in their bodies, and what routines take. */
final class KnownCode {
    private final Map<String, KnownPackage> packages = new LinkedHashMap<>();
    private final KnownSignatures signatures = new KnownSignatures();

    /**
     * A package.
     *
     * @param schema that of the objects it reads, if its name says one
     * @param variables those of its own, also the ones that do not change
     * @param conditions the exceptions that it declares
     */
    record KnownPackage(
            Name name,
            Optional<Name> schema,
            Map<String, Declaration.Variable> variables,
            Map<String, Condition> conditions,
            Set<String> routines) {
        boolean hasState() {
            return variables.values().stream().anyMatch(v -> !isFixed(v));
        }

        Optional<Declaration.Variable> variable(Name variable) {
            return Optional.ofNullable(variables.get(key(variable)));
        }
    }

    KnownSignatures signatures() {
        return signatures;
    }

    static String key(Name name) {
        return name.text().toLowerCase(Locale.ROOT);
    }

    /** True for what is the same constant for everybody; its type may round one with a fraction. */
    static boolean isFixed(Declaration.Variable variable) {
        boolean exact = variable.type().name().equals("number")
                && variable.type().parameters().isEmpty();
        return variable.constant()
                && variable.initial()
                        .filter(i -> i instanceof Expr.Literal l
                                && (exact
                                        || l.kind() != LiteralKind.NUMBER
                                        || l.text().matches("-?\\d+")))
                        .isPresent();
    }

    /** Takes a package into account, what it shows or its body, and gives what is known of it by then. */
    KnownPackage add(CreatePackage made) {
        KnownPackage known = packages.computeIfAbsent(
                key(made.name().last()),
                k -> new KnownPackage(
                        made.name().last(), schema(made), new LinkedHashMap<>(), new HashMap<>(), new HashSet<>()));
        for (Declaration declaration : made.declarations()) {
            if (declaration instanceof Declaration.Variable v) {
                known.variables().put(key(v.name()), v);
            } else if (declaration instanceof Declaration.NamedCondition c) {
                known.conditions().put(key(c.name()), c.condition());
            }
        }
        made.routines().stream().map(CreateRoutine::name).forEach(n -> known.routines()
                .add(key(n.last())));
        return known;
    }

    private static Optional<Name> schema(CreatePackage made) {
        List<Name> qualifier = made.name().qualifier();
        return qualifier.isEmpty() ? Optional.empty() : Optional.of(qualifier.get(qualifier.size() - 1));
    }

    Iterable<KnownPackage> all() {
        return packages.values();
    }

    Optional<KnownPackage> named(Name name) {
        return Optional.ofNullable(packages.get(key(name)));
    }
}
