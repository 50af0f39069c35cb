package elsom.core.stats;

import elsom.core.stats.Tests.ShapiroTest;
import org.apache.commons.statistics.distribution.NormalDistribution;

/** The Shapiro–Wilk W test, by Royston's (1995) algorithm AS R94. */
final class ShapiroWilk {
    private static final NormalDistribution NORMAL = NormalDistribution.of(0, 1);
    private static final double[] C1 = {0, .221157, -.147981, -2.07119, 4.434685, -2.706056};
    private static final double[] C2 = {0, .042981, -.293762, -1.752461, 5.682633, -3.582633};
    private static final double[] C3 = {.544, -.39978, .025054, -6.714e-4};
    private static final double[] C4 = {1.3822, -.77857, .062767, -.0020322};
    private static final double[] C5 = {-1.5861, -.31082, -.083751, .0038915};
    private static final double[] C6 = {-.4803, -.082676, .0030302};
    private static final double[] G = {-2.273, .459};
    private static final int LARGEST = 5000;

    private ShapiroWilk() {}

    /** Tests values in rising order, 3 to 5000 of them, not all the same. */
    static Outcome<ShapiroTest> test(double[] sorted) {
        int n = sorted.length;
        if (n < 3 || n > LARGEST) {
            return Outcome.notEstimable("Normality is tested with 3 to 5000 values");
        }
        double[] weights = weights(n);
        double mean = Summary.of(sorted).mean();
        double product = 0;
        double squares = 0;
        double weightSquares = 0;
        for (int i = 0; i < n; i++) {
            product += weights[i] * sorted[i];
            squares += (sorted[i] - mean) * (sorted[i] - mean);
            weightSquares += weights[i] * weights[i];
        }
        double root = Math.sqrt(squares * weightSquares);
        double lack = (root - product) * (root + product) / (squares * weightSquares);
        return Outcome.found(new ShapiroTest(1 - lack, p(lack, n)));
    }

    /** Weights of the order statistics, antisymmetric. */
    private static double[] weights(int n) {
        int half = n / 2;
        double[] upper = new double[half];
        if (n == 3) {
            upper[0] = Math.sqrt(0.5);
        } else {
            double[] m = new double[half];
            double sum = 0;
            for (int i = 0; i < half; i++) {
                m[i] = NORMAL.inverseCumulativeProbability((i + 1 - 0.375) / (n + 0.25));
                sum += 2 * m[i] * m[i];
            }
            double root = Math.sqrt(sum);
            double small = 1 / Math.sqrt(n);
            upper[0] = poly(C1, small) - m[0] / root;
            int from = 1;
            double scale;
            if (n > 5) {
                upper[1] = -m[1] / root + poly(C2, small);
                scale = Math.sqrt((sum - 2 * m[0] * m[0] - 2 * m[1] * m[1])
                        / (1 - 2 * upper[0] * upper[0] - 2 * upper[1] * upper[1]));
                from = 2;
            } else {
                scale = Math.sqrt((sum - 2 * m[0] * m[0]) / (1 - 2 * upper[0] * upper[0]));
            }
            for (int i = from; i < half; i++) {
                upper[i] = -m[i] / scale;
            }
        }
        double[] weights = new double[n];
        for (int i = 0; i < half; i++) {
            weights[i] = -upper[i];
            weights[n - 1 - i] = upper[i];
        }
        return weights;
    }

    private static double p(double lack, int n) {
        if (n == 3) {
            return Math.max(0, 6 / Math.PI * (Math.asin(Math.sqrt(1 - lack)) - Math.asin(Math.sqrt(0.75))));
        }
        double y = Math.log(lack);
        double logN = Math.log(n);
        double mean;
        double sd;
        if (n <= 11) {
            double gamma = poly(G, n);
            if (y >= gamma) {
                return 0;
            }
            y = -Math.log(gamma - y);
            mean = poly(C3, n);
            sd = Math.exp(poly(C4, n));
        } else {
            mean = poly(C5, logN);
            sd = Math.exp(poly(C6, logN));
        }
        return NORMAL.survivalProbability((y - mean) / sd);
    }

    private static double poly(double[] coefficients, double x) {
        double sum = 0;
        for (int i = coefficients.length - 1; i >= 0; i--) {
            sum = sum * x + coefficients[i];
        }
        return sum;
    }
}
