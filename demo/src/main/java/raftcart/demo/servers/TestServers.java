package raftcart.demo.servers;

import java.sql.SQLException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;

/**
 * The servers that tests run on, started at first use and once for all tests of a JVM. Where
 * {@code RAFTCART_TEST_POSTGRESQL_URL} or {@code RAFTCART_TEST_MARIADB_URL} is set, that server is used instead.
 */
public final class TestServers {
    private static final AtomicInteger COUNTER = new AtomicInteger();

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
        if (url != null && !url.isBlank()) {
            return new ExternalServer(url);
        }
        DatabaseServer server = embedded.get();
        Runtime.getRuntime().addShutdownHook(new Thread(server::close, "stop test server"));
        return server;
    }

    /** Makes a database of a name that no other test has. */
    public static String newDatabase(DatabaseServer server, String prefix) throws SQLException {
        String name = prefix + "_" + ProcessHandle.current().pid() + "_" + COUNTER.incrementAndGet();
        server.createDatabase(name);
        return name;
    }
}
