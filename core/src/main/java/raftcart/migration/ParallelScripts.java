package raftcart.migration;

import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
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
 * Runs scripts that do not depend on each other on several connections. What fails is tried once more alone, in the order
 * of the scripts: two that lock the same tables may have been in each other's way.
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

    /** Runs the scripts; returns what the target refused, with its words. */
    List<String> run(List<String> scripts) {
        Queue<String> open = new ConcurrentLinkedQueue<>(scripts);
        Queue<String> again = new ConcurrentLinkedQueue<>();
        int threads = Math.min(workers, scripts.size());
        if (threads > 1) {
            inThreads(threads, open, again);
        } else {
            again.addAll(scripts);
        }
        List<String> failures = new ArrayList<>();
        ScriptRunner alone = new ScriptRunner(workspace, target, Stage.LOAD);
        for (String script : again.stream().sorted().toList()) {
            try {
                alone.run(script);
            } catch (BuildException e) {
                failures.add(e.getMessage());
            }
        }
        return failures;
    }

    private void inThreads(int threads, Queue<String> open, Queue<String> again) {
        ExecutorService pool = Executors.newFixedThreadPool(threads);
        try {
            List<Future<?>> running = new ArrayList<>();
            for (int i = 0; i < threads; i++) {
                running.add(pool.submit(() -> work(open, again)));
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

    private void work(Queue<String> open, Queue<String> again) {
        try (EngineSession session = targets.get()) {
            ScriptRunner runner = new ScriptRunner(workspace, session, Stage.LOAD);
            for (String script = open.poll(); script != null; script = open.poll()) {
                try {
                    runner.run(script);
                } catch (BuildException e) {
                    again.add(script);
                }
            }
        }
    }
}
