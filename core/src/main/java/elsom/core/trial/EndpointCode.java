package elsom.core.trial;

import java.util.Set;
import java.util.regex.Pattern;

/** The name an endpoint has in files and in the store, such as {@code wet-mass}. */
public record EndpointCode(String value) {
    private static final Pattern SHAPE = Pattern.compile("[a-z][a-z0-9-]{0,39}");

    /** The score of injury, beside which symptoms may stand, whatever the kind of trial. */
    public static final EndpointCode INJURY = new EndpointCode("injury");

    /** How many of a unit's plants live, by the names that kinds of trial give it. */
    public static final Set<EndpointCode> LIVING = Set.of(new EndpointCode("alive"), new EndpointCode("survived"));

    public EndpointCode {
        if (!SHAPE.matcher(value).matches()) {
            throw new IllegalArgumentException("an endpoint code is lower-case words with hyphens, got " + value);
        }
    }

    @Override
    public String toString() {
        return value;
    }
}
