package elsom.core.stats;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.jspecify.annotations.Nullable;

/**
 * Logistic regression whose likelihood is penalised by Jeffreys' prior: estimates are finite where all or none of a group
 * are affected, and have less bias in small samples (Firth 1993, Biometrika 80; Heinze and Schemper 2002, Statistics in
 * Medicine 21). Tests and intervals are those of the penalised likelihood's profile, which Wald's are not a fair stand-in
 * for where groups are separated.
 */
public final class PenalisedLogistic {
    private static final int MOST_STEPS = 200;
    private static final double SETTLED = 1e-10;
    private static final double LONGEST_STEP = 3;
    private static final int MOST_HALVINGS = 30;
    private static final double FURTHEST = 40;
    private static final double CLOSE = 1e-9;
    private static final int MOST_TRIES = 200;
    private static final double TINY = 1e-300;

    private final double[][] design;
    private final RealMatrix across;
    private final List<Proportion> groups;
    private final double[] coefficients;
    private final double likelihood;

    private PenalisedLogistic(double[][] design, List<Proportion> groups) {
        this.design = design;
        this.across = new Array2DRowRealMatrix(design).transpose();
        this.groups = groups;
        Climb climb = climb(-1, new double[design[0].length]);
        this.coefficients = climb.at;
        this.likelihood = climb.likelihood;
    }

    private static final class Climb {
        private final double[] at;
        private final double likelihood;

        Climb(double[] at, double likelihood) {
            this.at = at;
            this.likelihood = likelihood;
        }
    }

    /** What the sums at some coefficients need: shares and weights of rows, the information with its solver if it has one. */
    private static final class Point {
        private final double[] shares;
        private final double[] weights;
        private final double[][] information;
        private final @Nullable DecompositionSolver inverted;
        private final double likelihood;

