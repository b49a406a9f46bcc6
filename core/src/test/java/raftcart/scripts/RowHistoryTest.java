package raftcart.scripts;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.dialect.Language;
import raftcart.dialect.Languages;
import raftcart.dialect.write.SqlWriter;
import raftcart.dialect.write.WriterContext;
import raftcart.sql.tree.Statement;

/** Rows of scripts that go on changing the tables into which they were inserted. */
class RowHistoryTest {
    @TempDir
    Path folder;

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
        ScriptSource.of("scripts:" + dialect + ":" + folder).forEachStatement(s -> {
            if (s.statement() instanceof Statement.Insert insert) {
                texts.add(s.refusal().map(r -> "refused: ").orElse("")
                        + writer.statement(insert).replaceAll("\\s+", " ").replaceAll("INTO (public|dbo)\\.", "INTO "));
            }
        });
        return texts;
    }
}
