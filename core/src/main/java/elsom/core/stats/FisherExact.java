package elsom.core.stats;

import java.util.function.DoubleUnaryOperator;
import org.apache.commons.numbers.combinatorics.LogBinomialCoefficient;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/** Fisher's exact test of two proportions, with the conditional odds ratio (Fisher 1935; Cornfield 1956). */
public final class FisherExact {
    private static final double TIE = 1 + 1e-7;
    private static final double TAIL = 0.025;

    private final int lowest;
    private final int observed;
    private final double[] logWeights;

    /** No count of a trial has odds further out, as a logarithm. */
    private static final double FURTHEST = 4096;

    private FisherExact(Proportion one, Proportion other) {
        int affected = one.affected() + other.affected();
        lowest = Math.max(0, affected - other.n());
        int highest = Math.min(one.n(), affected);
        observed = one.affected();
        logWeights = new double[highest - lowest + 1];
        for (int i = 0; i < logWeights.length; i++) {
            logWeights[i] = LogBinomialCoefficient.value(one.n(), lowest + i)
                    + LogBinomialCoefficient.value(other.n(), affected - lowest - i);
        }
    }

    public static FisherExact of(Proportion one, Proportion other) {
        return new FisherExact(one, other);
    }

    /** Chances of each possible table when the odds ratio has this logarithm. */
    private double[] chances(double logOdds) {
        double largest = Double.NEGATIVE_INFINITY;
        double[] chances = new double[logWeights.length];
        for (int i = 0; i < chances.length; i++) {
            chances[i] = logWeights[i] + i * logOdds;
            largest = Math.max(largest, chances[i]);
        }
        double sum = 0;
        for (int i = 0; i < chances.length; i++) {
            chances[i] = Math.exp(chances[i] - largest);
            sum += chances[i];
        }
        for (int i = 0; i < chances.length; i++) {
            chances[i] /= sum;
        }
        return chances;
    }

    /** Two-sided: all tables no likelier than the one seen. */
    public double p() {
        double[] chances = chances(0);
        double seen = chances[observed - lowest];
        double sum = 0;
        for (double chance : chances) {
            sum += chance <= seen * TIE ? chance : 0;
        }
        return Math.min(1, sum);
    }

    /** One-sided: the first share is larger. */
    public double pGreater() {
        return above(0);
    }

    private double above(double logOdds) {
        double[] chances = chances(logOdds);
        double sum = 0;
        for (int i = observed - lowest; i < chances.length; i++) {
            sum += chances[i];
        }
        return Math.min(1, sum);
    }

    private double below(double logOdds) {
        double[] chances = chances(logOdds);
        double sum = 0;
        for (int i = 0; i <= observed - lowest; i++) {
            sum += chances[i];
        }
        return Math.min(1, sum);
    }

    private boolean onlyOneTable() {
        return logWeights.length == 1;
    }

    private boolean atLowest() {
        return observed == lowest;
    }

    private boolean atHighest() {
        return observed == lowest + logWeights.length - 1;
    }

    /** The conditional maximum-likelihood odds ratio; 0 or infinite at the ends. */
    public Outcome<Double> oddsRatio() {
        if (onlyOneTable()) {
            return Outcome.notEstimable("Only one table has these totals, so any odds ratio fits");
        }
        if (atLowest() || atHighest()) {
            return Outcome.found(atLowest() ? 0.0 : Double.POSITIVE_INFINITY);
        }
        return Outcome.found(Math.exp(solve(logOdds -> {
            double[] chances = chances(logOdds);
            double mean = 0;
            for (int i = 0; i < chances.length; i++) {
                mean += i * chances[i];
            }
            return mean - (observed - lowest);
        })));
    }

    /** Its exact 95 % interval, 2.5 % in each tail; open at the ends. */
    public Interval oddsRatioInterval95() {
        double low = onlyOneTable() || atLowest() ? 0 : Math.exp(solve(logOdds -> above(logOdds) - TAIL));
        double high = onlyOneTable() || atHighest()
                ? Double.POSITIVE_INFINITY
                : Math.exp(solve(logOdds -> TAIL - below(logOdds)));
        return new Interval(low, high);
    }

    /** The root of a function that rises with the logarithm of the odds ratio. */
    private static double solve(DoubleUnaryOperator rising) {
        double reach = 8;
        while ((rising.applyAsDouble(-reach) > 0 || rising.applyAsDouble(reach) < 0) && reach < FURTHEST) {
            reach *= 2;
        }
        return new BracketingNthOrderBrentSolver(1e-13, 1e-13, 5).solve(300, rising::applyAsDouble, -reach, reach);
    }
}
