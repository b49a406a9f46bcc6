package raftcart.sql.script;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.FilterReader;
import java.io.IOException;
import java.io.Reader;
import java.io.StringReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import raftcart.dialect.Language;
import raftcart.dialect.Languages;

/** Scripts are cut where their client would cut them, however the text comes in. */
class ScriptReaderTest {
    private static final Path CORPUS = Path.of("src/test/resources/raftcart/rewrite/golden");

    /** Gives at most so many characters at a time. */
    private static final class Trickle extends FilterReader {
        private final int most;

        Trickle(String text, int most) {
            super(new StringReader(text));
            this.most = most;
        }

        @Override
        public int read(char[] buffer, int offset, int length) throws IOException {
            return super.read(buffer, offset, Math.min(length, most));
        }
    }

    private static List<Piece> pieces(String dialect, Reader in) throws IOException {
        Language language = Languages.named(dialect).orElseThrow();
        ScriptReader reader = new ScriptReader(in, language.grammar().lexical(), language.scripts());
        List<Piece> pieces = new ArrayList<>();
        for (Optional<Piece> next = reader.next(); next.isPresent(); next = reader.next()) {
            pieces.add(next.get());
        }
        return pieces;
    }

    private static List<String> statements(String dialect, String script) throws IOException {
        return pieces(dialect, new StringReader(script)).stream()
                .filter(p -> p.kind() == Piece.Kind.STATEMENT)
                .map(Piece::text)
                .toList();
    }

    private static List<Path> corpus() throws IOException {
        try (Stream<Path> files = Files.list(CORPUS)) {
            return files.filter(f -> f.getFileName().toString().matches("[a-z0-9]+-[a-z0-9]+\\.sql"))
                    .sorted()
                    .toList();
        }
    }

    @ParameterizedTest
    @MethodSource("corpus")
    void theSamePiecesHoweverTheTextComesIn(Path file) throws IOException {
        String dialect = file.getFileName().toString().replaceFirst("-.*", "");
        String text = Files.readString(file);
        List<Piece> whole = pieces(dialect, new StringReader(text));
        for (int most : new int[] {1, 2, 7, 4096}) {
            assertThat(pieces(dialect, new Trickle(text, most))).isEqualTo(whole);
        }
    }

    /** Separators, lines of the client and data apart, nothing of the text is lost. */
    @ParameterizedTest
    @MethodSource("corpus")
    void everyPieceStandsInTheTextAtItsLine(Path file) throws IOException {
        String dialect = file.getFileName().toString().replaceFirst("-.*", "");
        String text = Files.readString(file);
        List<String> lines = text.lines().toList();
        int at = 0;
        for (Piece piece : pieces(dialect, new StringReader(text))) {
            int found = text.indexOf(piece.text(), at);
            assertThat(found).as(piece.toString()).isGreaterThanOrEqualTo(at);
            assertThat(text.substring(at, found)).matches("(?s)[;@^$/\\s]{0,3}|.*\\\\\\.\\s*");
            at = found + piece.text().length();
            String first = piece.text().lines().findFirst().orElse("");
            assertThat(lines.get(piece.line() - 1).substring(piece.column() - 1))
                    .startsWith(first);
        }
    }

    @Test
    void separatorsInsideOfTextsAndCommentsDoNotCount() throws IOException {
        assertThat(statements("postgresql", "SELECT ';', \"a;b\", $x$;$x$ /* ; */ -- ;\n, 1; SELECT 2"))
                .containsExactly("SELECT ';', \"a;b\", $x$;$x$ /* ; */ -- ;\n, 1", "SELECT 2");
        assertThat(statements("oracle", "SELECT q'[it's; so]' FROM dual; SELECT 2 FROM dual;"))
                .containsExactly("SELECT q'[it's; so]' FROM dual", "SELECT 2 FROM dual");
        String late = "SELECT '" + "x".repeat(500) + "', q'[it's; so]' FROM dual";
        assertThat(statements("oracle", late + "; SELECT nq'{it's; so}' FROM dual; SELECT 3 FROM dual;"))
                .containsExactly(late, "SELECT nq'{it's; so}' FROM dual", "SELECT 3 FROM dual");
        assertThat(statements("oracle", "BEGIN p(q'[it's; end;]'); END;\n/\nSELECT 2 FROM dual;"))
                .containsExactly("BEGIN p(q'[it's; end;]'); END;\n", "SELECT 2 FROM dual");
        assertThat(statements("sqlite", "SELECT [it's; so] FROM t; SELECT 2"))
                .containsExactly("SELECT [it's; so] FROM t", "SELECT 2");
        assertThat(statements("mysql", "SELECT 'a\\';b'; SELECT `c;d`"))
                .containsExactly("SELECT 'a\\';b'", "SELECT `c;d`");
    }

