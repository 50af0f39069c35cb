package elsom.core.stats;

import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/** The noncentral t distribution by quadrature: T = (Z + δ)/s. */
public final class NoncentralT {
    private NoncentralT() {}

    /** P(T ≤ t). */
    public static double cumulative(double t, double df, double noncentrality) {
        return Quadrature.overScale(df, s -> Quadrature.NORMAL.cumulativeProbability(t * s - noncentrality));
    }

    /** The noncentrality under which T falls below t with this probability. */
    public static double noncentralityFor(double t, double df, double probability) {
        double reach = 10 + Math.abs(t) * 3;
        return new BracketingNthOrderBrentSolver(1e-12, 1e-12, 5)
                .solve(200, delta -> cumulative(t, df, delta) - probability, -reach, reach);
    }
}
