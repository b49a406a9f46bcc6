package raftcart.cli.terminal;

import me.tongfei.progressbar.ConsoleProgressBarConsumer;
import me.tongfei.progressbar.ProgressBar;
import me.tongfei.progressbar.ProgressBarBuilder;
import me.tongfei.progressbar.ProgressBarStyle;

/** Makes progress bars that all look alike. */
final class Bars {
    private static final int UPDATE_MILLIS = 200;

    private Bars() {}

    static ProgressBar bar(Console console, String task, String unit, long most) {
        return new ProgressBarBuilder()
                .setTaskName(task)
                .setInitialMax(Math.max(1, most))
                .setUnit(" " + unit, 1)
                .setStyle(ProgressBarStyle.ASCII)
                .setUpdateIntervalMillis(UPDATE_MILLIS)
                .showSpeed()
                .setMaxRenderedLength(Console.width() - 1)
                .setConsumer(new ConsoleProgressBarConsumer(console.progressStream(), Console.width() - 1))
                .build();
    }
}
