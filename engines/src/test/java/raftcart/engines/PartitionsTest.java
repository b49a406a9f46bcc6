package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.catalog.Partitioning;
import raftcart.catalog.Table;
import raftcart.engine.EngineSession;
import raftcart.engine.Engines;
import raftcart.finding.FindingCode;
import raftcart.migration.BuildStage;
import raftcart.migration.LoadStage;
import raftcart.migration.Migration;
import raftcart.migration.SurveyStage;
import raftcart.migration.TranslateStage;
import raftcart.move.LoadOptions;
import raftcart.move.TargetRows;
import raftcart.plan.Endpoint;
import raftcart.verify.TableVerdict;

/** Tables divided into parts are divided in the same way on the other engine, and their rows are where they belong. */
class PartitionsTest {
    @TempDir
    Path folder;

    private static Table table(Databases database, String name) {
        try (EngineSession session = Engines.open(database.endpoint())) {
            return session.readCatalog()
                    .tables()
                    .filter(t -> t.name().name().equals(name))
                    .findFirst()
                    .orElseThrow();
        }
    }

    private static List<String> bounds(Databases database, String name) {
        return table(database, name).partitioning().orElseThrow().partitions().stream()
                .map(p -> p.name() + ": " + p.bounds())
                .toList();
    }

    private static String whyNot(MigrationRun run, String table) {
        return run.translated.findings().stream()
                .filter(f -> f.code() == FindingCode.SYNTAX_CHECK && f.object().endsWith("." + table))
                .map(f -> f.detail())
                .findFirst()
                .orElse("");
    }

    @Test
    void fromMariaDb() throws Exception {
        Databases source = Databases.mariadb();
        source.run(
                "CREATE TABLE frame (id INT NOT NULL, taken DATE NOT NULL, PRIMARY KEY (id, taken))"
                        + " PARTITION BY RANGE (YEAR(taken)) (PARTITION p2024 VALUES LESS THAN (2025),"
                        + " PARTITION p2025 VALUES LESS THAN (2026), PARTITION pmax VALUES LESS THAN MAXVALUE)",
                "INSERT INTO frame VALUES (1, '2019-05-05'), (2, '2025-01-01'), (3, '2025-12-31'), (4, '2031-01-01')",
                "CREATE TABLE reading (at DATETIME, n INT) PARTITION BY RANGE (TO_DAYS(at))"
                        + " (PARTITION a VALUES LESS THAN (TO_DAYS('2025-01-01')), PARTITION b VALUES LESS THAN MAXVALUE)",
                "INSERT INTO reading VALUES (NULL, 1), ('2024-12-31 23:59:59', 2), ('2025-01-01 00:00:00', 3)",
                "CREATE TABLE band (code VARCHAR(3) NOT NULL PRIMARY KEY) PARTITION BY LIST COLUMNS (code)"
                        + " (PARTITION blue VALUES IN ('U', 'B'), PARTITION other DEFAULT)",
                "INSERT INTO band VALUES ('U'), ('B'), ('I')",
                "CREATE TABLE star (id INT PRIMARY KEY) PARTITION BY KEY () PARTITIONS 3",
                "INSERT INTO star VALUES (1), (2), (3), (4)",
                "CREATE TABLE mixed (a INT, b INT) PARTITION BY RANGE (a + b) (PARTITION x VALUES LESS THAN (10))",
                "INSERT INTO mixed VALUES (1, 2)");
        Databases target = Databases.postgresql();
        MigrationRun run = MigrationRun.of(folder.resolve("run"), source.endpoint(), target.endpoint());

        assertThat(run.verified.tables()).hasSize(5).allMatch(TableVerdict::same);
        assertThat(whyNot(run, "frame")).isEmpty();
        assertThat(bounds(target, "frame"))
                .containsExactly(
                        "frame_p2024: FOR VALUES FROM (MINVALUE) TO ('2025-01-01')",
                        "frame_p2025: FOR VALUES FROM ('2025-01-01') TO ('2026-01-01')",
                        "frame_pmax: FOR VALUES FROM ('2026-01-01') TO (MAXVALUE)");
        assertThat(target.ask("SELECT count(*) FROM frame_p2025")).isEqualTo("2");
        assertThat(target.ask("SELECT count(*) FROM reading_rest WHERE at IS NULL"))
                .isEqualTo("1");
        assertThat(bounds(target, "band"))
                .containsExactly("band_blue: FOR VALUES IN ('U', 'B')", "band_other: DEFAULT");
        assertThat(bounds(target, "star")).hasSize(3).allMatch(b -> b.contains("modulus 3"));
        assertThat(table(target, "mixed").partitioning()).isEmpty();
        assertThat(whyNot(run, "mixed")).contains("RANGE", "by an expression");
    }

