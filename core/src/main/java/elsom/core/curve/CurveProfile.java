package elsom.core.curve;

import java.util.OptionalDouble;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.NelderMeadSimplex;
import org.hipparchus.optim.nonlinear.scalar.noderiv.SimplexOptimizer;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;

/**
 * How badly a curve fits when its dose for a given effect is held: the signed square root of the rise of the squares over
 * the residual variance, which is spread much like Student's t where a standard error is not (Bates &amp; Watts 1988, ch. 6).
 * Curves that never come to the effect are left out where one is held, and in where none is.
 */
public final class CurveProfile {
    private static final double[] SLOPES = {0.1, 0.2, 0.4, 0.8, 1.5, 3, 6, 12};
    private static final double[] PLACES = {-3, -1, 1, 3};
    private static final double NEAR = 1e-6;
    private static final int MOST = 1000;
    private static final double SPAN = 0.8;
    private static final double STEEPEST = 5;

    private final CurveFit fit;
    private final double kept;
    private final double mostLeft;
    private final OptionalDouble estimate;
    private final LeastSquares.Points points;

    /**
     * Of a curve.
     *
     * @param kept what the response is times that without a dose; 0.9 for EC10 of what falls
     */
    public CurveProfile(CurveFit fit, double kept) {
        this(fit, kept, Math.min(1, kept));
    }

    private CurveProfile(CurveFit fit, double kept, double mostLeft) {
        this.fit = fit;
        this.kept = kept;
        this.mostLeft = mostLeft;
        this.estimate = fit.logDose(kept);
        this.points = CurveFit.points(fit.levels());
    }

    /** The same for curves that may end below nothing, as the mathematics of a fit allows and no bench does. */
    static CurveProfile unbounded(CurveFit fit, double kept) {
        return new CurveProfile(fit, kept, 1);
    }

    /** The logarithm of the dose; empty where the curve never comes to the effect. */
    public OptionalDouble estimate() {
        return estimate;
    }

    public int df() {
        return fit.fit().degreesOfFreedom();
    }

    /** The signed root: above 0 where the dose held is above the estimate, 0 at it. */
    public double root(double logDose) {
        double least = fit.fit().residualSumOfSquares();
        double rise = Math.max(0, squares(logDose) - least) / fit.fit().residualVariance();
        boolean above = estimate.isPresent() && logDose > estimate.getAsDouble();
        return above ? Math.sqrt(rise) : -Math.sqrt(rise);
    }

    /** Least squares of the curves that have the effect at this dose. */
    public double squares(double logDose) {
        Held held = new Held(fit.model(), kept, mostLeft, logDose, points, fit.logs());
        double best = Double.POSITIVE_INFINITY;
        double[] start = {};
        for (double slope : SLOPES) {
            for (double place : held.free() == 1 ? new double[] {0} : PLACES) {
                double[] trial = held.free() == 1
                        ? new double[] {Math.log(slope)}
                        : new double[] {Math.log(slope), held.place(place)};
                double squares = held.squares(trial);
                if (squares < best) {
                    best = squares;
                    start = trial;
                }
            }
        }
        return start.length == 0 ? best : fit.levels().within() + near(held, start, best);
    }

    private static double near(Held held, double[] start, double squares) {
        try {
            return Math.min(squares, held.free() == 1 ? alongSlope(held, start) : around(held, start));
        } catch (MathRuntimeException unsettled) {
            return squares;
        }
    }

    private static double alongSlope(Held held, double[] start) {
        return new BrentOptimizer(NEAR, NEAR)
                .optimize(
                        new MaxEval(MOST),
                        new UnivariateObjectiveFunction(slope -> held.squares(new double[] {slope})),
                        GoalType.MINIMIZE,
                        new SearchInterval(start[0] - SPAN, start[0] + SPAN, start[0]))
                .getValue();
    }

    private static double around(Held held, double[] start) {
        return new SimplexOptimizer(NEAR, Double.MIN_NORMAL)
                .optimize(
                        new MaxEval(MOST),
                        new ObjectiveFunction(held::squares),
                        GoalType.MINIMIZE,
                        new InitialGuess(start),
                        new NelderMeadSimplex(new double[] {SPAN / 2, SPAN / 2}))
                .getValue();
    }

    /**
     * Curves by what is free with the dose held: the logarithm of the slope, and the end or the place of a rise. The top, in
     * which they are linear, is always at its best.
     */
    private record Held(
            CurveModel model, double kept, double mostLeft, double logDose, LeastSquares.Points points, boolean logs) {
        int free() {
            return model.parameters() - 2;
        }

        /** A start of the second: e about the dose for a curve with a rise, else how far below the effect its end lies. */
        double place(double step) {
            return model == CurveModel.BC_4 ? logDose - step / 2 : step;
        }

        /** The curve whose top is 1. */
        private double[] parameters(double[] z) {
            double b = model.shape().sign() * Math.exp(Math.min(STEEPEST, z[0]));
            if (model == CurveModel.BC_4) {
                double share = model.shape().share(model.u(Math.exp(logDose), b, z[1]));
                return new double[] {b, 1, z[1], (kept / share - 1) / Math.exp(logDose)};
            }
            // Of the way to a curve's end no more may be left than keeps that end from lying below nothing.
            double share = model.lowerHeld() ? kept : mostLeft / (1 + Math.exp(-z[1]));
            double logE = logDose - Math.log(model.shape().reached(share)) / b;
            return model.lowerHeld()
                    ? new double[] {b, 1, logE}
                    : new double[] {b, (kept - share) / (1 - share), 1, logE};
        }

        /** Of logarithms, to which the top is added. */
        private double ofLogs(double[] p) {
            double sum = 0;
            double squares = 0;
            double weights = 0;
            for (int i = 0; i < points.x().length; i++) {
                double off = points.y()[i] - Math.log(model.value(points.x()[i], p));
                sum += points.weight()[i] * off;
                squares += points.weight()[i] * off * off;
                weights += points.weight()[i];
            }
            return squares - sum * sum / weights;
        }

        double squares(double[] z) {
            double[] p = parameters(z);
            double aa = 0;
            double ay = 0;
            double yy = 0;
            for (int i = 0; i < points.x().length; i++) {
                double a = model.value(points.x()[i], p);
                double y = points.y()[i];
                double weight = points.weight()[i];
                aa += weight * a * a;
                ay += weight * a * y;
                yy += weight * y * y;
            }
            double squares = logs ? ofLogs(p) : yy - ay * ay / aa;
            return Double.isFinite(squares) ? squares : Double.MAX_VALUE;
        }
    }
}
