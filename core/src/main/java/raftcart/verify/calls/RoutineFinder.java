package raftcart.verify.calls;

import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import raftcart.catalog.ObjectName;
import raftcart.engine.EngineSession;
import raftcart.engine.Routine;
import raftcart.engine.RoutineLookup;

/** Finds routines by the names by which people call them. */
public final class RoutineFinder {
    private final String defaultSchema;
    private final List<Routine> routines;

    private RoutineFinder(String defaultSchema, List<Routine> routines) {
        this.defaultSchema = defaultSchema;
        this.routines = routines;
    }

    /** @param schemas those that are looked into; others are the engine's own */
    public static RoutineFinder in(EngineSession session, Set<String> schemas) throws SQLException {
        return new RoutineFinder(session.defaultSchema(), RoutineLookup.all(session, schemas));
    }

    private Stream<Routine> called(String name) {
        return routines.stream().filter(r -> r.name().name().equalsIgnoreCase(name));
    }

    /**
     * The routines that a name can mean, those of the default schema where others have them, too.
     *
     * @param code where those of packages are found
     */
    public List<Found> named(String name, SourceCode code) {
        String[] parts = name.split("\\.");
        String last = parts[parts.length - 1];
        Optional<String> of = parts.length > 1 ? Optional.of(parts[parts.length - 2]) : Optional.empty();
        List<Found> all = Stream.concat(
                        called(last)
                                .filter(r -> of.isEmpty()
                                        || of.get().equalsIgnoreCase(r.name().schema()))
                                .map(r -> new Found(path(r.name()), r)),
                        of.stream().flatMap(p -> code.ofPackage(p, last)))
                .toList();
        return narrowed(
                narrowed(all, f -> f.path().get(0).equals(defaultSchema)),
                f -> f.path().get(f.path().size() - 1).equals(last));
    }

    /**
     * The routines of the target that can have the place of one of the source.
     *
     * @param target what it is called there, where that is known
     */
    public List<Found> insteadOf(Found source, Optional<ObjectName> target) {
        boolean packed = source.path().size() > 2;
        String own = target.filter(t -> !packed)
                .map(ObjectName::name)
                .orElse(source.routine().name().name());
        List<Found> all = called(own)
                .filter(r -> !packed
                        || r.name().schema().equalsIgnoreCase(source.path().get(1)))
                .map(r -> new Found(path(r.name()), r))
                .toList();
        List<Found> here = narrowed(
                all, f -> target.filter(t -> t.schema().equals(f.path().get(0))).isPresent());
        return narrowed(
                here,
                f -> f.routine().inputs().size() == source.routine().inputs().size());
    }

    private static List<String> path(ObjectName name) {
        return List.of(name.schema(), name.name());
    }

    /** Those that meet a wish, if any do. */
    private static List<Found> narrowed(List<Found> all, Predicate<Found> wish) {
        List<Found> some = all.stream().filter(wish).toList();
        return some.isEmpty() ? all : some;
    }

    /**
     * A routine.
     *
     * @param path its name behind that of its schema, and of its package where it is in one
     */
    public record Found(List<String> path, Routine routine) {
        public Found {
            path = List.copyOf(path);
        }
    }
}
