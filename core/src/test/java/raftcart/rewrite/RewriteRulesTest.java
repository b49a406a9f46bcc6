package raftcart.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Single rules of the translation, each with its source, its expected text and what a person should look at. */
class RewriteRulesTest {
    /** The cases of all files in the folder {@code rules}; a further file needs nothing else. */
    private static List<RuleCase> cases() throws IOException, URISyntaxException {
        List<RuleCase> cases = new ArrayList<>();
        Path folder = Path.of(RewriteRulesTest.class.getResource("rules").toURI());
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.sorted().toList()) {
                RuleCase.of(Files.readString(file)).forEach(cases::add);
            }
        }
        return cases;
    }

    @ParameterizedTest
    @MethodSource("cases")
    void keepsItsMeaningOrSaysSo(RuleCase rule) {
        RuleCase.Result result = rule.run();
        assertThat(result.text()).isEqualTo(rule.expected());
        assertThat(result.findings()).isEqualTo(rule.findings());
    }
}
