package raftcart.cli.command;

import java.io.IOException;
import java.io.InputStream;
import java.util.Properties;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.IVersionProvider;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import raftcart.cli.ExitCode;

/** The program itself; does nothing without a command. */
@Command(
        name = "raftcart",
        description = "Moves a database to another engine, and proves that everything arrived.",
        versionProvider = RootCommand.Version.class,
        subcommands = {
            InitCommand.class,
            SurveyCommand.class,
            TranslateCommand.class,
            BuildCommand.class,
            LoadCommand.class,
            VerifyCommand.class,
            RunCommand.class,
            StatusCommand.class,
            ExplainCommand.class,
            EnginesCommand.class,
            DemoCommand.class
        },
        footer = {
            "",
            "Exit codes: 0 done; 1 done, but something needs a person; 2 wrong usage or plan;",
            "3 a database could not be reached or refused us; 4 stopped part-way, can be resumed; 70 a defect."
        })
public final class RootCommand implements Runnable {
    @Spec
    private CommandSpec spec;

    @Option(
            names = {"-h", "--help"},
            usageHelp = true,
            description = "Show this help.")
    private boolean help;

    @Option(names = "--version", versionHelp = true, description = "Show the version.")
    private boolean version;

    @Override
    public void run() {
        throw new CommandLine.ParameterException(
                spec.commandLine(), "a command is missing (exit code " + ExitCode.USAGE.code() + ")");
    }

    /** Reads the version that the build wrote down. */
    static final class Version implements IVersionProvider {
        @Override
        public String[] getVersion() throws IOException {
            Properties properties = new Properties();
            try (InputStream in = Version.class.getResourceAsStream("/raftcart-version.properties")) {
                properties.load(in);
            }
            return new String[] {"raftcart " + properties.getProperty("version")};
        }
    }
}
