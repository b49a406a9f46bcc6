package raftcart.migration;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import raftcart.catalog.Catalog;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Schema;
import raftcart.dialect.Languages;
import raftcart.engine.EngineSession;
import raftcart.engine.Routine;
import raftcart.engine.RoutineCall;
import raftcart.engine.RoutineLookup;
import raftcart.translate.CodeMapping;
import raftcart.translate.ObjectOutcome;
import raftcart.translate.Translation;
import raftcart.verify.calls.RoutineEffects;
import raftcart.verify.calls.SourceCode;

/**
 * Calls each routine of the target once with NULLs, in a transaction that is rolled back: engines accept code that names what
 * is not there, and find it when it runs. Whatever else goes wrong in such a call is no fault of the code.
 */
public final class RoutineCheck {
    private static final int SECONDS = 10;

    private final EngineSession target;
    private final SourceCode code;
    private final List<String> failures = new ArrayList<>();
    private final List<String> notCalled = new ArrayList<>();
    private int called;

    private RoutineCheck(EngineSession target, SourceCode code) {
        this.target = target;
        this.code = code;
    }

    /**
     * What came of the calls.
     *
     * @param called how many routines were called
     * @param failures those that cannot work, with the server's words
     * @param notCalled those that were not called, since what they do could not be taken back, or is not known
     */
    public record Result(int called, List<String> failures, List<String> notCalled) {
        /** Where there is nothing to call. */
        public static final Result NONE = new Result(0, List.of(), List.of());

        public Result {
            failures = List.copyOf(failures);
            notCalled = List.copyOf(notCalled);
        }
    }

    /** Calls all that took the place of routines of the source, written by us or by a person. */
    static Result run(Migration migration, EngineSession target, Translation translation) throws SQLException {
        Catalog catalog = migration.catalog();
        Set<String> names = new HashSet<>();
        Set<String> packages = new HashSet<>();
        catalog.schemas().stream().flatMap(s -> s.codeObjects().stream()).forEach(o -> {
            if (o.kind() == ObjectKind.FUNCTION || o.kind() == ObjectKind.PROCEDURE) {
                names.add(plain(o.name()));
            } else if (o.kind() == ObjectKind.PACKAGE) {
                packages.add(plain(o.name()));
            }
        });
        Set<String> events = translation.objects().stream()
                .filter(o -> o.kind() == ObjectKind.EVENT)
                .map(ObjectOutcome::name)
                .collect(Collectors.toSet());
        translation.code().stream()
                .filter(c -> !events.contains(c.source()))
                .filter(c ->
                        c.target().kind() == ObjectKind.FUNCTION || c.target().kind() == ObjectKind.PROCEDURE)
                .forEach(c -> names.add(plain(c.target().name())));
        if (names.isEmpty() && packages.isEmpty()) {
            return Result.NONE;
        }
        SourceCode code =
                new SourceCode(catalog, Languages.named(catalog.dialect()).orElseThrow());
        RoutineCheck check = new RoutineCheck(target, code);
        for (Routine routine : RoutineLookup.all(target, schemas(translation))) {
            boolean ours = names.contains(plain(routine.name()))
                    || packages.contains(routine.name().schema().toLowerCase(Locale.ROOT));
            if (ours) {
                check.look(routine);
            }
        }
        target.connection().rollback();
        return new Result(check.called, check.failures, check.notCalled);
    }

    private static String plain(ObjectName name) {
        return name.name().replaceFirst("\\(.*", "").toLowerCase(Locale.ROOT);
    }

    /** Where the routines of the source can have gone: a package may be a schema. */
    static Set<String> schemas(Translation translation) {
        Set<String> schemas = new LinkedHashSet<>();
        schemas.add(translation.target().defaultSchema());
        translation.target().schemas().stream().map(Schema::name).forEach(schemas::add);
        translation.code().stream().map(CodeMapping::target).forEach(t -> {
            schemas.add(t.name().schema());
            if (t.kind() == ObjectKind.PACKAGE) {
                schemas.add(t.name().name());
            }
        });
        schemas.remove("");
        return schemas;
    }

    private void look(Routine routine) throws SQLException {
        RoutineEffects.Effects effects =
                RoutineEffects.of(List.of(), Optional.of(routine.name().name()), code);
        if (effects.ends().isPresent()) {
            notCalled.add(routine.shown());
        } else {
            call(routine);
        }
    }

    private void call(Routine routine) throws SQLException {
        List<RoutineCall.Slot> slots = routine.parameters().stream()
                .map(p -> new RoutineCall.Slot(p.in(), p.out(), Optional.empty()))
                .toList();
        RoutineCall call = new RoutineCall(
                List.of(routine.name().schema(), routine.name().name()), routine.procedure(), slots, SECONDS);
        called++;
        try {
            target.call(call);
        } catch (SQLException e) {
            if (target.isCodeFault(e)) {
                failures.add(routine.shown() + ": " + target.messageOf(e).strip());
            }
        } finally {
            target.connection().rollback();
        }
    }
}
