package elsom.web.series;

import com.fasterxml.jackson.annotation.JsonAutoDetect.Visibility;
import elsom.core.series.Mapping;
import java.time.DateTimeException;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** A mapping as it is remembered. */
final class MappingJson {
    private static final JsonMapper MAPPER = JsonMapper.builder()
            .changeDefaultVisibility(visibility -> visibility
                    .withGetterVisibility(Visibility.NONE)
                    .withIsGetterVisibility(Visibility.NONE)
                    .withFieldVisibility(Visibility.ANY))
            .build();

    /** One remembered before rows could name what they hold has no such column, which would be read as the first. */
    private static final String SINCE_NAMES = "\"names\"";

    private MappingJson() {}

    static String write(Mapping mapping) {
        return MAPPER.writeValueAsString(mapping);
    }

    /** Empty where it was remembered by another version and says something else now. */
    static Optional<Mapping> read(String json) {
        if (!json.contains(SINCE_NAMES)) {
            return Optional.empty();
        }
        try {
            return Optional.ofNullable(MAPPER.readValue(json, Mapping.class));
        } catch (JacksonException | IllegalArgumentException | DateTimeException other) {
            return Optional.empty();
        }
    }
}
