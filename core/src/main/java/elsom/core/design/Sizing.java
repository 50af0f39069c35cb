package elsom.core.design;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.stats.MaximumT;
import elsom.core.stats.NoncentralT;
import elsom.core.stats.StudentisedRange;
import elsom.core.working.Source;
import elsom.core.working.Term;
import elsom.core.working.Working;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalInt;
import org.apache.commons.statistics.distribution.TDistribution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * What a trial of n units a treatment can see: the power of one of its comparisons where all are judged together, with the
 * degrees of freedom of the whole design (Cohen 1988; Dunnett 1955; Tukey 1953). Differences and scatter are fractions of the control's mean.
 *
 * @param treatments how many, the control counted
 * @param blocked whether blocks take degrees of freedom
 * @param cv coefficient of variation between units of one treatment, above 0
 * @param together what is compared, which says how far an interval must reach
 */
public record Sizing(int treatments, boolean blocked, double cv, Together together) {
    /** What is compared, all with one chance of error. */
    public enum Together {
        /** One pair alone. */
        ONE,
        /** Every treatment beside the control (Dunnett 1955). */
        BESIDE_CONTROL,
        /** Every pair (Tukey 1953). */
        ALL_PAIRS
    }

    public static final double ALPHA = 0.05;
    public static final double POWER = 0.8;
    public static final int MOST = 50;
    private static final double LARGEST_SHIFT = 200;

    private static final Source SOURCE = new Source(
            "Cohen 1988: power of the t test, noncentral t; 5 % for all comparisons together (Dunnett 1955, Tukey 1953), 80 %"
                    + " power.");

    /** One pair alone. */
    public Sizing(int treatments, boolean blocked, double cv) {
        this(treatments, blocked, cv, Together.ONE);
    }

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
     * Degrees of freedom that the judge's reach has where treatments scatter alike: it weighs one scatter for all against
     * each treatment's own, and comes out about half-way between the two.
     */
    private double reachDf(int n) {
        double own = 2.0 * (n - 1) * (blocked ? (treatments - 1) / (double) treatments : 1);
        return (errorDf(n) + own) / 2;
    }

    /** The t beyond which one of the comparisons is clear. */
    private double critical(int n) {
        double df = reachDf(n);
        return switch (together) {
            case ONE -> TDistribution.of(df).inverseSurvivalProbability(ALPHA / 2);
            case BESIDE_CONTROL -> {
                double[] lambdas = new double[treatments - 1];
                Arrays.fill(lambdas, Math.sqrt(0.5));
                yield treatments == 2
                        ? TDistribution.of(df).inverseSurvivalProbability(ALPHA / 2)
                        : MaximumT.of(List.of(lambdas), df).twoSidedQuantile(ALPHA);
            }
            case ALL_PAIRS -> StudentisedRange.of(treatments, df).upperQuantile(ALPHA) / Math.sqrt(2);
        };
    }

    /**
     * The chance that a true difference of one comparison shows, all comparisons being judged together.
     *
     * @param difference as a fraction of the control's mean, above 0
     */
    public double power(int n, double difference) {
        return errorDf(n) < 1 ? 0 : power(n, critical(n), difference / (cv * Math.sqrt(2.0 / n)));
    }

    private double power(int n, double critical, double shifted) {
        double shift = Math.min(LARGEST_SHIFT, shifted);
        double df = reachDf(n);
        return 1 - NoncentralT.cumulative(critical, df, shift) + NoncentralT.cumulative(-critical, df, shift);
    }

    /** The difference seen with 80 % power, as a fraction of the control's mean; infinite for one unit each. */
    public double detectable(int n) {
        if (errorDf(n) < 1) {
            return Double.POSITIVE_INFINITY;
        }
        double critical = critical(n);
        return cv
                * Math.sqrt(2.0 / n)
                * new BracketingNthOrderBrentSolver(1e-10, 1e-10, 5)
                        .solve(200, shift -> power(n, critical, shift) - POWER, 1e-6, LARGEST_SHIFT);
    }

    /** The fewest units of each that see a difference with 80 % power; empty when {@link #MOST} do not. */
    public OptionalInt needed(double difference) {
        if (power(MOST, difference) < POWER) {
            return OptionalInt.empty();
        }
        // More units always see more, so halving finds the fewest.
        int few = 1;
        int enough = MOST;
        while (enough - few > 1) {
            int middle = (few + enough) / 2;
            if (power(middle, difference) >= POWER) {
                enough = middle;
            } else {
                few = middle;
            }
        }
        return OptionalInt.of(enough);
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
                List.of(
                        switch (together) {
                            case ONE -> "For one comparison.";
                            case BESIDE_CONTROL -> "For each treatment beside the control, all judged together.";
                            case ALL_PAIRS -> "For each pair, all judged together.";
                        }));
    }
}
