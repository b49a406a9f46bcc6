package raftcart.dialect;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import raftcart.sql.parse.TypeNameParser;
import raftcart.type.LogicalType;

/**
 * What each name of a type in the manuals of the engines means. A name that has no meaning becomes a text on every
 * target, so none may be missed; run with {@code -Dgolden.update=true} after an addition, and read what changed.
 */
class TypeNamesTest {
    private static final Path FOLDER = Path.of("src/test/resources/raftcart/dialect/type-names");

    static Stream<Path> files() throws IOException {
        try (Stream<Path> files = Files.list(FOLDER)) {
            return files.sorted().toList().stream();
        }
    }

    @ParameterizedTest
    @MethodSource("files")
    void everyNameHasItsMeaning(Path file) throws IOException {
        Language language = Languages.named(file.getFileName().toString().replace(".txt", ""))
                .orElseThrow();
        List<String> given = Files.readAllLines(file);
        List<String> meant = new ArrayList<>();
        for (String line : given) {
            String name = line.split(" -> ")[0];
            LogicalType type = language.types()
                    .read(TypeNameParser.parse(name, language.grammar().lexical()));
            meant.add(name + " -> " + type);
        }
        if (Boolean.getBoolean("golden.update")) {
            Files.write(file, meant);
        }
        assertThat(meant).isEqualTo(given);
    }
}
