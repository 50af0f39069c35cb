package elsom.core.trial;

import java.util.regex.Pattern;

/** The name a protocol has in files and in the store, such as {@code water-holding}. */
public record ProtocolCode(String value) {
    private static final Pattern SHAPE = Pattern.compile("[a-z][a-z0-9-]{0,39}");

    public ProtocolCode {
        if (!SHAPE.matcher(value).matches()) {
            throw new IllegalArgumentException("a protocol code is lower-case words with hyphens, got " + value);
        }
    }

    @Override
    public String toString() {
        return value;
    }
}
