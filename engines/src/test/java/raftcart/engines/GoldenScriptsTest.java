package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.demo.observatory.Observatory;
import raftcart.migration.Migration;
import raftcart.migration.SurveyStage;
import raftcart.migration.TranslateStage;
import raftcart.sql.ScriptSplitter;

/**
 * All scripts and by-hand files of the observatory, in both directions, compared with files that people can read.
 * {@code -Dgolden.update=true} rewrites those files; the difference is then for a reviewer to judge.
 */
class GoldenScriptsTest {
    private static final Path GOLDEN = Path.of("src/test/resources/raftcart/engines/golden");

    @TempDir
    Path folder;

    @Test
    void theScriptsAreThoseThatWereReviewed() throws Exception {
        Databases origin = Databases.mariadb();
        Databases middle = Databases.postgresql();
        Databases end = Databases.mariadb();
        try (Connection connection = origin.connect()) {
            new Observatory(0.001).createOnMariaDb(connection);
        }
        MigrationRun there = MigrationRun.of(folder.resolve("there"), origin.endpoint(), middle.endpoint());
        compare("mariadb-postgresql.sql", there.migration, origin, middle);

        Migration back = translated("back", middle, end);
        compare("postgresql-mariadb.sql", back, middle, end);
    }

    @Test
    void translatingTwiceGivesTheSameFiles() throws Exception {
        Databases origin = Databases.mariadb();
        Databases target = Databases.postgresql();
        OddSchemasTest.run(origin, "odd", "mariadb");
        Migration migration = translated("twice", origin, target);
        String first = everything(migration);
        SurveyStage.run(migration);
        TranslateStage.run(migration);
        assertThat(everything(migration)).isEqualTo(first);
    }

    @Test
    void everyScriptSplitsIntoStatementsThatHoldNoComment() throws Exception {
        Databases origin = Databases.mariadb();
        try (Connection connection = origin.connect()) {
            new Observatory(0.001).createOnMariaDb(connection);
        }
        Databases target = Databases.postgresql();
        Migration migration = translated("split", origin, target);
        try (Stream<Path> files = Files.walk(migration.workspace().path("target"))) {
            for (Path file : files.filter(f -> f.toString().endsWith(".sql")).toList()) {
                assertThat(ScriptSplitter.split(
                                Files.readString(file),
                                raftcart.dialect.postgresql.PgDialect.create()
                                        .grammar()
                                        .lexical()))
                        .isNotEmpty()
                        .allMatch(s -> s.matches("(?s)(CREATE|ALTER|COMMENT) .*"));
            }
        }
    }

    private Migration translated(String name, Databases source, Databases target) {
        Migration migration = MigrationRun.migration(folder.resolve(name), source.endpoint(), target.endpoint(), "");
        SurveyStage.run(migration);
        TranslateStage.run(migration);
        return migration;
    }

    private static String everything(Migration migration) throws IOException {
        try (Stream<Path> files = Files.walk(migration.workspace().folder())) {
            return files.filter(f -> f.toString().endsWith(".sql"))
                    .sorted()
                    .map(f -> "==== " + migration.workspace().folder().relativize(f) + "\n" + text(f))
                    .collect(Collectors.joining("\n"));
        }
    }

    private static String text(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void compare(String name, Migration migration, Databases source, Databases target)
            throws IOException {
        String actual = everything(migration)
                .replace(source.name(), "kestrel_ridge")
                .replace(target.name(), "observatory")
                .replaceAll("DEFINER=`[^`]*`@`[^`]*`", "DEFINER=`somebody`@`somewhere`")
                .replaceAll("STARTS '[^']*'", "STARTS 'then'")
                .replaceAll("-[0-9a-f]{8}\\.sql", "-HASH.sql");
        Path golden = GOLDEN.resolve(name);
        if (Boolean.getBoolean("golden.update")) {
            Files.createDirectories(GOLDEN);
            Files.writeString(golden, actual);
        }
        assertThat(actual).isEqualTo(Files.readString(golden));
    }
}
