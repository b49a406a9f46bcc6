package raftcart.move;

import java.sql.SQLException;
import raftcart.engine.EngineSession;
import raftcart.error.LoadException;
import raftcart.error.PlanException;

/** Keeps a second load away from a database; the lock is gone with the session, in whatever way that ends. */
final class LoadLock {
    private static final String NAME = "raftcart load";
    private static final int SECONDS = 10;

    private LoadLock() {}

    /** Takes it; waits a little, as a server may need some time to see that the client of an earlier load is gone. */
    static void take(EngineSession target) throws SQLException {
        for (int second = 0; !target.lock(NAME); second++) {
            if (second == SECONDS) {
                throw new PlanException(
                        "another load into this database is running; nothing was changed",
                        "Wait until it ends, or stop it. The lock is gone with its connection.");
            }
            try {
                Thread.sleep(1000);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw LoadException.interrupted(e);
            }
        }
    }
}
