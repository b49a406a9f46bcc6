package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.verify.TableVerdict;

/** What a digest depends on and what it does not. Pairs of tables hold rows that a careless digest would confuse. */
class DigestTest {
    @TempDir
    java.nio.file.Path folder;

    private static final List<String> CONTENTS = List.of(
            "('a', 'bc')",
            "('ab', 'c')",
            "('a,1:b', 'c')",
            "('a', '1:b,c')",
            "('', NULL)",
            "(NULL, '')",
            "(NULL, NULL)",
            "('N', 'N')",
            "('N', NULL)",
            "('a', 'bc'), ('a', 'bc')",
            "('a', 'bc'), ('a', 'bc'), ('a', 'bc')",
            "('a', 'b'), ('c', 'd')",
            "('a', 'd'), ('c', 'b')",
            "('A', 'bc')",
            "('a', 'bc ')",
            "(' a', 'bc')",
            "('a' , CONCAT('b', 'c', 'd'))");

    @Test
    void differentContentsHaveDifferentDigests() throws Exception {
        Databases source = Databases.mariadb();
        for (int i = 0; i < CONTENTS.size(); i++) {
            source.run(
                    "CREATE TABLE pair_" + i + " (x VARCHAR(20), y VARCHAR(20)) COLLATE utf8mb4_bin",
                    "INSERT INTO pair_" + i + " VALUES " + CONTENTS.get(i));
        }
        MigrationRun run = MigrationRun.of(
                folder, source.endpoint(), Databases.postgresql().endpoint());
        assertThat(run.verified.tables()).hasSize(CONTENTS.size()).allMatch(TableVerdict::same);
        Set<String> digests = new HashSet<>();
        run.verified.tables().forEach(t -> digests.add(t.sourceRows() + t.sourceDigest()));
        assertThat(digests).hasSize(CONTENTS.size());
    }

    @Test
    void theOrderOfRowsDoesNotMatterAndWideTablesAreNoTrouble() throws Exception {
        Databases source = Databases.postgresql();
        Databases target = Databases.mariadb();
        StringBuilder columns = new StringBuilder("id int PRIMARY KEY");
        StringBuilder values = new StringBuilder("i");
        for (int i = 0; i < 300; i++) {
            columns.append(", c").append(i).append(" int");
            values.append(", i * ").append(i);
        }
        source.run(
                "CREATE TABLE wide (" + columns + ")",
                "INSERT INTO wide SELECT " + values + " FROM generate_series(200, 1, -1) i");
        MigrationRun run = MigrationRun.of(folder, source.endpoint(), target.endpoint());
        assertThat(run.verified.tables()).hasSize(1).allMatch(TableVerdict::same);
        target.run("UPDATE wide SET c299 = c299 + 1 WHERE id = 100");
        assertThat(raftcart.migration.VerifyStage.run(run.migration, v -> {})
                        .tables()
                        .get(0)
                        .differingColumns())
                .containsExactly("c299");
    }
}
