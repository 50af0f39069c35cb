package elsom.web.bench;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.io.IOException;
import java.io.InputStream;
import java.util.Arrays;
import java.util.Map;
import java.util.Objects;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What is told to machines of the door for scripts is what the code takes and answers. */
class IntakeDescribedTest {
    private static final Map<Class<?>, String> TYPES = Map.of(
            Long.class, "integer",
            long.class, "integer",
            Integer.class, "integer",
            int.class, "integer",
            boolean.class, "boolean",
            String.class, "string",
            java.util.UUID.class, "string",
            java.util.List.class, "array");

    private static JsonNode described() throws IOException {
        try (InputStream in =
                Objects.requireNonNull(IntakeDescribedTest.class.getResourceAsStream("/intake/openapi.json"))) {
            return JsonMapper.shared().readTree(in);
        }
    }

    private static Map<String, String> fields(Class<?> record) {
        return Arrays.stream(record.getRecordComponents())
                .collect(Collectors.toMap(
                        component -> {
                            JsonProperty named = component.getAccessor().getAnnotation(JsonProperty.class);
                            return named == null ? component.getName() : named.value();
                        },
                        component -> TYPES.getOrDefault(component.getType(), "Status")));
    }

    private static Map<String, String> fields(JsonNode schema) {
        return schema.path("properties").properties().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey,
                        one -> one.getValue().has("$ref")
                                ? "Status"
                                : one.getValue().path("type").asString()));
    }

    @Test
    void everyFieldWithItsType() throws IOException {
        JsonNode schemas = described().path("components").path("schemas");
        for (Class<?> record : new Class<?>[] {
            ScriptReadings.Sent.class,
            ScriptReadings.Batch.class,
            ScriptReadings.Answer.class,
            ScriptReadings.Line.class,
            ScriptReadings.BatchAnswer.class
        }) {
            assertThat(fields(schemas.path(record.getSimpleName())))
                    .as(record.getSimpleName())
                    .isEqualTo(fields(record));
        }
        TreeSet<String> states = new TreeSet<>();
        schemas.path("Status").path("enum").forEach(one -> states.add(one.asString()));
        assertThat(states)
                .isEqualTo(Arrays.stream(EntryAnswer.Status.values())
                        .map(Enum::name)
                        .collect(Collectors.toCollection(TreeSet::new)));
        assertThat(schemas.path("Batch")
                        .path("properties")
                        .path("readings")
                        .path("maxItems")
                        .asInt())
                .isEqualTo(ScriptReadings.MOST);
    }

    @Test
    void bothAddresses() throws IOException {
        assertThat(described().path("paths").propertyNames())
                .containsExactlyInAnyOrder("/intake/readings", "/intake/readings/batch");
    }
}
