package raftcart.scripts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigInteger;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.catalog.Catalog;
import raftcart.catalog.CheckConstraint;
import raftcart.catalog.Clauses;
import raftcart.catalog.CodeObject;
import raftcart.catalog.Column;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Index;
import raftcart.catalog.Key;
import raftcart.catalog.KeyPart;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.catalog.ReferentialAction;
import raftcart.catalog.Sequence;
import raftcart.catalog.Table;
import raftcart.type.LogicalType;
import raftcart.workspace.Json;
import raftcart.workspace.JsonSchema;

/** What a folder of scripts leaves behind when its statements have run one after the other. */
class ScriptSourceTest {
    /** The published schema of the file that keeps a catalog. */
    private static final com.networknt.schema.JsonSchema SCHEMA =
            JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(JsonSchema.CATALOG.text());

    @TempDir
    private Path folder;

    private Catalog read(String dialect, String... scripts) {
        try {
            for (int i = 0; i < scripts.length; i++) {
                Files.writeString(folder.resolve(i + ".sql"), scripts[i]);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        Catalog catalog = ScriptSource.of("scripts:" + dialect + ":" + folder).read();
        assertThat(SCHEMA.validate(Json.MAPPER.valueToTree(catalog))).isEmpty();
        return catalog;
    }

    private static Table table(Catalog catalog, String name) {
        return catalog.tables()
                .filter(t -> t.name().name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static List<CodeObject> code(Catalog catalog, ObjectKind kind) {
        return catalog.schemas().stream()
                .flatMap(s -> s.codeObjects().stream())
                .filter(c -> c.kind() == kind)
                .toList();
    }

    @Test
    void alterationsAreAppliedInTheirOrder() {
        Table star = table(
                read(
                        "postgresql",
                        "CREATE TABLE star (id int, old_name varchar(20), gone int, CHECK (old_name <> ''));\n"
                                + "CREATE INDEX by_name ON star (lower(old_name)) WHERE old_name IS NOT NULL;",
                        "ALTER TABLE star ADD PRIMARY KEY (id), DROP COLUMN gone, ALTER old_name TYPE text;\n"
                                + "ALTER TABLE star RENAME COLUMN old_name TO name;\n"
                                + "ALTER TABLE star ADD magnitude numeric(4,2) DEFAULT 1.5 NOT NULL;\n"
                                + "ALTER TABLE star ALTER magnitude DROP NOT NULL, ALTER magnitude SET DEFAULT 2;\n"
                                + "COMMENT ON TABLE star IS 'a sun'; COMMENT ON COLUMN star.name IS 'it''s';"),
                "star");
        assertThat(star.columns())
                .extracting(Column::name, Column::declaredType, Column::nullable, c -> c.defaultValue()
                        .orElse(""))
                .containsExactly(
                        tuple("id", "int", false, ""),
                        tuple("name", "text", true, ""),
                        tuple("magnitude", "numeric(4,2)", true, "2"));
        assertThat(star.primaryKey()).map(Key::columns).contains(List.of("id"));
        assertThat(star.checks()).extracting(CheckConstraint::expression).containsExactly("name <> ''");
        assertThat(star.indexes())
                .singleElement()
                .returns("name IS NOT NULL", Index::predicate)
                .satisfies(i -> assertThat(i.parts().get(0).expression()).isEqualTo("lower(name)"));
        assertThat(star.comment()).isEqualTo("a sun");
        assertThat(star.column("name")).map(Column::comment).contains("it's");
    }

    @Test
    void optionsOfColumnsAreDroppedByTheirNames() {
        Table frame = table(
                read(
                        "sqlserver",
                        "CREATE TABLE frame (id int NOT NULL, flux int CONSTRAINT df_flux DEFAULT 7 NOT NULL,"
                                + " band varchar(3) CONSTRAINT df_band DEFAULT 'V');",
                        "ALTER TABLE frame DROP CONSTRAINT df_flux;\n"
                                + "ALTER TABLE frame ADD CONSTRAINT df_id DEFAULT 1 FOR id;\n"
                                + "ALTER TABLE frame ALTER COLUMN band varchar(9);\n"
                                + "ALTER TABLE frame DROP CONSTRAINT df_id;"),
                "frame");
        assertThat(frame.columns())
                .extracting(Column::name, c -> c.defaultValue().orElse(""))
                .containsExactly(tuple("id", ""), tuple("flux", ""), tuple("band", "'V'"));
    }

    @Test
    void partsHaveTheNamesThatTheyGotLast() {
        Catalog catalog = read(
                "sqlserver",
                "CREATE TABLE dbo.star (id int NOT NULL CONSTRAINT pk_star PRIMARY KEY);\n"
                        + "CREATE TABLE dbo.frame (id int NOT NULL CONSTRAINT pk_frame PRIMARY KEY, star int,"
                        + " CONSTRAINT fk_star FOREIGN KEY (star) REFERENCES dbo.star (id));\n"
                        + "CREATE INDEX ix_star ON dbo.frame (star);\nGO\n",
                "EXEC sp_rename 'dbo.pk_frame', 'pk_frames'\nGO\nEXEC sp_rename 'fk_star', 'fk_sun', 'OBJECT'\nGO\n"
                        + "EXEC sp_rename 'dbo.frame.ix_star', 'ix_sun', 'INDEX'\nGO\n"
                        + "EXEC sp_rename 'dbo.star.id', 'number', 'COLUMN'\nGO\nEXEC sp_rename 'dbo.frame', 'frames'\nGO\n"
                        + "EXEC sp_rename 'nothing', 'something'\nGO\n");
        Table frames = table(catalog, "frames");
        assertThat(frames.primaryKey().map(Key::name)).contains("pk_frames");
        assertThat(frames.indexes()).extracting(Index::name).containsExactly("ix_sun");
        assertThat(frames.foreignKeys()).singleElement().satisfies(k -> {
            assertThat(k.name()).isEqualTo("fk_sun");
            assertThat(k.targetColumns()).containsExactly("number");
        });
        assertThat(code(catalog, ObjectKind.STATEMENT)).singleElement().satisfies(o -> assertThat(o.source())
                .contains("'nothing'"));
    }

    @Test
    void aColumnThatIsModifiedKeepsWhatIsNotSaid() {
        Table frame = table(
                read(
                        "oracle",
                        "CREATE TABLE frame (id NUMBER(9) CONSTRAINT nn_id NOT NULL,"
                                + " band VARCHAR2(3) DEFAULT 'V' CONSTRAINT nn_band NOT NULL);\n"
                                + "ALTER TABLE frame MODIFY (band VARCHAR2(9));\n"
                                + "ALTER TABLE frame RENAME COLUMN id TO frame_id;\n"
                                + "ALTER TABLE frame DROP CONSTRAINT nn_id;"),
                "FRAME");
        assertThat(frame.columns())
                .extracting(
                        Column::name, Column::nullable, c -> c.defaultValue().orElse(""))
                .containsExactly(tuple("FRAME_ID", true, ""), tuple("BAND", false, "'V'"));
    }

    @Test
    void aColumnThatIsChangedAsAWholeKeepsNothing() {
        Table frame = table(
                read(
                        "mysql",
                        "CREATE TABLE frame (id int AUTO_INCREMENT PRIMARY KEY COMMENT 'number',"
                                + " band varchar(3) NOT NULL DEFAULT 'V' COMMENT 'filter') COLLATE utf8mb4_bin;\n"
                                + "ALTER TABLE frame MODIFY band varchar(9), MODIFY id bigint;"),
                "frame");
        assertThat(frame.columns())
                .extracting(
                        Column::name,
                        Column::nullable,
                        c -> c.defaultValue().orElse(""),
                        Column::comment,
                        c -> c.identity().isPresent())
                .containsExactly(tuple("id", false, "", "", false), tuple("band", true, "", "", false));
        assertThat(frame.columns()).noneMatch(Column::ignoresCase);
    }

    @Test
    void keysLeadToTheTablesAndColumnsThatTheyMean() {
        Catalog catalog = read(
                "sqlserver",
                "CREATE TABLE [dbo].[Moon] ([Id] int NOT NULL, [PlanetId] int,"
                        + " CONSTRAINT [FK_Moon] FOREIGN KEY ([planetid]) REFERENCES planet ON DELETE SET NULL)\nGO\n"
                        + "CREATE TABLE dbo.Planet (Id int IDENTITY(7,2) PRIMARY KEY, Name nvarchar(20) UNIQUE)\nGO\n"
                        + "EXEC sp_rename 'dbo.Planet', 'World'\nGO");
        ForeignKey key = table(catalog, "Moon").foreignKeys().get(0);
        assertThat(key)
                .returns(new ObjectName("dbo", "World"), ForeignKey::target)
                .returns(List.of("PlanetId"), ForeignKey::columns)
                .returns(List.of("Id"), ForeignKey::targetColumns)
                .returns(ReferentialAction.SET_NULL, ForeignKey::onDelete);
        Table world = table(catalog, "World");
        assertThat(world.column("Id").flatMap(Column::identity))
                .hasValueSatisfying(
                        i -> assertThat(List.of(i.start(), i.increment())).containsExactly(7L, 2L));
        assertThat(world.uniqueKeys()).singleElement().returns(List.of("Name"), Key::columns);
        assertThat(world.column("Name")).map(Column::ignoresCase).contains(true);
    }

    @Test
    void foreignKeysOfMySqlHaveTheirIndexes() {
        Table moon = table(
                read(
                        "mysql",
                        "CREATE TABLE planet (id int PRIMARY KEY); CREATE TABLE moon (p int, q int, r int, KEY by_q (q, r),"
                                + " CONSTRAINT to_p FOREIGN KEY (p) REFERENCES planet (id),"
                                + " CONSTRAINT to_q FOREIGN KEY (q) REFERENCES planet (id));"),
                "moon");
        assertThat(moon.indexes()).extracting(Index::name).containsExactly("by_q", "to_p");
    }

    @Test
    void sequencesThatNumberAColumnBelongToIt() {
        Catalog dump = read(
                "postgresql",
                "CREATE TABLE public.lamp (id integer NOT NULL);\nCREATE SEQUENCE public.lamp_id_seq START WITH 5;\n"
                        + "ALTER SEQUENCE public.lamp_id_seq OWNED BY public.lamp.id;\n"
                        + "ALTER TABLE ONLY public.lamp ALTER COLUMN id SET DEFAULT nextval('public.lamp_id_seq'::regclass);\n"
                        + "CREATE SEQUENCE plates INCREMENT BY 10 MAXVALUE 1000 CYCLE;\n"
                        + "COPY public.lamp (id) FROM stdin;\n1\n2\n\\.\n");
        assertThat(table(dump, "lamp").column("id").flatMap(Column::identity))
                .hasValueSatisfying(i -> assertThat(i.start()).isEqualTo(5));
        assertThat(table(dump, "lamp").rowEstimate()).isEqualTo(2);
        assertThat(dump.schemas().get(0).sequences())
                .singleElement()
                .returns("plates", s -> s.name().name())
                .returns(BigInteger.TEN, Sequence::increment)
                .returns(true, Sequence::cycle);
    }

    @Test
    void aTriggerThatFillsAKeyBecomesItsDefault() {
        Catalog catalog = read(
                "oracle",
                "CREATE SEQUENCE s_lamp;\nCREATE TABLE lamp (id NUMBER(9) PRIMARY KEY, n NUMBER);\n"
                        + "CREATE OR REPLACE TRIGGER lamp_bi BEFORE INSERT ON lamp FOR EACH ROW\nBEGIN\n"
                        + "  IF :new.id IS NULL THEN\n    :new.id := s_lamp.NEXTVAL;\n  END IF;\nEND;\n/\n"
                        + "CREATE OR REPLACE TRIGGER lamp_n BEFORE INSERT ON lamp FOR EACH ROW\nBEGIN\n"
                        + "  :new.id := s_lamp.NEXTVAL; :new.n := 1;\nEND;\n/\n"
                        + "ALTER TRIGGER lamp_bi ENABLE;\nALTER TRIGGER lamp_n DISABLE;\n"
                        + "CREATE TABLE ridge.\"dome-1\" (\"no-1\" NUMBER(9));\nCREATE TRIGGER ridge.\"d-t\" BEFORE INSERT OR UPDATE"
                        + " OF no ON ridge.\"dome-1\" FOR EACH ROW\nBEGIN\nIF (:new.\"no-1\" = 0 OR :new.\"no-1\" IS NULL) THEN\n"
                        + "SELECT \"s-2\".nextval INTO :new.\"no-1\" FROM dual;\nEND IF;\nEND;\n/\n");
        assertThat(table(catalog, "dome-1").column("no-1").flatMap(Column::defaultValue))
                .contains("RIDGE.\"s-2\".NEXTVAL");
        assertThat(table(catalog, "dome-1").physical()).contains("numbers for no-1 where 0 is given, or at an update");
        assertThat(table(catalog, "LAMP").column("ID").flatMap(Column::defaultValue))
                .contains("s_lamp.NEXTVAL");
        assertThat(code(catalog, ObjectKind.TRIGGER))
                .extracting(c -> c.name().name())
                .containsExactly("LAMP_N");
        assertThat(code(catalog, ObjectKind.STATEMENT)).singleElement().satisfies(s -> assertThat(s.source())
                .contains("ALTER TRIGGER lamp_n DISABLE"));
        assertThat(catalog.schemas().get(0).sequences()).hasSize(1);
    }

    @Test
    void dumpsOfPostgresqlLeaveNothingToAPerson() {
        Catalog catalog = read(
                "postgresql",
                "CREATE SEQUENCE s;\nALTER TABLE s OWNER TO me;\nCREATE TABLE lamp (id int, n text);\n"
                        + "CREATE MATERIALIZED VIEW lit AS SELECT id FROM lamp WITH NO DATA;\n"
                        + "COMMENT ON EXTENSION plpgsql IS 'x';\nSELECT pg_catalog.setval('public.s', 41, true);\n"
                        + "ALTER TABLE ONLY lamp ADD CONSTRAINT lamp_key UNIQUE (id) INCLUDE (n);\n"
                        + "CREATE FUNCTION f() RETURNS int LANGUAGE sql AS $$ SELECT 1 $$;\nDROP FUNCTION f();\n"
                        + "REFRESH MATERIALIZED VIEW lit;\n");
        assertThat(code(catalog, ObjectKind.STATEMENT)).isEmpty();
        assertThat(code(catalog, ObjectKind.FUNCTION)).isEmpty();
        assertThat(code(catalog, ObjectKind.MATERIALIZED_VIEW)).singleElement().satisfies(v -> assertThat(v.source())
                .endsWith("FROM lamp"));
        assertThat(catalog.schemas().get(0).sequences())
                .singleElement()
                .returns(BigInteger.valueOf(42), Sequence::next);
        assertThat(table(catalog, "lamp").uniqueKeys()).hasSize(1);
    }

    @Test
    void whatStandsInCommentsOfVersionsIsReadWithThem() {
        Catalog catalog = read(
                "mysql",
                "CREATE TABLE lamp (id int);\n/*!50001 CREATE ALGORITHM=UNDEFINED */\n/*!50013 DEFINER=`me`@`here` */\n"
                        + "/*!50001 VIEW `lit` AS select `lamp`.`id` AS `id` from `lamp` */;\n"
                        + "/*!50106 DROP EVENT IF EXISTS `ev` */;\nDELIMITER ;;\n"
                        + "/*!50003 CREATE*/ /*!50017 DEFINER=`me`@`here`*/ /*!50003 TRIGGER `tr` BEFORE INSERT ON `lamp`"
                        + " FOR EACH ROW SET NEW.id = 1 */;;\nDELIMITER ;\n");
        assertThat(code(catalog, ObjectKind.STATEMENT)).isEmpty();
        assertThat(code(catalog, ObjectKind.TRIGGER)).hasSize(1);
        assertThat(code(catalog, ObjectKind.VIEW)).singleElement().satisfies(v -> assertThat(v.source())
                .startsWith("/*!50001 CREATE")
                .endsWith("from `lamp` */"));
    }

    @Test
    void aSeparatorMayStandRightBehindAWord() {
        Catalog catalog = read(
                "mysql",
                "DELIMITER $$\nUSE `r`$$\nCREATE PROCEDURE p()\nBEGIN\nSELECT a$b;\nEND$$\nDELIMITER ;\n"
                        + "CREATE TABLE lamp (id int, a$b int);\n");
        assertThat(table(catalog, "lamp").columns()).extracting(Column::name).containsExactly("id", "a$b");
        assertThat(code(catalog, ObjectKind.PROCEDURE)).singleElement().satisfies(p -> assertThat(p.source())
                .endsWith("END"));
    }

    @Test
    void aTableWithAHistoryOfItsRowsIsAPlainOne() {
        Catalog catalog = read(
                "sqlserver",
                "ALTER DATABASE [Kestrel] SET RECOVERY SIMPLE\nGO\nif exists (select 1 from sysobjects where name = 'fk')\n"
                        + "alter table lamp\n   drop constraint fk\nGO\n"
                        + "CREATE TABLE lamp (id int PRIMARY KEY, a datetime2 GENERATED ALWAYS AS ROW START HIDDEN NOT NULL,"
                        + " b datetime2 GENERATED ALWAYS AS ROW END NOT NULL, PERIOD FOR SYSTEM_TIME (a, b))"
                        + " WITH (SYSTEM_VERSIONING = ON)\nGO\nALTER TABLE lamp ENABLE TRIGGER tr\nGO\n"
                        + "declare @me sysname\nselect @me = user_name()\n"
                        + "execute sp_addextendedproperty 'MS_Description', 'a light', 'user', @me, 'table', 'lamp'\nGO\n");
        assertThat(table(catalog, "lamp").columns()).extracting(Column::name).containsExactly("id", "a", "b");
        assertThat(table(catalog, "lamp").comment()).isEqualTo("a light");
        assertThat(table(catalog, "lamp").physical()).anyMatch(Clauses::hasMeaning);
        assertThat(code(catalog, ObjectKind.STATEMENT)).allMatch(c -> c.source().contains("@me sysname"));
    }

    @Test
    void domainsAndEnumerationsStandWithTheColumns() {
        Table star = table(
                read(
                        "postgresql",
                        "CREATE DOMAIN sky.share AS numeric(3,2) NOT NULL DEFAULT 0 CHECK (VALUE BETWEEN 0 AND 1);\n"
                                + "CREATE TYPE kind AS ENUM ('giant', 'dwarf');\n"
                                + "CREATE TABLE star (part sky.share, k kind DEFAULT 'dwarf');"),
                "star");
        assertThat(star.column("part")).hasValueSatisfying(c -> assertThat(c)
                .returns(new LogicalType.Decimal(3, 2, false), Column::type)
                .returns(false, Column::nullable));
        assertThat(star.checks()).extracting(CheckConstraint::expression).containsExactly("part BETWEEN 0 AND 1");
        assertThat(star.column("k").map(Column::type))
                .contains(new LogicalType.Enumeration("kind", List.of("giant", "dwarf")));
    }

    @Test
    void whatIsDroppedOrReplacedIsGone() {
        Catalog catalog = read(
                "mysql",
                "CREATE TABLE a (x int, KEY by_x (x)); CREATE TABLE b (x int); CREATE VIEW v AS SELECT 1 AS one;\n"
                        + "DROP TABLE b; DROP INDEX by_x ON a; CREATE OR REPLACE VIEW v AS SELECT 2 AS two;\n"
                        + "CREATE TABLE f (x int, KEY by_x (x)); CREATE TABLE g (x int, KEY by_x (x)); DROP INDEX by_x ON f;\n"
                        + "CREATE TABLE c LIKE a; RENAME TABLE c TO d, a TO e;\n"
                        + "ALTER TABLE d CHANGE x y bigint NOT NULL COMMENT 'renamed', ADD KEY (y);");
        assertThat(catalog.tables()).extracting(t -> t.name().name()).containsExactly("d", "e", "f", "g");
        assertThat(table(catalog, "f").indexes()).isEmpty();
        assertThat(table(catalog, "g").indexes()).hasSize(1);
        assertThat(code(catalog, ObjectKind.VIEW)).singleElement().satisfies(v -> assertThat(v.source())
                .contains("two"));
        assertThat(table(catalog, "d").columns())
                .singleElement()
                .returns("y", Column::name)
                .returns("renamed", Column::comment)
                .returns(false, Column::nullable);
        assertThat(table(catalog, "d").indexes()).singleElement().satisfies(i -> assertThat(i.parts())
                .extracting(KeyPart::column)
                .containsExactly("y"));
        assertThat(table(catalog, "e").indexes()).isEmpty();
    }

    @Test
    void whatCannotBeTakenIntoAccountIsKeptWithItsPlace() {
        Catalog catalog = read(
                "oracle",
                "CREATE TABLE a (x NUMBER);\nCREATE USER u IDENTIFIED BY p;\nALTER TABLE nowhere ADD y NUMBER;\n"
                        + "CREATE TABEL b (x NUMBER);\nSELECT 1 FROM dual;\nGRANT SELECT ON a TO reader;\n");
        List<String> places = new ArrayList<>();
        code(catalog, ObjectKind.STATEMENT)
                .forEach(c -> places.add(
                        c.name().name() + " " + c.source().lines().findFirst().orElse("")));
        assertThat(places).hasSize(3).anyMatch(p -> p.startsWith("0.sql:2 ")).anyMatch(p -> p.startsWith("0.sql:4 "));
        assertThat(places).contains("0.sql:3 -- there is no table nowhere");
        assertThat(code(catalog, ObjectKind.GRANT))
                .extracting(c -> c.name().name())
                .containsExactly("reader on a");
    }

    /** Tables of PostgreSQL may have triggers of one name, and routines may share theirs. */
    @Test
    void whatSharesANameStaysApart() {
        Catalog catalog = read(
                "postgresql",
                "CREATE TABLE a (x int); CREATE TABLE b (x int); CREATE TABLE c (x int);\n"
                        + "CREATE TRIGGER touch BEFORE UPDATE OF x ON a FOR EACH ROW EXECUTE FUNCTION f();\n"
                        + "CREATE TRIGGER touch BEFORE UPDATE ON public.b FOR EACH ROW EXECUTE FUNCTION f();\n"
                        + "CREATE TRIGGER touch BEFORE UPDATE ON c FOR EACH ROW EXECUTE FUNCTION f();\n"
                        + "CREATE TRIGGER last AFTER UPDATE ON c FOR EACH ROW EXECUTE FUNCTION f();\n"
                        + "CREATE RULE r AS ON DELETE TO a DO INSTEAD NOTHING; CREATE RULE r AS ON DELETE TO b DO INSTEAD NOTHING;\n"
                        + "CREATE POLICY p ON a USING (true); CREATE POLICY p ON \"b\" USING (true);\n"
                        + "DROP TRIGGER touch ON b; DROP RULE IF EXISTS r ON a; DROP POLICY p ON b; DROP TABLE c;\n"
                        + "CREATE FUNCTION f(a int) RETURNS int AS $$ SELECT 1 $$ LANGUAGE sql;\n"
                        + "CREATE OR REPLACE FUNCTION f( a  int) RETURNS int AS $$ SELECT 2 $$ LANGUAGE sql;\n"
                        + "CREATE FUNCTION f(a text, b numeric(9,2) DEFAULT 1) RETURNS int AS $$ SELECT 3 $$ LANGUAGE sql;\n"
                        + "CREATE FUNCTION f(date) RETURNS int AS $$ SELECT 4 $$ LANGUAGE sql;\n"
                        + "CREATE FUNCTION once(a int) RETURNS int AS $$ SELECT 5 $$ LANGUAGE sql;\n"
                        + "DROP FUNCTION f(text, numeric(9,2)); DROP FUNCTION f(time); DROP FUNCTION once;\n");
        assertThat(code(catalog, ObjectKind.TRIGGER))
                .extracting(c -> c.name().name())
                .containsExactly("touch on a");
        assertThat(code(catalog, ObjectKind.RULE))
                .extracting(c -> c.name().name())
                .containsExactly("r on b");
        assertThat(code(catalog, ObjectKind.POLICY))
                .extracting(c -> c.name().name())
                .containsExactly("p on a");
        assertThat(code(catalog, ObjectKind.FUNCTION))
                .extracting(c -> c.name().name())
                .containsExactly("f(a int)", "f(date)");
        assertThat(code(catalog, ObjectKind.STATEMENT)).singleElement().satisfies(s -> assertThat(s.source())
                .contains("it cannot be told which routine called public.f is dropped"));
    }

    @Test
    void routinesAreKeptAsTheyAre() {
        Catalog catalog = read(
                "oracle",
                "CREATE OR REPLACE PACKAGE lamps AS PROCEDURE lit; END;\n/\n"
                        + "CREATE OR REPLACE PACKAGE BODY lamps AS PROCEDURE lit IS BEGIN NULL; END; END;\n/\n"
                        + "CREATE FUNCTION obs.two RETURN NUMBER IS BEGIN RETURN 2; END;\n/\n");
        assertThat(code(catalog, ObjectKind.PACKAGE)).hasSize(2);
        assertThat(code(catalog, ObjectKind.FUNCTION))
                .singleElement()
                .returns(new ObjectName("OBS", "TWO"), CodeObject::name);
    }

    @Test
    void changesOfRowsThatALoadDoesNotMakeAreKept() {
        Catalog catalog = read(
                "oracle",
                "CREATE TABLE star (id NUMBER(9)); CREATE TABLE moon (id NUMBER(9));\n"
                        + "UPDATE star SET id = 1;\n" // there are no rows yet
                        + "INSERT ALL INTO star VALUES (1) INTO star VALUES (2) INTO moon VALUES (3) SELECT * FROM dual;\n"
                        + "UPDATE star SET id = 5 WHERE id = 1;\n"
                        + "INSERT INTO sun VALUES (1);\n"
                        + "INSERT INTO star VALUES (1 2);\n");
        assertThat(table(catalog, "STAR").rowEstimate()).isEqualTo(2);
        assertThat(table(catalog, "MOON").rowEstimate()).isEqualTo(1);
        assertThat(code(catalog, ObjectKind.STATEMENT))
                .extracting(c -> c.source().lines().skip(1).findFirst().orElse(""))
                .containsExactly(
                        "UPDATE star SET id = 5 WHERE id = 1",
                        "INSERT INTO sun VALUES (1)",
                        "INSERT INTO star VALUES (1 2)");
    }

    @Test
    void whateverMayHaveDoneSomethingIsKept() {
        assertThat(code(
                        read(
                                "oracle",
                                "BEGIN\n EXECUTE IMMEDIATE 'CREATE TABLE moon (id NUMBER)';\nEND;\n/\n"
                                        + "EXEC fill_all;\nCALL fill_more();\n@more.sql\nPROMPT done\nSELECT 1 FROM dual;\n"),
                        ObjectKind.STATEMENT))
                .extracting(c -> c.source().lines().findFirst().orElse(""))
                .containsExactly(
                        "-- block of code",
                        "-- a procedure called by the client",
                        "-- what the procedure fill_more does, which it is called for here, is not known",
                        "-- another script, which the client runs here");
        Catalog catalog = read(
                "sqlserver",
                "CREATE TABLE star (id int)\nGO\nBULK INSERT star FROM 'x.csv'\nGO\nSELECT id INTO moon FROM star\nGO\n"
                        + "WHILE EXISTS (SELECT 1 FROM star) DELETE FROM star\nGO\nPRINT 'done'\nGO\n"
                        + "IF NOT EXISTS (SELECT 1 FROM star) INSERT INTO star VALUES (1)\nGO\n");
        assertThat(code(catalog, ObjectKind.STATEMENT)).hasSize(2);
        assertThat(code(catalog, ObjectKind.TABLE))
                .extracting(c -> c.name().name())
                .containsExactly("moon");
    }

    @Test
    void typesOfUsersSayWhetherNullIsAllowed() {
        Table star = table(
                read(
                        "sqlserver",
                        "CREATE TYPE dbo.code FROM nvarchar(12) NOT NULL\nGO\n"
                                + "CREATE TABLE dbo.star (a dbo.code, b dbo.code NULL, n int)\nGO\n"),
                "star");
        assertThat(star.columns())
                .extracting(Column::name, Column::nullable, Column::ignoresCase)
                .containsExactly(tuple("a", false, true), tuple("b", true, true), tuple("n", true, false));
    }

    @Test
    void blanksAtTheEndOfNamesAreNoneInDb2() {
        Catalog catalog = read(
                "db2",
                "CREATE TABLE \"KR      \".\"STAR\" (\"ID\" INTEGER NOT NULL);\n"
                        + "ALTER TABLE KR.STAR ADD PRIMARY KEY (ID);");
        assertThat(table(catalog, "STAR")).returns(new ObjectName("KR", "STAR"), Table::name);
        assertThat(table(catalog, "STAR").primaryKey()).isPresent();
    }
}
