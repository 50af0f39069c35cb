package elsom.core.trial;

import java.util.regex.Pattern;

/** The name an endpoint has in files and in the store, such as {@code wet-mass}. */
public record EndpointCode(String value) {
    private static final Pattern SHAPE = Pattern.compile("[a-z][a-z0-9-]{0,39}");

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
