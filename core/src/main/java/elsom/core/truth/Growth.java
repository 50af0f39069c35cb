package elsom.core.truth;

import java.util.EnumMap;
import java.util.Map;

/** Growth of a plant where it stands: the logs of what each stressor leaves add up. */
public final class Growth {
    /** Injury that shows is scored 0 to 10. */
    private static final double DEAD = 10;

    /** Salt burns from the second day and is all there after a week. */
    private static final double SALT_BEGINS = 2;

    private static final double SALT_OVER = 8;

    /** A residue of the auxin type shows on what grows, from the second week on. */
    private static final double RESIDUE_BEGINS = 5;

    private static final double RESIDUE_OVER = 14;

    private Growth() {}

    /** The log of what each leaves, beside all that a plant could want; none is above 0. */
    public static Map<Stressor, Double> parts(Surroundings at, Species species) {
        Map<Stressor, Double> parts = new EnumMap<>(Stressor.class);
        for (Stressor stressor : Stressor.values()) {
            parts.put(stressor, Math.log(stressor.factor(at, species)));
        }
        return parts;
    }

    /** The log of growth beside all that a plant could want. */
    public static double log(Surroundings at, Species species) {
        double sum = 0;
        for (Stressor stressor : Stressor.values()) {
            sum += Math.log(stressor.factor(at, species));
        }
        return sum;
    }

    /** Growth in one place as a factor of growth in another. */
    public static double ratio(Surroundings here, Surroundings there, Species species) {
        return Math.exp(log(here, species) - log(there, species));
    }

    /** What an eye scores on a day after sowing, 0 none to 10 dead: burn of salts, and what a residue does to leaves. */
    public static double injury(Surroundings at, Species species, double days) {
        double burnt = (1 - Stressor.SALT.factor(at, species)) * Shapes.come(days, SALT_BEGINS, SALT_OVER);
        double twisted = Shapes.doseEffect(at.residue(), species.residueHalf(), 2.2)
                * 0.85
                * Shapes.come(days, RESIDUE_BEGINS, RESIDUE_OVER);
        return DEAD * (1 - (1 - burnt) * (1 - twisted));
    }

    /** How much of its final size a plant has on a day: it grows by a constant share at first, then fills its pot. */
    public static double size(double days, double lastDay) {
        double share = Math.min(1, Math.max(0, days / Math.max(1, lastDay)));
        return share * share * (3 - 2 * share);
    }
}
