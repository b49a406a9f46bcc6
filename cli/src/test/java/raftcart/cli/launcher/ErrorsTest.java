package raftcart.cli.launcher;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.Statement;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.demo.servers.DatabaseServer;
import raftcart.demo.servers.TestServers;
import raftcart.plan.Endpoint;
import raftcart.workspace.Json;

/** Every error says what, where and why, and what to do; none shows a stack trace. */
class ErrorsTest {
    private static final int USAGE = 2;
    private static final int DATABASE = 3;
    private static final int STOPPED = 4;

    @TempDir
    Path folder;

    private Launcher launcher;

    @BeforeEach
    void launcher() {
        launcher = new Launcher(folder);
    }

    private Launcher.Result fails(int exit, Launcher.Result result) {
        assertThat(result.err()).doesNotContain("Exception").doesNotContain("\tat ");
        assertThat(result.exit()).as(result.err() + result.out()).isEqualTo(exit);
        return result;
    }

    private static Endpoint database(DatabaseServer server, String... statements) throws Exception {
        String name = TestServers.newDatabase(server, "errors");
        try (Connection connection = server.connect(name);
                Statement statement = connection.createStatement()) {
            for (String sql : statements) {
                statement.execute(sql);
            }
        }
        return server.endpoint(name);
    }

    private void plan(Endpoint source, Endpoint target, String more) throws Exception {
        Files.createDirectories(folder.resolve("move"));
        Files.writeString(
                folder.resolve("move/raftcart.yaml"), "source:\n" + lines(source) + "target:\n" + lines(target) + more);
    }

    private static String lines(Endpoint endpoint) {
        return "  url: '" + endpoint.url() + "'\n"
                + endpoint.user().map(u -> "  user: '" + u + "'\n").orElse("")
                + endpoint.password().map(p -> "  password: '" + p + "'\n").orElse("");
    }

    @Test
    void aServerThatIsNotThere() throws Exception {
        Launcher.Result result = fails(
                DATABASE,
                launcher.run(
                        "run",
                        "--source",
                        "jdbc:mariadb://127.0.0.1:1/k",
                        "--target",
                        "jdbc:postgresql://127.0.0.1:1/k",
                        "--dir",
                        "move"));
        assertThat(result.err())
                .contains("raftcart run: the server at jdbc:mariadb://127.0.0.1:1/k cannot be reached")
                .contains("Check host and port");
    }

    @Test
    void aWrongPasswordAndAMissingDatabase() throws Exception {
        Endpoint good = database(TestServers.mariadb());
        Endpoint target = database(TestServers.postgresql());
        plan(new Endpoint(good.url(), good.user(), java.util.Optional.of("${env:WRONG}")), target, "");
        Launcher.Result result =
                fails(DATABASE, launcher.run(Map.of("WRONG", "not-the-password"), "survey", "-C", "move"));
        assertThat(result.err())
                .contains("does not accept the user or password")
                .doesNotContain("not-the-password");
        assertThat(fails(USAGE, launcher.run("survey", "-C", "move")).err())
                .contains("the environment variable WRONG is not set");

        plan(TestServers.mariadb().endpoint("no_such_database"), target, "");
        assertThat(fails(DATABASE, launcher.run("survey", "-C", "move")).err()).contains("no such database");
    }

    @Test
    void aMissingPermissionNamesTheGrant() throws Exception {
        String role = "reader_" + ProcessHandle.current().pid();
        Endpoint source = database(
                TestServers.postgresql(),
                "CREATE TABLE secret_plans (id int)",
                "DROP ROLE IF EXISTS " + role,
                "CREATE ROLE " + role + " LOGIN PASSWORD 'x'");
        Endpoint target = database(TestServers.mariadb());
        plan(new Endpoint(source.url(), java.util.Optional.of(role), java.util.Optional.of("${env:P}")), target, "");
        Launcher.Result result = fails(DATABASE, launcher.run(Map.of("P", "x"), "survey", "-C", "move"));
        assertThat(result.err()).contains("GRANT SELECT ON public.secret_plans TO " + role + ";");
    }

    @Test
    void anUnknownOptionCommandOrPlanKeySuggestsTheNearest() throws Exception {
        assertThat(fails(USAGE, launcher.run("load", "--if-not-emty", "replace"))
                        .err())
                .contains("--if-not-emty")
                .contains("Did you mean --if-not-empty");
        assertThat(fails(USAGE, launcher.run("verfy")).err()).contains("there is no command 'verfy'", "verify");
        assertThat(fails(USAGE, launcher.run()).err()).contains("a command is missing");
        assertThat(fails(USAGE, launcher.run("explain", "RC0999")).err()).contains("there is no finding RC0999");
        plan(Endpoint.of("jdbc:mariadb://a/k"), Endpoint.of("jdbc:postgresql://b/k"), "lod:\n  x: 1\n");
        assertThat(fails(USAGE, launcher.run("survey", "-C", "move")).err())
                .contains("raftcart.yaml:5: unknown key 'lod'; did you mean 'load'?");
        plan(Endpoint.of("jdbc:mystery://a/k"), Endpoint.of("jdbc:postgresql://b/k"), "");
        assertThat(fails(USAGE, launcher.run("survey", "-C", "move")).err())
                .contains("no engine knows the URL jdbc:mystery://a/k", "jdbc:mariadb://HOST:3306/DATABASE");
    }

