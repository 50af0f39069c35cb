package elsom.core.stats;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;

/** The values of one group, one a unit. Immutable; mean and scatter are worked out once. */
public final class Group {
    /** What rounding alone can make of deviations from a mean, in units of the last place of the largest value. */
    private static final double ROUNDING = 4;

    private final String name;
    private final List<Double> values;
    private final double[] array;
    private final double mean;
    private final double squares;

    /**
     * A group.
     *
     * @throws IllegalArgumentException if it has no values, or one is not finite
     */
    public Group(String name, List<Double> values) {
        this.name = name;
        this.values = List.copyOf(values);
        this.array = this.values.stream().mapToDouble(Double::doubleValue).toArray();
        if (array.length == 0) {
            throw new IllegalArgumentException("group “" + name + "” has no values");
        }
        for (double value : array) {
            if (!Double.isFinite(value)) {
                throw new IllegalArgumentException("group “" + name + "” has a value that is not a finite number");
            }
        }
        this.mean = Arrays.stream(array).average().orElseThrow();
        double sum = 0;
        for (double value : array) {
            sum += (value - mean) * (value - mean);
        }
        this.squares = sum > array.length * rounding() * rounding() ? sum : 0;
    }

    private double rounding() {
        return ROUNDING * Math.ulp(largest());
    }

    /** The size of the largest value. */
    double largest() {
        double largest = 0;
        for (double value : array) {
            largest = Math.max(largest, Math.abs(value));
        }
        return largest;
    }

    public String name() {
        return name;
    }

    public List<Double> values() {
        return values;
    }

    public int n() {
        return array.length;
    }

    double[] array() {
        return array.clone();
    }

    public double mean() {
        return mean;
    }

    /** Sum of squared deviations from the mean; 0 where they are no more than rounding. */
    double squares() {
        return squares;
    }

    /** Variance with n − 1; 0 for a single value. */
    double variance() {
        return n() < 2 ? 0 : squares / (n() - 1);
    }

    public double median() {
        double[] sorted = array();
        Arrays.sort(sorted);
        int middle = n() / 2;
        return n() % 2 == 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Group group && name.equals(group.name) && values.equals(group.values);
    }

    @Override
    public int hashCode() {
        return Objects.hash(name, values);
    }

    @Override
    public String toString() {
        return name + " " + values;
    }
}
