package raftcart.move;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * The parts that wait for a worker. Those of a level are given out when the levels below are done, so that no row comes
 * before the one it refers to.
 */
final class PartQueue {
    private final Map<Integer, List<LoadPart>> waiting = new TreeMap<>();
    private int underWay;
    private boolean closed;

    void add(int level, LoadPart part) {
        waiting.computeIfAbsent(level, l -> new ArrayList<>()).add(part);
    }

    /** The next part, empty where there are no more; waits where parts of lower levels are still under way. */
    synchronized Optional<LoadPart> next() throws InterruptedException {
        while (!closed && !waiting.isEmpty()) {
            Map.Entry<Integer, List<LoadPart>> lowest =
                    waiting.entrySet().iterator().next();
            if (!lowest.getValue().isEmpty()) {
                underWay++;
                return Optional.of(lowest.getValue().remove(0));
            }
            if (underWay == 0) {
                waiting.remove(lowest.getKey());
            } else if (waiting.size() == 1) {
                return Optional.empty();
            } else {
                wait();
            }
        }
        return Optional.empty();
    }

    /** A part that was given out is moved. */
    synchronized void done() {
        underWay--;
        notifyAll();
    }

    /** No more parts are given out. */
    synchronized void close() {
        closed = true;
        notifyAll();
    }
}
