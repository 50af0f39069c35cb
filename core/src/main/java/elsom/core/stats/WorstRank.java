package elsom.core.stats;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * Two samples in which some died: the dead rank behind all that lived (Lachin 1999, Controlled Clinical Trials 20), so that
 * a treatment that kills its weakest does not look the better for it. Exact by permutation of midranks.
 *
 * @param rankSumTreatment of the treated, high where they did better
 * @param winProbability the chance that a treated unit does better than another, ties half
 * @param pExact two-sided; of more than 120 units the normal form with continuity
 * @param deathsFisherP of the deaths alone, by Fisher's exact test
 */
public record WorstRank(
        int nComparator,
        int nTreatment,
        int deathsComparator,
        int deathsTreatment,
        double rankSumTreatment,
        double winProbability,
        double pExact,
        double pExactBetter,
        double pExactWorse,
        OptionalDouble z,
        OptionalDouble pNormal,
        OptionalDouble pNormalContinuity,
        double deathsFisherP) {
    private static final double SAME = 1e-9;

    /** Units whose permutations are counted; of more the normal form with continuity is as good. */
    private static final int MOST_COUNTED = 120;

    /**
     * The test; each side needs a unit, dead or alive.
     *
     * @param higherIsBetter which way is better for those that lived
     */
    public static WorstRank of(
            List<Double> comparator,
            int comparatorDeaths,
            List<Double> treatment,
            int treatmentDeaths,
            boolean higherIsBetter) {
        double sign = higherIsBetter ? 1 : -1;
        double worst = DoubleStream.concat(stream(comparator), stream(treatment))
                        .map(value -> sign * value)
                        .min()
                        .orElse(0)
                - 1;
        double[] all = DoubleStream.concat(
                        DoubleStream.concat(
                                stream(comparator).map(value -> sign * value), dead(comparatorDeaths, worst)),
                        DoubleStream.concat(stream(treatment).map(value -> sign * value), dead(treatmentDeaths, worst)))
                .toArray();
        int n = comparator.size() + comparatorDeaths;
        int m = treatment.size() + treatmentDeaths;
        if (n == 0 || m == 0) {
            throw new IllegalArgumentException("each side needs a unit, got " + n + " and " + m);
        }
        Ranks ranks = Ranks.of(all);
        int[] doubled = new int[all.length];
        double sum = 0;
        for (int i = 0; i < all.length; i++) {
            doubled[i] = (int) Math.round(2 * ranks.rank(i));
            sum += i >= n ? ranks.rank(i) : 0;
        }
        double total = n + m;
        double middle = m * (total + 1) / 2;
        double off = Math.abs(sum - middle);
        double variance = (double) n * m / 12 * (total + 1 - ranks.tieSum() / (total * (total - 1)));
        double better;
        double worse;
        double both;
        if (total <= MOST_COUNTED) {
            RankSums sums = RankSums.of(doubled, m);
            better = sums.atLeast(2 * sum);
            worse = sums.atMost(2 * sum);
            both = off < SAME ? 1 : sums.atLeast(2 * (middle + off)) + sums.atMost(2 * (middle - off));
        } else {
            both = normal(Math.max(0, off - 0.5), variance).orElse(1);
            better = sum >= middle ? both / 2 : 1 - both / 2;
            worse = sum <= middle ? both / 2 : 1 - both / 2;
        }
        return new WorstRank(
                n,
                m,
                comparatorDeaths,
                treatmentDeaths,
                sum,
                (sum - m * (m + 1) / 2.0) / ((double) n * m),
                Math.min(1, both),
                better,
                worse,
                variance > 0 ? OptionalDouble.of((sum - middle) / Math.sqrt(variance)) : OptionalDouble.empty(),
                normal(off, variance),
                normal(Math.max(0, off - 0.5), variance),
                FisherExact.of(new Proportion(treatmentDeaths, m), new Proportion(comparatorDeaths, n))
                        .p());
    }

    private static DoubleStream stream(List<Double> values) {
        return values.stream().mapToDouble(value -> value);
    }

    private static DoubleStream dead(int number, double worst) {
        return DoubleStream.generate(() -> worst).limit(number);
    }

    private static OptionalDouble normal(double off, double variance) {
        return variance > 0
                ? OptionalDouble.of(
                        Math.min(1, 2 * NormalDistribution.of(0, 1).survivalProbability(off / Math.sqrt(variance))))
                : OptionalDouble.empty();
    }
}
