package elsom.core.curve;

import java.util.OptionalDouble;
import org.apache.commons.statistics.distribution.FDistribution;

/** Whether a curve misses the means of doses by more than their units scatter (Draper &amp; Smith 1998, §2.1). */
public final class LackOfFit {
    private LackOfFit() {}

    /**
     * The chance of missing them by so much when the curve is right.
     *
     * @param missed squares of the means about the curve, each times its units
     * @param df doses less parameters
     * @param within squares of units about their means
     * @param withinDf units less doses
     * @return empty without replicates, scatter or doses to spare
     */
    public static OptionalDouble p(double missed, int df, double within, int withinDf) {
        return df < 1 || withinDf < 1 || !(within > 0)
                ? OptionalDouble.empty()
                : OptionalDouble.of(FDistribution.of(df, withinDf)
                        .survivalProbability(Math.max(0, missed / df) / (within / withinDf)));
    }
}
