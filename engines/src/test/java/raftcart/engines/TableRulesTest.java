package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.BiFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.error.PlanException;
import raftcart.finding.Finding;
import raftcart.migration.BuildStage;
import raftcart.migration.LoadStage;
import raftcart.migration.Migration;
import raftcart.migration.SurveyStage;
import raftcart.migration.TranslateStage;
import raftcart.move.LoadOptions;
import raftcart.move.TargetRows;
import raftcart.plan.Endpoint;
import raftcart.verify.TableVerdict;

/** Rules for single tables: which rows and columns go, with which values, and under which keys. */
class TableRulesTest {
    private static final String RULES = """
            tables:
              rules:
                - {table: night, rows: "began >= '2026-01-01'", without: ['secret*'], key: uuid}
                - {table: exposure, rows: "night_id IN (SELECT id FROM night WHERE began >= '2026-01-01')"}
                - {table: draft, moves: structure}
                - {table: lamp, columns: [id, name], key: identity}
            columns:
              - {column: night.site, value: "upper(site)"}
              - {column: exposure.seconds, type: integer, value: "CASE WHEN seconds = 'long' THEN 900 ELSE 60 END"}
            """;

    @TempDir
    Path folder;

    private static Databases filled(Databases source) throws Exception {
        source.run(
                "CREATE TABLE night (id INTEGER PRIMARY KEY, began DATE NOT NULL, site VARCHAR(20), secret VARCHAR(9),"
                        + " secret_too VARCHAR(9) UNIQUE)",
                "CREATE TABLE exposure (id INTEGER PRIMARY KEY, night_id INTEGER NOT NULL REFERENCES night (id),"
                        + " seconds VARCHAR(9))",
                "CREATE TABLE draft (id INTEGER PRIMARY KEY)",
                "CREATE TABLE lamp (id INTEGER PRIMARY KEY, name VARCHAR(9), watts INTEGER CHECK (watts > 0))",
                "CREATE INDEX lamp_watts ON lamp (watts)",
                "CREATE VIEW bright AS SELECT id FROM lamp WHERE watts > 40",
                "CREATE VIEW nights AS SELECT began, site FROM night",
                "INSERT INTO night VALUES (1, '2025-12-31', 'dome', 'x', 'a'), (2, '2026-01-01', 'roof', 'y', 'b'),"
                        + " (300, '2026-02-01', NULL, 'z', 'c')",
                "INSERT INTO exposure VALUES (1, 1, 'long'), (2, 2, 'long'), (3, 300, NULL)",
                "INSERT INTO draft VALUES (1), (2)",
                "INSERT INTO lamp VALUES (7, 'red', 5), (9, 'blue', 60)");
        return source;
    }

    /** Both ways the same rows arrive, and are the same by what the plan wants of them. */
    private void crosses(Databases source, Databases target, BiFunction<String, String, String> joined)
            throws Exception {
        MigrationRun run = MigrationRun.of(folder, filled(source).endpoint(), target.endpoint(), RULES);
        assertThat(run.verified.tables()).hasSize(3).allMatch(TableVerdict::same);
        assertThat(run.verified.notCompared()).singleElement().asString().endsWith("draft");
        String rows = joined.apply("n.site || ' ' || e.seconds", "exposure e JOIN night n ON n.id = e.night_id");
        assertThat(target.ask("SELECT count(*) FROM night")).isEqualTo("2");
        assertThat(target.ask(rows)).isEqualTo("ROOF 900");
        assertThat(target.ask("SELECT max(id) FROM exposure WHERE night_id IN (SELECT id FROM night)"))
                .isEqualTo("3");
        assertThat(target.ask("SELECT id FROM night WHERE site IS NULL"))
                .isEqualTo("00000000-0000-0000-0000-00000000012c");
        assertThat(target.ask("SELECT count(*) FROM draft")).isEqualTo("0");
        target.run("INSERT INTO lamp (name) VALUES ('new')", "INSERT INTO night (began) VALUES ('2026-03-01')");
        assertThat(target.ask("SELECT max(id) FROM lamp")).isEqualTo("10");
        assertThat(target.ask("SELECT count(DISTINCT id) FROM night")).isEqualTo("3");
        assertThat(target.ask("SELECT count(*) FROM nights")).isEqualTo("3");
        List<String> found = run.translated.findings().stream()
                .map(Finding::toString)
                .filter(f -> f.contains("LEFT_OUT") || f.contains("KEY_CHANGED") || f.contains("VALUE_CHANGED"))
                .toList();
        assertThat(found).anyMatch(f -> f.contains("index lamp_watts")).hasSizeGreaterThan(10);
        assertThat(run.translated.objects())
                .filteredOn(o -> o.name().endsWith("bright"))
                .singleElement()
                .satisfies(o -> assertThat(o.outcome().label()).isEqualTo("by hand"));
    }

    @Test
    void fromMariaDbToPostgreSql() throws Exception {
        crosses(
                Databases.mariadb(),
                Databases.postgresql(),
                (text, from) -> "SELECT string_agg(" + text + ", ',') FROM " + from);
    }

    @Test
    void fromPostgreSqlToMariaDb() throws Exception {
        crosses(
                Databases.postgresql(),
                Databases.mariadb(),
                (text, from) -> "SELECT GROUP_CONCAT(CONCAT(n.site, ' ', e.seconds)) FROM " + from);
    }

