package raftcart.migration;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.engine.EngineSession;
import raftcart.engine.TableLookup;
import raftcart.translate.Script;
import raftcart.translate.ScriptWriter;
import raftcart.translate.TableMapping;
import raftcart.translate.Translation;

/** What the scripts that have not run yet would make, and the target has already. */
final class ExistingObjects {
    private final EngineSession target;
    private final ScriptRunner runner;
    private final List<Script> scripts;
    private final List<String> present;
    private final List<Found> found = new ArrayList<>();

    private ExistingObjects(Translation translation, EngineSession target, ScriptRunner runner) {
        this.target = target;
        this.runner = runner;
        this.scripts = ScriptWriter.scripts(translation, target.engine().dialect(), target.defaultSchema());
        this.present = runner.scripts(false); // a person may have removed some
    }

    /** An object of the target, and the script that would make it. */
    record Found(ObjectKind kind, ObjectName name, String script) {
        String object() {
            return kind.word() + " " + name;
        }
    }

    static List<Found> find(Translation translation, EngineSession target, ScriptRunner runner) throws SQLException {
        ExistingObjects objects = new ExistingObjects(translation, target, runner);
        objects.look(
                ObjectKind.TYPE,
                ScriptWriter.TYPES,
                translation.target().schemas().stream()
                        .flatMap(s -> s.enumeratedTypes().stream())
                        .map(t -> t.name())
                        .toList());
        objects.look(
                ObjectKind.SEQUENCE,
                ScriptWriter.SEQUENCES,
                translation.target().schemas().stream()
                        .flatMap(s -> s.sequences().stream())
                        .map(s -> s.name())
                        .toList());
        objects.look(
                ObjectKind.TABLE,
                ScriptWriter.LOOKUPS,
                translation.lookups().stream().map(l -> l.table().name()).toList());
        objects.look(
                ObjectKind.TABLE,
                ScriptWriter.TABLES,
                translation.tables().stream()
                        .filter(TableMapping::isCreated)
                        .map(t -> t.target().name())
                        .toList());
        return objects.found;
    }

    /** @param names of the objects of this folder's scripts, in their order */
    private void look(ObjectKind kind, String folder, List<ObjectName> names) throws SQLException {
        List<String> paths = scripts.stream()
                .map(Script::path)
                .filter(p -> p.startsWith(folder))
                .toList();
        for (int i = 0; i < paths.size(); i++) {
            String path = paths.get(i);
            if (present.contains(path) && !runner.isApplied(path) && exists(kind, names.get(i))) {
                found.add(new Found(kind, names.get(i), path));
            }
        }
    }

    private boolean exists(ObjectKind kind, ObjectName name) throws SQLException {
        if (kind != ObjectKind.TYPE) {
            return TableLookup.exists(target, name);
        }
        try (Statement statement = target.connection().createStatement();
                ResultSet row =
                        statement.executeQuery(target.engine().dialect().ddl().findType(name))) {
            return row.next();
        }
    }
}
