package elsom.core.curve;

import elsom.core.stats.Outcome;
import elsom.core.stats.Tests.FTest;
import java.util.List;
import java.util.function.DoubleFunction;

/**
 * Two straight lines that meet at a break.
 *
 * @param slopeRight 0 for a line that ends in a plateau
 * @param against the straight line for two slopes, the mean for a plateau
 */
public record BrokenLine(
        double breakAt,
        double intercept,
        double slopeLeft,
        double slopeRight,
        double squares,
        int df,
        ProfileInterval breakInterval,
        FTest against) {

    /** The response at the break, and after it for a plateau. */
    public double atBreak() {
        return intercept + slopeLeft * breakAt;
    }

    /** Two free slopes, the break between the second and the last but one x. */
    public static Outcome<BrokenLine> segmented(XyData data) {
        List<Double> distinct = data.distinct();
        if (distinct.size() < 5 || data.size() < 6) {
            return Outcome.notEstimable("Two slopes and a break need at least five levels");
        }
        List<Double> range = BreakSearch.within(distinct, distinct.get(1), distinct.get(distinct.size() - 2));
        return fit(data, range, 4, at -> x -> new double[] {1, x, Math.max(0, x - at)}, data.lineSquares());
    }

    /** A line that ends in a plateau. */
    public static Outcome<BrokenLine> plateau(XyData data) {
        List<Double> distinct = data.distinct();
        if (distinct.size() < 4 || data.size() < 5) {
            return Outcome.notEstimable("A line and a plateau need at least four levels");
        }
        List<Double> range = BreakSearch.within(distinct, distinct.get(1), distinct.get(distinct.size() - 1));
        return fit(data, range, 3, at -> x -> new double[] {1, -Math.max(0, at - x)}, data.totalSquares());
    }

    private static Outcome<BrokenLine> fit(
            XyData data,
            List<Double> range,
            int parameters,
            DoubleFunction<DoubleFunction<double[]>> basis,
            double simpler) {
        if (!(data.totalSquares() > 0)) {
            return Outcome.notEstimable("The response never changes");
        }
        BreakSearch.Least least = BreakSearch.least(at -> data.basisSquares(basis.apply(at)), range);
        int df = data.size() - parameters;
        double[] beta = data.coefficients(basis.apply(least.at()));
        boolean plateau = beta.length == 2;
        return Outcome.found(new BrokenLine(
                least.at(),
                plateau ? beta[0] - beta[1] * least.at() : beta[0],
                beta[1],
                plateau ? 0 : beta[1] + beta[2],
                least.squares(),
                df,
                BreakSearch.profile(
                        at -> data.basisSquares(basis.apply(at)),
                        BreakSearch.limit(least.squares(), df),
                        least.at(),
                        range.get(0),
                        range.get(range.size() - 1)),
                XyData.explained(simpler, least.squares(), df)));
    }
}
