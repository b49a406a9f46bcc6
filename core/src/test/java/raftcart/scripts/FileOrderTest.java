package raftcart.scripts;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.catalog.Catalog;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.Table;

class FileOrderTest {
    @TempDir
    private Path folder;

    private Catalog read(String dialect, String... scripts) throws IOException {
        for (int i = 0; i < scripts.length; i++) {
            Files.writeString(folder.resolve(i + ".sql"), scripts[i]);
        }
        return ScriptSource.of("scripts:" + dialect + ":" + folder).read();
    }

    @Test
    void filesThatMakeTablesAreReadBeforeThoseThatNeedThem() throws IOException {
        Catalog catalog = read(
                "oracle",
                "ALTER TABLE reading ADD CONSTRAINT of_star FOREIGN KEY (star_id) REFERENCES star (id);\n"
                        + "COMMENT ON COLUMN reading.flux IS 'in Jy';",
                "CREATE INDEX by_flux ON reading (flux);\nINSERT INTO star (id) VALUES (1);",
                "CREATE TABLE reading (star_id NUMBER(9), flux NUMBER(9, 3));",
                "DROP TABLE old_star;\nCREATE TABLE star (id NUMBER(9) PRIMARY KEY);\nCREATE TABLE old_star (id NUMBER(9));");
        assertThat(catalog.version()).isEqualTo("4 script file(s), read first for their tables: 2.sql, 3.sql");
        Table reading = catalog.tables()
                .filter(t -> t.name().name().equals("READING"))
                .findFirst()
                .orElseThrow();
        assertThat(reading.foreignKeys()).hasSize(1);
        assertThat(reading.indexes()).hasSize(1);
        assertThat(reading.columns().get(1).comment()).contains("in Jy");
        assertThat(catalog.schemas().stream()
                        .flatMap(s -> s.codeObjects().stream())
                        .filter(o -> o.kind() == ObjectKind.STATEMENT))
                .isEmpty();
    }

    @Test
    void aFileThatDropsTablesIsNotReadBehindTheOneThatMakesThem() throws IOException {
        Catalog catalog = read(
                "postgresql",
                "DROP TABLE IF EXISTS star;\nALTER TABLE reading ADD COLUMN flux integer;",
                "CREATE TABLE star (id integer);\nCREATE TABLE reading (id integer);");
        assertThat(catalog.tables().map(t -> t.name().name())).containsExactlyInAnyOrder("star", "reading");
    }

    @Test
    void filesThatNeedEachOtherStayInTheOrderOfTheirNames() throws IOException {
        Catalog catalog = read(
                "mysql",
                "CREATE TABLE star (id int);\nINSERT IGNORE INTO frame VALUES (1);",
                "INSERT star VALUES (1);\nCREATE TABLE frame (id int);\nREPLACE INTO night VALUES (1);",
                "CREATE TABLE night (id int);");
        assertThat(catalog.version()).isEqualTo("3 script file(s), read first for their tables: 2.sql");
        assertThat(catalog.tables()).hasSize(3);
    }
}
