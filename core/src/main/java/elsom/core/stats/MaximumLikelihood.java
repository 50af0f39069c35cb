package elsom.core.stats;

import java.util.Arrays;
import java.util.function.ToDoubleFunction;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.NelderMeadSimplex;
import org.hipparchus.optim.nonlinear.scalar.noderiv.SimplexOptimizer;

/** Maximum likelihood where derivatives are not at hand. */
public final class MaximumLikelihood {
    private static final double NEAR = 1e-13;
    private static final double NOTHING = 1e-11;
    private static final double STEP = 1e-4;
    private static final int MOST = 20_000;
    private static final int AGAIN = 8;

    private MaximumLikelihood() {}

    /**
     * Where least is lost, by a simplex that is begun again where it ended until nothing is gained.
     *
     * @param lost minus the logarithm of the likelihood; very large where there is none
     */
    public static double[] least(ToDoubleFunction<double[]> lost, double[] start) {
        double[] at = start;
        for (int i = 0; i < AGAIN; i++) {
            double before = lost.applyAsDouble(at);
            double[] sides =
                    Arrays.stream(at).map(x -> 0.05 + 0.1 * Math.abs(x)).toArray();
            at = new SimplexOptimizer(NEAR, NEAR)
                    .optimize(
                            new MaxEval(MOST),
                            new ObjectiveFunction(lost::applyAsDouble),
                            GoalType.MINIMIZE,
                            new InitialGuess(at),
                            new NelderMeadSimplex(sides))
                    .getPoint();
            if (before - lost.applyAsDouble(at) < NOTHING) {
                return at;
            }
        }
        return at;
    }

    /** The covariance of the estimates by the observed information, from differences. */
    public static RealMatrix covariance(ToDoubleFunction<double[]> lost, double[] at) {
        RealMatrix second = MatrixUtils.createRealMatrix(at.length, at.length);
        double[] step = Arrays.stream(at).map(x -> STEP * (1 + Math.abs(x))).toArray();
        for (int i = 0; i < at.length; i++) {
            for (int j = 0; j <= i; j++) {
                double sum = 0;
                for (int[] sign : new int[][] {{1, 1, 1}, {1, -1, -1}, {-1, 1, -1}, {-1, -1, 1}}) {
                    double[] moved = at.clone();
                    moved[i] += sign[0] * step[i];
                    moved[j] += sign[1] * step[j];
                    sum += sign[2] * lost.applyAsDouble(moved);
                }
                second.setEntry(i, j, sum / (4 * step[i] * step[j]));
                second.setEntry(j, i, second.getEntry(i, j));
            }
        }
        return new LUDecomposition(second).getSolver().getInverse();
    }
}
