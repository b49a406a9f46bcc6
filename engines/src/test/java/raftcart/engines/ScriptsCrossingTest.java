package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.params.provider.Arguments.arguments;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import raftcart.catalog.Catalog;
import raftcart.catalog.Column;
import raftcart.catalog.Index;
import raftcart.catalog.Table;
import raftcart.engine.EngineSession;
import raftcart.engine.Engines;
import raftcart.error.CatalogException;
import raftcart.error.PlanException;
import raftcart.migration.BuildStage;
import raftcart.migration.LoadStage;
import raftcart.migration.Migration;
import raftcart.migration.SurveyStage;
import raftcart.migration.TranslateStage;
import raftcart.move.TargetRows;
import raftcart.plan.Endpoint;

/** The observatory as the scripts of four engines define it, built on real servers and filled with their rows. */
class ScriptsCrossingTest {
    private static final Path SCRIPTS = Path.of("src/test/resources/raftcart/engines/scripts");
    private static final Path WHOLE = Path.of("src/test/resources/raftcart/engines/whole");
    private static final Path GOLDEN = Path.of("src/test/resources/raftcart/engines/golden");

    @TempDir
    private Path folder;

    private Migration cross(String scripts, Databases target, String plan) {
        Migration migration =
                MigrationRun.migration(folder.resolve("run"), Endpoint.of(scripts), target.endpoint(), plan);
        SurveyStage.run(migration);
        TranslateStage.run(migration);
        BuildStage.run(migration, BuildStage.Part.BEFORE_DATA, BuildStage.Existing.STOP, false);
        return migration;
    }

    private static String summary(Databases target) {
        try (EngineSession session = Engines.open(target.endpoint())) {
            Catalog catalog = session.readCatalog();
            return catalog.tables()
                    .map(ScriptsCrossingTest::summary)
                    .collect(Collectors.joining("\n"))
                    .replace(target.name(), "observatory");
        }
    }

    private static String summary(Table table) {
        List<String> lines = new ArrayList<>(List.of(table.name().name() + ": " + table.comment()));
        for (Column c : table.columns()) {
            lines.add("  " + c.name() + " " + c.declaredType() + (c.nullable() ? "" : " not null")
                    + c.defaultValue().map(d -> " default " + d).orElse("")
                    + c.identity().map(i -> " numbered").orElse("")
                    + (c.comment().isEmpty() ? "" : " -- " + c.comment()));
        }
        table.primaryKey().ifPresent(k -> lines.add("  primary key " + k.columns()));
        table.uniqueKeys().forEach(k -> lines.add("  unique " + k.columns()));
        table.foreignKeys()
                .forEach(k -> lines.add("  foreign key " + k.columns() + " to "
                        + k.target().name() + k.targetColumns() + " on delete " + k.onDelete()));
        table.checks().forEach(c -> lines.add("  check " + c.name() + " " + c.expression()));
        table.indexes().stream().map(ScriptsCrossingTest::summary).forEach(lines::add);
        return String.join("\n", lines) + "\n";
    }

    private static String summary(Index index) {
        return "  index " + index.name() + (index.unique() ? " unique " : " ")
                + index.parts().stream()
                        .map(p -> (p.isExpression() ? p.expression() : p.column()) + (p.descending() ? " desc" : ""))
                        .toList();
    }

