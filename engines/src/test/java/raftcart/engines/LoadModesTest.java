package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import raftcart.engine.EngineSession;
import raftcart.engine.Engines;
import raftcart.error.PlanException;
import raftcart.migration.BuildStage;
import raftcart.migration.LoadStage;
import raftcart.migration.Migration;
import raftcart.migration.StatusReader;
import raftcart.migration.SurveyStage;
import raftcart.migration.TranslateStage;
import raftcart.migration.VerifyStage;
import raftcart.move.LoadOptions;
import raftcart.move.TargetRows;
import raftcart.move.WorkPlan;

/** What a user can ask of a load besides "all tables, once". */
class LoadModesTest {
    @TempDir
    Path folder;

    private Databases source;
    private Databases target;

    @BeforeEach
    void fill() throws Exception {
        source = Databases.mariadb();
        target = Databases.postgresql();
    }

    private Migration built(boolean toMariaDb) throws Exception {
        if (toMariaDb) {
            source = Databases.postgresql();
            target = Databases.mariadb();
        }
        source.run(
                "CREATE TABLE site (id int PRIMARY KEY, chief int)",
                "CREATE TABLE dome (id int PRIMARY KEY, site int NOT NULL, twin int,"
                        + " CONSTRAINT dome_site FOREIGN KEY (site) REFERENCES site (id),"
                        + " CONSTRAINT dome_twin FOREIGN KEY (twin) REFERENCES dome (id))",
                "ALTER TABLE site ADD CONSTRAINT site_chief FOREIGN KEY (chief) REFERENCES dome (id)",
                "INSERT INTO site VALUES (1, NULL), (2, NULL)",
                "INSERT INTO dome VALUES (5, 1, NULL)",
                "INSERT INTO dome VALUES (1, 1, 5), (2, 2, 1)",
                "UPDATE site SET chief = 2 WHERE id = 1");
        Migration migration =
                MigrationRun.migration(folder, source.endpoint(), target.endpoint(), "load: {rows-per-batch: 1}\n");
        SurveyStage.run(migration);
        TranslateStage.run(migration);
        BuildStage.run(migration, BuildStage.Part.BEFORE_DATA, BuildStage.Existing.STOP, false);
        return migration;
    }

    private static LoadStage.Result load(Migration migration, TargetRows rows, String... tables) {
        return LoadStage.run(
                migration,
                new LoadOptions(rows, List.of(tables), OptionalInt.empty(), OptionalInt.empty()),
                new MigrationRun.Silent());
    }

    private static boolean same(Migration migration) {
        return VerifyStage.run(migration, v -> {}).same();
    }

    /** Foreign keys in a circle, to oneself, and triggers are set aside and come back as they were. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void replacesTablesWhoseKeysAndTriggersStand(boolean toMariaDb) throws Exception {
        Migration migration = built(toMariaDb);
        load(migration, TargetRows.STOP);
        if (toMariaDb) {
            target.run("CREATE TRIGGER guard BEFORE INSERT ON dome FOR EACH ROW SET NEW.twin = 1");
        } else {
            target.run(
                    "CREATE FUNCTION guard() RETURNS trigger LANGUAGE plpgsql AS 'BEGIN NEW.twin := 1; RETURN NEW; END'",
                    "CREATE TRIGGER guard BEFORE INSERT ON dome FOR EACH ROW EXECUTE FUNCTION guard()");
        }
        source.run("DELETE FROM dome WHERE id = 99", "INSERT INTO dome VALUES (7, 2, 5)");
        LoadStage.Result again = load(migration, TargetRows.REPLACE);
        assertThat(again.failures()).isEmpty();
        assertThat(again.refused()).isZero();
        assertThat(same(migration)).isTrue();
        assertThat(StatusReader.read(migration.workspace()).setAside()).isEmpty();
        assertThatThrownBy(() -> target.run("INSERT INTO dome VALUES (8, 77, NULL)"))
                .hasMessageContaining("dome_site");
        target.run("INSERT INTO dome VALUES (8, 2, NULL)");
        assertThat(target.ask("SELECT twin FROM dome WHERE id = 8")).isEqualTo("1");
    }

    @Test
    void loadsSomeTablesFirstAndFinishesWithTheLast() throws Exception {
        Migration migration = built(false);
        LoadStage.Result first = load(migration, TargetRows.STOP, "si*");
        assertThat(first.loaded()).isEqualTo(2);
        assertThat(first.open()).singleElement().asString().endsWith("dome");
        LoadStage.Result second = load(migration, TargetRows.STOP);
        assertThat(second.loaded()).isEqualTo(5);
        assertThat(second.open()).isEmpty();
        assertThat(same(migration)).isTrue();
        source.run("UPDATE dome SET twin = 2 WHERE id = 1");
        LoadStage.Result third = load(migration, TargetRows.REPLACE, "dome");
        assertThat(third.failures()).isEmpty();
        assertThat(third.tables()).hasSize(1);
        assertThat(same(migration)).isTrue();
        assertThatThrownBy(() -> load(migration, TargetRows.STOP, "domes*"))
                .isInstanceOf(PlanException.class)
                .hasMessageContaining("no table that is loaded matches 'domes*'");
    }

    @Test
    void skipsWhatHoldsRows() throws Exception {
        Migration migration = built(false);
        target.run("INSERT INTO site VALUES (1, NULL)");
        LoadStage.Result result = load(migration, TargetRows.SKIP);
        assertThat(result.tables()).hasSize(1);
        assertThat(target.ask("SELECT count(*) FROM site")).isEqualTo("1");
        // The key that misses a site is not made, and it is said.
        assertThat(result.failures()).singleElement().asString().contains("dome");
    }

    @Test
    void twoLoadsIntoOneDatabaseAreRefused() throws Exception {
        Migration migration = built(false);
        try (EngineSession other = Engines.open(target.endpoint())) {
            assertThat(other.lock("raftcart load")).isTrue();
            assertThatThrownBy(() -> load(migration, TargetRows.STOP))
                    .isInstanceOf(PlanException.class)
                    .hasMessageContaining("another load into this database is running; nothing was changed");
        }
        assertThat(load(migration, TargetRows.STOP).loaded()).isEqualTo(5);
    }

    @Test
    void thePlanIsShownAndNothingChanged() throws Exception {
        Migration migration = built(false);
        WorkPlan plan = LoadStage.plan(migration, LoadOptions.of(TargetRows.STOP), new MigrationRun.Silent());
        assertThat(plan.steps()).hasSize(2);
        assertThat(plan.parts()).isEqualTo(2);
        assertThat(target.ask("SELECT count(*) FROM pg_class WHERE relname = 'raftcart_progress'"))
                .isEqualTo("0");
    }
}
