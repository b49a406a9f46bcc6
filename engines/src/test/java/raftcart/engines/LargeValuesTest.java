package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.verify.TableVerdict;

/** Values that are larger than a batch, and many tables that are empty. */
class LargeValuesTest {
    @TempDir
    Path folder;

    @Test
    void ofManyMegabytesCrossBothWays() throws Exception {
        Databases source = Databases.postgresql();
        Databases middle = Databases.mariadb();
        Databases end = Databases.postgresql();
        source.run(
                "CREATE TABLE scans (id int PRIMARY KEY, scan bytea, note text)",
                "INSERT INTO scans SELECT i, decode(repeat(md5(i::text), 300000), 'hex'), repeat('é\\t' || i, 900000)"
                        + " FROM generate_series(1, 3) i",
                "INSERT INTO scans VALUES (4, '', ''), (5, NULL, NULL)");
        MigrationRun there = MigrationRun.of(folder.resolve("there"), source.endpoint(), middle.endpoint());
        assertThat(there.verified.tables()).singleElement().returns(true, TableVerdict::same);
        assertThat(middle.ask("SELECT MAX(LENGTH(scan)) FROM scans")).isEqualTo("4800000");
        MigrationRun back = MigrationRun.of(folder.resolve("back"), middle.endpoint(), end.endpoint());
        assertThat(back.verified.tables())
                .singleElement()
                .returns(true, TableVerdict::same)
                .returns(there.verified.tables().get(0).sourceDigest(), TableVerdict::sourceDigest);
    }

    @Test
    void manyEmptyTablesCross() throws Exception {
        Databases source = Databases.mariadb();
        String[] tables = new String[60];
        for (int i = 0; i < tables.length; i++) {
            tables[i] = "CREATE TABLE empty_" + i + " (id INT PRIMARY KEY, x TEXT)";
        }
        source.run(tables);
        MigrationRun run = MigrationRun.of(
                folder, source.endpoint(), Databases.postgresql().endpoint());
        assertThat(run.verified.tables())
                .hasSize(tables.length)
                .allMatch(TableVerdict::same)
                .allMatch(v -> v.targetRows() == 0);
    }
}
