package elsom.core.curve;

import elsom.core.stats.Outcome;
import elsom.core.stats.Tests.FTest;
import java.util.List;
import java.util.Optional;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;

/**
 * Yield that holds up to a threshold and then falls in a straight line (Maas & Hoffman 1977): Ymax up to a, then
 * {@code Ymax (1 − b/100 (x − a))}, not below 0 when clamped.
 *
 * @param threshold a
 * @param slopePercent b, percent of Ymax per unit
 * @param errors standard errors of a, b, Ymax; empty when a sits on a data point
 */
public record SalinityResponse(
        double threshold,
        double slopePercent,
        double highest,
        double squares,
        int df,
        boolean atLowerBound,
        Optional<List<Double>> errors,
        ProfileInterval thresholdInterval,
        ProfileInterval slopeInterval,
        ProfileInterval halfYieldInterval,
        FTest againstMean) {
    /** How many the curve has: threshold, slope, highest yield. */
    public static final int PARAMETERS = 3;

    private static final double WIDEST = 20;

    /** The search for one set of points. */
    private record Search(XyData data, boolean clamped) {
        double share(double x, double a, double b) {
            double share = 1 - b / 100 * Math.max(0, x - a);
            return clamped ? Math.max(0, share) : share;
        }

        /** The sum of squares with Ymax at its best. */
        double squares(double a, double b) {
            double yg = 0;
            double gg = 0;
            double yy = 0;
            for (int i = 0; i < data.size(); i++) {
                double g = share(data.x(i), a, b);
                yg += data.y(i) * g;
                gg += g * g;
                yy += data.y(i) * data.y(i);
            }
            return gg > 0 ? Math.max(0, yy - yg * yg / gg) : yy;
        }

        double highest(double a, double b) {
            double yg = 0;
            double gg = 0;
            for (int i = 0; i < data.size(); i++) {
                double g = share(data.x(i), a, b);
                yg += data.y(i) * g;
                gg += g * g;
            }
            return yg / gg;
        }

        /** Where the yield would reach 0, for a threshold; places that matter lie between the data. */
        List<Double> slopes(double a) {
            List<Double> beyond =
                    data.distinct().stream().filter(x -> x > a + 1e-9).toList();
            double last = beyond.get(beyond.size() - 1);
            double flattest = 100 / ((last - a) * WIDEST * 5);
            double steepest = 100 / ((beyond.get(0) - a) * 0.5);
            List<Double> kinks =
                    beyond.stream().map(x -> 100 / (x - a)).sorted().toList();
            return BreakSearch.within(kinks, Math.min(flattest, steepest), Math.max(flattest, steepest));
        }

        BreakSearch.Least bestSlope(double a) {
            double[] beta = data.coefficients(x -> new double[] {1, -Math.max(0, x - a)});
            double b = 100 * beta[1] / beta[0];
            BreakSearch.Least straight = new BreakSearch.Least(b, squares(a, b));
            return clamped && !(b > 0 && best(straight, a))
                    ? BreakSearch.quick(slope -> squares(a, slope), slopes(a))
                    : straight;
        }

        /** A line that ends above 0 is the best of all when any that ends at 0 misses the last points by more. */
        private boolean best(BreakSearch.Least straight, double a) {
            double last = data.distinct().get(data.distinct().size() - 1);
            double missed = 0;
            for (int i = 0; i < data.size(); i++) {
                missed += data.x(i) == last ? data.y(i) * data.y(i) : 0;
            }
            return 1 - straight.at() / 100 * Math.max(0, last - a) >= 0 && straight.squares() <= missed;
        }
    }

    /** Fits; not estimable with fewer than four different x, or when yield does not fall. */
    public static Outcome<SalinityResponse> fit(XyData data, boolean clamped) {
        List<Double> distinct = data.distinct();
        if (distinct.size() < 4 || data.size() < 5) {
            return Outcome.notEstimable("A threshold and a slope need at least four levels");
        }
        if (!(data.totalSquares() > 0)) {
            return Outcome.notEstimable("The yield never changes");
        }
        Search search = new Search(data, clamped);
        double lowest = distinct.get(0);
        double highest = distinct.get(distinct.size() - 2);
        List<Double> range = BreakSearch.within(distinct, lowest, highest);
        BreakSearch.Least a = BreakSearch.quick(t -> search.bestSlope(t).squares(), range);
        double b = search.bestSlope(a.at()).at();
        if (!(b > 0) || !Double.isFinite(b)) {
            return Outcome.notEstimable("The yield does not fall");
        }
        return Outcome.found(made(search, range, a, b));
    }

    private static SalinityResponse made(Search search, List<Double> range, BreakSearch.Least a, double b) {
        XyData data = search.data();
        int df = data.size() - 3;
        double ymax = search.highest(a.at(), b);
        double limit = BreakSearch.limit(a.squares(), df);
        double lowest = range.get(0);
        double highest = range.get(range.size() - 1);
        double half = a.at() + 50 / b;
        return new SalinityResponse(
                a.at(),
                b,
                ymax,
                a.squares(),
                df,
                a.at() <= lowest,
                errors(search, a, b, ymax, df),
                BreakSearch.profile(t -> search.bestSlope(t).squares(), limit, a.at(), lowest, highest),
                BreakSearch.profile(
                        slope -> BreakSearch.quick(t -> search.squares(t, slope), range)
                                .squares(),
                        limit,
                        b,
                        b / WIDEST,
                        b * WIDEST),
                BreakSearch.profile(
                        middle -> BreakSearch.quick(
                                        t -> search.squares(t, 50 / Math.max(1e-9, middle - t)),
                                        BreakSearch.within(range, lowest, Math.min(highest, middle - 1e-6)))
                                .squares(),
                        limit,
                        half,
                        lowest + 1e-3,
                        half + (highest - lowest) * 5),
                XyData.explained(data.totalSquares(), a.squares(), df));
    }

    private static Optional<List<Double>> errors(Search search, BreakSearch.Least a, double b, double ymax, int df) {
        XyData data = search.data();
        if (data.distinct().stream().anyMatch(x -> Math.abs(x - a.at()) < 1e-9)) {
            return Optional.empty();
        }
        RealMatrix jacobian = new Array2DRowRealMatrix(data.size(), 3);
        for (int i = 0; i < data.size(); i++) {
            double share = search.share(data.x(i), a.at(), b);
            boolean falling = data.x(i) > a.at() && !(search.clamped() && share <= 0);
            jacobian.setEntry(i, 0, falling ? ymax * b / 100 : 0);
            jacobian.setEntry(i, 1, falling ? -ymax * (data.x(i) - a.at()) / 100 : 0);
            jacobian.setEntry(i, 2, share);
        }
        QRDecomposition solver = new QRDecomposition(jacobian.transpose().multiply(jacobian), 1e-14);
        if (!solver.getSolver().isNonSingular()) {
            return Optional.empty();
        }
        RealMatrix covariance = solver.getSolver().getInverse();
        double variance = a.squares() / df;
        return Optional.of(List.of(
                Math.sqrt(variance * covariance.getEntry(0, 0)),
                Math.sqrt(variance * covariance.getEntry(1, 1)),
                Math.sqrt(variance * covariance.getEntry(2, 2))));
    }

    /** Where half of the yield is left. */
    public double halfYieldAt() {
        return threshold + 50 / slopePercent;
    }

    /** Where no yield is left. */
    public double zeroYieldAt() {
        return threshold + 100 / slopePercent;
    }
}
