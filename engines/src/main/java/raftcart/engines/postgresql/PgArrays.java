package raftcart.engines.postgresql;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import raftcart.workspace.Json;

/** Arrays, which move as JSON, as PostgreSQL's own constants ("Array Input and Output Syntax"). */
final class PgArrays {
    private PgArrays() {}

    /**
     * The constant of an array.
     *
     * @throws SQLException if the bytes are no JSON array; the row is refused then
     */
    static byte[] constant(byte[] data, int start, int end) throws SQLException {
        String json = new String(data, start, end - start, StandardCharsets.UTF_8);
        try {
            JsonNode array = Json.MAPPER.readTree(json);
            if (!array.isArray()) {
                throw new SQLException("no array: " + json, "22P02");
            }
            StringBuilder text = new StringBuilder();
            append(array, text);
            return text.toString().getBytes(StandardCharsets.UTF_8);
        } catch (JsonProcessingException e) {
            throw new SQLException("no array: " + json, "22P02", e);
        }
    }

    private static void append(JsonNode item, StringBuilder text) {
        if (item.isArray()) {
            text.append('{');
            for (int i = 0; i < item.size(); i++) {
                text.append(i == 0 ? "" : ",");
                append(item.get(i), text);
            }
            text.append('}');
        } else if (item.isNull()) {
            text.append("NULL");
        } else {
            String value = item.isObject() ? item.toString() : item.asText();
            text.append('"')
                    .append(value.replace("\\", "\\\\").replace("\"", "\\\""))
                    .append('"');
        }
    }
}
