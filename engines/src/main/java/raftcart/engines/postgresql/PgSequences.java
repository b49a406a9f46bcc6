package raftcart.engines.postgresql;

import java.math.BigInteger;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import raftcart.engines.jdbc.Query;

/** The numbers that sequences gave last, as the view pg_sequences tells them. */
final class PgSequences {
    private final Map<Long, BigInteger> last = new HashMap<>();

    static PgSequences read(Connection connection) throws SQLException {
        PgSequences sequences = new PgSequences();
        String all = "SELECT s.seqrelid FROM pg_sequence s JOIN pg_class c ON c.oid = s.seqrelid"
                + " JOIN pg_namespace n ON n.oid = c.relnamespace WHERE" + PgCatalogReader.USER_SCHEMAS
                + "ORDER BY s.seqrelid";
        for (String chunk : PgChunks.of(connection, all)) {
            Query.list(
                    connection,
                    "SELECT s.seqrelid, pg_sequence_last_value(s.seqrelid) FROM pg_sequence s WHERE s.seqrelid IN "
                            + chunk + " AND has_sequence_privilege(s.seqrelid, 'SELECT, USAGE')",
                    row -> {
                        var number = row.getBigDecimal(2);
                        return number == null ? null : sequences.last.put(row.getLong(1), number.toBigInteger());
                    });
        }
        return sequences;
    }

    /** The number given last; empty where none was, or the account may not know. */
    Optional<BigInteger> last(long sequence) {
        return Optional.ofNullable(last.get(sequence));
    }
}
