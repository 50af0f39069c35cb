package elsom.core.curve;

import elsom.core.stats.Outcome;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DiagonalMatrix;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.SingularValueDecomposition;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;

/** Nonlinear least squares from several starts (Levenberg–Marquardt); the best optimum wins, so fits are repeatable. */
public final class LeastSquares {
    private static final int MOST_ITERATIONS = 150;

    private LeastSquares() {}

    /** A curve y(x) with its derivative by each parameter. */
    public interface Model {
        double value(double x, double[] parameters);

        /** Derivatives of the value by each parameter, in the parameters' order. */
        double[] gradient(double x, double[] parameters);
    }

    /**
     * Fits a model.
     *
     * @param x and y observations, equally many, more than parameters
     * @param starts starting parameters, tried in turn
     * @return the best fit; not estimable if no start converges or the parameters can't be told apart
     */
    public static Outcome<LeastSquaresFit> fit(Model model, double[] x, double[] y, List<double[]> starts) {
        double[] alike = new double[x.length];
        Arrays.fill(alike, 1);
        return fit(model, new Points(x, y, alike), starts, new Left(0, x.length));
    }

    /** Points with what each counts. */
    @SuppressWarnings("ArrayRecordComponent")
    record Points(double[] x, double[] y, double[] weight) {}

    /**
     * What the points don't show, where they are means.
     *
     * @param squares weighed squares of the observations about them
     * @param observations how many there are
     */
    record Left(double squares, int observations) {}

    /** Fits a model to means: their own squares are added to what is left over. */
    static Outcome<LeastSquaresFit> fit(Model model, Points points, List<double[]> starts, Left left) {
        Optional<LeastSquaresOptimizer.Optimum> best = starts.stream()
                .flatMap(start -> optimum(model, points, start).stream())
                .min(Comparator.comparingDouble(LeastSquares::squares));
        return best.<Outcome<LeastSquaresFit>>map(optimum -> result(optimum, left))
                .orElseGet(() -> Outcome.notEstimable("The curve does not settle on these points"));
    }

    private static double squares(LeastSquaresOptimizer.Optimum optimum) {
        return optimum.getResiduals().dotProduct(optimum.getResiduals());
    }

    private static Optional<LeastSquaresOptimizer.Optimum> optimum(Model model, Points points, double[] start) {
        double[] x = points.x();
        LeastSquaresBuilder problem = new LeastSquaresBuilder()
                .start(start)
                .target(points.y())
                .weight(new DiagonalMatrix(points.weight()))
                .model(point -> evaluate(model, x, point.toArray()))
                .checker(null)
                .maxEvaluations(MOST_ITERATIONS)
                .maxIterations(MOST_ITERATIONS);
        try {
            LeastSquaresOptimizer.Optimum optimum = new LevenbergMarquardtOptimizer()
                    .withCostRelativeTolerance(1e-14)
                    .withParameterRelativeTolerance(1e-12)
                    .optimize(problem.build());
            boolean finite = Arrays.stream(optimum.getPoint().toArray()).allMatch(Double::isFinite);
            return finite ? Optional.of(optimum) : Optional.empty();
        } catch (MathRuntimeException unsettled) {
            return Optional.empty();
        }
    }

    private static Pair<org.hipparchus.linear.RealVector, RealMatrix> evaluate(
            Model model, double[] x, double[] parameters) {
        double[] values = new double[x.length];
        double[][] jacobian = new double[x.length][];
        for (int i = 0; i < x.length; i++) {
            values[i] = model.value(x[i], parameters);
            jacobian[i] = model.gradient(x[i], parameters);
        }
        return new Pair<>(new ArrayRealVector(values, false), new Array2DRowRealMatrix(jacobian, false));
    }

    private static Outcome<LeastSquaresFit> result(LeastSquaresOptimizer.Optimum optimum, Left left) {
        RealMatrix jacobian = optimum.getJacobian();
        int parameters = jacobian.getColumnDimension();
        // Columns differ by many orders of magnitude (a mass, a rate); scaled first, the rank test means something.
        double[] scale = new double[parameters];
        RealMatrix scaled = jacobian.copy();
        for (int column = 0; column < parameters; column++) {
            scale[column] = jacobian.getColumnVector(column).getNorm();
            if (!(scale[column] > 0)) {
                return Outcome.notEstimable("The points do not hold all of the curve's parameters");
            }
            scaled.setColumnVector(column, jacobian.getColumnVector(column).mapDivide(scale[column]));
        }
        SingularValueDecomposition svd = new SingularValueDecomposition(scaled);
        if (svd.getInverseConditionNumber() < 1e-9) {
            return Outcome.notEstimable("The points do not hold all of the curve's parameters");
        }
        double[][] covariance = svd.getCovariance(0).getData();
        for (int i = 0; i < parameters; i++) {
            for (int j = 0; j < parameters; j++) {
                covariance[i][j] /= scale[i] * scale[j];
            }
        }
        return Outcome.found(new LeastSquaresFit(
                optimum.getPoint().toArray(),
                covariance,
                squares(optimum) + left.squares(),
                left.observations() - parameters));
    }
}
