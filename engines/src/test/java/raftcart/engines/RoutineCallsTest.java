package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.migration.BuildStage;
import raftcart.migration.CallStage;
import raftcart.migration.RoutineCheck;
import raftcart.plan.CallCase;
import raftcart.plan.CallsFile;
import raftcart.verify.calls.CallVerdict;
import raftcart.verify.calls.CallVerdict.Outcome;

/** Routines are called on both sides; what they do otherwise on the target is planted there, and has to be found. */
class RoutineCallsTest {
    private static final String[] ALL = {
        "routine: brightest, arguments: [1.5]",
        "routine: dim, arguments: {m: 0.5, WHICH: 1}",
        "routine: dim, arguments: [9, 0.5]",
        "routine: listing, arguments: [0]",
        "routine: two, arguments: [1]",
        "routine: added, arguments: [Ruk]",
        "routine: added, arguments: [Nuk], ignore: [star.id]",
        "statement: UPDATE star SET mag = mag + 1 WHERE name LIKE 'R%'",
        "statement: \"SELECT id, name FROM star\", order: any, before: [\"DELETE FROM star WHERE id = 2\"]"
    };

    @TempDir
    Path folder;

    private Databases source;
    private Databases target;
    private MigrationRun run;

    private CallStage.Result calls(String... cases) throws Exception {
        Path file = Files.writeString(
                folder.resolve("calls.yaml"), "version: 1\ncases:\n  - {" + String.join("}\n  - {", cases) + "}\n");
        List<CallCase> read = CallsFile.read(file);
        return CallStage.run(run.migration, read, 30, v -> {});
    }

    private static List<Outcome> outcomes(CallStage.Result result) {
        return result.calls().stream().map(CallVerdict::outcome).toList();
    }

    private static String details(CallStage.Result result, int call) {
        return String.join("; ", result.calls().get(call).details());
    }

    @BeforeEach
    void move() throws Exception {
        source = Databases.mariadb();
        target = Databases.postgresql();
        source.run(
                "CREATE TABLE star (id INT AUTO_INCREMENT PRIMARY KEY, name VARCHAR(40) UNIQUE, mag DECIMAL(5,2),"
                        + " seen DATETIME(3))",
                "INSERT INTO star (name, mag, seen) VALUES ('Ruk', 0.03, '2026-01-01 10:00:00.250'), ('Sel', 1.50, NULL)",
                "CREATE TABLE log (what VARCHAR(80))",
                "CREATE TRIGGER star_log AFTER UPDATE ON star FOR EACH ROW INSERT INTO log VALUES (OLD.name)",
                "CREATE FUNCTION brightest(least DECIMAL(5,2)) RETURNS VARCHAR(40) READS SQL DATA"
                        + " RETURN (SELECT name FROM star WHERE mag < least ORDER BY mag LIMIT 1)",
                "CREATE PROCEDURE dim(IN which INT, INOUT m DECIMAL(5,2), OUT seen_at DATETIME(3)) BEGIN"
                        + " UPDATE star SET mag = mag + m WHERE id = which;"
                        + " IF ROW_COUNT() = 0 THEN SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'no such star'; END IF;"
                        + " SELECT s.mag, s.seen INTO m, seen_at FROM star s WHERE s.id = which; END",
                "CREATE PROCEDURE listing(IN more DECIMAL(5,2)) SELECT id, name, mag FROM star WHERE mag >= more"
                        + " ORDER BY mag",
                "CREATE PROCEDURE added(IN n VARCHAR(40)) INSERT INTO star (name, mag) VALUES (n, 1)",
                "CREATE PROCEDURE wiping() EXECUTE IMMEDIATE 'TRUNCATE TABLE log'",
                "CREATE PROCEDURE two(IN n INT) BEGIN SELECT id FROM star WHERE id >= n ORDER BY id; SELECT n AS n; END",
                "CREATE EVENT tidy ON SCHEDULE EVERY 1 DAY STARTS '2026-01-01 03:30:00' DO DELETE FROM log",
                "CREATE PROCEDURE keeping() BEGIN START TRANSACTION; INSERT INTO log VALUES ('x'); COMMIT; END");
        run = MigrationRun.of(folder.resolve("m"), source.endpoint(), target.endpoint());
    }

