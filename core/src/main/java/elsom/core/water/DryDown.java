package elsom.core.water;

import elsom.core.curve.LeastSquares;
import elsom.core.curve.LeastSquaresFit;
import elsom.core.stats.Outcome;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Fits of a unit's mass as it dries. */
public final class DryDown {
    private static final int RATE_STARTS = 12;

    private DryDown() {}

    private enum Exponential implements LeastSquares.Model {
        MODEL;

        @Override
        public double value(double t, double[] p) {
            return p[1] + (p[0] - p[1]) * Math.exp(-p[2] * t);
        }

        @Override
        public double[] gradient(double t, double[] p) {
            double e = Math.exp(-p[2] * t);
            return new double[] {e, 1 - e, -(p[0] - p[1]) * t * e};
        }
    }

    /**
     * Fits {@code M(t) = M_r + (M_0 − M_r) e^(−k t)} by least squares.
     *
     * @param points at least 4 weighings at 3 or more different times
     * @return the fit; not estimable if the mass does not fall, or falls in a straight line so that no end shows
     */
    public static Outcome<ExponentialDryDown> exponential(List<TimedMass> points) {
        return tooFew(points, 4, 3)
                .<Outcome<ExponentialDryDown>>map(Outcome::notEstimable)
                .orElseGet(() -> fitExponential(points));
    }

    private static Outcome<ExponentialDryDown> fitExponential(List<TimedMass> points) {
        double span = latest(points) - earliest(points);
        List<double[]> starts = new ArrayList<>();
        for (int i = 0; i < RATE_STARTS; i++) {
            double rate = Math.pow(10, -1 + 3.0 * i / (RATE_STARTS - 1)) / span;
            starts.add(linearStart(points, rate));
        }
        return LeastSquares.fit(Exponential.MODEL, TimedMass.hours(points), TimedMass.grams(points), starts)
                .then(fit -> sensible(fit, span));
    }

    private static Outcome<ExponentialDryDown> sensible(LeastSquaresFit fit, double span) {
        ExponentialDryDown curve = ExponentialDryDown.of(fit);
        if (!(curve.startMassG() > curve.residualMassG()) || !(curve.ratePerHour() > 0)) {
            return Outcome.notEstimable("The weight does not fall towards an end");
        }
        if (curve.ratePerHour() * span < 1e-3) {
            return Outcome.notEstimable("The weight still falls in a straight line, so where it ends can't be told");
        }
        return Outcome.found(curve);
    }

    /** With the rate held, the other two are a straight-line regression of mass on e^(−k t). */
    private static double[] linearStart(List<TimedMass> points, double rate) {
        double meanE = points.stream()
                .mapToDouble(p -> Math.exp(-rate * p.hours()))
                .average()
                .orElseThrow();
        double meanM = points.stream().mapToDouble(TimedMass::grams).average().orElseThrow();
        double cross = 0;
        double square = 0;
        for (TimedMass point : points) {
            double e = Math.exp(-rate * point.hours()) - meanE;
            cross += e * (point.grams() - meanM);
            square += e * e;
        }
        double slope = square > 0 ? cross / square : 0;
        double residual = meanM - slope * meanE;
        return new double[] {residual + slope, residual, rate};
    }

    /**
     * Fits constant-rate loss followed by falling-rate loss.
     *
     * @param points at least 5 weighings at 5 or more different times
     * @return the fit; not estimable if the mass does not fall or no break shows within the weighings
     */
    public static Outcome<TwoStageDryDown> twoStage(List<TimedMass> points) {
        return tooFew(points, 5, 5)
                .<Outcome<TwoStageDryDown>>map(Outcome::notEstimable)
                .orElseGet(() -> fitTwoStage(points));
    }

    private static Outcome<TwoStageDryDown> fitTwoStage(List<TimedMass> points) {
        double first = earliest(points);
        double span = latest(points) - first;
        double top = points.stream().mapToDouble(TimedMass::grams).max().orElseThrow();
        double bottom = points.stream().mapToDouble(TimedMass::grams).min().orElseThrow();
        List<double[]> starts = new ArrayList<>();
        for (int i = 1; i <= 6; i++) {
            for (double below : new double[] {0.02, 0.1, 0.3}) {
                double breakAt = first + span * i / 7;
                double residual = bottom - below * (top - bottom);
                double atBreak = massNear(points, breakAt);
                double rate = Math.max((top - atBreak) / (breakAt - first), (top - bottom) / span * 0.1);
                starts.add(new double[] {top, rate, breakAt, Math.min(residual, top - rate * breakAt - 1e-6 * top)});
            }
        }
        return LeastSquares.fit(TwoStageModel.INSTANCE, TimedMass.hours(points), TimedMass.grams(points), starts)
                .then(fit -> {
                    TwoStageDryDown curve = TwoStageDryDown.of(fit);
                    boolean breakInside = curve.breakHours() > first && curve.breakHours() < latest(points);
                    return curve.constantRateGPerHour() > 0
                                    && breakInside
                                    && curve.massAtBreakG() > curve.residualMassG()
                            ? Outcome.found(curve)
                            : Outcome.notEstimable("No break from constant to falling loss shows in these weighings");
                });
    }

    private static double massNear(List<TimedMass> points, double hours) {
        return points.stream()
                .min(Comparator.comparingDouble(p -> Math.abs(p.hours() - hours)))
                .orElseThrow()
                .grams();
    }

    private static Optional<String> tooFew(List<TimedMass> points, int least, int leastTimes) {
        long times = points.stream().mapToDouble(TimedMass::hours).distinct().count();
        if (points.size() < least || times < leastTimes) {
            return Optional.of("Needs at least " + least + " weighings at " + leastTimes
                    + " different times; there are " + points.size() + " at " + times);
        }
        boolean flat = points.stream().mapToDouble(TimedMass::grams).distinct().count() == 1;
        return flat ? Optional.of("The weight never changes") : Optional.empty();
    }

    private static double earliest(List<TimedMass> points) {
        return points.stream().mapToDouble(TimedMass::hours).min().orElseThrow();
    }

    private static double latest(List<TimedMass> points) {
        return points.stream().mapToDouble(TimedMass::hours).max().orElseThrow();
    }

    /**
     * When straight lines between weighings first fall to a mass; for few weighings, or as a check on a fit.
     *
     * @param points in order of time
     * @return the hours; not estimable if the last weighing is still above it
     */
    public static Outcome<Double> interpolatedTimeTo(List<TimedMass> points, double triggerGrams) {
        if (points.isEmpty()) {
            return Outcome.notEstimable("Not weighed yet");
        }
        if (points.get(0).grams() <= triggerGrams) {
            return Outcome.found(points.get(0).hours());
        }
        for (int i = 1; i < points.size(); i++) {
            TimedMass before = points.get(i - 1);
            TimedMass after = points.get(i);
            if (after.grams() <= triggerGrams) {
                double share = (before.grams() - triggerGrams) / (before.grams() - after.grams());
                return Outcome.found(before.hours() + share * (after.hours() - before.hours()));
            }
        }
        return Outcome.notEstimable("Still above it at the last weighing");
    }
}
