package raftcart.engines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.catalog.ObjectKind;
import raftcart.dialect.Dialects;
import raftcart.finding.Finding;
import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;
import raftcart.sql.ScriptSplitter;
import raftcart.translate.ObjectOutcome;
import raftcart.verify.TableVerdict;

/** Odd names, odd tables, odd rules: all of it crosses or is reported, and the rows are the same. */
class OddSchemasTest {
    @TempDir
    Path folder;

    static void run(Databases database, String kind, String dialect) throws Exception {
        try (InputStream in = OddSchemasTest.class.getResourceAsStream(kind + "-" + dialect + ".sql")) {
            String script = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            var rules = Dialects.named(dialect).orElseThrow().grammar().lexical();
            database.run(ScriptSplitter.split(script, rules).toArray(String[]::new));
        }
    }

    private static List<String> differing(MigrationRun run) {
        return run.verified.tables().stream()
                .filter(v -> !v.same())
                .map(TableVerdict::table)
                .map(t -> t.substring(t.indexOf('.') + 1))
                .toList();
    }

    private static List<String> findings(MigrationRun run, FindingCode code) {
        return run.translated.findings().stream()
                .filter(f -> f.code() == code)
                .map(f -> f.object().substring(f.object().indexOf('.') + 1))
                .toList();
    }

    private static List<String> details(MigrationRun run, String object) {
        return run.translated.findings().stream()
                .filter(f -> f.object().substring(f.object().indexOf('.') + 1).equals(object))
                .map(Finding::detail)
                .toList();
    }

    @Test
    void fromMariaDb() throws Exception {
        Databases source = Databases.mariadb();
        run(source, "odd", "mariadb");
        Databases target = Databases.postgresql();
        MigrationRun run = MigrationRun.of(folder.resolve("run"), source.endpoint(), target.endpoint());

        // JSON has no equality, by which an update could be seen.
        target.run("UPDATE changed SET j = '{}'", "UPDATE site SET j = '{}'");
        assertThat(target.ask("SELECT count(*) FROM changed WHERE seen > '2026-01-01'"))
                .isEqualTo("1");

        // Rows hold a zero timestamp, the default of a column that must not be NULL there, and may be here.
        assertThat(differing(run)).isEmpty();
        assertThat(run.loaded.refused()).isZero();
        assertThat(target.ask("SELECT count(*) FROM defs WHERE z IS NULL")).isEqualTo("2");
        assertThat(findings(run, FindingCode.IMPOSSIBLE_DATES)).contains("defs.z");
        assertThat(run.loaded.failures()).hasSize(1).first().asString().contains("counter of public.big.id");
        assertThat(run.loaded.tables()).extracting(t -> t.target()).contains("public.Mixed", "public.mixed");
        assertThat(findings(run, FindingCode.PHYSICAL_CLAUSES)).contains("isam");
        assertThat(findings(run, FindingCode.SYNTAX_CHECK)).contains("hist", "inv");
        assertThat(findings(run, FindingCode.NOT_TRANSLATED)).contains("onlygen");
        assertThat(findings(run, FindingCode.DEFAULT_BY_HAND)).isEmpty();
        assertThat(findings(run, FindingCode.IMPOSSIBLE_DATES)).contains("defs.z", "defs.z2");
        assertThat(findings(run, FindingCode.GENERATED_BY_HAND)).isEmpty();
        assertThat(findings(run, FindingCode.INDEX_BY_HAND)).contains("isam.txt", "geo.p");
        assertThat(details(run, "told"))
                .contains("left out: PERIOD FOR p (s, e)", "left out: UNIQUE KEY once (z,p WITHOUT OVERLAPS)")
                .anyMatch(d -> d.contains("column z ZEROFILL; column c COMPRESSED"))
                .anyMatch(d -> d.contains("index search COMMENT 'for search'; index unused IGNORED"));
    }

    @Test
    void fromPostgreSql() throws Exception {
        Databases source = Databases.postgresql();
        run(source, "odd", "postgresql");
        Databases target = Databases.mariadb();
        MigrationRun run = MigrationRun.of(
                folder.resolve("run"),
                source.endpoint(),
                target.endpoint(),
                "schemas: {sub: " + target.name() + "_sub, 'Odd Schema': '" + target.name() + " odd'}\n");

        assertThat(differing(run)).isEmpty();
        assertThat(run.loaded.refused()).isZero();
        assertThat(run.loaded.failures()).isEmpty();
        assertThat(run.translated.objects().stream()
                        .filter(o -> o.outcome() == Outcome.BY_HAND)
                        .map(ObjectOutcome::kind)
                        .map(k -> k.word())
                        .distinct())
                .contains("constraint", "rule", "policy", "statistics object")
                .contains("type", "table", "function");
        assertThat(findings(run, FindingCode.NAME_CHANGED)).contains("t.name");
        assertThat(run.translated.findings())
                .filteredOn(f ->
                        f.code() == FindingCode.PHYSICAL_CLAUSES && f.object().equals("public.idx"))
                .singleElement()
                .satisfies(f -> assertThat(f.detail()).contains("index i2 NULLS LAST", "index i3 text_pattern_ops"));
        assertThat(findings(run, FindingCode.INDEX_BY_HAND)).contains("idx.idx_b_key", "idx.idx_c_idx");
        assertThat(findings(run, FindingCode.DEFAULT_BY_HAND)).containsExactly("defs.h");
        assertThat(target.ask("SELECT CHECK_CLAUSE FROM information_schema.CHECK_CONSTRAINTS"
                        + " WHERE CONSTRAINT_SCHEMA = DATABASE() AND CONSTRAINT_NAME = 'p_posint_check'"))
                .isEqualTo("`p` > 0");
        target.server().dropDatabase(target.name() + "_sub");
        target.server().dropDatabase(target.name() + " odd");
    }

