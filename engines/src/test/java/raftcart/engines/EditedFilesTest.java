package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.error.BuildException;
import raftcart.error.PlanException;
import raftcart.migration.BuildStage;
import raftcart.migration.LoadStage;
import raftcart.migration.Migration;
import raftcart.migration.SurveyStage;
import raftcart.migration.TranslateStage;
import raftcart.move.LoadOptions;
import raftcart.move.TargetRows;

/** What a person writes into the files of a migration is kept, run, and only replaced when they ask for it. */
class EditedFilesTest {
    @TempDir
    Path folder;

    private Path file(String below, String ending) throws Exception {
        try (Stream<Path> files = Files.walk(folder.resolve(below))) {
            return files.filter(f -> f.toString().endsWith(ending)).findFirst().orElseThrow();
        }
    }

    private void edit(Path file, String from, String to) throws Exception {
        String text = Files.readString(file);
        assertThat(text).contains(from);
        Files.writeString(file, text.replace(from, to));
    }

    private static void build(Migration migration, BuildStage.Part part) {
        BuildStage.run(migration, part, BuildStage.Existing.STOP, false);
    }

    @Test
    void editsAreRunAndRedoneOneByOne() throws Exception {
        Databases source = Databases.mariadb();
        source.run(
                "CREATE TABLE star (id INT PRIMARY KEY, name VARCHAR(20), magnitude DOUBLE, KEY name (name))",
                "INSERT INTO star VALUES (1, 'Vega', 0.03), (2, 'Mira', 6.5)",
                "CREATE FUNCTION faint() RETURNS INT READS SQL DATA"
                        + " BEGIN DO 1; RETURN (SELECT COUNT(*) FROM star WHERE magnitude > 6); END");
        Databases target = Databases.postgresql();
        Migration migration = MigrationRun.migration(folder, source.endpoint(), target.endpoint(), "");
        SurveyStage.run(migration);
        TranslateStage.run(migration);
        Path table = file("target/40-tables", "star.sql");
        Path index = file("target/50-indexes", ".sql");
        edit(table, "character varying(20)", "character varying(30)");
        edit(index, "CREATE INDEX", "CREATE INDEX CONCURRENTLY IF");
        Files.writeString(
                file("by-hand", "faint.sql"),
                "CREATE FUNCTION faint() RETURNS bigint LANGUAGE sql AS"
                        + " $$ SELECT count(*); SELECT count(*) FROM star WHERE magnitude > 6; $$;\n");
        assertThat(TranslateStage.run(migration).keptEdits()).hasSize(3);

        build(migration, BuildStage.Part.BEFORE_DATA);
        assertThat(target.ask("SELECT character_maximum_length FROM information_schema.columns"
                        + " WHERE table_name = 'star' AND column_name = 'name'"))
                .isEqualTo("30");
        LoadStage.Result loaded = LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), new MigrationRun.Silent());
        assertThat(loaded.failures())
                .singleElement()
                .asString()
                .contains("50-indexes")
                .contains(":2:");
        assertThat(target.ask("SELECT faint()")).isEqualTo("1");
        assertThatThrownBy(() -> build(migration, BuildStage.Part.AFTER_DATA))
                .isInstanceOf(BuildException.class)
                .hasMessageContaining(index.getFileName().toString() + ":2:");

        TranslateStage.Redone redone = TranslateStage.redo(migration, "STAR");
        assertThat(redone.files()).hasSize(2);
        assertThat(Files.readString(index)).doesNotContain("CONCURRENTLY");
        build(migration, BuildStage.Part.AFTER_DATA);
        assertThat(BuildStage.open(migration, BuildStage.Part.AFTER_DATA)).isEmpty();
        assertThat(target.ask("SELECT count(*) FROM pg_indexes WHERE tablename = 'star'"))
                .isEqualTo("2");
        assertThat(Files.readString(table)).contains("(20)");
        assertThatThrownBy(() -> TranslateStage.redo(migration, "stair")).isInstanceOf(PlanException.class);
    }
}
