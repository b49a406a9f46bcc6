package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.catalog.Catalog;
import raftcart.catalog.Column;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Index;
import raftcart.catalog.Key;
import raftcart.catalog.KeyPart;
import raftcart.catalog.Table;
import raftcart.engine.EngineSession;
import raftcart.engine.Engines;
import raftcart.finding.Finding;

/** A schema that goes from PostgreSQL to MariaDB and back is the same, but for what the findings said on the way. */
class CatalogRoundTripTest {
    private static final String[] SCHEMA = {
        "CREATE TYPE band AS ENUM ('red', 'blue')",
        "CREATE SEQUENCE plate_number START 500 INCREMENT 5",
        "CREATE TABLE site (id integer GENERATED ALWAYS AS IDENTITY (START WITH 10) PRIMARY KEY, code char(3) NOT NULL UNIQUE,"
                + " name varchar(60) NOT NULL DEFAULT 'dome', height numeric(7,2) CHECK (height > -500), latitude double precision,"
                + " shift real, open boolean NOT NULL DEFAULT true, note text, picture bytea, badge uuid, mask bit(8))",
        "COMMENT ON TABLE site IS 'where the domes stand'",
        "COMMENT ON COLUMN site.height IS 'metres'",
        "CREATE TABLE night (site_id integer NOT NULL REFERENCES site ON DELETE CASCADE, began date NOT NULL,"
                + " opened time, changed timestamp(3) DEFAULT CURRENT_TIMESTAMP, until timestamptz, weather jsonb,"
                + " sky band NOT NULL DEFAULT 'red', small smallint, big bigint DEFAULT 7, PRIMARY KEY (site_id, began))",
        "CREATE TABLE exposure (id bigint PRIMARY KEY, site_id integer, began date, seconds numeric(6,3),"
                + " kept numeric(8,3) GENERATED ALWAYS AS (seconds * 2) STORED, tags text[], lasted interval,"
                + " plate bigint NOT NULL DEFAULT nextval('plate_number'),"
                + " CONSTRAINT of_night FOREIGN KEY (site_id, began) REFERENCES night (site_id, began)"
                + " ON UPDATE CASCADE ON DELETE SET NULL)",
        "CREATE DOMAIN percent AS smallint CHECK (VALUE BETWEEN 0 AND 100)",
        "CREATE TABLE remark (id integer PRIMARY KEY, site_id integer, began date, moon percent, text varchar(40),"
                + " CONSTRAINT remark_night FOREIGN KEY (site_id, began) REFERENCES night MATCH FULL)",
        "CREATE INDEX remark_text ON remark USING hash (text)",
        "CREATE INDEX exposure_seconds ON exposure (seconds DESC, plate)",
        "CREATE UNIQUE INDEX exposure_plate ON exposure (plate)",
        "CREATE INDEX exposure_lower ON site (lower(name))",
        "CREATE INDEX exposure_long ON exposure (plate) WHERE seconds > 100"
    };

    @TempDir
    Path folder;

    private static Catalog read(Databases database) {
        try (EngineSession session = Engines.open(database.endpoint())) {
            return session.readCatalog();
        }
    }

    /** Every fact of a catalog on a line of its own, beginning with the object to which it belongs. */
    private static TreeMap<String, String> facts(Catalog catalog) {
        TreeMap<String, String> facts = new TreeMap<>();
        catalog.tables().forEach(t -> {
            String table = t.name().name();
            facts.put(table + " comment", t.comment());
            facts.put(
                    table + " primary key",
                    t.primaryKey().map(CatalogRoundTripTest::parts).orElse("none"));
            facts.put(table + " unique keys", uniqueness(t));
            t.columns().forEach(c -> column(table + "." + c.name(), c, facts));
            t.foreignKeys().forEach(k -> facts.put(table + " foreign key " + k.columns(), reference(k)));
            t.indexes().stream()
                    .filter(i -> !i.unique())
                    .forEach(i -> facts.put(table + " index " + i.name(), index(i)));
            facts.put(table + " checks", "" + t.checks().size());
        });
        catalog.schemas().forEach(s -> s.sequences()
                .forEach(q -> facts.put("sequence " + q.name().name(), q.next() + " by " + q.increment())));
        return facts;
    }

    private static void column(String name, Column column, TreeMap<String, String> facts) {
        facts.put(name + " type", column.type().toString());
        facts.put(name + " nullable", "" + column.nullable());
        facts.put(name + " default", column.defaultValue().orElse("none").replaceAll("::[a-z ]+", ""));
        facts.put(name + " numbered", "" + column.identity().isPresent());
        facts.put(name + " computed", "" + column.generated().isPresent());
        facts.put(name + " comment", column.comment());
    }

    private static String parts(Key key) {
        return key.parts().stream().map(CatalogRoundTripTest::part).collect(Collectors.joining(", "));
    }

    private static String part(KeyPart part) {
        return (part.isExpression() ? part.expression() : part.column()) + (part.descending() ? " down" : "");
    }

    /** Unique keys and unique indexes are one on the way. */
    private static String uniqueness(Table table) {
        Set<String> keys = new TreeSet<>();
        table.uniqueKeys().forEach(k -> keys.add(parts(k)));
        table.indexes().stream()
                .filter(Index::unique)
                .forEach(i -> keys.add(
                        i.parts().stream().map(CatalogRoundTripTest::part).collect(Collectors.joining(", "))));
        return keys.toString();
    }

    private static String reference(ForeignKey key) {
        return key.target().name() + key.targetColumns() + " " + key.onDelete() + " " + key.onUpdate();
    }

    private static String index(Index index) {
        return index.parts().stream().map(CatalogRoundTripTest::part).collect(Collectors.joining(", ")) + " where "
                + index.predicate();
    }

    @Test
    void whatDiffersInTheEndWasSaidOnTheWay() throws Exception {
        Databases origin = Databases.postgresql();
        origin.run(SCHEMA);
        Databases middle = Databases.mariadb();
        Databases end = Databases.postgresql();
        List<Finding> said = new ArrayList<>();
        said.addAll(MigrationRun.of(folder.resolve("there"), origin.endpoint(), middle.endpoint())
                .translated
                .findings());
        said.addAll(MigrationRun.of(folder.resolve("back"), middle.endpoint(), end.endpoint())
                .translated
                .findings());
        TreeMap<String, String> before = facts(read(origin));
        TreeMap<String, String> after = facts(read(end));
        Set<String> keys = new TreeSet<>(before.keySet());
        keys.addAll(after.keySet());
        List<String> unsaid = new ArrayList<>();
        int same = 0;
        for (String key : keys) {
            String was = before.getOrDefault(key, "not there");
            String is = after.getOrDefault(key, "not there");
            String object = key.replaceFirst(" .*", "");
            boolean found = said.stream()
                    .anyMatch(f -> f.object().endsWith("." + object)
                            || key.contains(" index ") && f.object().endsWith(key.replaceFirst(".* ", ""))
                            || key.endsWith(" checks") && f.object().contains(object));
            // MariaDB makes an index for a foreign key, under its name.
            boolean ofKey = key.matches(".* index (of|remark)_night") && was.equals("not there");
            if (was.equals(is)) {
                same++;
            } else if (!found && !ofKey) {
                unsaid.add(key + ": " + was + " -> " + is);
            }
        }
        assertThat(unsaid).isEmpty();
        assertThat(same).isGreaterThan(150);
    }
}
