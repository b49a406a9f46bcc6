package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.move.TableResult;
import raftcart.verify.TableVerdict;

/** What the plan says is what is done. */
class PlanChoicesTest {
    @TempDir
    Path folder;

    private static Databases lamps() throws Exception {
        Databases source = Databases.mariadb();
        source.run(
                "SET sql_mode = ''",
                "CREATE TABLE lamps (id INT PRIMARY KEY, level TINYINT(1) DEFAULT 7, lit TIME, since DATE,"
                        + " CHECK (level < 10))",
                "INSERT INTO lamps VALUES (1, 5, '12:00:00', '2024-01-01'), (2, -1, '23:59:59', NULL),"
                        + " (3, 0, NULL, '0000-00-00'), (4, 1, '00:00:00', '2024-02-00')",
                "CREATE TABLE lamps_old (id INT)",
                "CREATE TABLE Filters (id INT)");
        return source;
    }

    private static String type(Databases database, String column) throws Exception {
        return database.ask("SELECT format_type(atttypid, atttypmod) FROM pg_attribute"
                + " WHERE attrelid = (SELECT oid FROM pg_class WHERE relname = 'lamps') AND attname = '" + column
                + "'");
    }

    @Test
    void numbersTimesAndDatesAsThePlanWants() throws Exception {
        Databases target = Databases.postgresql();
        MigrationRun run = MigrationRun.of(
                folder,
                lamps().endpoint(),
                target.endpoint(),
                "values: {one-digit-boolean: number, time: time-of-day, impossible-dates: refuse}\n"
                        + "tables: {include: ['lamp*'], exclude: ['*_old']}\n");
        assertThat(run.loaded.tables())
                .singleElement()
                .returns(2L, TableResult::loaded)
                .returns(2L, TableResult::refused);
        assertThat(type(target, "level")).isEqualTo("smallint");
        assertThat(type(target, "lit")).isEqualTo("time(0) without time zone");
        assertThat(target.ask("SELECT string_agg(level || ' ' || lit, ', ' ORDER BY id) FROM lamps"))
                .isEqualTo("5 12:00:00, -1 23:59:59");
        assertThat(target.ask("INSERT INTO lamps (id) VALUES (9) RETURNING level"))
                .isEqualTo("7");
    }

    @Test
    void theSameTableByDefault() throws Exception {
        Databases target = Databases.postgresql();
        MigrationRun run = MigrationRun.of(
                folder, lamps().endpoint(), target.endpoint(), "schemas: {}\ntables: {include: [LAMPS]}\n");
        assertThat(type(target, "level")).isEqualTo("boolean");
        assertThat(type(target, "lit")).isEqualTo("interval hour to second(0)");
        // 5 and -1 are no truth values; the check compares a boolean with 10 and is left to a person
        assertThat(run.loaded.tables()).singleElement().returns(2L, TableResult::refused);
        assertThat(run.translated.findings()).extracting(f -> f.code().code()).contains("RC0102", "RC0301", "RC0302");
        assertThat(target.ask("SELECT count(*) FROM lamps WHERE since IS NULL")).isEqualTo("2");
    }

    @Test
    void tablesGoToASchemaOfTheirOwn() throws Exception {
        Databases source = lamps();
        Databases target = Databases.postgresql();
        MigrationRun run = MigrationRun.of(
                folder,
                source.endpoint(),
                target.endpoint(),
                "schemas: {" + source.name() + ": 'The Hill'}\ntables: {include: ['filters', '*_old']}\n");
        assertThat(run.verified.tables())
                .hasSize(2)
                .allMatch(TableVerdict::same)
                .allMatch(v -> v.target().startsWith("The Hill."));
        assertThat(target.ask("SELECT string_agg(relname, ',' ORDER BY relname) FROM pg_class"
                        + " WHERE relnamespace = '\"The Hill\"'::regnamespace AND relkind = 'r'"))
                .isEqualTo("filters,lamps_old");
    }

    @Test
    void uniqueTextsWithOrWithoutRegardToCase() throws Exception {
        Databases source = Databases.mariadb();
        source.run(
                "CREATE TABLE star (name VARCHAR(20) COLLATE utf8mb4_general_ci PRIMARY KEY)",
                "INSERT INTO star VALUES ('Vega')");
        for (String form : new String[] {"ignore-case", "exact"}) {
            Databases target = Databases.postgresql();
            MigrationRun run = MigrationRun.of(
                    folder.resolve(form),
                    source.endpoint(),
                    target.endpoint(),
                    "values: {unique-texts: " + form + "}\n");
            boolean exact = form.equals("exact");
            assertThat(run.translated.findings())
                    .extracting(f -> f.code().code())
                    .contains(exact ? "RC0408" : "RC0401")
                    .doesNotContain(exact ? "RC0401" : "RC0408");
            target.run("INSERT INTO star VALUES ('VEGA') ON CONFLICT DO NOTHING");
            assertThat(target.ask("SELECT count(*) FROM star")).isEqualTo(exact ? "2" : "1");
        }
    }