    @ParameterizedTest
    @CsvSource({
        "oracle,postgresql", "oracle,mariadb",
        "sqlserver,postgresql", "sqlserver,mariadb",
        "db2,postgresql", "db2,mariadb",
        "mysql,postgresql", "mysql,mariadb"
    })
    void theObservatoryIsTheSameWhereverItsScriptsComeFrom(String from, String to) throws Exception {
        Databases target = to.equals("mariadb") ? Databases.mariadb() : Databases.postgresql();
        Migration migration =
                cross("scripts:" + from + ":" + SCRIPTS.resolve(from).toAbsolutePath(), target, "");
        LoadStage.Result loaded = MigrationRun.load(migration, TargetRows.STOP);

        assertThat(loaded.failures()).isEmpty();
        assertThat(loaded.refused()).isZero();
        assertThat(loaded.loaded()).isEqualTo(5);
        assertThat(target.ask("SELECT COUNT(*) FROM observation o JOIN dome d ON d.dome_id = o.dome_id"
                        + " WHERE d.label = 'North' AND o.quality = 'good' AND o.seconds IN (12.5, 30)"))
                .isEqualTo("2");
        assertThat(target.ask("SELECT remark FROM observation WHERE observation_id = 1"))
                .isEqualTo("clear; it's cold");
        assertThat(target.ask("SELECT name FROM observer o WHERE o.observer_id = 100"))
                .isEqualTo("Ada of the Ridge");
        assertThat(target.ask("SELECT CONCAT(label, ' ', last_day) FROM busiest"))
                .isEqualTo("North 2031-01-03");
        String bytes = to.equals("mariadb") ? "hex(checksum)" : "upper(encode(checksum, 'hex'))";
        assertThat(target.ask("SELECT " + bytes + " FROM observation WHERE observation_id = 2"))
                .isEqualTo("00112233445566778899AABBCCDDEEFF");
        target.run("INSERT INTO dome (label) VALUES ('East')");
        assertThat(target.ask("SELECT dome_id FROM dome WHERE label = 'East'")).isEqualTo("3");
        compare(from + "-" + to, summary(target));
    }

    private static Stream<Arguments> wholes() throws IOException {
        try (Stream<Path> dialects = Files.list(WHOLE)) {
            return dialects.map(d -> d.getFileName().toString()).sorted().toList().stream()
                    .flatMap(d -> Stream.of(arguments(d, "postgresql"), arguments(d, "mariadb")));
        }
    }

    /** Types, defaults, computed columns, checks, indexes and views of each dialect: a target refuses nothing that it gets. */
    @ParameterizedTest
    @MethodSource("wholes")
    void whatIsNotReportedIsMade(String from, String to) throws Exception {
        Databases target = to.equals("mariadb") ? Databases.mariadb() : Databases.postgresql();
        Migration migration =
                cross("scripts:" + from + ":" + WHOLE.resolve(from).toAbsolutePath(), target, "");
        LoadStage.Result loaded = MigrationRun.load(migration, TargetRows.STOP);

        assertThat(loaded.failures()).isEmpty();
        assertThat(loaded.refused()).isZero();
        String source = Files.readString(WHOLE.resolve(from).resolve("types.sql"));
        long tables = source.lines().filter(l -> l.startsWith("CREATE TABLE")).count();
        assertThat(target.ask("SELECT COUNT(*) FROM information_schema.tables WHERE table_schema = '"
                        + (to.equals("mariadb") ? target.name() : "public") + "' AND table_name LIKE 'sky%'"))
                .isEqualTo(String.valueOf(tables));
        assertThat(nullable(target)).doesNotContain("sky_null.never").doesNotContainAnyElementsOf(required(migration));
    }

    /** The columns that are never NULL on the source, those of which something is said aside. */
    private static List<String> required(Migration migration) {
        Set<String> told = TranslateStage.run(migration).findings().stream()
                .map(f -> f.object().toLowerCase(Locale.ROOT))
                .collect(Collectors.toSet());
        return migration
                .workspace()
                .catalog()
                .orElseThrow()
                .tables()
                .flatMap(t -> t.columns().stream()
                        .filter(c -> !c.nullable()
                                && c.generated().isEmpty()
                                && told.stream().noneMatch(o -> o.endsWith("." + name(t, c)) || o.equals(name(t, c))))
                        .map(c -> name(t, c)))
                .toList();
    }

    private static List<String> nullable(Databases target) {
        try (EngineSession session = Engines.open(target.endpoint())) {
            return session.readCatalog()
                    .tables()
                    .flatMap(t -> t.columns().stream().filter(Column::nullable).map(c -> name(t, c)))
                    .toList();
        }
    }

    private static String name(Table table, Column column) {
        return (table.name().name() + "." + column.name()).toLowerCase(Locale.ROOT);
    }

    private static void compare(String name, String actual) throws IOException {
        Path golden = GOLDEN.resolve("scripts-" + name + ".txt");
        if (Boolean.getBoolean("golden.update")) {
            Files.writeString(golden, actual);
        }
        assertThat(actual).isEqualTo(Files.readString(golden));
    }

