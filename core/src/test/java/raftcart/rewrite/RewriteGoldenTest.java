package raftcart.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import raftcart.dialect.Languages;

/**
 * Each file {@code golden/FROM-name.sql} is translated to the dialects that its first line names ({@code -- to: a b});
 * {@code FROM-name.TO.sql} holds the expected text with the findings after it. A new file is all that a case takes;
 * {@code -Dgolden.update=true} writes what is missing or differs.
 */
class RewriteGoldenTest {
    private static final Path FOLDER = Path.of("src/test/resources/raftcart/rewrite/golden");

    private static List<Path> sources() throws IOException {
        try (Stream<Path> files = Files.list(FOLDER)) {
            return files.filter(f -> f.getFileName().toString().matches("[a-z0-9]+-[a-z0-9]+\\.sql"))
                    .sorted()
                    .toList();
        }
    }

    @ParameterizedTest
    @MethodSource("sources")
    void textAndFindingsAreAsExpected(Path source) throws IOException {
        String text = Files.readString(source);
        String name = source.getFileName().toString().replace(".sql", "");
        String from = name.substring(0, name.indexOf('-'));
        for (String to : text.lines()
                .findFirst()
                .orElseThrow()
                .replace("-- to:", "")
                .strip()
                .split(" +")) {
            String result = translated(from, to, text);
            Path expected = FOLDER.resolve(name + "." + to + ".sql");
            if (Boolean.getBoolean("golden.update")) {
                Files.writeString(expected, result);
            }
            assertThat(result).as(expected.toString()).isEqualTo(Files.readString(expected));
        }
    }

    private static String translated(String from, String to, String text) throws IOException {
        StringWriter out = new StringWriter();
        List<String> findings = new ArrayList<>();
        new ScriptRewriter(
                        Languages.named(from).orElseThrow(),
                        Languages.named(to).orElseThrow(),
                        new Knowledge(),
                        TokenRules.NONE)
                .rewrite(new java.io.BufferedReader(new StringReader(text)), out, r -> r.findings()
                        .forEach(f -> findings.add("-- " + f.line() + ":" + f.column() + ": " + f.message())));
        return out + "\n-- findings\n" + String.join("\n", findings) + "\n";
    }
}
