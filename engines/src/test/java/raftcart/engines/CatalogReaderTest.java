package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.math.BigInteger;
import java.sql.Connection;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import raftcart.catalog.Catalog;
import raftcart.catalog.CodeObject;
import raftcart.catalog.Column;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Generated;
import raftcart.catalog.Identity;
import raftcart.catalog.Index;
import raftcart.catalog.Key;
import raftcart.catalog.KeyPart;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.catalog.ReferentialAction;
import raftcart.catalog.Schema;
import raftcart.catalog.Sequence;
import raftcart.catalog.Table;
import raftcart.demo.observatory.Observatory;
import raftcart.engine.EngineSession;
import raftcart.engine.Engines;
import raftcart.type.LogicalType;
import raftcart.workspace.Json;
import raftcart.workspace.JsonSchema;

/** What the readers find in a database, record by record. */
class CatalogReaderTest {
    /** The published schema of the file that keeps a catalog. */
    private static final com.networknt.schema.JsonSchema SCHEMA =
            JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(JsonSchema.CATALOG.text());

    static Catalog read(Databases database) {
        try (EngineSession session = Engines.open(database.endpoint())) {
            Catalog catalog = session.readCatalog();
            assertThat(SCHEMA.validate(Json.MAPPER.valueToTree(catalog))).isEmpty();
            return catalog;
        }
    }

