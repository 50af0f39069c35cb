package elsom.core.material;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What was done to a lot before it is used, or how it behaves when wetted. */
public enum Preparation {
    SIEVED("sieved"),
    DRIED("dried"),
    CHARGED("charged"),
    LIMED("limed"),
    PRE_WETTED("pre-wetted"),
    FLOATS("floats");

    private final String label;

    Preparation(String label) {
        this.label = label;
    }

    /** The word on pages and in files. */
    public String label() {
        return label;
    }

    public static Optional<Preparation> called(String word) {
        String wanted = word.strip().toLowerCase(Locale.ROOT);
        return Arrays.stream(values()).filter(one -> one.label.equals(wanted)).findFirst();
    }
}
