package raftcart.scripts;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.math.BigInteger;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Language;
import raftcart.dialect.Languages;
import raftcart.dialect.write.SqlWriter;
import raftcart.dialect.write.WriterContext;
import raftcart.sql.tree.Statement;

/** Rows of scripts that go on changing the tables into which they were inserted. */
class RowHistoryTest {
    @TempDir
    Path folder;

    private DrawnSequences last;

    @Test
    void rowsFollowTheNamesPlacesAndDefaultsOfTheirTable() throws IOException {
        assertThat(rows(
                        "mysql",
                        "CREATE TABLE site (id INT AUTO_INCREMENT PRIMARY KEY, name VARCHAR(20), kind INT DEFAULT 1);"
                                + "INSERT INTO site VALUES (NULL, 'Kestrel', 2); INSERT INTO site (name) VALUES ('Low');",
                        "ALTER TABLE site ADD COLUMN height INT NOT NULL AFTER name, ADD COLUMN note VARCHAR(9) DEFAULT 'new' FIRST;"
                                + "INSERT INTO site VALUES ('n', NULL, 'Four', 44, 3);"
                                + "ALTER TABLE site ALTER COLUMN kind SET DEFAULT 7; ALTER TABLE site CHANGE name title VARCHAR(40);"
                                + "RENAME TABLE site TO place; INSERT INTO place (title, height) SELECT 'x', 1;"))
                .containsExactly(
                        "INSERT INTO place (id, title, kind, height) VALUES (1, 'Kestrel', 2, 0)",
                        "INSERT INTO place (title, id, height, kind) VALUES ('Low', 2, 0, 1)",
                        "INSERT INTO place (note, id, title, height, kind) VALUES ('n', 3, 'Four', 44, 3)",
                        "INSERT INTO place (title, height, id) VALUES ('x', 1, 4)");
    }

    @Test
    void columnsThatSqlServerAddsStayNull() throws IOException {
        assertThat(rows(
                        "sqlserver",
                        "CREATE TABLE dome (id INT IDENTITY(1,1), name VARCHAR(20), gone INT);\n"
                                + "INSERT INTO dome VALUES ('North', 1), ('South', 2);\nGO\n",
                        "ALTER TABLE dome ADD height INT DEFAULT 5;\nALTER TABLE dome DROP COLUMN gone;\nGO\n"
                                + "INSERT INTO dome VALUES ('West', 12);\nINSERT INTO dome (name) VALUES ('East');\nGO\n"
                                + "EXEC sp_rename 'dome', 'cupola';\nGO\n"))
                .containsExactly(
                        "INSERT INTO cupola (name, id, height) VALUES ('North', 1, NULL), ('South', 2, NULL)",
                        "INSERT INTO cupola (name, height, id) VALUES ('West', 12, 3)",
                        "INSERT INTO cupola (name, id) VALUES ('East', 4)");
    }

    @Test
    void rowsOfATableThatIsDroppedAreGone() throws IOException {
        assertThat(rows(
                        "postgresql",
                        "CREATE TABLE t (a int); INSERT INTO t VALUES (1); DROP TABLE t; CREATE TABLE t (b text, c int DEFAULT 4);",
                        "COPY t (b) FROM stdin;\nx\n\n\\.\nALTER TABLE t ADD d int; INSERT INTO t VALUES ('y');"))
                .containsExactly(
                        "INSERT INTO t (b) OVERRIDING SYSTEM VALUE VALUES ('x'), ('')", "INSERT INTO t VALUES ('y')");
    }

    /** A dump of PostgreSQL sets its sequences behind its rows; one that a script sets starts there, whoever drew before. */
    @Test
    void sequencesStandWhereScriptsSetThem() throws IOException {
        assertThat(rows(
                        "postgresql",
                        "CREATE SEQUENCE s; CREATE SEQUENCE q; CREATE TABLE t (a bigint DEFAULT nextval('s'), b text);"
                                + "INSERT INTO t (b) VALUES ('x'), ('y'); SELECT setval('s', 41, true); INSERT INTO t (b) VALUES ('z');"
                                + "INSERT INTO t SELECT nextval('q'), 'w' FROM t; SELECT setval('q', 70, false);"
                                + "INSERT INTO t VALUES (nextval('q'), 'v'); SELECT setval('s', 90, true);"))
                .containsExactly(
                        "INSERT INTO t (b, a) VALUES ('x', 1), ('y', 2)",
                        "INSERT INTO t (b, a) VALUES ('z', 42)",
                        "INSERT INTO t SELECT NEXTVAL('q'), 'w' FROM t",
                        "INSERT INTO t (a, b) VALUES (70, 'v')");
        assertThat(last.byTarget()).isEmpty();
        assertThat(last.next())
                .containsOnly(
                        Map.entry(new ObjectName("public", "s"), BigInteger.valueOf(91)),
                        Map.entry(new ObjectName("public", "q"), BigInteger.valueOf(71)));
    }

