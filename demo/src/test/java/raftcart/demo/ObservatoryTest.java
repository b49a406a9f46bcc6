package raftcart.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import raftcart.demo.observatory.Observatory;
import raftcart.demo.servers.DatabaseServer;
import raftcart.demo.servers.TestServers;

/** The demo database holds what it promises, the same every time. */
class ObservatoryTest {
    private static final DatabaseServer SERVER = TestServers.mariadb();

    private static String first;
    private static String second;

    @BeforeAll
    static void make() throws SQLException {
        first = make(0.01);
        second = make(0.01);
    }

    private static String make(double scale) throws SQLException {
        String database = TestServers.newDatabase(SERVER, "demo");
        try (Connection connection = SERVER.connect(database)) {
            new Observatory(scale).createOnMariaDb(connection);
        }
        return database;
    }

    private static List<String> ask(String database, String sql) throws SQLException {
        try (Connection connection = SERVER.connect(database);
                Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(sql)) {
            List<String> values = new ArrayList<>();
            while (rows.next()) {
                values.add(rows.getString(1));
            }
            return values;
        }
    }

    private static String one(String sql) throws SQLException {
        return ask(first, sql).get(0);
    }

    @Test
    void isTheSameEveryTime() throws SQLException {
        String tables = "SELECT TABLE_NAME FROM information_schema.TABLES WHERE TABLE_SCHEMA = DATABASE()"
                + " AND TABLE_TYPE = 'BASE TABLE' ORDER BY 1";
        assertThat(ask(first, tables)).hasSize(17).isEqualTo(ask(second, tables));
        for (String table : ask(first, tables)) {
            assertThat(checksum(first, table)).as(table).isEqualTo(checksum(second, table));
        }
    }

    private static String checksum(String database, String table) throws SQLException {
        try (Connection connection = SERVER.connect(database);
                Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery("CHECKSUM TABLE `" + table + "` EXTENDED")) {
            rows.next();
            return rows.getString(2);
        }
    }

    @Test
    void growsWithItsScale() throws SQLException {
        assertThat(one("SELECT COUNT(*) FROM exposures")).isEqualTo("1500");
        assertThat(one("SELECT COUNT(*) FROM observations")).isEqualTo("100");
        assertThat(one("SELECT COUNT(*) FROM astronomers")).isEqualTo("120");
    }

    @Test
    void holdsWhatMakesMigrationsHurt() throws SQLException {
        assertThat(one("SELECT MAX(pixels) FROM instruments")).isEqualTo("18446744073709551615");
        assertThat(one("SELECT COUNT(*) FROM photographic_plates WHERE taken IN ('0001-01-01', '9999-12-31')"))
                .isEqualTo("2");
        assertThat(one("SELECT COUNT(*) FROM photographic_plates WHERE MONTH(taken) = 0"))
                .isEqualTo("2");
        assertThat(one("SELECT MIN(dark_time) FROM nights")).isEqualTo("-838:59:59.000");
        assertThat(one("SELECT COUNT(*) FROM exposures WHERE remark = ''")).isNotEqualTo("0");
        assertThat(one("SELECT COUNT(*) FROM exposures WHERE remark IS NULL")).isNotEqualTo("0");
        assertThat(one("SELECT COUNT(*) FROM exposures WHERE remark LIKE '%\uD83D\uDD2D%'"))
                .isNotEqualTo("0");
        assertThat(one("SELECT MAX(parallax) FROM sky_targets")).isEqualTo("9999999999999999999999999999.9999999999");
        assertThat(one("SELECT COUNT(*) - COUNT(DISTINCT station, read_at) FROM weather_readings"))
                .isNotEqualTo("0");
        assertThat(one("SELECT COUNT(*) FROM review_panels r JOIN proposals p ON p.id = r.model_proposal_id"
                        + " JOIN review_panels q ON q.id = p.panel_id"))
                .isNotEqualTo("0");
        assertThat(one("SELECT MAX(LENGTH(TABLE_NAME)) FROM information_schema.TABLES WHERE TABLE_SCHEMA = DATABASE()"))
                .isEqualTo("64");
    }

    @Test
    void itsCodeRuns() throws SQLException {
        assertThat(one("SELECT SUM(frames) FROM busiest_targets")).isNotNull();
        assertThat(one("SELECT ROUND(air_mass(60), 6)")).startsWith("2.0");
        assertThat(one("SELECT night_of('2024-01-02 03:00:00')")).isEqualTo("2024-01-01");
        assertThat(one("SELECT COUNT(*) FROM information_schema.EVENTS WHERE EVENT_SCHEMA = DATABASE()"))
                .isEqualTo("1");
    }
}
