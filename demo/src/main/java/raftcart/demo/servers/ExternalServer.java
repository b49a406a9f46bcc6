package raftcart.demo.servers;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import raftcart.dialect.Dialect;
import raftcart.engine.Engines;
import raftcart.plan.Endpoint;
import raftcart.plan.Secrets;

/** A server that runs already, named by the URL of one of its databases; user and password stand in the URL. */
public final class ExternalServer implements DatabaseServer {
    private final String url;
    private final Dialect dialect;

    public ExternalServer(String url) {
        this.url = Secrets.resolve(url, System::getenv);
        this.dialect = Engines.forUrl(url).dialect();
    }

    @Override
    public Endpoint endpoint(String database) {
        int query = url.indexOf('?');
        String path = query < 0 ? url : url.substring(0, query);
        String head = path.substring(0, path.lastIndexOf('/') + 1);
        return Endpoint.of(head + database + (query < 0 ? "" : url.substring(query)));
    }

    @Override
    public Connection connect(String database) throws SQLException {
        String target = endpoint(database).url();
        return DriverManager.getConnection(target + (target.contains("?") ? "&" : "?") + "allowLocalInfile=true");
    }

    @Override
    public void createDatabase(String database) throws SQLException {
        run("CREATE DATABASE " + dialect.identifiers().quote(database));
    }

    @Override
    public void dropDatabase(String database) throws SQLException {
        run("DROP DATABASE IF EXISTS " + dialect.identifiers().quote(database));
    }

    private void run(String sql) throws SQLException {
        try (Connection connection = DriverManager.getConnection(url);
                Statement statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }

    @Override
    public void close() {
        // The server is not ours to stop.
    }
}
