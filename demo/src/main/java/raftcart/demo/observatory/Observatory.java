package raftcart.demo.observatory;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import raftcart.dialect.Dialect;
import raftcart.dialect.Identifiers;
import raftcart.dialect.mariadb.MariaDbDialect;
import raftcart.sql.ScriptSplitter;

/**
 * Makes the observatory's database on MariaDB. The same seed and scale always give the same rows; the scripts of other
 * dialects of the same database stand beside MariaDB's in the resources.
 */
public final class Observatory {
    private static final long SEED = 20_240_229L;

    private final Dialect dialect = MariaDbDialect.create();
    private final double scale;

    /** @param scale 1 for 150,000 exposures; other tables grow along where that makes sense */
    public Observatory(double scale) {
        this.scale = scale;
    }

    /** Makes tables, rows and code in the database that the connection is in. */
    public void createOnMariaDb(Connection connection) throws SQLException {
        run(connection, "mariadb/1-tables.sql");
        List<TableRows> tables = new ArrayList<>(new People(SEED, scale).tables());
        tables.addAll(new Sky(SEED, scale).tables());
        try (Statement statement = connection.createStatement()) {
            // Zero dates are wanted, and tables are filled in any order.
            statement.execute("SET SESSION sql_mode = 'NO_AUTO_VALUE_ON_ZERO'");
            statement.execute("SET SESSION foreign_key_checks = 0");
            statement.execute("SET SESSION unique_checks = 0");
            statement.execute("SET SESSION time_zone = '+00:00'");
            for (TableRows table : tables) {
                load(statement, table);
            }
            statement.execute("SELECT SETVAL(plate_number, 1060)");
            statement.execute("SET SESSION foreign_key_checks = 1");
        }
        run(connection, "mariadb/2-code.sql");
    }

    private void load(Statement statement, TableRows rows) throws SQLException {
        Identifiers identifiers = dialect.identifiers();
        List<String> fields = new ArrayList<>();
        List<String> assignments = new ArrayList<>();
        for (String column : rows.columns()) {
            String name = identifiers.quote(column);
            if (rows.bytes().contains(column)) {
                assignments.add(name + " = UNHEX(@" + fields.size() + ")");
                fields.add("@" + fields.size());
            } else if (rows.bits().contains(column)) {
                assignments.add(name + " = CAST(@" + fields.size() + " AS UNSIGNED)");
                fields.add("@" + fields.size());
            } else {
                fields.add(name);
            }
        }
        String sql = "LOAD DATA LOCAL INFILE 'rows' INTO TABLE " + identifiers.quote(rows.table())
                + " CHARACTER SET utf8mb4 (" + String.join(", ", fields).replaceAll("@(\\d+)", "@v$1") + ")"
                + (assignments.isEmpty()
                        ? ""
                        : " SET " + String.join(", ", assignments).replaceAll("@(\\d+)", "@v$1"));
        try (InputStream stream = new RowStream(rows.rows().get().iterator())) {
            statement.unwrap(org.mariadb.jdbc.Statement.class).setLocalInfileInputStream(stream);
            statement.executeLargeUpdate(sql);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void run(Connection connection, String script) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            for (String sql :
                    ScriptSplitter.split(text(script), dialect.grammar().lexical())) {
                statement.execute(sql);
            }
        }
    }

    private static String text(String resource) {
        try (InputStream in = Observatory.class.getResourceAsStream(resource)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(resource + " cannot be read", e);
        }
    }
}