    /** An enumeration of two columns crosses in each form, and a value that is none of it is refused. */
    private void enumerations(Databases source, Databases target, String form) throws Exception {
        MigrationRun run = MigrationRun.of(
                folder.resolve(form + source.name()),
                source.endpoint(),
                target.endpoint(),
                "values: {enumerations: " + form + "}\n");
        assertThat(run.loaded.failures()).isEmpty();
        assertThat(run.verified.tables()).allMatch(TableVerdict::same);
        assertThat(target.ask("SELECT count(*) FROM filter WHERE band = 'it''s red'"))
                .isEqualTo("1");
        assertThatThrownBy(() -> target.run("INSERT INTO filter (id, band) VALUES (9, 'pink')"))
                .isInstanceOf(java.sql.SQLException.class);
        target.run("INSERT INTO filter (id) VALUES (8)");
        assertThat(target.ask("SELECT band FROM filter WHERE id = 8")).isEqualTo("blue");
    }

    @Test
    void enumerationsBecomeTypesChecksOrTables() throws Exception {
        Databases mariadb = Databases.mariadb();
        mariadb.run(
                "CREATE TABLE filter (id INT PRIMARY KEY, band ENUM('blue', 'it''s red') NOT NULL DEFAULT 'blue',"
                        + " back ENUM('on', 'off'), KEY (band))",
                "CREATE TABLE filter_band (id INT PRIMARY KEY)",
                "INSERT INTO filter VALUES (1, 'it''s red', 'on'), (2, 'blue', NULL)");
        Databases postgresql = Databases.postgresql();
        postgresql.run(
                "CREATE TYPE band AS ENUM ('blue', 'it''s red')",
                "CREATE TABLE filter (id int PRIMARY KEY, band band NOT NULL DEFAULT 'blue', back band)",
                "INSERT INTO filter VALUES (1, 'it''s red', 'blue'), (2, 'blue', NULL)");
        for (String form : List.of("type", "check", "lookup")) {
            Databases target = Databases.postgresql();
            enumerations(mariadb, target, form);
            Databases back = Databases.mariadb();
            enumerations(postgresql, back, form);
            if (form.equals("lookup")) {
                assertThat(target.ask("SELECT value FROM filter_band_2 WHERE place = 2"))
                        .isEqualTo("it's red");
                assertThat(back.ask("SELECT value FROM band WHERE place = 1")).isEqualTo("blue");
            }
        }
    }

    @Test
    void scriptsBringNoRowsThatThePlanLeavesAndCannotBeFiltered() throws Exception {
        Path dump = Files.createDirectory(folder.resolve("dump"));
        Files.writeString(
                dump.resolve("a.sql"),
                "CREATE TABLE night (id integer PRIMARY KEY, site text); CREATE TABLE draft (id integer);"
                        + " INSERT INTO night VALUES (1, 'dome'); INSERT INTO draft VALUES (1);");
        Endpoint scripts = Endpoint.of("scripts:postgresql:" + dump);
        Databases target = Databases.mariadb();
        Migration migration = MigrationRun.migration(
                folder.resolve("m"),
                scripts,
                target.endpoint(),
                "tables: {rules: [{table: draft, moves: structure}]}\n");
        SurveyStage.run(migration);
        TranslateStage.run(migration);
        BuildStage.run(migration, BuildStage.Part.BEFORE_DATA, BuildStage.Existing.STOP, false);
        LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), new MigrationRun.Silent());
        assertThat(target.ask("SELECT COUNT(*) FROM night")).isEqualTo("1");
        assertThat(target.ask("SELECT COUNT(*) FROM draft")).isEqualTo("0");
        for (String rule : List.of("rows: 'id > 3'", "without: [site]", "key: uuid")) {
            Migration other = MigrationRun.migration(
                    folder.resolve(rule.substring(0, 3)),
                    scripts,
                    target.endpoint(),
                    "tables: {rules: [{table: night, " + rule + "}]}\n");
            SurveyStage.run(other);
            assertThatThrownBy(() -> TranslateStage.run(other))
                    .isInstanceOf(PlanException.class)
                    .hasMessageContaining("needs a database as the source");
        }
    }

    @Test
    void whatTheSourceCouldNotReadIsRefusedBeforeAnythingIsMade() throws Exception {
        Databases source = filled(Databases.mariadb());
        String[][] faults = {
            {"tables: {rules: [{table: night, rows: 'begann > 3'}]}", "did you mean 'began'?"},
            {"tables: {rules: [{table: night, rows: 'began >'}]}", "is not an expression"},
            {"tables: {rules: [{table: night, rows: 'weather = 3'}]}", "the column 'weather'"},
            {"columns: [{column: night.site, value: 'uppr('}]", "is not an expression"},
            {"tables: {rules: [{table: lamp, without: ['*']}]}", "leaves no column"}
        };
        for (int i = 0; i < faults.length; i++) {
            Path own = folder.resolve("m" + i);
            String plan = faults[i][0] + "\n";
            assertThatThrownBy(() -> MigrationRun.of(
                            own, source.endpoint(), Databases.postgresql().endpoint(), plan))
                    .isInstanceOf(PlanException.class)
                    .hasMessageContaining(faults[i][1]);
        }
    }
}