    @Test
    void namesAndTypesFollowThePlan() throws Exception {
        Databases target = Databases.postgresql();
        cross(
                "scripts:oracle:" + SCRIPTS.resolve("oracle").toAbsolutePath(),
                target,
                "names: {table-prefix: kr_, rename: {OBSERVER: person, OBSERVER.LOGIN: account}}\n"
                        + "columns:\n  - {from: 'number(9)', type: integer}\n"
                        + "  - {column: 'observation.quality', nullable: true, default: ''}\n");
        assertThat(summary(target))
                .contains("person: \n  observer_id integer not null", "  account character varying(30) not null")
                .contains("kr_observation: ", "  quality character varying(10)\n")
                .contains("  dome_id integer not null\n");
    }

    @Test
    void rowsThatCannotBeFollowedArePutAside() throws Exception {
        Path scripts = folder.resolve("later.sql");
        Files.writeString(
                scripts,
                "CREATE TABLE site (id INT PRIMARY KEY, name VARCHAR(9));\nCREATE TABLE other (id INT, b VARCHAR(9));\n"
                        + "INSERT INTO other VALUES (5, 'five');\nINSERT INTO site SELECT * FROM other;\n"
                        + "INSERT INTO site VALUES (1, 'one');\nALTER TABLE site ADD COLUMN height INT DEFAULT 3 FIRST;\n"
                        + "INSERT INTO site VALUES (7, 2, 'two');\n");
        Databases target = Databases.postgresql();
        Migration migration = cross("scripts:mysql:" + scripts, target, "");
        LoadStage.Result loaded = MigrationRun.load(migration, TargetRows.STOP);
        assertThat(target.ask("SELECT string_agg(id || name || height, ' ' ORDER BY id) FROM site"))
                .isEqualTo("1one3 2two7");
        String file = loaded.tables().stream()
                .filter(t -> t.table().endsWith("site"))
                .findFirst()
                .orElseThrow()
                .refusedFile();
        assertThat(migration.workspace().path(file))
                .content()
                .contains("it cannot be told which of its columns")
                .contains("later.sql:4");
    }

    @Test
    void aRowThatIsRefusedIsPutAsideAndTheOthersArrive() throws Exception {
        Path scripts = folder.resolve("rows.sql");
        Files.writeString(
                scripts,
                "CREATE TABLE lamp (id INT PRIMARY KEY, watts INT CHECK (watts > 0));\n"
                        + "INSERT INTO lamp VALUES (1, 10), (2, 0), (3, 30);\nINSERT INTO lamp VALUES (1, 5);\n");
        Databases target = Databases.mariadb();
        Migration migration = cross("scripts:postgresql:" + scripts, target, "");
        LoadStage.Result loaded = MigrationRun.load(migration, TargetRows.STOP);
        assertThat(loaded.loaded()).isEqualTo(2);
        assertThat(loaded.refused()).isEqualTo(2);
        assertThat(target.ask("SELECT GROUP_CONCAT(id ORDER BY id) FROM lamp")).isEqualTo("1,3");
        assertThat(migration.workspace().path(loaded.tables().get(0).refusedFile()))
                .content()
                .contains("rows.sql:2", "rows.sql:3", "watts");
        assertThatThrownBy(() -> MigrationRun.load(migration, TargetRows.STOP))
                .isInstanceOf(PlanException.class)
                .hasMessageContaining("hold rows already; nothing was loaded");
    }

    @Test
    void aProcedureThatGivesRowsIsReadLikeATable() throws Exception {
        Path scripts = folder.resolve("procedures.sql");
        Files.writeString(
                scripts,
                "CREATE TABLE lamp (id INTEGER PRIMARY KEY, name VARCHAR(9));\nSET TERM ^ ;\n"
                        + "CREATE PROCEDURE relight AS DECLARE i INTEGER; DECLARE n VARCHAR(9);\nBEGIN\n"
                        + "  FOR SELECT id, name FROM lamps INTO :i, :n DO\n"
                        + "    INSERT INTO lamp VALUES (:i, :n || '!');\nEND^\n"
                        + "CREATE PROCEDURE lamps RETURNS (id INTEGER, name VARCHAR(9)) AS\nBEGIN\n"
                        + "  id = 1; name = 'red'; SUSPEND;\n  id = 2; SUSPEND;\nEND^\nSET TERM ; ^\n");
        Databases target = Databases.postgresql();
        MigrationRun.load(cross("scripts:firebird:" + scripts, target, ""), TargetRows.STOP);

        target.run("CALL relight()");

        assertThat(target.ask("SELECT string_agg(id || name, ' ' ORDER BY id) FROM lamp"))
                .isEqualTo("1red! 2red!");
    }