    @Test
    void whatFewPostgreSqlDatabasesHave() throws Exception {
        Databases source = Databases.postgresql();
        run(source, "rare", "postgresql");
        Databases target = Databases.mariadb();
        MigrationRun run = MigrationRun.of(
                folder.resolve("run"),
                source.endpoint(),
                target.endpoint(),
                "schemas: {public: " + target.name() + ", rare: " + target.name() + "}\n");

        assertThat(differing(run)).isEmpty();
        assertThat(run.loaded.refused()).isZero();
        assertThat(run.translated.objects())
                .filteredOn(o -> o.outcome() == Outcome.BY_HAND)
                .extracting(o -> o.kind().word())
                .contains("collation", "operator", "cast", "text search object", "foreign server", "foreign table")
                .contains("publication", "event trigger", "default right", "setting", "large object");
        assertThat(details(run, "r"))
                .contains(
                        "left out: constraint old NOT VALID",
                        "left out: constraint r_n_key DEFERRABLE",
                        "left out: DISABLE TRIGGER off",
                        "WITH (fillfactor=70)");
        assertThat(details(run, "r.carrying")).containsExactly("the columns that the index carries along: v");
        assertThat(details(run, "counted")).containsExactly("left out: the counter of id CYCLE MAXVALUE 100");
        assertThat(details(run, "kept_v"))
                .containsExactly("an index of a materialized view, which is a plain one there");
        assertThat(details(run, "guarded")).singleElement().asString().contains("security_barrier");
        assertThat(run.translated.objects())
                .filteredOn(o -> o.kind() == ObjectKind.COMMENT)
                .extracting(o -> o.name().substring(o.name().indexOf('.') + 1))
                .contains("view rare.guarded", "column rare.guarded.id", "table constraint old on rare.r")
                .contains("trigger off on rare.r", "function public.f(integer)", "schema rare", "database");
        assertThat(Files.readString(folder.resolve("run/source/catalog.json"))).doesNotContain("not to be read");
        assertThat(target.ask("SELECT NEXTVAL(own)")).isEqualTo("1");
        assertThat(details(run, "child")).contains("left out: INHERITS (rare.r)");
    }

    /** Domains of domains, and arrays of types of users' own, to an engine that has them and to one that has not. */
    @Test
    void domainsOfDomainsAndArraysOfOwnTypes() throws Exception {
        Databases source = Databases.postgresql();
        source.run(
                "CREATE TYPE mood AS ENUM ('calm', 'gusty'); CREATE TYPE unused AS ENUM ('x');"
                        + "CREATE TYPE pair AS (a int, b text); CREATE DOMAIN above AS int DEFAULT 3 NOT NULL CHECK (VALUE > 0);"
                        + "CREATE DOMAIN few AS above CHECK (VALUE < 100); CREATE DOMAIN sky AS mood; CREATE DOMAIN list AS int[];"
                        + "CREATE TABLE t (id int PRIMARY KEY, a few, b sky, c list, d few[], e mood[], f pair[], g text[][], h numeric[], i jsonb[])",
                "INSERT INTO t VALUES (1, 7, 'calm', '{3,4,NULL}', '{5}', '{gusty,calm}', ARRAY[(1, 'y \"z\"')::pair],"
                        + " '{{a,\"b, c\"},{\"d\\\\\",NULL}}',"
                        + " '{1.50,12345678901234567890.12345678901234567890,NULL}', ARRAY['[1, 2]', '{\"a\": 1.50}', '3']::jsonb[])",
                "INSERT INTO t (id) VALUES (2)");
        for (Databases target : List.of(Databases.postgresql(), Databases.mariadb())) {
            MigrationRun run = MigrationRun.of(folder.resolve(target.name()), source.endpoint(), target.endpoint());
            assertThat(run.loaded.refused()).isZero();
            assertThat(differing(run)).isEmpty();
            assertThat(findings(run, FindingCode.FOREIGN_TYPE)).allMatch("t.f"::equals);
            assertThat(target.ask("SELECT a FROM t WHERE id = 2")).isEqualTo("3");
            assertThatThrownBy(() -> target.run("INSERT INTO t (id, a) VALUES (3, 100)"))
                    .hasMessageContaining("few_check");
            assertThatThrownBy(() -> target.run("INSERT INTO t (id, a) VALUES (3, 0)"))
                    .hasMessageContaining("above_check");
            assertThatThrownBy(() -> target.run("INSERT INTO t (id, b) VALUES (3, 'calmer')"));
        }
    }
}
