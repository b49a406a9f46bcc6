package raftcart.engines.jdbc;

import java.sql.Connection;
import java.sql.SQLException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import raftcart.engine.Engine;
import raftcart.engine.EngineSession;

/** What the sessions of all engines have in common. */
public abstract class JdbcSession implements EngineSession {
    private static final Logger LOG = LoggerFactory.getLogger(JdbcSession.class);

    private final Engine engine;
    private final Connection connection;
    private final String version;
    private final String schema;

    protected JdbcSession(Engine engine, Connection connection, String version, String schema) {
        this.engine = engine;
        this.connection = connection;
        this.version = version;
        this.schema = schema;
    }

    @Override
    public final Engine engine() {
        return engine;
    }

    @Override
    public final String serverVersion() {
        return version;
    }

    @Override
    public final String defaultSchema() {
        return schema;
    }

    @Override
    public final Connection connection() {
        return connection;
    }

    @Override
    public final void close() {
        try {
            connection.close();
        } catch (SQLException e) {
            LOG.warn("a connection to {} could not be closed", engine.title(), e);
        }
    }

    /** Closes a connection whose session could not be set up. */
    protected static void closeAfter(Connection connection, Exception cause) {
        try {
            connection.close();
        } catch (SQLException e) {
            cause.addSuppressed(e);
        }
    }
}
