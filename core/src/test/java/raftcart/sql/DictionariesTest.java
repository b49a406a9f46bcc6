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
import raftcart.catalog.ObjectName;
import raftcart.dialect.ColumnUse;
import raftcart.dialect.LanguageResources;
import raftcart.dialect.Languages;
import raftcart.dialect.YamlTypes;
import raftcart.sql.function.DictionaryReader;
import raftcart.sql.function.FunctionDictionary;
import raftcart.sql.function.Signatures;
import raftcart.type.LogicalType;

class DictionariesTest {
    private static final ColumnUse USE =
            new ColumnUse(new ObjectName("ridge", "star"), "id", false, false, 0, 0, false, false);

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
        FunctionDictionary dictionary = LanguageResources.dictionary(dialect);
        assertThat(Signatures.names().stream().filter(dictionary::writes)).hasSizeGreaterThan(60);
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

    @Test
    void aKindThatDoesNotExistNamesTheEntry() {
        assertThatThrownBy(() -> types("read:\n  star_name: varchr 80\n"))
                .hasMessageContaining("mine.yaml")
                .hasMessageContaining("star_name")
                .hasMessageContaining("varchr");
        assertThatThrownBy(() -> types("write:\n  jsn: CLOB\n")).hasMessageContaining("jsn");
    }

    @Test
    void aTypeMaySayWhatIsLost() {
        YamlTypes types = types("write:\n  decimal: [ {up to: 15, sql: 'D($p)'}, {sql: X, check: loses digits} ]\n");
        assertThat(types.choose(new LogicalType.Decimal(9, 2, false), USE).sql())
                .isEqualTo("D(9)");
        assertThat(types.choose(new LogicalType.Decimal(30, 2, false), USE)
                        .notes()
                        .toString())
                .contains("INEXACT_NUMBER", "loses digits");
    }

    private static YamlTypes types(String yaml) {
        try (JsonParser in = new YAMLMapper().createParser(yaml)) {
            return YamlTypes.read("mine.yaml", in, name -> null);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Object read(String yaml) {
        try (JsonParser in = new YAMLMapper().createParser(yaml)) {
            return DictionaryReader.read("mine.yaml", in, LanguageResources::dictionary);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
