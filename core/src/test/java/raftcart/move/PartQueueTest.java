package raftcart.move;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import raftcart.catalog.ObjectName;

/** Parts are given out in the order of the levels of their tables, each once, and to waiting workers too. */
class PartQueueTest {
    private static LoadPart part(String condition) {
        return new LoadPart(new TableProgress(null, false, 1), 0, condition);
    }

    @Test
    void aLevelWaitsForTheOneBelow() throws Exception {
        PartQueue queue = new PartQueue();
        queue.add(1, part("child"));
        queue.add(0, part("parent"));
        assertThat(queue.next())
                .hasValueSatisfying(p -> assertThat(p.condition()).isEqualTo("parent"));
        ExecutorService thread = Executors.newSingleThreadExecutor();
        try {
            CountDownLatch asking = new CountDownLatch(1);
            Future<String> child = thread.submit(() -> {
                asking.countDown();
                return queue.next().orElseThrow().condition();
            });
            asking.await();
            assertThat(child.isDone()).isFalse();
            queue.done();
            assertThat(child.get(10, TimeUnit.SECONDS)).isEqualTo("child");
            queue.done();
            assertThat(queue.next()).isEmpty();
        } finally {
            thread.shutdownNow();
        }
    }

    @Test
    void everyPartIsGivenOutOnce() throws Exception {
        PartQueue queue = new PartQueue();
        List<String> expected = new ArrayList<>();
        for (int i = 0; i < 500; i++) {
            queue.add(i % 5, part("p" + i));
            expected.add("p" + i);
        }
        ExecutorService threads = Executors.newFixedThreadPool(4);
        try {
            List<Future<List<String>>> workers = new ArrayList<>();
            for (int i = 0; i < 4; i++) {
                workers.add(threads.submit(() -> {
                    List<String> got = new ArrayList<>();
                    for (var part = queue.next(); part.isPresent(); part = queue.next()) {
                        got.add(part.get().condition());
                        queue.done();
                    }
                    return got;
                }));
            }
            List<String> all = new ArrayList<>();
            for (Future<List<String>> worker : workers) {
                all.addAll(worker.get(30, TimeUnit.SECONDS));
            }
            assertThat(all).containsExactlyInAnyOrderElementsOf(expected);
        } finally {
            threads.shutdownNow();
        }
    }

    @Test
    void aClosedQueueGivesNothing() throws Exception {
        PartQueue queue = new PartQueue();
        queue.add(0, part("p"));
        queue.close();
        assertThat(queue.next()).isEmpty();
    }

    @Test
    void levelsCountKeysAndLeaveCirclesOut() {
        ObjectName site = new ObjectName("s", "site");
        ObjectName dome = new ObjectName("s", "dome");
        ObjectName night = new ObjectName("s", "night");
        ObjectName one = new ObjectName("s", "one");
        ObjectName other = new ObjectName("s", "other");
        LoadLevels levels = new LoadLevels(Map.of(
                dome, List.of(site, dome), night, List.of(dome, site), one, List.of(other), other, List.of(one)));
        assertThat(List.of(levels.of(night), levels.of(dome), levels.of(site))).containsExactly(2, 1, 0);
        assertThat(levels.of(one) + levels.of(other)).isEqualTo(1);
    }
}
