package raftcart.cli;

import java.util.List;

/**
 * Runs a few short commands in one process, so that the launcher can archive the classes that they load and later
 * commands start faster (class-data sharing).
 */
public final class StartupTraining {
    private StartupTraining() {}

    /** Runs the commands; what they print does not matter. */
    public static void main(String[] arguments) {
        List.of("engines", "engines --json", "explain RC0101", "status -C nowhere", "--help", "run --nonsense")
                .forEach(line -> Main.run(line.split(" ")));
    }
}
