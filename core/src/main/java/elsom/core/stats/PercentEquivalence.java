package elsom.core.stats;

import java.util.Optional;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * Whether two means are alike to within so many percent of the first: two one-sided tests on the ratio (Schuirmann 1987;
 * Sasabuchi 1988), with Fieller's (1954) intervals.
 *
 * @param p the greater of both
 * @param intervalTost that at twice alpha which says the same
 */
public record PercentEquivalence(
        double percent,
        double s2,
        int df,
        double tLower,
        double tUpper,
        double pLower,
        double pUpper,
        double p,
        Bounds intervalTost,
        Bounds intervalTwoSided,
        boolean equivalent) {
    private static final double PERCENT = 100;

    /** An interval in percent; unbounded where the first mean can't be told from 0. */
    public record Bounds(boolean bounded, Optional<Double> low, Optional<Double> high) {}

    /** Judges two samples of two units or more together. */
    public static PercentEquivalence of(Group comparator, Group treatment, double marginPercent, double alpha) {
        int df = comparator.n() + treatment.n() - 2;
        double s2 = (squares(comparator) + squares(treatment)) / df;
        TDistribution t = TDistribution.of(df);
        double lower = against(comparator, treatment, s2, 1 - marginPercent / PERCENT);
        double upper = against(comparator, treatment, s2, 1 + marginPercent / PERCENT);
        double pLower = t.survivalProbability(lower);
        double pUpper = t.cumulativeProbability(upper);
        double p = Math.max(pLower, pUpper);
        return new PercentEquivalence(
                PERCENT * (treatment.mean() / comparator.mean() - 1),
                s2,
                df,
                lower,
                upper,
                pLower,
                pUpper,
                p,
                fieller(comparator, treatment, s2, t.inverseSurvivalProbability(alpha)),
                fieller(comparator, treatment, s2, t.inverseSurvivalProbability(alpha / 2)),
                p < alpha);
    }

    private static double squares(Group group) {
        return group.values().stream()
                .mapToDouble(value -> value - group.mean())
                .map(off -> off * off)
                .sum();
    }

    private static double against(Group comparator, Group treatment, double s2, double ratio) {
        return (treatment.mean() - ratio * comparator.mean())
                / Math.sqrt(s2 * (1.0 / treatment.n() + ratio * ratio / comparator.n()));
    }

    private static Bounds fieller(Group comparator, Group treatment, double s2, double t) {
        double mean = comparator.mean();
        double g = t * t * s2 / (comparator.n() * mean * mean);
        if (!(g < 1)) {
            return new Bounds(false, Optional.empty(), Optional.empty());
        }
        double ratio = treatment.mean() / mean;
        double half = t
                * Math.sqrt(s2)
                / Math.abs(mean)
                * Math.sqrt((1 - g) / treatment.n() + ratio * ratio / comparator.n());
        return new Bounds(
                true,
                Optional.of(PERCENT * ((ratio - half) / (1 - g) - 1)),
                Optional.of(PERCENT * ((ratio + half) / (1 - g) - 1)));
    }
}
