package raftcart.finding;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import raftcart.dialect.Languages;
import raftcart.rewrite.Knowledge;
import raftcart.rewrite.ScriptRewriter;
import raftcart.rewrite.TokenRules;

class FindingCatalogTest {
    @Test
    void everyCodeHasItsTextsAndEveryTextItsCode() throws Exception {
        List<String> codes =
                Arrays.stream(FindingCode.values()).map(FindingCode::code).toList();
        assertThat(codes).doesNotHaveDuplicates().allMatch(c -> c.matches("RC\\d{4}"));
        JsonNode texts = new YAMLMapper().readTree(FindingCatalog.class.getResourceAsStream("findings.yaml"));
        assertThat(texts.fieldNames()).toIterable().containsExactlyInAnyOrderElementsOf(codes);
        assertThat(FindingCode.values()).allSatisfy(c -> {
            assertThat(FindingCatalog.get(c).cause()).endsWith(".");
            assertThat(FindingCatalog.get(c).advice()).endsWith(".");
            assertThat(FindingCatalog.get(c).minutes()).isNotNegative();
        });
    }

    /** An example that is translated shows what it is an example of. */
    @Test
    void everyExampleMeetsItsFinding() throws IOException {
        int translated = 0;
        for (FindingCode code : FindingCode.values()) {
            String example = FindingCatalog.get(code).example();
            Matcher parts = Pattern.compile("(\\w+) > (\\w+): (.*)").matcher(example);
            if (!parts.matches()) {
                assertThat(example).as(code.code()).endsWith(".");
                continue;
            }
            translated++;
            List<FindingCode> found = new ArrayList<>();
            new ScriptRewriter(
                            Languages.named(parts.group(1)).orElseThrow(),
                            Languages.named(parts.group(2)).orElseThrow(),
                            new Knowledge(),
                            TokenRules.NONE)
                    .rewrite(new StringReader(parts.group(3) + ";"), new StringWriter(), r -> r.findings()
                            .forEach(f -> found.add(f.code())));
            assertThat(found).as(code.code()).contains(code);
        }
        assertThat(translated).isGreaterThan(40);
    }

    @Test
    void findsACodeInAnySpelling() {
        assertThat(FindingCode.of(" rc0102")).contains(FindingCode.ONE_DIGIT_BOOLEAN);
        assertThat(FindingCode.of("RC9999")).isEmpty();
    }

    @Test
    void everyCodeIsUsedSomewhere() throws IOException {
        StringBuilder sources = new StringBuilder();
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                sources.append(Files.readString(file));
            }
        }
        assertThat(FindingCode.values())
                .allMatch(c -> sources.indexOf("FindingCode." + c.name()) >= 0, "is raised by some code");
    }
}
