package raftcart.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Random;

/** Makes scripts of any length: tables, rows, changes and queries of an observatory, the same for the same seed. */
final class MixedScript {
    private static final String[] BANDS = {"U", "B", "V", "R", "I"};

    private final Random random = new Random(20_260);
    private int tables;

    private MixedScript() {}

    /** A script of at least so many characters. */
    static String ofLength(int characters) {
        StringBuilder text = new StringBuilder(characters + 4096);
        MixedScript script = new MixedScript();
        while (text.length() < characters) {
            script.table(text);
            for (int i = 0; i < 60; i++) {
                script.rows(text, 8);
                if (i % 3 == 0) {
                    script.query(text);
                    script.change(text);
                }
            }
        }
        return text.toString();
    }

    /** Writes a dump of rows, statement by statement, until it has so many characters. */
    static void dump(Appendable out, long characters) {
        MixedScript script = new MixedScript();
        StringBuilder text = new StringBuilder();
        script.table(text);
        try {
            long written = 0;
            while (written < characters) {
                script.rows(text, 500);
                written += text.length();
                out.append(text);
                text.setLength(0);
            }
        } catch (IOException e) {
            throw new UncheckedIOException("the dump cannot be written", e);
        }
    }

    private void table(StringBuilder text) {
        tables++;
        text.append("CREATE TABLE `frame_")
                .append(tables)
                .append("` (\n  `frame_id` int unsigned NOT NULL AUTO_INCREMENT,\n  `title` varchar(80) NOT NULL,\n")
                .append(
                        "  `band` enum('U','B','V','R','I') NOT NULL DEFAULT 'V',\n  `flux` decimal(9,3) DEFAULT '0.000',\n")
                .append(
                        "  `taken` datetime NOT NULL DEFAULT CURRENT_TIMESTAMP,\n  `good` tinyint(1) NOT NULL DEFAULT '1',\n")
                .append("  PRIMARY KEY (`frame_id`),\n  KEY `by_band_")
                .append(tables)
                .append("` (`band`,`taken`)\n) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;\n");
    }

    private void rows(StringBuilder text, int count) {
        text.append("INSERT INTO `frame_")
                .append(tables)
                .append("` (`title`, `band`, `flux`, `taken`, `good`) VALUES ");
        for (int i = 0; i < count; i++) {
            text.append(i == 0 ? "" : ",")
                    .append("('field ")
                    .append(random.nextInt(10_000))
                    .append(" of the ridge''s survey', '")
                    .append(BANDS[random.nextInt(BANDS.length)])
                    .append("', ")
                    .append(random.nextInt(900_000) / 1000.0)
                    .append(", '2026-0")
                    .append(1 + random.nextInt(9))
                    .append("-1")
                    .append(random.nextInt(10))
                    .append(" 22:1")
                    .append(random.nextInt(10))
                    .append(":00', ")
                    .append(random.nextInt(2))
                    .append(')');
        }
        text.append(";\n");
    }

    private void query(StringBuilder text) {
        text.append("SELECT f.band, IFNULL(f.title, 'none') AS title, COUNT(*), GROUP_CONCAT(f.title ORDER BY f.taken")
                .append(" SEPARATOR '; ') FROM `frame_")
                .append(tables)
                .append("` f WHERE f.good AND f.taken >= DATE_SUB(NOW(), INTERVAL ")
                .append(1 + random.nextInt(30))
                .append(" DAY) AND (f.flux > ")
                .append(random.nextInt(500))
                .append(" OR f.title LIKE '%ridge%') GROUP BY f.band, f.title ORDER BY 3 DESC LIMIT 10, 20;\n");
    }

    private void change(StringBuilder text) {
        text.append("UPDATE `frame_")
                .append(tables)
                .append(
                        "` SET flux = ROUND(flux * 1.02, 3), title = CONCAT(title, ' *') WHERE band = 'V' AND frame_id = ")
                .append(random.nextInt(100_000))
                .append(";\n");
    }
}