    @Test
    void rowsKeepTheNumbersThatAnExportBrings() throws Exception {
        Path scripts = folder.resolve("export.sql");
        Files.writeString(
                scripts,
                "CREATE TABLE lamp (id NUMBER(9) GENERATED ALWAYS AS IDENTITY START WITH 5, name VARCHAR2(9));\n"
                        + "INSERT INTO lamp (id, name) VALUES (3, 'red');\n");
        Databases target = Databases.postgresql();
        MigrationRun.load(cross("scripts:oracle:" + scripts, target, ""), TargetRows.STOP);

        assertThat(target.ask("SELECT id FROM lamp")).isEqualTo("3");
    }

    @Test
    void whatIsUniqueByAnExpressionOrUnderAConditionIsSoOnMariaDb() throws Exception {
        Path scripts = folder.resolve("unique.sql");
        Files.writeString(
                scripts,
                "CREATE TABLE lamp (id INT PRIMARY KEY, name VARCHAR(30), room VARCHAR(9), out_of DATE, note TEXT);\n"
                        + "CREATE UNIQUE INDEX lamp_in ON lamp (lower(name), coalesce(room, '-'))"
                        + " WHERE out_of IS NULL;\nCREATE UNIQUE INDEX lamp_note ON lamp (note) WHERE note IS NOT NULL;\n"
                        + "INSERT INTO lamp VALUES (1, 'Red', NULL, NULL, '" + "n".repeat(300) + "x'),"
                        + " (2, 'red', NULL, '2031-01-02', NULL), (3, 'RED', NULL, '2031-01-02', NULL),"
                        + " (4, 'Red', 'dome', NULL, '" + "n".repeat(300) + "y'), (5, 'rED', 'dome', NULL, NULL),"
                        + " (6, 'blue', NULL, NULL, 'z');\n");
        Databases target = Databases.mariadb();
        Migration migration = cross("scripts:postgresql:" + scripts, target, "");
        LoadStage.Result loaded = MigrationRun.load(migration, TargetRows.STOP);
        assertThat(loaded.failures()).hasSize(1).first().asString().contains("Duplicate entry 'red-dome'");
        target.run("DELETE FROM lamp WHERE id = 5");
        BuildStage.run(migration, BuildStage.Part.AFTER_DATA, BuildStage.Existing.STOP, false);
        assertThatThrownBy(() -> target.run("INSERT INTO lamp VALUES (7, 'RED', 'dome', NULL, NULL)"))
                .hasMessageContaining("red-dome");
        assertThatThrownBy(() -> target.run("INSERT INTO lamp VALUES (8, 'gold', NULL, NULL, 'z')"))
                .hasMessageContaining("lamp_note");
        target.run("INSERT INTO lamp VALUES (9, 'RED', 'dome', '2031-01-02', NULL)");
        assertThat(target.ask("SELECT COUNT(*) FROM lamp")).isEqualTo("6");
    }

    /** The first row is refused everywhere, so that a target that counted by itself would be one behind. */
    @ParameterizedTest
    @MethodSource("numbered")
    void rowsGetTheNumbersThatTheSourceGaveThem(String dialect, String script, String expected) throws Exception {
        for (Databases target : List.of(Databases.postgresql(), Databases.mariadb())) {
            Path scripts = folder.resolve(dialect + target.name() + ".sql");
            Files.writeString(
                    scripts, "CREATE TABLE c (id INT PRIMARY KEY, p INT);\nCREATE TABLE log (p INT);\n" + script);
            Migration migration = MigrationRun.migration(
                    folder.resolve(dialect + target.name()),
                    Endpoint.of("scripts:" + dialect + ":" + scripts),
                    target.endpoint(),
                    "");
            SurveyStage.run(migration);
            TranslateStage.run(migration);
            BuildStage.run(migration, BuildStage.Part.BEFORE_DATA, BuildStage.Existing.STOP, false);
            LoadStage.Result loaded = MigrationRun.load(migration, TargetRows.STOP);
            assertThat(loaded.failures()).isEmpty();
            assertThat(loaded.refused()).isEqualTo(1);
            String all = target.ask("SELECT CONCAT((SELECT " + joined(target, "id", "n") + " FROM p), ' / ', (SELECT "
                    + joined(target, "id", "p") + " FROM c))");
            assertThat(all).as(dialect + " to " + target.name()).isEqualTo(expected);
        }
    }

