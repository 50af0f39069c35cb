package elsom.core.curve;

/** The outcome of a nonlinear least-squares fit: estimates, their covariance, and what is left over. */
public final class LeastSquaresFit {
    private final double[] estimates;
    private final double[][] unscaledCovariance;
    private final double residualSumOfSquares;
    private final int degreesOfFreedom;

    /**
     * A fit.
     *
     * @param estimates parameters in the model's order
     * @param unscaledCovariance inverse of J'J at the estimates; times s² it is the covariance
     * @param degreesOfFreedom observations less parameters
     */
    LeastSquaresFit(
            double[] estimates, double[][] unscaledCovariance, double residualSumOfSquares, int degreesOfFreedom) {
        this.estimates = estimates.clone();
        this.unscaledCovariance = unscaledCovariance;
        this.residualSumOfSquares = residualSumOfSquares;
        this.degreesOfFreedom = degreesOfFreedom;
    }

    /** A copy of the parameters, in the model's order. */
    public double[] estimates() {
        return estimates.clone();
    }

    public double residualSumOfSquares() {
        return residualSumOfSquares;
    }

    /** Observations less parameters. */
    public int degreesOfFreedom() {
        return degreesOfFreedom;
    }

    /** The residual variance s². */
    public double residualVariance() {
        return residualSumOfSquares / degreesOfFreedom;
    }

    /** The standard error of a parameter. */
    public double standardError(int parameter) {
        return Math.sqrt(residualVariance() * unscaledCovariance[parameter][parameter]);
    }

    /**
     * The standard error of a function of the parameters by the delta method.
     *
     * @param gradient its derivative by each parameter
     */
    public double standardErrorOf(double[] gradient) {
        double sum = 0;
        for (int i = 0; i < gradient.length; i++) {
            for (int j = 0; j < gradient.length; j++) {
                sum += gradient[i] * unscaledCovariance[i][j] * gradient[j];
            }
        }
        return Math.sqrt(residualVariance() * sum);
    }
}
