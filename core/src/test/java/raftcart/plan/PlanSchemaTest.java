package raftcart.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import raftcart.error.PlanException;
import raftcart.workspace.JsonSchema;

/** The published schema of the plan and the reader of the plan know the same keys and values. */
class PlanSchemaTest {
    private static final String ENDS = "source: {url: 'jdbc:mariadb://a/k'}\ntarget: {url: 'jdbc:postgresql://b/k'}\n";
    private static final com.networknt.schema.JsonSchema SCHEMA =
            JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(JsonSchema.PLAN.text());

    private static List<String> faults(String yaml) throws Exception {
        return SCHEMA.validate(new YAMLMapper().readTree(yaml)).stream()
                .map(Object::toString)
                .toList();
    }

    /** Every plan of the documentation is a plan to both. */
    @Test
    void theExamplesOfTheDocumentationHold() throws Exception {
        String page = Files.readString(Path.of("../docs/plan.md"));
        List<String> examples = new ArrayList<>();
        for (String block : page.substring(page.indexOf("## Examples")).split("\n\n(?! {4})")) {
            Matcher lines = Pattern.compile("(?m)^ {4}(.*)$").matcher(block);
            StringBuilder yaml = new StringBuilder();
            while (lines.find()) {
                yaml.append(lines.group(1)).append('\n');
            }
            if (yaml.toString().matches("(?s)(tables|columns|names|schemas|values):.*")) {
                examples.add(yaml.toString());
            }
        }
        assertThat(examples).hasSizeGreaterThan(6).allSatisfy(e -> {
            assertThat(faults(ENDS + e)).as(e).isEmpty();
            assertThat(PlanFile.parse(ENDS + e, "example")).isNotNull();
        });
    }

    /** A plan with every key of the schema, each with each value that it may have. */
    @Test
    void everyKeyOfTheSchemaIsReadAndNoOther() throws Exception {
        JsonNode schema = new ObjectMapper().readTree(JsonSchema.PLAN.text());
        for (int variant = 0; variant < 4; variant++) {
            ObjectNode plan = (ObjectNode) sample(schema, schema, variant);
            String yaml = new YAMLMapper().writeValueAsString(plan);
            assertThat(faults(yaml)).isEmpty();
            JsonNode effective = PlanFile.tree(PlanFile.parse(yaml, "plan"));
            assertThat(keys(effective, "")).containsAll(keys(plan, ""));
            assertThat(faults(new YAMLMapper().writeValueAsString(effective))).isEmpty();
            refusesOthers(schema, plan, plan);
        }
    }

    /** Another key in any object is refused by both. */
    private void refusesOthers(JsonNode schema, JsonNode node, ObjectNode plan) throws Exception {
        if (node instanceof ObjectNode object && !object.isEmpty() && !isFree(object)) {
            object.put("nonsense", "x");
            String yaml = new YAMLMapper().writeValueAsString(plan);
            assertThat(faults(yaml)).isNotEmpty();
            assertThatThrownBy(() -> PlanFile.parse(yaml, "plan"))
                    .isInstanceOf(PlanException.class)
                    .hasMessageContaining("nonsense");
            object.remove("nonsense");
        }
        for (JsonNode child : node) {
            refusesOthers(schema, child, plan);
        }
    }

    /** Objects whose keys are names of the user's. */
    private static boolean isFree(ObjectNode object) {
        return object.has("RC0101") || object.has("free");
    }

    private static JsonNode sample(JsonNode schema, JsonNode root, int variant) {
        if (schema.has("$ref")) {
            return sample(root.at(schema.get("$ref").asText().substring(1)), root, variant);
        }
        ObjectMapper mapper = new ObjectMapper();
        if (schema.has("const")) {
            return schema.get("const");
        }
        if (schema.has("enum")) {
            return schema.get("enum").get(variant % schema.get("enum").size());
        }
        switch (schema.path("type").asText()) {
            case "object":
                ObjectNode object = mapper.createObjectNode();
                schema.path("properties")
                        .properties()
                        .forEach(p -> object.set(p.getKey(), sample(p.getValue(), root, variant)));
                if (schema.path("additionalProperties").isObject()) {
                    String key = schema.has("propertyNames") ? "RC0101" : "free";
                    object.set(key, sample(schema.get("additionalProperties"), root, variant));
                }
                return object;
            case "array":
                ArrayNode array = mapper.createArrayNode();
                return array.add(sample(schema.get("items"), root, variant));
            case "integer", "number":
                return mapper.getNodeFactory()
                        .numberNode(Math.max(variant + 1, schema.path("minimum").asInt()));
            case "boolean":
                return mapper.getNodeFactory().booleanNode(variant % 2 == 0);
            default:
                return mapper.getNodeFactory().textNode("text" + variant);
        }
    }

    private static TreeSet<String> keys(JsonNode node, String path) {
        TreeSet<String> keys = new TreeSet<>();
        node.properties().forEach(p -> {
            keys.add(path + p.getKey());
            keys.addAll(keys(p.getValue(), path + p.getKey() + "."));
        });
        if (node.isArray()) {
            node.forEach(n -> keys.addAll(keys(n, path + "[].")));
        }
        return keys;
    }
}
