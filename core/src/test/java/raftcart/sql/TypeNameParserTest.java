package raftcart.sql;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import raftcart.dialect.Dialect;
import raftcart.dialect.Dialects;
import raftcart.sql.parse.TypeNameParser;
import raftcart.sql.tree.TypeName;

class TypeNameParserTest {
    private static TypeName parse(String dialect, String text) {
        return TypeNameParser.parse(
                text,
                Dialects.named(dialect).map(Dialect::grammar).orElseThrow().lexical());
    }

    @Test
    void readsWordsParametersAndTexts() {
        assertThat(parse("mariadb", "int(10) unsigned zerofill"))
                .isEqualTo(new TypeName("int unsigned", List.of(10), List.of(), 0));
        assertThat(parse("mariadb", "enum('a','it''s','\\\\')"))
                .isEqualTo(new TypeName("enum", List.of(), List.of("a", "it's", "\\"), 0));
        assertThat(parse("mariadb", "decimal(38,10)"))
                .isEqualTo(new TypeName("decimal", List.of(38, 10), List.of(), 0));
        assertThat(parse("postgresql", "timestamp(3) with time zone"))
                .isEqualTo(new TypeName("timestamp with time zone", List.of(3), List.of(), 0));
        assertThat(parse("postgresql", "interval hour to second(2)"))
                .isEqualTo(new TypeName("interval hour to second", List.of(2), List.of(), 0));
        assertThat(parse("postgresql", "numeric(10,2)[]"))
                .isEqualTo(new TypeName("numeric", List.of(10, 2), List.of(), 1));
        assertThat(parse("postgresql", "sub.\"Mood\"")).isEqualTo(TypeName.of("sub.mood"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "mariadb | tinyint(1) | Bool[]",
                "mariadb | tinyint(4) | Int[bits=8, unsigned=false]",
                "mariadb | mediumint(8) unsigned | Int[bits=24, unsigned=true]",
                "mariadb | bigint(20) unsigned | Int[bits=64, unsigned=true]",
                "mariadb | decimal(5,2) unsigned | Decimal[precision=5, scale=2, unsigned=true]",
                "mariadb | float | Floating[bits=32, unsigned=false]",
                "mariadb | double(10,3) | Floating[bits=64, unsigned=false]",
                "mariadb | time(3) | Duration[precision=3]",
                "mariadb | timestamp | Timestamp[precision=0, zoned=true]",
                "mariadb | datetime(6) | Timestamp[precision=6, zoned=false]",
                "mariadb | mediumtext | Text[maxBytes=16777215]",
                "mariadb | set('a','b') | Members[values=[a, b]]",
                "mariadb | point | Opaque[nativeName=point, bytes=true]",
                "mariadb | inet6 | Address[]",
                "mariadb | no such type | Opaque[nativeName=no such type, bytes=false]",
                "postgresql | character varying | Text[maxBytes=0]",
                "postgresql | character varying(20) | Varchar[length=20]",
                "postgresql | numeric | Decimal[precision=0, scale=0, unsigned=false]",
                "postgresql | bit(8) | Bits[length=8, varying=false]",
                "postgresql | bit varying | Bits[length=0, varying=true]",
                "postgresql | time without time zone | Time[precision=6, zoned=false]",
                "postgresql | timestamp(0) without time zone | Timestamp[precision=0, zoned=false]",
                "postgresql | interval | Opaque[nativeName=interval, bytes=false]",
                "postgresql | interval hour to second(3) | Duration[precision=3]",
                "postgresql | integer[] | Array[element=Int[bits=32, unsigned=false]]",
                "postgresql | jsonb | Json[normalized=true]",
                "postgresql | double precision | Floating[bits=64, unsigned=false]"
            })
    void dialectsGiveTypesTheirMeaning(String dialect, String text, String meaning) {
        Dialect of = Dialects.named(dialect).orElseThrow();
        assertThat(of.types().read(parse(dialect, text))).hasToString(meaning);
    }
}
