package elsom.web.kit;

import com.fasterxml.jackson.annotation.JsonInclude;
import elsom.core.trial.Treatment;
import java.util.function.Function;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.PropertyNamingStrategies;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/** Data as JSON: for the scripts of a page, in an attribute that the template escapes, or as a file. */
public final class Json {
    private static final JsonMapper MAPPER = JsonMapper.builder()
            .changeDefaultPropertyInclusion(inclusion -> inclusion.withValueInclusion(JsonInclude.Include.NON_NULL))
            .addModule(treatments(Swatch::of))
            .build();

    private static final JsonMapper SNAKES = JsonMapper.builder()
            .propertyNamingStrategy(PropertyNamingStrategies.SNAKE_CASE)
            .addModule(treatments(Treatment::name))
            .build();

    /** Writes treatments as something else: as they are drawn, or by their name. */
    private static final class Treatments extends ValueSerializer<Treatment> {
        private final Function<Treatment, Object> as;

        Treatments(Function<Treatment, Object> as) {
            this.as = as;
        }

        @Override
        public void serialize(Treatment treatment, JsonGenerator out, SerializationContext context) {
            context.writeValue(out, as.apply(treatment));
        }
    }

    private static SimpleModule treatments(Function<Treatment, Object> as) {
        return new SimpleModule().addSerializer(Treatment.class, new Treatments(as));
    }

    private Json() {}

    /** A file for scripts: every field is there, null when it can't be had. */
    public static String snakes(Object data) {
        return SNAKES.writerWithDefaultPrettyPrinter().writeValueAsString(data);
    }

    public static String of(Object data) {
        return MAPPER.writeValueAsString(data);
    }
}
