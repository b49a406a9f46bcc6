package raftcart.verify.calls;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import raftcart.catalog.Catalog;
import raftcart.catalog.CodeObject;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Language;
import raftcart.dialect.Languages;
import raftcart.engine.Routine;
import raftcart.sql.parse.StatementParser;
import raftcart.sql.tree.CodeStatement.CreatePackage;
import raftcart.sql.tree.CodeStatement.CreateRoutine;
import raftcart.sql.tree.CodeStatement.CreateTrigger;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.Statement;

/** The text of routines and triggers, read. */
public final class SourceCode {
    private final List<Unit> routines = new ArrayList<>();
    private final List<CreateTrigger> triggers = new ArrayList<>();
    private final List<String> unread = new ArrayList<>();

    /** Reads all that a catalog has. */
    public SourceCode(Catalog catalog, Language language) {
        catalog.schemas().stream()
                .flatMap(s -> s.codeObjects().stream())
                .filter(o -> o.kind() == ObjectKind.FUNCTION
                        || o.kind() == ObjectKind.PROCEDURE
                        || o.kind() == ObjectKind.PACKAGE
                        || o.kind() == ObjectKind.TRIGGER)
                .forEach(o -> read(o, language));
    }

    /** A routine, with the package in which it is; empty where it is in none. */
    private record Unit(String schema, String inPackage, CreateRoutine routine) {
        String name() {
            return routine.name().last().text();
        }
    }

    private void read(CodeObject object, Language language) {
        List<StatementParser.Parsed> all = StatementParser.parse(
                        object.source(),
                        Languages.inMode(language, object.mode()).grammar(),
                        1,
                        1)
                .statements();
        all.stream().flatMap(p -> p.statement().stream()).forEach(s -> keep(s, object));
        boolean lost = all.stream()
                .anyMatch(p -> p.statement().isEmpty() || p.statement().get() instanceof Statement.NotTranslated);
        if (lost) {
            unread.add(object.name().name().replaceFirst("\\(.*", ""));
        }
    }

    private void keep(Statement statement, CodeObject object) {
        String schema = object.name().schema();
        if (statement instanceof CreateRoutine r) {
            routines.add(new Unit(schema, "", r));
        } else if (statement instanceof CreatePackage p) {
            p.routines()
                    .forEach(r -> routines.add(new Unit(schema, p.name().last().text(), r)));
        } else if (statement instanceof CreateTrigger t) {
            triggers.add(t);
        }
    }

    List<CreateTrigger> triggers() {
        return List.copyOf(triggers);
    }

    /** What routines of a name do, in whatever schema or package. */
    Stream<Statement> bodies(String name) {
        return routines.stream().filter(u -> u.name().equalsIgnoreCase(name)).map(u -> u.routine()
                .body());
    }

    /** True for a routine that the source has. */
    boolean knows(String name) {
        return isUnread(name) || bodies(name).findAny().isPresent();
    }

    /** True for a routine whose text could not be read, so that nobody knows what it does. */
    boolean isUnread(String name) {
        return unread.stream().anyMatch(name::equalsIgnoreCase);
    }

    /** The routines of a package of this name. */
    Stream<RoutineFinder.Found> ofPackage(String name, String routine) {
        return routines.stream()
                .filter(u -> u.inPackage().equalsIgnoreCase(name) && u.name().equalsIgnoreCase(routine))
                .map(u -> new RoutineFinder.Found(List.of(u.schema(), u.inPackage(), u.name()), described(u)));
    }

    private static Routine described(Unit unit) {
        return new Routine(
                new ObjectName(unit.schema(), unit.name()),
                unit.name(),
                unit.routine().returns().isEmpty(),
                unit.routine().parameters().stream()
                        .map(p -> new Routine.Parameter(
                                p.name().text(), p.type().name(), p.mode() != Mode.OUT, p.mode() != Mode.IN))
                        .toList());
    }
}
