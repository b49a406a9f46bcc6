package raftcart.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import raftcart.dialect.Languages;
import raftcart.sql.parse.ExprParser;
import raftcart.sql.tree.Expr;

/** A column called day gets its new name, and the unit of time called day does not. */
class DateWordsTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "sqlserver | DATEDIFF(day, made, seen)  | true",
                "sqlserver | DATEPART(day, made)        | true",
                "sqlserver | DATEPART(made, day)        | false",
                "mysql     | DATEDIFF(day, made)        | false",
                "mysql     | DATE_FORMAT(day, '%Y')     | false",
                "mysql     | TIMESTAMPDIFF(day, a, b)   | true",
                "mysql     | TIMESTAMP(day, made)       | false",
                "snowflake | TIMEADD(hour, 2, made)     | true",
            })
    void theFirstWord(String dialect, String call, boolean unit) {
        Expr parsed =
                ExprParser.parse(call, Languages.named(dialect).orElseThrow().grammar());
        assertThat(parsed instanceof Expr.Call c && DateWords.isFirstOf(c)).isEqualTo(unit);
    }
}
