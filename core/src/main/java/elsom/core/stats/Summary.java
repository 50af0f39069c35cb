package elsom.core.stats;

import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * Mean and scatter of the units of one group.
 *
 * @param n units
 * @param sd standard deviation with n − 1; empty for a single unit
 */
public record Summary(int n, double mean, OptionalDouble sd) {
    /**
     * Summarises one value a unit.
     *
     * @throws IllegalArgumentException if there is none, or one is not finite
     */
    public static Summary of(double[] values) {
        if (values.length == 0) {
            throw new IllegalArgumentException("a summary needs at least one value");
        }
        for (double value : values) {
            if (!Double.isFinite(value)) {
                throw new IllegalArgumentException("values must be finite, got " + value);
            }
        }
        double mean = Arrays.stream(values).average().orElseThrow();
        double squares = Arrays.stream(values).map(v -> (v - mean) * (v - mean)).sum();
        return new Summary(
                values.length,
                mean,
                values.length < 2
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(Math.sqrt(squares / (values.length - 1))));
    }

    /** The 95 % interval of the mean by Student's t; empty for a single unit. */
    public Optional<Interval> interval95() {
        if (sd.isEmpty()) {
            return Optional.empty();
        }
        double half = TDistribution.of(n - 1).inverseSurvivalProbability(0.025) * sd.getAsDouble() / Math.sqrt(n);
        return Optional.of(new Interval(mean - half, mean + half));
    }

    /** The standard deviation over the mean's size; empty for a single unit or a mean of 0. */
    public OptionalDouble coefficientOfVariation() {
        return sd.isEmpty() || mean == 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(sd.getAsDouble() / Math.abs(mean));
    }
}
