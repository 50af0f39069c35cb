package elsom.core.stats;

import elsom.core.stats.Tests.ChiSquaredTest;
import elsom.core.stats.Tests.FTest;
import elsom.core.stats.Tests.ShapiroTest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.apache.commons.statistics.distribution.FDistribution;

/** Comparisons of several independent groups by one factor. */
public final class OneWay {
    /** What rounding alone can make of equal means, in units of the last place of the largest value. */
    private static final double ROUNDING = 4;

    private final List<Group> groups;
    private final int total;
    private final double grandMean;
    private final double between;
    private final double within;

    private OneWay(List<Group> groups) {
        this.groups = List.copyOf(groups);
        this.total = groups.stream().mapToInt(Group::n).sum();
        double sum = 0;
        double squares = 0;
        double largest = 0;
        for (Group group : groups) {
            sum += group.n() * group.mean();
            squares += group.squares();
            largest = Math.max(largest, group.largest());
        }
        this.grandMean = sum / total;
        this.within = squares;
        double apart = 0;
        for (Group group : groups) {
            apart += group.n() * (group.mean() - grandMean) * (group.mean() - grandMean);
        }
        double rounding = ROUNDING * Math.ulp(largest);
        this.between = apart > total * rounding * rounding ? apart : 0;
    }

    /** Groups to compare, at least two. */
    public static OneWay of(List<Group> groups) {
        if (groups.size() < 2) {
            throw new IllegalArgumentException("two or more groups are needed, got " + groups.size());
        }
        return new OneWay(groups);
    }

    public List<Group> groups() {
        return groups;
    }

    public double grandMean() {
        return grandMean;
    }

    public double sumOfSquaresBetween() {
        return between;
    }

    public double sumOfSquaresWithin() {
        return within;
    }

    public int dfBetween() {
        return groups.size() - 1;
    }

    public int dfWithin() {
        return total - groups.size();
    }

    /** The residual mean square; empty when every group has one value. */
    public OptionalDouble meanSquareError() {
        return dfWithin() > 0 ? OptionalDouble.of(within / dfWithin()) : OptionalDouble.empty();
    }

    /** The classical analysis of variance. */
    public Outcome<FTest> classical() {
        if (dfWithin() == 0) {
            return Outcome.notEstimable("One unit per treatment shows no scatter to judge by");
        }
        return f(between / dfBetween(), within / dfWithin(), dfBetween(), dfWithin());
    }

    private static Outcome<FTest> f(double numerator, double denominator, double df1, double df2) {
        if (denominator > 0) {
            double f = numerator / denominator;
            return Outcome.found(
                    new FTest(f, df1, df2, FDistribution.of(df1, df2).survivalProbability(f)));
        }
        return numerator > 0
                ? Outcome.found(new FTest(Double.POSITIVE_INFINITY, df1, df2, 0))
                : Outcome.notEstimable("All values are the same");
    }

    /** The share of all variation that lies between groups, η². */
    public OptionalDouble etaSquared() {
        return between + within > 0 ? OptionalDouble.of(between / (between + within)) : OptionalDouble.empty();
    }

    /** The same, corrected for chance, ω². */
    public OptionalDouble omegaSquared() {
        if (meanSquareError().isEmpty() || !(between + within > 0)) {
            return OptionalDouble.empty();
        }
        double mse = meanSquareError().getAsDouble();
        return OptionalDouble.of((between - dfBetween() * mse) / (between + within + mse));
    }

    /** Without assuming equal variances (Welch 1951). */
    public Outcome<FTest> welch() {
        if (groups.stream().anyMatch(group -> group.n() < 2 || !(group.variance() > 0))) {
            return Outcome.notEstimable("A group without scatter can't be compared by this test");
        }
        double weights = 0;
        double weighted = 0;
        for (Group group : groups) {
            double weight = group.n() / group.variance();
            weights += weight;
            weighted += weight * group.mean();
        }
        double mean = weighted / weights;
        double numerator = 0;
        double lambda = 0;
        for (Group group : groups) {
            double weight = group.n() / group.variance();
            numerator += weight * (group.mean() - mean) * (group.mean() - mean);
            lambda += (1 - weight / weights) * (1 - weight / weights) / (group.n() - 1);
        }
        int k = groups.size();
        double f = numerator / (k - 1) / (1 + 2.0 * (k - 2) / (k * k - 1.0) * lambda);
        double df2 = (k * k - 1) / (3 * lambda);
        return Outcome.found(
                new FTest(f, k - 1, df2, FDistribution.of(k - 1, df2).survivalProbability(f)));
    }

    /** By ranks, corrected for ties (Kruskal & Wallis 1952). */
    public Outcome<ChiSquaredTest> kruskal() {
        double[] all = groups.stream()
                .flatMap(group -> group.values().stream())
                .mapToDouble(Double::doubleValue)
                .toArray();
        Ranks ranks = Ranks.of(all);
        double correction = 1 - ranks.tieSum() / ((double) total * total * total - total);
        if (!(correction > 0)) {
            return Outcome.notEstimable("All values are the same");
        }
        double sum = 0;
        int from = 0;
        for (Group group : groups) {
            double rankSum = 0;
            for (int i = from; i < from + group.n(); i++) {
                rankSum += ranks.rank(i);
            }
            from += group.n();
            sum += rankSum * rankSum / group.n();
        }
        double h = (12 * sum / (total * (total + 1.0)) - 3 * (total + 1.0)) / correction;
        return Outcome.found(new ChiSquaredTest(
                h, dfBetween(), ChiSquaredDistribution.of(dfBetween()).survivalProbability(h)));
    }

    /** Equality of variances by deviations from the group means (Levene 1960). */
    public Outcome<FTest> levene() {
        return spread(Group::mean);
    }

    /** Equality of variances by deviations from the group medians (Brown & Forsythe 1974). */
    public Outcome<FTest> brownForsythe() {
        return spread(Group::median);
    }

    private Outcome<FTest> spread(ToDoubleFunction<Group> centre) {
        OneWay deviations = new OneWay(groups.stream()
                .map(group -> new Group(
                        group.name(),
                        group.values().stream()
                                .map(v -> Math.abs(v - centre.applyAsDouble(group)))
                                .toList()))
                .toList());
        double largest = groups.stream().mapToDouble(Group::largest).max().orElse(0);
        double rounding = ROUNDING * Math.ulp(largest);
        return deviations.within > total * rounding * rounding
                ? deviations.classical()
                : Outcome.notEstimable("The deviations do not scatter");
    }

    /** Normality of the residuals. */
    public Outcome<ShapiroTest> residualNormality() {
        List<Double> residuals = new ArrayList<>();
        groups.forEach(group -> group.values().forEach(value -> residuals.add(value - group.mean())));
        double[] sorted = residuals.stream().mapToDouble(Double::doubleValue).toArray();
        Arrays.sort(sorted);
        return within > 0 ? ShapiroWilk.test(sorted) : Outcome.notEstimable("The residuals do not scatter");
    }
}
