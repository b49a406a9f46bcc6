package raftcart.move;

import java.sql.SQLException;

/** Delivers the rows of one table. */
public interface RowReader extends AutoCloseable {
    /**
     * Adds rows to a buffer until it is full or the table ends.
     *
     * @return false if the table has ended; the buffer may hold rows all the same
     */
    boolean fill(RowBuffer buffer) throws SQLException;

    @Override
    void close() throws SQLException;
}
