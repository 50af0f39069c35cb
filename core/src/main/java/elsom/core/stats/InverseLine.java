package elsom.core.stats;

import java.util.Optional;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * A fitted line read backwards: where it reaches a level, with normal intervals.
 *
 * @param varianceOfIntercept and the two others: the covariance of the estimates
 */
public record InverseLine(
        double intercept, double slope, double varianceOfIntercept, double covariance, double varianceOfSlope) {
    private static final double Z = NormalDistribution.of(0, 1).inverseSurvivalProbability(0.025);

    /**
     * Where a level is reached.
     *
     * @param standardError by the delta method
     * @param interval95 by the delta method
     * @param fieller95 by Fieller's theorem; empty when the slope is not clear of 0
     */
    public record Place(double x, double standardError, Interval interval95, Optional<Interval> fieller95) {}

    /** Fieller's g: how uncertain the slope is; at 1 or more its sign is not certain. */
    public double g() {
        return g(Z);
    }

    /** The same for another multiplier of standard errors. */
    public double g(double multiplier) {
        return multiplier * multiplier * varianceOfSlope / (slope * slope);
    }

    /** The standard error of the line at x. */
    public double standardErrorAt(double x) {
        return Math.sqrt(spread(x));
    }

    public Place at(double level) {
        return at(level, Z);
    }

    /** The same with another multiplier of standard errors in both intervals. */
    public Place at(double level, double multiplier) {
        double x = (level - intercept) / slope;
        double error = Math.sqrt(spread(x)) / Math.abs(slope);
        return new Place(
                x, error, new Interval(x - multiplier * error, x + multiplier * error), fieller(x, multiplier));
    }

    private double spread(double x) {
        return varianceOfIntercept + 2 * x * covariance + x * x * varianceOfSlope;
    }

    private Optional<Interval> fieller(double x, double multiplier) {
        double g = g(multiplier);
        if (!(g < 1)) {
            return Optional.empty();
        }
        double centre = x + g / (1 - g) * (x + covariance / varianceOfSlope);
        double inside = spread(x) - g * (varianceOfIntercept - covariance * covariance / varianceOfSlope);
        double half = multiplier / (Math.abs(slope) * (1 - g)) * Math.sqrt(Math.max(0, inside));
        return Optional.of(new Interval(centre - half, centre + half));
    }
}
