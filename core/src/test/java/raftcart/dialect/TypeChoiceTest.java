package raftcart.dialect;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import raftcart.catalog.ObjectName;
import raftcart.sql.parse.TypeNameParser;
import raftcart.type.LogicalType;

/** Which type a target gives to a column; a column c of table s.t. */
class TypeChoiceTest {
    /** One sample of every kind of type at least; {@link #everyKindOfTypeHasASample} sees to it. */
    static final List<LogicalType> SAMPLES = List.of(
            new LogicalType.Bool(),
            new LogicalType.Int(8, false),
            new LogicalType.Int(24, true),
            new LogicalType.Int(64, true),
            new LogicalType.Decimal(38, 10, false),
            new LogicalType.Decimal(0, 0, false),
            new LogicalType.Decimal(9, 3, true),
            new LogicalType.Floating(32),
            new LogicalType.Floating(64),
            new LogicalType.Floating(64, true),
            new LogicalType.Char(12),
            new LogicalType.Varchar(40),
            new LogicalType.Text(65_535),
            new LogicalType.Text(0),
            new LogicalType.Binary(16),
            new LogicalType.Varbinary(64),
            new LogicalType.Blob(0),
            new LogicalType.Bits(12, false),
            new LogicalType.Bits(0, true),
            new LogicalType.Date(),
            new LogicalType.Time(3, false),
            new LogicalType.Time(3, true),
            new LogicalType.Duration(6),
            new LogicalType.Timestamp(6, false),
            new LogicalType.Timestamp(0, true),
            new LogicalType.Year(),
            new LogicalType.Enumeration("", List.of("a", "it's")),
            new LogicalType.Members(List.of("x", "y")),
            new LogicalType.Json(false),
            new LogicalType.Json(true),
            new LogicalType.Uuid(),
            new LogicalType.Address(),
            new LogicalType.Array(new LogicalType.Int(32, false)),
            new LogicalType.Opaque("polygon", false),
            new LogicalType.Opaque("point", true));

    private static ColumnUse use(boolean identity, int keyColumns) {
        return new ColumnUse(new ObjectName("s", "t"), "c", identity, false, keyColumns, 0, false, false);
    }

    private static TypeChoice choose(String dialect, LogicalType type, ColumnUse use) {
        return Dialects.named(dialect).orElseThrow().types().choose(type, use);
    }

    @Test
    void everyKindOfTypeHasASample() {
        Set<Class<?>> kinds = SAMPLES.stream().map(Object::getClass).collect(Collectors.toSet());
        assertThat(kinds).containsExactlyInAnyOrder(LogicalType.class.getPermittedSubclasses());
    }

    @Test
    void everyDialectHasATypeForEverything() {
        for (Dialect dialect : Dialects.all()) {
            for (LogicalType type : SAMPLES) {
                for (int keyColumns : new int[] {0, 2}) {
                    TypeChoice choice = dialect.types().choose(type, use(false, keyColumns));
                    assertThat(choice.sql()).as(dialect.name() + " " + type).isNotBlank();
                    boolean changed = !choice.stored().equals(type) && !isNative(type, choice);
                    assertThat(changed && choice.notes().isEmpty())
                            .as(dialect.name() + ": " + type + " becomes " + choice.stored() + " without a word")
                            .isFalse();
                }
            }
        }
    }

    /** The same thing in the target's own terms: nothing is lost and nothing need be said. */
    private static boolean isNative(LogicalType type, TypeChoice choice) {
        boolean text = type instanceof LogicalType.Text && choice.stored() instanceof LogicalType.Text;
        boolean enumeration = type instanceof LogicalType.Enumeration;
        boolean clock = type instanceof LogicalType.Time && choice.stored() instanceof LogicalType.Duration;
        return text || enumeration || clock;
    }

    @Test
    void aDialectReadsTheTypesThatItChooses() {
        for (Dialect dialect : Dialects.all()) {
            for (LogicalType type : SAMPLES) {
                TypeChoice choice = dialect.types().choose(type, use(false, 0));
                boolean named = choice.stored() instanceof LogicalType.Enumeration e
                        && !e.name().isEmpty();
                if (named) {
                    continue; // the catalog reader knows named enumerations
                }
                String sql = choice.sql().replaceAll(" COLLATE .*", "");
                LogicalType read = dialect.types()
                        .read(TypeNameParser.parse(sql, dialect.grammar().lexical()));
                assertThat(read.form())
                        .as(dialect.name() + " " + sql)
                        .isEqualTo(choice.stored().form());
            }
        }
    }

    @Test
    void castsNameATypeOrSayThatThereIsNone() {
        for (Dialect dialect : Dialects.all()) {
            for (LogicalType type : SAMPLES) {
                try {
                    assertThat(dialect.types().castName(type)).isNotBlank();
                } catch (Untranslatable e) {
                    assertThat(e.getMessage()).contains("no cast to");
                }
            }
        }
    }