    private static Table table(Catalog catalog, String name) {
        return catalog.tables()
                .filter(t -> t.name().name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static Column column(Catalog catalog, String table, String column) {
        return table(catalog, table).column(column).orElseThrow();
    }

    private static Databases observatory() throws Exception {
        Databases database = Databases.mariadb();
        try (Connection connection = database.connect()) {
            new Observatory(0.001).createOnMariaDb(connection);
        }
        return database;
    }

    @Test
    void mariaDbColumns() throws Exception {
        Databases database = observatory();
        Catalog catalog = read(database);
        assertThat(catalog.tables()).hasSize(17);
        assertThat(catalog.defaultSchema()).isEqualTo(database.name());
        assertThat(catalog.version()).startsWith("MariaDB ");

        assertThat(column(catalog, "astronomers", "login"))
                .returns(new LogicalType.Varchar(40), Column::type)
                .returns(true, Column::ignoresCase)
                .returns(false, Column::nullable);
        assertThat(column(catalog, "astronomers", "id").identity())
                .contains(new Identity(1, 1, false, BigInteger.valueOf(121)));
        assertThat(column(catalog, "astronomers", "is_staff"))
                .returns(new LogicalType.Bool(), Column::type)
                .returns(Optional.of("1"), Column::defaultValue);
        assertThat(column(catalog, "astronomers", "joined").comment()).isEqualTo("zero where nobody remembers");
        assertThat(column(catalog, "astronomers", "preferences"))
                .returns(new LogicalType.Json(false), Column::type)
                .returns(false, Column::ignoresCase);
        assertThat(column(catalog, "astronomers", "label").generated())
                .contains(new Generated("concat(`full_name`,' <',`login`,'>')", false, false));
        assertThat(column(catalog, "proposals", "changed_at").onUpdate()).contains("current_timestamp()");
        assertThat(column(catalog, "exposures", "frame_hash").type()).isEqualTo(new LogicalType.Int(64, true));
        assertThat(column(catalog, "nights", "dark_time").type()).isEqualTo(new LogicalType.Duration(3));
        assertThat(column(catalog, "telescopes", "features").type())
                .isEqualTo(new LogicalType.Members(List.of("tracking", "autoguider", "dome", "robotic")));
    }

    @Test
    void mariaDbKeysAndIndexes() throws Exception {
        Databases database = observatory();
        Catalog catalog = read(database);
        assertThat(table(catalog, "astronomers"))
                .returns("People who observe; everybody but the first has a mentor", Table::comment)
                .returns(Optional.of(new Key("PRIMARY", List.of(KeyPart.ofColumn("id")))), Table::primaryKey);
        assertThat(table(catalog, "filter_usage").primaryKey().orElseThrow().columns())
                .containsExactly("instrument_id", "filter_code", "since");
        assertThat(table(catalog, "weather_readings").primaryKey()).isEmpty();
        assertThat(table(catalog, "instruments").uniqueKeys())
                .containsExactly(new Key(
                        "instruments_name", List.of(KeyPart.ofColumn("telescope_id"), KeyPart.ofColumn("name"))));
        assertThat(table(catalog, "sky_targets").indexes())
                .extracting(Index::name, i -> i.parts().get(0).prefixLength())
                .contains(org.assertj.core.groups.Tuple.tuple("by_remarks", 20));
        assertThat(table(catalog, "exposures").indexes())
                .filteredOn(i -> i.name().equals("by_time"))
                .allMatch(i -> i.parts().get(0).descending());
        assertThat(table(catalog, "log_entries").indexes())
                .extracting(Index::method)
                .contains("fulltext");
        assertThat(table(catalog, "observations").foreignKeys())
                .contains(foreignKey(
                        database,
                        "observations_proposal",
                        "proposal_id",
                        "proposals",
                        ReferentialAction.CASCADE,
                        ReferentialAction.NO_ACTION))
                .contains(foreignKey(
                        database,
                        "observations_observer",
                        "observer_id",
                        "astronomers",
                        ReferentialAction.NO_ACTION,
                        ReferentialAction.CASCADE));
        assertThat(table(catalog, "calibrations").checks())
                .extracting(c -> c.name())
                .containsExactlyInAnyOrder("calibrations_kind", "calibrations_span");
    }

    private static ForeignKey foreignKey(
            Databases database,
            String name,
            String column,
            String target,
            ReferentialAction onDelete,
            ReferentialAction onUpdate) {
        return new ForeignKey(
                name,
                List.of(column),
                new ObjectName(database.name(), target),
                List.of("id"),
                onDelete,
                onUpdate,
                false,
                false,
                List.of());
    }

    @Test
    void mariaDbCodeAndSequences() throws Exception {
        Schema schema = read(observatory()).schemas().get(0);
        assertThat(schema.codeObjects())
                .extracting(CodeObject::kind)
                .containsOnlyOnce(ObjectKind.EVENT, ObjectKind.ROLE)
                .contains(
                        ObjectKind.VIEW,
                        ObjectKind.FUNCTION,
                        ObjectKind.PROCEDURE,
                        ObjectKind.TRIGGER,
                        ObjectKind.GRANT);
        assertThat(schema.codeObjects())
                .filteredOn(o -> o.name().name().equals("close_night"))
                .singleElement()
                .satisfies(o -> assertThat(o.source()).contains("IN closing DATE, OUT frames INT", "ROLLBACK;"));
        assertThat(schema.sequences())
                .filteredOn(s -> s.name().name().equals("ticket_number"))
                .singleElement()
                .returns(BigInteger.valueOf(5), Sequence::increment)
                .returns(BigInteger.valueOf(999_995), Sequence::maximum)
                .returns(true, Sequence::cycle);
        assertThat(schema.sequences())
                .filteredOn(s -> s.name().name().equals("plate_number"))
                .allMatch(s -> s.next().longValue() > 1060);
    }

    private static Catalog domes() throws Exception {
        Databases database = Databases.postgresql();
        database.run(
                "CREATE TYPE mount AS ENUM ('fork', 'pier')",
                "CREATE TABLE domes (id int GENERATED ALWAYS AS IDENTITY (START 10 INCREMENT 5) PRIMARY KEY,"
                        + " old_id serial, name varchar(20) DEFAULT 'north'::varchar, mount mount DEFAULT 'pier',"
                        + " area numeric(8,2) CHECK (area > 0), twice numeric GENERATED ALWAYS AS (area * 2) STORED)",
                "INSERT INTO domes (area) VALUES (1), (2)",
                "COMMENT ON COLUMN domes.area IS 'square metres'",
                "CREATE TABLE doors (dome int REFERENCES domes ON DELETE SET NULL DEFERRABLE INITIALLY DEFERRED,"
                        + " code char(3), side text, CONSTRAINT door_code UNIQUE (code, dome))",
                "CREATE TABLE locks (code char(3), dome int,"
                        + " FOREIGN KEY (code, dome) REFERENCES doors (code, dome) ON DELETE SET NULL (dome))",
                "CREATE INDEX door_side ON doors (lower(side) DESC, code) WHERE side IS NOT NULL",
                "CREATE UNIQUE INDEX door_cover ON doors (code) INCLUDE (side)",
                "CREATE SEQUENCE tickets START 7 INCREMENT 3",
                "SELECT nextval('tickets')");
        return read(database);
    }

    @Test
    void postgreSqlTablesAndKeys() throws Exception {
        Catalog catalog = domes();
        assertThat(column(catalog, "domes", "id").identity())
                .contains(new Identity(10, 5, true, BigInteger.valueOf(20)));
        assertThat(column(catalog, "domes", "old_id"))
                .returns(Optional.of(new Identity(1, 1, false, BigInteger.valueOf(3))), Column::identity)
                .returns(Optional.empty(), Column::defaultValue);
        assertThat(column(catalog, "domes", "mount").type())
                .isEqualTo(new LogicalType.Enumeration("mount", List.of("fork", "pier")));
        assertThat(column(catalog, "domes", "twice").generated())
                .contains(new Generated("(area * (2)::numeric)", true, false));
        assertThat(column(catalog, "domes", "area").comment()).isEqualTo("square metres");
        assertThat(table(catalog, "doors").foreignKeys())
                .singleElement()
                .returns(ReferentialAction.SET_NULL, ForeignKey::onDelete)
                .returns(true, ForeignKey::deferrable)
                .returns(true, ForeignKey::initiallyDeferred)
                .returns(List.of(), ForeignKey::cleared);
        assertThat(table(catalog, "locks").foreignKeys())
                .singleElement()
                .returns(ReferentialAction.SET_NULL, ForeignKey::onDelete)
                .returns(List.of("dome"), ForeignKey::cleared);
        assertThat(table(catalog, "doors").uniqueKeys())
                .containsExactly(new Key("door_code", List.of(KeyPart.ofColumn("code"), KeyPart.ofColumn("dome"))));
        assertThat(table(catalog, "doors").indexes())
                .containsExactly(
                        new Index("door_cover", true, List.of(KeyPart.ofColumn("code")), "btree", "", List.of("side")),
                        new Index(
                                "door_side",
                                false,
                                List.of(new KeyPart("", "lower(side)", 0, true), KeyPart.ofColumn("code")),
                                "btree",
                                "(side IS NOT NULL)",
                                List.of()));
        assertThat(catalog.schemas().get(0).sequences())
                .singleElement()
                .returns(BigInteger.valueOf(10), Sequence::next);
    }

    @Test
    void postgreSqlRowsAndBytesOfTablesThatNobodyAnalyzed() throws Exception {
        Databases database = Databases.postgresql();
        database.run(
                "CREATE TABLE frames (id int, taken date) PARTITION BY RANGE (taken)",
                "CREATE TABLE frames_26 PARTITION OF frames FOR VALUES FROM ('2026-01-01') TO ('2027-01-01')",
                "INSERT INTO frames SELECT g, '2026-01-31' FROM generate_series(1, 5000) g",
                "CREATE TABLE lamps (id int)",
                "INSERT INTO lamps SELECT generate_series(1, 5000)");
        assertThat(table(read(database), "lamps").rowEstimate()).isBetween(1000L, 9000L);
        assertThat(table(read(database), "lamps").byteEstimate()).isGreaterThan(100_000);
        assertThat(table(read(database), "frames").rowEstimate()).isBetween(1000L, 9000L);
        database.run("ANALYZE");
        assertThat(table(read(database), "lamps").rowEstimate()).isEqualTo(5000);
        assertThat(table(read(database), "frames").rowEstimate()).isEqualTo(5000);
        assertThat(table(read(database), "frames").byteEstimate()).isGreaterThan(100_000);
    }

    @Test
    void aCatalogSurvivesItsFile() throws Exception {
        for (String dialect : List.of("mariadb", "postgresql")) {
            Databases database = dialect.equals("mariadb") ? Databases.mariadb() : Databases.postgresql();
            OddSchemasTest.run(database, "odd", dialect);
            Catalog catalog = read(database);
            String text = Json.pretty(catalog);
            assertThat(Json.MAPPER.readValue(text, Catalog.class)).isEqualTo(catalog);
        }
    }

    @Test
    void anAccountThatMayNotReadIsToldTheGrant() throws Exception {
        Databases database = Databases.postgresql();
        database.run("CREATE TABLE readable (id int)", "CREATE TABLE hidden (id int)");
        try (EngineSession session = Engines.open(database.endpoint())) {
            assertThat(session.missingToRead()).isEmpty();
            assertThat(session.missingToWrite("public")).isEmpty();
        }
        try (EngineSession session = Engines.open(Databases.mariadb().endpoint())) {
            assertThat(session.missingToRead()).isEmpty();
            assertThat(session.missingToWrite(session.defaultSchema())).isEmpty();
        }
    }

    @Test
    void aServerThatTakesNoRowsFromUsIsToldTheSetting() throws Exception {
        Databases database = Databases.mariadb();
        database.run("SET GLOBAL local_infile = 0");
        try (EngineSession session = Engines.open(database.endpoint())) {
            assertThat(session.missingToWrite(database.name())).containsExactly("SET GLOBAL local_infile = 1;");
        } finally {
            database.run("SET GLOBAL local_infile = 1");
        }
    }
}
