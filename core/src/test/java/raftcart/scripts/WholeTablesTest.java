package raftcart.scripts;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.catalog.Catalog;
import raftcart.catalog.CodeObject;
import raftcart.catalog.ObjectKind;

/** A table is in the catalog with all that its definition says, or not at all. */
class WholeTablesTest {
    @TempDir
    Path folder;

    @Test
    void aTableOfWhichAPartCannotBeKeptIsLeftAsAWhole() throws IOException {
        Files.writeString(
                folder.resolve("star.sql"),
                "CREATE TABLE star (id INT NOT NULL, name VARCHAR(9),"
                        + " n INT GENERATED ALWAYS AS (TRY_CAST(name AS INT)), PRIMARY KEY (id));");

        Catalog catalog = ScriptSource.of("scripts:db2:" + folder).read();

        assertThat(catalog.tables()).isEmpty();
        assertThat(catalog.schemas().stream().flatMap(s -> s.codeObjects().stream()))
                .singleElement()
                .returns(ObjectKind.STATEMENT, CodeObject::kind);
    }

    @Test
    void whatAnIndexSaysOfTheOrderOfItsValuesIsKept() throws IOException {
        Files.writeString(
                folder.resolve("lamp.sql"),
                "CREATE TABLE lamp (id int, name text, data jsonb);"
                        + " CREATE INDEX ix_data ON lamp USING gin (data jsonb_path_ops);"
                        + " CREATE INDEX ix_name ON lamp (lower(name) text_pattern_ops, id DESC NULLS LAST);");

        Catalog catalog = ScriptSource.of("scripts:postgresql:" + folder).read();

        assertThat(catalog.tables().findFirst().orElseThrow().physical())
                .containsExactly(
                        "index ix_data data: jsonb_path_ops",
                        "index ix_name part 1: text_pattern_ops",
                        "index ix_name id: NULLS LAST");
    }
}
