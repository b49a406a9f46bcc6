package raftcart.cli.terminal;

import java.util.Locale;
import java.util.function.Consumer;
import me.tongfei.progressbar.ProgressBar;
import raftcart.verify.TableVerdict;

/** Shows a comparison: a bar over the rows that is drawn in place on a terminal, a line a table elsewhere. */
public final class VerifyProgress implements Consumer<TableVerdict>, AutoCloseable {
    private final Console console;
    private final ProgressBar bar;

    public VerifyProgress(Console console, long expectedRows) {
        this.console = console;
        this.bar = console.drawsProgress() ? Bars.bar(console, "verify", "rows", expectedRows) : null;
    }

    @Override
    public void accept(TableVerdict verdict) {
        if (bar != null) {
            bar.stepBy(verdict.sourceRows());
            bar.setExtraMessage(" " + verdict.table());
        } else {
            console.message(String.format(
                    Locale.ROOT,
                    "verify     %s: %s in %.1f s",
                    verdict.table(),
                    verdict.same() ? "same" : "differs",
                    verdict.seconds()));
        }
    }

    @Override
    public void close() {
        if (bar != null) {
            bar.close();
        }
    }
}
