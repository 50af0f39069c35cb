package elsom.core.curve;

import elsom.core.stats.Outcome;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * A curve through the means of doses by weighed least squares.
 *
 * @param logs whether responses and curve are fitted as logarithms, of which {@code levels} then are
 */
public record CurveFit(CurveModel model, DoseLevels levels, LeastSquaresFit fit, boolean logs) {
    private static final double[] SLOPES = {0.4, 0.7, 1.2, 2, 3.5, 6, 11};
    private static final int BETWEEN = 3;
    private static final double BEYOND = 3;
    private static final int POLISHED = 3;
    private static final double STEP = 1e-6;

    /** A start with its squares. */
    private record Start(double slope, double logE, double first, double second, double squares) {}

    /** Fits one; not estimable where the points hold none of this kind. */
    public static Outcome<CurveFit> of(CurveModel model, DoseLevels levels) {
        return of(model, levels, false);
    }

    /**
     * Fits the logarithm of a curve to logarithms (Carroll &amp; Ruppert 1984): scatter in proportion to the mean.
     *
     * @param levels of logarithms
     */
    public static Outcome<CurveFit> ofLogs(CurveModel model, DoseLevels levels) {
        return of(model, levels, true);
    }

    private static Outcome<CurveFit> of(CurveModel model, DoseLevels levels, boolean logs) {
        return LeastSquares.fit(
                        logs ? new Logged(model) : model,
                        points(levels),
                        starts(model, logs ? levels.mapped(Math::exp) : levels),
                        new LeastSquares.Left(levels.within(), levels.units()))
                .then(fit -> Double.isFinite(Math.exp(fit.estimates()[model.indexOfLogE()]))
                                && fit.estimates()[0] * model.shape().sign() > 0
                        ? Outcome.found(new CurveFit(model, levels, fit, logs))
                        : Outcome.notEstimable("The curve does not settle on these points"));
    }

    /** The logarithm of a curve. */
    private record Logged(CurveModel model) implements LeastSquares.Model {
        private static final double LEAST = 1e-12;

        @Override
        public double value(double x, double[] p) {
            return Math.log(Math.max(LEAST, model.value(x, p)));
        }

        @Override
        public double[] gradient(double x, double[] p) {
            double value = Math.max(LEAST, model.value(x, p));
            return Arrays.stream(model.gradient(x, p))
                    .map(slope -> slope / value)
                    .toArray();
        }
    }

    static LeastSquares.Points points(DoseLevels levels) {
        return new LeastSquares.Points(levels.doses(), levels.means(), levels.weights());
    }

    /** For a given slope and e a curve is linear in what is left, which is solved for (Golub &amp; Pereyra 1973). */
    private static List<double[]> starts(CurveModel model, DoseLevels levels) {
        List<Start> grid = new ArrayList<>();
        double low = Math.log(levels.lowestDose() / BEYOND);
        double high = Math.log(levels.highestDose() * BEYOND);
        int places = BETWEEN * levels.levels().size();
        for (double slope : SLOPES) {
            for (int i = 0; i <= places; i++) {
                grid.add(start(model, levels, model.shape().sign() * slope, low + i * (high - low) / places));
            }
        }
        return grid.stream()
                .filter(start -> Double.isFinite(start.squares()))
                .sorted(Comparator.comparingDouble(Start::squares))
                .limit(POLISHED)
                .map(start -> parameters(model, start))
                .toList();
    }

    private static double[] parameters(CurveModel model, Start start) {
        return switch (model) {
            case BC_4 -> new double[] {start.slope(), start.first(), start.logE(), start.second()};
            case LL_3, W1_3, W2_3 -> new double[] {start.slope(), start.first(), start.logE()};
            case LL_4, W1_4, W2_4 -> new double[] {start.slope(), start.second(), start.first(), start.logE()};
        };
    }

    private static Start start(CurveModel model, DoseLevels levels, double slope, double logE) {
        boolean one = model.parameters() == 3;
        double aa = 0;
        double ab = 0;
        double bb = 0;
        double ay = 0;
        double by = 0;
        double yy = 0;
        for (DoseLevels.Level level : levels.levels()) {
            double weight = level.n() * level.weight();
            double a = model.shape().share(model.u(level.dose(), slope, logE));
            double b = one ? 0 : model == CurveModel.BC_4 ? level.dose() * a : 1 - a;
            aa += weight * a * a;
            ab += weight * a * b;
            bb += weight * b * b;
            ay += weight * a * level.mean();
            by += weight * b * level.mean();
            yy += weight * level.mean() * level.mean();
        }
        double determinant = aa * bb - ab * ab;
        double first = one ? ay / aa : (bb * ay - ab * by) / determinant;
        double second = one ? 0 : (aa * by - ab * ay) / determinant;
        return new Start(slope, logE, first, second, yy - first * ay - second * by);
    }

    /** The response at a dose. */
    public double at(double dose) {
        return model.value(dose, fit.estimates());
    }

