package elsom.core.dose;

import elsom.core.stats.Interval;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.DoubleUnaryOperator;
import org.apache.commons.statistics.distribution.TDistribution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * A dose from several curves: the chance that it lies below a value is the mean of what each curve says, by the weights of
 * the curves, and the ends of its interval are where that chance is 2.5 and 97.5 % (Turek &amp; Fletcher 2012).
 */
final class AveragedDose {
    private static final double END = 0.025;
    private static final double NEAR = 5e-4;
    private static final int MOST = 200;
    /** How far beyond the doses tested a search goes. */
    private static final double FAR = Math.log(1e4);

    private final List<Part> parts;
    private final double low;
    private final double high;

    /**
     * What a curve says.
     *
     * @param df of Student's t that its root is spread as
     * @param root the signed root of how much worse the curve fits with the logarithm of the dose held there
     */
    record Part(double weight, double df, DoubleUnaryOperator root) {
        double below(double logDose) {
            double t = root.applyAsDouble(logDose);
            return TDistribution.of(df).cumulativeProbability(t);
        }
    }

    /** What was worked out, from which the next search starts as near as it can. */
    private final NavigableMap<Double, Double> known = new TreeMap<>();

    /**
     * A dose.
     *
     * @param tested doses above 0, rising
     */
    AveragedDose(List<Part> parts, List<Double> tested) {
        this.parts = List.copyOf(parts);
        this.low = Math.log(tested.get(0)) - FAR;
        this.high = Math.log(tested.get(tested.size() - 1)) + FAR;
        tested.forEach(dose -> below(Math.log(dose)));
    }

    private double below(double logDose) {
        return known.computeIfAbsent(
                logDose,
                at -> parts.stream()
                        .mapToDouble(part -> part.weight() * part.below(at))
                        .sum());
    }

    private double at(double chance) {
        if (below(low) >= chance) {
            return 0;
        }
        if (below(high) <= chance) {
            return Double.POSITIVE_INFINITY;
        }
        double from = known.entrySet().stream()
                .filter(entry -> entry.getValue() < chance)
                .mapToDouble(Map.Entry::getKey)
                .max()
                .orElse(low);
        double to = known.tailMap(from, false).entrySet().stream()
                .filter(entry -> entry.getValue() >= chance)
                .mapToDouble(Map.Entry::getKey)
                .min()
                .orElse(high);
        return Math.exp(
                new BracketingNthOrderBrentSolver(NEAR, NEAR, 3).solve(MOST, at -> below(at) - chance, from, to));
    }

    /** The dose; empty where it may be anything. */
    Optional<DoseCurve.Effective> effective(double percent) {
        double dose = at(0.5);
        Interval within = new Interval(Math.min(dose, at(END)), Math.max(dose, at(1 - END)));
        double lowest = Math.exp(low + FAR);
        double highest = Math.exp(high - FAR);
        return within.low() == 0 && Double.isInfinite(within.high())
                ? Optional.empty()
                : Optional.of(new DoseCurve.Effective(
                        percent, dose, within, dose < lowest * (1 - NEAR) || dose > highest * (1 + NEAR)));
    }
}
