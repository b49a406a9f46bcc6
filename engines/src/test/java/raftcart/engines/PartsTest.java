package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import raftcart.catalog.Table;
import raftcart.engine.EngineSession;
import raftcart.engine.Engines;
import raftcart.engine.SharedSnapshot;

/** Large tables are parted so that every row is in one part, and no part is much larger than the others. */
class PartsTest {
    private static final int ROWS = 40_000;

    static List<Arguments> keys() {
        String mariadb = "SELECT seq AS i FROM seq_1_to_" + ROWS;
        String postgres = "SELECT i FROM generate_series(1, " + ROWS + ") AS g (i)";
        List<Arguments> keys = new ArrayList<>();
        for (boolean mariaDb : new boolean[] {true, false}) {
            String rows = "FROM (" + (mariaDb ? mariadb : postgres) + ") AS r";
            String bytes = mariaDb ? "varbinary(16)" : "bytea";
            String digest = mariaDb ? "unhex(md5(i))" : "decode(md5(i::text), 'hex')";
            keys.add(Arguments.of(mariaDb, "k integer PRIMARY KEY", "SELECT i " + rows, 8));
            // Skewed: most keys lie in a thousandth of their range.
            keys.add(Arguments.of(
                    mariaDb,
                    "k bigint PRIMARY KEY",
                    "SELECT CASE WHEN i > 39900 THEN i * 10000000000 ELSE i END " + rows,
                    8));
            keys.add(Arguments.of(mariaDb, "k numeric(20, 4) PRIMARY KEY", "SELECT i * 0.0001 " + rows, 0));
            keys.add(Arguments.of(
                    mariaDb,
                    "k varchar(40) PRIMARY KEY",
                    "SELECT concat('KR-2026-', lpad(concat(i, ''), 9, '0')) " + rows,
                    8));
            keys.add(Arguments.of(mariaDb, "k varchar(40) PRIMARY KEY", "SELECT md5(concat(i, '')) " + rows, 8));
            keys.add(Arguments.of(mariaDb, "k " + bytes + " PRIMARY KEY", "SELECT " + digest + " " + rows, 8));
            keys.add(Arguments.of(
                    mariaDb,
                    "a integer, b varchar(9), c integer, PRIMARY KEY (a, b, c)",
                    "SELECT CASE WHEN i < 100 THEN i ELSE 77 END, CASE WHEN i < 9000 THEN 'x' ELSE concat('y''', chr(92)) END, i "
                            + rows,
                    8));
            keys.add(Arguments.of(
                    mariaDb,
                    "k timestamp(0) PRIMARY KEY",
                    "SELECT "
                            + (mariaDb
                                    ? "'2026-01-01' + INTERVAL i MINUTE "
                                    : "'2026-01-01'::timestamp + i * interval '1 minute' ")
                            + rows,
                    8));
        }
        keys.addAll(others());
        return keys;
    }

    /** Keys of one engine, and tables that cannot be parted. */
    private static List<Arguments> others() {
        List<Arguments> keys = new ArrayList<>();
        keys.add(Arguments.of(false, "k integer", "SELECT i FROM generate_series(1, " + ROWS + ") AS g (i)", 8));
        keys.add(Arguments.of(
                false,
                "k char(9) PRIMARY KEY",
                "SELECT lpad(i::text, 9, '0') FROM generate_series(1, " + ROWS + ") AS g (i)",
                8));
        keys.add(Arguments.of(true, "k integer", "SELECT 1 FROM seq_1_to_" + ROWS, 0));
        keys.add(Arguments.of(true, "k integer PRIMARY KEY", "SELECT seq FROM seq_1_to_2", 0));
        keys.add(Arguments.of(false, "k integer PRIMARY KEY", "SELECT 1 WHERE false", 0));
        return keys;
    }

    @ParameterizedTest
    @MethodSource("keys")
    void everyRowIsInOnePart(boolean mariaDb, String columns, String rows, int wanted) throws Exception {
        Databases database = mariaDb ? Databases.mariadb() : Databases.postgresql();
        database.run("CREATE TABLE frames (" + columns + ")", "INSERT INTO frames " + rows);
        database.run(mariaDb ? "ANALYZE TABLE frames" : "ANALYZE frames");
        Table table;
        try (EngineSession session = Engines.open(database.endpoint())) {
            table = session.readCatalog().tables().findFirst().orElseThrow();
        }
        try (SharedSnapshot snapshot = Engines.openSnapshot(database.endpoint(), 1)) {
            List<String> parts = snapshot.parts(table, 8);
            long all = Long.parseLong(database.ask("SELECT count(*) FROM frames"));
            long sum = 0;
            long largest = 0;
            for (String part : parts) {
                long count = Long.parseLong(database.ask("SELECT count(*) FROM frames WHERE " + part));
                sum += count;
                largest = Math.max(largest, count);
            }
            if (wanted > 0) {
                assertThat(parts).hasSizeBetween(wanted / 2, wanted * 2);
                assertThat(largest).as("%s", parts).isLessThan(all * 2 / wanted);
            }
            assertThat(sum).isEqualTo(parts.isEmpty() ? 0 : all);
        }
    }
}