    /** A single bit is a truth value or a bit, and either way what it was. */
    @Test
    void bitsAreTruthValuesOrBits() throws Exception {
        Databases mariadb = Databases.mariadb();
        mariadb.run(
                "CREATE TABLE lamp (id INT PRIMARY KEY, lit BIT(1) NOT NULL DEFAULT b'1', dim TINYINT(1), flags BIT(3))",
                "INSERT INTO lamp VALUES (1, b'1', 1, b'101'), (2, b'0', 0, NULL), (3, DEFAULT, NULL, b'0')");
        for (String choice : List.of("boolean", "number")) {
            Databases target = Databases.postgresql();
            MigrationRun run = MigrationRun.of(
                    folder.resolve(choice),
                    mariadb.endpoint(),
                    target.endpoint(),
                    "values: {one-digit-boolean: " + choice + "}\n");
            assertThat(run.loaded.refused()).isZero();
            assertThat(run.verified.tables()).allMatch(TableVerdict::same);
            boolean truths = choice.equals("boolean");
            target.run("INSERT INTO lamp (id) VALUES (4)");
            assertThat(
                            target.ask(
                                    "SELECT string_agg(lit::text || '/' || coalesce(dim::text, '-'), ' ' ORDER BY id) FROM lamp"))
                    .isEqualTo(truths ? "true/true false/false true/- true/-" : "1/1 0/0 1/- 1/-");
        }
    }

    /** The other choices that docs/plan.md names for types without a twin. */
    @Test
    void typesAsTheDocumentationOffersThem() throws Exception {
        Databases mariadb = Databases.mariadb();
        mariadb.run(
                "CREATE TABLE comet (id INT(10) UNSIGNED PRIMARY KEY, seen YEAR, lit BIT(1), size SMALLINT,"
                        + " mass DECIMAL(9,2), day DATE, at DATETIME(0))",
                "INSERT INTO comet VALUES (1, 2026, b'1', 100, 100, '2026-01-31', '2026-01-31'),"
                        + " (2, NULL, b'0', 0, 7, NULL, NULL)");
        Databases postgresql = Databases.postgresql();
        MigrationRun there = MigrationRun.of(
                folder.resolve("there"),
                mariadb.endpoint(),
                postgresql.endpoint(),
                "columns: [{from: 'int(10) unsigned', type: integer}, {from: 'year*', type: integer},"
                        + " {from: 'bit(1)', type: boolean}, {column: '*.size', type: 'numeric(12,3)'},"
                        + " {column: '*.mass', type: integer, value: 'CAST(mass AS SIGNED)'}, {column: '*.day', type: timestamp},"
                        + " {column: '*.at', type: date}]\n");
        assertThat(there.loaded.refused()).isZero();
        assertThat(there.verified.tables()).allMatch(TableVerdict::same);
        assertThat(postgresql.ask("SELECT id + seen FROM comet WHERE lit")).isEqualTo("2027");
        postgresql.run("CREATE TABLE night (began timestamptz)", "INSERT INTO night VALUES ('2026-01-01 00:00:00+02')");
        Databases back = Databases.mariadb();
        MigrationRun again = MigrationRun.of(
                folder.resolve("back"),
                postgresql.endpoint(),
                back.endpoint(),
                "tables: {include: [night]}\n"
                        + "columns: [{from: 'timestamp*with time zone', type: 'timestamp(6)'},"
                        + " {column: '*.n', type: 'decimal(12,3)'}, {column: '*.m', type: int, value: 'm::int'},"
                        + " {column: '*.d', type: 'datetime(0)'}, {column: '*.t', type: date}]\n");
        assertThat(again.verified.tables()).allMatch(TableVerdict::same);
        assertThat(back.ask("SELECT DATA_TYPE FROM information_schema.COLUMNS WHERE TABLE_NAME = 'night'"
                        + " AND TABLE_SCHEMA = '" + back.name() + "'"))
                .isEqualTo("timestamp");
    }
}
