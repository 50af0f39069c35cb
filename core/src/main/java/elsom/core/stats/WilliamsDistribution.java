package elsom.core.stats;

import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.interpolation.SplineInterpolator;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * The null distribution of Williams's (1971, 1972) statistic for any group sizes. The isotonic mean of the highest dose
 * stays at or below c exactly when every mean of the highest few doses does: a Gaussian walk from the highest dose down
 * that never rises above 0, whose chance is found by passing its density from step to step.
 */
final class WilliamsDistribution {
    private static final int KNOTS = 161;
    private static final int NODES = 96;
    private static final double REACH = 8.5;

    private final int control;
    private final int top;
    private final double df;
    private final PolynomialSplineFunction staysBelow;
    private final double edge;

    /**
     * A distribution.
     *
     * @param control units of the control
     * @param doses units of each dose up to the one tested, in rising dose
     */
    WilliamsDistribution(int control, int[] doses, double df) {
        this.control = control;
        this.top = doses[doses.length - 1];
        this.df = df;
        int fewest = Arrays.stream(doses).min().orElseThrow();
        edge = REACH / Math.sqrt(fewest);
        double[] c = new double[KNOTS];
        double[] chance = new double[KNOTS];
        for (int i = 0; i < KNOTS; i++) {
            c[i] = -edge + 2 * edge * i / (KNOTS - 1);
            chance[i] = staysBelow(doses, c[i]);
        }
        staysBelow = new SplineInterpolator().interpolate(c, chance);
    }

    private static double staysBelow(int[] doses, double c) {
        int total = Arrays.stream(doses).sum();
        double depth = total * Math.max(0, c) + REACH * Math.sqrt(total);
        double[] node = new double[NODES];
        double[] weight = new double[NODES];
        Quadrature.nodes(-depth, 0, node, weight);
        double[] density = new double[0];
        double chance = 1;
        for (int j = doses.length - 1; j >= 0; j--) {
            double drift = -doses[j] * c;
            double sd = Math.sqrt(doses[j]);
            double[] next = new double[NODES];
            for (int to = 0; to < NODES; to++) {
                if (density.length == 0) {
                    next[to] = Quadrature.NORMAL.density((node[to] - drift) / sd) / sd;
                } else {
                    for (int from = 0; from < NODES; from++) {
                        next[to] += weight[from]
                                * density[from]
                                * Quadrature.NORMAL.density((node[to] - node[from] - drift) / sd)
                                / sd;
                    }
                }
            }
            density = next;
            chance = 0;
            for (int i = 0; i < NODES; i++) {
                chance += weight[i] * next[i];
            }
        }
        return Math.min(1, Math.max(0, chance));
    }

    private double below(double c) {
        return c <= -edge ? 0 : c >= edge ? 1 : Math.min(1, Math.max(0, staysBelow.value(c)));
    }

    /** P(statistic > t). */
    double survival(double t) {
        double error = Math.sqrt(1.0 / top + 1.0 / control);
        double root = Math.sqrt(control);
        double stays = Quadrature.overScale(df, s -> Quadrature.overNormal(z -> below(z / root + t * s * error)));
        return Math.min(1, Math.max(0, 1 - stays));
    }

    /** The t exceeded with this probability. */
    double upperQuantile(double probability) {
        DoubleUnaryOperator excess = t -> survival(t) - probability;
        double high = 4;
        while (excess.applyAsDouble(high) > 0) {
            high *= 4;
        }
        return new BracketingNthOrderBrentSolver(1e-9, 1e-9, 5).solve(100, excess::applyAsDouble, -high, high);
    }
}
