package elsom.core.stats;

import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * The largest of several t statistics that share a control and a standard deviation: Dunnett's (1955) multivariate t,
 * whose correlations are products λiλj, so that two integrals give it exactly for any group sizes.
 */
public final class MaximumT {
    private final double[] lambda;
    private final double df;

    private MaximumT(double[] lambda, double df) {
        this.lambda = lambda;
        this.df = df;
    }

    /**
     * The distribution.
     *
     * @param control units of the control
     * @param treatments units of each treatment
     * @param df degrees of freedom of the shared standard deviation, above 0
     */
    public static MaximumT of(int control, int[] treatments, double df) {
        if (control < 1 || treatments.length < 1 || !(df > 0)) {
            throw new IllegalArgumentException("a control, a treatment and df above 0 are needed");
        }
        double[] lambda = new double[treatments.length];
        for (int i = 0; i < lambda.length; i++) {
            lambda[i] = Math.sqrt(treatments[i] / (double) (treatments[i] + control));
        }
        return new MaximumT(lambda, df);
    }

    /** P(max |T| > t). */
    public double twoSided(double t) {
        return 1 - within(-Math.abs(t), Math.abs(t));
    }

    /** P(max T > t). */
    public double oneSided(double t) {
        return 1 - within(Double.NEGATIVE_INFINITY, t);
    }

    private double within(double low, double high) {
        double inside = Quadrature.overScale(
                df,
                s -> Quadrature.overNormal(z -> {
                    double product = 1;
                    for (double l : lambda) {
                        double own = Math.sqrt(1 - l * l);
                        double to = (high * s + l * z) / own;
                        product *= low == Double.NEGATIVE_INFINITY
                                ? Quadrature.NORMAL.cumulativeProbability(to)
                                : Quadrature.NORMAL.probability((low * s + l * z) / own, to);
                    }
                    return product;
                }));
        return Math.min(1, Math.max(0, inside));
    }

    /** The t that max |T| exceeds with this probability. */
    public double twoSidedQuantile(double probability) {
        return quantile(t -> twoSided(t) - probability, 0);
    }

    /** The t that max T exceeds with this probability. */
    public double oneSidedQuantile(double probability) {
        return quantile(t -> oneSided(t) - probability, -1);
    }

    private static double quantile(DoubleUnaryOperator excess, int side) {
        double high = 4;
        while (excess.applyAsDouble(high) > 0) {
            high *= 4;
        }
        return new BracketingNthOrderBrentSolver(1e-11, 1e-12, 5).solve(200, excess::applyAsDouble, side * high, high);
    }
}
