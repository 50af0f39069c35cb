package elsom.core.stats;

import java.util.Arrays;
import java.util.Optional;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * One estimate out of several trials of the same comparison, where trials differ by more than chance.
 *
 * @param estimate mean over trials, each weighted by what it tells
 * @param interval95 by Hartung and Knapp with Student's t, never narrower than the same with no variance between trials
 * @param betweenVariance of true differences between trials (Paule and Mandel); 0 where scatter within explains all
 * @param q Cochran's Q
 * @param qP chance of as much heterogeneity if all trials had one true difference
 * @param inconsistency I²: the share of the scatter between estimates that is not chance, 0 to 1
 * @param prediction95 where the true difference of the next trial likely lies; empty with fewer than three trials
 * @param common what these very trials say, whatever others would
 * @param errors of the estimate
 */
public record RandomEffects(
        int trials,
        double estimate,
        Interval interval95,
        double betweenVariance,
        double q,
        double qP,
        double inconsistency,
        Optional<Interval> prediction95,
        Common common,
        Errors errors) {
    /**
     * Standard errors of the estimate.
     *
     * @param normal as if the variance between trials were known
     * @param hartungKnapp by how the trials lie around it
     */
    public record Errors(double normal, double hartungKnapp) {}

    /** What these very trials say together, of no others: each weighted by its own scatter alone. */
    public record Common(double estimate, double error) {
        /** Its 95 % interval, with the degrees of freedom of all trials' scatter together. */
        public Interval interval95(double df) {
            double half = TDistribution.of(df).inverseCumulativeProbability(TAIL) * error;
            return new Interval(estimate - half, estimate + half);
        }
    }

    private static final double TAIL = 0.975;
    private static final int STEPS = 200;
    private static final int FEWEST_TO_PREDICT = 3;

    /**
     * The pooled estimate. Paule and Mandel (1982), J. Res. Natl. Bur. Stand. 87:377–385, for the variance between trials;
     * Hartung and Knapp (2001), Stat. Med. 20:3875–3889, for the interval, with the correction of Röver, Knapp and Friede
     * (2015), BMC Med. Res. Methodol. 15:99, that keeps it from being too narrow with few trials; Higgins, Thompson and
     * Spiegelhalter (2009), J. R. Stat. Soc. A 172:137–159, for the prediction interval.
     *
     * @param estimates of each trial
     * @param variances of those, above 0
     * @throws IllegalArgumentException with fewer than two trials, or a variance that is not above 0
     */
    public static RandomEffects of(double[] estimates, double[] variances) {
        int k = estimates.length;
        if (k < 2 || variances.length != k) {
            throw new IllegalArgumentException("two trials or more with a variance each, got " + k);
        }
        for (double variance : variances) {
            if (!(variance > 0) || Double.isInfinite(variance)) {
                throw new IllegalArgumentException("a variance must be above 0, got " + variance);
            }
        }
        double q = q(estimates, variances, 0);
        double between = between(estimates, variances, q);
        double weights = 0;
        for (double variance : variances) {
            weights += 1 / (variance + between);
        }
        double mean = mean(estimates, variances, between);
        Errors errors =
                new Errors(Math.sqrt(1 / weights), Math.sqrt(q(estimates, variances, between) / (k - 1) / weights));
        double error = Math.max(errors.normal(), errors.hartungKnapp());
        double half = TDistribution.of(k - 1).inverseCumulativeProbability(TAIL) * error;
        return new RandomEffects(
                k,
                mean,
                new Interval(mean - half, mean + half),
                between,
                q,
                ChiSquaredDistribution.of(k - 1).survivalProbability(q),
                q <= 0 ? 0 : Math.max(0, (q - (k - 1)) / q),
                k < FEWEST_TO_PREDICT ? Optional.empty() : Optional.of(prediction(mean, between, error, k)),
                new Common(
                        mean(estimates, variances, 0),
                        Math.sqrt(
                                1 / Arrays.stream(variances).map(one -> 1 / one).sum())),
                errors);
    }

    private static Interval prediction(double mean, double between, double error, int k) {
        double half = TDistribution.of(k - 2).inverseCumulativeProbability(TAIL) * Math.sqrt(between + error * error);
        return new Interval(mean - half, mean + half);
    }

    /** The variance between trials at which Q is what chance alone would make it; Q falls as it rises. */
    private static double between(double[] estimates, double[] variances, double qWithout) {
        int free = estimates.length - 1;
        if (qWithout <= free) {
            return 0;
        }
        double low = 0;
        double high = 1e-12;
        while (q(estimates, variances, high) > free) {
            high *= 2;
        }
        for (int step = 0; step < STEPS; step++) {
            double middle = (low + high) / 2;
            if (q(estimates, variances, middle) > free) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    private static double mean(double[] estimates, double[] variances, double between) {
        double sum = 0;
        double weights = 0;
        for (int i = 0; i < estimates.length; i++) {
            double weight = 1 / (variances[i] + between);
            sum += weight * estimates[i];
            weights += weight;
        }
        return sum / weights;
    }

    private static double q(double[] estimates, double[] variances, double between) {
        double mean = mean(estimates, variances, between);
        double q = 0;
        for (int i = 0; i < estimates.length; i++) {
            q += (estimates[i] - mean) * (estimates[i] - mean) / (variances[i] + between);
        }
        return q;
    }
}
