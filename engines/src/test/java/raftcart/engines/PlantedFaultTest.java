package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;
import raftcart.migration.VerifyStage;
import raftcart.verify.TableVerdict;

/** Faults are planted in a loaded target one at a time; the comparison has to find each and name its column. */
class PlantedFaultTest {
    @TempDir
    static Path folder;

    static Databases target;
    static MigrationRun run;

    @BeforeAll
    static void load() throws Exception {
        Databases source = Databases.mariadb();
        target = Databases.postgresql();
        source.run(
                "CREATE TABLE plates (id INT PRIMARY KEY, a VARCHAR(20), b VARCHAR(20), n DECIMAL(20,4), f DOUBLE,"
                        + " at DATETIME(6), moment TIMESTAMP(6) NULL, on_file TINYINT(1), scan BLOB, span TIME(3))",
                "INSERT INTO plates SELECT seq, CONCAT('Ab ', seq), IF(seq % 2, '', NULL), seq / 8, IF(seq = 9, 0e0, seq / 3),"
                        + " '2024-03-31 01:30:00.000001' + INTERVAL seq HOUR, '2024-10-27 00:59:59' + INTERVAL seq MINUTE,"
                        + " seq % 2, UNHEX(MD5(seq)), SEC_TO_TIME(seq) FROM seq_1_to_300");
        run = MigrationRun.of(folder, source.endpoint(), target.endpoint());
    }

    private record Fault(String name, String change, String column) {}

    private static final List<Fault> FAULTS = List.of(
            new Fault("one letter in another case", "a = lower(a) WHERE id = 5", "a"),
            new Fault("a trailing blank", "a = a || ' ' WHERE id = 5", "a"),
            new Fault("a cut text", "a = left(a, 2) WHERE id = 5", "a"),
            new Fault("a combining character", "a = a || U&'\\0301' WHERE id = 5", "a"),
            new Fault("NULL for empty", "b = NULL WHERE id = 1", "b"),
            new Fault("empty for NULL", "b = '' WHERE id = 2", "b"),
            new Fault("the last digit", "n = n + 0.0001 WHERE id = 5", "n"),
            new Fault("the sign of zero", "f = '-0' WHERE id = 9", "f"),
            new Fault("the last bit of a double", "f = '3.3333333333333339' WHERE id = 10", "f"),
            new Fault("an hour", "at = at + interval '1 hour' WHERE id = 5", "at"),
            new Fault("a microsecond", "at = at + interval '1 microsecond' WHERE id = 5", "at"),
            new Fault("a shifted zone", "moment = moment + interval '1 hour'", "moment"),
            new Fault("a flipped boolean", "on_file = NOT on_file WHERE id = 5", "on_file"),
            new Fault("one bit of a blob", "scan = set_bit(scan, 3, 1 - get_bit(scan, 3)) WHERE id = 5", "scan"),
            new Fault("a byte at the end of a blob", "scan = scan || '\\x00' WHERE id = 5", "scan"),
            new Fault("a thousandth of a span", "span = span + interval '1 millisecond' WHERE id = 5", "span"),
            new Fault("a value of another row", "a = (SELECT p.a FROM plates p WHERE p.id = 6) WHERE id = 5", "a"));

    @TestFactory
    Stream<DynamicTest> everyFaultIsFound() {
        return FAULTS.stream()
                .map(fault -> DynamicTest.dynamicTest(fault.name(), () -> {
                    target.run("CREATE TABLE backup AS SELECT * FROM plates", "UPDATE plates SET " + fault.change());
                    TableVerdict verdict = verdict();
                    assertThat(verdict.same()).isFalse();
                    assertThat(verdict.differingColumns()).containsExactly(fault.column());
                    restore();
                }));
    }

    @Test
    void valuesSwappedBetweenRowsAreFoundThoughEveryColumnIsTheSame() throws Exception {
        target.run(
                "CREATE TABLE backup AS SELECT * FROM plates",
                "UPDATE plates p SET n = q.n FROM backup q WHERE (p.id, q.id) IN ((5, 6), (6, 5))");
        assertThat(verdict().same()).isFalse();
        assertThat(verdict().differingColumns()).isEmpty();
        restore();
    }

    @Test
    void lostAndDoubledRowsAreFound() throws Exception {
        target.run("CREATE TABLE backup AS SELECT * FROM plates", "DELETE FROM plates WHERE id = 5");
        assertThat(verdict().targetRows()).isEqualTo(299);
        target.run(
                "ALTER TABLE plates DROP CONSTRAINT plates_pkey",
                "INSERT INTO plates SELECT * FROM plates WHERE id = 6");
        assertThat(verdict().targetRows()).isEqualTo(300);
        assertThat(verdict().same()).isFalse();
        restore();
    }

    @Test
    void aMissingTableIsSaidAndNotPassedOver() throws Exception {
        target.run("ALTER TABLE plates RENAME TO elsewhere");
        assertThat(verdict().problem()).contains("plates");
        assertThat(verdict().same()).isFalse();
        target.run("ALTER TABLE elsewhere RENAME TO plates");
    }

    private static TableVerdict verdict() {
        return VerifyStage.run(run.migration, v -> {}).tables().get(0);
    }

    private static void restore() throws Exception {
        target.run("TRUNCATE plates", "INSERT INTO plates SELECT * FROM backup", "DROP TABLE backup");
        assertThat(verdict().same()).isTrue();
    }
}
