package raftcart.move;

import java.sql.SQLException;

/** A part could not be moved to its end. */
final class PartFailure extends Exception {
    private static final long serialVersionUID = 1L;

    private final boolean reading;
    private final long rowsTakenBack;

    /**
     * @param reading true where the source failed, false for the target
     * @param rowsTakenBack how many rows had been written; all of them come again
     */
    PartFailure(boolean reading, SQLException cause, long rowsTakenBack) {
        super(cause.getMessage(), cause);
        this.reading = reading;
        this.rowsTakenBack = rowsTakenBack;
    }

    SQLException sql() {
        return (SQLException) getCause();
    }

    boolean reading() {
        return reading;
    }

    long rowsTakenBack() {
        return rowsTakenBack;
    }
}
