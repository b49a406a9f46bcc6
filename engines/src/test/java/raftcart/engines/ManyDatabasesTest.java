package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.error.ConnectException;
import raftcart.finding.Outcome;
import raftcart.migration.Migration;
import raftcart.migration.SurveyStage;
import raftcart.migration.TranslateStage;
import raftcart.plan.Endpoint;
import raftcart.verify.TableVerdict;

/** Databases of one server that refer to each other go together, and those that the plan leaves out are not spoken of. */
class ManyDatabasesTest {
    @TempDir
    Path folder;

    private static Endpoint server(Databases any) {
        Endpoint endpoint = any.endpoint();
        return new Endpoint(endpoint.url().replace("/" + any.name(), "/"), endpoint.user(), endpoint.password());
    }

    @Test
    void databasesThatReferToEachOther() throws Exception {
        Databases staff = Databases.mariadb();
        Databases survey = Databases.mariadb();
        Databases other = Databases.mariadb();
        staff.run(
                "CREATE TABLE observer (id int AUTO_INCREMENT PRIMARY KEY, name varchar(40) NOT NULL)",
                "INSERT INTO observer (name) VALUES ('North'), ('Ridge')");
        survey.run(
                "CREATE TABLE frame (id int PRIMARY KEY, observer_id int REFERENCES " + staff.name()
                        + ".observer (id))",
                "CREATE VIEW seen AS SELECT f.id, o.name FROM frame f JOIN " + staff.name()
                        + ".observer o ON o.id = f.observer_id",
                "INSERT INTO frame VALUES (1, 2), (2, 1), (3, 2)");
        other.run(
                "CREATE TABLE noise (id int PRIMARY KEY)",
                "CREATE VIEW quiet AS SELECT f.id FROM " + survey.name() + ".frame f",
                "CREATE PROCEDURE hush() SELECT 1");
        Databases target = Databases.postgresql();
        String wanted = "tables: {include: ['" + staff.name() + ".*', '" + survey.name() + ".*']}\n";

        MigrationRun run = MigrationRun.of(folder.resolve("run"), server(staff), target.endpoint(), wanted);

        assertThat(run.verified.tables())
                .extracting(TableVerdict::table)
                .containsExactlyInAnyOrder(staff.name() + ".observer", survey.name() + ".frame");
        assertThat(run.verified.same()).isTrue();
        assertThat(target.ask("SELECT string_agg(name, ' ' ORDER BY id) FROM " + survey.name() + ".seen"))
                .isEqualTo("Ridge North Ridge");
        assertThat(target.ask("SELECT confrelid::regclass FROM pg_constraint WHERE contype = 'f'"))
                .isEqualTo(staff.name() + ".observer");
        assertThat(run.translated.objects())
                .filteredOn(o -> o.outcome() == Outcome.BY_HAND)
                .noneMatch(o -> o.name().startsWith(other.name() + "."));
    }

    @Test
    void rowsGoToADatabaseWithAName() throws Exception {
        Databases source = Databases.postgresql();
        source.run("CREATE TABLE t (id int PRIMARY KEY)");
        Migration migration =
                MigrationRun.migration(folder.resolve("run"), source.endpoint(), server(Databases.mariadb()), "");
        SurveyStage.run(migration);

        assertThatThrownBy(() -> TranslateStage.run(migration))
                .isInstanceOf(ConnectException.class)
                .hasMessageContaining("names no database");
    }
}
