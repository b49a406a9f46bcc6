package raftcart.cli;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import raftcart.dialect.Languages;

/**
 * Runs a few short commands in one process, so that the launcher can archive the classes that they load and later
 * commands start faster (class-data sharing).
 */
public final class StartupTraining {
    private static final String SQL = "CREATE TABLE star (id int AUTO_INCREMENT PRIMARY KEY, name varchar(9));"
            + "INSERT INTO star (name) VALUES ('a');"
            + "SELECT IFNULL(name, 'x'), DATE_ADD(NOW(), INTERVAL 1 DAY) FROM star s LEFT JOIN star t ON s.id = t.id"
            + " WHERE s.id IN (1, 2) GROUP BY name ORDER BY name LIMIT 3; UPDATE star SET name = 'b'; nonsense;";

    private StartupTraining() {}

    /** Runs the commands; what they print does not matter. */
    public static void main(String[] arguments) {
        List.of("engines", "engines --json", "explain RC0101", "status -C nowhere", "--help", "run --nonsense")
                .forEach(line -> Main.run(line.split(" ")));
        for (String dialect : Languages.names()) {
            rewrite("--from " + dialect + " --to postgresql -");
            rewrite("--from mysql --to " + dialect + " --explain");
        }
    }

    private static void rewrite(String options) {
        System.setIn(new ByteArrayInputStream(SQL.getBytes(StandardCharsets.UTF_8)));
        Main.run(("rewrite " + options).split(" "));
    }
}
