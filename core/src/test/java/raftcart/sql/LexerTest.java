package raftcart.sql;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import raftcart.dialect.Dialect;
import raftcart.dialect.Dialects;
import raftcart.error.SqlSyntaxException;

class LexerTest {
    private final LexicalRules mariadb = rules("mariadb");
    private final LexicalRules postgresql = rules("postgresql");

    private static LexicalRules rules(String dialect) {
        return Dialects.named(dialect).map(Dialect::grammar).orElseThrow().lexical();
    }

    private static List<String> values(String text, LexicalRules rules) {
        return Lexer.tokens(text, rules).stream().map(Token::value).toList();
    }

    @Test
    void readsQuotesOfEachDialect() {
        assertThat(values("`a``b` \"x\" 'it''s\\n'", mariadb)).containsExactly("a`b", "x", "it's\n", "");
        assertThat(values("\"a\"\"b\" 'back\\slash' E'tab\\t' $q$it's$q$", postgresql))
                .containsExactly("a\"b", "back\\slash", "tab\t", "it's", "");
    }

    @Test
    void keepsCommentsApartAndNestsThemWhereTheDialectDoes() {
        assertThat(values("a -- b\n/* c /* d */ e */ f", postgresql)).containsExactly("a", "f", "");
        assertThat(values("a # b\n/* c /* d */ e", mariadb)).containsExactly("a", "e", "");
    }

    @Test
    void readsNumbersAndBytes() {
        assertThat(values("1.5e-3 .5 0x0Aff x'00' b'101' 1..2", mariadb))
                .containsExactly("1.5e-3", ".5", "0Aff", "00", "101", "1", "..", "2", "");
    }

    @Test
    void saysWhereAnOpenTextBegins() {
        assertThatThrownBy(() -> Lexer.tokens("SELECT 1,\n  'open", mariadb))
                .isInstanceOf(SqlSyntaxException.class)
                .hasMessage("2:3: text that begins with ' is not closed");
        assertThatThrownBy(() -> Lexer.tokens("/* open", mariadb)).hasMessage("1:1: comment is not closed");
    }

    @Test
    void endsOnAnyTextWithTokensOrAPositionedError() {
        SplittableRandom random = new SplittableRandom(3);
        String alphabet = "ab1.'\"`\\$#-/*;(\n ~|";
        for (int i = 0; i < 5000; i++) {
            StringBuilder text = new StringBuilder();
            random.ints(random.nextInt(30), 0, alphabet.length()).forEach(c -> text.append(alphabet.charAt(c)));
            for (LexicalRules rules : List.of(mariadb, postgresql)) {
                try {
                    List<Token> tokens = Lexer.tokens(text.toString(), rules);
                    assertThat(tokens.get(tokens.size() - 1).kind()).isEqualTo(TokenKind.END);
                } catch (SqlSyntaxException e) {
                    assertThat(e).hasMessageMatching("(?s)\\d+:\\d+: .*");
                }
            }
        }
    }

    @Test
    void splitsScriptsAtTheSeparatorInForce() {
        String script = "SELECT ';'; -- not; here\nDELIMITER //\nBEGIN a; b; END //\nDELIMITER ;\nSELECT `;`";
        assertThat(ScriptSplitter.split(script, mariadb))
                .containsExactly("SELECT ';'", "BEGIN a; b; END", "SELECT `;`");
        assertThat(ScriptSplitter.split("CREATE FUNCTION f() AS $$ a; b; $$; SELECT 1;", postgresql))
                .containsExactly("CREATE FUNCTION f() AS $$ a; b; $$", "SELECT 1");
    }
}