    @Test
    void routinesStayWhole() throws IOException {
        assertThat(statements(
                        "mysql",
                        "DELIMITER //\nCREATE PROCEDURE p() BEGIN SELECT 1; SELECT 2; END//\nDELIMITER ;\nSELECT 3;"))
                .containsExactly("CREATE PROCEDURE p() BEGIN SELECT 1; SELECT 2; END", "SELECT 3");
        assertThat(statements("oracle", "CREATE OR REPLACE PROCEDURE p IS BEGIN NULL; END;\n/\nSELECT 1 FROM dual;"))
                .hasSize(2)
                .last()
                .isEqualTo("SELECT 1 FROM dual");
        assertThat(statements("sqlite", "CREATE TRIGGER t AFTER INSERT ON a BEGIN DELETE FROM b; END; SELECT 1;"))
                .hasSize(2);
        assertThat(statements("teradata", "CREATE MACRO m AS (SELECT 1; SELECT 2;); SELECT 3;"))
                .hasSize(2);
        assertThat(statements("sqlserver", "CREATE PROC p AS SELECT 1; SELECT 2\nGO\nSELECT 3\ngo 5\nSELECT 4"))
                .hasSize(3);
        assertThat(statements("firebird", "SET TERM ^ ;\nCREATE TRIGGER t AS BEGIN a; END ^\nSET TERM ; ^\nSELECT 1;"))
                .hasSize(2);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "IF n > 1 THEN IF n > 2 THEN SELECT 1; ELSE SELECT IF(n > 3, 2, 3); END IF; ELSEIF n < 0 THEN SELECT 4; END IF",
                "WHILE n > 1 DO SET n = n - 1; WHILE n < 0 DO SET n = 1; END WHILE; END WHILE",
                "FOR EACH ROW FOR v AS SELECT id FROM a DO SELECT 1; FOR UPDATE; END FOR",
                "REPEAT SET n = REPEAT('x', 2); again: LOOP LEAVE again; END LOOP; UNTIL n > 4 END REPEAT",
                "around: LOOP IF n > 3 THEN LEAVE around; END IF; SET n = CASE WHEN n = 1 THEN 2 ELSE 3 END; END LOOP around",
                "CASE n WHEN 1 THEN SELECT 1; ELSE IF n > 2 THEN SELECT 2; END IF; END CASE",
                "RETURN CASE WHEN n > 1 THEN IF(n > 2, 'a', 'b') WHEN n > 0 THEN REPEAT('x', 3) END"
            })
    void aBodyWithoutABlockStaysWhole(String body) throws IOException {
        String routine = "CREATE PROCEDURE p (n INT) " + body;
        assertThat(statements("db2", routine + ";\nSELECT 1;")).containsExactly(routine, "SELECT 1");
    }

    @Test
    void separatorsThatTheClientGotAtItsStart() throws IOException {
        String named =
                "CREATE TABLE a (x INT);\n--#SET TERMINATOR @\nSELECT 1; SELECT 2@\n--#SET TERMINATOR ;\nSELECT 3;";
        assertThat(statements("db2", named))
                .containsExactly("CREATE TABLE a (x INT)", "SELECT 1; SELECT 2", "SELECT 3");
        String unnamed = "CREATE PROCEDURE p() BEGIN SELECT a@b; END@\nIF 1 = 1 THEN SELECT 1; END IF @\nSELECT 2\n@";
        assertThat(statements("db2", unnamed))
                .containsExactly(
                        "CREATE PROCEDURE p() BEGIN SELECT a@b; END", "IF 1 = 1 THEN SELECT 1; END IF ", "SELECT 2\n");
    }

    @Test
    void aLongTextInsideOfARoutineIsATextLikeAnother() throws IOException {
        String text = "'" + "it''s; ".repeat(20_000) + "'";
        String routine = "CREATE FUNCTION f() BEGIN SELECT " + text + "; SELECT 2; END";
        assertThat(statements("db2", routine + "; SELECT 3;"))
                .hasSize(2)
                .first()
                .isEqualTo(routine);
    }

    @Test
    void aLongInsertIsCutBetweenRows() throws IOException {
        StringBuilder script = new StringBuilder("INSERT INTO star (id, name) VALUES ");
        for (int i = 0; i < 40_000; i++) {
            script.append(i == 0 ? "" : ", ").append("(").append(i).append(", 'a), (b')");
        }
        List<Piece> pieces = pieces("mysql", new StringReader(script + "; SELECT 1;"));
        List<Piece> rows = pieces.stream()
                .filter(p -> p.kind() == Piece.Kind.ROWS || p.text().startsWith("INSERT"))
                .toList();
        assertThat(rows).hasSizeGreaterThan(2).allMatch(p -> p.text().startsWith("INSERT INTO star (id, name) VALUES"));
        long values = rows.stream()
                .mapToLong(p -> p.text().split("'a\\), \\(b'", -1).length - 1)
                .sum();
        assertThat(values).isEqualTo(40_000);
        assertThat(pieces.get(pieces.size() - 1).text()).isEqualTo("SELECT 1");
    }

    @Test
    void linesOfDataEndWhereTheySay() throws IOException {
        List<Piece> pieces = pieces(
                "postgresql", new StringReader("COPY star (id, name) FROM stdin;\n1\ta;b\n2\t\\N\n\\.\nSELECT 1;"));
        assertThat(pieces).extracting(Piece::kind).contains(Piece.Kind.DATA);
        assertThat(pieces.get(1).text()).isEqualTo("1\ta;b\n2\t\\N\n");
        assertThat(pieces.get(pieces.size() - 1).text()).isEqualTo("SELECT 1");
    }
}
