package elsom.core.stats;

import org.apache.commons.statistics.distribution.TDistribution;

/** The difference of two group means. */
public record MeanDifference(double difference, double degreesOfFreedom, Interval interval95) {
    /**
     * The 95 % interval of the mean of one group less that of another, without assuming equal scatter (Welch 1947,
     * Satterthwaite's degrees of freedom).
     */
    public static Outcome<MeanDifference> welch(Summary one, Summary other) {
        if (one.sd().isEmpty() || other.sd().isEmpty()) {
            return Outcome.notEstimable("One unit of a treatment shows no scatter to judge a difference by");
        }
        double a = square(one.sd().getAsDouble()) / one.n();
        double b = square(other.sd().getAsDouble()) / other.n();
        if (!(a + b > 0)) {
            return Outcome.notEstimable(
                    "The units of both treatments are exactly alike, so there is no scatter to judge by");
        }
        double df = square(a + b) / (square(a) / (one.n() - 1) + square(b) / (other.n() - 1));
        double half = TDistribution.of(df).inverseSurvivalProbability(0.025) * Math.sqrt(a + b);
        double difference = one.mean() - other.mean();
        return Outcome.found(new MeanDifference(difference, df, new Interval(difference - half, difference + half)));
    }

    private static double square(double x) {
        return x * x;
    }

    /** Whether the interval leaves out 0. */
    public boolean clear() {
        return interval95.low() > 0 || interval95.high() < 0;
    }
}
