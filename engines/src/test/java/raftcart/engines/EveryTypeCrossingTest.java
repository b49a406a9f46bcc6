package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.verify.TableVerdict;

/** Random and extreme values of every type cross; both engines must then give the same digest. */
class EveryTypeCrossingTest {
    private static final int ROWS = 400;
    private static final String[] TEXTS = {
        "",
        " ",
        "NULL",
        "\\N",
        "\\",
        "a\tb",
        "a\nb\r\n",
        "\f\u000b\b",
        "\uD83D\uDD2D",
        "e\u0301",
        "trailing  ",
        "'\"`",
        "\u0001\u001a"
    };

    @TempDir
    Path folder;

    private final SplittableRandom random = new SplittableRandom(7);

    /** A column: its type, an expression that makes a value of a text parameter, and how texts are made. */
    private record Sample(String type, String cast, java.util.function.Supplier<String> value) {}

    private Sample sample(String type, java.util.function.Supplier<String> value) {
        return new Sample(type, "?", value);
    }

    private String pick(String... values) {
        return values[random.nextInt(values.length)];
    }

    private String whole(long low, long high) {
        return pick("" + low, "" + high, "0", "" + random.nextLong(low, high));
    }

    private String real() {
        double any = Double.longBitsToDouble(random.nextLong());
        return Double.isFinite(any)
                ? pick(
                        "" + any,
                        "" + random.nextDouble(),
                        "0.1",
                        "1e15",
                        "123456789012345680",
                        "-0.0",
                        "5e-324",
                        "1.7976931348623157e308")
                : "2.2250738585072014e-308";
    }

    private String single() {
        float any = Float.intBitsToFloat(random.nextInt());
        return Math.abs(any) > 1e-37f && Math.abs(any) < 3.4e38f
                ? "" + any
                : pick("0.1", "3.40282346e38", "16777217", "1.1754944e-38");
    }

    private String digits(int count) {
        return IntStream.range(0, count).mapToObj(i -> "" + random.nextInt(10)).collect(Collectors.joining());
    }

    private String bits(int count) {
        return IntStream.range(0, count).mapToObj(i -> "" + random.nextInt(2)).collect(Collectors.joining());
    }

    private String hex(int bytes) {
        return IntStream.range(0, bytes)
                .mapToObj(i -> String.format("%02x", random.nextInt(256)))
                .collect(Collectors.joining());
    }

    private String date() {
        return pick(
                "0001-01-01",
                "9999-12-31",
                "2000-02-29",
                String.format("%04d-%02d-%02d", random.nextInt(1, 9999), random.nextInt(1, 13), random.nextInt(1, 29)));
    }

    private String clock(int fraction) {
        String text = String.format("%02d:%02d:%02d", random.nextInt(24), random.nextInt(60), random.nextInt(60));
        return fraction == 0 ? text : text + "." + digits(fraction);
    }

    private List<Sample> mariaDb() {
        return Stream.concat(mariaDbNumbersAndTexts().stream(), mariaDbTimesAndOthers().stream())
                .toList();
    }

