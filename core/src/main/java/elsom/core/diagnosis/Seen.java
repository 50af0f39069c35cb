package elsom.core.diagnosis;

import java.util.Optional;

/**
 * A sign that was looked for.
 *
 * @param plants the indicator group it was looked for in; empty when it counts once for all together
 * @param present whether it was there; what is absent speaks too
 */
public record Seen(Sign sign, Optional<IndicatorGroup> plants, boolean present) {
    /** In words: "cupped leaf in the legume". */
    public String words() {
        return sign.words(present)
                + plants.map(group -> (sign == Sign.INJURED ? ": " : " in the ") + group.label())
                        .orElse("");
    }
}
