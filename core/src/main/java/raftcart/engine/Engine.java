package raftcart.engine;

import java.sql.SQLException;
import raftcart.dialect.Dialect;
import raftcart.plan.Endpoint;

/** An engine that databases can be moved from or to; implementations are found by {@link java.util.ServiceLoader}. */
public interface Engine {
    /** The engine's name as people write it. */
    String title();

    /** The SQL of this engine. */
    Dialect dialect();

    /** How a URL of this engine looks, for help texts. */
    String urlForm();

    /** True where this adapter understands the URL. */
    boolean accepts(String url);

    /**
     * Connects, with all references in the endpoint resolved already.
     *
     * @throws raftcart.error.ConnectException if the server cannot be reached or refuses us
     */
    EngineSession open(Endpoint endpoint);

    /**
     * Opens sessions that all see the database as it is now.
     *
     * @param readers how many there should be, at least 1
     * @throws raftcart.error.ConnectException if the server cannot be reached or refuses us
     */
    SharedSnapshot openSnapshot(Endpoint endpoint, int readers) throws SQLException;
}
