package elsom.web.trial;

import com.fasterxml.jackson.annotation.JsonAutoDetect.Visibility;
import com.fasterxml.jackson.annotation.JsonInclude;
import elsom.core.plan.Plan;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.UnitCode;
import java.util.function.Function;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.StdSerializer;

/** A plan as a JSON document, in the store and in a trial's files; docs/files.md describes it. */
public final class PlanJson {
    private static final JsonMapper MAPPER = JsonMapper.builder()
            .changeDefaultVisibility(visibility -> visibility
                    .withGetterVisibility(Visibility.NONE)
                    .withIsGetterVisibility(Visibility.NONE)
                    .withFieldVisibility(Visibility.ANY))
            .changeDefaultPropertyInclusion(inclusion -> inclusion.withValueInclusion(JsonInclude.Include.NON_NULL))
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .addModule(codes())
            .build();

    private PlanJson() {}

    private static SimpleModule codes() {
        SimpleModule module = new SimpleModule();
        asText(module, ProtocolCode.class, ProtocolCode::new, ProtocolCode::value);
        asText(module, EndpointCode.class, EndpointCode::new, EndpointCode::value);
        asText(module, UnitCode.class, UnitCode::new, UnitCode::value);
        return module;
    }

    private static <T> void asText(
            SimpleModule module, Class<T> type, Function<String, T> read, Function<T, String> write) {
        module.addSerializer(type, new StdSerializer<T>(type) {
            @Override
            public void serialize(T value, JsonGenerator json, SerializationContext context) {
                json.writeString(write.apply(value));
            }
        });
        module.addDeserializer(type, new StdDeserializer<T>(type) {
            @Override
            public T deserialize(JsonParser json, DeserializationContext context) {
                return read.apply(json.getString());
            }
        });
    }

    public static String write(Plan plan) {
        return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(plan);
    }

    /**
     * Reads a plan.
     *
     * @throws IllegalArgumentException with what is wrong and where, if it is not a plan
     */
    public static Plan read(String json) {
        try {
            Plan plan = MAPPER.readValue(json, Plan.class);
            if (plan == null) {
                throw new IllegalArgumentException("it is empty");
            }
            return plan;
        } catch (JacksonException | NullPointerException malformed) {
            String reason = malformed instanceof JacksonException jackson
                    ? jackson.getOriginalMessage()
                    : "something a plan needs is missing";
            throw new IllegalArgumentException(reason, malformed);
        }
    }
}
