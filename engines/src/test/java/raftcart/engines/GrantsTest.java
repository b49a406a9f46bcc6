package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.catalog.CodeObject;
import raftcart.migration.BuildStage;

/** Rights cross to roles, or wait for a person who lets them run. */
class GrantsTest {
    private static final String STAR =
            "CREATE TABLE star (id INTEGER PRIMARY KEY, name VARCHAR(20), secret VARCHAR(20))";

    @TempDir
    Path folder;

    private final Databases mariadb;
    private final Databases postgresql;

    GrantsTest() throws Exception {
        mariadb = Databases.mariadb();
        postgresql = Databases.postgresql();
    }

    /** Roles belong to the server, which the tests share. */
    @AfterEach
    void removeRoles() throws Exception {
        mariadb.run(
                "DROP USER IF EXISTS 'gazer'@'%'",
                "DROP USER IF EXISTS 'guest'@'localhost'",
                "DROP ROLE IF EXISTS viewer",
                "DROP ROLE IF EXISTS observer");
        mariadb.run("DROP ROLE IF EXISTS gazer", "DROP ROLE IF EXISTS night_crew");
        for (String role : List.of("gazer", "guest", "viewer", "observer", "night_crew")) {
            postgresql.run("DO $$ BEGIN IF EXISTS (SELECT FROM pg_roles WHERE rolname = '" + role
                    + "') THEN DROP OWNED BY " + role + "; DROP ROLE " + role + "; END IF; END $$");
        }
    }

    @Test
    void fromMariaDbToRolesOfPostgreSql() throws Exception {
        mariadb.run(
                STAR,
                "CREATE VIEW names AS SELECT id, name FROM star",
                "CREATE USER 'gazer'@'%'",
                "CREATE USER 'guest'@'localhost'",
                "GRANT SELECT ON names TO 'gazer'@'%'",
                "GRANT SELECT, INSERT, SHOW VIEW ON star TO 'gazer'@'%' WITH GRANT OPTION",
                "GRANT SELECT ON " + mariadb.name() + ".* TO 'guest'@'localhost'");
        MigrationRun run = MigrationRun.of(folder, mariadb.endpoint(), postgresql.endpoint(), "grants: create\n");
        assertThat(run.loaded.failures()).isEmpty();
        for (String right :
                List.of("gazer names SELECT", "gazer star INSERT", "guest star SELECT", "guest names SELECT")) {
            String[] words = right.split(" ");
            assertThat(postgresql.ask(
                            "SELECT has_table_privilege('" + words[0] + "', '" + words[1] + "', '" + words[2] + "')"))
                    .as(right)
                    .isEqualTo("t");
        }
        assertThat(postgresql.ask("SELECT has_table_privilege('gazer', 'star', 'DELETE')"))
                .isEqualTo("f");
        for (String right : List.of("star t", "names f")) {
            String[] words = right.split(" ");
            assertThat(postgresql.ask(
                            "SELECT has_table_privilege('gazer', '" + words[0] + "', 'SELECT WITH GRANT OPTION')"))
                    .as("to pass on " + right)
                    .isEqualTo(words[1]);
        }
        assertThat(postgresql.ask("SELECT rolcanlogin FROM pg_roles WHERE rolname = 'gazer'"))
                .isEqualTo("f");
    }

    @Test
    void onSingleColumns() throws Exception {
        mariadb.run(
                STAR,
                "CREATE USER 'gazer'@'%'",
                "GRANT SELECT (id, name), UPDATE (name) ON star TO 'gazer'@'%'",
                "GRANT DELETE ON star TO 'gazer'@'%'");
        MigrationRun.of(folder, mariadb.endpoint(), postgresql.endpoint(), "grants: create\n");
        for (String right : List.of("name SELECT t", "name UPDATE t", "id UPDATE f", "secret SELECT f")) {
            String[] words = right.split(" ");
            assertThat(postgresql.ask(
                            "SELECT has_column_privilege('gazer', 'star', '" + words[0] + "', '" + words[1] + "')"))
                    .as(right)
                    .isEqualTo(words[2]);
        }
        assertThat(postgresql.ask("SELECT has_table_privilege('gazer', 'star', 'DELETE')"))
                .isEqualTo("t");
    }

