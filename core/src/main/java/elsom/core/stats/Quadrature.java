package elsom.core.stats;

import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.hipparchus.analysis.integration.gauss.GaussIntegrator;
import org.hipparchus.analysis.integration.gauss.GaussIntegratorFactory;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/** Fixed Gauss–Legendre rules for the distributions that are integrals over a normal and a chi. */
final class Quadrature {
    static final NormalDistribution NORMAL = NormalDistribution.of(0, 1);
    static final double FURTHEST = 8.6;
    private static final int POINTS = 16;
    private static final double[] NODES = new double[POINTS];
    private static final double[] WEIGHTS = new double[POINTS];
    private static final double TAIL = 1e-24;
    /** A central tail is least where s is large: what is left out counts for less than its share. */
    private static final double CENTRAL_TAIL = 1e-14;

    private static final int MOST_DOUBLINGS = 500;
    /** Steps of log s at which a chi with few, and with one degree of freedom, has no error left in a double. */
    private static final double WIDEST_STEP = 0.12;

    private static final double STEP_OF_ONE = 0.45;

    static {
        GaussIntegrator rule = new GaussIntegratorFactory().legendre(POINTS, -1, 1);
        for (int i = 0; i < POINTS; i++) {
            NODES[i] = rule.getPoint(i);
            WEIGHTS[i] = rule.getWeight(i);
        }
    }

    private Quadrature() {}

    /** ∫ f over panels of equal width. */
    static double integrate(DoubleUnaryOperator f, double from, double to, int panels) {
        double half = (to - from) / panels / 2;
        double sum = 0;
        for (int panel = 0; panel < panels; panel++) {
            double middle = from + (2 * panel + 1) * half;
            for (int i = 0; i < POINTS; i++) {
                sum += WEIGHTS[i] * f.applyAsDouble(middle + half * NODES[i]);
            }
        }
        return sum * half;
    }

    /** The mean of f over a standard normal, by panels fine enough for a change of f within a width. */
    static double overNormal(DoubleUnaryOperator f, double width) {
        int panels = (int) Math.min(400, Math.max(12, Math.ceil(2 * FURTHEST / (4 * width))));
        return integrate(z -> NORMAL.density(z) * f.applyAsDouble(z), -FURTHEST, FURTHEST, panels);
    }

    /**
     * The mean over s = √(χ²/df), on a logarithmic scale of s, on which its density is smooth for any degrees of freedom:
     * points and weights, worked out once.
     */
    static final class Scale {
        private final double[] s;
        private final double[] weight;

        private Scale(double[] s, double[] weight) {
            this.s = s;
            this.weight = weight;
        }

        /**
         * For what depends on t·s alone, as the tails of central statistics do: equal steps, which on a line keep all
         * digits of what is smooth and falls off at both ends (Trefethen and Weideman 2014).
         */
        static Scale ofCentral(double df) {
            ChiSquaredDistribution chi = ChiSquaredDistribution.of(df);
            double low = low(chi, df);
            double high = high(chi, df, CENTRAL_TAIL);
            int steps = (int) Math.ceil((high - low) / Math.min(WIDEST_STEP, STEP_OF_ONE / Math.sqrt(df)));
            double step = (high - low) / steps;
            double[] s = new double[steps + 1];
            double[] weight = new double[steps + 1];
            for (int i = 0; i <= steps; i++) {
                s[i] = low + i * step;
                weight[i] = step;
            }
            return weighed(chi, df, s, weight);
        }

        static Scale of(double df) {
            return of(df, new double[0]);
        }

        /** The same for what has kinks at these s, between which it is smooth. */
        static Scale of(double df, double... kinks) {
            ChiSquaredDistribution chi = ChiSquaredDistribution.of(df);
            double low = low(chi, df);
            double high = high(chi, df, TAIL);
            double[] ends = DoubleStream.concat(
                            DoubleStream.of(low, high),
                            Arrays.stream(kinks)
                                    .filter(s -> s > 0)
                                    .map(Math::log)
                                    .filter(s -> s > low && s < high))
                    .sorted()
                    .toArray();
            double[] s = new double[0];
            double[] weight = new double[0];
            for (int i = 0; i + 1 < ends.length; i++) {
                int least = ends.length == 2 ? 6 : 3;
                int panels = Math.max(least, (int) Math.ceil((ends[i + 1] - ends[i]) * 3));
                double[] points = new double[panels * POINTS];
                double[] weights = new double[panels * POINTS];
                nodes(ends[i], ends[i + 1], points, weights);
                s = DoubleStream.concat(Arrays.stream(s), Arrays.stream(points)).toArray();
                weight = DoubleStream.concat(Arrays.stream(weight), Arrays.stream(weights))
                        .toArray();
            }
            return weighed(chi, df, s, weight);
        }

        private static double low(ChiSquaredDistribution chi, double df) {
            return Math.max(-40, 0.5 * Math.log(chi.inverseCumulativeProbability(TAIL) / df));
        }

        private static double high(ChiSquaredDistribution chi, double df, double tail) {
            return 0.5 * Math.log(chi.inverseSurvivalProbability(tail) / df);
        }

        private static Scale weighed(ChiSquaredDistribution chi, double df, double[] logs, double[] widths) {
            double[] s = new double[logs.length];
            double[] weight = new double[logs.length];
            for (int i = 0; i < s.length; i++) {
                s[i] = Math.exp(logs[i]);
                double squared = s[i] * s[i] * df;
                weight[i] = widths[i] * 2 * squared * chi.density(squared);
            }
            return new Scale(s, weight);
        }

        double mean(DoubleUnaryOperator f) {
            double sum = 0;
            for (int i = 0; i < s.length; i++) {
                sum += weight[i] * f.applyAsDouble(s[i]);
            }
            return sum;
        }
    }

    /** Points of a panel of a composite rule. */
    static int points() {
        return POINTS;
    }

    /** Fills points and weights of a composite rule over a range; the arrays hold a multiple of 16. */
    static void nodes(double from, double to, double[] points, double[] weights) {
        int panels = points.length / POINTS;
        double half = (to - from) / panels / 2;
        for (int panel = 0; panel < panels; panel++) {
            for (int i = 0; i < POINTS; i++) {
                points[panel * POINTS + i] = from + (2 * panel + 1) * half + half * NODES[i];
                weights[panel * POINTS + i] = half * WEIGHTS[i];
            }
        }
    }

    /** How many points a composite rule needs for panels of at most a width. */
    static int pointsFor(double length, double panelWidth, int most) {
        return POINTS * (int) Math.min(most, Math.max(1, Math.ceil(length / panelWidth)));
    }

    /**
     * Where a falling tail has a probability.
     *
     * @param low at or below it
     * @param high at or above it as far as is known; it is moved out while it is not
     * @return infinity when no double is far enough out
     */
    static double quantile(DoubleUnaryOperator tail, double probability, double low, double high, double accuracy) {
        double below = low - 1e-6 * (1 + Math.abs(low));
        double above = high + 1e-6 * (1 + Math.abs(high));
        for (int i = 0; i < MOST_DOUBLINGS && tail.applyAsDouble(above) > probability; i++) {
            above = 4 * (Math.abs(above) + 1);
        }
        if (Double.isInfinite(above)) {
            return above;
        }
        return new BracketingNthOrderBrentSolver(accuracy, accuracy, 5)
                .solve(300, x -> tail.applyAsDouble(x) - probability, below, above);
    }
}
