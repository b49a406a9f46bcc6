package raftcart.cli.launcher;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.demo.observatory.Observatory;
import raftcart.demo.servers.DatabaseServer;
import raftcart.demo.servers.TestServers;
import raftcart.plan.Endpoint;
import raftcart.workspace.Json;

/** What a user does on the main path, with the program as it is built. */
class MainPathTest {
    private static final int CLEAN = 0;
    private static final int NEEDS_PERSON = 1;

    @TempDir
    Path folder;

    private Launcher launcher;

    @BeforeEach
    void launcher() {
        launcher = new Launcher(folder);
    }

    private static String[] between(String command, Endpoint source, Endpoint target, String... more) {
        List<String> arguments = new ArrayList<>(List.of(command, "--source", source.url(), "--target", target.url()));
        source.user().ifPresent(u -> arguments.addAll(List.of("--source-user", u)));
        source.password().ifPresent(p -> arguments.addAll(List.of("--source-password", p)));
        target.user().ifPresent(u -> arguments.addAll(List.of("--target-user", u)));
        target.password().ifPresent(p -> arguments.addAll(List.of("--target-password", p)));
        arguments.addAll(List.of(more));
        return arguments.toArray(String[]::new);
    }

    @Test
    void theObservatoryCrossesAndASecondRunHasNothingLeftToDo() throws Exception {
        DatabaseServer mariadb = TestServers.mariadb();
        DatabaseServer postgresql = TestServers.postgresql();
        String origin = TestServers.newDatabase(mariadb, "observatory");
        String target = TestServers.newDatabase(postgresql, "observatory");
        try (Connection connection = mariadb.connect(origin)) {
            new Observatory(0.02).createOnMariaDb(connection);
        }
        String[] run = between("run", mariadb.endpoint(origin), postgresql.endpoint(target), "--dir", "move");
        Launcher.Result first = launcher.run(run);
        assertThat(first.exit()).as(first.err()).isEqualTo(NEEDS_PERSON);
        assertThat(first.out())
                .contains("survey     MariaDB", "17 tables: all the same on both sides", "4 parts left to a person")
                .containsPattern("exposures +3,000 +3,000 +0 .* same [0-9a-f]{12}")
                .doesNotContain("\u001b[");
        assertThat(first.err())
                .contains("load       " + origin + ".exposures: 3,000 rows")
                .doesNotContain("Exception");

        Launcher.Result second = launcher.run(run);
        assertThat(second.out()).startsWith("Nothing is left to do: every stage is done.");
        assertThat(second.exit()).isEqualTo(NEEDS_PERSON);

        Launcher.Result status = launcher.run("status", "-C", "move", "--json");
        JsonNode document = Json.MAPPER.readTree(status.out());
        assertThat(document.path("stages"))
                .hasSize(5)
                .allMatch(s -> s.path("state").asText().equals("done"));

        String back = TestServers.newDatabase(mariadb, "returned");
        Launcher.Result returned = launcher.run(
                between("run", postgresql.endpoint(target), mariadb.endpoint(back), "--dir", "back", "--json"));
        assertThat(returned.exit()).as(returned.err()).isEqualTo(NEEDS_PERSON);
        JsonNode verify = Json.MAPPER.readTree(returned.out()).path("verify");
        assertThat(verify.path("tables")).hasSize(17).allMatch(t -> t.path("sourceDigest")
                .asText()
                .equals(t.path("targetDigest").asText()));
    }