        Point(
                double[] shares,
                double[] weights,
                double[][] information,
                @Nullable DecompositionSolver inverted,
                double likelihood) {
            this.shares = shares;
            this.weights = weights;
            this.information = information;
            this.inverted = inverted;
            this.likelihood = likelihood;
        }
    }

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
        return Outcome.found(new PenalisedLogistic(x.getData(), List.copyOf(groups)));
    }

    /** On the scale of log odds, in the design's order. */
    public List<Double> coefficients() {
        return Arrays.stream(coefficients).boxed().toList();
    }

    /** Of the penalised likelihood ratio of a coefficient against a value, on one degree of freedom. */
    public double p(int coefficient, double against) {
        return ChiSquaredDistribution.of(1).survivalProbability(ratio(coefficient, against));
    }

    /** Twice the fall of the penalised log likelihood when a coefficient is held at a value. */
    private double ratio(int coefficient, double value) {
        double[] start = coefficients.clone();
        start[coefficient] = value;
        return Math.max(0, 2 * (likelihood - climb(coefficient, start).likelihood));
    }

    /**
     * By the profile; an end further off than e^40 in odds is not given.
     *
     * @param alpha of both ends together
     */
    public Interval interval(int coefficient, double alpha) {
        double most = ChiSquaredDistribution.of(1).inverseSurvivalProbability(alpha);
        return new Interval(end(coefficient, most, -1), end(coefficient, most, 1));
    }

    /** Each climb of the profile begins where the one before ended, which is near. */
    private double end(int coefficient, double most, double side) {
        double best = coefficients[coefficient];
        double[][] last = {coefficients};
        UnivariateFunction beyond = distance -> {
            double[] start = last[0].clone();
            start[coefficient] = best + side * distance;
            Climb climb = climb(coefficient, start);
            last[0] = climb.at;
            return 2 * (likelihood - climb.likelihood) - most;
        };
        double near = 0;
        double far = 1;
        while (far < FURTHEST && beyond.value(far) < 0) {
            near = far;
            far *= 2;
        }
        return far >= FURTHEST
                ? side * Double.POSITIVE_INFINITY
                : best + side * new BrentSolver(CLOSE).solve(MOST_TRIES, beyond, near, far);
    }

    /** Scoring steps up the penalised likelihood; one coefficient may be held, the penalty is of the whole design. */
    private Climb climb(int held, double[] start) {
        double[] at = start;
        Point point = point(at);
        for (int i = 0; i < MOST_STEPS && point.inverted != null; i++) {
            double[] step = step(point, held);
            double longest = Arrays.stream(step).map(Math::abs).max().orElse(0);
            double part = longest > LONGEST_STEP ? LONGEST_STEP / longest : 1;
            double[] next = added(at, step, part);
            Point there = point(next);
            double least = point.likelihood - SETTLED;
            for (int half = 0; half < MOST_HALVINGS && !(there.likelihood >= least); half++) {
                part /= 2;
                next = added(at, step, part);
                there = point(next);
            }
            if (!(there.likelihood >= least)) {
                break;
            }
            double gained = there.likelihood - point.likelihood;
            at = next;
            point = there;
            // As near the top as the likelihood can tell.
            if (part * longest < SETTLED || (gained < SETTLED && part * longest < CLOSE)) {
                break;
            }
        }
        return new Climb(at, point.likelihood);
    }

    private static double[] added(double[] at, double[] step, double part) {
        double[] sum = at.clone();
        for (int i = 0; i < sum.length; i++) {
            sum[i] += part * step[i];
        }
        return sum;
    }

    private double[] step(Point point, int held) {
        int columns = design[0].length;
        RealMatrix spread = Objects.requireNonNull(point.inverted).solve(across);
        double[] score = new double[columns];
        for (int row = 0; row < design.length; row++) {
            double leverage = 0;
            for (int i = 0; i < columns; i++) {
                leverage += design[row][i] * spread.getEntry(i, row);
            }
            double p = point.shares[row];
            double left =
                    groups.get(row).affected() - groups.get(row).n() * p + point.weights[row] * leverage * (0.5 - p);
            for (int i = 0; i < columns; i++) {
                score[i] += left * design[row][i];
            }
        }
        if (held < 0) {
            return point.inverted.solve(new ArrayRealVector(score, false)).toArray();
        }
        double[][] information = new double[columns][];
        for (int i = 0; i < columns; i++) {
            information[i] = i == held ? new double[columns] : point.information[i].clone();
            information[i][held] = 0;
        }
        information[held][held] = 1;
        score[held] = 0;
        return new LUDecomposition(new Array2DRowRealMatrix(information, false), TINY)
                .getSolver()
                .solve(new ArrayRealVector(score, false))
                .toArray();
    }

    private Point point(double[] at) {
        int columns = design[0].length;
        double[] shares = new double[design.length];
        double[] weights = new double[design.length];
        double[][] information = new double[columns][columns];
        double sum = 0;
        for (int row = 0; row < design.length; row++) {
            double odds = 0;
            for (int i = 0; i < columns; i++) {
                odds += design[row][i] * at[i];
            }
            odds = Math.max(-FURTHEST, Math.min(FURTHEST, odds));
            Proportion group = groups.get(row);
            shares[row] = 1 / (1 + Math.exp(-odds));
            weights[row] = group.n() * shares[row] * (1 - shares[row]);
            sum -= group.affected() * Math.log1p(Math.exp(-odds)) + group.unaffected() * Math.log1p(Math.exp(odds));
            for (int i = 0; i < columns; i++) {
                double weighed = weights[row] * design[row][i];
                for (int j = 0; weighed != 0 && j < columns; j++) {
                    information[i][j] += weighed * design[row][j];
                }
            }
        }
        LUDecomposition decomposed = new LUDecomposition(new Array2DRowRealMatrix(information), TINY);
        double determinant = decomposed.getDeterminant();
        return determinant > 0
                ? new Point(shares, weights, information, decomposed.getSolver(), sum + Math.log(determinant) / 2)
                : new Point(shares, weights, information, null, Double.NEGATIVE_INFINITY);
    }
}
