package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.catalog.ObjectKind;
import raftcart.demo.observatory.Observatory;
import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;
import raftcart.move.TableResult;
import raftcart.verify.TableVerdict;

/** The whole observatory goes from MariaDB to PostgreSQL and from there to another MariaDB database. */
class ObservatoryCrossingTest {
    private static final int TABLES = 17;
    private static final int FOREIGN_KEYS = 19;

    @TempDir
    static Path folder;

    static Databases origin;
    static Databases middle;
    static Databases end;
    static MigrationRun there;
    static MigrationRun back;

    @BeforeAll
    static void cross() throws Exception {
        origin = Databases.mariadb();
        middle = Databases.postgresql();
        end = Databases.mariadb();
        try (Connection connection = origin.connect()) {
            new Observatory(0.05).createOnMariaDb(connection);
        }
        there = MigrationRun.of(folder.resolve("there"), origin.endpoint(), middle.endpoint());
        back = MigrationRun.of(folder.resolve("back"), middle.endpoint(), end.endpoint());
    }

    @Test
    void everyTableArrivesWithTheSameContent() {
        for (MigrationRun run : List.of(there, back)) {
            assertThat(run.verified.tables()).hasSize(TABLES).allMatch(TableVerdict::same);
            assertThat(run.verified.tables())
                    .extracting(TableVerdict::sourceDigest)
                    .doesNotHaveDuplicates();
        }
    }

    @Test
    void noRowIsRefusedAndNoKeyFails() {
        for (MigrationRun run : List.of(there, back)) {
            assertThat(run.loaded.tables()).allMatch(t -> t.refused() == 0 && t.read() == t.loaded());
            assertThat(run.loaded.tables()).extracting(TableResult::read).doesNotContain(0L);
            assertThat(run.loaded.failures()).isEmpty();
        }
    }

    @Test
    void parentsAreLoadedBeforeChildren() {
        List<String> order = there.loaded.tables().stream()
                .map(t -> t.table().substring(t.table().indexOf('.') + 1))
                .toList();
        assertThat(order.indexOf("telescopes")).isLessThan(order.indexOf("instruments"));
        assertThat(order.indexOf("observations")).isLessThan(order.indexOf("exposures"));
        assertThat(order.indexOf("filters")).isLessThan(order.indexOf("filter_usage"));
    }

    @Test
    void everyForeignKeyIsThereAndChecked() throws Exception {
        assertThat(middle.ask("SELECT count(*) FROM pg_constraint WHERE contype = 'f' AND convalidated"))
                .isEqualTo("" + FOREIGN_KEYS);
        assertThat(end.ask("SELECT count(*) FROM information_schema.REFERENTIAL_CONSTRAINTS"
                        + " WHERE CONSTRAINT_SCHEMA = DATABASE()"))
                .isEqualTo("" + FOREIGN_KEYS);
        assertThatThrownBy(() -> middle.run("DELETE FROM telescopes")).hasMessageContaining("instruments_telescope");
    }

    @Test
    void theNextRowGetsANumberPastTheHighest() throws Exception {
        String insert = "INSERT INTO log_entries (level, \"text\") VALUES (1, 'first of the new time') RETURNING id";
        assertThat(middle.ask(insert)).isEqualTo("151");
        assertThat(middle.ask("INSERT INTO \"order\" (\"select\", placedOn, \"unit price\")"
                        + " VALUES ('x', '2024-01-01', 1) RETURNING key"))
                .isEqualTo("1501");
        assertThat(end.ask("SELECT AUTO_INCREMENT FROM information_schema.TABLES"
                        + " WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME = 'log_entries'"))
                .isEqualTo("151");
        assertThat(Long.parseLong(middle.ask("SELECT nextval('plate_number')"))).isGreaterThan(1060);
    }

    @Test
    void rulesOfTheSourceHoldOnTheTarget() {
        String columns = "INSERT INTO astronomers (login, full_name, badge) VALUES ";
        assertThatThrownBy(() -> middle.run(columns + "('OBS3', 'x', decode(repeat('00', 16), 'hex'))"))
                .hasMessageContaining("astronomers_login");
        assertThatThrownBy(() -> middle.run(columns + "('new', 'x', '\\x00')"))
                .hasMessageContaining("astronomers_badge_range");
        assertThatThrownBy(() -> middle.run("UPDATE telescopes SET features = 'tracking,wings' WHERE id = 1"))
                .hasMessageContaining("telescopes_features_range");
        assertThatThrownBy(() -> middle.run("UPDATE calibrations SET kind = 'blue' WHERE id = 1"))
                .hasMessageContaining("calibrations_kind");
        assertThatThrownBy(() -> middle.run("UPDATE telescopes SET built = 1900 WHERE id = 1"))
                .hasMessageContaining("telescopes_built_range");
    }

    @Test
    void computedColumnsGoOnComputing() throws Exception {
        middle.run("UPDATE astronomers SET full_name = 'Nim Varn' WHERE id = 1");
        assertThat(middle.ask("SELECT label FROM astronomers WHERE id = 1")).isEqualTo("Nim Varn <obs1>");
        middle.run("UPDATE astronomers SET full_name = '" + origin.ask("SELECT full_name FROM astronomers WHERE id = 1")
                + "' WHERE id = 1");
    }

    @Test
    void datesThatDoNotExistBecomeNull() throws Exception {
        assertThat(origin.ask("SELECT count(*) FROM photographic_plates WHERE taken IS NULL OR MONTH(taken) = 0"))
                .isEqualTo(middle.ask("SELECT count(*) FROM photographic_plates WHERE taken IS NULL"))
                .isEqualTo("2");
    }

    @Test
    void everyReadingThatMayBeWrongIsSaid() {
        assertThat(there.translated.findings().stream()
                        .filter(f -> f.code() == FindingCode.ONE_DIGIT_BOOLEAN)
                        .map(f -> f.object().substring(f.object().indexOf('.') + 1)))
                .containsExactlyInAnyOrder("astronomers.is_staff", "exposures.calibrated", "calibrations.is_open");
    }

    @Test
    void whatIsNotTranslatedIsHandedOverWithItsSource() throws Exception {
        assertThat(there.translated.objects())
                .filteredOn(o -> o.outcome() == Outcome.BY_HAND)
                .extracting(o -> o.kind())
                .doesNotContain(
                        ObjectKind.VIEW,
                        ObjectKind.FUNCTION,
                        ObjectKind.PROCEDURE,
                        ObjectKind.TRIGGER,
                        ObjectKind.EVENT)
                .contains(ObjectKind.ROLE, ObjectKind.GRANT);
        try (Stream<Path> files = Files.list(folder.resolve("there/by-hand/role"))) {
            assertThat(files.findFirst().orElseThrow()).content().contains("RC0503 by hand");
        }
    }

    @Test
    void routinesDoOnTheTargetWhatTheyDidOnTheSource() throws Exception {
        String question = "SELECT night_of('2026-03-01 05:00:00')";
        assertThat(middle.ask(question)).isEqualTo(origin.ask(question)).isEqualTo("2026-02-28");
    }
}
