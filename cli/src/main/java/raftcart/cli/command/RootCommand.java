package raftcart.cli.command;

import java.io.IOException;
import java.io.InputStream;
import java.util.LinkedHashMap;
import java.util.Map;
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
        footer = {
            "",
            "Exit codes: 0 done; 1 done, but something needs a person; 2 wrong usage or plan;",
            "3 a database could not be reached or refused us; 4 stopped part-way, can be resumed; 70 a defect."
        })
public final class RootCommand implements Runnable {
    private static final Map<String, Class<?>> COMMANDS = new LinkedHashMap<>();

    static {
        COMMANDS.put("init", InitCommand.class);
        COMMANDS.put("plan", PlanCommand.class);
        COMMANDS.put("survey", SurveyCommand.class);
        COMMANDS.put("translate", TranslateCommand.class);
        COMMANDS.put("build", BuildCommand.class);
        COMMANDS.put("load", LoadCommand.class);
        COMMANDS.put("verify", VerifyCommand.class);
        COMMANDS.put("run", RunCommand.class);
        COMMANDS.put("rewrite", RewriteCommand.class);
        COMMANDS.put("status", StatusCommand.class);
        COMMANDS.put("explain", ExplainCommand.class);
        COMMANDS.put("engines", EnginesCommand.class);
        COMMANDS.put("demo", DemoCommand.class);
    }

    @Spec
    private CommandSpec spec;

    @Option(
            names = {"-h", "--help"},
            usageHelp = true,
            description = "Show this help.")
    private boolean help;

    @Option(names = "--version", versionHelp = true, description = "Show the version.")
    private boolean version;

    /**
     * The command line for these arguments. Where they name a command, only that one is looked into: the other ten
     * would cost a short command a third of its time.
     */
    public static CommandLine forArguments(String... arguments) {
        CommandLine commandLine = new CommandLine(new RootCommand());
        String first = arguments.length == 0 ? "" : arguments[0];
        boolean one = COMMANDS.containsKey(first) || first.equals("--version");
        COMMANDS.forEach((name, command) -> {
            if (!one || name.equals(first)) {
                commandLine.addSubcommand(name, command);
            }
        });
        return commandLine;
    }

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
