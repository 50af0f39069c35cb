package elsom.core.curve;

import elsom.core.curve.DoseResponse.Direction;
import elsom.core.curve.DoseResponse.Effective;
import elsom.core.stats.Interval;
import elsom.core.stats.Outcome;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * The log-logistic curve {@code c + (d − c)/(1 + e^(b(ln x − ln e)))}, with c held at 0 or fitted. For b above 0 the
 * response falls from d to c; for b below 0 it rises from c, and d is its limit.
 *
 * @param fit parameters in the order b, c (unless held at 0), d, ln e
 */
public record LogLogistic(
        double b, double c, double d, double e, boolean lowerHeld, LeastSquaresFit fit, DoseResponse data) {
    private static final Interval ANYWHERE = new Interval(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);

    private record Model(boolean lowerHeld) implements LeastSquares.Model {
        /** The share of the way from d to c at a dose. */
        private double share(double x, double b, double logE) {
            if (x == 0) {
                return b > 0 ? 0 : 1;
            }
            return 1 / (1 + Math.exp(-b * (Math.log(x) - logE)));
        }

        @Override
        public double value(double x, double[] p) {
            double lower = lowerHeld ? 0 : p[1];
            double upper = p[lowerHeld ? 1 : 2];
            return upper + (lower - upper) * share(x, p[0], p[lowerHeld ? 2 : 3]);
        }

        @Override
        public double[] gradient(double x, double[] p) {
            double lower = lowerHeld ? 0 : p[1];
            double upper = p[lowerHeld ? 1 : 2];
            double logE = p[lowerHeld ? 2 : 3];
            double share = share(x, p[0], logE);
            double slope = (lower - upper) * share * (1 - share);
            double byB = x == 0 ? 0 : slope * (Math.log(x) - logE);
            double byLogE = x == 0 ? 0 : -slope * p[0];
            return lowerHeld ? new double[] {byB, 1 - share, byLogE} : new double[] {byB, share, 1 - share, byLogE};
        }
    }

    /** Fits the curve; with three parameters the lower limit is 0. Not estimable when the doses do not differ. */
    public static Outcome<LogLogistic> fit(DoseResponse data, boolean lowerHeld, Direction direction) {
        return data.holdsCurve(lowerHeld ? 3 : 4)
                .then(held -> {
                    Model model = new Model(lowerHeld);
                    double[] x = data.doses();
                    double[] y = data.responses();
                    List<double[]> best = new DoseGrid(x, y, lowerHeld).best(direction == Direction.DECREASE ? 1 : -1);
                    Outcome<LeastSquaresFit> polished = LeastSquares.fit(model, x, y, best);
                    return polished.asOptional().isPresent()
                            ? polished
                            : LeastSquares.fit(model, x, y, starts(data, lowerHeld, direction));
                })
                .then(fit -> {
                    double[] p = fit.estimates();
                    double lower = lowerHeld ? 0 : p[1];
                    double upper = p[lowerHeld ? 1 : 2];
                    double e = Math.exp(p[lowerHeld ? 2 : 3]);
                    return Double.isFinite(e) && e > 0 && p[0] != 0
                            ? Outcome.found(new LogLogistic(p[0], lower, upper, e, lowerHeld, fit, data))
                            : Outcome.notEstimable("The curve does not settle on these points");
                });
    }

    private static List<double[]> starts(DoseResponse data, boolean lowerHeld, Direction direction) {
        double top = data.points().stream()
                .mapToDouble(DoseResponse.Point::response)
                .max()
                .orElseThrow();
        double bottom = data.points().stream()
                .mapToDouble(DoseResponse.Point::response)
                .min()
                .orElseThrow();
        List<double[]> starts = new ArrayList<>();
        double sign = direction == Direction.DECREASE ? 1 : -1;
        for (double dose : data.positiveDoses()) {
            for (double slope : new double[] {0.7, 1.5, 3, 6}) {
                starts.add(
                        lowerHeld
                                ? new double[] {sign * slope, top, Math.log(dose)}
                                : new double[] {sign * slope, bottom, top, Math.log(dose)});
            }
        }
        return starts;
    }

    /** The response at a dose. */
    public double at(double dose) {
        return new Model(lowerHeld).value(dose, fit.estimates());
    }

    /** The standard error of the fitted response at a dose. */
    public double standardErrorAt(double dose) {
        return fit.standardErrorOf(new Model(lowerHeld).gradient(dose, fit.estimates()));
    }

    /** Standard errors in the order b, c (unless held), d, e. */
    public List<Double> standardErrors() {
        List<Double> errors = new ArrayList<>();
        int last = fit.estimates().length - 1;
        for (int i = 0; i < last; i++) {
            errors.add(fit.standardError(i));
        }
        errors.add(e * fit.standardError(last));
        return errors;
    }

    /** The dose with this percentage of the effect, above 0 and below 100. */
    public Effective effective(double percent) {
        double odds = Math.log(percent / (100 - percent));
        double logDose = Math.log(e) + odds / Math.abs(b);
        double[] gradient = new double[fit.estimates().length];
        gradient[0] = -Math.signum(b) * odds / (b * b);
        gradient[gradient.length - 1] = 1;
        return effective(percent, Math.exp(logDose), fit.standardErrorOf(gradient), fit, data);
    }

    /** An effective dose with its intervals, from the standard error of its logarithm. */
    static Effective effective(double percent, double dose, double logError, LeastSquaresFit fit, DoseResponse data) {
        double t = TDistribution.of(fit.degreesOfFreedom()).inverseSurvivalProbability(0.025);
        double error = dose * logError;
        boolean known = Double.isFinite(error) && Double.isFinite(dose * Math.exp(t * logError));
        return new Effective(
                percent,
                dose,
                error,
                known ? new Interval(dose - t * error, dose + t * error) : ANYWHERE,
                known ? new Interval(dose * Math.exp(-t * logError), dose * Math.exp(t * logError)) : ANYWHERE,
                data.outsideTested(dose));
    }
}
