package elsom.core.stats;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.linear.SingularValueDecomposition;

/**
 * A linear model as a list of terms, each a set of columns of contrasts that sum to zero (with an intercept always).
 * Sums of squares are differences of residual sums of squares between models, so nothing is assumed of balance.
 */
final class LinearTerms {
    private static final double SINGULAR = 1e-10;

    private final RealVector y;

    LinearTerms(double[] y) {
        this.y = new ArrayRealVector(y);
    }

    /** The contrasts of a factor: a column for each level but the last, which is minus one in all. */
    static List<double[]> contrasts(List<String> values, List<String> levels) {
        List<double[]> columns = new ArrayList<>();
        String last = levels.get(levels.size() - 1);
        for (String level : levels.subList(0, levels.size() - 1)) {
            columns.add(values.stream()
                    .mapToDouble(value -> value.equals(level) ? 1 : value.equals(last) ? -1 : 0)
                    .toArray());
        }
        return columns;
    }

    /** Every column of one term times every column of another. */
    static List<double[]> products(List<double[]> one, List<double[]> other) {
        List<double[]> columns = new ArrayList<>();
        for (double[] a : one) {
            for (double[] b : other) {
                double[] product = new double[a.length];
                for (int i = 0; i < a.length; i++) {
                    product[i] = a[i] * b[i];
                }
                columns.add(product);
            }
        }
        return columns;
    }

    /** What a model leaves over, and how many directions it uses, the intercept among them. */
    record Fit(double squares, int rank) {}

    private RealMatrix matrix(List<List<double[]>> terms) {
        int columns = 1 + terms.stream().mapToInt(List::size).sum();
        RealMatrix x = new Array2DRowRealMatrix(y.getDimension(), columns);
        x.setColumnVector(0, new ArrayRealVector(y.getDimension(), 1.0));
        int column = 1;
        for (List<double[]> term : terms) {
            for (double[] values : term) {
                x.setColumn(column++, values);
            }
        }
        return x;
    }

    Fit fit(List<List<double[]>> terms) {
        SingularValueDecomposition svd = new SingularValueDecomposition(matrix(terms));
        double largest = svd.getSingularValues()[0];
        RealVector residual = y;
        int rank = 0;
        for (int i = 0; i < svd.getSingularValues().length; i++) {
            if (svd.getSingularValues()[i] > SINGULAR * largest) {
                RealVector direction = svd.getU().getColumnVector(i);
                residual = residual.subtract(direction.mapMultiply(direction.dotProduct(y)));
                rank++;
            }
        }
        return new Fit(residual.dotProduct(residual), rank);
    }

    /** A linear combination of the coefficients, with the factor its variance has over σ². */
    record Combination(double value, double varianceFactor) {}

    /** Weights run over the intercept and all columns in order. */
    Combination combination(List<List<double[]>> terms, double[] weights) {
        RealMatrix x = matrix(terms);
        SingularValueDecomposition svd =
                new SingularValueDecomposition(x.transpose().multiply(x));
        RealMatrix inverse = svd.getSolver().getInverse();
        RealVector beta = inverse.operate(x.transpose().operate(y));
        RealVector w = new ArrayRealVector(weights);
        return new Combination(w.dotProduct(beta), w.dotProduct(inverse.operate(w)));
    }
}
