package elsom.core.analysis;

/**
 * Least squares on columns of which some may be sums of others: those are left out, the later ones first. Solved by
 * sweeping the normal equations (Goodnight 1979), which also gives the inverse that scatters of differences come from.
 */
final class Regression {
    /** A column of which less than this share is its own is a sum of others. */
    private static final double ALIASED = 1e-9;

    private final double[] coefficients;
    private final double[][] inverse;
    private final boolean[] kept;
    private final double[] residuals;
    private final double squares;
    private final int rank;

    private Regression(double[] coefficients, double[][] inverse, boolean[] kept, double[] residuals) {
        this.coefficients = coefficients;
        this.inverse = inverse;
        this.kept = kept;
        this.residuals = residuals;
        double sum = 0;
        for (double residual : residuals) {
            sum += residual * residual;
        }
        this.squares = sum;
        int columns = 0;
        for (boolean own : kept) {
            columns += own ? 1 : 0;
        }
        this.rank = columns;
    }

    /** Fits y by columns, each as long as y. */
    static Regression of(double[][] columns, double[] y) {
        int p = columns.length;
        double[][] a = new double[p][p + 1];
        for (int i = 0; i < p; i++) {
            for (int j = i; j < p; j++) {
                a[i][j] = dot(columns[i], columns[j]);
                a[j][i] = a[i][j];
            }
            a[i][p] = dot(columns[i], y);
        }
        boolean[] kept = new boolean[p];
        double[] own = new double[p];
        for (int i = 0; i < p; i++) {
            own[i] = a[i][i];
        }
        for (int k = 0; k < p; k++) {
            kept[k] = a[k][k] > ALIASED * own[k];
            if (kept[k]) {
                sweep(a, k);
            }
        }
        return new Regression(solved(a, kept), inverse(a, kept), kept, residuals(columns, y, solved(a, kept)));
    }

    private static void sweep(double[][] a, int k) {
        int width = a.length + 1;
        double pivot = a[k][k];
        for (int j = 0; j < width; j++) {
            a[k][j] /= pivot;
        }
        for (int i = 0; i < a.length; i++) {
            double factor = a[i][k];
            if (i == k || factor == 0) {
                continue;
            }
            for (int j = 0; j < width; j++) {
                a[i][j] -= factor * a[k][j];
            }
            a[i][k] = -factor / pivot;
        }
        a[k][k] = 1 / pivot;
    }

    private static double[] solved(double[][] a, boolean[] kept) {
        double[] beta = new double[a.length];
        for (int i = 0; i < a.length; i++) {
            beta[i] = kept[i] ? a[i][a.length] : 0;
        }
        return beta;
    }

    private static double[][] inverse(double[][] a, boolean[] kept) {
        double[][] inverse = new double[a.length][a.length];
        for (int i = 0; i < a.length; i++) {
            for (int j = 0; j < a.length; j++) {
                inverse[i][j] = kept[i] && kept[j] ? a[i][j] : 0;
            }
        }
        return inverse;
    }

    private static double[] residuals(double[][] columns, double[] y, double[] beta) {
        double[] left = y.clone();
        for (int j = 0; j < columns.length; j++) {
            for (int i = 0; i < left.length && beta[j] != 0; i++) {
                left[i] -= beta[j] * columns[j][i];
            }
        }
        return left;
    }

    static double dot(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            sum += a[i] * b[i];
        }
        return sum;
    }

    double coefficient(int column) {
        return coefficients[column];
    }

    /** Covariance of two coefficients, in units of the residual variance. */
    double covariance(int one, int other) {
        return inverse[one][other];
    }

    boolean kept(int column) {
        return kept[column];
    }

    double[] residuals() {
        return residuals.clone();
    }

    /** Residual sum of squares. */
    double squares() {
        return squares;
    }

    int rank() {
        return rank;
    }

    int df() {
        return residuals.length - rank;
    }
}
