package raftcart.demo.servers;

import io.zonky.test.db.postgres.embedded.EmbeddedPostgres;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import raftcart.dialect.postgresql.PgDialect;
import raftcart.plan.Endpoint;

/** A PostgreSQL server from its Maven binaries, on a free port of the loopback address. */
public final class EmbeddedPostgreSql implements DatabaseServer {
    private static final Logger LOG = LoggerFactory.getLogger(EmbeddedPostgreSql.class);
    private static final String USER = "postgres";

    private final ServerFolder folder;
    private final EmbeddedPostgres server;

    private EmbeddedPostgreSql(ServerFolder folder, EmbeddedPostgres server) {
        this.folder = folder;
        this.server = server;
    }

    /** Starts a server; takes a few seconds. */
    public static EmbeddedPostgreSql start() {
        ServerFolder folder = ServerFolder.create("postgresql");
        try {
            EmbeddedPostgres server = EmbeddedPostgres.builder()
                    .setOverrideWorkingDirectory(folder.path("programs").toFile())
                    .setDataDirectory(folder.path("data"))
                    .setCleanDataDirectory(true)
                    .setServerConfig("fsync", "off")
                    .setServerConfig("max_wal_size", "2GB")
                    .setServerConfig("shared_buffers", "128MB")
                    .setPGStartupWait(Duration.ofSeconds(60))
                    .start();
            return new EmbeddedPostgreSql(folder, server);
        } catch (IOException e) {
            folder.close();
            throw new UncheckedIOException("PostgreSQL could not be started", e);
        }
    }

    @Override
    public Endpoint endpoint(String database) {
        String url = "jdbc:postgresql://localhost:" + server.getPort() + "/" + database;
        return new Endpoint(url, Optional.of(USER), Optional.empty());
    }

    @Override
    public Connection connect(String database) throws SQLException {
        return DriverManager.getConnection(endpoint(database).url(), USER, "");
    }

    @Override
    public void createDatabase(String database) throws SQLException {
        run("CREATE DATABASE " + PgDialect.create().identifiers().quote(database));
    }

    @Override
    public void dropDatabase(String database) throws SQLException {
        run("DROP DATABASE IF EXISTS " + PgDialect.create().identifiers().quote(database) + " WITH (FORCE)");
    }

    private void run(String sql) throws SQLException {
        try (Connection connection = connect("postgres");
                Statement statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }

    @Override
    public void close() {
        try {
            server.close();
        } catch (IOException e) {
            LOG.warn("PostgreSQL did not stop in an orderly way", e);
        }
        folder.close();
    }
}
