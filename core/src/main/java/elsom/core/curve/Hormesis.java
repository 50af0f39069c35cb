package elsom.core.curve;

import elsom.core.curve.DoseResponse.Effective;
import elsom.core.stats.Outcome;
import elsom.core.stats.Tests.FTest;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.apache.commons.statistics.distribution.FDistribution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;

/**
 * A fall with stimulation at low doses, {@code (d + f x)/(1 + e^(b(ln x − ln e)))} (Brain & Cousens 1989).
 *
 * @param fit parameters in the order b, d, ln e, f
 * @param withoutStimulation the log-logistic with lower limit 0 through the same points
 */
public record Hormesis(
        double b,
        double d,
        double e,
        double f,
        LeastSquaresFit fit,
        LogLogistic withoutStimulation,
        DoseResponse data) {
    /** The most promising starts are polished; the rest only cost time. */
    private static final int POLISHED = 8;

    private enum Curve implements LeastSquares.Model {
        MODEL;

        private static double survival(double x, double[] p) {
            return x == 0 ? 1 : 1 / (1 + Math.exp(p[0] * (Math.log(x) - p[2])));
        }

        @Override
        public double value(double x, double[] p) {
            return (p[1] + p[3] * x) * survival(x, p);
        }

        @Override
        public double[] gradient(double x, double[] p) {
            double s = survival(x, p);
            double slope = -(p[1] + p[3] * x) * s * (1 - s);
            return new double[] {x == 0 ? 0 : slope * (Math.log(x) - p[2]), s, x == 0 ? 0 : -slope * p[0], x * s};
        }
    }

    /** Where the response is highest. */
    public record Peak(double dose, double response) {}

    public static Outcome<Hormesis> fit(DoseResponse data) {
        return data.holdsCurve(4)
                .then(held -> LogLogistic.fit(data, true, DoseResponse.Direction.DECREASE))
                .then(plain -> LeastSquares.fit(Curve.MODEL, data.doses(), data.responses(), starts(data, plain))
                        .then(fit -> {
                            double[] p = fit.estimates();
                            return p[0] > 1 && Double.isFinite(Math.exp(p[2]))
                                    ? Outcome.found(new Hormesis(p[0], p[1], Math.exp(p[2]), p[3], fit, plain, data))
                                    : Outcome.notEstimable("The curve does not come down again after its rise");
                        }));
    }

    private static List<double[]> starts(DoseResponse data, LogLogistic plain) {
        List<double[]> starts = new ArrayList<>();
        for (double dose : data.positiveDoses()) {
            for (double slope : new double[] {1.5, 2.5, 4}) {
                for (double rise : new double[] {0, 0.5, 2}) {
                    starts.add(new double[] {slope, plain.d(), Math.log(dose), rise * plain.d() / dose});
                }
            }
        }
        return starts.stream()
                .sorted(Comparator.comparingDouble(start -> squares(data, start)))
                .limit(POLISHED)
                .toList();
    }

    private static double squares(DoseResponse data, double[] start) {
        return data.points().stream()
                .mapToDouble(point -> point.response() - Curve.MODEL.value(point.dose(), start))
                .map(off -> off * off)
                .sum();
    }

    public double at(double dose) {
        return Curve.MODEL.value(dose, fit.estimates());
    }

    /** The standard error of the fitted response at a dose. */
    public double standardErrorAt(double dose) {
        return fit.standardErrorOf(Curve.MODEL.gradient(dose, fit.estimates()));
    }

    /** Standard errors in the order b, d, e, f. */
    public List<Double> standardErrors() {
        return List.of(fit.standardError(0), fit.standardError(1), e * fit.standardError(2), fit.standardError(3));
    }

    /** The highest response between no dose and twice the highest one tested. */
    public Peak peak() {
        List<Double> doses = data.positiveDoses();
        double most = doses.get(doses.size() - 1) * 2;
        double best = 0;
        int steps = 400;
        for (int i = 1; i <= steps; i++) {
            double dose = most * i / steps;
            best = at(dose) > at(best) ? dose : best;
        }
        if (best == 0) {
            return new Peak(0, d);
        }
        double dose = new BrentOptimizer(1e-12, 1e-14)
                .optimize(
                        new MaxEval(500),
                        new UnivariateObjectiveFunction(this::at),
                        GoalType.MAXIMIZE,
                        new SearchInterval(Math.max(0, best - most / steps), best + most / steps))
                .getPoint();
        return new Peak(dose, at(dose));
    }

    /** The dose beyond the peak at which the response is this many percent below the control. */
    public Outcome<Effective> effective(double percent) {
        double level = (1 - percent / 100) * d;
        double low = peak().dose();
        double high = Math.max(low, e) * 2;
        for (int i = 0; i < 60 && at(high) > level; i++) {
            high *= 2;
        }
        if (!(at(high) < level)) {
            return Outcome.notEstimable("The response never falls that far");
        }
        double dose = new BracketingNthOrderBrentSolver(1e-13, 1e-13, 5).solve(300, x -> at(x) - level, low, high);
        double[] gradient = Curve.MODEL.gradient(dose, fit.estimates());
        gradient[1] -= 1 - percent / 100;
        double step = dose * 1e-6;
        double slope = (at(dose + step) - at(dose - step)) / (2 * step);
        for (int i = 0; i < gradient.length; i++) {
            gradient[i] /= -slope * dose;
        }
        return Outcome.found(LogLogistic.effective(percent, dose, fit.standardErrorOf(gradient), fit, data));
    }

    /** Whether the stimulation is more than chance: against the curve without it. */
    public FTest stimulation() {
        int df = fit.degreesOfFreedom();
        double f = Math.max(0, withoutStimulation.fit().residualSumOfSquares() - fit.residualSumOfSquares())
                / fit.residualVariance();
        return new FTest(f, 1, df, FDistribution.of(1, df).survivalProbability(f));
    }
}
