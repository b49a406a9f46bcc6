package raftcart.translate;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import raftcart.catalog.Catalog;
import raftcart.catalog.Column;
import raftcart.dialect.Dialect;
import raftcart.dialect.Dialects;
import raftcart.plan.Endpoint;
import raftcart.plan.Plan;
import raftcart.translate.ExpressionTranslator.ColumnPair;
import raftcart.translate.ExpressionTranslator.Result;
import raftcart.type.LogicalType;

/** Expressions as the catalogs of both engines print them; the columns are n, m (whole), d (decimal), b, t, c (text). */
class ExpressionTranslatorTest {
    private static final Map<String, LogicalType> TYPES = new LinkedHashMap<>();

    static {
        TYPES.put("n", new LogicalType.Int(32, false));
        TYPES.put("m", new LogicalType.Int(32, false));
        TYPES.put("d", new LogicalType.Decimal(10, 2, false));
        TYPES.put("b", new LogicalType.Bool());
        TYPES.put("t", new LogicalType.Varchar(20));
        TYPES.put("c", new LogicalType.Varchar(20));
    }

    private static Result translate(String from, String to, String text) {
        Dialect source = Dialects.named(from).orElseThrow();
        Dialect target = Dialects.named(to).orElseThrow();
        Map<String, ColumnPair> columns = new LinkedHashMap<>();
        TYPES.forEach((name, type) -> columns.put(name, new ColumnPair(column(name, type), name, type)));
        NameMapper names = new NameMapper(
                new Catalog(from, "", "k", List.of()),
                Plan.between(Endpoint.of("a"), Endpoint.of("b")),
                "s",
                target.identifiers(),
                target.capabilities(),
                new Notes());
        return new ExpressionTranslator(source, target, columns, names).translate(text, Optional.empty());
    }