    @Test
    void whatPostgreSqlGrantsOnColumnsSequencesAndSchemas() throws Exception {
        postgresql.run(
                STAR,
                "CREATE ROLE viewer",
                "CREATE SCHEMA night",
                "CREATE SEQUENCE night.shots",
                "CREATE VIEW near AS SELECT id, name FROM star WHERE id < 9 WITH LOCAL CHECK OPTION",
                "GRANT SELECT (id, name), UPDATE (name) ON star TO viewer",
                "GRANT INSERT ON star TO viewer",
                "GRANT DELETE ON star TO viewer WITH GRANT OPTION",
                "GRANT USAGE ON SCHEMA night TO viewer",
                "GRANT USAGE ON night.shots TO viewer");
        List<String> texts = CatalogReaderTest.read(postgresql).schemas().stream()
                .flatMap(schema -> schema.codeObjects().stream())
                .map(CodeObject::source)
                .toList();
        assertThat(texts)
                .contains(
                        "GRANT SELECT (id, name), UPDATE (name) ON public.star TO viewer;",
                        "GRANT INSERT ON public.star TO viewer;",
                        "GRANT DELETE ON public.star TO viewer WITH GRANT OPTION;",
                        "GRANT USAGE ON SCHEMA night TO viewer;",
                        "GRANT USAGE ON SEQUENCE night.shots TO viewer;")
                .anyMatch(text ->
                        text.startsWith("CREATE VIEW public.near") && text.endsWith("WITH LOCAL CHECK OPTION;"));
    }

    @Test
    void fromPostgreSqlByAPerson() throws Exception {
        postgresql.run(
                STAR,
                "CREATE ROLE viewer",
                "GRANT SELECT, TRUNCATE ON star TO viewer",
                "INSERT INTO star VALUES (1, 'Vega', 'x')");
        MigrationRun run = MigrationRun.of(folder, postgresql.endpoint(), mariadb.endpoint());
        assertThat(mariadb.ask("SELECT COUNT(*) FROM mysql.user WHERE User = 'viewer'"))
                .isEqualTo("0");
        Path file;
        try (Stream<Path> files = Files.walk(folder.resolve("by-hand/grant"))) {
            file = files.filter(f -> f.toString().endsWith(".sql")).findFirst().orElseThrow();
        }
        String text = Files.readString(file);
        assertThat(text)
                .contains("RC0503 by hand", "--   GRANT SELECT, TRUNCATE", "CREATE ROLE IF NOT EXISTS `viewer`;")
                .doesNotContain("USAGE");
        Files.writeString(file, text.replace("-- It is translated; to have it run, remove this line:\n", ""));
        BuildStage.run(run.migration, BuildStage.Part.AFTER_DATA, BuildStage.Existing.STOP, false);
        assertThat(mariadb.ask("SELECT GROUP_CONCAT(PRIVILEGE_TYPE) FROM information_schema.TABLE_PRIVILEGES"
                        + " WHERE GRANTEE LIKE '%viewer%' AND TABLE_SCHEMA = '" + mariadb.name() + "'"))
                .isEqualTo("SELECT");
    }

    /** Who holds a right through a role holds it on the other side, too. */
    @Test
    void membersOfRoles() throws Exception {
        postgresql.run(
                STAR,
                "CREATE ROLE observer",
                "CREATE ROLE night_crew",
                "GRANT SELECT ON star TO observer",
                "GRANT observer TO night_crew WITH ADMIN OPTION");
        MigrationRun there =
                MigrationRun.of(folder.resolve("there"), postgresql.endpoint(), mariadb.endpoint(), "grants: create\n");
        assertThat(there.loaded.failures()).isEmpty();
        assertThat(mariadb.ask("SELECT CONCAT(User, ' in ', Role, ' ', Admin_option) FROM mysql.roles_mapping"
                        + " WHERE Role = 'observer' AND User = 'night_crew'"))
                .isEqualTo("night_crew in observer Y");
        postgresql.run("DROP OWNED BY observer", "DROP ROLE observer", "DROP ROLE night_crew");
        Databases back = Databases.postgresql();
        MigrationRun again =
                MigrationRun.of(folder.resolve("back"), mariadb.endpoint(), back.endpoint(), "grants: create\n");
        assertThat(again.loaded.failures()).isEmpty();
        assertThat(back.ask("SELECT pg_has_role('night_crew', 'observer', 'MEMBER')"))
                .isEqualTo("t");
        assertThat(back.ask("SELECT has_table_privilege('night_crew', 'star', 'SELECT')"))
                .isEqualTo("t");
        back.run("DROP OWNED BY observer, night_crew");
    }
}