    private static String joined(Databases target, String first, String second) {
        String pair = "CONCAT(" + first + ", ':', " + second + ")";
        return target.endpoint().url().contains("mariadb")
                ? "GROUP_CONCAT(" + pair + " ORDER BY " + first + " SEPARATOR ' ')"
                : "string_agg(" + pair + ", ' ' ORDER BY " + first + ")";
    }

    private static Stream<Arguments> numbered() {
        String refused = "INSERT INTO p (n) VALUES ('too long');\n";
        return Stream.of(
                arguments(
                        "oracle",
                        "CREATE SEQUENCE s START WITH 10;\nCREATE TABLE p (id NUMBER(9) PRIMARY KEY, n VARCHAR2(5));\n"
                                + "INSERT INTO p VALUES (s.NEXTVAL, 'too long');\nINSERT INTO p VALUES (s.NEXTVAL, 'a');\n"
                                + "INSERT INTO c VALUES (1, s.CURRVAL);\nALTER SEQUENCE s RESTART START WITH 30;\n"
                                + "INSERT ALL INTO p VALUES (s.NEXTVAL, 'b') INTO c VALUES (2, s.NEXTVAL)"
                                + " SELECT * FROM dual;\nINSERT INTO log SELECT id FROM p;\n"
                                + "INSERT INTO p SELECT s.NEXTVAL, 'of c' FROM c;\n",
                        "11:a 30:b 31:of c 32:of c / 1:11 2:30"),
                arguments(
                        "mysql",
                        "CREATE TABLE p (id INT AUTO_INCREMENT PRIMARY KEY, n VARCHAR(5)) AUTO_INCREMENT = 5;\n"
                                + refused + "INSERT INTO p (n) VALUES ('a'), ('b');\n"
                                + "INSERT INTO c VALUES (1, LAST_INSERT_ID());\n"
                                + "INSERT INTO p VALUES (20, 'c'), (NULL, 'd'), (0, 'e');\n"
                                + "INSERT INTO p (n) SELECT 'of c' FROM c;\nINSERT INTO p (n) VALUES ('f');\n",
                        "6:a 7:b 20:c 21:d 22:e 23:of c 24:f / 1:6"),
                arguments(
                        "sqlserver",
                        "CREATE TABLE p (id INT IDENTITY(100, 10) PRIMARY KEY, n VARCHAR(5));\n"
                                + refused + "INSERT INTO p VALUES ('a'), ('b');\nSET IDENTITY_INSERT p ON;\n"
                                + "INSERT INTO p (id, n) VALUES (500, 'c');\nSET IDENTITY_INSERT p OFF;\n"
                                + "INSERT INTO p VALUES ('d');\nINSERT INTO c SELECT 1, SCOPE_IDENTITY();\n",
                        "110:a 120:b 500:c 510:d / 1:510"),
                arguments(
                        "postgresql",
                        "CREATE TABLE p (id SERIAL PRIMARY KEY, n VARCHAR(5));\nCREATE SEQUENCE s START 7;\n"
                                + "ALTER TABLE c ALTER COLUMN id SET DEFAULT nextval('s'::regclass);\n"
                                + refused + "INSERT INTO p (n) VALUES ('a'), ('b');\n"
                                + "INSERT INTO c (p) VALUES (lastval());\nINSERT INTO c VALUES (nextval('s'), 2);\n"
                                + "SELECT pg_catalog.setval('public.p_id_seq', 40, true);\n"
                                + "INSERT INTO p VALUES (DEFAULT, 'c');\nINSERT INTO c (p) SELECT id FROM p WHERE n = 'c';\n"
                                + "INSERT INTO c (p) VALUES (currval('p_id_seq'));\n",
                        "2:a 3:b 41:c / 7:3 8:2 9:41 10:41"));
    }