    /** In the dumps of MySQL, 0 is what it says. */
    @Test
    void zerosAreNumbersWhereASessionKeepsThem() throws IOException {
        assertThat(rows(
                        "mysql",
                        "CREATE TABLE site (id INT AUTO_INCREMENT PRIMARY KEY, name VARCHAR(9)); INSERT INTO site VALUES (0, 'one');"
                                + "/*!40101 SET @OLD_SQL_MODE=@@SQL_MODE, SQL_MODE='NO_AUTO_VALUE_ON_ZERO' */;"
                                + "INSERT INTO site VALUES (0, 'none'); SET @saved = @@sql_mode; SET sql_mode = 'STRICT_ALL_TABLES';"
                                + "INSERT INTO site VALUES (0, 'two'); SET sql_mode = @saved; INSERT INTO site VALUES (0, 'zero');"
                                + "SET SQL_MODE=@OLD_SQL_MODE, NAMES = utf8; INSERT INTO site VALUES (0, 'three');"))
                .containsExactly(
                        "INSERT INTO site (id, name) VALUES (1, 'one')",
                        "INSERT INTO site VALUES (0, 'none')",
                        "INSERT INTO site (id, name) VALUES (2, 'two')",
                        "INSERT INTO site VALUES (0, 'zero')",
                        "INSERT INTO site (id, name) VALUES (3, 'three')");
    }

    /** What would go into other columns, or get other defaults, is refused; what stays as it is is not. */
    @Test
    void rowsThatCannotBeFollowedAreRefused() throws IOException {
        assertThat(rows(
                        "mysql",
                        "CREATE TABLE site (id INT PRIMARY KEY, name VARCHAR(9)); CREATE TABLE other (a INT, b VARCHAR(9));"
                                + "INSERT INTO site SELECT * FROM other; INSERT INTO site (id, name) SELECT * FROM other;"
                                + "INSERT INTO site VALUES (1, 'x') ON DUPLICATE KEY UPDATE name = 'y';",
                        "ALTER TABLE site ADD COLUMN height INT FIRST; ALTER TABLE site ALTER COLUMN height SET DEFAULT 3;"
                                + "INSERT INTO site (id) VALUES (2) ON DUPLICATE KEY UPDATE name = 'z';"))
                .containsExactly(
                        "refused: INSERT INTO site SELECT * FROM other",
                        "refused: INSERT INTO site (id, name) SELECT * FROM other",
                        "refused: INSERT INTO site VALUES (1, 'x') ON DUPLICATE KEY UPDATE name = 'y'",
                        "INSERT INTO site (id) VALUES (2) ON DUPLICATE KEY UPDATE name = 'z'");
    }

    /** The INSERT statements of scripts, as a load gets them. */
    private List<String> rows(String dialect, String... scripts) throws IOException {
        for (int i = 0; i < scripts.length; i++) {
            Files.writeString(folder.resolve(i + ".sql"), scripts[i]);
        }
        Language language = Languages.named(dialect).orElseThrow();
        SqlWriter writer = language.writer().apply(WriterContext.plain(language));
        List<String> texts = new ArrayList<>();
        last = ScriptSource.of("scripts:" + dialect + ":" + folder).forEachStatement(s -> {
            if (s.statement() instanceof Statement.Insert insert) {
                texts.add(s.refusal().map(r -> "refused: ").orElse("")
                        + writer.statement(insert).replaceAll("\\s+", " ").replaceAll("INTO (public|dbo)\\.", "INTO "));
            }
        });
        return texts;
    }
}