    private List<Sample> mariaDbNumbersAndTexts() {
        return List.of(
                sample("TINYINT", () -> whole(-128, 127)),
                sample("TINYINT(1)", () -> pick("0", "1")),
                sample("TINYINT UNSIGNED", () -> whole(0, 255)),
                sample("SMALLINT", () -> whole(-32768, 32767)),
                sample("SMALLINT UNSIGNED ZEROFILL", () -> whole(0, 65535)),
                sample("MEDIUMINT", () -> whole(-8388608, 8388607)),
                sample("MEDIUMINT UNSIGNED", () -> whole(0, 16777215)),
                sample("INT", () -> whole(Integer.MIN_VALUE, Integer.MAX_VALUE)),
                sample("INT UNSIGNED", () -> whole(0, 4294967295L)),
                sample("BIGINT", () -> whole(Long.MIN_VALUE, Long.MAX_VALUE)),
                sample("BIGINT UNSIGNED", () -> pick("18446744073709551615", whole(0, Long.MAX_VALUE))),
                sample("DECIMAL(65,30)", () -> pick("-" + digits(35) + "." + digits(30), "0", "1.10")),
                sample("DECIMAL(5,0)", () -> pick("100", "-99999", "0")),
                sample("DECIMAL(10,2) UNSIGNED", () -> digits(8) + "." + digits(2)),
                sample("FLOAT", this::single),
                sample("DOUBLE", this::real),
                sample("CHAR(9)", () -> pick("", "x", "é ", "abc")),
                sample("VARCHAR(60)", () -> pick(TEXTS)),
                sample("VARCHAR(60) CHARACTER SET latin1", () -> pick("", "é", "ÿ\\")),
                sample("TINYTEXT", () -> pick(TEXTS)),
                sample("LONGTEXT", () -> pick(TEXTS).repeat(random.nextInt(50))),
                new Sample("BINARY(5)", "UNHEX(?)", () -> hex(random.nextInt(6))),
                new Sample("VARBINARY(40)", "UNHEX(?)", () -> hex(random.nextInt(40))),
                new Sample("LONGBLOB", "UNHEX(?)", () -> hex(random.nextInt(3000))),
                new Sample("BIT(1)", "CONV(?, 2, 10) + 0", () -> bits(1)),
                new Sample("BIT(64)", "CAST(CONV(?, 2, 10) AS UNSIGNED)", () -> bits(64)));
    }

    private List<Sample> mariaDbTimesAndOthers() {
        return List.of(
                sample("DATE", this::date),
                sample("TIME", () -> pick("-838:59:59", "838:59:59", "00:00:00", clock(0))),
                sample("TIME(6)", () -> pick("-00:00:00.000001", "99:00:00.5", clock(6))),
                sample("DATETIME", () -> date() + " " + clock(0)),
                sample("DATETIME(6)", () -> date() + " " + clock(6)),
                sample(
                        "TIMESTAMP(3) NULL",
                        () -> pick(
                                "1970-01-01 00:00:01.000",
                                "2038-01-19 03:14:07.999",
                                "2024-03-31 02:30:00." + digits(3))),
                sample("YEAR", () -> pick("0000", "1901", "2155")),
                sample("ENUM('a','B','it''s','\\\\x')", () -> pick("a", "B", "it's", "\\x")),
                sample("SET('one','two','three')", () -> pick("", "one", "one,three", "one,two,three")),
                sample("JSON", () -> pick("{\"b\": 1.50, \"a\":[null, \"\\u00e9\"]}", "[]", "\"x\"")),
                sample("UUID", () -> "00112233-4455-6677-8899-" + hex(6)),
                sample("INET6", () -> pick("::1", "2001:db8::ff00:42:8329")),
                new Sample("POINT", "ST_GeomFromText(?)", () -> "POINT(1." + digits(3) + " -2)"));
    }