    @Test
    void rowsThatGiveWayToOthersOfTheirKeyDoSo() throws Exception {
        Path scripts = folder.resolve("upserts.sql");
        Files.writeString(
                scripts,
                "CREATE TABLE lamp (id INT AUTO_INCREMENT PRIMARY KEY, name VARCHAR(9) COLLATE utf8mb4_bin, watts INT);\n"
                        + "ALTER TABLE lamp ADD CONSTRAINT by_name UNIQUE (name);\n"
                        + "INSERT INTO lamp (name, watts) VALUES ('red', 1);\n"
                        + "INSERT IGNORE INTO lamp (name, watts) VALUES ('red', 2), ('blue', 3);\n"
                        + "INSERT INTO lamp (name, watts) VALUES ('red', 4) ON DUPLICATE KEY UPDATE watts = watts + VALUES(watts);\n");
        for (Databases target : List.of(Databases.postgresql(), Databases.mariadb())) {
            Migration migration = MigrationRun.migration(
                    folder.resolve(target.name()), Endpoint.of("scripts:mysql:" + scripts), target.endpoint(), "");
            SurveyStage.run(migration);
            TranslateStage.run(migration);
            BuildStage.run(migration, BuildStage.Part.BEFORE_DATA, BuildStage.Existing.STOP, false);
            LoadStage.Result loaded = MigrationRun.load(migration, TargetRows.STOP);
            assertThat(loaded.failures()).isEmpty();
            assertThat(target.ask("SELECT " + joined(target, "name", "watts") + " FROM lamp"))
                    .isEqualTo("blue:3 red:5");
        }
    }

    @Test
    void whatOracleInsertsWithoutATableArrives() throws Exception {
        Path scripts = folder.resolve("dual.sql");
        Files.writeString(
                scripts,
                "CREATE TABLE lamp (id NUMBER(9) PRIMARY KEY, watts NUMBER(9));\n"
                        + "INSERT INTO lamp SELECT 1, 10 FROM dual UNION ALL SELECT 2, 20 FROM dual;\n"
                        + "INSERT ALL INTO lamp VALUES (3, 30) INTO lamp (id) VALUES (4) SELECT * FROM dual;\n"
                        + "INSERT INTO lamp SELECT id + 10, watts FROM lamp;\n"
                        + "CREATE VIEW one AS SELECT 1 AS a FROM dual;\nGRANT SELECT ON lamp TO Reader;\n");
        Databases target = Databases.postgresql();
        Migration migration = cross("scripts:oracle:" + scripts, target, "grants: create\n");
        LoadStage.Result loaded = MigrationRun.load(migration, TargetRows.STOP);
        assertThat(loaded.loaded()).isEqualTo(8);
        assertThat(target.ask("SELECT string_agg(id || ':' || coalesce(watts, 0), ' ' ORDER BY id) FROM lamp"))
                .isEqualTo("1:10 2:20 3:30 4:0 11:10 12:20 13:30 14:0");
        assertThat(target.ask("SELECT has_table_privilege('reader', 'lamp', 'SELECT')"))
                .isEqualTo("t");
    }

