package raftcart.demo.servers;

import java.sql.Connection;
import java.sql.SQLException;
import raftcart.plan.Endpoint;

/** A running server in which databases can be made. */
public interface DatabaseServer extends AutoCloseable {
    /** How to log on to a database with full rights. */
    Endpoint endpoint(String database);

    /** Logs on to a database with full rights. */
    Connection connect(String database) throws SQLException;

    /** Makes an empty database. */
    void createDatabase(String database) throws SQLException;

    /** Removes a database. */
    void dropDatabase(String database) throws SQLException;

    @Override
    void close();
}