    private static LogicalType type(String sample) {
        return SAMPLES.stream()
                .filter(t -> t.toString().equals(sample))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "postgresql | Bool[] | boolean | - | -",
                "postgresql | Int[bits=8, unsigned=false] | smallint | - | RC0117",
                "postgresql | Int[bits=24, unsigned=true] | integer | \"c\" BETWEEN 0 AND 16777215 | RC0101",
                "postgresql | Int[bits=64, unsigned=true] | numeric(20,0) | \"c\" BETWEEN 0 AND 18446744073709551615 | RC0101",
                "postgresql | Decimal[precision=38, scale=10, unsigned=false] | numeric(38,10) | - | -",
                "postgresql | Decimal[precision=9, scale=3, unsigned=true] | numeric(9,3) | \"c\" >= 0 | RC0101",
                "postgresql | Floating[bits=64, unsigned=true] | double precision | \"c\" >= 0 | RC0101",
                "postgresql | Binary[length=16] | bytea | octet_length(\"c\") = 16 | RC0109",
                "postgresql | Duration[precision=6] | interval hour to second(6) | - | RC0106",
                "postgresql | Timestamp[precision=0, zoned=true] | timestamp(0) with time zone | - | -",
                "postgresql | Year[] | smallint | \"c\" = 0 OR \"c\" BETWEEN 1901 AND 2155 | RC0103",
                "postgresql | Enumeration[name=, values=[a, it's]] | \"s\".\"t_c\" | - | RC0105",
                "postgresql | Array[element=Int[bits=32, unsigned=false]] | integer[] | - | -",
                "postgresql | Opaque[nativeName=point, bytes=true] | bytea | - | RC0111",
                "mariadb | Bool[] | tinyint(1) | - | -",
                "mariadb | Decimal[precision=0, scale=0, unsigned=false] | decimal(65,30) | - | RC0110",
                "mariadb | Text[maxBytes=0] | longtext | - | -",
                "mariadb | Bits[length=0, varying=true] | longtext | - | RC0111",
                "mariadb | Time[precision=3, zoned=true] | varchar(32) | - | RC0111",
                "mariadb | Timestamp[precision=0, zoned=true] | datetime(0) | - | RC0114",
                "mariadb | Enumeration[name=, values=[a, it's]] | enum('a','it''s') | - | -",
                "mariadb | Json[normalized=true] | json | - | RC0118",
                "mariadb | Array[element=Int[bits=32, unsigned=false]] | json | - | RC0115",
                "mariadb | Floating[bits=64, unsigned=false] | double | - | RC0116"
            })
    void choosesByMeaning(String dialect, String sample, String sql, String check, String code) {
        TypeChoice choice = choose(dialect, type(sample), use(false, 0));
        assertThat(choice.sql()).isEqualTo(sql);
        assertThat(choice.checks()).isEqualTo(Stream.ofNullable(check).toList());
        assertThat(choice.notes().stream().map(n -> n.code().code()))
                .isEqualTo(Stream.ofNullable(code).toList());
    }

    @Test
    void keysOfMariaDbBoundTheirTexts() {
        LogicalType text = new LogicalType.Text(0);
        assertThat(choose("mariadb", text, use(false, 1)).sql()).isEqualTo("varchar(768)");
        assertThat(choose("mariadb", text, use(false, 3)).sql()).isEqualTo("varchar(256)");
        assertThat(choose("mariadb", new LogicalType.Varchar(40), use(false, 1)).sql())
                .isEqualTo("varchar(40)");
        assertThat(choose("mariadb", new LogicalType.Varchar(5000), use(false, 0))
                        .sql())
                .isEqualTo("mediumtext");
        assertThat(choose("mariadb", new LogicalType.Blob(0), use(false, 1)).sql())
                .isEqualTo("varbinary(1536)");
    }

    @Test
    void identitiesStayWholeNumbersOfSixtyFourBits() {
        assertThat(choose("postgresql", new LogicalType.Int(64, true), use(true, 0)))
                .returns("bigint", TypeChoice::sql)
                .returns(List.of(), TypeChoice::checks);
        assertThat(choose("postgresql", new LogicalType.Int(32, true), use(true, 0))
                        .sql())
                .isEqualTo("bigint");
    }

    @Test
    void textThatIgnoresCaseKeepsACollationThatDoes() {
        ColumnUse ignoring = new ColumnUse(new ObjectName("s", "t"), "c", false, false, 0, 0, true, false);
        assertThat(choose("mariadb", new LogicalType.Varchar(5), ignoring).sql())
                .isEqualTo("varchar(5) COLLATE utf8mb4_general_ci");
        ColumnUse padding = new ColumnUse(new ObjectName("s", "t"), "c", false, false, 0, 0, false, true);
        assertThat(choose("mariadb", new LogicalType.Varchar(5), padding).sql())
                .isEqualTo("varchar(5) COLLATE utf8mb4_bin");
        assertThat(Arrays.asList(choose("postgresql", new LogicalType.Varchar(5), ignoring)
                        .sql()))
                .containsExactly("character varying(5)");
    }
}
