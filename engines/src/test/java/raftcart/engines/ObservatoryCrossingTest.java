package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.Connection;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.demo.observatory.Observatory;
import raftcart.demo.servers.DatabaseServer;
import raftcart.demo.servers.TestServers;
import raftcart.move.TableResult;
import raftcart.verify.TableVerdict;

/** The whole observatory goes from MariaDB to PostgreSQL and from there to another MariaDB database. */
class ObservatoryCrossingTest {
    @TempDir
    static Path folder;

    static MigrationRun there;
    static MigrationRun back;

    @BeforeAll
    static void cross() throws Exception {
        DatabaseServer mariadb = TestServers.mariadb();
        DatabaseServer postgresql = TestServers.postgresql();
        String origin = TestServers.newDatabase(mariadb, "observatory");
        String middle = TestServers.newDatabase(postgresql, "observatory");
        String end = TestServers.newDatabase(mariadb, "returned");
        try (Connection connection = mariadb.connect(origin)) {
            new Observatory(0.05).createOnMariaDb(connection);
        }
        there = MigrationRun.of(folder.resolve("there"), mariadb.endpoint(origin), postgresql.endpoint(middle));
        back = MigrationRun.of(folder.resolve("back"), postgresql.endpoint(middle), mariadb.endpoint(end));
    }

    @Test
    void everyTableArrivesWithTheSameContent() {
        assertThat(there.verified.tables())
                .hasSize(17)
                .filteredOn(v -> !v.same())
                .isEmpty();
        assertThat(back.verified.tables())
                .hasSize(17)
                .filteredOn(v -> !v.same())
                .isEmpty();
    }

    @Test
    void noRowIsRefusedAndNoKeyFails() {
        for (MigrationRun run : List.of(there, back)) {
            assertThat(run.loaded.tables()).allMatch(t -> t.refused() == 0 && t.read() == t.loaded());
            assertThat(run.loaded.failures()).isEmpty();
            assertThat(run.loaded.tables()).extracting(TableResult::read).doesNotContain(0L);
        }
    }

    @Test
    void digestsTellContentsApart() {
        assertThat(there.verified.tables())
                .extracting(TableVerdict::sourceDigest)
                .doesNotHaveDuplicates();
    }
}
