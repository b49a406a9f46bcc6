package raftcart.move;

import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import raftcart.translate.TableMapping;

/** What is known of a table while several threads load its parts. */
final class TableProgress {
    private final TableMapping mapping;
    private final boolean appended;
    private final boolean updated;
    private final AtomicInteger partsLeft;
    private final AtomicLong loaded = new AtomicLong();
    private final AtomicLong refused = new AtomicLong();
    private final AtomicLong refusedInAll = new AtomicLong();
    private final AtomicLong began = new AtomicLong();

    TableProgress(TableMapping mapping, boolean appended, int partsLeft) {
        this(mapping, appended, false, partsLeft);
    }

    /** @param updated true where rows whose key is there are changed, so that they may come twice */
    TableProgress(TableMapping mapping, boolean appended, boolean updated, int partsLeft) {
        this.mapping = mapping;
        this.appended = appended;
        this.updated = updated;
        this.partsLeft = new AtomicInteger(partsLeft);
    }

    TableMapping mapping() {
        return mapping;
    }

    String name() {
        return mapping.source().name().toString();
    }

    /** True where the table held rows that are not of this load. */
    boolean appended() {
        return appended;
    }

    /** True where rows whose key is there are changed. */
    boolean updated() {
        return updated;
    }

    /** True for the first who begins a part of the table. */
    boolean begin() {
        return began.compareAndSet(0, System.nanoTime());
    }

    double seconds() {
        return began.get() == 0 ? 0 : (System.nanoTime() - began.get()) / 1e9;
    }

    /** A row is refused; returns how many are by now, those of parts under way included. */
    long refusedOne() {
        return refusedInAll.incrementAndGet();
    }

    /** So many rows that had been refused come again. */
    void refusedTakenBack(long rows) {
        refusedInAll.addAndGet(-rows);
    }

    /** Counts the rows of an earlier run. */
    void addEarlier(long rowsLoaded, long rowsRefused) {
        loaded.addAndGet(rowsLoaded);
        refused.addAndGet(rowsRefused);
        refusedInAll.addAndGet(rowsRefused);
    }

    /** A part is done; returns true if it was the last one. */
    boolean finishPart(long rowsLoaded, long rowsRefused) {
        loaded.addAndGet(rowsLoaded);
        refused.addAndGet(rowsRefused);
        return partsLeft.decrementAndGet() == 0;
    }

    TableResult result(String refusedFile) {
        return new TableResult(
                name(),
                mapping.target().name().toString(),
                loaded.get() + refused.get(),
                loaded.get(),
                refused.get(),
                seconds(),
                refused.get() == 0 ? "" : refusedFile);
    }
}
