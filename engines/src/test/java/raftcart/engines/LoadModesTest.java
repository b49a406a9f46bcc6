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
import raftcart.error.LoadException;
import raftcart.error.PlanException;
import raftcart.migration.BuildStage;
import raftcart.migration.LoadStage;
import raftcart.migration.Migration;
import raftcart.migration.StatusReader;
import raftcart.migration.SurveyStage;
import raftcart.migration.TranslateStage;
import raftcart.migration.VerifyStage;
import raftcart.move.LoadOptions;
import raftcart.move.TableResult;
import raftcart.move.TargetRows;
import raftcart.move.WorkPlan;
import raftcart.workspace.Stage;

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

    @Test
    void appendingTwiceIsStoppedByTheKeyAndExplained() throws Exception {
        Migration migration = built(false);
        load(migration, TargetRows.STOP);
        assertThatThrownBy(() -> LoadStage.run(
                        migration,
                        new LoadOptions(TargetRows.APPEND, List.of("dome"), OptionalInt.of(1), OptionalInt.empty()),
                        new MigrationRun.Silent()))
                .isInstanceOfSatisfying(
                        LoadException.class, e -> assertThat(e.advice().orElseThrow())
                                .contains("Rows with these keys are on the target already, perhaps from a load before"))
                .hasMessageContaining("refused more than 1 row of");
        assertThat(target.ask("SELECT count(*) FROM dome")).isEqualTo("3");
    }

    /** Rows are changed by their primary key and by nothing else; a second unique key that stands in the way is a refusal. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void updatesByKeyAndAddsTheOthers(boolean toMariaDb) throws Exception {
        if (toMariaDb) {
            source = Databases.postgresql();
            target = Databases.mariadb();
        }
        source.run(
                "CREATE TABLE lamp (a int, b varchar(9), code int UNIQUE, note varchar(20), PRIMARY KEY (a, b))",
                "INSERT INTO lamp VALUES (1, 'x', 10, 'one'), (1, 'y', 20, NULL), (2, 'x', 30, 'three')");
        Migration migration = MigrationRun.migration(folder, source.endpoint(), target.endpoint(), "");
        SurveyStage.run(migration);
        TranslateStage.run(migration);
        BuildStage.run(migration, BuildStage.Part.BEFORE_DATA, BuildStage.Existing.STOP, false);
        load(migration, TargetRows.STOP);
        target.run("INSERT INTO lamp VALUES (9, 'z', 99, 'of the target')");
        source.run(
                "UPDATE lamp SET note = 'uno' WHERE a = 1 AND b = 'x'",
                "UPDATE lamp SET note = 'dos' WHERE b = 'y'",
                "INSERT INTO lamp VALUES (3, 'x', 40, 'new'), (4, 'x', 99, 'in the way')");
        LoadStage.Result result = load(migration, TargetRows.UPDATE);
        assertThat(result.tables().get(0))
                .returns(5L, TableResult::read)
                .returns(4L, TableResult::loaded)
                .returns(1L, TableResult::refused);
        assertThat(folder.resolve(result.tables().get(0).refusedFile()))
                .content()
                .contains("\"explanation\":\"a row with the same key is there already\"");
        assertThat(target.ask("SELECT note FROM lamp WHERE code = 99")).isEqualTo("of the target");
        assertThat(target.ask("SELECT note FROM lamp WHERE code = 10")).isEqualTo("uno");
        assertThat(target.ask("SELECT note FROM lamp WHERE code = 20")).isEqualTo("dos");
        assertThat(target.ask("SELECT count(*) FROM lamp")).isEqualTo("5");
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void readsOnlyWhatIsNewer(boolean toMariaDb) throws Exception {
        if (toMariaDb) {
            source = Databases.postgresql();
            target = Databases.mariadb();
        }
        source.run(
                "CREATE TABLE reading (id bigint PRIMARY KEY, at timestamp(6) NOT NULL, v int)",
                "INSERT INTO reading VALUES (9007199254740993, '2026-01-01 00:00:00.000001', 1), (2, '2026-01-02 00:00:00', 2)",
                "CREATE TABLE entry (id bigint, v int)",
                "INSERT INTO entry VALUES (9007199254740992, 1), (9007199254740993, 2)");
        Migration migration = MigrationRun.migration(
                folder,
                source.endpoint(),
                target.endpoint(),
                "tables: {rules: [{table: reading, since: at}, {table: entry, since: id}]}\n");
        SurveyStage.run(migration);
        TranslateStage.run(migration);
        BuildStage.run(migration, BuildStage.Part.BEFORE_DATA, BuildStage.Existing.STOP, false);
        load(migration, TargetRows.STOP);
        source.run(
                "INSERT INTO reading VALUES (3, '2026-01-02 00:00:00.000001', 3)",
                "UPDATE reading SET v = 20, at = '2026-01-03 00:00:00' WHERE id = 2",
                "INSERT INTO entry VALUES (9007199254740994, 3)");
        LoadStage.Result added = load(migration, TargetRows.APPEND, "entry");
        assertThat(added.tables())
                .singleElement()
                .returns(1L, TableResult::read)
                .returns(1L, TableResult::loaded);
        LoadStage.Result updated = load(migration, TargetRows.UPDATE, "reading");
        assertThat(updated.tables())
                .singleElement()
                .returns(2L, TableResult::read)
                .returns(2L, TableResult::loaded);
        assertThat(same(migration)).isTrue();
        assertThatThrownBy(() -> load(migration, TargetRows.UPDATE, "entry"))
                .isInstanceOf(PlanException.class)
                .hasMessageContaining("no primary key to update by")
                .hasMessageContaining("entry; nothing was loaded");
    }

    /** A command that could not begin leaves the stage as it was. */
    @Test
    void aLoadThatIsRefusedChangesNothing() throws Exception {
        Migration migration = built(false);
        load(migration, TargetRows.STOP);
        assertThatThrownBy(() -> load(migration, TargetRows.STOP, "nowhere")).isInstanceOf(PlanException.class);
        assertThatThrownBy(() -> load(migration, TargetRows.STOP)).isInstanceOf(PlanException.class);
        assertThat(migration.workspace().journal().isDone(Stage.LOAD)).isTrue();
    }

    /** Tables that a replacing load left half-way are not forgotten by one of other tables. */
    @Test
    void tablesThatWereBegunAgainAreStillToBeLoaded() throws Exception {
        Migration migration = built(false);
        load(migration, TargetRows.STOP);
        assertThatThrownBy(() -> LoadStage.run(migration, LoadOptions.of(TargetRows.REPLACE), new Breaker("dome")))
                .isInstanceOf(IllegalStateException.class);
        LoadStage.Result other = load(migration, TargetRows.REPLACE, "site");
        assertThat(other.open()).singleElement().asString().endsWith("dome");
        assertThat(StatusReader.read(migration.workspace()).setAside()).isNotEmpty();
        assertThat(load(migration, TargetRows.REPLACE).failures()).isEmpty();
        assertThat(StatusReader.read(migration.workspace()).setAside()).isEmpty();
        assertThat(same(migration)).isTrue();
    }

    /** Rows that were there before an appending load stopped are gone when the table is replaced. */
    @Test
    void replacingAfterAnAppendThatStoppedReplacesAll() throws Exception {
        Migration migration = built(false);
        target.run("INSERT INTO site VALUES (77, NULL)");
        assertThatThrownBy(() -> LoadStage.run(migration, LoadOptions.of(TargetRows.APPEND), new Breaker("dome")))
                .isInstanceOf(IllegalStateException.class);
        load(migration, TargetRows.REPLACE);
        assertThat(same(migration)).isTrue();
    }

    /** Refused rows that a load of newer ones would not read again are kept until somebody decides. */
    @Test
    void refusedRowsAreNotForgottenByALoadOfNewerOnes() throws Exception {
        source.run(
                "CREATE TABLE entry (id int PRIMARY KEY, note varchar(30))",
                "INSERT INTO entry VALUES (1, 'long'), (2, 'x')");
        target.run("CREATE TABLE entry (id int PRIMARY KEY, note varchar(2))");
        MigrationRun run = MigrationRun.intoExisting(
                folder.resolve("run"),
                source.endpoint(),
                target.endpoint(),
                "tables: {rules: [{table: entry, since: id}]}\n");
        source.run("INSERT INTO entry VALUES (3, 'y')");
        assertThatThrownBy(() -> load(run.migration, TargetRows.APPEND))
                .isInstanceOf(PlanException.class)
                .hasMessageContaining("that were refused before wait in journal/refused/");
        target.run("ALTER TABLE entry ALTER note TYPE varchar(30)");
        LoadStage.retryRefused(run.migration, LoadOptions.of(TargetRows.STOP), new MigrationRun.Silent());
        load(run.migration, TargetRows.APPEND);
        assertThat(same(run.migration)).isTrue();
    }

    /** Breaks a load off when a table is begun. */
    private static final class Breaker extends MigrationRun.Silent {
        private final String table;

        Breaker(String table) {
            this.table = table;
        }

        @Override
        public void tableStarted(String name, long estimatedRows) {
            if (name.endsWith(table)) {
                throw new IllegalStateException("broken off");
            }
        }
    }
}
