package raftcart.bench;

import java.io.IOException;
import java.io.StringReader;
import java.io.Writer;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import raftcart.dialect.Language;
import raftcart.dialect.Languages;
import raftcart.rewrite.Knowledge;
import raftcart.rewrite.ScriptRewriter;
import raftcart.rewrite.TokenRules;
import raftcart.sql.Lexer;
import raftcart.sql.Token;

/** The hot code of {@code rewrite}: cutting a megabyte into tokens, and translating it. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 6, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class RewriteBench {
    private static final int MEGABYTE = 1_000_000;

    private final Language source = Languages.named("mysql").orElseThrow();
    private final String script = MixedScript.ofLength(MEGABYTE);

    /** The dialect to write. */
    @Param({"postgresql", "oracle"})
    public String target;

    /** Tokens only. */
    @Benchmark
    public List<Token> tokens() {
        return Lexer.tokens(script, source.grammar().lexical());
    }

    /** All of it: split, read, resolve, adapt, write. */
    @Benchmark
    public long rewrite() throws IOException {
        long[] statements = new long[1];
        new ScriptRewriter(source, Languages.named(target).orElseThrow(), new Knowledge(), TokenRules.NONE)
                .rewrite(new StringReader(script), Writer.nullWriter(), result -> statements[0]++);
        return statements[0];
    }
}
