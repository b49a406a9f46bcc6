package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import raftcart.error.LoadException;
import raftcart.migration.LoadStage;
import raftcart.move.LoadOptions;
import raftcart.move.TableResult;
import raftcart.move.TargetRows;
import raftcart.verify.TableVerdict;

/** Rows that do not fit are set aside one by one, with the reason; all others arrive, and the sums add up. */
class RefusedRowsTest {
    @TempDir
    Path folder;

    @Test
    void postgreSqlRefusesOnlyTheRowsAtFault() throws Exception {
        Databases source = Databases.mariadb();
        Databases target = Databases.postgresql();
        source.run(
                "CREATE TABLE lamps (id INT PRIMARY KEY, is_red TINYINT(1), label TEXT, lit DATE NOT NULL)",
                "INSERT INTO lamps SELECT seq, 1, CONCAT('lamp ', seq), '2024-01-01' FROM seq_1_to_1000",
                "UPDATE lamps SET is_red = 2 WHERE id = 10",
                "UPDATE lamps SET label = CONCAT('a', CHAR(0), 'b') WHERE id = 500",
                "SET sql_mode = ''",
                "INSERT INTO lamps VALUES (1001, 0, 'x', '0000-00-00')");
        MigrationRun run = MigrationRun.of(folder.resolve("run"), source.endpoint(), target.endpoint());

        TableResult result = run.loaded.tables().get(0);
        assertThat(result)
                .returns(1001L, TableResult::read)
                .returns(998L, TableResult::loaded)
                .returns(3L, TableResult::refused);
        List<String> lines = Files.readAllLines(folder.resolve("run").resolve(result.refusedFile()));
        assertThat(lines).hasSize(3);
        assertThat(lines.get(0)).contains("\"id\":\"10\"").contains("boolean");
        assertThat(lines.get(1)).contains("\"id\":\"500\"").contains("0x00").contains("a\\u0000b");
        assertThat(lines.get(2)).contains("\"id\":\"1001\"").contains("null value in column");
        TableVerdict verdict = run.verified.tables().get(0);
        assertThat(verdict.same()).isFalse();
        assertThat(verdict.sourceRows()).isEqualTo(1001);
        assertThat(verdict.targetRows())
                .isEqualTo(998)
                .isEqualTo(Long.parseLong(target.ask("SELECT count(*) FROM lamps")));
    }

    @Test
    void mariaDbRefusesWhatItWouldOnlyWarnOf() throws Exception {
        Databases source = Databases.postgresql();
        Databases target = Databases.mariadb();
        source.run(
                "CREATE TABLE readings (id int PRIMARY KEY, level float8, taken date, amount numeric, code varchar(5))",
                "INSERT INTO readings SELECT i, i / 7.0, '2024-01-01', i, 'c' FROM generate_series(1, 500) i",
                "UPDATE readings SET level = 'NaN' WHERE id = 3",
                "UPDATE readings SET level = '-Infinity' WHERE id = 4",
                "UPDATE readings SET taken = '0044-03-15 BC' WHERE id = 5",
                "UPDATE readings SET taken = 'infinity' WHERE id = 6",
                "UPDATE readings SET amount = 0.12345678901234567890123456789012345 WHERE id = 7");
        MigrationRun run = MigrationRun.of(folder.resolve("run"), source.endpoint(), target.endpoint());

        TableResult result = run.loaded.tables().get(0);
        assertThat(result)
                .returns(500L, TableResult::read)
                .returns(495L, TableResult::loaded)
                .returns(5L, TableResult::refused);
        assertThat(target.ask("SELECT GROUP_CONCAT(id ORDER BY id) FROM readings WHERE id < 10"))
                .isEqualTo("1,2,8,9");
        assertThat(Files.readAllLines(folder.resolve("run").resolve(result.refusedFile())))
                .hasSize(5)
                .allMatch(l -> l.startsWith("{\"key\":{\"id\":\""));
    }

    @Test
    void duplicatesUnderTheTargetsRulesAreRefusedAndNotSkipped() throws Exception {
        Databases source = Databases.postgresql();
        Databases target = Databases.mariadb();
        source.run("CREATE TABLE domes (code text PRIMARY KEY)", "INSERT INTO domes VALUES ('a'), ('A'), ('b')");
        target.run("CREATE TABLE domes (code varchar(20) COLLATE utf8mb4_general_ci PRIMARY KEY)");
        MigrationRun run = MigrationRun.intoExisting(folder.resolve("run"), source.endpoint(), target.endpoint());

        assertThat(run.loaded.tables().get(0)).returns(2L, TableResult::loaded).returns(1L, TableResult::refused);
        assertThat(run.verified.same()).isFalse();
    }