    @Test
    void whatRoutinesDoIsTheSame() throws Exception {
        assertThat(run.loaded.failures()).isEmpty();
        assertThat(run.loaded.routines())
                .isEqualTo(new RoutineCheck.Result(5, List.of(), List.of("public.keeping()", "public.wiping()")));
        assertThat(run.translated.findings()).anyMatch(f -> f.detail().endsWith("by cron: 30 3 * * *"));
        CallStage.Result same = calls(ALL);
        assertThat(same.calls())
                .allSatisfy(c -> assertThat(c.outcome()).as(c.toString()).isEqualTo(Outcome.SAME));
        assertThat(same.calls().get(1).tables())
                .anyMatch(t -> t.endsWith(".star"))
                .anyMatch(t -> t.endsWith(".log"));
        assertThat(source.ask("SELECT COUNT(*) FROM log")).isEqualTo("0");
        assertThat(target.ask("SELECT count(*) FROM log")).isEqualTo("0");

        assertThat(source.ask("SELECT COUNT(*) FROM log")).isEqualTo("0");
    }

    @Test
    void whatIsNotCalledIsToldWithItsReason() throws Exception {
        CallStage.Result not = calls(
                "routine: keeping",
                "routine: nothing",
                "routine: dim, arguments: [1]",
                "routine: brightest, arguments: {most: 1}",
                "statement: SELEC 1",
                "routine: listing, arguments: [0], before: [INSERT INTO star (id) VALUES (1)]",
                "routine: listing, arguments: [0], tables: [moon]");
        assertThat(outcomes(not)).containsOnly(Outcome.NOT_CALLED);
        assertThat(not.same()).isFalse();
        assertThat(details(not, 0)).contains("could not be taken back").contains("a transaction of its own");
        assertThat(details(not, 1)).isEqualTo("the source has no routine nothing");
        assertThat(details(not, 2)).contains("takes 2 arguments; 1 is given");
        assertThat(details(not, 3)).contains("has the parameter least");
        assertThat(details(not, 4)).contains("cannot be read");
        assertThat(details(not, 5)).contains("what comes before fails on the source");
        assertThat(details(not, 6)).isEqualTo("the plan moves no table moon");
        assertThat(source.ask("SELECT COUNT(*) FROM log")).isEqualTo("0");
    }

    @Test
    void whatIsPlantedIsFound() throws Exception {
        target.run(
                "CREATE OR REPLACE FUNCTION brightest(\"least\" numeric) RETURNS varchar LANGUAGE sql AS"
                        + " $$ SELECT name || E'\\t' FROM star WHERE mag < $1 ORDER BY mag LIMIT 1 $$",
                "CREATE OR REPLACE PROCEDURE dim(which int, INOUT m numeric, OUT seen_at timestamp) LANGUAGE plpgsql AS"
                        + " $$ BEGIN IF which = 9 THEN RAISE 'no star'; END IF; UPDATE star SET mag = mag + m, name = upper(name)"
                        + " WHERE id = which; m := 0.54; END $$",
                "CREATE OR REPLACE FUNCTION listing(more numeric) RETURNS SETOF listing_row LANGUAGE sql AS"
                        + " $$ SELECT id, name, mag FROM star ORDER BY mag DESC $$",
                "CREATE OR REPLACE PROCEDURE added(n varchar) LANGUAGE sql AS"
                        + " $$ INSERT INTO star (name, mag) VALUES (n || '2', 1) $$",
                "DROP TRIGGER star_log ON star",
                "DELETE FROM star WHERE id = 2");
        CallStage.Result other = calls(ALL);
        // The last case removes what is missing on the target itself.
        assertThat(outcomes(other).subList(0, ALL.length - 1)).containsOnly(Outcome.DIFFERS);
        assertThat(details(other, 0)).isEqualTo("'Ruk' on the source, 'Ruk\\u0009' on the target");
        assertThat(details(other, 1))
                .contains("m: '0.53' on the source, '0.54' on the target")
                .contains("seen_at: '2026-01-01 10:00:00.25' on the source, NULL on the target")
                .contains("star has 2 rows on the source, 1 on the target; it differs before the call, too")
                .contains("log has 1 rows on the source, 0 on the target");
        assertThat(details(other, 2))
                .isEqualTo("fails otherwise: no such star (45000) on the source, no star (P0001) on the target");
        assertThat(details(other, 3)).isEqualTo("2 rows on the source, 1 on the target");
        assertThat(details(other, 5)).startsWith("fails on the source: Duplicate entry");
        target.run("ALTER TABLE star RENAME COLUMN mag TO magnitude");
        List<String> broken = BuildStage.run(run.migration, BuildStage.Part.AFTER_DATA, BuildStage.Existing.SKIP, false)
                .routines()
                .failures();
        assertThat(broken)
                .hasSize(4)
                .anyMatch(f -> f.startsWith("public.dim(which int4, m numeric): column \"mag\" does not exist"));
    }
}
