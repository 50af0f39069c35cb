package elsom.core.design;

import org.apache.commons.statistics.distribution.NormalDistribution;

/** How many units a comparison needs. */
public final class Replicates {
    private static final NormalDistribution NORMAL = NormalDistribution.of(0, 1);

    private Replicates() {}

    /**
     * Units of each of two treatments to see a true difference with 80 % power at the 5 % level, two-sided: the normal
     * formula with Guenther's (1981) correction z²/4 for estimating the standard deviation, rounded up.
     *
     * @param sd standard deviation between units of one treatment, above 0
     * @param difference the true difference to be seen, not 0
     */
    public static int toTellApart(double sd, double difference) {
        if (!(sd > 0) || !(Math.abs(difference) > 0)) {
            throw new IllegalArgumentException("needs sd > 0 and a difference, got " + sd + " and " + difference);
        }
        double level = NORMAL.inverseSurvivalProbability(0.025);
        double power = NORMAL.inverseCumulativeProbability(0.8);
        double ratio = (level + power) * sd / difference;
        return (int) Math.min(Integer.MAX_VALUE, Math.max(2, Math.ceil(2 * ratio * ratio + level * level / 4)));
    }
}
