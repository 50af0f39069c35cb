package elsom.core.curve;

import elsom.core.stats.Outcome;
import elsom.core.stats.StraightLine;
import elsom.core.stats.Tests.FTest;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleFunction;
import java.util.function.DoubleUnaryOperator;
import org.apache.commons.statistics.distribution.FDistribution;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;

/** Measured y at x, for curves that are linear once the place of a break is known. */
public final class XyData {
    private final double[] x;
    private final double[] y;

    /** Points, equally many x and y, all finite. */
    public XyData(double[] x, double[] y) {
        if (x.length != y.length
                || Arrays.stream(x).anyMatch(v -> !Double.isFinite(v))
                || Arrays.stream(y).anyMatch(v -> !Double.isFinite(v))) {
            throw new IllegalArgumentException(
                    "x and y must be equally many finite numbers, got " + x.length + " and " + y.length);
        }
        this.x = x.clone();
        this.y = y.clone();
    }

    int size() {
        return x.length;
    }

    double x(int i) {
        return x[i];
    }

    double y(int i) {
        return y[i];
    }

    /** Different x, rising. */
    List<Double> distinct() {
        return Arrays.stream(x).distinct().sorted().boxed().toList();
    }

    /** A straight line through all points. */
    public Outcome<StraightLine> line() {
        return StraightLine.fit(x, y);
    }

    /** The residual sum of squares of the straight line. */
    public double lineSquares() {
        return line().asOptional()
                .map(l -> squares(v -> l.intercept() + l.slope() * v))
                .orElse(totalSquares());
    }

    double squares(DoubleUnaryOperator curve) {
        double sum = 0;
        for (int i = 0; i < x.length; i++) {
            double off = y[i] - curve.applyAsDouble(x[i]);
            sum += off * off;
        }
        return sum;
    }

    double totalSquares() {
        double mean = Arrays.stream(y).average().orElse(0);
        return squares(v -> mean);
    }

    /** Coefficients of basis functions by least squares; zeros where the basis is singular. */
    double[] coefficients(DoubleFunction<double[]> basis) {
        double[][] rows = new double[x.length][];
        for (int i = 0; i < x.length; i++) {
            rows[i] = basis.apply(x[i]);
        }
        QRDecomposition solver = new QRDecomposition(new Array2DRowRealMatrix(rows, false), 1e-12);
        return solver.getSolver().isNonSingular()
                ? solver.getSolver().solve(new ArrayRealVector(y)).toArray()
                : new double[rows[0].length];
    }

    /** The residual sum of squares with those coefficients; infinite where the basis is singular. */
    double basisSquares(DoubleFunction<double[]> basis) {
        double[] beta = coefficients(basis);
        return Arrays.stream(beta).allMatch(b -> b == 0)
                ? Double.MAX_VALUE
                : squares(v -> {
                    double[] row = basis.apply(v);
                    double sum = 0;
                    for (int i = 0; i < row.length; i++) {
                        sum += row[i] * beta[i];
                    }
                    return sum;
                });
    }

    /** An F test of what two more parameters explain over a simpler curve. */
    static FTest explained(double simpler, double squares, int df) {
        double f = Math.max(0, (simpler - squares) / 2) / (squares / df);
        return new FTest(f, 2, df, FDistribution.of(2, df).survivalProbability(f));
    }
}