    @Test
    void fromPostgreSql() throws Exception {
        Databases source = Databases.postgresql();
        source.run(
                "CREATE TABLE frame (id int NOT NULL, taken date NOT NULL, PRIMARY KEY (id, taken)) PARTITION BY RANGE (taken)",
                "CREATE TABLE z_first PARTITION OF frame FOR VALUES FROM (MINVALUE) TO ('2025-01-01')",
                "CREATE TABLE a_second PARTITION OF frame FOR VALUES FROM ('2025-01-01') TO ('2026-01-01')",
                "CREATE TABLE rest PARTITION OF frame DEFAULT",
                "INSERT INTO frame VALUES (1, '2019-05-05'), (2, '2025-01-01'), (3, '2025-12-31'), (4, '2031-01-01')",
                "CREATE TABLE star (id bigint PRIMARY KEY) PARTITION BY HASH (id)",
                "CREATE TABLE star_0 PARTITION OF star FOR VALUES WITH (MODULUS 2, REMAINDER 0)",
                "CREATE TABLE star_1 PARTITION OF star FOR VALUES WITH (MODULUS 2, REMAINDER 1)",
                "INSERT INTO star VALUES (1), (2), (3), (4)",
                "CREATE TABLE reading (star_id bigint REFERENCES star, n int) PARTITION BY LIST (n)",
                "CREATE TABLE reading_1 PARTITION OF reading FOR VALUES IN (1, 2, NULL)",
                "INSERT INTO reading VALUES (1, 1), (2, NULL)",
                "CREATE TABLE flux (v numeric(9,3)) PARTITION BY RANGE (v)",
                "CREATE TABLE flux_1 PARTITION OF flux FOR VALUES FROM (0) TO (10)",
                "INSERT INTO flux VALUES (1.5)");
        Databases target = Databases.mariadb();
        MigrationRun run = MigrationRun.of(folder.resolve("run"), source.endpoint(), target.endpoint());

        assertThat(run.verified.tables()).hasSize(4).allMatch(TableVerdict::same);
        assertThat(bounds(target, "frame"))
                .containsExactly(
                        "z_first: VALUES LESS THAN ('2025-01-01')",
                        "a_second: VALUES LESS THAN ('2026-01-01')",
                        "rest: VALUES LESS THAN MAXVALUE");
        assertThat(target.ask("SELECT COUNT(*) FROM frame PARTITION (a_second)"))
                .isEqualTo("2");
        assertThat(table(target, "star").partitioning()).isEmpty();
        assertThat(whyNot(run, "star")).contains("foreign keys and partitions exclude each other");
        assertThat(whyNot(run, "reading")).contains("foreign keys and partitions exclude each other");
        assertThat(whyNot(run, "flux")).contains("a type by which the target does not partition");
    }

    /** A dump makes the parts tables of their own, lets them join, and fills them one by one. */
    @Test
    void fromDump() throws Exception {
        Databases target = Databases.mariadb();
        TranslateStage.Result translated = crossDump(target);

        assertThat(translated.objects()).hasSize(4);
        assertThat(translated.findings())
                .filteredOn(f -> f.code() == FindingCode.NOT_TRANSLATED)
                .extracting(f -> f.detail())
                .containsExactly(
                        "an index on one partition alone",
                        "a change of one partition alone",
                        "one partition is dropped, with its rows");
        assertThat(table(target, "frame").indexes()).hasSize(1);
        assertThat(target.ask("SELECT COUNT(*) FROM frame PARTITION (frame_2025)"))
                .isEqualTo("2");
    }

    /** Where parts are tables on both engines they keep the names by which programs know them. */
    @Test
    void fromDumpToTables() throws Exception {
        Databases target = Databases.postgresql();
        crossDump(target);

        assertThat(target.ask("SELECT COUNT(*) FROM frame_2025")).isEqualTo("2");
    }

    private TranslateStage.Result crossDump(Databases target) throws Exception {
        Path scripts = Files.createDirectory(folder.resolve("dump"));
        try (InputStream dump = PartitionsTest.class.getResourceAsStream("partitions-dump.sql")) {
            Files.copy(dump, scripts.resolve("dump.sql"));
        }
        Migration migration = MigrationRun.migration(
                folder.resolve("run"), Endpoint.of("scripts:postgresql:" + scripts), target.endpoint(), "");
        SurveyStage.run(migration);
        TranslateStage.Result translated = TranslateStage.run(migration);
        BuildStage.run(migration, BuildStage.Part.BEFORE_DATA, BuildStage.Existing.STOP, false);
        LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), new MigrationRun.Silent());
        assertThat(table(target, "frame").partitioning().orElseThrow().partitions())
                .extracting(Partitioning.Partition::name)
                .containsExactly("frame_2024", "frame_2025");
        return translated;
    }
}
