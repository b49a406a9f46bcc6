package raftcart.verify;

import java.math.BigInteger;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * The number of rows and the digest of their contents: the sums, modulo 2^64 each, of the two halves of every row's
 * MD5. Sums do not depend on the order of rows, and a row that stands twice counts twice.
 */
record Digest(long rows, String hex) {
    private static final int PARTS = 2;
    private static final BigInteger MODULUS = BigInteger.ONE.shiftLeft(64);

    Digest {
        Objects.requireNonNull(hex, "hex");
    }

    /** Runs a digest query. */
    static Digest query(Connection connection, String sql) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet result = statement.executeQuery(sql)) {
            result.next();
            StringBuilder hex = new StringBuilder();
            for (int i = 0; i < PARTS; i++) {
                hex.append(String.format("%016x", part(result, i + 2)));
            }
            return new Digest(result.getLong(1), hex.toString());
        }
    }

    /** Runs a query of so many column digests. */
    static List<BigInteger> queryColumns(Connection connection, String sql, int columns) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet result = statement.executeQuery(sql)) {
            result.next();
            List<BigInteger> digests = new ArrayList<>();
            for (int i = 1; i <= columns; i++) {
                digests.add(part(result, i));
            }
            return digests;
        }
    }

    private static BigInteger part(ResultSet result, int column) throws SQLException {
        return result.getBigDecimal(column).toBigIntegerExact().mod(MODULUS);
    }
}
