package raftcart.sql;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class GlobPatternsTest {
    private static final String SIGNS = "a%_*?[]\\b";

    @ParameterizedTest
    @CsvSource({"K%, '', K*", "a_b, '', a?b", "50!%%, !, 50%*", "*?[, '', [*][?][[]", "a!, !, a!"})
    void likeAsGlob(String like, String escape, String glob) {
        assertThat(GlobPatterns.ofLike(like, escape)).isEqualTo(glob);
    }

    @Test
    void bracketsOfGlobHaveNoCounterpart() {
        assertThat(GlobPatterns.toLike("[ab]*")).isEmpty();
        assertThat(GlobPatterns.toLike("K*?_")).contains("K%_\\_");
    }

    /** Both patterns match the same texts, whatever they hold. */
    @Test
    void randomPatternsMatchTheSameTexts() {
        Random random = new Random(7);
        for (int i = 0; i < 20_000; i++) {
            String like = text(random);
            String text = text(random);
            assertThat(globMatches(GlobPatterns.ofLike(like, ""), text))
                    .as("%s on %s", like, text)
                    .isEqualTo(likeMatches(like, '\0', text));
            String replaced = like;
            for (var pair : GlobPatterns.REPLACED) {
                replaced = replaced.replace(pair.get(0), pair.get(1));
            }
            assertThat(replaced).isEqualTo(GlobPatterns.ofLike(like, ""));
            String glob = like.replace("[", "");
            assertThat(likeMatches(GlobPatterns.toLike(glob).orElseThrow(), '\\', text))
                    .as("%s on %s", glob, text)
                    .isEqualTo(globMatches(glob, text));
        }
    }

    private static String text(Random random) {
        StringBuilder text = new StringBuilder();
        for (int i = random.nextInt(5); i > 0; i--) {
            text.append(SIGNS.charAt(random.nextInt(SIGNS.length())));
        }
        return text.toString();
    }

    private static boolean likeMatches(String pattern, char escape, String text) {
        StringBuilder expression = new StringBuilder();
        for (int i = 0; i < pattern.length(); i++) {
            char c = pattern.charAt(i);
            if (c == escape && i + 1 < pattern.length()) {
                expression.append(Pattern.quote(pattern.substring(++i, i + 1)));
            } else {
                expression.append(c == '%' ? ".*" : c == '_' ? "." : Pattern.quote(String.valueOf(c)));
            }
        }
        return text.matches(expression.toString());
    }

    private static boolean globMatches(String pattern, String text) {
        StringBuilder expression = new StringBuilder();
        for (int i = 0; i < pattern.length(); i++) {
            char c = pattern.charAt(i);
            if (c == '[' && i + 2 < pattern.length() && pattern.charAt(i + 2) == ']') {
                expression.append(Pattern.quote(pattern.substring(i + 1, i + 2)));
                i += 2;
            } else {
                expression.append(c == '*' ? ".*" : c == '?' ? "." : Pattern.quote(String.valueOf(c)));
            }
        }
        return text.matches(expression.toString());
    }
}
