package elsom.core.stats;

import java.util.Optional;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;

/** Some of a number: k of n. */
public record Proportion(int affected, int n) {
    private static final double Z = NormalDistribution.of(0, 1).inverseSurvivalProbability(0.025);

    public Proportion {
        if (n < 1 || affected < 0 || affected > n) {
            throw new IllegalArgumentException("a count must be 0 to n and n at least 1, got " + affected + " of " + n);
        }
    }

    public double share() {
        return (double) affected / n;
    }

    public int unaffected() {
        return n - affected;
    }

    /** The 95 % score interval (Wilson 1927), without continuity correction. */
    public Interval wilson95() {
        double p = share();
        double z2 = Z * Z;
        double centre = (p + z2 / (2 * n)) / (1 + z2 / n);
        double half = Z / (1 + z2 / n) * Math.sqrt(p * (1 - p) / n + z2 / (4.0 * n * n));
        return new Interval(
                affected == 0 ? 0 : Math.max(0, centre - half), affected == n ? 1 : Math.min(1, centre + half));
    }

    /** The exact 95 % interval (Clopper & Pearson 1934). */
    public Interval clopperPearson95() {
        return clopperPearson(0.05);
    }

    /** The exact interval at another chance of error, in both tails together. */
    public Interval clopperPearson(double alpha) {
        double low = affected == 0
                ? 0
                : BetaDistribution.of(affected, n - affected + 1.0).inverseCumulativeProbability(alpha / 2);
        double high = affected == n
                ? 1
                : BetaDistribution.of(affected + 1.0, n - affected).inverseSurvivalProbability(alpha / 2);
        return new Interval(low, high);
    }

    /** This share less another. */
    public double differenceFrom(Proportion other) {
        return share() - other.share();
    }

    /** The 95 % interval of that difference (Newcombe 1998, method 10). */
    public Interval newcombe95(Proportion other) {
        Interval own = wilson95();
        Interval others = other.wilson95();
        double difference = differenceFrom(other);
        return new Interval(
                difference - Math.hypot(share() - own.low(), others.high() - other.share()),
                difference + Math.hypot(own.high() - share(), other.share() - others.low()));
    }

    /** Whether, with another, everything or nothing was affected, so that nothing can be compared. */
    Optional<String> nothingToCompare(Proportion other) {
        int all = affected + other.affected;
        return all == 0 || all == n + other.n
                ? Optional.of("Everything or nothing was affected in both, so they can't be told apart")
                : Optional.empty();
    }
}
