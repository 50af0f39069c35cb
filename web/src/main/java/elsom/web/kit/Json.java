package elsom.web.kit;

import com.fasterxml.jackson.annotation.JsonInclude;
import tools.jackson.databind.PropertyNamingStrategies;
import tools.jackson.databind.json.JsonMapper;

/** Data as JSON: for the scripts of a page, in an attribute that the template escapes, or as a file. */
public final class Json {
    private static final JsonMapper MAPPER = JsonMapper.builder()
            .changeDefaultPropertyInclusion(inclusion -> inclusion.withValueInclusion(JsonInclude.Include.NON_NULL))
            .build();

    private static final JsonMapper SNAKES = JsonMapper.builder()
            .propertyNamingStrategy(PropertyNamingStrategies.SNAKE_CASE)
            .build();

    private Json() {}

    /** A file for scripts: every field is there, null when it can't be had. */
    public static String snakes(Object data) {
        return SNAKES.writerWithDefaultPrettyPrinter().writeValueAsString(data);
    }

    public static String of(Object data) {
        return MAPPER.writeValueAsString(data);
    }
}