    /** The standard error of the response at a dose. */
    public double standardErrorAt(double dose) {
        return fit.standardErrorOf(model.gradient(dose, fit.estimates()));
    }

    /** The response without a dose. */
    public double atNone() {
        return model.upper(fit.estimates());
    }

    /** The response it comes to at last. */
    public double last() {
        return model.lower(fit.estimates());
    }

    /** Whether it rises before it falls, and falls for good. */
    public boolean rises() {
        double[] p = fit.estimates();
        return model == CurveModel.BC_4 && p[3] > 0 && p[0] > 1;
    }

    /** Standard errors in the order b, c (unless held), d, e, f. */
    public List<Double> standardErrors() {
        List<Double> errors = new ArrayList<>();
        for (int i = 0; i < model.parameters(); i++) {
            errors.add(fit.standardError(i) * (i == model.indexOfLogE() ? Math.exp(fit.estimates()[i]) : 1));
        }
        return errors;
    }

    /** Akaike's criterion with its correction for small samples; infinite where there are too few units for it. */
    public double aicc() {
        int n = levels.units();
        int k = model.parameters() + 1;
        double loss = Math.max(fit.residualSumOfSquares(), Double.MIN_NORMAL);
        return n - k - 1 <= 0
                ? Double.POSITIVE_INFINITY
                : n * Math.log(loss / n) + 2.0 * k + 2.0 * k * (k + 1) / (n - k - 1);
    }

    /** Where the curve is highest. */
    public double logPeak() {
        return logPeak(model, fit.estimates());
    }

    private double logPeak(CurveModel of, double[] p) {
        double low = Math.log(levels.lowestDose()) - 7;
        if (of != CurveModel.BC_4 || p[3] <= 0 || p[0] <= 1) {
            return low;
        }
        double high = Math.log(levels.highestDose()) + 7;
        // Where growth by dose and loss by it are alike in proportion.
        java.util.function.DoubleUnaryOperator slope = at -> {
            double x = Math.exp(at);
            double u = of.u(x, p[0], p[2]);
            return p[3] * x * (1 + u) - (p[1] + p[3] * x) * p[0] * u;
        };
        return slope.applyAsDouble(high) >= 0
                ? high
                : slope.applyAsDouble(low) <= 0
                        ? low
                        : new BracketingNthOrderBrentSolver(1e-13, 1e-13, 5)
                                .solve(300, slope::applyAsDouble, low, high);
    }

    /**
     * The logarithm of the dose at which the response is so many times that without a dose; on a curve with a rise the one
     * beyond it. Empty where the curve never comes to it.
     *
     * @param kept above 0 and not 1; 0.9 for EC10 of what falls
     */
    public OptionalDouble logDose(double kept) {
        return logDose(kept, fit.estimates());
    }

    OptionalDouble logDose(double kept, double[] p) {
        double target = kept * model.upper(p);
        if (model == CurveModel.BC_4) {
            return beyondPeak(target, p);
        }
        double share = (target - model.lower(p)) / (model.upper(p) - model.lower(p));
        return share > 0 && share < 1
                ? OptionalDouble.of(
                        p[model.indexOfLogE()] + Math.log(model.shape().reached(share)) / p[0])
                : OptionalDouble.empty();
    }

    private OptionalDouble beyondPeak(double target, double[] p) {
        double low = logPeak(model, p);
        double high = Math.max(low, p[2]) + 1;
        for (int i = 0; i < 60 && model.value(Math.exp(high), p) > target; i++) {
            high++;
        }
        boolean between = model.value(Math.exp(high), p) < target && model.value(Math.exp(low), p) > target;
        return between
                ? OptionalDouble.of(new BracketingNthOrderBrentSolver(1e-13, 1e-13, 5)
                        .solve(300, at -> model.value(Math.exp(at), p) - target, low, high))
                : OptionalDouble.empty();
    }

    /** The standard error of {@link #logDose} by the delta method; not a number where it is empty. */
    public double standardErrorOfLogDose(double kept) {
        double[] p = fit.estimates();
        double[] gradient = new double[p.length];
        for (int i = 0; i < p.length; i++) {
            double step = STEP * (Math.abs(p[i]) + STEP);
            double[] more = p.clone();
            double[] less = p.clone();
            more[i] += step;
            less[i] -= step;
            gradient[i] = (logDose(kept, more).orElse(Double.NaN)
                            - logDose(kept, less).orElse(Double.NaN))
                    / (2 * step);
        }
        return fit.standardErrorOf(gradient);
    }

    /**
     * The chance of missing the doses' means by so much, when right, of a curve with so many parameters that leaves these
     * weighed squares about them; empty without replicates or doses to spare.
     */
    public static OptionalDouble lackOfFitP(DoseLevels levels, double squares, int parameters) {
        return LackOfFit.p(squares, levels.levels().size() - parameters, levels.within(), levels.withinDf());
    }
}
