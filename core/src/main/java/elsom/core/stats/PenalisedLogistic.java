package elsom.core.stats;

import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * Logistic regression whose likelihood is penalised by Jeffreys' prior: estimates are finite where all or none of a group
 * are affected, and have less bias in small samples (Firth 1993, Biometrika 80; Heinze and Schemper 2002, Statistics in
 * Medicine 21). Tests and intervals are those of the penalised likelihood's profile, which Wald's are not a fair stand-in
 * for where groups are separated.
 */
public final class PenalisedLogistic {
    private static final int MOST_STEPS = 200;
    private static final double SETTLED = 1e-11;
    private static final double LONGEST_STEP = 3;
    private static final int MOST_HALVINGS = 30;
    private static final double FURTHEST = 40;
    private static final int HALVINGS = 60;

    private final RealMatrix design;
    private final List<Proportion> groups;
    private final RealVector coefficients;
    private final double likelihood;

    private PenalisedLogistic(RealMatrix design, List<Proportion> groups) {
        this.design = design;
        this.groups = groups;
        Climb climb = climb(-1, 0, new ArrayRealVector(design.getColumnDimension()));
        this.coefficients = climb.at;
        this.likelihood = climb.likelihood;
    }

    private record Climb(RealVector at, double likelihood) {}

    /** What the sums at some coefficients need: expected shares, information and its inverse. */
    private record Point(RealVector shares, DecompositionSolver information, double likelihood) {}

    /**
     * Fits counts.
     *
     * @param design a row a group, a column a coefficient (an intercept is a column of ones)
     * @param groups of the rows, k of n
     */
    public static Outcome<PenalisedLogistic> fit(double[][] design, List<Proportion> groups) {
        RealMatrix x = new Array2DRowRealMatrix(design);
        RealMatrix squares = x.transpose().multiply(x);
        if (x.getRowDimension() < x.getColumnDimension()
                || !new LUDecomposition(squares, 1e-9).getSolver().isNonSingular()) {
            return Outcome.notEstimable("More coefficients than the groups can tell apart");
        }
        return Outcome.found(new PenalisedLogistic(x, List.copyOf(groups)));
    }

    /** On the scale of log odds, in the design's order. */
    public List<Double> coefficients() {
        return Arrays.stream(coefficients.toArray()).boxed().toList();
    }

    /** Of the penalised likelihood ratio of a coefficient against a value, on one degree of freedom. */
    public double p(int coefficient, double against) {
        return ChiSquaredDistribution.of(1).survivalProbability(ratio(coefficient, against));
    }

    /** Twice the fall of the penalised log likelihood when a coefficient is held at a value. */
    private double ratio(int coefficient, double value) {
        RealVector start = coefficients.copy();
        start.setEntry(coefficient, value);
        return Math.max(0, 2 * (likelihood - climb(coefficient, value, start).likelihood));
    }

    /**
     * By the profile; an end further off than e^40 in odds is not given.
     *
     * @param alpha of both ends together
     */
    public Interval interval(int coefficient, double alpha) {
        double most = ChiSquaredDistribution.of(1).inverseSurvivalProbability(alpha);
        double best = coefficients.getEntry(coefficient);
        DoubleUnaryOperator beyond = distance -> ratio(coefficient, best + distance) - most;
        return new Interval(best + end(beyond, -1), best + end(beyond, 1));
    }

    private static double end(DoubleUnaryOperator beyond, double side) {
        double near = 0;
        double far = 1;
        while (far < FURTHEST && beyond.applyAsDouble(side * far) < 0) {
            near = far;
            far *= 2;
        }
        if (far >= FURTHEST) {
            return side * Double.POSITIVE_INFINITY;
        }
        for (int i = 0; i < HALVINGS && far - near > SETTLED; i++) {
            double middle = (near + far) / 2;
            if (beyond.applyAsDouble(side * middle) < 0) {
                near = middle;
            } else {
                far = middle;
            }
        }
        return side * (near + far) / 2;
    }

    /** Newton's steps up the penalised likelihood; one coefficient may be held, the penalty is of the whole design. */
    private Climb climb(int held, double value, RealVector start) {
        RealVector at = start;
        Point point = point(at);
        for (int i = 0; i < MOST_STEPS; i++) {
            RealVector step = step(point, held);
            double longest = step.getLInfNorm();
            if (longest > LONGEST_STEP) {
                step = step.mapMultiply(LONGEST_STEP / longest);
            }
            RealVector next = at.add(step);
            Point there = point(next);
            for (int half = 0; half < MOST_HALVINGS && !(there.likelihood >= point.likelihood - SETTLED); half++) {
                step = step.mapMultiply(0.5);
                next = at.add(step);
                there = point(next);
            }
            at = next;
            point = there;
            if (step.getLInfNorm() < SETTLED) {
                break;
            }
        }
        if (held >= 0) {
            at.setEntry(held, value);
        }
        return new Climb(at, point.likelihood);
    }

    private RealVector step(Point point, int held) {
        int columns = design.getColumnDimension();
        RealVector score = new ArrayRealVector(columns);
        RealMatrix information = new Array2DRowRealMatrix(columns, columns);
        for (int row = 0; row < groups.size(); row++) {
            RealVector x = design.getRowVector(row);
            double p = point.shares.getEntry(row);
            double n = groups.get(row).n();
            double leverage = n * p * (1 - p) * x.dotProduct(point.information.solve(x));
            double left = groups.get(row).affected() - n * p + leverage * (0.5 - p);
            score = score.add(x.mapMultiply(left));
            information = information.add(x.outerProduct(x).scalarMultiply(n * p * (1 - p)));
        }
        if (held >= 0) {
            score.setEntry(held, 0);
            for (int i = 0; i < columns; i++) {
                information.setEntry(held, i, 0);
                information.setEntry(i, held, 0);
            }
            information.setEntry(held, held, 1);
        }
        return new LUDecomposition(information, 1e-300).getSolver().solve(score);
    }

    private Point point(RealVector at) {
        int columns = design.getColumnDimension();
        double[] shares = new double[groups.size()];
        double sum = 0;
        RealMatrix information = new Array2DRowRealMatrix(columns, columns);
        for (int row = 0; row < groups.size(); row++) {
            RealVector x = design.getRowVector(row);
            double odds = Math.max(-FURTHEST, Math.min(FURTHEST, x.dotProduct(at)));
            double p = 1 / (1 + Math.exp(-odds));
            shares[row] = p;
            sum -= groups.get(row).affected() * Math.log1p(Math.exp(-odds))
                    + groups.get(row).unaffected() * Math.log1p(Math.exp(odds));
            information = information.add(
                    x.outerProduct(x).scalarMultiply(groups.get(row).n() * p * (1 - p)));
        }
        LUDecomposition decomposed = new LUDecomposition(information, 1e-300);
        double determinant = decomposed.getDeterminant();
        double penalised = determinant > 0 ? sum + Math.log(determinant) / 2 : Double.NEGATIVE_INFINITY;
        return new Point(new ArrayRealVector(shares, false), decomposed.getSolver(), penalised);
    }
}
