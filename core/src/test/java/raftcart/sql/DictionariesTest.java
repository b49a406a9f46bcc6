package raftcart.sql;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import raftcart.dialect.LanguageResources;
import raftcart.dialect.Languages;
import raftcart.sql.function.DictionaryReader;
import raftcart.sql.function.Signatures;

class DictionariesTest {
    private static java.util.List<String> dialects() {
        return Languages.names();
    }

    @Test
    void thereAreMoreThanTwoHundredAndFiftyFunctions() {
        assertThat(Signatures.names()).hasSizeGreaterThan(250);
    }

    @ParameterizedTest
    @MethodSource("dialects")
    void everyDictionaryIsRead(String dialect) {
        assertThat(LanguageResources.dictionary(dialect).functions()).hasSizeGreaterThan(60);
        assertThat(Languages.named(dialect).orElseThrow().types()).isNotNull();
    }

    @Test
    void anUnknownParameterNamesFileAndLine() {
        assertThatThrownBy(() -> read("functions:\n  lower: LOWER($text)\n  upper: UPPER($txt)\n"))
                .hasMessageContaining("mine.yaml:3")
                .hasMessageContaining("$txt is not a parameter of upper")
                .hasMessageContaining("$text");
    }

    @Test
    void anUnknownFunctionNamesFileAndLine() {
        assertThatThrownBy(() -> read("functions:\n  no_such: X()\n"))
                .hasMessageContaining("mine.yaml:2")
                .hasMessageContaining("no canonical function no_such");
    }

    private static Object read(String yaml) {
        try (JsonParser in = new YAMLMapper().createParser(yaml)) {
            return DictionaryReader.read("mine.yaml", in, LanguageResources::dictionary);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
