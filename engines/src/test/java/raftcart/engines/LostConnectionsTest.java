package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.error.LoadException;
import raftcart.migration.BuildStage;
import raftcart.migration.LoadStage;
import raftcart.migration.Migration;
import raftcart.migration.SurveyStage;
import raftcart.migration.TranslateStage;
import raftcart.migration.VerifyStage;
import raftcart.move.LoadOptions;
import raftcart.move.TargetRows;

/** Connections that break while rows move: the part is moved again, or the load ends and goes on; nothing is doubled. */
class LostConnectionsTest {
    private static final String FILL_POSTGRES =
            "INSERT INTO frames SELECT i, repeat('x', 300) FROM generate_series(1, 60000) AS g (i)";
    private static final String FILL_MARIADB = "INSERT INTO frames SELECT seq, repeat('x', 300) FROM seq_1_to_60000";

    @TempDir
    Path folder;

    /** Kills the connections that a query names, once, when rows have moved; keeps what is said. */
    private static final class Killer extends MigrationRun.Silent {
        private final Databases server;
        private final String connections;
        private final String kill;
        private final List<String> retries = new ArrayList<>();
        private boolean done;

        Killer(Databases server, String connections, String kill) {
            this.server = server;
            this.connections = connections;
            this.kill = kill;
        }

        @Override
        public void rowsWritten(String table, long rows, long bytes) {
            if (done) {
                return;
            }
            try {
                String found = server.ask(connections);
                if (found != null && !found.isEmpty()) {
                    done = true;
                    for (String id : found.split(",")) {
                        server.run(kill.formatted(id));
                    }
                }
            } catch (SQLException e) {
                throw new IllegalStateException(e);
            }
        }

        @Override
        public void retrying(String table, String cause, Duration after) {
            retries.add(cause);
        }
    }

    /** Sessions that move rows; those that write them have the savepoint of the batch behind them. */
    private static final String POSTGRES_COPIES =
            "SELECT string_agg(pid::text, ',') FROM pg_stat_activity WHERE datname = current_database()"
                    + " AND pid <> pg_backend_pid() AND (query LIKE 'COPY%' OR query LIKE 'RELEASE%')";

    private Migration built(Databases source, Databases target, String fill) throws Exception {
        source.run("CREATE TABLE frames (id int PRIMARY KEY, note varchar(400))", fill);
        Migration migration = MigrationRun.migration(
                folder, source.endpoint(), target.endpoint(), "load: {rows-per-part: 10000, rows-per-batch: 1000}\n");
        SurveyStage.run(migration);
        TranslateStage.run(migration);
        BuildStage.run(migration, BuildStage.Part.BEFORE_DATA, BuildStage.Existing.STOP, false);
        return migration;
    }

    private static void isComplete(Migration migration, LoadStage.Result result) {
        assertThat(result.refused()).isZero();
        assertThat(result.loaded()).isEqualTo(60_000);
        assertThat(VerifyStage.run(migration, v -> {}).same()).isTrue();
    }

    @Test
    void writersOfPostgreSqlAreOpenedAgain() throws Exception {
        Databases target = Databases.postgresql();
        goesOnBesideKilledConnections(Databases.mariadb(), target, FILL_MARIADB, target, "target: ");
    }

    @Test
    void readersOfPostgreSqlAreReplacedBySuchThatSeeTheSame() throws Exception {
        Databases source = Databases.postgresql();
        goesOnBesideKilledConnections(source, Databases.mariadb(), FILL_POSTGRES, source, "source: ");
    }

    private void goesOnBesideKilledConnections(
            Databases source, Databases target, String fill, Databases killed, String side) throws Exception {
        Migration migration = built(source, target, fill);
        Killer killer = new Killer(killed, POSTGRES_COPIES, "SELECT pg_terminate_backend(%s)");
        LoadStage.Result result = LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), killer);
        assertThat(killer.retries).isNotEmpty().allMatch(r -> r.startsWith(side));
        isComplete(migration, result);
    }

    @Test
    void aReaderOfMariaDbEndsTheLoadWhichGoesOn() throws Exception {
        Databases source = Databases.mariadb();
        Databases target = Databases.postgresql();
        Migration migration = built(source, target, FILL_MARIADB);
        String readers = "SELECT GROUP_CONCAT(ID) FROM information_schema.PROCESSLIST WHERE DB = DATABASE()"
                + " AND INFO LIKE 'SELECT%frames%' AND ID <> CONNECTION_ID()";
        Killer killer = new Killer(source, readers, "KILL %s");
        assertThatThrownBy(() -> LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), killer))
                .isInstanceOf(LoadException.class)
                .hasMessageContaining("from the source failed");
        isComplete(migration, LoadStage.run(migration, LoadOptions.of(TargetRows.STOP), new MigrationRun.Silent()));
    }
}
