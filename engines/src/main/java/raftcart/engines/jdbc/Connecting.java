package raftcart.engines.jdbc;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Properties;
import raftcart.error.ConnectException;
import raftcart.plan.Endpoint;

/** Opens connections and says in words why one could not be opened. */
public final class Connecting {
    private static final int INVALID_AUTHORIZATION = 28;

    private Connecting() {}

    /**
     * Connects.
     *
     * @param properties settings of the driver; user and password are added
     */
    public static Connection open(Endpoint endpoint, Properties properties) {
        Properties all = new Properties();
        all.putAll(properties);
        endpoint.user().ifPresent(u -> all.setProperty("user", u));
        endpoint.password().ifPresent(p -> all.setProperty("password", p));
        try {
            return DriverManager.getConnection(endpoint.url(), all);
        } catch (SQLException e) {
            throw explain(endpoint, e);
        }
    }

    private static ConnectException explain(Endpoint endpoint, SQLException e) {
        String state = e.getSQLState() == null ? "" : e.getSQLState();
        String url = endpoint.shownUrl();
        String words =
                raftcart.plan.Secrets.mask(e.getMessage().lines().findFirst().orElse(""));
        if (state.startsWith(String.valueOf(INVALID_AUTHORIZATION))) {
            return new ConnectException(
                    "the server at " + url + " does not accept the user or password: " + words,
                    "Check user and password in the plan; a password is best given as ${env:NAME} or ${file:PATH}.",
                    e);
        }
        if (state.startsWith("3D") || state.equals("42000")) {
            return new ConnectException(
                    "the server at " + url + " has no such database, or the account may not use it: " + words,
                    "Check the name of the database at the end of the URL, and create it if it is the target.",
                    e);
        }
        return new ConnectException(
                "the server at " + url + " cannot be reached: " + words,
                "Check host and port, that the server runs, and that no firewall stands between.",
                e);
    }
}
