package raftcart.engines.postgresql;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.Properties;
import raftcart.dialect.Dialect;
import raftcart.dialect.postgresql.PgDialect;
import raftcart.engine.Engine;
import raftcart.engine.EngineSession;
import raftcart.engine.SharedSnapshot;
import raftcart.engines.jdbc.Connecting;
import raftcart.plan.Endpoint;

/** PostgreSQL through its JDBC driver. */
public final class PgEngine implements Engine {
    private final Dialect dialect = PgDialect.create();

    @Override
    public String title() {
        return "PostgreSQL";
    }

    @Override
    public Dialect dialect() {
        return dialect;
    }

    @Override
    public String urlForm() {
        return "jdbc:postgresql://HOST:5432/DATABASE";
    }

    @Override
    public boolean accepts(String url) {
        return url.startsWith("jdbc:postgresql:");
    }

    @Override
    public EngineSession open(Endpoint endpoint) {
        Properties properties = new Properties();
        properties.setProperty("ApplicationName", "raftcart");
        properties.setProperty("connectTimeout", "15");
        properties.setProperty("tcpKeepAlive", "true");
        // The detail of an error quotes rows; messages and logs get copied into tickets.
        properties.setProperty("logServerErrorDetail", "false");
        Connection connection = Connecting.open(endpoint, properties);
        return PgSession.start(this, connection, endpoint);
    }

    @Override
    public SharedSnapshot openSnapshot(Endpoint endpoint, int readers) throws SQLException {
        return PgSnapshot.open(this, endpoint, readers);
    }
}