    @Test
    void theLoadStopsAfterTooManyRefusals() throws Exception {
        Databases source = Databases.mariadb();
        Databases target = Databases.postgresql();
        source.run(
                "CREATE TABLE lamps (id INT PRIMARY KEY, is_red TINYINT(1))",
                "INSERT INTO lamps SELECT seq, 5 FROM seq_1_to_50");
        assertThatThrownBy(() -> MigrationRun.of(
                        folder.resolve("run"),
                        source.endpoint(),
                        target.endpoint(),
                        "load:\n  stop-after-refused: 10\n"))
                .isInstanceOf(LoadException.class)
                .hasMessageContaining("refused more than 10 rows")
                .hasMessageContaining("boolean");
    }

    /** The reason in our words, and the way back once the target or the line is mended. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void refusedRowsAreLoadedAgain(boolean toMariaDb) throws Exception {
        Databases source = toMariaDb ? Databases.postgresql() : Databases.mariadb();
        Databases target = toMariaDb ? Databases.mariadb() : Databases.postgresql();
        String bytes = toMariaDb ? "bytea" : "varbinary(9)";
        source.run(
                "CREATE TABLE lens (id int PRIMARY KEY, name varchar(30), n int, amount numeric(8, 2), raw " + bytes
                        + ")",
                "INSERT INTO lens VALUES (1, 'good', 1, 1.5, NULL), (2, 'long name   ', 2, 2, NULL),"
                        + " (3, NULL, 70000, 3, NULL), (4, 'x', 4, 123456.78, '\\x4142'), (5, 'y', 5, 5, NULL)");
        if (!toMariaDb) {
            source.run("UPDATE lens SET raw = x'00ff' WHERE id = 4");
        }
        target.run(
                "CREATE TABLE lens (id int PRIMARY KEY, name varchar(6) NOT NULL, n smallint, amount numeric(6, 2), raw "
                        + (toMariaDb ? "varbinary(9)" : "bytea") + ")");
        Path home = folder.resolve("again");
        MigrationRun run = MigrationRun.intoExisting(home, source.endpoint(), target.endpoint());
        TableResult first = run.loaded.tables().get(0);
        assertThat(first).returns(2L, TableResult::loaded).returns(3L, TableResult::refused);
        Path file = home.resolve(first.refusedFile());
        List<String> lines = new ArrayList<>(Files.readAllLines(file));
        assertThat(lines.get(0))
                .startsWith("{\"key\":{\"id\":\"2\"},\"reason\":")
                .contains("\"explanation\":\"name: value of 12 characters into ")
                .contains("3 of them trailing blanks");
        assertThat(lines.get(1)).contains("name: NULL into a column that is not null; n: 70000 into ");
        assertThat(lines.get(2)).contains("amount: number with 6 digits before the point into ");

        target.run(
                toMariaDb
                        ? "ALTER TABLE lens MODIFY amount numeric(8, 2)"
                        : "ALTER TABLE lens ALTER amount TYPE numeric(8, 2)");
        lines.set(0, lines.get(0).replace("\"long name   \"", "\"long\""));
        Files.write(file, lines);
        LoadStage.Result again = retry(run);
        assertThat(again.tables().get(0))
                .returns(3L, TableResult::read)
                .returns(2L, TableResult::loaded)
                .returns(1L, TableResult::refused);
        assertThat(Files.readAllLines(file)).singleElement().asString().contains("\"id\":\"3\"");
        assertThat(target.ask("SELECT name FROM lens WHERE id = 2")).isEqualTo("long");
        assertThat(target.ask("SELECT amount FROM lens WHERE id = 4")).isEqualTo("123456.78");

        damagedLinesAreToldAndMendedOnesArrive(run, file, lines.get(1));
        assertThat(target.ask("SELECT count(*) FROM lens")).isEqualTo("5");
        assertThat(target.ask("SELECT n FROM lens WHERE id = 3")).isEqualTo("7");
    }

    private static void damagedLinesAreToldAndMendedOnesArrive(MigrationRun run, Path file, String line)
            throws Exception {
        Files.writeString(file, "{\"values\":{\"id\":\"3\"}}\n");
        assertThatThrownBy(() -> retry(run))
                .isInstanceOf(LoadException.class)
                .hasMessageContaining(":1: is no row of ")
                .hasMessageContaining("no value for name");
        String mended = line.replace("\"name\":null", "\"name\":\"z\"").replace("70000", "7");
        Files.writeString(file, mended + "\n");
        assertThat(retry(run).refused()).isZero();
        assertThat(file).doesNotExist();
    }

    private static LoadStage.Result retry(MigrationRun run) {
        return LoadStage.retryRefused(run.migration, LoadOptions.of(TargetRows.STOP), new MigrationRun.Silent());
    }
}
