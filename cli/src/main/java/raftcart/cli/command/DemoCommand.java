package raftcart.cli.command;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Comparator;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import raftcart.cli.ExitCode;
import raftcart.cli.Logs;
import raftcart.cli.terminal.Console;
import raftcart.cli.terminal.Style;
import raftcart.demo.observatory.Observatory;
import raftcart.demo.servers.EmbeddedMariaDb;
import raftcart.demo.servers.EmbeddedPostgreSql;
import raftcart.error.ConnectException;
import raftcart.error.PlanException;
import raftcart.migration.Migration;
import raftcart.migration.VerifyStage;
import raftcart.verify.TableVerdict;
import raftcart.workspace.Json;
import raftcart.workspace.Workspace;

/** Shows a whole migration on servers of its own. */
@Command(
        name = "demo",
        description = {
            "Show a whole migration on servers of its own.",
            "Starts a MariaDB and a PostgreSQL server, makes the demo database in the first, moves it to the second "
                    + "and compares both. Nothing is left behind unless --keep is given."
        })
final class DemoCommand implements Callable<Integer>, CommonOptions.Holder {
    private static final String DATABASE = "kestrel_ridge";

    @Mixin
    private CommonOptions common;

    @Option(names = "--keep", paramLabel = "DIR", description = "Keep the folder of the migration here.")
    private Path keep;

    @Option(
            names = "--scale",
            paramLabel = "X",
            defaultValue = "1",
            description = "Size of the database; 1 is 150,000 exposures (default: ${DEFAULT-VALUE}).")
    private double scale;

    @Override
    public CommonOptions common() {
        return common;
    }

    @Override
    public Integer call() throws IOException, SQLException {
        if (!(scale > 0) || scale > 1000) {
            throw new PlanException("--scale is " + scale + " but must be above 0 and at most 1000", null);
        }
        Console console = common.console();
        Path folder = keep == null ? Files.createTempDirectory("raftcart-demo-") : keep;
        Logs.to(folder.resolve("journal/raftcart.log"), false);
        try {
            return run(console, folder);
        } finally {
            if (keep == null) {
                remove(folder);
            }
        }
    }

    private int run(Console console, Path folder) throws SQLException {
        console.message("Starting a MariaDB and a PostgreSQL server ...");
        try (EmbeddedMariaDb mariadb = EmbeddedMariaDb.start();
                EmbeddedPostgreSql postgresql = EmbeddedPostgreSql.start()) {
            console.message("Making the database of Kestrel Ridge Observatory in MariaDB ...");
            mariadb.createDatabase(DATABASE);
            postgresql.createDatabase(DATABASE);
            try (Connection connection = mariadb.connect(DATABASE)) {
                new Observatory(scale).createOnMariaDb(connection);
            }
            PlanWriter writer = new PlanWriter(mariadb.endpoint(DATABASE), postgresql.endpoint(DATABASE));
            Migration migration = new Migration(Workspace.create(folder, writer.text()));
            console.message("");
            StageRunner runner = new StageRunner(console, migration);
            runner.runAll();
            proveTheProof(console, migration, postgresql);
            if (keep != null) {
                console.line("The migration's folder is " + keep + ": plan, scripts, by-hand/, journal, reports.");
            }
            if (console.isJson()) {
                console.print(Json.pretty(runner.document()));
            }
            return ExitCode.of(runner.needsPerson());
        } catch (UncheckedIOException e) {
            throw new ConnectException(
                    "a server for the demo could not be started: "
                            + e.getCause().getMessage(),
                    "The log in the folder of --keep says more. Set TMPDIR to a folder with 500 MB of room.",
                    e);
        }
    }

    /** A proof that cannot fail is none: one value is changed on the target, and the comparison has to find it. */
    private static void proveTheProof(Console console, Migration migration, EmbeddedPostgreSql postgresql)
            throws SQLException {
        change(postgresql, "+ 0.001");
        VerifyStage.Result result = VerifyStage.run(migration, verdict -> {});
        console.line("");
        console.line("As a test of the proof, `seconds` of one exposure was now made 0.001 greater in PostgreSQL:");
        for (TableVerdict verdict : result.tables()) {
            if (!verdict.same()) {
                console.line("  verify: " + console.paint(Style.BAD, verdict.target() + " differs") + " in "
                        + String.join(", ", verdict.differingColumns()));
            }
        }
        change(postgresql, "- 0.001");
        boolean same = VerifyStage.run(migration, verdict -> {}).same();
        console.line("and when it was put back:");
        console.line("  verify: "
                + (same ? console.paint(Style.GOOD, "all the same again") : console.paint(Style.BAD, "tables differ")));
        console.line("");
    }

    private static void change(EmbeddedPostgreSql postgresql, String change) throws SQLException {
        try (Connection connection = postgresql.connect(DATABASE);
                var statement = connection.createStatement()) {
            statement.execute("UPDATE exposures SET seconds = seconds " + change + " WHERE id = 7");
        }
    }

    private static void remove(Path folder) {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(file);
            }
        } catch (IOException e) {
            throw new UncheckedIOException("the demo's folder " + folder + " could not be removed", e);
        }
    }
}
