package raftcart.engines;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import raftcart.demo.servers.DatabaseServer;
import raftcart.demo.servers.TestServers;
import raftcart.plan.Endpoint;

/** A fresh database on one of the test servers, and small questions to it. */
record Databases(DatabaseServer server, String name) {

    static Databases mariadb() throws SQLException {
        return fresh(TestServers.mariadb());
    }

    static Databases postgresql() throws SQLException {
        return fresh(TestServers.postgresql());
    }

    private static Databases fresh(DatabaseServer server) throws SQLException {
        return new Databases(server, TestServers.newDatabase(server, "test"));
    }

    Endpoint endpoint() {
        return server.endpoint(name);
    }

    Connection connect() throws SQLException {
        return server.connect(name);
    }

    void run(String... statements) throws SQLException {
        try (Connection connection = connect();
                Statement statement = connection.createStatement()) {
            for (String sql : statements) {
                statement.execute(sql);
            }
        }
    }

    String ask(String sql) throws SQLException {
        try (Connection connection = connect();
                Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(sql)) {
            rows.next();
            return rows.getString(1);
        }
    }
}
