package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.migration.BuildStage;
import raftcart.migration.LoadStage;
import raftcart.migration.Migration;
import raftcart.migration.SurveyStage;
import raftcart.migration.TranslateStage;
import raftcart.migration.VerifyStage;
import raftcart.move.LoadOptions;
import raftcart.move.TargetRows;

/** A look at the rows decides on types that the catalog leaves open, and nothing of the rows is kept. */
class DataLookTest {
    @TempDir
    Path folder;

    private List<String> cross(Databases source, Databases target) {
        Migration migration = MigrationRun.migration(folder, source.endpoint(), target.endpoint(), "");
        SurveyStage.run(migration, true);
        TranslateStage.Result translated = TranslateStage.run(migration);
        BuildStage.run(migration, BuildStage.Part.BEFORE_DATA, BuildStage.Existing.STOP, false);
        assertThat(LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), new MigrationRun.Silent())
                        .refused())
                .isZero();
        assertThat(VerifyStage.run(migration, v -> {}).same()).isTrue();
        return translated.findings().stream()
                .filter(f -> f.code().code().matches("RC0102|RC0110|RC0121|RC0122"))
                .map(f -> f.code().code() + " " + f.object().replaceFirst(".*?\\.", "") + ": " + f.detail())
                .toList();
    }

    @Test
    void numbersThatAreNoTruthValuesStayNumbers() throws Exception {
        Databases source = Databases.mariadb();
        source.run(
                "CREATE TABLE lamp (id INT PRIMARY KEY, lit TINYINT(1), level TINYINT(1), note TEXT, remark TEXT)",
                "INSERT INTO lamp VALUES (1, 1, 0, '{\"a\": \"secret word\"}', '[]'), (2, 0, 7, '[1]', 'x'),"
                        + " (3, NULL, NULL, NULL, NULL), (4, 1, 1, ' {}', '{')");
        Databases target = Databases.postgresql();
        assertThat(cross(source, target))
                .containsExactlyInAnyOrder(
                        "RC0102 lamp.lit: tinyint(1) as boolean",
                        "RC0121 lamp.level: a number, as there are others than 0 and 1 in 4 rows",
                        "RC0122 lamp.note: every text is a JSON document in 4 rows");
        assertThat(target.ask("SELECT level FROM lamp WHERE id = 2")).isEqualTo("7");
        assertThat(Files.readString(folder.resolve("source/catalog.json")))
                .contains("MORE_THAN_TRUTH")
                .doesNotContain("secret word");
    }

    @Test
    void numbersWithoutAPrecisionGetTheOneThatTheyNeed() throws Exception {
        Databases source = Databases.postgresql();
        source.run(
                "CREATE TABLE flux (id int PRIMARY KEY, open numeric, whole numeric, unused numeric)",
                "INSERT INTO flux VALUES (1, 12345.678, -99, NULL), (2, -0.00012, 7, NULL)");
        Databases target = Databases.mariadb();
        assertThat(cross(source, target))
                .containsExactlyInAnyOrder(
                        "RC0110 flux.unused: number without precision as decimal(65,30)",
                        "RC0121 flux.open: at most 5 digits before and 5 behind the point in 2 rows",
                        "RC0121 flux.whole: at most 2 digits before and 0 behind the point in 2 rows");
        assertThat(target.ask(
                        "SELECT GROUP_CONCAT(COLUMN_TYPE ORDER BY ORDINAL_POSITION) FROM information_schema.COLUMNS"
                                + " WHERE TABLE_NAME = 'flux' AND TABLE_SCHEMA = '" + target.name() + "'"))
                .isEqualTo("int(11),decimal(10,5),decimal(2,0),decimal(65,30)");
    }
}
