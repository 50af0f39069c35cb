package elsom.core.analysis;

import elsom.core.stats.Interval;
import java.util.Optional;

/**
 * Whether one factor does the same at all levels of the others: the difference of two differences that stands out most.
 *
 * @param shown whether it is there, at the question's alpha
 * @param p of the clearest difference of differences, adjusted for all of them (Šidák)
 * @param estimate first pair's difference less second pair's
 * @param interval likewise adjusted
 * @param factor index of the factor whose effect is looked at
 * @param first the comparison whose difference is looked at
 * @param second the comparison it is held against
 * @param odds the same on the scale of odds, where each unit is one plant
 */
public record Interaction(
        boolean shown,
        double p,
        double estimate,
        Interval interval,
        int factor,
        Cells first,
        Cells second,
        Optional<Odds> odds) {
    /** A treatment and what it is compared with, as indexes of arms. */
    public record Cells(int treatment, int comparator) {}

    /**
     * By a penalised logistic ({@link elsom.core.stats.PenalisedLogistic}).
     *
     * @param ratio of the two odds ratios
     * @param interval of that ratio; an end that can't be had is 0 or infinite
     * @param p adjusted as that of the shares
     */
    public record Odds(double ratio, Interval interval, double p) {}
}
