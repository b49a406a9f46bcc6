package raftcart.dialect;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import raftcart.catalog.ObjectName;

class IdentifiersTest {
    private final Identifiers bytes = new Identifiers('"', 63, true);
    private final Identifiers characters = new Identifiers('`', 64, false);

    @Test
    void quotesWhatTheNameHolds() {
        assertThat(bytes.quote("a\"b")).isEqualTo("\"a\"\"b\"");
        assertThat(characters.quote(new ObjectName("s", "o`b"))).isEqualTo("`s`.`o``b`");
        assertThat(characters.quote(new ObjectName("", "t"))).isEqualTo("`t`");
    }

    @Test
    void shortensByBytesOrCharactersAlwaysInTheSameWay() {
        String long64 = "x".repeat(64);
        assertThat(characters.shorten(long64)).isEqualTo(long64);
        assertThat(bytes.shorten(long64)).hasSize(63).startsWith("xxx").isEqualTo(bytes.shorten(long64));
        assertThat(bytes.shorten("x".repeat(63) + "y")).isNotEqualTo(bytes.shorten(long64));
        String wide = "\uD83D\uDD2D".repeat(20);
        assertThat(bytes.shorten(wide).getBytes(StandardCharsets.UTF_8).length).isBetween(60, 63);
        assertThat(bytes.shorten(wide)).doesNotContain("?").contains("\uD83D\uDD2D_");
    }
}
