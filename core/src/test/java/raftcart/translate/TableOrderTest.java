package raftcart.translate;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.ObjectName;
import raftcart.catalog.ReferentialAction;
import raftcart.catalog.Table;

class TableOrderTest {
    private static Table table(String name, String... parents) {
        List<ForeignKey> keys = Stream.of(parents)
                .map(p -> new ForeignKey(
                        "fk",
                        List.of("x"),
                        new ObjectName("s", p),
                        List.of("x"),
                        ReferentialAction.NO_ACTION,
                        ReferentialAction.NO_ACTION,
                        false,
                        false,
                        List.of()))
                .toList();
        return new Table(
                new ObjectName("s", name),
                List.of(),
                Optional.empty(),
                List.of(),
                keys,
                List.of(),
                List.of(),
                "",
                Optional.empty(),
                List.of(),
                0,
                0);
    }

    private static List<String> order(Table... tables) {
        return TableOrder.of(List.of(tables)).stream().map(t -> t.name().name()).toList();
    }

    @Test
    void parentsStandBeforeChildren() {
        assertThat(order(table("a", "b"), table("b", "c"), table("c"))).containsExactly("c", "b", "a");
    }

    @Test
    void circlesAndSelfReferencesEndAndKeepEverybody() {
        assertThat(order(table("a", "b"), table("b", "a"), table("c", "c", "a"), table("d", "not selected")))
                .containsExactly("b", "a", "c", "d");
    }

    @Test
    void theOrderOfTheInputDoesNotMatter() {
        assertThat(order(table("c"), table("a", "c"), table("b")))
                .isEqualTo(order(table("b"), table("c"), table("a", "c")));
    }
}
