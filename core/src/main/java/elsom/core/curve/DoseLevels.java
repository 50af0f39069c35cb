package elsom.core.curve;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.DoubleUnaryOperator;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;

/**
 * Measurements summed up by dose, rising: about a dose's mean their squares do not depend on the curve, so that it is fitted
 * through means.
 */
public record DoseLevels(List<Level> levels) {
    /**
     * A dose.
     *
     * @param within squares of its units about their mean
     * @param weight what a unit counts: the reciprocal of its variance but for a factor
     */
    public record Level(double dose, double mean, int n, double within, double weight) {}

    public DoseLevels {
        levels = List.copyOf(levels);
    }

    /** All units counting alike. */
    public static DoseLevels of(DoseResponse data) {
        Map<Double, List<Double>> byDose = data.points().stream()
                .collect(Collectors.groupingBy(
                        DoseResponse.Point::dose,
                        TreeMap::new,
                        Collectors.mapping(DoseResponse.Point::response, Collectors.toList())));
        return new DoseLevels(byDose.entrySet().stream()
                .map(entry -> level(entry.getKey(), entry.getValue()))
                .toList());
    }

    private static Level level(double dose, List<Double> values) {
        double mean = values.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
        double within = values.stream()
                .mapToDouble(value -> (value - mean) * (value - mean))
                .sum();
        return new Level(dose, mean, values.size(), within, 1);
    }

    /** The same with other weights. */
    public DoseLevels weighed(ToDoubleFunction<Level> weight) {
        return new DoseLevels(levels.stream()
                .map(level ->
                        new Level(level.dose(), level.mean(), level.n(), level.within(), weight.applyAsDouble(level)))
                .toList());
    }

    /** With other means, all else as it is. */
    DoseLevels mapped(DoubleUnaryOperator mean) {
        return new DoseLevels(levels.stream()
                .map(level -> new Level(
                        level.dose(), mean.applyAsDouble(level.mean()), level.n(), level.within(), level.weight()))
                .toList());
    }

    private double[] all(ToDoubleFunction<Level> what) {
        return levels.stream().mapToDouble(what).toArray();
    }

    double[] doses() {
        return all(Level::dose);
    }

    double[] means() {
        return all(Level::mean);
    }

    double[] weights() {
        return all(level -> level.n() * level.weight());
    }

    /** Weighed squares of units about their doses' means. */
    public double within() {
        return levels.stream()
                .mapToDouble(level -> level.weight() * level.within())
                .sum();
    }

    public int units() {
        return levels.stream().mapToInt(Level::n).sum();
    }

    /** Degrees of freedom of units within doses. */
    public int withinDf() {
        return units() - levels.size();
    }

    /** Doses above 0, rising. */
    public List<Double> positiveDoses() {
        return levels.stream().map(Level::dose).filter(dose -> dose > 0).toList();
    }

    public double lowestDose() {
        return positiveDoses().get(0);
    }

    public double highestDose() {
        return levels.get(levels.size() - 1).dose();
    }
}
