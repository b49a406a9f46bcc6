package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import raftcart.error.LoadException;
import raftcart.error.PlanException;
import raftcart.migration.BuildStage;
import raftcart.migration.LoadStage;
import raftcart.migration.Migration;
import raftcart.migration.SurveyStage;
import raftcart.migration.TranslateStage;
import raftcart.move.LoadOptions;
import raftcart.move.TargetRows;
import raftcart.plan.Endpoint;

/** The rows of scripts when their load stops: it goes on where it was, and no row is lost or doubled. */
class ScriptLoadResumeTest {
    private static final int ROWS = 1_300;
    private static final String TOO_LONG = "a title of more than ten";

    @TempDir
    private Path folder;

    private Migration built(Databases target) throws IOException {
        StringBuilder script = new StringBuilder("CREATE TABLE star (id int, title varchar(10));\n"
                + "CREATE TABLE frame (id int PRIMARY KEY);\nINSERT INTO frame VALUES (1), (1), (2);\n");
        for (int i = 1; i <= ROWS; i++) {
            boolean refused = i == 700 || i == 750;
            script.append("INSERT INTO star VALUES (%d, '%s');\n".formatted(i, refused ? TOO_LONG : "star"));
        }
        Files.writeString(folder.resolve("stars.sql"), script);
        Migration migration = MigrationRun.migration(
                folder.resolve("run"),
                Endpoint.of("scripts:mysql:" + folder.resolve("stars.sql")),
                target.endpoint(),
                "load:\n  stop-after-refused: 1\n");
        SurveyStage.run(migration);
        TranslateStage.run(migration);
        build(migration, false, BuildStage.Existing.STOP);
        return migration;
    }

    private static void build(Migration migration, boolean again, BuildStage.Existing existing) {
        BuildStage.run(migration, BuildStage.Part.BEFORE_DATA, existing, again);
    }

    private static LoadStage.Result load(Migration migration) {
        return LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), new MigrationRun.Silent());
    }

    private static Databases database(String engine) throws SQLException {
        return engine.equals("mariadb") ? Databases.mariadb() : Databases.postgresql();
    }

    @ParameterizedTest
    @ValueSource(strings = {"postgresql", "mariadb"})
    void goesOnWithTheStatementThatStoppedIt(String engine) throws Exception {
        Databases target = database(engine);
        Migration migration = built(target);
        assertThatThrownBy(() -> load(migration))
                .isInstanceOf(LoadException.class)
                .hasMessageContaining("more than 1 rows of");
        assertThat(target.ask("SELECT COUNT(*) FROM star")).isEqualTo("699");

        target.run(
                engine.equals("mariadb")
                        ? "ALTER TABLE star MODIFY title varchar(40)"
                        : "ALTER TABLE star ALTER title TYPE varchar(40)");
        LoadStage.Result result = load(migration);
        assertThat(result.failures()).isEmpty();
        assertThat(result.loaded()).isEqualTo(ROWS - 1 + 2);
        assertThat(result.refused()).isEqualTo(2);
        assertThat(target.ask("SELECT COUNT(*) FROM star")).isEqualTo(String.valueOf(ROWS - 1));
        assertThat(target.ask("SELECT COUNT(DISTINCT id) FROM star")).isEqualTo(String.valueOf(ROWS - 1));
        assertThat(target.ask("SELECT COUNT(*) FROM frame")).isEqualTo("2");
        String here = engine.equals("mariadb") ? "DATABASE()" : "current_schema()";
        assertThat(target.ask("SELECT COUNT(*) FROM information_schema.tables WHERE table_name = 'raftcart_progress'"
                        + " AND table_schema = " + here))
                .isEqualTo("0");
        Path refused = migration.workspace().path("journal/refused");
        try (var files = Files.list(refused)) {
            assertThat(files).hasSize(2).allSatisfy(f -> assertThat(Files.readAllLines(f))
                    .hasSize(1));
        }
    }

    @Test
    void scriptsThatWereChangedMeanwhileAreRefused() throws Exception {
        Databases target = Databases.postgresql();
        Migration migration = built(target);
        assertThatThrownBy(() -> load(migration)).isInstanceOf(LoadException.class);
        Path scripts = folder.resolve("stars.sql");
        List<String> lines = Files.readAllLines(scripts);
        lines.remove(100);
        Files.write(scripts, lines);
        assertThatThrownBy(() -> load(migration))
                .isInstanceOf(LoadException.class)
                .hasMessageContaining("other statements before the place where the load stopped");
        target.run("ALTER TABLE star ALTER title TYPE varchar(40)");
        LoadStage.Result result =
                LoadStage.run(migration, LoadOptions.of(TargetRows.REPLACE), new MigrationRun.Silent());
        assertThat(target.ask("SELECT COUNT(*) FROM star")).isEqualTo(String.valueOf(ROWS - 1));
        assertThat(result.refused()).isEqualTo(1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"postgresql", "mariadb"})
    void tablesMadeAnewAreFilledFromTheFirstRow(String engine) throws Exception {
        Databases target = database(engine);
        Migration migration = built(target);
        assertThatThrownBy(() -> load(migration)).isInstanceOf(LoadException.class);
        assertThatThrownBy(() -> build(migration, true, BuildStage.Existing.STOP))
                .isInstanceOf(PlanException.class);
        build(migration, true, BuildStage.Existing.DROP);
        assertThatThrownBy(() -> load(migration)).isInstanceOf(LoadException.class);
        assertThat(target.ask("SELECT COUNT(*) FROM star")).isEqualTo("699");
    }
}
