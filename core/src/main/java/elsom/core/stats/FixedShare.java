package elsom.core.stats;

import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.hipparchus.analysis.solvers.BrentSolver;

/**
 * A count beside a share that is fixed beforehand: "nine of ten come up". Exact by the binomial, and by its mid-p (Lancaster
 * 1961), which is less cautious; intervals by Clopper and Pearson (1934) and by mid-p.
 *
 * @param pAtLeast the chance of as many or more, were the share true
 */
public record FixedShare(
        double share,
        double pAtLeast,
        double pAtMost,
        double pTwoSidedMinlike,
        double pTwoSidedDoubled,
        double midPAtLeast,
        double midPAtMost,
        double midPTwoSided,
        Interval clopperPearson,
        Interval midPInterval) {
    private static final double ALIKE = 1 + 1e-7;
    private static final double ACCURACY = 1e-14;
    private static final int MOST_TRIES = 300;

    /** Judges so many of n, at 95 %. */
    public static FixedShare of(int count, int n, double fixed) {
        BinomialDistribution binomial = BinomialDistribution.of(n, fixed);
        double[] chances =
                IntStream.rangeClosed(0, n).mapToDouble(binomial::probability).toArray();
        double atLeast =
                IntStream.rangeClosed(count, n).mapToDouble(k -> chances[k]).sum();
        double atMost =
                IntStream.rangeClosed(0, count).mapToDouble(k -> chances[k]).sum();
        double here = chances[count];
        double minlike = IntStream.rangeClosed(0, n)
                .mapToDouble(k -> chances[k] <= here * ALIKE ? chances[k] : 0)
                .sum();
        return new FixedShare(
                (double) count / n,
                Math.min(1, atLeast),
                Math.min(1, atMost),
                Math.min(1, minlike),
                Math.min(1, 2 * Math.min(atLeast, atMost)),
                atLeast - here / 2,
                atMost - here / 2,
                Math.min(1, 2 * Math.min(atLeast - here / 2, atMost - here / 2)),
                new Proportion(count, n).clopperPearson95(),
                midP(count, n));
    }

    private static Interval midP(int count, int n) {
        DoubleUnaryOperator above = share -> BinomialDistribution.of(n, share).survivalProbability(count)
                + BinomialDistribution.of(n, share).probability(count) / 2;
        return new Interval(
                count == 0 ? 0 : root(share -> above.applyAsDouble(share) - 0.025),
                count == n ? 1 : root(share -> 1 - above.applyAsDouble(share) - 0.025));
    }

    private static double root(DoubleUnaryOperator f) {
        return new BrentSolver(ACCURACY, ACCURACY).solve(MOST_TRIES, f::applyAsDouble, 0, 1);
    }
}
