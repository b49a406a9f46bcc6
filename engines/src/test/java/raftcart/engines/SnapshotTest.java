package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.SQLException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.migration.BuildStage;
import raftcart.migration.LoadStage;
import raftcart.migration.Migration;
import raftcart.migration.SurveyStage;
import raftcart.migration.TranslateStage;
import raftcart.migration.VerifyStage;
import raftcart.move.LoadOptions;
import raftcart.move.TableResult;
import raftcart.move.TargetRows;
import raftcart.verify.TableVerdict;

/** Applications go on writing while the load runs; what arrives is the source as it was at one moment. */
class SnapshotTest {
    @TempDir
    Path folder;

    /** Writes into the source as soon as the first table is loaded. */
    private static final class Writer extends MigrationRun.Silent {
        private final Databases source;
        private boolean written;

        Writer(Databases source) {
            this.source = source;
        }

        @Override
        public void rowsWritten(String table, long rows, long bytes) {
            if (written) {
                return;
            }
            written = true;
            try {
                source.run(
                        "INSERT INTO frames VALUES (1001, 1)",
                        "UPDATE nights SET frames = frames + 1 WHERE id = 1",
                        "DELETE FROM nights WHERE id = 2");
            } catch (SQLException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    private void check(Databases source, Databases target, String fill) throws Exception {
        source.run(
                "CREATE TABLE frames (id int PRIMARY KEY, night int)",
                "CREATE TABLE nights (id int PRIMARY KEY, frames int)",
                fill,
                "INSERT INTO nights VALUES (1, 500), (2, 500)");
        Migration migration = MigrationRun.migration(folder, source.endpoint(), target.endpoint(), "");
        SurveyStage.run(migration);
        TranslateStage.run(migration);
        BuildStage.run(migration, BuildStage.Part.BEFORE_DATA, BuildStage.Existing.STOP, false);
        LoadStage.Result result = LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), new Writer(source));
        assertThat(result.tables()).extracting(TableResult::read).containsExactly(1000L, 2L);
        assertThat(target.ask("SELECT SUM(frames) FROM nights")).isEqualTo("1000");
        assertThat(source.ask("SELECT SUM(frames) FROM nights")).isEqualTo("501");
        // The comparison looks at the source as it is now, and says so.
        assertThat(VerifyStage.run(migration, v -> {}).tables()).hasSize(2).noneMatch(TableVerdict::same);
    }

    @Test
    void ofMariaDb() throws Exception {
        check(
                Databases.mariadb(),
                Databases.postgresql(),
                "INSERT INTO frames SELECT seq, 1 + seq % 2 FROM seq_1_to_1000");
    }

    @Test
    void ofPostgreSql() throws Exception {
        check(
                Databases.postgresql(),
                Databases.mariadb(),
                "INSERT INTO frames SELECT i, 1 + i % 2 FROM generate_series(1, 1000) i");
    }
}
