package elsom.core.stats;

import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/** The noncentral t distribution by quadrature: T = (Z + δ)/s. */
public final class NoncentralT {
    private NoncentralT() {}

    /** P(T ≤ t). */
    public static double cumulative(double t, double df, double noncentrality) {
        return cumulative(Quadrature.Scale.of(df), t, noncentrality);
    }

    private static double cumulative(Quadrature.Scale scale, double t, double noncentrality) {
        return scale.mean(s -> Quadrature.NORMAL.cumulativeProbability(t * s - noncentrality));
    }

    /** The noncentrality under which T falls below t with this probability. */
    public static double noncentralityFor(double t, double df, double probability) {
        double reach = 10 + Math.abs(t) * 3;
        Quadrature.Scale scale = Quadrature.Scale.of(df);
        return new BracketingNthOrderBrentSolver(1e-12, 1e-12, 5)
                .solve(200, delta -> cumulative(scale, t, delta) - probability, -reach, reach);
    }
}
