package raftcart.engines.postgresql;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import raftcart.engines.jdbc.Query;

/**
 * The numbers of objects in groups. A query that prints views or asks sequences locks each of them, and what views read,
 * until it ends; servers keep some thousand locks ("Lock Management").
 */
final class PgChunks {
    private static final int MOST = 1_000;

    private PgChunks() {}

    /** The numbers that a query gives, as lists for {@code IN}. */
    static List<String> of(Connection connection, String oids) throws SQLException {
        List<Long> all = Query.list(connection, oids, row -> row.getLong(1));
        List<String> chunks = new ArrayList<>();
        for (int from = 0; from < all.size(); from += MOST) {
            chunks.add(all.subList(from, Math.min(all.size(), from + MOST)).stream()
                    .map(String::valueOf)
                    .collect(Collectors.joining(", ", "(", ")")));
        }
        return chunks;
    }
}
