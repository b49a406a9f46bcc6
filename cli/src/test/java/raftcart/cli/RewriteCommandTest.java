package raftcart.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The command rewrite as users call it. */
class RewriteCommandTest {
    @TempDir
    private Path folder;

    private record Run(int code, String out, String err) {}

    private static Run run(String input, String... arguments) {
        PrintStream out = System.out;
        PrintStream err = System.err;
        InputStream in = System.in;
        ByteArrayOutputStream outBytes = new ByteArrayOutputStream();
        ByteArrayOutputStream errBytes = new ByteArrayOutputStream();
        try {
            System.setIn(new ByteArrayInputStream(input.getBytes(StandardCharsets.UTF_8)));
            System.setOut(new PrintStream(outBytes, true, StandardCharsets.UTF_8));
            System.setErr(new PrintStream(errBytes, true, StandardCharsets.UTF_8));
            int code = Main.run(arguments);
            System.out.flush();
            return new Run(code, outBytes.toString(StandardCharsets.UTF_8), errBytes.toString(StandardCharsets.UTF_8));
        } finally {
            System.setOut(out);
            System.setErr(err);
            System.setIn(in);
        }
    }

    @Test
    void standardInputGoesToStandardOutput() {
        Run run = run(
                "SELECT NVL(name, 'x') FROM star WHERE ROWNUM <= 3", "rewrite", "--from", "oracle", "--to", "mysql");
        assertThat(run.code()).isZero();
        assertThat(run.out()).isEqualTo("SELECT COALESCE(name, 'x') FROM star LIMIT 3\n");
        assertThat(run.err()).contains("1 statement(s): 0 as is, 1 adapted, 0 check, 0 by hand");
    }

    @Test
    void findingsNameFileLineAndColumn() throws IOException {
        Path file = Files.writeString(folder.resolve("a.sql"), "SELECT 1;\nSELECT own(1);\nSELEKT 2;\n");
        Run run = run("", "rewrite", "--from", "postgresql", "--to", "mysql", file.toString());
        assertThat(run.code()).isEqualTo(1);
        assertThat(run.err())
                .contains(file + ":2:8: RC0606 check: Function is not in the dictionary: own")
                .contains(
                        file + ":3:1: RC0601 by hand: Statement not understood: found 'SELEKT', expected a statement");
        assertThat(run.out()).contains("-- SELEKT 2").contains("SELECT own(1);");
    }

    @Test
    void aFolderIsMirroredAndItsTablesAreKnown() throws IOException {
        Files.createDirectories(folder.resolve("in/sub"));
        Files.writeString(folder.resolve("in/1.sql"), "CREATE TABLE star (id int PRIMARY KEY, shown tinyint(1));\n");
        Files.writeString(folder.resolve("in/sub/2.sql"), "INSERT INTO star VALUES (1, 1);\n");
        Files.writeString(folder.resolve("in/readme.md"), "not SQL");
        Path out = folder.resolve("out");
        Run run = run(
                "",
                "rewrite",
                "--from",
                "mysql",
                "--to",
                "postgresql",
                "-o",
                out.toString(),
                folder.resolve("in").toString());
        assertThat(run.code()).isZero();
        assertThat(Files.readString(out.resolve("sub/2.sql"))).isEqualTo("INSERT INTO star VALUES (1, TRUE);\n");
        assertThat(out.resolve("readme.md")).doesNotExist();
    }

    @Test
    void jsonIsOneDocument() throws IOException {
        Run run = run("SELECT a FROM t ORDER BY a", "rewrite", "--from", "mysql", "--to", "oracle", "--json");
        com.fasterxml.jackson.databind.JsonNode document =
                new com.fasterxml.jackson.databind.ObjectMapper().readTree(run.out());
        assertThat(document.at("/summary/adapted").asInt()).isEqualTo(1);
        assertThat(document.at("/statements/0/text").asText()).isEqualTo("SELECT a FROM t ORDER BY a NULLS FIRST");
        assertThat(document.at("/statements/0/findings/0/code").asText()).isEqualTo("RC0611");
    }

    @Test
    void rulesAddFunctionsTypesDialectsAndReplacements() throws IOException {
        Files.writeString(folder.resolve("functions.yaml"), "brightness: \"(magnitude number) number\"\n");
        Files.writeString(folder.resolve("functions-oracle.yaml"), "brightness: BRIGHT($magnitude)\n");
        Files.writeString(folder.resolve("functions-postgresql.yaml"), "brightness: \"POWER(2.512, -$magnitude)\"\n");
        Files.writeString(folder.resolve("types-oracle.yaml"), "read:\n  star_name: varchar 80\n");
        Files.writeString(
                folder.resolve("dialect-ridge.yaml"),
                "extends: postgresql\nfunctions:\n  lower: \"RIDGE_LOWER($text)\"\n");
        Files.writeString(
                folder.resolve("replace.yaml"),
                "- name: old table\n  find: OLD_STAR\n  replace: star\n  example: {before: \"a OLD_STAR 'OLD_STAR'\", after: \"a star 'OLD_STAR'\"}\n");
        String sql =
                "SELECT BRIGHT(m), LOWER(n) FROM OLD_STAR WHERE note = 'OLD_STAR';\nCREATE TABLE t (n STAR_NAME);\n";
        Run run = run(sql, "rewrite", "--rules", folder.toString(), "--from", "oracle", "--to", "ridge");
        assertThat(run.out())
                .isEqualTo("SELECT POWER(2.512, -m), RIDGE_LOWER(n) FROM star WHERE note = 'OLD_STAR';\n"
                        + "CREATE TABLE t (\n    n character varying(80)\n);\n");
        Run examples = run("", "rewrite", "--rules", folder.toString(), "--check-rules");
        assertThat(examples.code()).isZero();
        assertThat(examples.out()).contains("old table: ok").contains("1 rule(s), 0 failed");
    }

    @Test
    void wrongRulesNameFileAndLine() throws IOException {
        Files.writeString(folder.resolve("functions-oracle.yaml"), "lower: LOWER($text)\nupper: UPPER($txt)\n");
        Run run =
                run("SELECT 1 FROM dual", "rewrite", "--rules", folder.toString(), "--from", "oracle", "--to", "mysql");
        assertThat(run.code()).isEqualTo(2);
        assertThat(run.err()).contains("functions-oracle.yaml:2: $txt is not a parameter of upper");
        Files.delete(folder.resolve("functions-oracle.yaml"));
        Files.writeString(folder.resolve("replace.yaml"), "- {find: a, replace: b, example: {source: a, after: b}}\n");
        Run rules = run("", "rewrite", "--rules", folder.toString(), "--check-rules");
        assertThat(rules.code()).isEqualTo(2);
        assertThat(rules.err()).contains("an example has no key source; it has after, before");
    }

    @Test
    void whatIsNoTextIsSaidSo() throws IOException {
        Path binary = Files.write(folder.resolve("b.sql"), new byte[] {'a', 0, 'b'});
        Path latin =
                Files.write(folder.resolve("l.sql"), "SELECT 1;\nSELECT 'é';\n".getBytes(StandardCharsets.ISO_8859_1));
        Run run = run("", "rewrite", "--from", "mysql", "--to", "oracle", binary.toString(), latin.toString());
        assertThat(run.code()).isEqualTo(1);
        assertThat(run.err())
                .contains("b.sql:1:1: RC0601")
                .contains("byte 2 is zero")
                .contains("l.sql:2:9: RC0601")
                .contains("--encoding");
        assertThat(run.out())
                .contains("-- RC0601 by hand: the rest of " + latin + " is missing here; line 2, column 9");
    }
}
