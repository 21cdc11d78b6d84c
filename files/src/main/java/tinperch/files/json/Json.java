package tinperch.files.json;

import com.fasterxml.jackson.annotation.JsonAutoDetect;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.PropertyAccessor;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.datatype.jdk8.Jdk8Module;
import com.fasterxml.jackson.datatype.jsr310.JavaTimeModule;
import tinperch.files.FileFault;

/** Turns records into JSON and back. Unknown fields are passed over, so that older versions open newer files. */
public final class Json {
    private static final ObjectMapper MAPPER = JsonMapper.builder()
            .addModule(new JavaTimeModule())
            .addModule(new Jdk8Module())
            .disable(SerializationFeature.WRITE_DATES_AS_TIMESTAMPS)
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .disable(DeserializationFeature.ADJUST_DATES_TO_CONTEXT_TIME_ZONE)
            .serializationInclusion(JsonInclude.Include.NON_NULL)
            .visibility(PropertyAccessor.ALL, JsonAutoDetect.Visibility.NONE)
            .visibility(PropertyAccessor.FIELD, JsonAutoDetect.Visibility.ANY)
            .visibility(PropertyAccessor.CREATOR, JsonAutoDetect.Visibility.ANY)
            .annotationIntrospector(new SealedKinds())
            .addHandler(new SealedKinds.UnknownKind())
            .build();

    static {
        MAPPER.getFactory().setStreamReadConstraints(
                StreamReadConstraints.builder().maxNestingDepth(100).maxStringLength(20_000_000).build());
    }

    private Json() {}

    public static String text(Object record) {
        try {
            return MAPPER.writeValueAsString(record);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("A record cannot be written as JSON", e);
        }
    }

    /** The same, over several lines. */
    public static String pretty(Object record) {
        try {
            return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(record);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("A record cannot be written as JSON", e);
        }
    }

    /** @throws FileFault when the text is not JSON of that shape */
    public static <T> T read(String text, Class<T> type) throws FileFault {
        try {
            T value = MAPPER.readValue(text, type);
            if (value == null) {
                throw new FileFault("The text is empty.");
            }
            return value;
        } catch (JsonProcessingException | RuntimeException e) {
            throw new FileFault("This is not what it should be: " + firstLine(e), e);
        }
    }

    public static JsonNode tree(Object record) {
        return MAPPER.valueToTree(record);
    }

    /** @throws FileFault when the text is no JSON */
    public static JsonNode tree(String text) throws FileFault {
        return read(text, JsonNode.class);
    }

    /** @throws FileFault when the tree is not of that shape */
    public static <T> T read(JsonNode tree, Class<T> type) throws FileFault {
        try {
            T value = MAPPER.treeToValue(tree, type);
            if (value == null) {
                throw new FileFault("It is empty.");
            }
            return value;
        } catch (JsonProcessingException | RuntimeException e) {
            throw new FileFault("This is not what it should be: " + firstLine(e), e);
        }
    }

    private static String firstLine(Exception e) {
        String m = String.valueOf(e.getMessage());
        int end = m.indexOf('\n');
        return end < 0 ? m : m.substring(0, end);
    }
}
