package elsom.core.stats;

import org.apache.commons.statistics.distribution.TDistribution;

/** The t statistic of two groups without assuming equal variances (Welch 1947); the difference is b less a. */
public record WelchT(double difference, double error, double df) {
    /** Not estimable when a group has one value, or neither scatters. */
    public static Outcome<WelchT> of(Group a, Group b) {
        if (a.n() < 2 || b.n() < 2) {
            return Outcome.notEstimable("One unit of a treatment shows no scatter to judge by");
        }
        double va = a.variance() / a.n();
        double vb = b.variance() / b.n();
        if (!(va + vb > 0)) {
            return Outcome.notEstimable("Neither treatment scatters, so there is nothing to judge by");
        }
        double df = (va + vb) * (va + vb) / (va * va / (a.n() - 1) + vb * vb / (b.n() - 1));
        return Outcome.found(new WelchT(b.mean() - a.mean(), Math.sqrt(va + vb), df));
    }

    public double t() {
        return difference / error;
    }

    /** Two-sided. */
    public double p() {
        return 2 * TDistribution.of(df).survivalProbability(Math.abs(t()));
    }
}
