package raftcart.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import raftcart.dialect.Languages;
import raftcart.rewrite.ExpressionRewriter.Result;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.type.LogicalType;

/** Expressions as the catalogs of both engines print them; the columns are n, m (whole), d (decimal), b, t, c (text). */
class ExpressionRewriterTest {
    private static final Map<String, LogicalType> TYPES = new LinkedHashMap<>();

    static {
        TYPES.put("n", new LogicalType.Int(32, false));
        TYPES.put("m", new LogicalType.Int(32, false));
        TYPES.put("d", new LogicalType.Decimal(10, 2, false));
        TYPES.put("b", new LogicalType.Bool());
        TYPES.put("f", new LogicalType.Floating(64));
        TYPES.put("t", new LogicalType.Varchar(20));
        TYPES.put("c", new LogicalType.Varchar(20));
    }

    private static Result translate(String from, String to, String text, boolean condition) {
        ExpressionRewriter rewriter = rewriter(from, to);
        return condition ? rewriter.condition(text) : rewriter.value(text);
    }

    private static ExpressionRewriter rewriter(String from, String to) {
        Knowledge knowledge = new Knowledge();
        QualifiedName table = QualifiedName.of("k");
        knowledge.addEnumeration(QualifiedName.of("proposal_state"), List.of("draft", "sent"));
        knowledge.add(
                table,
                TYPES.entrySet().stream()
                        .map(e -> column(e.getKey(), e.getValue()))
                        .toList(),
                List.of());
        return new ExpressionRewriter(
                Languages.named(from).orElseThrow(),
                Languages.named(to).orElseThrow().quotingAll(),
                knowledge,
                table,
                new ExpressionRewriter.Names() {
                    @Override
                    public Optional<Name> column(Name source) {
                        return TYPES.containsKey(source.text())
                                ? Optional.of(new Name(source.text(), true))
                                : Optional.empty();
                    }

                    @Override
                    public QualifiedName sequence(QualifiedName source) {
                        return new QualifiedName(source.parts().stream()
                                .map(n -> new Name(n.text(), true))
                                .toList());
                    }
                });
    }