    @Test
    void scriptsOfAnotherEngineBecomeADatabase() throws Exception {
        DatabaseServer postgresql = TestServers.postgresql();
        Endpoint target = postgresql.endpoint(TestServers.newDatabase(postgresql, "scripts"));
        Files.writeString(
                folder.resolve("domes.sql"),
                "CREATE TABLE DOME (ID NUMBER(9) PRIMARY KEY, LABEL VARCHAR2(20) NOT NULL);\n"
                        + "CREATE VIEW LABELS AS SELECT NVL(LABEL, '-') AS L FROM DOME;\n"
                        + "CREATE UNIQUE INDEX ONE_LABEL ON DOME (LABEL);\nINSERT INTO DOME VALUES (1, 'North');\n"
                        + "INSERT INTO DOME VALUES (2, 'North');\nCREATE USER observer IDENTIFIED BY secret;\n");
        assertThat(launcher.run(between("init", Endpoint.of("scripts:oracle:domes.sql"), target, "move"))
                        .exit())
                .isEqualTo(CLEAN);

        Launcher.Result survey = launcher.run("survey", "-C", "move", "--csv", "findings.csv");
        assertThat(survey.exit()).as(survey.err()).isEqualTo(CLEAN);
        assertThat(survey.out())
                .containsPattern("view +1 +1")
                .containsPattern("statement +1 +1")
                .contains("To postgresql a person needs about");
        assertThat(folder.resolve("findings.csv"))
                .content()
                .startsWith("target,code,outcome,title,object,detail\n")
                .contains("postgresql,RC0501,\"by hand\"", "domes.sql:6");
        assertThat(launcher.run("survey", "-C", "move", "--object", "labels").out())
                .contains("NVL(LABEL, '-')", "COALESCE(\"label\", '-') AS \"l\"");

        Launcher.Result run = launcher.run("run", "-C", "move");
        assertThat(run.exit()).as(run.err()).isEqualTo(NEEDS_PERSON);
        assertThat(run.out())
                .contains("load       2 rows loaded, 0 refused", "Not made: ", "one_label", "1 part left to a person");
        assertThat(launcher.run("verify", "-C", "move").err()).contains("there is no database to compare with");
        assertThat(launcher.run("build", "-C", "move", "--stage", "sideways").err())
                .contains("'sideways' is not one of before-data, after-data, all");
    }

    @Test
    void stagesOneByOneEndCleanWhereNothingIsLeftToAPerson() throws Exception {
        DatabaseServer mariadb = TestServers.mariadb();
        DatabaseServer postgresql = TestServers.postgresql();
        String origin = TestServers.newDatabase(postgresql, "domes");
        String target = TestServers.newDatabase(mariadb, "domes");
        try (Connection connection = postgresql.connect(origin)) {
            connection
                    .createStatement()
                    .execute(
                            "CREATE TABLE domes (id serial PRIMARY KEY, name text UNIQUE,"
                                    + " turned timestamptz DEFAULT now()); INSERT INTO domes (name) VALUES ('north'), ('Süd'), (NULL)");
        }
        assertThat(launcher.run(between("init", postgresql.endpoint(origin), mariadb.endpoint(target), "move"))
                        .exit())
                .isEqualTo(CLEAN);
        for (String stage : List.of("survey", "translate", "build", "load", "verify", "status")) {
            Launcher.Result result = launcher.run(stage, "-C", "move");
            assertThat(result.exit()).as(stage + result.err()).isEqualTo(CLEAN);
            assertThat(result.out()).contains(stage.equals("status") ? "all tables the same" : stage);
        }
        assertThat(folder.resolve("move/target/40-tables/0001-domes.sql"))
                .content()
                .contains("AUTO_INCREMENT", "RC0113 check", "RC0114 check");
    }

    @Test
    void aPasswordInTheUrlIsUsedButNeverWrittenDown() throws Exception {
        DatabaseServer postgresql = TestServers.postgresql();
        String origin = TestServers.newDatabase(postgresql, "secret");
        Endpoint endpoint = postgresql.endpoint(origin);
        String url = endpoint.url() + (endpoint.url().contains("?") ? "&" : "?") + "user=postgres&password=s3cret-word";
        Launcher.Result init = launcher.run("init", "--source", url, "--target", url, "move");
        assertThat(init.exit()).as(init.err()).isEqualTo(CLEAN);
        assertThat(init.err()).contains("RAFTCART_SOURCE_PASSWORD").doesNotContain("s3cret-word");
        launcher.run(
                Map.of("RAFTCART_SOURCE_PASSWORD", "s3cret-word", "RAFTCART_TARGET_PASSWORD", "s3cret-word"),
                "survey",
                "-v",
                "-C",
                "move");
        try (var files = Files.walk(folder.resolve("move"))) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                assertThat(Launcher.text(file)).as(file.toString()).doesNotContain("s3cret-word");
            }
        }
    }

    @Test
    void shortCommandsAnswer() throws Exception {
        assertThat(launcher.run("--version").out()).matches("raftcart \\d+\\.\\d+\\.\\d+\\R");
        assertThat(launcher.run("engines").out())
                .contains("MariaDB", "PostgreSQL", "jdbc:postgresql://HOST:5432/DATABASE");
        assertThat(Json.MAPPER.readTree(launcher.run("engines", "--json").out()))
                .hasSize(2);
        assertThat(launcher.run("explain", "rc0102").out()).contains("RC0102", "What to do:");
        Launcher.Result help = launcher.run("load", "--help");
        assertThat(help.exit()).isEqualTo(CLEAN);
        assertThat(help.out()).contains("--if-not-empty", "-C, --directory=DIR");
    }
}
