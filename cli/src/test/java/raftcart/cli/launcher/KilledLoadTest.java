package raftcart.cli.launcher;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.demo.observatory.Observatory;
import raftcart.demo.servers.DatabaseServer;
import raftcart.demo.servers.TestServers;
import raftcart.plan.Endpoint;

/**
 * The program is killed at random moments of a load, in whatever phase, and run again: what arrives is the same as if
 * nothing had happened, with all keys and triggers. {@code -Draftcart.kills=40} is the long form.
 */
class KilledLoadTest {
    private static final int KILLS = Integer.getInteger("raftcart.kills", 6);
    private static final int SLOWEST_START_MILLIS = 700;
    private static final int LATEST_MILLIS = 7000;

    @TempDir
    Path folder;

    private final long seed = Long.getLong("raftcart.seed", System.nanoTime());

    private static String[] init(Endpoint source, Endpoint target) {
        return new String[] {"init", "move", "--source", source.url(), "--target", target.url()};
    }

    private static String logon(String side, Endpoint endpoint) {
        return side + ":\n" + endpoint.user().map(u -> "  user: '" + u + "'\n").orElse("")
                + endpoint.password().map(p -> "  password: '" + p + "'\n").orElse("");
    }

    /** How many rows a query of one number gives. */
    private static long ask(DatabaseServer server, String database, String sql) throws Exception {
        try (Connection connection = server.connect(database);
                Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(sql)) {
            rows.next();
            return rows.getLong(1);
        }
    }

    @Test
    void nothingIsLostOrDoubledOnTheWayToPostgreSql() throws Exception {
        DatabaseServer mariadb = TestServers.mariadb();
        DatabaseServer postgresql = TestServers.postgresql();
        String origin = TestServers.newDatabase(mariadb, "observatory");
        String target = TestServers.newDatabase(postgresql, "observatory");
        try (Connection connection = mariadb.connect(origin);
                Statement statement = connection.createStatement()) {
            new Observatory(0.4).createOnMariaDb(connection);
            statement.execute("CREATE TABLE keyless AS SELECT seq % 100 AS n, 'a row' AS note FROM seq_1_to_20000");
        }
        crossWithKills(mariadb.endpoint(origin), postgresql.endpoint(target));
        assertThat(ask(postgresql, target, "SELECT count(*) FROM pg_constraint WHERE contype = 'f'"))
                .isEqualTo(ask(
                        mariadb,
                        origin,
                        "SELECT COUNT(*) FROM information_schema.REFERENTIAL_CONSTRAINTS WHERE CONSTRAINT_SCHEMA = '"
                                + origin + "'"));
        assertThat(ask(postgresql, target, "SELECT count(*) FROM pg_trigger WHERE tgenabled = 'D'"))
                .isZero();

        String back = TestServers.newDatabase(mariadb, "returned");
        Files.move(folder.resolve("move"), folder.resolve("there"));
        crossWithKills(postgresql.endpoint(target), mariadb.endpoint(back));
    }

    private void crossWithKills(Endpoint source, Endpoint target) throws Exception {
        Launcher launcher = new Launcher(folder);
        launcher.run(init(source, target));
        Path plan = folder.resolve("move/raftcart.yaml");
        String text = Files.readString(plan)
                .replace("rows-per-part: 250000", "rows-per-part: 5000")
                .replace("\nsource:\n", "\n" + logon("source", source))
                .replace("\ntarget:\n", "\n" + logon("target", target));
        Files.writeString(plan, text);
        for (String stage : List.of("survey", "translate", "build")) {
            Launcher.Result result = launcher.run(stage, "-C", "move");
            assertThat(result.exit()).as(result.err()).isLessThan(2);
        }
        Random random = new Random(seed);
        String[] load = {"load", "-C", "move", "--if-not-empty", "replace"};
        for (int i = 0; i < (KILLS + 1) / 2; i++) {
            Path err = folder.resolve("killed.txt");
            Process process = launcher.start(Map.of(), folder.resolve("out.txt"), err, load);
            int wait = SLOWEST_START_MILLIS + random.nextInt(LATEST_MILLIS - SLOWEST_START_MILLIS);
            if (process.waitFor(wait, TimeUnit.MILLISECONDS)) {
                assertThat(process.exitValue())
                        .as("seed %d: %s", seed, Launcher.text(err))
                        .isLessThan(2);
            } else {
                process.destroyForcibly().waitFor();
            }
        }
        Launcher.Result last = launcher.run(load);
        assertThat(last.exit()).as("seed %d: %s", seed, last.err()).isLessThan(2);
        assertThat(last.out()).doesNotContain("Not made");
        Launcher.Result verify = launcher.run("verify", "-C", "move");
        assertThat(verify.out()).as("seed %d", seed).contains("all the same on both sides");
        assertThat(folder.resolve("move/journal/set-aside.json")).doesNotExist();
        assertThat(ask(source, "exposures")).isEqualTo(ask(target, "exposures"));
    }

    private static long ask(Endpoint endpoint, String table) throws Exception {
        DatabaseServer server = endpoint.url().contains("mariadb") ? TestServers.mariadb() : TestServers.postgresql();
        String path = endpoint.url().replaceFirst("\\?.*", "");
        return ask(server, path.substring(path.lastIndexOf('/') + 1), "SELECT COUNT(*) FROM " + table);
    }
}
