package elsom.web.kit;

import com.fasterxml.jackson.annotation.JsonInclude;
import tools.jackson.databind.json.JsonMapper;

/** Page data for scripts, put into a data attribute, where the template escapes it. */
public final class Json {
    private static final JsonMapper MAPPER = JsonMapper.builder()
            .changeDefaultPropertyInclusion(inclusion -> inclusion.withValueInclusion(JsonInclude.Include.NON_NULL))
            .build();

    private Json() {}

    public static String of(Object data) {
        return MAPPER.writeValueAsString(data);
    }
}
