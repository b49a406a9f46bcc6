package raftcart.cli;

import picocli.CommandLine;
import raftcart.cli.command.RootCommand;
import raftcart.cli.terminal.Console;

/** The program's entry. */
public final class Main {
    private Main() {}

    /** Runs a command line and ends the process with its exit code. */
    public static void main(String[] arguments) {
        System.exit(run(arguments));
    }

    /** Runs a command line; the value is its exit code. */
    public static int run(String[] arguments) {
        CommandLine commandLine = RootCommand.forArguments(arguments);
        commandLine.setCaseInsensitiveEnumValuesAllowed(true);
        commandLine.setUsageHelpAutoWidth(false);
        commandLine.setUsageHelpWidth(100);
        commandLine.setColorScheme(
                Console.colorAllowed()
                        ? CommandLine.Help.defaultColorScheme(CommandLine.Help.Ansi.ON)
                        : CommandLine.Help.defaultColorScheme(CommandLine.Help.Ansi.OFF));
        commandLine.setParameterExceptionHandler(Failures::usage);
        commandLine.setExecutionExceptionHandler(Failures::execution);
        try {
            return commandLine.execute(arguments);
        } catch (StackOverflowError | OutOfMemoryError e) {
            return Failures.exhausted(e);
        }
    }
}
