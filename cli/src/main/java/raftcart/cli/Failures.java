package raftcart.cli;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.stream.Collectors;
import org.slf4j.LoggerFactory;
import picocli.CommandLine;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.ParseResult;
import picocli.CommandLine.UnmatchedArgumentException;
import raftcart.cli.command.CommonOptions;
import raftcart.cli.terminal.Console;
import raftcart.error.BuildException;
import raftcart.error.CatalogException;
import raftcart.error.ConnectException;
import raftcart.error.LoadException;
import raftcart.error.RaftcartException;
import raftcart.error.VerifyException;
import raftcart.workspace.Json;

/** The one place where a failure becomes a message and an exit code. */
final class Failures {
    private Failures() {}

    static int usage(ParameterException e, String[] arguments) {
        CommandLine command = e.getCommandLine();
        String advice = suggestion(e) + "See `" + command.getCommandSpec().qualifiedName() + " --help`.";
        boolean json = List.of(arguments).contains("--json");
        report(command.getCommandSpec().qualifiedName(), message(e), advice, ExitCode.USAGE, json);
        return ExitCode.USAGE.code();
    }

    private static String message(ParameterException e) {
        boolean noCommand = e instanceof UnmatchedArgumentException unmatched
                && !unmatched.isUnknownOption()
                && e.getCommandLine().getParent() == null;
        return noCommand
                ? "there is no command '"
                        + ((UnmatchedArgumentException) e).getUnmatched().get(0) + "'"
                : e.getMessage();
    }

    private static String suggestion(ParameterException e) {
        if (!(e instanceof UnmatchedArgumentException unmatched)) {
            return "";
        }
        List<String> near = unmatched.getSuggestions();
        return near.isEmpty()
                ? ""
                : "Did you mean " + near.stream().limit(2).collect(Collectors.joining(" or ")) + "? ";
    }

    /** The program's own memory was not enough, which no input should bring about. */
    static int exhausted(VirtualMachineError e) {
        LoggerFactory.getLogger(Failures.class).error("out of memory or stack", e);
        report(
                "raftcart",
                "this is a defect of ours: " + e.getClass().getSimpleName(),
                "Please report it with the input; more memory may help meanwhile (RAFTCART_JAVA_OPTS=-Xmx2g).",
                ExitCode.DEFECT,
                false);
        return ExitCode.DEFECT.code();
    }

    static int execution(Exception e, CommandLine command, ParseResult parsed) {
        String name = command.getCommandSpec().qualifiedName();
        boolean json = command.getCommand() instanceof CommonOptions.Holder holder
                && holder.common().json();
        if (e instanceof RaftcartException known) {
            LoggerFactory.getLogger(Failures.class).info("{} failed", name, known);
            ExitCode code = code(known);
            report(name, known.getMessage(), known.advice().orElse(""), code, json);
            return code.code();
        }
        String log = Logs.fileForDefect();
        LoggerFactory.getLogger(Failures.class).error("{} failed with a defect", name, e);
        String what = "this is a defect of ours: " + e.getClass().getSimpleName()
                + (e.getMessage() == null ? "" : ": " + e.getMessage());
        report(name, what, "Please report it with the log file " + log + ".", ExitCode.DEFECT, json);
        return ExitCode.DEFECT.code();
    }

    private static ExitCode code(RaftcartException e) {
        if (e instanceof ConnectException || e instanceof CatalogException) {
            return ExitCode.DATABASE;
        }
        boolean partWay = e instanceof BuildException || e instanceof LoadException || e instanceof VerifyException;
        return partWay ? ExitCode.STOPPED : ExitCode.USAGE;
    }

    private static void report(String command, String message, String advice, ExitCode code, boolean json) {
        Console console = Console.standard();
        console.error(command, message, advice);
        if (json) {
            ObjectNode document = Json.MAPPER.createObjectNode();
            ObjectNode error = document.putObject("error");
            error.put("command", command);
            error.put("message", message);
            error.put("advice", advice);
            error.put("exitCode", code.code());
            console.print(Json.pretty(document));
        }
    }
}
