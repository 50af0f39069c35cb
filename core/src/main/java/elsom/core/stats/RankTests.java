package elsom.core.stats;

import java.util.Arrays;
import java.util.List;
import java.util.stream.DoubleStream;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * Tests of two samples by ranks, exact also with ties: the permutation distribution of sums of midranks. It is counted up
 * to a size at which that takes about a tenth of a second; beyond it the normal form is as good, and is said to be it.
 */
public final class RankTests {
    /** Steps of counting that are still exact: two samples of about 60 each. */
    private static final double MOST_STEPS = 1e8;

    /** Differences that are still exact. */
    private static final int MOST_DIFFERENCES = 400;

    private RankTests() {}

    /**
     * Two independent samples (Mann & Whitney 1947).
     *
     * @param uFirst pairs in which the first sample is larger, ties counting half
     * @param shift the Hodges–Lehmann shift of the second against the first
     * @param pExact by permutation; as {@code pCorrected} when {@code counted} is false
     * @param counted whether the permutations were counted; false for samples too large for it
     * @param pCorrected normal approximation with continuity correction; 1 when all values are the same
     */
    public record MannWhitney(
            double uFirst,
            double uSecond,
            boolean ties,
            boolean counted,
            double pExact,
            double pCorrected,
            double pPlain,
            double shift) {}

    /**
     * Differences of pairs (Wilcoxon 1945), zeros left out.
     *
     * @param counted whether the signs were counted; false for so many that the normal form was taken
     */
    public record SignedRank(double positive, boolean counted, double pExact) {}

    public static MannWhitney mannWhitney(Group first, Group second) {
        double[] x = first.array();
        double[] y = second.array();
        double[] all = DoubleStream.concat(Arrays.stream(x), Arrays.stream(y)).toArray();
        Ranks ranks = Ranks.of(all);
        double sum = 0;
        for (int i = 0; i < x.length; i++) {
            sum += ranks.rank(i);
        }
        double m = x.length;
        double n = y.length;
        double u = sum - m * (m + 1) / 2;
        double total = m + n;
        double variance = m * n / 12 * (total + 1 - ranks.tieSum() / (total * (total - 1)));
        double off = Math.abs(u - m * n / 2);
        double corrected = normal(Math.max(0, off - 0.5), variance);
        int chosen = Math.min(x.length, y.length);
        boolean counted = total * chosen * total * (total + 1) <= MOST_STEPS;
        return new MannWhitney(
                u,
                m * n - u,
                ranks.tieSum() > 0,
                counted,
                !counted
                        ? corrected
                        : x.length <= y.length
                                ? exact(ranks, all.length, x.length, sum)
                                : exact(ranks, all.length, y.length, total * (total + 1) / 2 - sum),
                corrected,
                normal(off, variance),
                median(differences(x, y)));
    }

    private static double normal(double off, double variance) {
        return variance > 0
                ? Math.min(1, 2 * NormalDistribution.of(0, 1).survivalProbability(off / Math.sqrt(variance)))
                : 1;
    }

    private static double[] differences(double[] x, double[] y) {
        return Arrays.stream(x).flatMap(a -> Arrays.stream(y).map(b -> b - a)).toArray();
    }

    private static double median(double[] values) {
        return new Group("differences", Arrays.stream(values).boxed().toList()).median();
    }

    /** Ways to reach each doubled rank sum with a number of values, counted value by value. */
    private static double exact(Ranks ranks, int total, int chosen, double sum) {
        int most = total * (total + 1);
        double[][] ways = new double[chosen + 1][most + 1];
        ways[0][0] = 1;
        for (int i = 0; i < total; i++) {
            int rank = (int) Math.round(2 * ranks.rank(i));
            for (int taken = Math.min(i + 1, chosen); taken >= 1; taken--) {
                for (int s = most; s >= rank; s--) {
                    ways[taken][s] += ways[taken - 1][s - rank];
                }
            }
        }
        double expected = chosen * (total + 1.0);
        return tail(ways[chosen], expected, Math.abs(2 * sum - expected));
    }

    private static double tail(double[] ways, double expected, double off) {
        double inside = 0;
        double all = 0;
        for (int s = 0; s < ways.length; s++) {
            all += ways[s];
            inside += Math.abs(s - expected) >= off - 1e-9 ? ways[s] : 0;
        }
        return Math.min(1, inside / all);
    }

    /** Pairs, second less first. */
    public static SignedRank signedRank(List<Double> differences) {
        double[] nonzero = differences.stream()
                .mapToDouble(Double::doubleValue)
                .filter(d -> d != 0)
                .toArray();
        Ranks ranks = Ranks.of(Arrays.stream(nonzero).map(Math::abs).toArray());
        double positive = 0;
        for (int i = 0; i < nonzero.length; i++) {
            positive += nonzero[i] > 0 ? ranks.rank(i) : 0;
        }
        if (nonzero.length > MOST_DIFFERENCES) {
            double n = nonzero.length;
            double variance = n * (n + 1) * (2 * n + 1) / 24 - ranks.tieSum() / 48;
            double off = Math.max(0, Math.abs(positive - n * (n + 1) / 4) - 0.5);
            return new SignedRank(positive, false, normal(off, variance));
        }
        return new SignedRank(positive, true, signs(ranks, nonzero.length, positive));
    }

    /** The chance of each doubled rank sum when every sign is as likely: chances, as counts would leave the range. */
    private static double signs(Ranks ranks, int count, double positive) {
        int most = count * (count + 1);
        double[] chance = new double[most + 1];
        chance[0] = 1;
        for (int i = 0; i < count; i++) {
            int rank = (int) Math.round(2 * ranks.rank(i));
            for (int s = most; s >= 0; s--) {
                chance[s] = (chance[s] + (s >= rank ? chance[s - rank] : 0)) / 2;
            }
        }
        return tail(chance, most / 2.0, Math.abs(2 * positive - most / 2.0));
    }
}
