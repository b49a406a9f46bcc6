package raftcart.finding;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import raftcart.resource.ShippedTable;

/** The texts behind the finding codes. */
public final class FindingCatalog {
    private static final Map<FindingCode, Entry> ENTRIES = read();

    private FindingCatalog() {}

    /** The entry of a code; there is one for each. */
    public static Entry get(FindingCode code) {
        return ENTRIES.get(code);
    }

    private static Map<FindingCode, Entry> read() {
        Map<FindingCode, Entry> entries = new EnumMap<>(FindingCode.class);
        try {
            JsonNode root = ShippedTable.tree(FindingCatalog.class, "findings.yaml");
            for (FindingCode code : FindingCode.values()) {
                JsonNode node = root.required(code.code());
                entries.put(
                        code,
                        new Entry(
                                node.required("title").asText(),
                                outcome(node.required("outcome").asText()),
                                node.required("cause").asText(),
                                node.required("advice").asText(),
                                node.required("example").asText(),
                                node.required("minutes").asInt()));
            }
        } catch (IOException e) {
            throw new UncheckedIOException("findings.yaml cannot be read", e);
        }
        return entries;
    }

    private static Outcome outcome(String label) {
        return Arrays.stream(Outcome.values())
                .filter(o -> o.label().equals(label))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("no outcome '" + label + "'"));
    }

    /**
     * What is to be said about a code.
     *
     * @param example a statement with the dialects from and to which it goes, {@code mariadb > postgresql: SELECT 1}, or a
     *     case in words
     * @param minutes the effort that a person needs for one such finding, as a default
     */
    public record Entry(String title, Outcome outcome, String cause, String advice, String example, int minutes) {}
}
