package raftcart.cli.startup;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import raftcart.cli.Main;
import raftcart.dialect.Languages;

/**
 * Runs a few short commands in one process, so that the launcher can archive the classes that they load and later
 * commands start faster (class-data sharing).
 */
public final class StartupTraining {
    private static final String SQL = "CREATE TABLE star (id int AUTO_INCREMENT PRIMARY KEY, name varchar(9));"
            + "INSERT INTO star (name) VALUES ('a');"
            + "SELECT IFNULL(name, 'x'), DATE_ADD(NOW(), INTERVAL 1 DAY) FROM star s LEFT JOIN star t ON s.id = t.id"
            + " WHERE s.id IN (1, 2) GROUP BY name ORDER BY name LIMIT 3; UPDATE star SET name = 'b'; nonsense;"
            + "DELETE FROM star WHERE EXISTS (SELECT 1 FROM star t WHERE t.id + 1 > star.id AND t.name LIKE 'a%');"
            + "SELECT id, CASE WHEN MAX(name) IS NULL THEN 0 ELSE COUNT(DISTINCT name) END, SUBSTRING(name, 1, 2),"
            + " CAST(id AS varchar(9)), ROW_NUMBER() OVER (ORDER BY id DESC) FROM (SELECT * FROM star) s WHERE id / 2 > 1"
            + " GROUP BY id HAVING COUNT(*) > 1 UNION ALL SELECT 1, 2, 'a' || 'b', NULL, 5;"
            + "ALTER TABLE star ADD CONSTRAINT star_name UNIQUE (name); CREATE VIEW v AS SELECT * FROM star;";
    private static final String OLD_PAGING =
            "SELECT NVL(a, 1), DECODE(a, 1, 'x', TO_CHAR(SYSDATE, 'YYYY')) FROM star t,"
                    + " dual WHERE t.id = dual.x (+) AND rownum < 3;";

    private StartupTraining() {}

    /** Runs the commands; what they print does not matter. */
    public static void main(String[] arguments) {
        List.of("engines", "engines --json", "explain RC0101", "status -C nowhere", "--help", "run --nonsense")
                .forEach(line -> Main.run(line.split(" ")));
        for (String dialect : Languages.names()) {
            rewrite("--from " + dialect + " --to postgresql -");
            rewrite("--from mysql --to " + dialect + " --explain");
            rewrite("--from oracle --to " + dialect);
        }
    }

    private static void rewrite(String options) {
        System.setIn(new ByteArrayInputStream((SQL + OLD_PAGING).getBytes(StandardCharsets.UTF_8)));
        Main.run(("rewrite " + options).split(" "));
    }
}
