package elsom.web.kit;

import elsom.core.material.Fitness;

/** How good news and bad is coloured and marked, by the names that the style sheet knows. */
public final class Tones {
    private Tones() {}

    public static String of(Fitness fitness) {
        return switch (fitness) {
            case PASS -> "better";
            case FAIL -> "worse";
            case CAUTION, UNKNOWN -> "cant_tell";
        };
    }
}
