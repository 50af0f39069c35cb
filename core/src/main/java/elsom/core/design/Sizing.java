package elsom.core.design;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.stats.NoncentralT;
import elsom.core.working.Source;
import elsom.core.working.Term;
import elsom.core.working.Working;
import java.util.List;
import java.util.OptionalInt;
import org.apache.commons.statistics.distribution.TDistribution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * What a trial of n units a treatment can see: the power of the t test of two treatments with the error's degrees of
 * freedom of the whole design (Cohen 1988). Differences and scatter are fractions of the control's mean.
 *
 * @param treatments how many, the control counted
 * @param blocked whether blocks take degrees of freedom
 * @param cv coefficient of variation between units of one treatment, above 0
 */
public record Sizing(int treatments, boolean blocked, double cv) {
    public static final double ALPHA = 0.05;
    public static final double POWER = 0.8;
    public static final int MOST = 50;
    private static final double LARGEST_SHIFT = 200;

    private static final Source SOURCE =
            new Source("Cohen 1988: power of the t test, noncentral t; two-sided, 5 % level, 80 % power.");

    public Sizing {
        if (treatments < 2 || !(cv > 0 && cv < Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException(
                    "sizing needs two treatments and a CV above 0, got " + treatments + " and " + cv);
        }
    }

    /** Degrees of freedom that are left for the scatter between units; 0 when there are none. */
    public int errorDf(int n) {
        return blocked ? (treatments - 1) * (n - 1) : treatments * (n - 1);
    }

    /**
     * The chance that a true difference shows as significant.
     *
     * @param difference as a fraction of the control's mean, above 0
     */
    public double power(int n, double difference) {
        int df = errorDf(n);
        if (df < 1) {
            return 0;
        }
        double critical = TDistribution.of(df).inverseSurvivalProbability(ALPHA / 2);
        double shift = Math.min(LARGEST_SHIFT, difference / (cv * Math.sqrt(2.0 / n)));
        return 1 - NoncentralT.cumulative(critical, df, shift) + NoncentralT.cumulative(-critical, df, shift);
    }

    /** The difference seen with 80 % power, as a fraction of the control's mean; infinite for one unit each. */
    public double detectable(int n) {
        int df = errorDf(n);
        if (df < 1) {
            return Double.POSITIVE_INFINITY;
        }
        double unit = cv * Math.sqrt(2.0 / n);
        return unit
                * new BracketingNthOrderBrentSolver(1e-10, 1e-10, 5)
                        .solve(200, shift -> power(n, shift * unit) - POWER, 1e-6, LARGEST_SHIFT);
    }

    /** The fewest units of each that see a difference with 80 % power; empty when {@link #MOST} do not. */
    public OptionalInt needed(double difference) {
        for (int n = 2; n <= MOST; n++) {
            if (power(n, difference) >= POWER) {
                return OptionalInt.of(n);
            }
        }
        return OptionalInt.empty();
    }

    /** How the detectable difference of n units comes about. */
    public Working working(int n) {
        double detectable = detectable(n);
        int df = errorDf(n);
        return new Working(
                "difference that " + n + " units of each can see",
                "shift · CV · √(2 ÷ n), where the shift is the noncentrality at which the t test reaches 80 % power",
                List.of(
                        Term.given("units of each, n", n, UnitOfMeasure.COUNT, 0),
                        Term.given("treatments", treatments, UnitOfMeasure.COUNT, 0),
                        Term.given("scatter between units, CV", cv, UnitOfMeasure.FRACTION, 1),
                        Term.given("degrees of freedom of the scatter", df, UnitOfMeasure.COUNT, 0)),
                df < 1
                        ? List.of("with one unit of each there is no scatter to judge by: nothing can be seen")
                        : List.of(
                                "standard error of a difference = " + Decimals.percent(cv, 1) + " % · √(2 ÷ " + n
                                        + ") = " + Decimals.percent(cv * Math.sqrt(2.0 / n), 2) + " %",
                                "shift = " + Decimals.fixed(detectable / (cv * Math.sqrt(2.0 / n)), 2),
                                "difference = " + Decimals.percent(detectable, 1) + " % of the control"),
                SOURCE,
                List.of("For one comparison. Many comparisons at once need more, or a Dunnett or Tukey test."));
    }
}
