package elsom.core.design;

import elsom.core.stats.FisherExact;
import elsom.core.stats.NoncentralF;
import elsom.core.stats.NoncentralT;
import elsom.core.stats.Outcome;
import elsom.core.stats.Proportion;
import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.apache.commons.statistics.distribution.FDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.apache.commons.statistics.distribution.TDistribution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/** What a trial of a size can see, and the size that sees a difference (Cohen 1988; Fleiss 1981 for proportions). */
public final class Power {
    private static final NormalDistribution NORMAL = NormalDistribution.of(0, 1);
    private static final double FEWEST = 2;
    private static final double MOST = 1e7;

    private Power() {}

    /**
     * Units a group.
     *
     * @param exact the size at which the power is met exactly; 2 when two already suffice
     * @param achieved the power with that many units, rounded up
     */
    public record Size(double exact, boolean twoSuffice, int perGroup, double achieved) {}

    /** Power of the one-way F test for Cohen's f, with n units in each of k groups. */
    public static double anova(int groups, double n, double f, double alpha) {
        double df2 = groups * (n - 1);
        double critical = FDistribution.of(groups - 1, df2).inverseSurvivalProbability(alpha);
        return NoncentralF.survival(critical, groups - 1, df2, n * groups * f * f);
    }

    /** Cohen's f of these group means: their spread over the standard deviation. */
    public static double cohenF(double[] means, double sd) {
        if (!(sd > 0)) {
            throw new IllegalArgumentException("the standard deviation must be above 0, got " + sd);
        }
        double mean = Arrays.stream(means).average().orElseThrow();
        double squares = Arrays.stream(means).map(m -> (m - mean) * (m - mean)).sum();
        return Math.sqrt(squares / means.length) / sd;
    }

    /** Units a group for the one-way F test; not estimable when the groups do not differ. */
    public static Outcome<Size> anovaSize(int groups, double f, double alpha, double power) {
        return f > 0
                ? size(n -> anova(groups, n, f, alpha), power)
                : Outcome.notEstimable("Groups that do not differ can't be told apart with any number of units");
    }

    /** Power of the two-sided t test, both tails counted. */
    public static double t(double n1, double n2, double standardised, double alpha) {
        double df = n1 + n2 - 2;
        double critical = TDistribution.of(df).inverseSurvivalProbability(alpha / 2);
        double shift = standardised * Math.sqrt(n1 * n2 / (n1 + n2));
        return 1 - NoncentralT.cumulative(critical, df, shift) + NoncentralT.cumulative(-critical, df, shift);
    }

    /** Units in each of two groups for the t test; not estimable without a difference. */
    public static Outcome<Size> tSize(double standardised, double alpha, double power) {
        return standardised != 0
                ? size(n -> t(n, n, standardised, alpha), power)
                : Outcome.notEstimable("A difference of nothing can't be seen with any number of units");
    }

    private static Outcome<Size> size(DoubleUnaryOperator powerOf, double wanted) {
        if (powerOf.applyAsDouble(FEWEST) >= wanted) {
            return Outcome.found(new Size(FEWEST, true, (int) FEWEST, powerOf.applyAsDouble(FEWEST)));
        }
        double high = 4;
        while (powerOf.applyAsDouble(high) < wanted) {
            high *= 2;
            if (high > MOST) {
                return Outcome.notEstimable("More units would be needed than any bench holds");
            }
        }
        double exact = solve(n -> powerOf.applyAsDouble(n) - wanted, FEWEST, high);
        int whole = (int) Math.ceil(exact - 1e-9);
        return Outcome.found(new Size(exact, false, whole, powerOf.applyAsDouble(whole)));
    }

    private static double solve(DoubleUnaryOperator f, double low, double high) {
        return new BracketingNthOrderBrentSolver(1e-12, 1e-12, 5).solve(300, f::applyAsDouble, low, high);
    }

    /** The standardised difference of two groups that the t test sees with this power. */
    public static double tDetectable(double n1, double n2, double alpha, double power) {
        return detectable(d -> t(n1, n2, d, alpha), power);
    }

    /** The standardised difference of two groups, the others half-way, that the F test sees with this power. */
    public static double anovaDetectable(int groups, double n, double alpha, double power) {
        return detectable(d -> anova(groups, n, d / Math.sqrt(2.0 * groups), alpha), power);
    }

    /** Standard deviations beyond which nothing is looked for. */
    private static final double FURTHEST = 1e6;

    private static double detectable(DoubleUnaryOperator powerOf, double wanted) {
        double high = 1;
        while (powerOf.applyAsDouble(high) < wanted) {
            high *= 2;
            if (high > FURTHEST) {
                return Double.POSITIVE_INFINITY;
            }
        }
        return solve(d -> powerOf.applyAsDouble(d) - wanted, 0, high);
    }

    /** Units in each of two groups to tell two proportions apart, without continuity correction (Fleiss 1981). */
    public static double proportionsSize(double p1, double p2, double alpha, double power) {
        double a = NORMAL.inverseSurvivalProbability(alpha / 2);
        double b = NORMAL.inverseCumulativeProbability(power);
        double mean = (p1 + p2) / 2;
        double root = a * Math.sqrt(2 * mean * (1 - mean)) + b * Math.sqrt(p1 * (1 - p1) + p2 * (1 - p2));
        return root * root / ((p1 - p2) * (p1 - p2));
    }

    /** Cohen's h: the difference of two proportions on the arcsine scale. */
    public static double cohenH(double p1, double p2) {
        return 2 * Math.asin(Math.sqrt(p1)) - 2 * Math.asin(Math.sqrt(p2));
    }

    /** Units in each of two groups on the arcsine scale. */
    public static double arcsineSize(double h, double alpha, double power) {
        double sum = NORMAL.inverseSurvivalProbability(alpha / 2) + NORMAL.inverseCumulativeProbability(power);
        return sum * sum / (h * h);
    }

    /** Power of Fisher's exact two-sided test, over all tables. */
    public static double fisher(double p1, double p2, int n1, int n2, double alpha) {
        BinomialDistribution one = BinomialDistribution.of(n1, p1);
        BinomialDistribution two = BinomialDistribution.of(n2, p2);
        double sum = 0;
        for (int x1 = 0; x1 <= n1; x1++) {
            for (int x2 = 0; x2 <= n2; x2++) {
                if (FisherExact.of(new Proportion(x1, n1), new Proportion(x2, n2))
                                .p()
                        < alpha) {
                    sum += one.probability(x1) * two.probability(x2);
                }
            }
        }
        return sum;
    }
}
