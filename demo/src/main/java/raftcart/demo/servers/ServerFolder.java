package raftcart.demo.servers;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A temporary folder for a server. A small shell process watches over it: it reads from a pipe that only this JVM holds
 * open, so it wakes when the JVM ends in whatever way, stops the server by its pid file and removes the folder.
 */
final class ServerFolder implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(ServerFolder.class);
    private static final String WATCH = "trap '' INT TERM HUP; cat >/dev/null; "
            + "for f in \"$1\"/*/postmaster.pid \"$1\"/*.pid; do "
            + "[ -f \"$f\" ] && pid=$(head -n 1 \"$f\") && kill -QUIT \"$pid\" 2>/dev/null && sleep 1 "
            + "&& kill -KILL \"$pid\" 2>/dev/null; done; "
            + "for i in 1 2 3; do rm -rf \"$1\" 2>/dev/null && break; sleep 1; done";

    private final Path path;
    private final Process watch;

    private ServerFolder(Path path, Process watch) {
        this.path = path;
        this.watch = watch;
    }

    static ServerFolder create(String name) {
        try {
            Path path = Files.createTempDirectory("raftcart-" + name + "-");
            Process watch = new ProcessBuilder("sh", "-c", WATCH, "watch", path.toString())
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .redirectError(ProcessBuilder.Redirect.DISCARD)
                    .start();
            return new ServerFolder(path, watch);
        } catch (IOException e) {
            throw new UncheckedIOException("no temporary folder for a server could be made", e);
        }
    }

    Path path(String relative) {
        return path.resolve(relative);
    }

    /** Removes the folder; the server must have been stopped. */
    @Override
    public void close() {
        try (Stream<Path> files = Files.walk(path)) {
            List<Path> deepestFirst = files.sorted(Comparator.reverseOrder()).toList();
            for (Path file : deepestFirst) {
                Files.deleteIfExists(file);
            }
        } catch (IOException | UncheckedIOException e) {
            LOG.warn("{} could not be removed; the watch process will try again", path, e);
        }
        try {
            watch.getOutputStream().close();
        } catch (IOException e) {
            LOG.warn("the watch process could not be told to end", e);
        }
    }
}
