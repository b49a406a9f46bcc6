package raftcart.engines.postgresql;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import raftcart.workspace.Json;

/** Arrays, which move as JSON, as PostgreSQL's own constants ("Array Input and Output Syntax"); numbers keep their digits. */
final class PgArrays {
    private PgArrays() {}

    /**
     * The constant of an array.
     *
     * @param documents true for an array of JSON, whose items may be arrays themselves
     * @throws SQLException if the bytes are no JSON array; the row is refused then
     */
    static byte[] constant(byte[] data, int start, int end, boolean documents) throws SQLException {
        String json = new String(data, start, end - start, StandardCharsets.UTF_8);
        StringBuilder text = new StringBuilder();
        try (JsonParser parser = Json.MAPPER.createParser(json)) {
            if (parser.nextToken() != JsonToken.START_ARRAY) {
                throw new SQLException("no array: " + json, "22P02");
            }
            items(parser, json, documents, text);
        } catch (JsonProcessingException e) {
            throw new SQLException("no array: " + json, "22P02", e);
        } catch (IOException e) {
            throw new SQLException("a text in memory cannot be read", e);
        }
        return text.toString().getBytes(StandardCharsets.UTF_8);
    }

    private static void items(JsonParser parser, String json, boolean documents, StringBuilder text)
            throws IOException {
        text.append('{');
        String between = "";
        for (JsonToken token = parser.nextToken(); token != JsonToken.END_ARRAY; token = parser.nextToken()) {
            text.append(between);
            between = ",";
            if (token == JsonToken.VALUE_NULL) {
                text.append("NULL");
            } else if (token == JsonToken.START_ARRAY && !documents) {
                items(parser, json, false, text);
            } else if (documents || token == JsonToken.START_OBJECT) {
                int from = (int) parser.currentTokenLocation().getCharOffset();
                parser.skipChildren();
                parser.finishToken();
                quoted(json.substring(from, (int) parser.currentLocation().getCharOffset()), text);
            } else {
                quoted(parser.getText(), text);
            }
        }
        text.append('}');
    }

    private static void quoted(String value, StringBuilder text) {
        text.append('"')
                .append(value.replace("\\", "\\\\").replace("\"", "\\\""))
                .append('"');
    }
}
