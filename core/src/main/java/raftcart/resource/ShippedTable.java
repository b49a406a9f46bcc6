package raftcart.resource;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.dataformat.yaml.YAMLFactory;
import java.io.IOException;
import java.io.InputStream;

/**
 * Opens a YAML table of the tool's own. The build writes a twin of each in JSON beside it (see {@link JsonTwins}), which
 * is read instead where it exists. Both are read without an object mapper: its set-up alone costs a short command more
 * than the reading.
 */
public final class ShippedTable {
    private ShippedTable() {}

    /**
     * Opens a table.
     *
     * @param beside the class in whose folder a relative path starts
     * @param path ends in {@code .yaml}
     * @throws IllegalStateException if the program lacks it
     */
    public static JsonParser open(Class<?> beside, String path) throws IOException {
        InputStream json = beside.getResourceAsStream(JsonTwins.twin(path));
        if (json != null) {
            return new JsonFactory().createParser(json);
        }
        InputStream yaml = beside.getResourceAsStream(path);
        if (yaml == null) {
            throw new IllegalStateException(path + " is missing from the program");
        }
        return new YAMLFactory().createParser(yaml);
    }

    /** Reads a whole table. */
    public static JsonNode tree(Class<?> beside, String path) throws IOException {
        try (JsonParser parser = open(beside, path)) {
            parser.nextToken();
            return value(parser);
        }
    }

    /** The value at which a parser stands; afterwards it stands at the value's last token. */
    public static JsonNode value(JsonParser parser) throws IOException {
        JsonNodeFactory nodes = JsonNodeFactory.instance;
        JsonToken token = parser.currentToken();
        if (token == JsonToken.START_OBJECT) {
            ObjectNode object = nodes.objectNode();
            while (parser.nextToken() == JsonToken.FIELD_NAME) {
                String name = parser.currentName();
                parser.nextToken();
                object.set(name, value(parser));
            }
            return object;
        }
        if (token == JsonToken.START_ARRAY) {
            ArrayNode array = nodes.arrayNode();
            while (parser.nextToken() != JsonToken.END_ARRAY) {
                array.add(value(parser));
            }
            return array;
        }
        if (token == JsonToken.VALUE_TRUE || token == JsonToken.VALUE_FALSE) {
            return nodes.booleanNode(token == JsonToken.VALUE_TRUE);
        }
        if (token == JsonToken.VALUE_NUMBER_INT) {
            return nodes.numberNode(parser.getLongValue());
        }
        if (token == JsonToken.VALUE_NULL) {
            return nodes.nullNode();
        }
        return nodes.textNode(parser.getText());
    }
}
