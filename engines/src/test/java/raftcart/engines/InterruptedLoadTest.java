package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.error.LoadException;
import raftcart.error.PlanException;
import raftcart.migration.BuildStage;
import raftcart.migration.LoadStage;
import raftcart.migration.Migration;
import raftcart.migration.SurveyStage;
import raftcart.migration.TranslateStage;
import raftcart.migration.VerifyStage;
import raftcart.move.LoadOptions;
import raftcart.move.TargetRows;

/** A load that ends at any point goes on when it is run again, and no row is lost or doubled. */
class InterruptedLoadTest {
    @TempDir
    Path folder;

    private static final class Interruption extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    /** Breaks the load off after so many batches, as a crash would. */
    private static final class Breaker extends MigrationRun.Silent {
        private int batchesLeft;

        Breaker(int batches) {
            this.batchesLeft = batches;
        }

        @Override
        public void rowsWritten(String table, long rows, long bytes) {
            if (--batchesLeft == 0) {
                throw new Interruption();
            }
        }
    }

    private Migration built(Databases source, Databases target) throws Exception {
        source.run(
                "CREATE TABLE frames (id INT, note VARCHAR(20))",
                "INSERT INTO frames SELECT seq, 'f' FROM seq_1_to_5000",
                "CREATE TABLE lenses (id INT AUTO_INCREMENT PRIMARY KEY, note VARCHAR(20))",
                "INSERT INTO lenses SELECT seq, 'l' FROM seq_1_to_3000");
        return prepared(source, target, 3);
    }

    private Migration prepared(Databases source, Databases target, int parallel) {
        String load = "load: {rows-per-batch: 500, rows-per-part: 1000, parallel: " + parallel + "}\n";
        Migration migration = MigrationRun.migration(folder, source.endpoint(), target.endpoint(), load);
        SurveyStage.run(migration);
        TranslateStage.run(migration);
        BuildStage.run(migration, BuildStage.Part.BEFORE_DATA, BuildStage.Existing.STOP, false);
        return migration;
    }

