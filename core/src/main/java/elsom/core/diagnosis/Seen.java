package elsom.core.diagnosis;

import elsom.core.quantity.Bounds;
import java.util.Optional;

/**
 * A sign that was looked for.
 *
 * @param plants the indicator group it was looked for in; empty when it counts once for all together
 * @param degree how far it was there, 0 to 1: of what has an edge, such as a high EC, half at the edge; what is absent
 *     speaks too
 */
public record Seen(Sign sign, Optional<IndicatorGroup> plants, double degree) {
    private static final double EDGE = 0.5;

    public Seen {
        Bounds.number("a degree", degree, 0, 1);
    }

    /** What is there or is not. */
    public Seen(Sign sign, Optional<IndicatorGroup> plants, boolean present) {
        this(sign, plants, present ? 1.0 : 0.0);
    }

    public boolean present() {
        return degree >= EDGE;
    }

    /** In words: "cupped leaf in the legume". */
    public String words() {
        return sign.words(present())
                + plants.map(group -> (sign == Sign.INJURED ? ": " : " in the ") + group.label())
                        .orElse("");
    }
}
