package raftcart.move;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import raftcart.engine.EngineSession;
import raftcart.plan.LoadSettings;
import raftcart.translate.TableMapping;

/** Begins tables, or goes on with those that an earlier load left half-way. */
final class Restart {
    private final EngineSession target;
    private final ProgressTable progress;
    private final RefusedFiles refusedFiles;
    private final LoadSettings settings;
    private final TargetRows targetRows;
    private final boolean unchanged;
    private final LoadListener listener;

    /** @param unchanged true where nothing was written to the source since the load that stopped */
    Restart(
            EngineSession target,
            ProgressTable progress,
            RefusedFiles refusedFiles,
            LoadSettings settings,
            TargetRows targetRows,
            boolean unchanged,
            LoadListener listener) {
        this.target = target;
        this.progress = progress;
        this.refusedFiles = refusedFiles;
        this.settings = settings;
        this.targetRows = targetRows;
        this.unchanged = unchanged;
        this.listener = listener;
    }

    /** The parts of a table that are still to be moved. */
    List<LoadPart> begin(WorkPlan.Step step) throws SQLException {
        TableMapping table = step.table();
        List<ProgressTable.Part> earlier = progress.parts(step.name());
        boolean goesOn = unchanged || settings.restart() == LoadSettings.Restart.PART;
        long committed =
                earlier.stream().mapToLong(p -> p.loaded() + p.refused()).sum();
        if (goesOn && earlier.size() > 1 && committed > 0) {
            return goOn(table, earlier);
        }
        boolean updates = targetRows == TargetRows.UPDATE;
        boolean appended = (updates || targetRows == TargetRows.APPEND)
                && earlier.isEmpty()
                && TableRows.exist(target, table.target().name());
        if (!earlier.isEmpty()) {
            appended = earlier.get(0).appended();
            if (!updates || !appended) {
                TableRows.emptyForRestart(
                        target,
                        table,
                        appended,
                        earlier.stream().mapToLong(ProgressTable.Part::loaded).sum());
            }
            if (committed > 0) {
                listener.remark(String.format(
                        Locale.ROOT,
                        "%s starts again from its first row: the source may have changed since %,d of its rows were loaded",
                        step.name(),
                        committed));
            }
        } else if (targetRows == TargetRows.REPLACE) {
            TableRows.remove(target, table.target().name());
        }
        refusedFiles.forget(table);
        progress.begin(step.name(), step.parts(), appended);
        target.connection().commit();
        TableProgress begun =
                new TableProgress(table, appended, updates, step.parts().size());
        List<LoadPart> parts = new ArrayList<>();
        for (int i = 0; i < step.parts().size(); i++) {
            parts.add(new LoadPart(begun, i, step.parts().get(i)));
        }
        return parts;
    }

    private List<LoadPart> goOn(TableMapping table, List<ProgressTable.Part> earlier) {
        List<ProgressTable.Part> open =
                earlier.stream().filter(p -> !p.finished()).toList();
        boolean updates = targetRows == TargetRows.UPDATE;
        TableProgress begun = new TableProgress(table, earlier.get(0).appended(), updates, open.size());
        earlier.forEach(p -> begun.addEarlier(p.loaded(), p.refused()));
        listener.remark(Loader.key(table) + " goes on: " + (earlier.size() - open.size()) + " of " + earlier.size()
                + " parts have arrived"
                + (unchanged ? ", and nothing was written to the source since" : ""));
        return open.stream()
                .map(p -> new LoadPart(begun, p.number(), p.condition()))
                .toList();
    }
}
