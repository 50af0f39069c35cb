package elsom.core.stats;

import java.util.List;

/** The values of one group, one a unit. */
public record Group(String name, List<Double> values) {
    public Group {
        values = List.copyOf(values);
        if (values.isEmpty()) {
            throw new IllegalArgumentException("group “" + name + "” has no values");
        }
        if (values.stream().anyMatch(value -> !Double.isFinite(value))) {
            throw new IllegalArgumentException("group “" + name + "” has a value that is not a finite number");
        }
    }

    public int n() {
        return values.size();
    }

    double[] array() {
        return values.stream().mapToDouble(Double::doubleValue).toArray();
    }

    public double mean() {
        return Summary.of(array()).mean();
    }

    /** Sum of squared deviations from the mean. */
    double squares() {
        double mean = mean();
        return values.stream().mapToDouble(v -> (v - mean) * (v - mean)).sum();
    }

    /** Variance with n − 1; 0 for a single value. */
    double variance() {
        return n() < 2 ? 0 : squares() / (n() - 1);
    }

    public double median() {
        List<Double> sorted = values.stream().sorted().toList();
        int middle = n() / 2;
        return n() % 2 == 1 ? sorted.get(middle) : (sorted.get(middle - 1) + sorted.get(middle)) / 2;
    }
}
