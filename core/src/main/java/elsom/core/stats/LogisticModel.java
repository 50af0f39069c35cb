package elsom.core.stats;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * Logistic regression of counts on a design, by iteratively reweighted least squares. The deviance is that of the limit
 * when estimates run away, which they do under separation; the estimates themselves are then not given.
 */
public final class LogisticModel {
    private static final int MOST_ITERATIONS = 200;
    private static final double SETTLED = 1e-13;
    private static final double EDGE = 1e-7;
    private static final int MOST_HALVINGS = 40;
    private static final double SLACK = 1e-12;

    private final double deviance;
    private final Optional<Estimates> estimates;

    /** Coefficients in the design's order, with their standard errors. */
    public record Estimates(List<Double> coefficients, List<Double> errors) {}

    private LogisticModel(double deviance, Optional<Estimates> estimates) {
        this.deviance = deviance;
        this.estimates = estimates;
    }

    public double deviance() {
        return deviance;
    }

    /** Not estimable when the groups are separated. */
    public Outcome<Estimates> estimates() {
        return estimates
                .map(Outcome::found)
                .orElseGet(() -> Outcome.notEstimable(
                        "All or nothing in a group, or no settled fit: the coefficients have no end"));
    }

    /**
     * Fits counts.
     *
     * @param design a row a group, a column a coefficient, of full rank
     */
    public static LogisticModel fit(double[][] design, List<Proportion> groups) {
        RealMatrix x = new Array2DRowRealMatrix(design);
        RealVector beta = new ArrayRealVector(x.getColumnDimension());
        double before;
        double deviance = deviance(x, beta, groups);
        RealMatrix information = x;
        boolean settled = false;
        for (int i = 0; i < MOST_ITERATIONS && !settled; i++) {
            before = deviance;
            RealVector residual = new ArrayRealVector(groups.size());
            RealMatrix weighted = x.copy();
            for (int row = 0; row < groups.size(); row++) {
                double p = share(x, beta, row);
                double weight = Math.max(1e-300, groups.get(row).n() * p * (1 - p));
                residual.setEntry(
                        row, groups.get(row).affected() - groups.get(row).n() * p);
                weighted.setRowVector(row, x.getRowVector(row).mapMultiply(weight));
            }
            information = x.transpose().multiply(weighted);
            RealVector step = new QRDecomposition(information, 1e-14)
                    .getSolver()
                    .solve(x.transpose().operate(residual));
            RealVector next = beta.add(step);
            for (int half = 0;
                    half < MOST_HALVINGS && !(deviance(x, next, groups) <= before * (1 + SLACK) + SLACK);
                    half++) {
                step = step.mapMultiply(0.5);
                next = beta.add(step);
            }
            beta = next;
            deviance = deviance(x, beta, groups);
            settled = Math.abs(before - deviance) <= SETTLED * (1 + deviance);
        }
        boolean ranAway = false;
        for (int row = 0; row < groups.size(); row++) {
            double p = share(x, beta, row);
            ranAway |= p < EDGE || p > 1 - EDGE;
        }
        return new LogisticModel(
                deviance, ranAway || !settled ? Optional.empty() : Optional.of(named(beta, information)));
    }

    private static Estimates named(RealVector beta, RealMatrix information) {
        RealMatrix covariance = new QRDecomposition(information).getSolver().getInverse();
        List<Double> errors = IntStream.range(0, beta.getDimension())
                .mapToObj(i -> Math.sqrt(covariance.getEntry(i, i)))
                .toList();
        return new Estimates(Arrays.stream(beta.toArray()).boxed().toList(), errors);
    }

    private static double share(RealMatrix x, RealVector beta, int row) {
        double eta = Math.max(-30, Math.min(30, x.getRowVector(row).dotProduct(beta)));
        return 1 / (1 + Math.exp(-eta));
    }

    private static double deviance(RealMatrix x, RealVector beta, List<Proportion> groups) {
        double sum = 0;
        for (int row = 0; row < groups.size(); row++) {
            Proportion group = groups.get(row);
            double p = share(x, beta, row);
            sum += term(group.affected(), group.n() * p) + term(group.unaffected(), group.n() * (1 - p));
        }
        return 2 * sum;
    }

    private static double term(double observed, double expected) {
        return observed > 0 ? observed * Math.log(observed / expected) : 0;
    }
}
