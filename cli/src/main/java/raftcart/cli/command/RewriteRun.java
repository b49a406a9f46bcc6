package raftcart.cli.command;

import java.io.BufferedWriter;
import java.io.FileInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.PathMatcher;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.cli.ExitCode;
import raftcart.dialect.Language;
import raftcart.error.PlanException;
import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;
import raftcart.rewrite.Knowledge;
import raftcart.rewrite.PlacedFinding;
import raftcart.rewrite.ScriptRewriter;
import raftcart.rewrite.StatementResult;
import raftcart.rewrite.Summary;
import raftcart.rewrite.TextSource;
import raftcart.rewrite.TokenRules;

/** Translates files one after the other; what one creates is known to those that follow. */
final class RewriteRun {
    private final Charset encoding;
    private final Optional<Path> output;
    private final String pattern;
    private final RewriteView view;
    private final ScriptRewriter rewriter;
    private final Summary all = new Summary();
    private int defects;

    RewriteRun(
            Language from,
            Language to,
            TokenRules rules,
            Charset encoding,
            Optional<Path> output,
            String pattern,
            RewriteView view) {
        this.encoding = encoding;
        this.output = output;
        this.pattern = pattern;
        this.view = view;
        this.rewriter = new ScriptRewriter(from, to, new Knowledge(), rules);
    }

    /** An input and the place of its output below the folder for it. */
    private record Input(String name, Optional<Path> file, Path place) {}

    /** Translates all. */
    ExitCode run(List<String> names) throws IOException {
        List<Input> inputs = new ArrayList<>();
        for (String name : names) {
            inputs.addAll(inputs(name));
        }
        refuseSamePlaces(inputs);
        for (Input input : inputs) {
            rewrite(input);
        }
        view.end(all, inputs.size(), defects);
        if (defects > 0) {
            return ExitCode.DEFECT;
        }
        return all.count(Outcome.BY_HAND) == 0 ? ExitCode.CLEAN : ExitCode.NEEDS_PERSON;
    }

    /** One file would be written over another of the same name. */
    private void refuseSamePlaces(List<Input> inputs) {
        Map<Path, String> places = new HashMap<>();
        for (Input input : inputs) {
            String other = output.isPresent() ? places.put(input.place(), input.name()) : null;
            if (other != null) {
                throw new PlanException(
                        other + " and " + input.name() + " would both be written to "
                                + output.get().resolve(input.place().toString()),
                        "Give the folder that holds both, whose tree is kept, or translate them one after the other.");
            }
        }
    }

    private List<Input> inputs(String name) throws IOException {
        if (name.equals("-")) {
            return List.of(new Input("-", Optional.empty(), Path.of("stdin.sql")));
        }
        Path path = Path.of(name);
        if (Files.isDirectory(path)) {
            PathMatcher matcher = FileSystems.getDefault().getPathMatcher("glob:" + pattern);
            try (Stream<Path> files = Files.walk(path)) {
                return files.filter(Files::isRegularFile)
                        .filter(f -> matcher.matches(f.getFileName()))
                        .sorted()
                        .map(f -> new Input(f.toString(), Optional.of(f), path.relativize(f)))
                        .toList();
            }
        }
        if (!Files.isReadable(path)) {
            throw new PlanException(
                    name + " cannot be read", "Give a file or folder that is there, or - for standard input.");
        }
        return List.of(new Input(name, Optional.of(path), path.getFileName()));
    }

    /** A channel, which Files would open, cannot be asked how much there is where the file is a pipe. */
    private static InputStream bytes(Path file) throws IOException {
        return Files.isRegularFile(file) ? Files.newInputStream(file) : new FileInputStream(file.toFile());
    }

    private void rewrite(Input input) throws IOException {
        Summary summary = new Summary();
        view.file(input.name());
        try (InputStream bytes = input.file().isPresent() ? bytes(input.file().get()) : System.in;
                Writer out = writer(input)) {
            try {
                rewriter.rewrite(TextSource.open(bytes, encoding), out, result -> {
                    summary.add(result.outcome());
                    boolean defect = result.findings().stream().anyMatch(f -> f.code() == FindingCode.DEFECT);
                    defects += defect ? 1 : 0;
                    view.statement(input.name(), result);
                });
            } catch (CharacterCodingException e) {
                String reason = "the text is not in " + encoding + "; say what it is in with --encoding";
                unreadable(input, summary, out, bad(input), reason);
            } catch (TextSource.NotText e) {
                unreadable(input, summary, out, new TextSource.Place(1, 1), e.getMessage());
            }
        }
        all.add(summary);
    }

    private TextSource.Place bad(Input input) throws IOException {
        if (input.file().filter(Files::isRegularFile).isEmpty()) {
            return new TextSource.Place(1, 1); // what was read is gone
        }
        try (InputStream bytes = Files.newInputStream(input.file().get())) {
            return TextSource.firstBad(bytes, encoding);
        }
    }

    /** Says, in what is written too, that the rest of the text is missing from there. */
    private void unreadable(Input input, Summary summary, Writer out, TextSource.Place place, String reason)
            throws IOException {
        summary.add(Outcome.BY_HAND);
        PlacedFinding finding = new PlacedFinding(FindingCode.NOT_UNDERSTOOD, place.line(), place.column(), reason);
        out.write("-- " + FindingCode.NOT_UNDERSTOOD.code() + " by hand: the rest of " + input.name()
                + " is missing here; line " + place.line() + ", column " + place.column() + ": " + reason + "\n");
        view.statement(
                input.name(),
                new StatementResult(place.line(), place.column(), Outcome.BY_HAND, "", "", List.of(finding)));
    }

    private Writer writer(Input input) throws IOException {
        if (output.isPresent()) {
            Path file = output.get().resolve(input.place().toString());
            if (input.file().isPresent()
                    && Files.exists(file)
                    && Files.isSameFile(file, input.file().get())) {
                throw new PlanException(file + " would be written over itself", "Give another folder to -o.");
            }
            if (file.getParent() != null) {
                Files.createDirectories(file.getParent());
            }
            return Files.newBufferedWriter(file);
        }
        OutputStream standard = new OutputStream() {
            @Override
            public void write(int b) {
                System.out.write(b);
            }

            @Override
            public void write(byte[] b, int offset, int length) {
                System.out.write(b, offset, length);
            }

            @Override
            public void flush() {
                System.out.flush();
            }
        };
        return view.writesText()
                ? new BufferedWriter(new OutputStreamWriter(standard, StandardCharsets.UTF_8), 1 << 16)
                : Writer.nullWriter();
    }
}
