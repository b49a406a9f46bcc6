package raftcart.finding;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

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
