package raftcart.engines.mariadb;

import java.sql.SQLException;
import java.util.Properties;
import raftcart.dialect.Dialect;
import raftcart.dialect.mariadb.MariaDbDialect;
import raftcart.engine.Engine;
import raftcart.engine.EngineSession;
import raftcart.engine.SharedSnapshot;
import raftcart.engines.jdbc.Connecting;
import raftcart.plan.Endpoint;

/** MariaDB through its JDBC driver. */
public final class MariaDbEngine implements Engine {
    private final Dialect dialect = MariaDbDialect.create();

    @Override
    public String title() {
        return "MariaDB";
    }

    @Override
    public Dialect dialect() {
        return dialect;
    }

    @Override
    public String urlForm() {
        return "jdbc:mariadb://HOST:3306/DATABASE";
    }

    @Override
    public boolean accepts(String url) {
        return url.startsWith("jdbc:mariadb:");
    }

    @Override
    public EngineSession open(Endpoint endpoint) {
        Properties properties = new Properties();
        properties.setProperty("allowLocalInfile", "true");
        properties.setProperty("connectTimeout", "15000");
        properties.setProperty("tcpKeepAlive", "true");
        return MariaDbSession.start(this, Connecting.open(endpoint, properties), endpoint);
    }

    @Override
    public SharedSnapshot openSnapshot(Endpoint endpoint, int readers) throws SQLException {
        return MariaDbSnapshot.open(this, endpoint, readers);
    }
}
