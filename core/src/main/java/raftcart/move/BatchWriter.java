package raftcart.move;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Savepoint;
import java.util.List;
import raftcart.engine.EngineSession;
import raftcart.error.LoadException;
import raftcart.plan.LoadSettings;

/**
 * Writes batches within the transaction of a part. A batch that the target refuses is taken back to the savepoint before
 * it and halved until the rows at fault stand alone; those are set aside and the rest is written.
 */
final class BatchWriter {
    /** The state of the error that a key is there already ("PostgreSQL Error Codes"; the standard has no finer one). */
    private static final String UNIQUE_VIOLATION = "23505";

    private static final String DUPLICATE = "a row with the same key is there already";

    private final EngineSession target;
    private final RowWriter writer;
    private final RefusedRows refused;
    private final TableProgress table;
    private final LoadSettings settings;
    /** Known from the first refused row on. */
    private Misfits misfits;

    BatchWriter(
            EngineSession target, RowWriter writer, RefusedRows refused, TableProgress table, LoadSettings settings) {
        this.target = target;
        this.writer = writer;
        this.refused = refused;
        this.table = table;
        this.settings = settings;
    }

    void write(RowBuffer rows) throws SQLException {
        write(rows, 0, rows.rows());
    }

    private void write(RowBuffer rows, int from, int to) throws SQLException {
        Connection connection = target.connection();
        Savepoint before = connection.setSavepoint();
        try {
            writer.write(rows, from, to);
            connection.releaseSavepoint(before);
            return;
        } catch (SQLException e) {
            if (!target.isRowFault(e)) {
                throw e;
            }
            takeBack(connection, before, e);
            if (to - from == 1) {
                refuse(rows, from, e);
                return;
            }
        }
        int middle = (from + to) >>> 1;
        write(rows, from, middle);
        write(rows, middle, to);
    }

    private static void takeBack(Connection connection, Savepoint before, SQLException cause) throws SQLException {
        try {
            connection.rollback(before);
            connection.releaseSavepoint(before);
        } catch (SQLException e) {
            cause.addSuppressed(e);
            throw cause;
        }
    }

    private void refuse(RowBuffer rows, int row, SQLException reason) throws SQLException {
        String words = target.messageOf(reason).strip();
        if (misfits == null) {
            misfits = Misfits.of(target, table.mapping());
        }
        boolean duplicate = target.stateOf(reason).equals(UNIQUE_VIOLATION);
        refused.add(rows, row, words, duplicate ? List.of(DUPLICATE) : misfits.in(rows, row));
        if (table.refusedOne() > settings.stopAfterRefused()) {
            throw new LoadException(
                    "the target has refused more than " + settings.stopAfterRefused()
                            + (settings.stopAfterRefused() == 1 ? " row of " : " rows of ") + table.name()
                            + "; the last reason was: " + words,
                    duplicate
                            ? "Rows with these keys are on the target already, perhaps from a load before: --if-not-empty"
                                    + " update changes them, replace removes them first."
                            : "Look at the refused rows in journal/refused/, mend the cause or raise"
                                    + " `load.stop-after-refused` in the plan, and run `raftcart load` again.",
                    reason);
        }
    }
}
