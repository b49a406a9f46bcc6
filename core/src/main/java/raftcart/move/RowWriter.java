package raftcart.move;

import java.sql.SQLException;

/** Writes rows into one table in the connection's current transaction. */
public interface RowWriter {
    /**
     * Writes the rows from one index (included) to another (excluded), all of them exactly as they are.
     *
     * @throws SQLException if any of them could not be written as it is; the caller then rolls back
     */
    void write(RowBuffer rows, int from, int to) throws SQLException;
}
