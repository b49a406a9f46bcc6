package raftcart.cli.command;

import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import raftcart.dialect.Language;
import raftcart.dialect.Languages;
import raftcart.error.PlanException;
import raftcart.plan.Suggestion;
import raftcart.rewrite.RulesFolder;
import raftcart.rewrite.TokenRules;

/** Translates SQL text without any database. */
@Command(
        name = "rewrite",
        description = {
            "Translate SQL text from one dialect to another, without any database.",
            "Reads files, folders, or standard input (-); prints the translated text. What a person should look at "
                    + "goes to standard error as FILE:LINE:COLUMN: CODE outcome: message. A statement that is left by "
                    + "hand stands in the output as a comment with its source."
        },
        footer = {
            "",
            "Examples:",
            "  echo 'SELECT NVL(name, 0) FROM star' | raftcart rewrite --from oracle --to postgresql",
            "  raftcart rewrite --from mysql --to postgresql -o translated/ sql/",
            "Exit code 0: all translated; 1: something is by hand."
        })
final class RewriteCommand implements Callable<Integer>, CommonOptions.Holder {
    @Spec
    private CommandSpec spec;

    @Mixin
    private CommonOptions common;

    @Option(names = "--from", paramLabel = "DIALECT", description = "The dialect of the text.")
    private String from;

    @Option(names = "--to", paramLabel = "DIALECT", description = "The dialect to write.")
    private String to;

    @Option(
            names = {"-o", "--output"},
            paramLabel = "DIR",
            description = "Write files below this folder, in the same tree as they were found.")
    private Path output;

    @Option(
            names = "--pattern",
            paramLabel = "GLOB",
            description = "Which files of a folder (default: ${DEFAULT-VALUE}).",
            defaultValue = "*.{sql,ddl,dml,prc,pks,pkb,vw,tab,txt}")
    private String pattern;

    @Option(
            names = "--encoding",
            paramLabel = "NAME",
            description = "The encoding of the text where it has no byte order mark (default: ${DEFAULT-VALUE}).",
            defaultValue = "UTF-8")
    private Charset encoding;

    @Option(names = "--rules", paramLabel = "DIR", description = "A folder with functions, types, rules of your own.")
    private Path rules;

    @Option(names = "--check-rules", description = "Run the examples of the rules, and nothing else.")
    private boolean checkRules;

    @Option(names = "--explain", description = "Also list every change that was made, with its code.")
    private boolean explain;

    @Option(names = "--side-by-side", description = "Show each changed statement beside its source.")
    private boolean sideBySide;

    @Parameters(paramLabel = "FILE|DIR|-", description = "What to translate (default: standard input).")
    private List<String> inputs = new ArrayList<>();

    @Override
    public CommonOptions common() {
        return common;
    }

    @Override
    public Integer call() throws IOException {
        RulesFolder folder = rules == null ? RulesFolder.none() : RulesFolder.open(rules);
        if (checkRules) {
            return RuleExamples.check(folder, from == null ? "" : from, common.console());
        }
        Language source = language(folder, from, "--from");
        Language target = language(folder, to, "--to");
        TokenRules tokenRules = folder.tokenRules(from);
        RewriteRun run = new RewriteRun(
                source,
                target,
                tokenRules,
                encoding,
                Optional.ofNullable(output),
                pattern,
                new RewriteView(common.console(), explain, sideBySide));
        return run.run(inputs.isEmpty() ? List.of("-") : inputs).code();
    }

    private Language language(RulesFolder folder, String name, String option) {
        if (name == null) {
            throw new CommandLine.ParameterException(
                    spec.commandLine(), "Missing required option: '" + option + "=DIALECT'");
        }
        return folder.language(name.toLowerCase(java.util.Locale.ROOT)).orElseThrow(() -> {
            String near = Suggestion.nearest(name, Languages.names())
                    .map(n -> "Did you mean " + n + "? ")
                    .orElse("");
            return new PlanException(
                    "there is no dialect '" + name + "'", near + "Known: " + String.join(", ", Languages.names()));
        });
    }
}
