package raftcart.move;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import raftcart.engine.EngineSession;
import raftcart.engine.SnapshotPlace;
import raftcart.plan.LoadSettings;
import raftcart.translate.TableMapping;

/** Begins tables, or goes on with those that an earlier load left half-way. */
final class Restart {
    private final EngineSession target;
    private final ProgressTable progress;
    private final RefusedFiles refusedFiles;
    private final LoadSettings settings;
    private final TargetRows targetRows;
    private final SnapshotPlace place;
    private final LoadListener listener;

    /** @param place where the source stands today */
    Restart(
            EngineSession target,
            ProgressTable progress,
            RefusedFiles refusedFiles,
            LoadSettings settings,
            TargetRows targetRows,
            SnapshotPlace place,
            LoadListener listener) {
        this.target = target;
        this.progress = progress;
        this.refusedFiles = refusedFiles;
        this.settings = settings;
        this.targetRows = targetRows;
        this.place = place;
        this.listener = listener;
    }

    /** The parts of a table that are still to be moved. */
    List<LoadPart> begin(WorkPlan.Step step) throws SQLException {
        TableMapping table = step.table();
        List<ProgressTable.Part> earlier = progress.parts(step.name());
        boolean updates = targetRows == TargetRows.UPDATE;
        boolean replaces = targetRows == TargetRows.REPLACE;
        boolean mixed = !earlier.isEmpty() && earlier.get(0).appended();
        if (!(replaces && mixed) && goesOn(earlier)) {
            return goOn(table, earlier);
        }
        boolean adds = updates || targetRows == TargetRows.APPEND;
        boolean appended = earlier.isEmpty()
                ? adds && TableRows.exist(target, table.target().name())
                : mixed && !replaces;
        long loaded = earlier.stream().mapToLong(ProgressTable.Part::loaded).sum();
        if (appended && !updates) {
            TableRows.refuseMixed(table, loaded);
        }
        if (loaded > 0) {
            listener.remark(String.format(
                    Locale.ROOT,
                    "%s starts again from its first row: the source may have changed since %,d of its rows were loaded",
                    step.name(),
                    loaded));
        }
        refusedFiles.forget(table);
        // First, so that no crash leaves parts noted as loaded whose rows are gone.
        progress.begin(step.name(), step.parts(), place.state(), appended);
        target.connection().commit();
        if (replaces || !earlier.isEmpty() && !appended) {
            TableRows.remove(target, table.target().name());
            target.connection().commit();
        }
        TableProgress begun =
                new TableProgress(table, appended, updates, step.parts().size());
        List<LoadPart> parts = new ArrayList<>();
        for (int i = 0; i < step.parts().size(); i++) {
            parts.add(new LoadPart(begun, i, step.parts().get(i)));
        }
        return parts;
    }

    /** True where what arrived can stay: it was read from the same data, or the plan says so. */
    private boolean goesOn(List<ProgressTable.Part> earlier) {
        boolean some = earlier.size() > 1 && earlier.stream().anyMatch(p -> p.loaded() + p.refused() > 0);
        return some && (unchangedSince(earlier) || settings.restart() == LoadSettings.Restart.PART);
    }

    private boolean unchangedSince(List<ProgressTable.Part> earlier) {
        return place.sameDataAs(earlier.get(0).sourceState());
    }

    private List<LoadPart> goOn(TableMapping table, List<ProgressTable.Part> earlier) {
        List<ProgressTable.Part> open =
                earlier.stream().filter(p -> !p.finished()).toList();
        boolean updates = targetRows == TargetRows.UPDATE;
        TableProgress begun = new TableProgress(table, earlier.get(0).appended(), updates, open.size());
        earlier.forEach(p -> begun.addEarlier(p.loaded(), p.refused()));
        listener.remark(Loader.key(table) + " goes on: " + (earlier.size() - open.size()) + " of " + earlier.size()
                + " parts have arrived"
                + (unchangedSince(earlier) ? ", and nothing was written to the source since" : ""));
        return open.stream()
                .map(p -> new LoadPart(begun, p.number(), p.condition()))
                .toList();
    }
}
