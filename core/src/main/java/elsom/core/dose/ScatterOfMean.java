package elsom.core.dose;

import elsom.core.curve.CurveFit;
import elsom.core.curve.DoseLevels;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;

/**
 * How the scatter of units follows the mean of their dose: its variance as a power of the mean, or, where readings lie
 * between two ends, of the room to both. The power is the mean of what the units hold likely from none to a variance in
 * proportion to the square (Carroll &amp; Ruppert 1988, ch. 3), so that few units say little and change little.
 */
final class ScatterOfMean {
    private static final int STEPS = 20;
    /** Below this share of the greatest mean a coarse reading scatters no less. */
    private static final double LEAST = 0.02;

    private static final double LEAST_ROOM = 0.02;

    private ScatterOfMean() {}

    /**
     * Weighs each dose by the reciprocal of its variance.
     *
     * @param curve through the levels, for their means
     * @param most the greatest value there can be, 0 being the least; empty where there is no such end
     */
    static DoseLevels weigh(CurveFit curve, OptionalDouble most) {
        DoseLevels levels = curve.levels();
        List<DoseLevels.Level> all = levels.levels();
        double[] base = base(curve, most);
        double[] likelihood = new double[STEPS + 1];
        for (int step = 0; step <= STEPS; step++) {
            likelihood[step] = likelihood(all, base, (double) step / STEPS);
        }
        double highest = IntStream.rangeClosed(0, STEPS)
                .mapToDouble(i -> likelihood[i])
                .max()
                .orElseThrow();
        double sum = 0;
        double total = 0;
        for (int step = 0; step <= STEPS; step++) {
            double weight = Math.exp(likelihood[step] - highest);
            sum += weight * step / STEPS;
            total += weight;
        }
        double power = Double.isFinite(total) ? sum / total : 0;
        double[] weight = IntStream.range(0, base.length)
                .mapToDouble(i -> Math.pow(base[i], -power))
                .toArray();
        double mean = IntStream.range(0, base.length)
                .mapToDouble(i -> weight[i])
                .average()
                .orElseThrow();
        return levels.weighed(level -> weight[all.indexOf(level)] / mean);
    }

    /** The variance at each dose, but for a factor, where the power is 1. */
    private static double[] base(CurveFit curve, OptionalDouble most) {
        double[] fitted = curve.levels().levels().stream()
                .mapToDouble(level -> curve.at(level.dose()))
                .toArray();
        double greatest = IntStream.range(0, fitted.length)
                .mapToDouble(i -> Math.abs(fitted[i]))
                .max()
                .orElseThrow();
        DoubleUnaryOperator variance = most.isPresent()
                ? mean -> {
                    double share = Math.min(1, Math.max(0, mean / most.getAsDouble()));
                    return share * (1 - share) + LEAST_ROOM;
                }
                : mean -> Math.pow(Math.max(LEAST, Math.abs(mean) / greatest), 2);
        return IntStream.range(0, fitted.length)
                .mapToDouble(i -> variance.applyAsDouble(fitted[i]))
                .toArray();
    }

    /** The logarithm of the likelihood of the units' squares about their doses' means, the scale at its best. */
    private static double likelihood(List<DoseLevels.Level> levels, double[] base, double power) {
        double squares = 0;
        double logs = 0;
        int df = 0;
        for (int i = 0; i < base.length; i++) {
            DoseLevels.Level level = levels.get(i);
            squares += level.within() / Math.pow(base[i], power);
            logs += (level.n() - 1) * power * Math.log(base[i]);
            df += level.n() - 1;
        }
        return squares > 0 ? -0.5 * (df * Math.log(squares) + logs) : 0;
    }
}