    /** Column c ignores case. */
    private static Column column(String name, LogicalType type) {
        Optional<String> none = Optional.empty();
        return new Column(name, "", type, true, none, Optional.empty(), Optional.empty(), name.equals("c"), none, "");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '§',
            quoteCharacter = '~',
            value = {
                "`n` > 0 and `t` in ('x','it''s') § (\"n\" > 0) AND (\"t\" IN ('x', 'it''s'))",
                "concat(`t`,' ',`n`) § \"t\" || ' ' || \"n\"",
                "`b` = 1 § \"b\" = true",
                "`b` in (0,1) § \"b\" IN (false, true)",
                "`n` <> 0 or `b` § (\"n\" <> 0) OR \"b\"",
                "`n` and `m` § (\"n\" <> 0) AND (\"m\" <> 0)",
                "!`b` § NOT \"b\"",
                "`n` / `m` § round(CAST(\"n\" AS numeric) / nullif(\"m\", 0), 4)",
                "`d` / 8 § round(CAST(\"d\" AS numeric) / 8, 6)",
                "`n` DIV `m` § div(\"n\", nullif(\"m\", 0))",
                "`n` MOD 2 = 1 § (\"n\" % 2) = 1",
                "`n` <=> `m` § \"n\" IS NOT DISTINCT FROM \"m\"",
                "`c` = 'ABC' § lower(\"c\") = 'abc'",
                "`c` like 'A%' § lower(\"c\") LIKE 'a%'",
                "`t` regexp '^[a-z]+$' § \"t\" ~ '^[a-z]+$'",
                "`c` regexp '^(a|b)$' § \"c\" ~* '^(a|b)$'",
                "`t` between 'a' and 'b' § \"t\" BETWEEN 'a' AND 'b'",
                "`n` is not null § \"n\" IS NOT NULL",
                "if(`n` > 1,'a','b') § CASE WHEN \"n\" > 1 THEN 'a' ELSE 'b' END",
                "case when `n` > 1 then 'a' end § CASE WHEN \"n\" > 1 THEN 'a' END",
                "current_timestamp() § CURRENT_TIMESTAMP(0)",
                "current_timestamp(6) § CURRENT_TIMESTAMP",
                "nextval(`k`.`plates`) § nextval('\"k\".\"plates\"')",
                "lcase(left(`t`,2)) § lower(left(\"t\", 2))",
                "ifnull(`n`,0) § coalesce(\"n\", 0)",
                "length(`t`) § octet_length(\"t\")",
                "_utf8mb4'x\\'y' § 'x''y'",
                "-1 § -1",
                "x'0aff' § '\\x0aff'::bytea",
                "`n` & 3 § \"n\" & 3",
                "`n` ^ 3 § \"n\" # 3"
            })
    void fromMariaDbToPostgreSql(String source, String expected) {
        assertThat(translate("mariadb", "postgresql", source))
                .returns("", Result::reason)
                .returns(Optional.of(expected), Result::text);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '§',
            quoteCharacter = '~',
            value = {
                "((n > 0) AND ((t)::text = ANY ((ARRAY['a'::character varying, 'b'::character varying])::text[])))"
                        + " § (`n` > 0) AND (`t` IN ('a', 'b'))",
                "((t)::text <> ALL (ARRAY['a'::text])) § `t` NOT IN ('a')",
                "(n / m) § `n` DIV `m`",
                "(d / (m)::numeric) § (CAST(`d` AS decimal(65,30))) / (CAST(`m` AS decimal(65,30)))",
                "(((t)::text ~~ 'a%'::text)) § `t` LIKE 'a%'",
                "((t)::text ~* '^x'::text) § `t` REGEXP '(?i)^x'",
                "((t)::text !~ '^x'::text) § `t` NOT REGEXP '(?-i)^x'",
                "'draft'::proposal_state § 'draft'",
                "'-5'::integer § -5",
                "((d)::numeric > (0)::numeric) § (CAST(`d` AS decimal(65,30))) > 0",
                "(n > (2.5)::integer) § `n` > (CAST(2.5 AS signed))",
                "'\\x0a'::bytea § x'0a'",
                "B'101'::\"bit\" § b'101'",
                "'101'::\"bit\" § b'101'",
                "now() § current_timestamp(6)",
                "CURRENT_DATE § curdate()",
                "('a' || t) § concat('a', `t`)",
                "nextval('s.\"Plates\"'::regclass) § nextval(`s`.`Plates`)",
                "'back\\slash' § 'back\\\\slash'",
                "'2024-01-01 00:00:00'::timestamp without time zone § TIMESTAMP '2024-01-01 00:00:00'"
            })
    void fromPostgreSqlToMariaDb(String source, String expected) {
        assertThat(translate("postgresql", "mariadb", source))
                .returns("", Result::reason)
                .returns(Optional.of(expected), Result::text);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "mariadb | timestampdiff(DAY,`n`,`m`) | 1:1: function timestampdiff",
                "mariadb | concat(`t`, `b`) | a truth value or floating-point number",
                "mariadb | `t` regexp '(?=x)' | a regular expression that the engines may read in different ways",
                "mariadb | `t` regexp '[[:<:]]x\\\\b' | a regular expression that the engines may read in different ways",
                "mariadb | `n` regexp '1' | a value that may or may not ignore case",
                "mariadb | `b` = 7 | a boolean is compared with 7",
                "mariadb | `nowhere` > 1 | column nowhere is not one of the table's",
                "mariadb | `t` and 1 | a value that is not a condition",
                "mariadb | `n` + interval 1 day | 1:",
                "mariadb | `n` > | 1:6: found the end of the text",
                "postgresql | (n > ANY (ARRAY[1, 2])) | expected a comparison with = ANY",
                "postgresql | (t COLLATE \"C\" > 'x') | 1:4: found 'COLLATE'",
                "postgresql | '{a,b}'::text[] | an array",
                "postgresql | 'x'::bytea | bytes that are not written in hexadecimal"
            })
    void saysWhyNot(String from, String text, String reason) {
        String to = from.equals("mariadb") ? "postgresql" : "mariadb";
        Result result = translate(from, to, text);
        assertThat(result.text()).isEmpty();
        assertThat(result.reason()).contains(reason);
    }

    @Test
    void aDeepExpressionEndsInAMessage() {
        String deep = "(".repeat(10_000) + "1" + ")".repeat(10_000);
        assertThat(translate("mariadb", "postgresql", deep).reason()).contains("nested more than 500 deep");
    }

    @Test
    void printingReadsBackAsTheSame() {
        for (String text : List.of("(\"n\" > 0) AND (\"t\" IN ('x'))", "CASE WHEN \"n\" > 1 THEN 'a' ELSE 'b' END")) {
            assertThat(translate("postgresql", "postgresql", text).text()).contains(text);
        }
    }
}