    @Test
    void goesOnWhereItStopped() throws Exception {
        Databases source = Databases.mariadb();
        Databases target = Databases.postgresql();
        Migration migration = built(source, target);
        for (int batches : new int[] {1, 4, 6, 5}) {
            assertThatThrownBy(() -> LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), new Breaker(batches)))
                    .isInstanceOf(Interruption.class);
        }
        LoadStage.Result result = LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), new MigrationRun.Silent());
        assertThat(result.loaded()).isEqualTo(8000);
        assertThat(VerifyStage.run(migration, v -> {}).same()).isTrue();
        assertThat(target.ask("SELECT count(*) FROM pg_class WHERE relname = 'raftcart_progress'"))
                .isEqualTo("0");
    }

    @Test
    void goesOnWhereItStoppedOnATargetWhoseDdlCommits() throws Exception {
        Databases source = Databases.postgresql();
        Databases target = Databases.mariadb();
        source.run(
                "CREATE TABLE frames (id int, note text)",
                "INSERT INTO frames SELECT i, 'f' FROM generate_series(1, 5000) i",
                "CREATE TABLE lenses (id serial PRIMARY KEY, note text)",
                "INSERT INTO lenses SELECT i, 'l' FROM generate_series(1, 3000) i");
        Migration migration = prepared(source, target, 2);
        for (int batches : new int[] {2, 11}) {
            assertThatThrownBy(() -> LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), new Breaker(batches)))
                    .isInstanceOf(Interruption.class);
        }
        LoadStage.Result result = LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), new MigrationRun.Silent());
        assertThat(result.loaded()).isEqualTo(8000);
        assertThat(VerifyStage.run(migration, v -> {}).same()).isTrue();
    }

    @Test
    void appendsOnlyWhereItIsTold() throws Exception {
        Databases source = Databases.mariadb();
        Databases target = Databases.postgresql();
        Migration migration = built(source, target);
        target.run("INSERT INTO frames VALUES (0, 'older')");
        LoadStage.run(migration, LoadOptions.of(TargetRows.APPEND), new MigrationRun.Silent());
        assertThat(target.ask("SELECT count(*) FROM frames")).isEqualTo("5001");
        assertThat(VerifyStage.run(migration, v -> {}).tables())
                .filteredOn(t -> !t.same())
                .singleElement()
                .satisfies(t -> assertThat(t.targetRows()).isEqualTo(5001));
    }

    @Test
    void neverRemovesRowsThatWereThereBefore() throws Exception {
        Databases source = Databases.mariadb();
        Databases target = Databases.postgresql();
        source.run(
                "CREATE TABLE frames (id INT, note VARCHAR(20))",
                "INSERT INTO frames SELECT seq, 'f' FROM seq_1_to_5000");
        Migration migration = prepared(source, target, 1);
        target.run("INSERT INTO frames VALUES (0, 'older')");
        assertThatThrownBy(() -> LoadStage.run(migration, LoadOptions.of(TargetRows.APPEND), new Breaker(3)))
                .isInstanceOf(Interruption.class);
        assertThatThrownBy(() -> LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), new MigrationRun.Silent()))
                .isInstanceOf(LoadException.class)
                .hasMessageContaining("appended to public.frames, which held rows before; 1000 rows were added");
        assertThat(target.ask("SELECT count(*) FROM frames WHERE note = 'older'"))
                .isEqualTo("1");
    }

    @Test
    void triesAgainWhatFailedAfterTheRows() throws Exception {
        Databases source = Databases.mariadb();
        Databases target = Databases.postgresql();
        source.run("CREATE TABLE codes (code VARCHAR(9), UNIQUE KEY by_code (code)) COLLATE utf8mb4_bin");
        source.run("INSERT INTO codes VALUES ('a'), ('b')");
        Migration migration = built(source, target);
        target.run("CREATE TABLE by_code (x int)"); // takes the name of the key's index
        assertThat(LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), new MigrationRun.Silent())
                        .failures())
                .singleElement()
                .asString()
                .contains("by_code");
        target.run("DROP TABLE by_code");
        LoadStage.Result again = LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), new MigrationRun.Silent());
        assertThat(again.failures()).isEmpty();
        assertThat(again.loaded()).isEqualTo(8002);
        assertThat(VerifyStage.run(migration, v -> {}).same()).isTrue();
    }

    @Test
    void doesNotLoadTwiceUnlessTold() throws Exception {
        Databases source = Databases.mariadb();
        Databases target = Databases.postgresql();
        Migration migration = built(source, target);
        LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), new MigrationRun.Silent());
        assertThatThrownBy(() -> LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), new MigrationRun.Silent()))
                .isInstanceOf(PlanException.class)
                .hasMessageContaining("public.frames, public.lenses of the target hold rows already");
        LoadStage.run(migration, LoadOptions.of(TargetRows.REPLACE), new MigrationRun.Silent());
        assertThat(VerifyStage.run(migration, v -> {}).same()).isTrue();
    }

    @Test
    void buildsAgainWhereTheTargetWasEmptied() throws Exception {
        Databases source = Databases.mariadb();
        Databases target = Databases.postgresql();
        Migration migration = built(source, target);
        target.run("DROP TABLE frames", "DROP TABLE lenses");
        assertThatThrownBy(() -> LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), new MigrationRun.Silent()))
                .isInstanceOf(PlanException.class)
                .hasMessageContaining("table public.frames is not on the target");
        assertThat(BuildStage.run(migration, BuildStage.Part.BEFORE_DATA, BuildStage.Existing.STOP, true)
                        .scripts())
                .isEqualTo(2);
        LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), new MigrationRun.Silent());
        assertThat(VerifyStage.run(migration, v -> {}).same()).isTrue();
    }

    @Test
    void noticesThatTheSourceHasChangedSinceTheSurvey() throws Exception {
        Databases source = Databases.mariadb();
        Databases target = Databases.postgresql();
        Migration migration = built(source, target);
        source.run("ALTER TABLE lenses ADD COLUMN coating VARCHAR(5)");
        assertThatThrownBy(() -> LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), new MigrationRun.Silent()))
                .isInstanceOf(PlanException.class)
                .hasMessageContaining("changed since the survey")
                .hasMessageContaining("lenses");
    }
}
