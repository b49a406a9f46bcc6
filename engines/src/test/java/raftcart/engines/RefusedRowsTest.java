package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.error.LoadException;
import raftcart.move.TableResult;
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
                .allMatch(l -> l.startsWith("{\"reason\":\""));
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
}
