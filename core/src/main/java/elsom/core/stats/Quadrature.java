package elsom.core.stats;

import java.util.function.DoubleUnaryOperator;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.hipparchus.analysis.integration.gauss.GaussIntegrator;
import org.hipparchus.analysis.integration.gauss.GaussIntegratorFactory;

/** Fixed Gauss–Legendre rules for the distributions that are integrals over a normal and a chi. */
final class Quadrature {
    static final NormalDistribution NORMAL = NormalDistribution.of(0, 1);
    private static final GaussIntegratorFactory GAUSS = new GaussIntegratorFactory();
    private static final int POINTS = 16;
    private static final double FURTHEST = 8.6;
    private static final double TAIL = 1e-15;

    private Quadrature() {}

    /** ∫ f over panels of equal width. */
    static double integrate(DoubleUnaryOperator f, double from, double to, int panels) {
        double width = (to - from) / panels;
        double sum = 0;
        for (int i = 0; i < panels; i++) {
            GaussIntegrator rule = GAUSS.legendre(POINTS, from + i * width, from + (i + 1) * width);
            sum += rule.integrate(f::applyAsDouble);
        }
        return sum;
    }

    /** The mean of f over a standard normal. */
    static double overNormal(DoubleUnaryOperator f) {
        return integrate(z -> NORMAL.density(z) * f.applyAsDouble(z), -FURTHEST, FURTHEST, 12);
    }

    /**
     * The mean of f over s = √(χ²/df), on a logarithmic scale of s, on which its density is smooth for any degrees of
     * freedom.
     */
    static double overScale(double df, DoubleUnaryOperator f) {
        ChiSquaredDistribution chi = ChiSquaredDistribution.of(df);
        double low = Math.max(-40, 0.5 * Math.log(chi.inverseCumulativeProbability(TAIL) / df));
        double high = 0.5 * Math.log(chi.inverseSurvivalProbability(TAIL) / df);
        int panels = Math.max(6, (int) Math.ceil((high - low) * 3));
        return integrate(
                t -> {
                    double squared = Math.exp(2 * t) * df;
                    return 2 * squared * chi.density(squared) * f.applyAsDouble(Math.exp(t));
                },
                low,
                high,
                panels);
    }

    /** Fills points and weights of a composite rule over a range; the arrays hold a multiple of 16. */
    static void nodes(double from, double to, double[] points, double[] weights) {
        int panels = points.length / POINTS;
        double width = (to - from) / panels;
        for (int panel = 0; panel < panels; panel++) {
            GaussIntegrator rule = GAUSS.legendre(POINTS, from + panel * width, from + (panel + 1) * width);
            for (int i = 0; i < POINTS; i++) {
                points[panel * POINTS + i] = rule.getPoint(i);
                weights[panel * POINTS + i] = rule.getWeight(i);
            }
        }
    }
}
