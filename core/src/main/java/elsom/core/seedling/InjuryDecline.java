package elsom.core.seedling;

import elsom.core.curve.LeastSquares;
import elsom.core.curve.LeastSquaresFit;
import elsom.core.stats.Interval;
import elsom.core.stats.Outcome;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * Injury falling with the days since treatment, {@code U/(1 + e^(k (d − d50)))}.
 *
 * @param upper U, in percent
 * @param ratePerDay k
 * @param halfDay d50
 * @param fit parameters in the order k, d50, and U when it was fitted
 */
public record InjuryDecline(double upper, double ratePerDay, double halfDay, LeastSquaresFit fit) {
    /** When a threshold is reached. */
    public record Day(double day, double standardError, Interval interval95) {}

    private record Model(OptionalDouble fixedUpper) implements LeastSquares.Model {
        double upper(double[] p) {
            return fixedUpper.orElseGet(() -> p[2]);
        }

        @Override
        public double value(double day, double[] p) {
            return upper(p) / (1 + Math.exp(p[0] * (day - p[1])));
        }

        @Override
        public double[] gradient(double day, double[] p) {
            double e = Math.exp(p[0] * (day - p[1]));
            double share = 1 / (1 + e);
            double slope = -upper(p) * share * (Double.isInfinite(e) ? 1 : e / (1 + e));
            double byRate = slope * (day - p[1]);
            double byHalf = -slope * p[0];
            return fixedUpper.isPresent() ? new double[] {byRate, byHalf} : new double[] {byRate, byHalf, share};
        }
    }

    /**
     * Fits injury.
     *
     * @param fixedUpper the injury on day 0, such as 100; empty to fit it
     */
    public static Outcome<InjuryDecline> fit(double[] days, double[] injuryPercent, OptionalDouble fixedUpper) {
        int parameters = fixedUpper.isPresent() ? 2 : 3;
        if (days.length != injuryPercent.length) {
            throw new IllegalArgumentException(
                    "days and injuries must be equally many, got " + days.length + " and " + injuryPercent.length);
        }
        if (DoubleStream.of(days).distinct().count() <= parameters || days.length <= parameters) {
            return Outcome.notEstimable("More sowing days are needed for a curve");
        }
        double last = DoubleStream.of(days).max().orElseThrow();
        double top = DoubleStream.of(injuryPercent).max().orElseThrow();
        List<double[]> starts = DoubleStream.of(0.15, 0.35, 0.6)
                .boxed()
                .flatMap(at -> DoubleStream.of(2, 5, 12)
                        .mapToObj(rate -> parameters == 2
                                ? new double[] {rate / last, at * last}
                                : new double[] {rate / last, at * last, top}))
                .toList();
        return LeastSquares.fit(new Model(fixedUpper), days, injuryPercent, starts)
                .then(fit -> {
                    double[] p = fit.estimates();
                    return p[0] > 0
                            ? Outcome.found(new InjuryDecline(fixedUpper.orElseGet(() -> p[2]), p[0], p[1], fit))
                            : Outcome.notEstimable("Injury does not fall with the days");
                });
    }

    /** Injury in percent of what was sown on a day. */
    public double at(double day) {
        return upper / (1 + Math.exp(ratePerDay * (day - halfDay)));
    }

    /** The day at which injury falls to a threshold in percent; not estimable at or above the upper limit. */
    public Outcome<Day> dayAt(double thresholdPercent) {
        if (!(thresholdPercent > 0 && thresholdPercent < upper)) {
            return Outcome.notEstimable("The threshold lies outside the curve");
        }
        double odds = Math.log(upper / thresholdPercent - 1);
        double day = halfDay + odds / ratePerDay;
        double[] gradient = fit.estimates().length == 2
                ? new double[] {-odds / (ratePerDay * ratePerDay), 1}
                : new double[] {-odds / (ratePerDay * ratePerDay), 1, 1 / (ratePerDay * (upper - thresholdPercent))};
        double error = fit.standardErrorOf(gradient);
        double half = TDistribution.of(fit.degreesOfFreedom()).inverseSurvivalProbability(0.025) * error;
        return Outcome.found(new Day(day, error, new Interval(day - half, day + half)));
    }
}
