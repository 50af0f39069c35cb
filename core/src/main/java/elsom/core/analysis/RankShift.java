package elsom.core.analysis;

import elsom.core.stats.Group;
import elsom.core.stats.Holm;
import elsom.core.stats.Interval;
import elsom.core.stats.RankTests;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * Times of which some have not come yet. “Not yet” is later than all that were seen; the shift between two treatments is
 * the middle of all differences of pairs (Hodges and Lehmann 1963), its interval those differences that a rank test would
 * not refuse, each at a share of alpha (Bonferroni). An end of it may be open.
 */
final class RankShift {
    private RankShift() {}

    static Judgement judge(Observations all, Ask ask, Pairing pairing, List<String> checked) {
        checked.add("Some had not come to it when last looked at: they count as later than all that had, by ranks.");
        if (all.design() != Design.COMPLETELY_RANDOM) {
            checked.add("Blocks are not taken out of ranks, which makes the intervals wider than they need be.");
        }
        List<Pairing.Pair> possible = pairing.pairs().stream()
                .filter(pair -> all.seen(pair.treatment()) > 0 && all.seen(pair.comparator()) > 0)
                .toList();
        if (possible.isEmpty()) {
            return Judge.refused(all, pairing, checked, "No pair that is asked about has units left on both sides");
        }
        double[] p =
                Holm.adjust(possible.stream().mapToDouble(pair -> p(all, pair)).toArray());
        List<Comparison> comparisons = new ArrayList<>();
        for (int i = 0; i < possible.size(); i++) {
            comparisons.add(compared(all, ask, possible.get(i), possible.size(), p[i]));
        }
        return new Judgement(
                Method.RANK_SHIFT,
                checked,
                medians(all),
                comparisons,
                List.of(),
                Optional.empty(),
                List.of(),
                OptionalDouble.empty(),
                List.of(),
                Optional.empty());
    }

    private static double p(Observations all, Pairing.Pair pair) {
        return RankTests.mannWhitney(Ranked.values(all, pair.comparator()), Ranked.values(all, pair.treatment()))
                .pExact();
    }

    private static List<Double> medians(Observations all) {
        List<Double> medians = new ArrayList<>();
        for (int arm = 0; arm < all.arms().size(); arm++) {
            double[] values = values(all, arm);
            medians.add(values.length == 0 ? Double.NaN : middle(values));
        }
        return medians;
    }

    private static double[] values(Observations all, int arm) {
        return all.seen().stream()
                .filter(unit -> unit.arm() == arm)
                .mapToDouble(Observations::number)
                .sorted()
                .toArray();
    }

    private static double middle(double[] sorted) {
        int half = sorted.length / 2;
        return sorted.length % 2 == 1 || Double.isInfinite(sorted[half])
                ? sorted[half]
                : new Group("middle", List.of(sorted[half - 1], sorted[half])).mean();
    }

    private static Comparison compared(Observations all, Ask ask, Pairing.Pair pair, int comparisons, double p) {
        double[] treated = values(all, pair.treatment());
        double[] beside = values(all, pair.comparator());
        Interval interval = new Interval(
                bound(treated, beside, ask.alpha() / comparisons, true),
                bound(treated, beside, ask.alpha() / comparisons, false));
        double[] known = differences(treated, beside, 0);
        double comparator = middle(beside);
        OptionalDouble margin = Double.isFinite(comparator) ? Margins.of(ask, comparator) : OptionalDouble.empty();
        double shift = middle(known);
        return new Comparison(
                pair.treatment(),
                pair.comparator(),
                shift,
                Optional.of(interval),
                comparator > 0 && Double.isFinite(comparator) && Double.isFinite(shift)
                        ? OptionalDouble.of(100 * shift / comparator)
                        : OptionalDouble.empty(),
                Optional.empty(),
                OptionalDouble.of(p),
                OptionalDouble.of(p),
                margin,
                Answer.of(interval, all.better(), margin),
                OptionalInt.empty());
    }

    /** All differences in rising order; two that have both not come differ by an unknown time, which is given. */
    private static double[] differences(double[] treated, double[] beside, double bothLate) {
        return Arrays.stream(treated)
                .flatMap(a ->
                        Arrays.stream(beside).map(b -> Double.isInfinite(a) && Double.isInfinite(b) ? bothLate : a - b))
                .sorted()
                .toArray();
    }

    private static double bound(double[] treated, double[] beside, double alpha, boolean low) {
        double m = treated.length;
        double n = beside.length;
        double z = NormalDistribution.of(0, 1).inverseSurvivalProbability(alpha / 2);
        int rank = (int) Math.floor(m * n / 2 - z * Math.sqrt(m * n * (m + n + 1) / 12));
        double[] differences = differences(treated, beside, low ? Double.NEGATIVE_INFINITY : Double.POSITIVE_INFINITY);
        if (rank < 1) {
            return low ? Double.NEGATIVE_INFINITY : Double.POSITIVE_INFINITY;
        }
        return low ? differences[rank - 1] : differences[differences.length - rank];
    }
}
