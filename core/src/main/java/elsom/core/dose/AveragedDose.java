package elsom.core.dose;

import elsom.core.stats.Interval;
import java.util.List;
import java.util.Optional;
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
     * @param df infinite for a normal distribution
     * @param root the signed root of how much worse the curve fits with the logarithm of the dose held there
     */
    record Part(double weight, double df, DoubleUnaryOperator root) {
        double below(double logDose) {
            double t = root.applyAsDouble(logDose);
            return TDistribution.of(df).cumulativeProbability(t);
        }
    }

    AveragedDose(List<Part> parts, double lowestTested, double highestTested) {
        this.parts = List.copyOf(parts);
        this.low = Math.log(lowestTested) - FAR;
        this.high = Math.log(highestTested) + FAR;
    }

    private double below(double logDose) {
        return parts.stream()
                .mapToDouble(part -> part.weight() * part.below(logDose))
                .sum();
    }

    private double at(double chance) {
        if (below(low) >= chance) {
            return 0;
        }
        return below(high) <= chance
                ? Double.POSITIVE_INFINITY
                : Math.exp(new BracketingNthOrderBrentSolver(NEAR, NEAR, 3)
                        .solve(MOST, at -> below(at) - chance, low, high));
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