    private List<Sample> postgreSql() {
        return List.of(
                new Sample("boolean", "?::boolean", () -> pick("t", "f")),
                new Sample("smallint", "?::smallint", () -> whole(-32768, 32767)),
                new Sample("integer", "?::integer", () -> whole(Integer.MIN_VALUE, Integer.MAX_VALUE)),
                new Sample("bigint", "?::bigint", () -> whole(Long.MIN_VALUE, Long.MAX_VALUE)),
                new Sample("oid", "?::oid", () -> whole(0, 4294967295L)),
                new Sample("numeric(30,12)", "?::numeric", () -> "-" + digits(18) + "." + digits(12)),
                new Sample("numeric", "?::numeric", () -> pick("0", "1.5000", digits(30) + "." + digits(28))),
                new Sample("real", "?::real", this::single),
                new Sample("double precision", "?::float8", this::real),
                new Sample("character(7)", "?::text", () -> pick("", "é", "abc")),
                new Sample("varchar(50)", "?::text", () -> pick(TEXTS)),
                new Sample("text", "?::text", () -> pick(TEXTS).repeat(random.nextInt(40))),
                new Sample("bytea", "decode(?, 'hex')", () -> hex(random.nextInt(2000))),
                new Sample("bit(12)", "?::bit(12)", () -> bits(12)),
                new Sample("bit varying(90)", "?::varbit", () -> bits(random.nextInt(1, 90))),
                new Sample("date", "?::date", this::date),
                new Sample("time(6)", "?::time", () -> clock(6)),
                new Sample("timetz", "?::timetz", () -> clock(3) + "+05:30"),
                new Sample("timestamp", "?::timestamp", () -> date() + " " + clock(6)),
                new Sample("timestamp(0)", "?::timestamp", () -> date() + " " + clock(0)),
                new Sample(
                        "timestamptz(3)",
                        "?::timestamptz",
                        () -> "2024-10-27 02:30:00." + digits(3) + pick("+01", "+02", "-11:30")),
                new Sample("interval", "?::interval", () -> pick("1 year 2 mons", "-3 days 04:05:06.7", "0")),
                new Sample(
                        "interval hour to second(3)",
                        "?::interval",
                        () -> pick("-100:00:01.5", "700:59:59.999", "2 days")),
                new Sample("json", "?::json", () -> pick("{\"b\": 1.50,  \"a\":[null]}", "\"x\"")),
                new Sample("jsonb", "?::jsonb", () -> pick("{\"b\": 1.50,  \"a\":[null]}", "\"\\u00e9\\n\"")),
                new Sample("uuid", "?::uuid", () -> "00112233-4455-6677-8899-" + hex(6)),
                new Sample("inet", "?::inet", () -> pick("::1", "2001:db8::1")),
                new Sample("cidr", "?::cidr", () -> "10.0.0.0/8"),
                new Sample("integer[]", "?::integer[]", () -> pick("{}", "{1,NULL,-3}", "{{1,2},{3,4}}")),
                new Sample("text[]", "?::text[]", () -> pick("{}", "{\"a,b\",NULL,\"\\\"q\\\"\"}")),
                new Sample("int4range", "?::int4range", () -> pick("[1,5)", "empty")),
                new Sample("point", "?::point", () -> "(1.5,-2)"),
                new Sample("xml", "?::xml", () -> "<a b=\"1\">é</a>"),
                new Sample("money", "?::money", () -> "$1,234.50"));
    }

    @Test
    void everyTypeOfMariaDbReachesPostgreSql() throws Exception {
        Databases source = Databases.mariadb();
        Databases target = Databases.postgresql();
        fill(source, mariaDb(), "`", "SET time_zone = '+00:00'");
        assertCrossed(MigrationRun.of(folder.resolve("m"), source.endpoint(), target.endpoint()));
    }

    @Test
    void everyTypeOfPostgreSqlReachesMariaDb() throws Exception {
        Databases source = Databases.postgresql();
        Databases target = Databases.mariadb();
        fill(source, postgreSql(), "\"", "SET TIME ZONE 'UTC'");
        assertCrossed(MigrationRun.of(folder.resolve("p"), source.endpoint(), target.endpoint()));
    }

    private static void assertCrossed(MigrationRun run) {
        assertThat(run.loaded.tables()).allSatisfy(t -> {
            assertThat(t.refused()).isZero();
            assertThat(t.loaded()).isEqualTo(ROWS);
        });
        assertThat(run.verified.tables()).allSatisfy(v -> assertThat(v)
                .returns("", TableVerdict::problem)
                .returns(List.of(), TableVerdict::differingColumns)
                .returns(true, TableVerdict::same));
    }

    private void fill(Databases database, List<Sample> samples, String quote, String inUtc) throws SQLException {
        List<String> columns = new ArrayList<>();
        for (int i = 0; i < samples.size(); i++) {
            columns.add(quote + "c" + i + quote + " " + samples.get(i).type());
        }
        database.run("CREATE TABLE every_type (" + String.join(", ", columns) + ")");
        String insert = "INSERT INTO every_type VALUES ("
                + samples.stream().map(Sample::cast).collect(Collectors.joining(", ")) + ")";
        try (Connection connection = database.connect();
                PreparedStatement statement = connection.prepareStatement(insert)) {
            connection.createStatement().execute(inUtc);
            for (int row = 0; row < ROWS; row++) {
                for (int i = 0; i < samples.size(); i++) {
                    boolean isNull = random.nextInt(10) == 0;
                    statement.setString(
                            i + 1, isNull ? null : samples.get(i).value().get());
                }
                statement.addBatch();
            }
            statement.executeBatch();
        }
    }
}