    @Test
    void aDumpWithLinesOfDataArrivesAndCanBeBuiltAgain() throws Exception {
        Path dump = folder.resolve("dump.sql");
        Files.writeString(
                dump,
                "CREATE TABLE public.lamp (id integer GENERATED ALWAYS AS IDENTITY PRIMARY KEY, name text, lit boolean,"
                        + " since timestamp, raw bytea);\nCREATE SEQUENCE public.plates;\n"
                        + "CREATE VIEW public.lit_lamps AS SELECT name FROM public.lamp WHERE lit;\n"
                        + "COPY public.lamp (id, name, lit, since, raw) FROM stdin;\n"
                        + "3\tRed\\tlamp\tt\t2031-01-02 03:04:05.5\t\\\\x00ff\n4\tit's\tf\t\\N\t\\N\n\\.\n");
        for (Databases target : List.of(Databases.mariadb(), Databases.postgresql())) {
            Migration migration = MigrationRun.migration(
                    folder.resolve(target.name()), Endpoint.of("scripts:postgresql:" + dump), target.endpoint(), "");
            SurveyStage.run(migration);
            TranslateStage.run(migration);
            assertThat(BuildStage.open(migration, BuildStage.Part.ALL)).hasSize(3);
            BuildStage.run(migration, BuildStage.Part.BEFORE_DATA, BuildStage.Existing.STOP, false);
            LoadStage.Result loaded = MigrationRun.load(migration, TargetRows.STOP);
            assertThat(loaded.loaded()).isEqualTo(2);
            assertThat(target.ask("SELECT name FROM lit_lamps")).isEqualTo("Red\tlamp");
            target.run("INSERT INTO lamp (name) VALUES ('new')");
            assertThat(target.ask("SELECT MAX(id) FROM lamp")).isEqualTo("5");

            assertThatThrownBy(() -> BuildStage.run(migration, BuildStage.Part.ALL, BuildStage.Existing.STOP, true))
                    .isInstanceOf(PlanException.class)
                    .hasMessageMatching(
                            "sequence \\S+plates, table \\S+lamp of the target exist already; nothing was changed");
            BuildStage.run(migration, BuildStage.Part.ALL, BuildStage.Existing.DROP, true);
            assertThat(target.ask("SELECT COUNT(*) FROM lit_lamps")).isEqualTo("0");
        }
    }

    @Test
    void typesAndFunctionsOfTriggersCanBeBuiltAgain() throws Exception {
        Path dump = folder.resolve("dump.sql");
        Files.writeString(
                dump,
                "CREATE TABLE lamp (id int PRIMARY KEY, glow enum('dim', 'bright') NOT NULL,"
                        + " seen timestamp DEFAULT CURRENT_TIMESTAMP ON UPDATE CURRENT_TIMESTAMP);\n");
        Databases target = Databases.postgresql();
        Migration migration = MigrationRun.migration(
                folder.resolve("again"), Endpoint.of("scripts:mysql:" + dump), target.endpoint(), "");
        SurveyStage.run(migration);
        TranslateStage.run(migration);
        BuildStage.run(migration, BuildStage.Part.ALL, BuildStage.Existing.STOP, false);

        assertThatThrownBy(() -> BuildStage.run(migration, BuildStage.Part.ALL, BuildStage.Existing.STOP, true))
                .isInstanceOf(PlanException.class)
                .hasMessageStartingWith("type public.lamp_glow, table public.lamp of the target exist already");
        BuildStage.Result skipped =
                BuildStage.run(migration, BuildStage.Part.BEFORE_DATA, BuildStage.Existing.SKIP, true);
        assertThat(skipped.scripts()).isZero();
        assertThat(skipped.skippedTables()).containsExactly("public.lamp");
        BuildStage.Result built = BuildStage.run(migration, BuildStage.Part.ALL, BuildStage.Existing.DROP, true);
        assertThat(built.scripts()).isEqualTo(3);
    }

    @Test
    void whatIsNoScriptIsSaid() throws Exception {
        Endpoint target = Endpoint.of("jdbc:postgresql://localhost:1/none");
        Files.write(folder.resolve("latin.sql"), new byte[] {'-', '-', ' ', (byte) 0xE9, '\n'});
        assertThatThrownBy(() -> SurveyStage.run(MigrationRun.migration(
                        folder.resolve("a"), Endpoint.of("scripts:oracle:" + folder.resolve("latin.sql")), target, "")))
                .isInstanceOf(CatalogException.class)
                .hasMessageContaining("latin.sql is not UTF-8");
        assertThatThrownBy(() -> SurveyStage.run(
                        MigrationRun.migration(folder.resolve("b"), Endpoint.of("scripts:klingon:x"), target, "")))
                .isInstanceOf(PlanException.class)
                .hasMessage("there is no dialect 'klingon'");
        assertThatThrownBy(() -> SurveyStage.run(MigrationRun.migration(
                        folder.resolve("c"), Endpoint.of("scripts:oracle:/nowhere/at/all"), target, "")))
                .isInstanceOf(CatalogException.class)
                .hasMessageContaining("cannot be read");
    }
}
