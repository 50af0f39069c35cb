package elsom.core.seedling;

import elsom.core.curve.LeastSquares;
import elsom.core.curve.LeastSquaresFit;
import elsom.core.stats.Interval;
import elsom.core.stats.Outcome;
import elsom.core.stats.StraightLine;
import java.util.List;
import java.util.Optional;

/**
 * First-order decay {@code C = C0 e^(−k t)} by a straight line through ln C. Days; a measured 0 has no logarithm and is
 * left out, and counted.
 */
public record ResidueDecay(StraightLine line, int used, int excluded) {
    /** The two-parameter curve C0·e^(−kt), fitted on the scale of the concentration; zeros count there. */
    private enum Curve implements LeastSquares.Model {
        MODEL;

        @Override
        public double value(double t, double[] p) {
            return p[0] * Math.exp(-p[1] * t);
        }

        @Override
        public double[] gradient(double t, double[] p) {
            double e = Math.exp(-p[1] * t);
            return new double[] {e, -p[0] * t * e};
        }
    }

    /** A measured concentration on a day. */
    public record Sample(double day, double concentration) {
        public Sample {
            if (!(day >= 0) || !(concentration >= 0) || Double.isInfinite(day + concentration)) {
                throw new IllegalArgumentException(
                        "day and concentration must be 0 or more, got " + concentration + " on day " + day);
            }
        }
    }

    /** Fits the line; not estimable with fewer than two different days above 0 concentration. */
    public static Outcome<ResidueDecay> fit(List<Sample> samples) {
        List<Sample> measured =
                samples.stream().filter(s -> s.concentration() > 0).toList();
        return StraightLine.fit(
                        measured.stream().mapToDouble(Sample::day).toArray(),
                        measured.stream()
                                .mapToDouble(s -> Math.log(s.concentration()))
                                .toArray())
                .then(line -> Outcome.found(new ResidueDecay(line, measured.size(), samples.size() - measured.size())));
    }

    /** Fits C0 and k, in this order, to the concentrations themselves. */
    public static Outcome<LeastSquaresFit> fitCurve(List<Sample> samples) {
        return fit(samples)
                .then(start -> samples.size() < 3
                        ? Outcome.notEstimable("A curve needs at least three samples")
                        : LeastSquares.fit(
                                Curve.MODEL,
                                samples.stream().mapToDouble(Sample::day).toArray(),
                                samples.stream()
                                        .mapToDouble(Sample::concentration)
                                        .toArray(),
                                List.of(
                                        new double[] {Math.exp(start.line().intercept()), start.ratePerDay()},
                                        new double[] {
                                            Math.exp(start.line().intercept()), Math.abs(start.ratePerDay()) * 3 + 1e-3
                                        })));
    }

    /** k, per day. */
    public double ratePerDay() {
        return -line.slope();
    }

    public Optional<Interval> rateInterval95() {
        return line.slopeInterval95().map(slope -> new Interval(-slope.high(), -slope.low()));
    }

    /** Days until this share is left; not estimable when nothing decays. */
    public Outcome<Double> daysTo(double shareLeft) {
        return ratePerDay() > 0
                ? Outcome.found(-Math.log(shareLeft) / ratePerDay())
                : Outcome.notEstimable("It does not decay");
    }

    /** The 95 % interval of {@link #daysTo}, open above (infinite) where no decay can't be ruled out. */
    public Optional<Interval> daysToInterval95(double shareLeft) {
        double logs = -Math.log(shareLeft);
        return rateInterval95()
                .map(rate -> new Interval(
                        rate.high() > 0 ? logs / rate.high() : Double.POSITIVE_INFINITY,
                        rate.low() > 0 ? logs / rate.low() : Double.POSITIVE_INFINITY));
    }
}
