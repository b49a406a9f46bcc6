package raftcart.demo.servers;

import java.sql.SQLException;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The servers that tests run on, started at first use and once for all tests of a JVM. Where
 * {@code RAFTCART_TEST_POSTGRESQL_URL} or {@code RAFTCART_TEST_MARIADB_URL} is set, that server is used instead.
 */
public final class TestServers {
    private static final Logger LOG = LoggerFactory.getLogger(TestServers.class);
    private static final AtomicInteger COUNTER = new AtomicInteger();
    private static final Queue<Made> MADE = new ConcurrentLinkedQueue<>();

    private static DatabaseServer postgresql;
    private static DatabaseServer mariadb;

    private TestServers() {}

    /** The PostgreSQL server. */
    public static synchronized DatabaseServer postgresql() {
        if (postgresql == null) {
            postgresql = open("RAFTCART_TEST_POSTGRESQL_URL", EmbeddedPostgreSql::start);
        }
        return postgresql;
    }

    /** The MariaDB server. */
    public static synchronized DatabaseServer mariadb() {
        if (mariadb == null) {
            mariadb = open("RAFTCART_TEST_MARIADB_URL", EmbeddedMariaDb::start);
        }
        return mariadb;
    }

    private static DatabaseServer open(String variable, Supplier<DatabaseServer> embedded) {
        String url = System.getenv(variable);
        boolean external = url != null && !url.isBlank();
        DatabaseServer server = external ? new ExternalServer(url) : embedded.get();
        Runtime.getRuntime().addShutdownHook(new Thread(() -> close(server, external), "stop test server"));
        return server;
    }

    /** A server of our own goes with all its databases; on one that is not ours they are removed. */
    private static void close(DatabaseServer server, boolean external) {
        if (external) {
            for (Made made : MADE) {
                if (made.server() == server) {
                    drop(made);
                }
            }
        }
        server.close();
    }

    private static void drop(Made made) {
        try {
            made.server().dropDatabase(made.name());
        } catch (SQLException e) {
            LOG.warn("the test database {} is left behind", made.name(), e);
        }
    }

    /** Makes a database of a name that no other test has. */
    public static String newDatabase(DatabaseServer server, String prefix) throws SQLException {
        String name = prefix + "_" + ProcessHandle.current().pid() + "_" + COUNTER.incrementAndGet();
        server.createDatabase(name);
        MADE.add(new Made(server, name));
        return name;
    }

    private record Made(DatabaseServer server, String name) {}
}
