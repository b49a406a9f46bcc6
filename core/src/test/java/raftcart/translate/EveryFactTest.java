package raftcart.translate;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import raftcart.catalog.Catalog;
import raftcart.dialect.Dialect;
import raftcart.dialect.Dialects;
import raftcart.plan.EffortRates;
import raftcart.plan.Endpoint;
import raftcart.plan.Grants;
import raftcart.plan.LoadSettings;
import raftcart.plan.NameRules;
import raftcart.plan.Plan;
import raftcart.plan.Selection;
import raftcart.type.ValueChoices;
import raftcart.workspace.Json;

/**
 * No fact of a catalog goes missing: where one is changed, the scripts change, or what is told does. A fact that the target
 * has no form for and that nobody notes would change nothing. Three facts are let be: where a counter began, since it goes on
 * from its next number; that a column refuses other numbers than the counter's, which no working application gives; and
 * that a computed column is hidden from a star.
 */
class EveryFactTest {
    private static final String CATALOG = """
            {"dialect": "%s", "version": "", "defaultSchema": "k", "schemas": [{"name": "k", "tables": [
              {"name": {"schema": "k", "name": "dome"}, "columns": [
                {"name": "id", "declaredType": "int", "type": {"kind": "integer", "bits": 32, "unsigned": false}, "nullable": false,
                 "identity": {"start": 1, "increment": 1, "always": false, "next": 5}, "ignoresCase": false, "collation": "", "comment": ""},
                {"name": "code", "declaredType": "varchar(20)", "type": {"kind": "varchar", "length": 20}, "nullable": false,
                 "ignoresCase": false, "collation": "", "comment": ""},
                {"name": "height", "declaredType": "int", "type": {"kind": "integer", "bits": 32, "unsigned": false}, "nullable": true,
                 "defaultValue": "1", "ignoresCase": false, "collation": "", "comment": ""},
                {"name": "twice", "declaredType": "int", "type": {"kind": "integer", "bits": 32, "unsigned": false}, "nullable": true,
                 "generated": {"expression": "height * 2", "stored": true, "hidden": false}, "ignoresCase": false, "collation": "", "comment": ""}],
               "primaryKey": {"name": "dome_pk", "parts": [{"column": "id", "expression": "", "prefixLength": 0, "descending": false}]},
               "uniqueKeys": [{"name": "dome_uk", "parts": [{"column": "code", "expression": "", "prefixLength": 0, "descending": false}]}],
               "foreignKeys": [{"name": "dome_fk", "columns": ["height"], "target": {"schema": "k", "name": "dome"}, "targetColumns": ["id"],
                 "onDelete": "NO_ACTION", "onUpdate": "NO_ACTION", "deferrable": false, "initiallyDeferred": false, "cleared": []}],
               "checks": [{"name": "dome_ck", "expression": "height > 0"}],
               "indexes": [{"name": "dome_ix", "unique": false, "parts": [{"column": "height", "expression": "", "prefixLength": 0,
                 "descending": false}], "method": "btree", "predicate": "", "included": []}],
               "comment": "", "physical": [], "rowEstimate": 0, "byteEstimate": 0}],
              "sequences": [{"name": {"schema": "k", "name": "shots"}, "start": 1, "increment": 1, "minimum": 1, "maximum": 1000,
                 "next": 1, "cache": 1, "cycle": false}],
              "enumeratedTypes": [], "codeObjects": []}]}
            """;

    private static String seen(JsonNode catalog, Dialect from, Dialect to) throws Exception {
        Plan plan = new Plan(
                Endpoint.of("a"),
                Endpoint.of("b"),
                Selection.everything(),
                java.util.Map.of(),
                NameRules.defaults(),
                List.of(),
                ValueChoices.defaults(),
                Grants.HAND_OVER,
                LoadSettings.defaults(),
                EffortRates.defaults());
        Translation translation =
                Translator.translate(Json.MAPPER.treeToValue(catalog, Catalog.class), from.language(), to, plan, "s");
        return ScriptWriter.scripts(translation, to, "s") + "\n" + translation.findings() + translation.byHand();
    }

    private static JsonNode catalog(Dialect from) throws Exception {
        return Json.MAPPER.readTree(CATALOG.formatted(from.name()));
    }

    @ParameterizedTest(name = "{0} = {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "/columns/0/identity/increment | 10",
                "/columns/1/nullable | true",
                "/columns/1/comment | \"what it is called\"",
                "/columns/1/ignoresCase | true",
                "/columns/1/collation | \"de_DE\"",
                "/columns/2/defaultValue | \"2\"",
                "/columns/2/onUpdate | \"current_timestamp\"",
                "/columns/3/generated/stored | false",
                "/columns/3/generated/expression | \"height * 3\"",
                "/uniqueKeys/0/parts/0/prefixLength | 5",
                "/foreignKeys/0/onDelete | \"SET_DEFAULT\"",
                "/foreignKeys/0/onDelete | \"CASCADE\"",
                "/foreignKeys/0/onUpdate | \"RESTRICT\"",
                "/foreignKeys/0/deferrable | true",
                "/foreignKeys/0/cleared | [\"height\"]",
                "/checks/0/expression | \"height > 1\"",
                "/indexes/0/unique | true",
                "/indexes/0/method | \"gin\"",
                "/indexes/0/method | \"hash\"",
                "/indexes/0/predicate | \"height > 5\"",
                "/indexes/0/included | [\"code\"]",
                "/indexes/0/parts/0/descending | true",
                "/comment | \"where telescopes stand\"",
                "/physical | [\"TABLESPACE quick\"]",
                "/partitioning | {\"scheme\": \"HASH (id)\", \"partitions\": []}",
            })
    void ofATable(String path, String value) throws Exception {
        for (String engine : List.of("postgresql", "mariadb")) {
            Dialect from = Dialects.named(engine).orElseThrow();
            Dialect to = Dialects.named(engine.equals("mariadb") ? "postgresql" : "mariadb")
                    .orElseThrow();
            assertThat(seen(changed(from, "/schemas/0/tables/0" + path, value), from, to))
                    .as("%s: %s = %s", engine, path, value)
                    .isNotEqualTo(seen(catalog(from), from, to));
        }
    }

    @ParameterizedTest(name = "{0} = {1}")
    @CsvSource({"start, 5", "increment, 2", "minimum, 0", "maximum, 50", "cache, 10", "cycle, true"})
    void ofASequence(String path, String value) throws Exception {
        for (String engine : List.of("postgresql", "mariadb")) {
            Dialect from = Dialects.named(engine).orElseThrow();
            Dialect to = Dialects.named(engine.equals("mariadb") ? "postgresql" : "mariadb")
                    .orElseThrow();
            assertThat(seen(changed(from, "/schemas/0/sequences/0/" + path, value), from, to))
                    .as("%s: %s = %s", engine, path, value)
                    .isNotEqualTo(seen(catalog(from), from, to));
        }
    }

    private static JsonNode changed(Dialect from, String path, String value) throws Exception {
        JsonNode catalog = catalog(from);
        int end = path.lastIndexOf('/');
        ((ObjectNode) catalog.at(path.substring(0, end))).set(path.substring(end + 1), Json.MAPPER.readTree(value));
        return catalog;
    }
}
