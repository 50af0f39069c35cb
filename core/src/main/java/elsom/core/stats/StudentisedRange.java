package elsom.core.stats;

import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * The distribution of the range of k standard normals over an independent s = √(χ²/df) (Tukey; the double integral of
 * Copenhaver & Holland 1988, by quadrature).
 */
public final class StudentisedRange {
    private final int groups;
    private final double df;

    private StudentisedRange(int groups, double df) {
        this.groups = groups;
        this.df = df;
    }

    /**
     * The distribution.
     *
     * @param groups k, at least 2
     * @param df above 0, not necessarily whole
     */
    public static StudentisedRange of(int groups, double df) {
        if (groups < 2 || !(df > 0) || Double.isInfinite(df)) {
            throw new IllegalArgumentException(
                    "two or more groups and df above 0 are needed, got " + groups + ", " + df);
        }
        return new StudentisedRange(groups, df);
    }

    /** P(Q > q). */
    public double survival(double q) {
        if (!(q > 0)) {
            return 1;
        }
        return Math.min(1, Math.max(0, Quadrature.overScale(df, s -> 1 - rangeBelow(q * s))));
    }

    /** P(range of k normals ≤ w): all within w above the lowest, whichever that is. */
    private double rangeBelow(double w) {
        return Math.min(
                1, groups * Quadrature.overNormal(z -> Math.pow(Quadrature.NORMAL.probability(z, z + w), groups - 1)));
    }

    /** The q that is exceeded with this probability. */
    public double upperQuantile(double probability) {
        double high = 8;
        while (survival(high) > probability) {
            high *= 4;
        }
        return new BracketingNthOrderBrentSolver(1e-11, 1e-12, 5).solve(200, q -> survival(q) - probability, 0, high);
    }
}
