package raftcart.bench;

import com.github.freva.asciitable.AsciiTable;
import java.io.File;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import raftcart.dialect.Languages;
import raftcart.rewrite.Knowledge;
import raftcart.rewrite.ScriptRewriter;
import raftcart.rewrite.TokenRules;

/**
 * Measures the figures that {@code rewrite} has to reach and prints them beside their bars. Times of a shared machine
 * drift, so each is also given as a ratio to something measured in the same run.
 */
public final class RewriteBars {
    private static final int MB = 1_000_000;
    /** Rounds before the optimising compiler has seen all of the code. */
    private static final int WARMING = 20;

    private static final long NANOS = 1_000_000_000;

    private final List<String[]> rows = new ArrayList<>();
    private final Path program;

    private RewriteBars(Path program) {
        this.program = program;
    }

    /**
     * Runs all measurements; takes about four minutes.
     *
     * @param args the path of the built program's launcher
     */
    public static void main(String[] args) throws IOException, InterruptedException {
        RewriteBars bars = new RewriteBars(Path.of(args[0]));
        bars.warm();
        bars.start();
        bars.dump();
        String table = AsciiTable.getTable(
                AsciiTable.NO_BORDERS,
                new String[] {"figure", "measured", "bar", "beside it"},
                new String[0],
                bars.rows.toArray(String[][]::new));
        System.out.println(table);
    }

    private void row(String figure, String measured, String bar, String beside) {
        rows.add(new String[] {figure, measured, bar, beside});
    }

    private static String format(String pattern, Object... values) {
        return String.format(Locale.ROOT, pattern, values);
    }

    /** Megabytes a second of 20 MB once warm, and whether four times the text takes four times as long. */
    private void warm() {
        String small = MixedScript.ofLength(5 * MB);
        String large = MixedScript.ofLength(20 * MB);
        for (int i = 0; i < WARMING; i++) {
            seconds(small);
        }
        double[] smalls = new double[9];
        double[] larges = new double[9];
        for (int i = 0; i < larges.length; i++) {
            smalls[i] = seconds(small);
            larges[i] = seconds(large);
        }
        double one = median(smalls);
        double four = median(larges);
        double best = large.length() / Arrays.stream(larges).min().orElseThrow() / MB;
        row(
                "20 MB of DDL and DML, warm, one thread",
                format("%.1f MB/s", large.length() / four / MB),
                ">= 5 MB/s",
                format("the best of nine %.1f MB/s", best));
        row(
                "time of 20 MB to that of 5 MB",
                format("%.2f", four / one),
                "about 4",
                format("%.2f s, %.2f s", four, one));
    }

    private static double seconds(String script) {
        long start = System.nanoTime();
        try {
            new ScriptRewriter(
                            Languages.named("mysql").orElseThrow(),
                            Languages.named("postgresql").orElseThrow(),
                            new Knowledge(),
                            TokenRules.NONE)
                    .rewrite(new StringReader(script), Writer.nullWriter(), result -> {});
        } catch (IOException e) {
            throw new UncheckedIOException("a text in memory cannot be read", e);
        }
        return (double) (System.nanoTime() - start) / NANOS;
    }

    private static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }

    /** A rewrite of one line from the shell, and the program's start alone. */
    private void start() throws IOException, InterruptedException {
        Path one = Files.createTempFile("one", ".sql");
        Files.writeString(one, "SELECT NVL(title, 'none') FROM frame WHERE ROWNUM < 5;\n");
        double[] versions = new double[11];
        double[] rewrites = new double[11];
        run("--version");
        for (int i = 0; i < rewrites.length; i++) {
            versions[i] = run("--version");
            rewrites[i] = run("rewrite", "--from", "oracle", "--to", "postgresql", one.toString());
        }
        double rewrite = median(rewrites);
        double version = median(versions);
        String beside = format("%.1f times `--version` (%.2f s)", rewrite / version, version);
        row("one-line rewrite from the shell", format("%.2f s", rewrite), "< 0.6 s", beside);
        Files.delete(one);
    }

    /** A dump of 100 MB with at most 256 MB of heap, which is what the launcher gives. */
    private void dump() throws IOException, InterruptedException {
        Path dump = Files.createTempFile("dump", ".sql");
        Path out = Files.createTempFile("dump", ".out");
        try (Writer writer = Files.newBufferedWriter(dump)) {
            MixedScript.dump(writer, 100L * MB);
        }
        double seconds = run(out.toFile(), "rewrite", "--from", "mysql", "--to", "postgresql", dump.toString());
        String beside = format("%.1f MB/s, %d MB written", 100 / seconds, Files.size(out) / MB);
        row("100 MB dump with -Xmx256m", format("%.0f s", seconds), "goes through", beside);
        Files.delete(dump);
        Files.delete(out);
    }

    private double run(String... arguments) throws IOException, InterruptedException {
        return run(new File("/dev/null"), arguments);
    }

    private double run(File output, String... arguments) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(program.toString()));
        command.addAll(List.of(arguments));
        ProcessBuilder builder = new ProcessBuilder(command);
        builder.environment().put("RAFTCART_JAVA_OPTS", "-Xmx256m");
        builder.redirectOutput(output).redirectError(ProcessBuilder.Redirect.DISCARD);
        long start = System.nanoTime();
        int code = builder.start().waitFor();
        if (code > 1) {
            throw new IllegalStateException(command + " ended with " + code);
        }
        return (double) (System.nanoTime() - start) / NANOS;
    }
}