    /** Column c ignores case. */
    private static KnownColumn column(String name, LogicalType type) {
        return new KnownColumn(new Name(name, true), Optional.of(type), false, name.equals("c"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '§',
            quoteCharacter = '~',
            value = {
                "`n` > 0 and `t` in ('x','it''s') § \"n\" > 0 AND \"t\" IN ('x', 'it''s')",
                "`b` = 1 § \"b\" = TRUE",
                "`b` in (0,1) § \"b\" IN (FALSE, TRUE)",
                "`n` <> 0 or `b` § \"n\" <> 0 OR \"b\"",
                "`n` and `m` § \"n\" <> 0 AND \"m\" <> 0",
                "!`b` § NOT \"b\"",
                "`n` MOD 2 = 1 § \"n\" % 2 = 1",
                "`n` <=> `m` § \"n\" IS NOT DISTINCT FROM \"m\"",
                "`c` = 'ABC' § LOWER(\"c\") = 'abc'",
                "char_length(`c`) > 2 § CHAR_LENGTH(\"c\") > 2",
                "`c` like 'A%' § LOWER(\"c\") LIKE 'a%'",
                "`c` in ('A',`t`) § LOWER(\"c\") IN ('a', LOWER(\"t\"))",
                "`t` regexp '^[a-z]+$' § \"t\" ~ '^[a-z]+$'",
                "`c` regexp '^(a|b)$' § \"c\" ~* '^(a|b)$'",
                "`n` regexp '1' § CAST(\"n\" AS text) ~ '1'",
                "`t` between 'a' and 'b' § \"t\" BETWEEN 'a' AND 'b'",
                "`n` is not null § \"n\" IS NOT NULL",
                "concat(`t`, `b`) = 'x1' § \"t\" || CASE WHEN \"b\" THEN 1 WHEN NOT \"b\" THEN 0 END = 'x1'",
                "timestampdiff(DAY,'2031-01-01','2031-01-05') > `n` § TRUNC(EXTRACT(EPOCH FROM CAST(DATE '2031-01-05' AS timestamp) - CAST(DATE '2031-01-01' AS timestamp)) / 86400) > \"n\""
            })
    void conditionsFromMariaDb(String source, String expected) {
        assertThat(translate("mariadb", "postgresql", source, true))
                .returns("", Result::reason)
                .returns(Optional.of(expected), Result::text);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '§',
            quoteCharacter = '~',
            value = {
                "concat(`t`,' ',`n`) § \"t\" || ' ' || \"n\"",
                "`n` / `m` § ROUND(CAST(\"n\" AS numeric) / NULLIF(\"m\", 0), 4)",
                "`d` / 8 § ROUND(\"d\" / 8, 6)",
                "`n` DIV `m` § DIV(\"n\", NULLIF(\"m\", 0))",
                "if(`n` > 1,'a','b') § CASE WHEN \"n\" > 1 THEN 'a' ELSE 'b' END",
                "case when `n` > 1 then 'a' end § CASE WHEN \"n\" > 1 THEN 'a' END",
                "current_timestamp() § CURRENT_TIMESTAMP",
                "current_timestamp(6) § CURRENT_TIMESTAMP(6)",
                "nextval(`k`.`plates`) § NEXTVAL('\"k\".\"plates\"')",
                "lcase(left(`t`,2)) § LOWER(LEFT(\"t\", 2))",
                "ifnull(`n`,0) § COALESCE(\"n\", 0)",
                "length(`t`) § OCTET_LENGTH(\"t\")",
                "_utf8mb4'x\\'y' § 'x''y'",
                "-1 § -1",
                "x'0aff' § '\\x0aff'::bytea",
                "`n` & 3 § (\"n\" & 3)",
                "`n` ^ 3 § (\"n\" # 3)",
                "`n` > 0 § CASE WHEN \"n\" > 0 THEN 1 WHEN NOT \"n\" > 0 THEN 0 END"
            })
    void valuesFromMariaDb(String source, String expected) {
        assertThat(translate("mariadb", "postgresql", source, false))
                .returns("", Result::reason)
                .returns(Optional.of(expected), Result::text);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '§',
            quoteCharacter = '~',
            value = {
                "((n > 0) AND ((t)::text = ANY ((ARRAY['a'::character varying, 'b'::character varying])::text[]))) § `n` > 0 AND `t` IN ('a', 'b')",
                "((t)::text <> ALL (ARRAY['a'::text])) § `t` NOT IN ('a')",
                "(((t)::text ~~ 'a%'::text)) § `t` LIKE 'a%'",
                "((t)::text ~* '^x'::text) § `t` REGEXP '(?i)^x'",
                "((t)::text !~ '^x'::text) § `t` NOT REGEXP '^x'",
                "((d)::numeric > (0)::numeric) § `d` > 0",
                "(n > (2.5)::integer) § `n` > CAST(2.5 AS signed)"
            })
    void conditionsFromPostgreSql(String source, String expected) {
        assertThat(translate("postgresql", "mariadb", source, true))
                .returns("", Result::reason)
                .returns(Optional.of(expected), Result::text);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '§',
            quoteCharacter = '~',
            value = {
                "(n / m) § `n` DIV `m`",
                "(d / (m)::numeric) § CAST(`d` AS decimal(65,30)) / CAST(`m` AS decimal(65,30))",
                "'draft'::proposal_state § 'draft'",
                "'-5'::integer § -5",
                "'\\x0a'::bytea § X'0a'",
                "B'101'::\"bit\" § B'101'",
                "'101'::\"bit\" § B'101'",
                "now() § CURRENT_TIMESTAMP(6)",
                "CURRENT_DATE § CURRENT_DATE",
                "('a' || t) § CONCAT('a', `t`)",
                "nextval('s.\"Plates\"'::regclass) § NEXTVAL(`s`.`Plates`)",
                "'back\\slash' § 'back\\\\slash'",
                "'2024-01-01 00:00:00'::timestamp without time zone § TIMESTAMP '2024-01-01 00:00:00'"
            })
    void valuesFromPostgreSql(String source, String expected) {
        assertThat(translate("postgresql", "mariadb", source, false))
                .returns("", Result::reason)
                .returns(Optional.of(expected), Result::text);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "mariadb | `t` = nowhere() | the function nowhere is not known",
                "mariadb | `b` = 7 | a truth value is compared with 7",
                "mariadb | `nowhere` > 1 | column nowhere is not one of the table's",
                "mariadb | `n` > | 1:6: found the end of the text",
                "postgresql | (n > ANY (ARRAY[1, 2])) | a comparison with the items of an array",
                "postgresql | ('{a,b}'::text[])[1:2] | an element of an array",
                "postgresql | (t)::tsvector | a cast to tsvector"
            })
    void saysWhyNot(String from, String text, String reason) {
        String to = from.equals("mariadb") ? "postgresql" : "mariadb";
        Result result = translate(from, to, text, true);
        assertThat(result.text()).isEmpty();
        assertThat(result.reason()).contains(reason);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "mariadb ; concat(`t`, `f`) ; RC0625",
                "mariadb ; `t` regexp '(?=x)' ; RC0607",
                "mariadb ; `t` regexp '[[:<:]]x\\\\b' ; RC0607",
                "postgresql ; (t COLLATE \"C\" || 'x') ; RC0612"
            })
    void saysWhatMayDiffer(String from, String text, String code) {
        String to = from.equals("mariadb") ? "postgresql" : "mariadb";
        assertThat(translate(from, to, text, false).notes())
                .extracting(n -> n.code().code())
                .contains(code);
    }

    @Test
    void aDeepExpressionEndsInAMessage() {
        String deep = "(".repeat(10_000) + "1" + ")".repeat(10_000);
        assertThat(translate("mariadb", "postgresql", deep, false).reason()).contains("nested more than 300 deep");
    }

    @Test
    void aConditionOfATruthColumnIsItsValue() {
        Result computed = rewriter("mariadb", "postgresql").computed("`n` > 1", new LogicalType.Bool());
        assertThat(computed.text()).contains("\"n\" > 1");
    }

    @Test
    void defaultsFitTheirColumns() {
        ExpressionRewriter toMariaDb = rewriter("postgresql", "mariadb");
        assertThat(toMariaDb
                        .defaultValue("now()", new LogicalType.Timestamp(3, false))
                        .text())
                .contains("CURRENT_TIMESTAMP(3)");
        assertThat(rewriter("mariadb", "postgresql")
                        .defaultValue("1", new LogicalType.Bool())
                        .text())
                .contains("TRUE");
    }
}