    @Test
    void aFolderThatIsNoMigrationOrCannotBeWritten() throws Exception {
        assertThat(fails(USAGE, launcher.run("status", "-C", "nowhere")).err())
                .contains("nowhere holds no raftcart.yaml", "raftcart init");
        Files.writeString(folder.resolve("file"), "");
        assertThat(fails(
                                USAGE,
                                launcher.run(
                                        "init",
                                        "--source",
                                        "jdbc:mariadb://a/k",
                                        "--target",
                                        "jdbc:postgresql://b/k",
                                        "file/move"))
                        .err())
                .contains("cannot be written");
    }

    @Test
    void aTableThatExistsOrHoldsRowsNamesTheSwitch() throws Exception {
        Endpoint source = database(
                TestServers.mariadb(), "CREATE TABLE domes (id INT PRIMARY KEY)", "INSERT INTO domes VALUES (1), (2)");
        DatabaseServer postgresql = TestServers.postgresql();
        Endpoint target = database(postgresql, "CREATE TABLE domes (id int)", "INSERT INTO domes VALUES (9)");
        plan(source, target, "");
        launcher.run("survey", "-C", "move");
        launcher.run("translate", "-C", "move");
        assertThat(fails(USAGE, launcher.run("build", "-C", "move")).err())
                .contains("table public.domes of the target exist", "--if-exists skip");
        assertThat(launcher.run("build", "-C", "move", "--if-exists", "skip").exit())
                .isZero();
        assertThat(fails(USAGE, launcher.run("load", "-C", "move")).err())
                .contains("public.domes of the target hold rows already; nothing was loaded", "--if-not-empty replace");
        assertThat(fails(USAGE, launcher.run("run", "-C", "move", "-q", "--json"))
                        .out())
                .satisfies(out -> assertThat(Json.MAPPER
                                .readTree(out)
                                .path("error")
                                .path("advice")
                                .asText())
                        .contains("--if-not-empty"));
        assertThat(launcher.run("load", "-C", "move", "--if-not-empty", "replace")
                        .exit())
                .isZero();
        assertThat(launcher.run("verify", "-C", "move").exit()).isZero();
    }

    @Test
    void aStatementThatTheTargetRefusesIsShownWithFileAndLine() throws Exception {
        Endpoint source = database(TestServers.mariadb(), "CREATE TABLE domes (id INT PRIMARY KEY)");
        plan(source, database(TestServers.postgresql()), "");
        launcher.run("survey", "-C", "move");
        launcher.run("translate", "-C", "move");
        Path script = folder.resolve("move/target/40-tables/0001-domes.sql");
        Files.writeString(script, "-- mine\nCREATE TABLE domes (\n  id no_such_type\n);\n");
        Launcher.Result result = fails(STOPPED, launcher.run("build", "-C", "move"));
        assertThat(result.err())
                .contains("target/40-tables/0001-domes.sql:2: the target refused a statement")
                .contains("no_such_type", "Edit the file");
        Launcher.Result again = launcher.run("translate", "-C", "move");
        assertThat(again.err()).contains("0001-domes.sql was edited and is kept");
        Files.writeString(script, "CREATE TABLE domes (id int PRIMARY KEY);\n");
        assertThat(launcher.run("build", "-C", "move").exit()).isZero();
    }

    @Test
    void aTypeWithoutCounterpartIsAnOutcomeAndNoCrash() throws Exception {
        Endpoint source = database(
                TestServers.postgresql(),
                "CREATE TABLE fields (id int PRIMARY KEY, area polygon)",
                "INSERT INTO fields VALUES (1, '((0,0),(1,1),(2,0))')");
        plan(source, database(TestServers.mariadb()), "");
        Launcher.Result result = launcher.run("run", "-C", "move");
        assertThat(result.exit()).as(result.err()).isZero();
        assertThat(folder.resolve("move/target/40-tables/0001-fields.sql"))
                .content()
                .contains("RC0111 check: public.fields.area: polygon as longtext");
    }

    @Test
    void killedTheProgramLeavesNoServerAndNoFolder() throws Exception {
        Path temporary = Files.createDirectories(folder.resolve("tmp"));
        Path err = folder.resolve("err.txt");
        Process demo = launcher.start(
                Map.of("TMPDIR", temporary.toString()), folder.resolve("out.txt"), err, "demo", "--keep", "kept");
        waitUntil(() -> Launcher.text(err).contains("Making the database"));
        assertThat(temporary.toFile().list()).hasSizeGreaterThanOrEqualTo(2);
        demo.destroyForcibly().waitFor();
        waitUntil(() -> temporary.toFile().list((d, n) -> n.startsWith("raftcart-")).length == 0);
        assertThat(ProcessHandle.allProcesses()
                        .filter(p -> p.info().commandLine().orElse("").contains(temporary.toString())))
                .isEmpty();
    }

    private interface Condition {
        boolean holds() throws Exception;
    }

    private static void waitUntil(Condition condition) throws Exception {
        for (int i = 0; i < 600 && !condition.holds(); i++) {
            Thread.sleep(100);
        }
        assertThat(condition.holds()).isTrue();
    }
}
