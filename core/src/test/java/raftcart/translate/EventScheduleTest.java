package raftcart.translate;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import raftcart.dialect.Languages;
import raftcart.sql.LexicalRules;

class EventScheduleTest {
    private static final LexicalRules MARIADB =
            Languages.named("mariadb").orElseThrow().grammar().lexical();

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            EVERY 1 DAY STARTS '2026-01-01 03:30:00'     | 30 3 * * *
            EVERY 15 MINUTE STARTS '2026-01-01 00:05:00' | 5,20,35,50 * * * *
            EVERY 1 MINUTE                               | * * * * *
            EVERY 6 HOUR STARTS '2026-01-01 03:30:00'    | 30 3,9,15,21 * * *
            EVERY 1 HOUR STARTS '2026-01-01 03:30:00'    | 30 * * * *
            EVERY 1 WEEK STARTS '2026-03-01 04:00:00'    | 0 4 * * 0
            EVERY 1 MONTH STARTS '2026-03-07 04:00:00'   | 0 4 7 * *
            EVERY 1 MONTH STARTS '2026-03-31 04:00:00'   | none
            EVERY 7 MINUTE                               | none
            EVERY 5 HOUR                                 | none
            EVERY 2 DAY                                  | none
            EVERY 90 SECOND                              | none
            AT '2030-01-01 00:00:00'                     | none
            """)
    void aLineOfCrontabRunsAtTheSameTimesOrThereIsNone(String schedule, String cron) {
        EventSchedule event = EventSchedule.of(
                        "CREATE EVENT e ON SCHEDULE " + schedule + " DO DELETE FROM log", MARIADB)
                .orElseThrow();
        assertThat(event.schedule()).isEqualTo(schedule);
        assertThat(event.cron().orElse("none")).isEqualTo(cron);
    }

    @Test
    void clausesAndCommentsAreNoPartOfTheBody() {
        EventSchedule event = EventSchedule.of(
                        "CREATE DEFINER=`a`@`b` EVENT e ON SCHEDULE EVERY 1 DAY ON COMPLETION NOT PRESERVE DISABLE"
                                + " COMMENT 'DO it' DO BEGIN DO 1; END",
                        MARIADB)
                .orElseThrow();
        assertThat(event).isEqualTo(new EventSchedule("EVERY 1 DAY", false, "BEGIN DO 1; END"));
        assertThat(EventSchedule.of("CREATE VIEW v AS SELECT 1", MARIADB)).isEmpty();
    }
}
