package elsom.core.stats;

import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * Ordinary least squares of y on x.
 *
 * @param slopeError standard error of the slope; empty without a residual degree of freedom
 * @param rSquared empty when y never changes
 * @param residualError residual standard deviation; empty without a residual degree of freedom
 */
public record StraightLine(
        double intercept,
        double slope,
        OptionalDouble slopeError,
        OptionalDouble rSquared,
        OptionalDouble residualError,
        int degreesOfFreedom) {

    /**
     * Fits a line.
     *
     * @return not estimable with fewer than two points, or when x never changes
     */
    public static Outcome<StraightLine> fit(double[] x, double[] y) {
        if (x.length != y.length) {
            throw new IllegalArgumentException("x and y must be equally long, got " + x.length + " and " + y.length);
        }
        double meanX = Arrays.stream(x).average().orElse(0);
        double meanY = Arrays.stream(y).average().orElse(0);
        double sxx = 0;
        double sxy = 0;
        double syy = 0;
        for (int i = 0; i < x.length; i++) {
            sxx += (x[i] - meanX) * (x[i] - meanX);
            sxy += (x[i] - meanX) * (y[i] - meanY);
            syy += (y[i] - meanY) * (y[i] - meanY);
        }
        if (x.length < 2 || !(sxx > 0)) {
            return Outcome.notEstimable("A line needs two points at different places");
        }
        double slope = sxy / sxx;
        double intercept = meanY - slope * meanX;
        int df = x.length - 2;
        double rss = 0;
        for (int i = 0; i < x.length; i++) {
            double residual = y[i] - intercept - slope * x[i];
            rss += residual * residual;
        }
        OptionalDouble error = df > 0 ? OptionalDouble.of(Math.sqrt(rss / df)) : OptionalDouble.empty();
        return Outcome.found(new StraightLine(
                intercept,
                slope,
                df > 0 ? OptionalDouble.of(error.getAsDouble() / Math.sqrt(sxx)) : OptionalDouble.empty(),
                syy > 0 ? OptionalDouble.of(1 - rss / syy) : OptionalDouble.empty(),
                error,
                df));
    }

    /** The 95 % interval of the slope by Student's t; empty without a residual degree of freedom. */
    public Optional<Interval> slopeInterval95() {
        if (slopeError.isEmpty()) {
            return Optional.empty();
        }
        double half = TDistribution.of(degreesOfFreedom).inverseSurvivalProbability(0.025) * slopeError.getAsDouble();
        return Optional.of(new Interval(slope - half, slope + half));
    }

    /** The two-sided p-value of a slope of 0; empty without a residual degree of freedom, or for a perfect fit. */
    public OptionalDouble slopeP() {
        return slopeError.isEmpty() || slopeError.getAsDouble() == 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(2
                        * TDistribution.of(degreesOfFreedom)
                                .survivalProbability(Math.abs(slope) / slopeError.getAsDouble()));
    }
}
