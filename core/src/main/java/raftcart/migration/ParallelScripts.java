package raftcart.migration;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Supplier;
import raftcart.engine.EngineSession;
import raftcart.error.BuildException;
import raftcart.error.LoadException;
import raftcart.workspace.Stage;
import raftcart.workspace.Workspace;

/**
 * Runs scripts that do not depend on each other on several connections. Two that lock the same tables may be in each
 * other's way; such a script is tried once more, alone.
 */
final class ParallelScripts {
    private final Workspace workspace;
    private final EngineSession target;
    private final Supplier<EngineSession> targets;
    private final int workers;

    /**
     * @param target for what is done alone
     * @param targets opens further connections
     */
    ParallelScripts(Workspace workspace, EngineSession target, Supplier<EngineSession> targets, int workers) {
        this.workspace = workspace;
        this.target = target;
        this.targets = targets;
        this.workers = workers;
    }

    /** Runs the scripts; returns what the target refused, with its words, in the order of the scripts. */
    List<String> run(List<String> scripts) {
        Queue<String> open = new ConcurrentLinkedQueue<>(scripts);
        Queue<String> alone = new ConcurrentLinkedQueue<>();
        Map<String, String> failures = new ConcurrentSkipListMap<>();
        int threads = Math.min(workers, scripts.size());
        if (threads > 1) {
            inThreads(threads, open, alone, failures);
        } else {
            alone.addAll(scripts);
        }
        ScriptRunner runner = new ScriptRunner(workspace, target, Stage.LOAD);
        for (String script : scripts.stream().filter(alone::contains).toList()) {
            try {
                runner.run(script);
            } catch (BuildException e) {
                failures.put(script, e.getMessage());
            }
        }
        return List.copyOf(failures.values());
    }

    private void inThreads(int threads, Queue<String> open, Queue<String> alone, Map<String, String> failures) {
        ExecutorService pool = Executors.newFixedThreadPool(threads);
        try {
            List<Future<?>> running = new ArrayList<>();
            for (int i = 0; i < threads; i++) {
                running.add(pool.submit(() -> work(open, alone, failures)));
            }
            for (Future<?> worker : running) {
                worker.get();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw LoadException.interrupted(e);
        } catch (ExecutionException e) {
            throw e.getCause() instanceof RuntimeException own
                    ? own
                    : new IllegalStateException("scripts could not be run", e.getCause());
        } finally {
            pool.shutdownNow();
        }
    }

    private void work(Queue<String> open, Queue<String> alone, Map<String, String> failures) {
        try (EngineSession session = targets.get()) {
            ScriptRunner runner = new ScriptRunner(workspace, session, Stage.LOAD);
            for (String script = open.poll(); script != null; script = open.poll()) {
                try {
                    runner.run(script);
                } catch (BuildException e) {
                    if (e.getCause() instanceof SQLException sql && session.isTransient(sql)) {
                        alone.add(script);
                    } else {
                        failures.put(script, e.getMessage());
                    }
                }
            }
        }
    }
}
