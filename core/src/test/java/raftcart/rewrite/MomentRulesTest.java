package raftcart.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Rules of moments: the present with and without its zone, instants on engines without them, SQLite's modifiers. */
class MomentRulesTest {
    private static final String RULES = """
            postgresql > sqlserver: CREATE TABLE frame (taken timestamptz, seen timestamp); INSERT INTO frame SELECT now(), now(); UPDATE frame SET seen = now(), taken = now() - interval '1 day'; SELECT now() FROM frame WHERE seen < now() AND coalesce(taken, now()) < now() AND x < now()
            = CREATE TABLE frame ( taken datetimeoffset(6), seen datetime2(6) ); INSERT INTO frame SELECT SYSDATETIMEOFFSET(), GETDATE(); UPDATE frame SET seen = GETDATE(), taken = DATEADD(day, -1, SYSDATETIMEOFFSET()); SELECT SYSDATETIMEOFFSET() FROM frame WHERE seen < GETDATE() AND COALESCE(taken, SYSDATETIMEOFFSET()) < SYSDATETIMEOFFSET() AND x < GETDATE()
            ! RC0610
            postgresql > mysql: CREATE TABLE frame (taken timestamptz DEFAULT now(), seen timestamp(3) DEFAULT now()); INSERT INTO frame VALUES ('2026-01-31 22:15:00+02', '2026-01-31 22:15:00'); SELECT taken FROM frame WHERE taken > now() AND seen > now() AND taken > '2026-01-31 22:15:00-05:30'
            = CREATE TABLE frame ( taken datetime(6) DEFAULT (UTC_TIMESTAMP(6)), seen datetime(3) DEFAULT CURRENT_TIMESTAMP(3) ); INSERT INTO frame VALUES (TIMESTAMP '2026-01-31 20:15:00', TIMESTAMP '2026-01-31 22:15:00'); SELECT taken FROM frame WHERE taken > UTC_TIMESTAMP() AND seen > CURRENT_TIMESTAMP AND taken > TIMESTAMP '2026-02-01 03:45:00'
            ! RC0114
            postgresql > oracle: CREATE TABLE frame (taken timestamptz DEFAULT now()); INSERT INTO frame VALUES ('2026-01-31 22:15:00.5+02')
            = CREATE TABLE frame ( taken timestamp(6) with time zone DEFAULT SYSTIMESTAMP ); INSERT INTO frame VALUES (TIMESTAMP '2026-01-31 22:15:00.5+02:00')
            postgresql > derby: CREATE TABLE frame (taken timestamptz DEFAULT now())
            = CREATE TABLE frame ( taken timestamp DEFAULT CURRENT_TIMESTAMP )
            ! RC0114 RC0627
            postgresql > db2: CREATE TABLE frame (taken timestamp DEFAULT now(), title text DEFAULT upper('a'), n int DEFAULT 1 + 1)
            = CREATE TABLE frame ( taken timestamp(6) DEFAULT CURRENT TIMESTAMP, title clob, n integer )
            ! RC0627 RC0627
            postgresql > sqlite: SELECT id FROM frame WHERE taken > now()
            = SELECT id FROM frame WHERE taken > DATETIME('now', 'localtime')
            ! RC0610
            mysql > mariadb: CREATE TABLE frame (taken TIMESTAMP(3) DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3))
            = CREATE TABLE frame (taken TIMESTAMP(3) DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3))
            mysql > sqlite: CREATE TABLE frame (taken TIMESTAMP, seen DATETIME); INSERT INTO frame VALUES (now(), now())
            = CREATE TABLE frame ( taken timestamp, seen timestamp ); INSERT INTO frame VALUES (CURRENT_TIMESTAMP, DATETIME('now', 'localtime'))
            ! RC0114
            mysql > postgresql: SELECT now() FROM frame WHERE taken < now()
            = SELECT CURRENT_TIMESTAMP FROM frame WHERE taken < CURRENT_TIMESTAMP
            snowflake > postgresql: SELECT SYSDATE(), GETDATE()
            = SELECT (CURRENT_TIMESTAMP AT TIME ZONE 'UTC'), CURRENT_TIMESTAMP
            sqlite > sqlite: SELECT CURRENT_TIMESTAMP, datetime('now', 'localtime')
            = SELECT CURRENT_TIMESTAMP, datetime('now', 'localtime')
            sqlite > postgresql: CREATE TABLE frame (taken TEXT DEFAULT (datetime('now')), seen TIMESTAMP DEFAULT CURRENT_TIMESTAMP); SELECT strftime('%Y', taken) FROM frame WHERE taken > datetime('now', '-7 days') AND seen > datetime('now', '-7 days')
            = CREATE TABLE frame ( taken text DEFAULT TO_CHAR((CURRENT_TIMESTAMP AT TIME ZONE 'UTC'), 'YYYY-MM-DD HH24:MI:SS'), seen timestamp(6) without time zone DEFAULT (CURRENT_TIMESTAMP AT TIME ZONE 'UTC') ); SELECT TO_CHAR(CAST(taken AS timestamp), 'YYYY') FROM frame WHERE taken > TO_CHAR(((CURRENT_TIMESTAMP AT TIME ZONE 'UTC') + (-7) * INTERVAL '1 day'), 'YYYY-MM-DD HH24:MI:SS') AND seen > ((CURRENT_TIMESTAMP AT TIME ZONE 'UTC') + (-7) * INTERVAL '1 day')
            sqlite > sqlserver: SELECT date('now'), datetime('now', 'localtime'), strftime('%s', 'now'), CAST(strftime('%Y', 'now') AS INTEGER)
            = SELECT CAST(GETUTCDATE() AS DATE), SYSDATETIME(), DATEDIFF_BIG(second, '19700101', SYSUTCDATETIME()), CAST(FORMAT(SYSUTCDATETIME(), 'yyyy') AS bigint)
            sqlite > hsqldb: CREATE TABLE frame (taken TIMESTAMP DEFAULT CURRENT_TIMESTAMP, d DATE DEFAULT CURRENT_DATE); SELECT datetime('now', '-1 day') FROM frame
            = CREATE TABLE frame ( taken timestamp(6) DEFAULT CURRENT_TIMESTAMP, d date DEFAULT CURRENT_DATE ); SELECT DATEADD('day', -1, CAST(CURRENT_TIMESTAMP AT TIME ZONE INTERVAL '0:00' HOUR TO MINUTE AS TIMESTAMP)) FROM frame
            ! RC0627 RC0627
            sqlite > postgresql: SELECT date(taken, '+1 month') FROM frame
            = SELECT CAST((CAST(taken AS date) + 1 * INTERVAL '1 month') AS date) FROM frame
            ! RC0607
            sqlite > postgresql: SELECT date(taken, 'weekday 1') FROM frame
            = -
            ! RC0602
            sqlite > postgresql: SELECT datetime(taken, 'localtime') FROM frame
            = -
            ! RC0602
            sqlite > mysql: SELECT datetime(id, 'unixepoch'), datetime(id, 'unixepoch', 'localtime'), julianday('now') - julianday(taken) FROM frame
            = SELECT TIMESTAMPADD(SECOND, id, '1970-01-01 00:00:00'), FROM_UNIXTIME(id), CAST((TIMESTAMPDIFF(MICROSECOND, '1970-01-01', UTC_TIMESTAMP()) / 1000000) AS decimal(65,30)) / 86400.0 + 2440587.5 - (CAST((TIMESTAMPDIFF(MICROSECOND, '1970-01-01', CAST(taken AS DATETIME(6))) / 1000000) AS decimal(65,30)) / 86400.0 + 2440587.5) FROM frame
            """;

    private static Stream<RuleCase> cases() {
        return RuleCase.of(RULES);
    }

    @ParameterizedTest
    @MethodSource("cases")
    void keepsItsMeaningOrSaysSo(RuleCase rule) {
        RuleCase.Result result = rule.run();
        assertThat(result.text()).isEqualTo(rule.expected());
        assertThat(result.findings()).isEqualTo(rule.findings());
    }
}
