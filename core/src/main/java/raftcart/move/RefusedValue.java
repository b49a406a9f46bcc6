package raftcart.move;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import raftcart.translate.ColumnMapping;
import raftcart.type.ValueForm;

/**
 * A value in a line of refused rows, and back: texts as they travel, bytes in Base64, and an object with the member
 * {@code bytes} where a text's bytes are not UTF-8.
 */
final class RefusedValue {
    private static final String BYTES = "bytes";

    private RefusedValue() {}

    static void put(ObjectNode values, ColumnMapping column, RowBuffer rows, int row, int place) {
        String name = column.source().name();
        if (rows.isNull(row, place)) {
            values.putNull(name);
            return;
        }
        byte[] bytes = Arrays.copyOfRange(rows.data(), rows.start(row, place), rows.end(row, place));
        String text = new String(bytes, StandardCharsets.UTF_8);
        if (column.form() == ValueForm.BYTES) {
            values.put(name, Base64.getEncoder().encodeToString(bytes));
        } else if (Arrays.equals(text.getBytes(StandardCharsets.UTF_8), bytes)) {
            values.put(name, text);
        } else {
            values.putObject(name).put(BYTES, Base64.getEncoder().encodeToString(bytes));
        }
    }

    /**
     * Adds a value to a row.
     *
     * @throws IllegalArgumentException if the line has no such value, or it is not Base64 where it has to be
     */
    static void add(RowBuffer rows, ColumnMapping column, JsonNode values) {
        JsonNode value = values.get(column.source().name());
        if (value == null) {
            throw new IllegalArgumentException("no value for " + column.source().name());
        }
        if (value.isNull()) {
            rows.addNull();
        } else if (value.isObject()) {
            rows.add(Base64.getDecoder().decode(value.path(BYTES).asText()));
        } else if (column.form() == ValueForm.BYTES) {
            rows.add(Base64.getDecoder().decode(value.asText()));
        } else {
            rows.add(value.asText().getBytes(StandardCharsets.UTF_8));
        }
    }
}
