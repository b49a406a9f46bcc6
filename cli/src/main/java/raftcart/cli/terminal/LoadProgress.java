package raftcart.cli.terminal;

import java.time.Duration;
import java.util.Locale;
import me.tongfei.progressbar.ProgressBar;
import raftcart.engine.SnapshotPlace;
import raftcart.migration.LoadStage;
import raftcart.move.TableResult;

/** Shows a load: a bar that is drawn in place on a terminal, a line a table elsewhere. */
public final class LoadProgress implements LoadStage.Listener, AutoCloseable {
    private final Console console;
    private final ProgressBar bar;

    public LoadProgress(Console console, long expectedRows) {
        this(console, console.drawsProgress() ? Bars.bar(console, "load", "rows", expectedRows) : null);
    }

    private LoadProgress(Console console, ProgressBar bar) {
        this.console = console;
        this.bar = bar;
    }

    /** Without a bar, for what is done in a moment. */
    public static LoadProgress ofLines(Console console) {
        return new LoadProgress(console, null);
    }

    @Override
    public void begun() {}

    @Override
    public void snapshotTaken(SnapshotPlace place, int readers) {
        if (bar == null) {
            console.message("load       the source as it is now"
                    + (place.position().isEmpty() ? "" : " (" + place.position() + ")") + ", "
                    + (readers == 1 ? "one reader" : readers + " readers"));
        }
    }

    @Override
    public void remark(String text) {
        say("load       " + text);
    }

    /** A line that stays; a bar is drawn again below it. */
    private void say(String line) {
        int missing = Math.max(0, Console.width() - line.length());
        console.message(bar == null ? line : "\r" + line + " ".repeat(missing));
    }

    @Override
    public void tableStarted(String table, long estimatedRows) {
        if (bar != null) {
            bar.setExtraMessage(" " + table);
        }
    }

    @Override
    public void rowsWritten(String table, long rows, long bytes) {
        if (bar != null) {
            bar.stepBy(rows);
        }
    }

    @Override
    public void rowsTakenBack(String table, long rows) {
        if (bar != null) {
            bar.stepBy(-rows);
        }
    }

    @Override
    public void retrying(String table, String cause, Duration after) {
        console.message("load       " + table + " is tried again in " + after.toSeconds() + " s: " + cause);
    }

    @Override
    public void tableFinished(TableResult result) {
        if (bar == null) {
            console.message(String.format(
                    Locale.ROOT,
                    "load       %s: %,d row%s in %.1f s%s",
                    result.table(),
                    result.loaded(),
                    result.loaded() == 1 ? "" : "s",
                    result.seconds(),
                    result.refused() > 0 ? String.format(Locale.ROOT, ", %,d refused", result.refused()) : ""));
        }
    }

    @Override
    public void finishing(int scripts) {
        if (bar != null) {
            bar.setExtraMessage(" indexes and keys");
        } else if (scripts > 0) {
            console.message("load       " + scripts + " indexes and keys");
        }
    }

    @Override
    public void close() {
        if (bar != null) {
            bar.close();
        }
    }
}
