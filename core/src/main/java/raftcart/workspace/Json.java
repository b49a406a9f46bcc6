package raftcart.workspace;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.MapperFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.datatype.jdk8.Jdk8Module;

/** The one way in which records become JSON and JSON becomes records. */
public final class Json {
    /** Leaves out what is absent or empty; refuses what it does not know. */
    public static final ObjectMapper MAPPER = JsonMapper.builder()
            .addModule(new Jdk8Module())
            // The components of a record are all there is; a question such as isExpression() is not one of them.
            .disable(MapperFeature.AUTO_DETECT_IS_GETTERS)
            .defaultPropertyInclusion(
                    JsonInclude.Value.construct(JsonInclude.Include.NON_ABSENT, JsonInclude.Include.NON_ABSENT))
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .disable(SerializationFeature.FAIL_ON_EMPTY_BEANS)
            .build();

    private Json() {}

    /** JSON over several lines. */
    public static String pretty(Object value) {
        return text(value, true);
    }

    /** JSON on one line. */
    public static String line(Object value) {
        return text(value, false);
    }

    private static String text(Object value, boolean pretty) {
        try {
            return pretty
                    ? MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(value)
                    : MAPPER.writeValueAsString(value);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("a record of ours cannot be written as JSON", e);
        }
    }
}
