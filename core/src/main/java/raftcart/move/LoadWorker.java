package raftcart.move;

import java.sql.SQLException;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import raftcart.engine.EngineSession;
import raftcart.engine.SharedSnapshot;
import raftcart.error.ConnectException;
import raftcart.error.LoadException;
import raftcart.plan.LoadSettings;
import raftcart.translate.TableMapping;

/**
 * Moves one part after the other with a connection to each side. What may be gone soon - a broken connection, a deadlock,
 * a lock that others hold - is tried again after a while, on new connections.
 */
final class LoadWorker {
    /** The waits before the attempts after the first one. */
    private static final List<Duration> WAITS = List.of(
            Duration.ofSeconds(1),
            Duration.ofSeconds(3),
            Duration.ofSeconds(10),
            Duration.ofSeconds(20),
            Duration.ofSeconds(40));

    private final SharedSnapshot snapshot;
    private final Supplier<EngineSession> targets;
    private final PartQueue queue;
    private final RefusedFiles refusedFiles;
    private final LoadSettings settings;
    private final LoadListener listener;
    private final BooleanSupplier stopped;
    private final TableEnd end;
    private EngineSession source;
    private EngineSession target;

    /** Is told of a table whose last part is done. */
    @FunctionalInterface
    interface TableEnd {
        /** The table is done. */
        void finished(TableProgress table);
    }

    LoadWorker(
            SharedSnapshot snapshot,
            EngineSession source,
            Supplier<EngineSession> targets,
            PartQueue queue,
            RefusedFiles refusedFiles,
            LoadSettings settings,
            LoadListener listener,
            BooleanSupplier stopped,
            TableEnd end) {
        this.snapshot = snapshot;
        this.source = source;
        this.targets = targets;
        this.queue = queue;
        this.refusedFiles = refusedFiles;
        this.settings = settings;
        this.listener = listener;
        this.stopped = stopped;
        this.end = end;
    }

    /** Works until there are no more parts. */
    void run() throws InterruptedException {
        try {
            for (Optional<LoadPart> part = queue.next(); part.isPresent(); part = queue.next()) {
                move(part.get());
                queue.done();
            }
        } finally {
            closeTarget();
        }
    }

    private void move(LoadPart part) throws InterruptedException {
        TableProgress table = part.table();
        if (table.begin()) {
            listener.tableStarted(table.name(), table.mapping().source().rowEstimate());
        }
        PartLoader.Moved moved = null;
        for (int attempt = 0; moved == null; attempt++) {
            moved = attempt(part, attempt);
        }
        if (table.finishPart(moved.loaded(), moved.refused())) {
            end.finished(table);
        }
    }

    /** Null where it is to be tried again. */
    private PartLoader.Moved attempt(LoadPart part, int attempt) throws InterruptedException {
        try {
            ProgressTable progress = open();
            Optional<PartLoader.Moved> already = attempt == 0 ? Optional.empty() : again(progress, part);
            return already.isPresent() ? already.get() : moved(part, progress);
        } catch (PartFailure e) {
            recover(part, e.reading(), e.sql(), attempt);
        } catch (SQLException e) {
            recover(part, false, e, attempt);
        } catch (ConnectException e) {
            waitForServer(part, e, attempt);
        }
        return null;
    }

    private PartLoader.Moved moved(LoadPart part, ProgressTable progress) throws PartFailure {
        TableMapping mapping = part.table().mapping();
        try (RefusedRows refused = new RefusedRows(refusedFiles.of(mapping, part.number()), mapping)) {
            try {
                return new PartLoader(source, target, part, settings, listener, stopped).run(progress, refused);
            } catch (PartFailure e) {
                part.table().refusedTakenBack(refused.count());
                listener.rowsTakenBack(part.table().name(), e.rowsTakenBack());
                throw e;
            }
        }
    }

    private ProgressTable open() throws SQLException {
        if (target == null) {
            target = targets.get();
            target.prepareLoad();
        }
        return new ProgressTable(target.connection(), target.engine().dialect().identifiers(), target.defaultSchema());
    }

    /**
     * Before a part is tried again: it may have been committed though the answer was lost; and of a table that goes as a
     * whole, rows may have been committed.
     */
    private Optional<PartLoader.Moved> again(ProgressTable progress, LoadPart part) throws SQLException {
        String name = part.table().name();
        ProgressTable.Part known = progress.parts(name).get(part.number());
        if (known.finished()) {
            return Optional.of(new PartLoader.Moved(known.loaded(), known.refused()));
        }
        if (known.loaded() > 0) {
            boolean appended = part.table().appended();
            if (appended && !part.table().updated()) {
                TableRows.refuseMixed(part.table().mapping(), known.loaded());
            }
            progress.begin(name, List.of(""), known.sourceState(), appended);
            target.connection().commit();
            if (!appended) {
                TableRows.remove(target, part.table().mapping().target().name());
            }
        }
        target.connection().commit();
        return Optional.empty();
    }

    private void recover(LoadPart part, boolean reading, SQLException e, int attempt) throws InterruptedException {
        EngineSession side = reading ? source : target;
        boolean transientFault = side == null || side.isTransient(e);
        if (!transientFault || attempt >= WAITS.size() || stopped.getAsBoolean()) {
            throw failed(part, reading, e);
        }
        listener.retrying(
                part.table().name(), (reading ? "source: " : "target: ") + words(side, e), WAITS.get(attempt));
        Thread.sleep(WAITS.get(attempt).toMillis());
        if (reading) {
            replaceSource(part);
        }
        closeTarget(); // the next attempt opens it anew
    }

    /** A server that was reached before may be starting again. */
    private void waitForServer(LoadPart part, ConnectException e, int attempt) throws InterruptedException {
        if (attempt == 0 || attempt >= WAITS.size() || stopped.getAsBoolean()) {
            throw e;
        }
        listener.retrying(part.table().name(), "target: " + e.getMessage(), WAITS.get(attempt));
        Thread.sleep(WAITS.get(attempt).toMillis());
    }

    private void replaceSource(LoadPart part) {
        try {
            source = snapshot.replace(source);
        } catch (SQLException e) {
            throw failed(part, true, e);
        }
    }

    private static String words(EngineSession side, SQLException e) {
        return (side == null ? String.valueOf(e.getMessage()) : side.messageOf(e)).strip();
    }

    private LoadException failed(LoadPart part, boolean reading, SQLException e) {
        String what = reading
                ? "reading " + part.table().name() + " from the source failed: "
                : "writing " + part.table().mapping().target().name() + " on the target failed: ";
        return new LoadException(
                what + words(reading ? source : target, e),
                "When the cause is mended, run `raftcart load` again; it goes on where it stopped.",
                e);
    }

    private void closeTarget() {
        if (target != null) {
            target.close();
            target = null;
        }
    }
}
