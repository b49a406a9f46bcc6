package raftcart.engines;

import java.nio.file.Path;
import java.time.Duration;
import raftcart.engine.SnapshotPlace;
import raftcart.migration.BuildStage;
import raftcart.migration.LoadStage;
import raftcart.migration.Migration;
import raftcart.migration.SurveyStage;
import raftcart.migration.TranslateStage;
import raftcart.migration.VerifyStage;
import raftcart.move.LoadOptions;
import raftcart.move.TableResult;
import raftcart.move.TargetRows;
import raftcart.plan.Endpoint;
import raftcart.workspace.Workspace;

/** Runs all stages of a migration in a folder and keeps what each of them said. */
final class MigrationRun {
    final Migration migration;
    final TranslateStage.Result translated;
    final LoadStage.Result loaded;
    final VerifyStage.Result verified;

    private MigrationRun(Migration migration, BuildStage.Existing existing) {
        this.migration = migration;
        SurveyStage.run(migration);
        translated = TranslateStage.run(migration);
        BuildStage.run(migration, BuildStage.Part.BEFORE_DATA, existing, false);
        loaded = LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), new Silent());
        verified = VerifyStage.run(migration, verdict -> {});
    }

    static MigrationRun of(Path folder, Endpoint source, Endpoint target) {
        return of(folder, source, target, "");
    }

    static MigrationRun of(Path folder, Endpoint source, Endpoint target, String morePlan) {
        return new MigrationRun(migration(folder, source, target, morePlan), BuildStage.Existing.STOP);
    }

    static MigrationRun intoExisting(Path folder, Endpoint source, Endpoint target) {
        return intoExisting(folder, source, target, "");
    }

    static MigrationRun intoExisting(Path folder, Endpoint source, Endpoint target, String morePlan) {
        return new MigrationRun(migration(folder, source, target, morePlan), BuildStage.Existing.SKIP);
    }

    static Migration migration(Path folder, Endpoint source, Endpoint target, String morePlan) {
        String plan = "source:\n" + endpoint(source) + "target:\n" + endpoint(target) + morePlan;
        return new Migration(Workspace.create(folder, plan));
    }

    private static String endpoint(Endpoint endpoint) {
        return "  url: '" + endpoint.url() + "'\n"
                + endpoint.user().map(u -> "  user: '" + u + "'\n").orElse("")
                + endpoint.password().map(p -> "  password: '" + p + "'\n").orElse("");
    }

    /** Loads all tables of a migration. */
    static LoadStage.Result load(Migration migration, TargetRows rows) {
        return LoadStage.run(migration, LoadOptions.of(rows), new Silent());
    }

    /** Listens and says nothing. */
    static class Silent implements LoadStage.Listener {
        @Override
        public void begun() {}

        @Override
        public void snapshotTaken(SnapshotPlace place, int readers) {}

        @Override
        public void remark(String text) {}

        @Override
        public void tableStarted(String table, long estimatedRows) {}

        @Override
        public void rowsWritten(String table, long rows, long bytes) {}

        @Override
        public void rowsTakenBack(String table, long rows) {}

        @Override
        public void retrying(String table, String cause, Duration after) {}

        @Override
        public void tableFinished(TableResult result) {}

        @Override
        public void finishing(int scripts) {}
    }
}
