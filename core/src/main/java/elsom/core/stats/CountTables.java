package elsom.core.stats;

import elsom.core.stats.Tests.ChiSquaredTest;
import java.util.Arrays;
import java.util.List;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;

/** Tests of several proportions together. */
public final class CountTables {
    private CountTables() {}

    /**
     * A trend over scores.
     *
     * @param z positive when shares rise with the scores
     * @param overall any difference
     * @param departure what the trend does not explain
     */
    public record Trend(
            double z, double pTwoSided, double pIncreasing, ChiSquaredTest overall, ChiSquaredTest departure) {}

    private static double pooled(List<Proportion> groups) {
        return groups.stream().mapToInt(Proportion::affected).sum()
                / (double) groups.stream().mapToInt(Proportion::n).sum();
    }

    /** Pearson's chi-squared over all groups; not estimable when everything or nothing was affected. */
    public static Outcome<ChiSquaredTest> overall(List<Proportion> groups) {
        double p = pooled(groups);
        if (p == 0 || p == 1) {
            return Outcome.notEstimable("Everything or nothing was affected, so groups can't be told apart");
        }
        double sum = groups.stream()
                .mapToDouble(g -> (g.affected() - g.n() * p) * (g.affected() - g.n() * p) / (g.n() * p * (1 - p)))
                .sum();
        return Outcome.found(chiSquared(sum, groups.size() - 1));
    }

    private static ChiSquaredTest chiSquared(double statistic, int df) {
        double p = df > 0 ? ChiSquaredDistribution.of(df).survivalProbability(statistic) : 1;
        return new ChiSquaredTest(statistic, df, p);
    }

    /** The smallest expected count of all cells, in which Pearson's approximation is weakest. */
    public static double smallestExpected(List<Proportion> groups) {
        double p = pooled(groups);
        return groups.stream()
                .mapToDouble(group -> group.n() * Math.min(p, 1 - p))
                .min()
                .orElseThrow();
    }

    /** Pearson's chi-squared of two proportions with Yates's continuity correction. */
    public static Outcome<ChiSquaredTest> yates(Proportion one, Proportion other) {
        return overall(List.of(one, other)).then(plain -> {
            double a = one.affected();
            double b = one.unaffected();
            double c = other.affected();
            double d = other.unaffected();
            double total = a + b + c + d;
            double corrected = Math.max(0, Math.abs(a * d - b * c) - total / 2);
            return Outcome.found(
                    chiSquared(total * corrected * corrected / ((a + b) * (c + d) * (a + c) * (b + d)), 1));
        });
    }

    /** The Cochran–Armitage trend (Cochran 1954, Armitage 1955), with N in the variance. */
    public static Outcome<Trend> trend(List<Proportion> groups, double[] scores) {
        if (groups.size() != scores.length) {
            throw new IllegalArgumentException(
                    "as many scores as groups are needed, got " + scores.length + " and " + groups.size());
        }
        if (Arrays.stream(scores).distinct().count() < 2) {
            return Outcome.notEstimable("A trend needs two different scores");
        }
        return overall(groups).then(overall -> {
            double p = pooled(groups);
            double total = groups.stream().mapToInt(Proportion::n).sum();
            double centre = 0;
            for (int i = 0; i < scores.length; i++) {
                centre += groups.get(i).n() * scores[i] / total;
            }
            double sum = 0;
            double variance = 0;
            for (int i = 0; i < scores.length; i++) {
                sum += scores[i] * (groups.get(i).affected() - groups.get(i).n() * p);
                variance += groups.get(i).n() * (scores[i] - centre) * (scores[i] - centre);
            }
            double z = sum / Math.sqrt(p * (1 - p) * variance);
            NormalDistribution normal = NormalDistribution.of(0, 1);
            return Outcome.found(new Trend(
                    z,
                    2 * normal.survivalProbability(Math.abs(z)),
                    normal.survivalProbability(z),
                    overall,
                    chiSquared(Math.max(0, overall.statistic() - z * z), groups.size() - 2)));
        });
    }
}
