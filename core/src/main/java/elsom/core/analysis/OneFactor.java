package elsom.core.analysis;

/** The factors whose products come nearest to some correlations (Hsu 1992): exactly where these are products. */
final class OneFactor {
    private static final int MOST_ROUNDS = 500;
    private static final double STILL = 1e-12;
    private static final double LARGEST = 0.999;
    private static final double DIGITS = 1e8;

    private OneFactor() {}

    /**
     * A factor for each row, 0 to below 1.
     *
     * @param r correlations, square
     */
    static double[] of(double[][] r) {
        int m = r.length;
        double[] lambda = new double[m];
        if (m == 1) {
            return lambda;
        }
        for (int i = 0; i < m; i++) {
            lambda[i] = start(r, i);
        }
        double moved = 1;
        for (int round = 0; round < MOST_ROUNDS && moved > STILL && m > 2; round++) {
            moved = 0;
            for (int i = 0; i < m; i++) {
                double next = bounded(improved(r, lambda, i));
                moved = Math.max(moved, Math.abs(next - lambda[i]));
                lambda[i] = next;
            }
        }
        for (int i = 0; i < m; i++) {
            // Alike to eight digits is alike: such treatments share their integrals.
            lambda[i] = Math.round(lambda[i] * DIGITS) / DIGITS;
        }
        return lambda;
    }

    private static double improved(double[][] r, double[] lambda, int i) {
        double products = 0;
        double squares = 0;
        for (int j = 0; j < r.length; j++) {
            if (j != i) {
                products += r[i][j] * lambda[j];
                squares += lambda[j] * lambda[j];
            }
        }
        return squares > 0 ? products / squares : 0;
    }

    /** From triads: λi² = rij rik ÷ rjk. */
    private static double start(double[][] r, int i) {
        if (r.length == 2) {
            return bounded(Math.sqrt(Math.max(0, r[0][1])));
        }
        double sum = 0;
        int n = 0;
        for (int j = 0; j < r.length; j++) {
            for (int k = j + 1; k < r.length; k++) {
                if (j != i && k != i && r[j][k] > 0) {
                    sum += Math.max(0, r[i][j] * r[i][k] / r[j][k]);
                    n++;
                }
            }
        }
        return n == 0 ? 0 : bounded(Math.sqrt(sum / n));
    }

    private static double bounded(double lambda) {
        return Math.max(0, Math.min(LARGEST, lambda));
    }
}
