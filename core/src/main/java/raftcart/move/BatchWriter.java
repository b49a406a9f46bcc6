package raftcart.move;

import java.sql.SQLException;
import raftcart.engine.EngineSession;
import raftcart.error.LoadException;
import raftcart.plan.LoadSettings;
import raftcart.translate.TableMapping;

/**
 * Writes batches, each in a transaction of its own together with its entry in the progress table. A batch that the
 * target refuses is halved until the rows at fault stand alone; those are set aside and the rest is written.
 */
final class BatchWriter {
    private final EngineSession target;
    private final RowWriter writer;
    private final ProgressTable progress;
    private final RefusedRows refused;
    private final TableMapping mapping;
    private final LoadSettings settings;

    BatchWriter(
            EngineSession target,
            RowWriter writer,
            ProgressTable progress,
            RefusedRows refused,
            TableMapping mapping,
            LoadSettings settings) {
        this.target = target;
        this.writer = writer;
        this.progress = progress;
        this.refused = refused;
        this.mapping = mapping;
        this.settings = settings;
    }

    void write(RowBuffer rows) throws SQLException {
        write(rows, 0, rows.rows());
    }

    private void write(RowBuffer rows, int from, int to) throws SQLException {
        String table = mapping.source().name().toString();
        try {
            writer.write(rows, from, to);
            progress.add(table, to - (long) from, 0);
            target.connection().commit();
        } catch (SQLException e) {
            rollback(e);
            if (!target.isRowFault(e)) {
                throw e;
            }
            if (to - from > 1) {
                int middle = (from + to) >>> 1;
                write(rows, from, middle);
                write(rows, middle, to);
            } else {
                refuse(rows, from, e);
            }
        }
    }

    private void refuse(RowBuffer rows, int row, SQLException reason) throws SQLException {
        refused.add(rows, row, reason.getMessage().strip());
        progress.add(mapping.source().name().toString(), 0, 1);
        target.connection().commit();
        if (refused.count() > settings.stopAfterRefused()) {
            throw new LoadException(
                    "the target has refused more than " + settings.stopAfterRefused() + " rows of "
                            + mapping.source().name() + "; the last reason was: "
                            + reason.getMessage().strip(),
                    "Look at the refused rows in journal/refused/, mend the cause or raise `load.stop-after-refused`"
                            + " in the plan, and run `raftcart load` again.",
                    reason);
        }
    }

    private void rollback(SQLException cause) throws SQLException {
        try {
            target.connection().rollback();
        } catch (SQLException e) {
            cause.addSuppressed(e);
            throw cause;
        }
    }
}
