package raftcart.move;

import java.sql.SQLException;
import java.util.List;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import raftcart.engine.EngineSession;
import raftcart.engine.TransferColumn;
import raftcart.error.LoadException;
import raftcart.plan.LoadSettings;
import raftcart.translate.ColumnMapping;
import raftcart.translate.TableMapping;

/**
 * Moves the rows of a part in one transaction of the target, together with the part's entry in the progress table; of a
 * table that could not be cut, a transaction takes as many rows as a part has. A reader fills buffers in a thread of its
 * own while the caller's thread writes those that are full; there are never more than {@value #BUFFERS} buffers, so
 * memory does not depend on the number of rows.
 */
final class PartLoader {
    private static final int BUFFERS = 3;
    /** Follows the last buffer. */
    private static final RowBuffer END = new RowBuffer(0, 0);

    private final EngineSession source;
    private final EngineSession target;
    private final LoadPart part;
    private final LoadSettings settings;
    private final LoadListener listener;
    private final BooleanSupplier stopped;
    private final TableMapping mapping;
    private final BlockingQueue<RowBuffer> empty = new ArrayBlockingQueue<>(BUFFERS);
    private final BlockingQueue<RowBuffer> full = new ArrayBlockingQueue<>(BUFFERS + 1);
    private long read;
    private long readBefore;
    private long refusedBefore;

    PartLoader(
            EngineSession source,
            EngineSession target,
            LoadPart part,
            LoadSettings settings,
            LoadListener listener,
            BooleanSupplier stopped) {
        this.source = source;
        this.target = target;
        this.part = part;
        this.settings = settings;
        this.listener = listener;
        this.stopped = stopped;
        this.mapping = part.table().mapping();
    }

    /**
     * Reads all rows and writes them.
     *
     * @throws PartFailure if the source or the target failed; what is not committed is taken back
     */
    Moved run(ProgressTable progress, RefusedRows refused) throws PartFailure {
        List<ColumnMapping> loaded =
                mapping.columns().stream().filter(ColumnMapping::loaded).toList();
        List<TransferColumn> from = loaded.stream()
                .map(c -> new TransferColumn(c.source(), c.form(), c.nullIfImpossible()))
                .toList();
        List<TransferColumn> to = loaded.stream()
                .map(c -> new TransferColumn(c.target(), c.form(), false))
                .toList();
        for (int i = 0; i < BUFFERS; i++) {
            empty.add(new RowBuffer(loaded.size(), settings.rowsPerBatch()));
        }
        ExecutorService thread = Executors.newSingleThreadExecutor(r -> {
            Thread t = new Thread(r, "reader of " + part.table().name());
            t.setDaemon(true);
            return t;
        });
        Future<Void> reading = thread.submit(() -> read(from));
        try {
            write(new BatchWriter(target, writer(to), refused, part.table(), settings), progress, refused);
            checkReader(reading);
            note(progress, refused, true);
            return new Moved(read - refused.count(), refused.count());
        } catch (SQLException e) {
            throw new PartFailure(false, e, read);
        } finally {
            thread.shutdownNow();
            await(thread);
        }
    }

    private RowWriter writer(List<TransferColumn> columns) throws SQLException {
        return part.table().updated()
                ? target.openUpdater(
                        mapping.target(),
                        columns,
                        mapping.target().primaryKey().orElseThrow().columns())
                : target.openWriter(mapping.target(), columns);
    }

    private Void read(List<TransferColumn> columns) throws SQLException, InterruptedException {
        try (RowReader reader =
                source.openReader(mapping.sourceRows(source.engine().dialect(), part.condition()), columns)) {
            boolean more = true;
            while (more) {
                RowBuffer buffer = empty.take();
                buffer.clear();
                more = reader.fill(buffer);
                full.put(buffer);
            }
        } finally {
            full.offer(END); // there is always room for it
        }
        return null;
    }

    private void write(BatchWriter batches, ProgressTable progress, RefusedRows refused) throws SQLException {
        for (RowBuffer buffer = take(); buffer != END; buffer = take()) {
            if (stopped.getAsBoolean()) {
                throw LoadException.interrupted(null);
            }
            if (buffer.rows() > 0) {
                batches.write(buffer);
                read += buffer.rows();
                listener.rowsWritten(part.table().name(), buffer.rows(), buffer.size());
            }
            empty.add(buffer);
            if (part.isWholeTable() && read - readBefore >= settings.rowsPerPart()) {
                note(progress, refused, false);
            }
        }
    }

    /** Commits the rows together with what is known of them. */
    private void note(ProgressTable progress, RefusedRows refused, boolean finished) throws SQLException {
        long newlyRefused = refused.count() - refusedBefore;
        progress.add(part.table().name(), part.number(), read - readBefore - newlyRefused, newlyRefused, finished);
        target.connection().commit();
        readBefore = read;
        refusedBefore = refused.count();
    }

    private RowBuffer take() {
        try {
            return full.take();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw LoadException.interrupted(e);
        }
    }

    private void checkReader(Future<Void> reading) throws PartFailure {
        try {
            reading.get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw LoadException.interrupted(e);
        } catch (ExecutionException e) {
            if (e.getCause() instanceof SQLException sql) {
                throw new PartFailure(true, sql, read);
            }
            throw new IllegalStateException("the reader failed", e.getCause());
        }
    }

    private static void await(ExecutorService thread) {
        try {
            thread.awaitTermination(30, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** What became of the rows of a part. */
    record Moved(long loaded, long refused) {}
}
