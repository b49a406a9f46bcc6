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
import raftcart.engine.EngineSession;
import raftcart.engine.TransferColumn;
import raftcart.error.LoadException;
import raftcart.plan.LoadSettings;
import raftcart.translate.ColumnMapping;
import raftcart.translate.TableMapping;

/**
 * Moves the rows of one table. A reader fills buffers in a thread of its own while the caller's thread writes those
 * that are full; there are never more than {@value #BUFFERS} buffers, so memory does not depend on the table's size.
 */
final class TableLoader {
    private static final int BUFFERS = 3;
    /** Follows the last buffer. */
    private static final RowBuffer END = new RowBuffer(0, 0);

    private final EngineSession source;
    private final EngineSession target;
    private final TableMapping mapping;
    private final LoadSettings settings;
    private final LoadListener listener;
    private final BlockingQueue<RowBuffer> empty = new ArrayBlockingQueue<>(BUFFERS);
    private final BlockingQueue<RowBuffer> full = new ArrayBlockingQueue<>(BUFFERS + 1);

    TableLoader(
            EngineSession source,
            EngineSession target,
            TableMapping mapping,
            LoadSettings settings,
            LoadListener listener) {
        this.source = source;
        this.target = target;
        this.mapping = mapping;
        this.settings = settings;
        this.listener = listener;
    }

    /** Reads all rows and writes them; returns the number of rows read. */
    long run(ProgressTable progress, RefusedRows refused) throws SQLException {
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
        RowWriter writer = target.openWriter(mapping.target(), to);
        BatchWriter batches = new BatchWriter(target, writer, progress, refused, mapping, settings);
        ExecutorService thread = Executors.newSingleThreadExecutor(r -> {
            Thread t = new Thread(r, "reader of " + mapping.source().name());
            t.setDaemon(true);
            return t;
        });
        try {
            Future<Void> reading = thread.submit(() -> read(from));
            long rows = write(reading, batches);
            progress.finish(mapping.source().name().toString());
            target.connection().commit();
            return rows;
        } finally {
            thread.shutdownNow();
            await(thread);
        }
    }

    private Void read(List<TransferColumn> columns) throws SQLException, InterruptedException {
        try (RowReader reader =
                source.openReader(mapping.sourceRows(source.engine().dialect()), columns)) {
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

    private long write(Future<Void> reading, BatchWriter batches) throws SQLException {
        long rows = 0;
        for (RowBuffer buffer = take(); buffer != END; buffer = take()) {
            if (buffer.rows() > 0) {
                batches.write(buffer);
                rows += buffer.rows();
                listener.rowsCommitted(buffer.rows(), buffer.size());
            }
            empty.add(buffer);
        }
        checkReader(reading);
        return rows;
    }

    private RowBuffer take() {
        try {
            return full.take();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new LoadException("the load was interrupted", "Run `raftcart load` again; it goes on.", e);
        }
    }

    private void checkReader(Future<Void> reading) throws SQLException {
        try {
            reading.get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new LoadException("the load was interrupted", "Run `raftcart load` again; it goes on.", e);
        } catch (ExecutionException e) {
            if (e.getCause() instanceof SQLException sql) {
                throw new LoadException(
                        "reading " + mapping.source().name() + " from the source failed: " + sql.getMessage(),
                        "When the cause is mended, run `raftcart load` again; it goes on.",
                        sql);
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
}
