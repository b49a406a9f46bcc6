package raftcart.cli.command;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.dialect.Languages;
import raftcart.rewrite.Knowledge;
import raftcart.rewrite.ScriptRewriter;
import raftcart.rewrite.TokenRules;

/**
 * The example of a finding. One that names two dialects is translated when it is shown, so that it is always what the
 * tool does.
 *
 * @param text what is said in words
 * @param lines the statement on both sides; none where words say it all
 */
record Example(String text, List<String> lines) {
    private static final Pattern TRANSLATED = Pattern.compile("(\\w+) > (\\w+): (.*)", Pattern.DOTALL);

    Example {
        lines = List.copyOf(lines);
    }

    static Example of(String example) {
        Matcher parts = TRANSLATED.matcher(example);
        if (!parts.matches()) {
            return new Example(example, List.of());
        }
        String from = parts.group(1);
        String to = parts.group(2);
        StringWriter written = new StringWriter();
        try {
            new ScriptRewriter(
                            Languages.named(from).orElseThrow(),
                            Languages.named(to).orElseThrow(),
                            new Knowledge(),
                            TokenRules.NONE)
                    .rewrite(new StringReader(parts.group(3) + ";\n"), written, result -> {});
        } catch (IOException e) {
            throw new UncheckedIOException("a text in memory cannot be read", e);
        }
        List<String> lines = new ArrayList<>();
        lines.add("  " + parts.group(3) + ";");
        lines.add("becomes");
        written.toString().strip().lines().map(l -> "  " + l).forEach(lines::add);
        return new Example("from " + from + " to " + to, lines);
    }
}
