package elsom.core.material;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** Where a figure of a lot comes from, the most trusted first. */
public enum Origin {
    MEASURED("measured", "m"),
    LAB("lab sheet", "l"),
    LABEL("label", "b"),
    TYPICAL("typical", "t");

    private final String label;
    private final String mark;

    Origin(String label, String mark) {
        this.label = label;
        this.mark = mark;
    }

    /** The word on pages and in files. */
    public String label() {
        return label;
    }

    /** A letter beside a number. */
    public String mark() {
        return mark;
    }

    public static Optional<Origin> called(String word) {
        String wanted = word.strip().toLowerCase(Locale.ROOT);
        return Arrays.stream(values()).filter(one -> one.label.equals(wanted)).findFirst();
    }
}
