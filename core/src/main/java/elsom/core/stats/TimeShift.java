package elsom.core.stats;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * How much later a second sample is than a first, by times that are known as a span: between two looks, or after the last
 * one where it has not come yet. Hodges and Lehmann's (1963) shift with the ends of Bauer (1972), from the least and the
 * greatest differences that can be; exact by Wilcoxon's distribution without ties. In blocks only units of one block are
 * compared, and the distribution is that of the sum over blocks (van Elteren 1960, each difference weighing the same).
 *
 * @param pairs of the two samples, within blocks
 * @param order the how-manieth difference from either end bounds the shift; 0 where the samples are too small for any
 * @param level what the interval holds by, 0.95 or more; empty where there is none
 * @param shift where the spans leave but one; empty otherwise
 * @param shiftFrom the least it can be; empty where it has no end
 * @param low of the interval; empty where it is open
 * @param later whether the whole interval says later: also where it ends at 0, which spans between looks leave out
 * @param sooner whether the whole interval says sooner, likewise
 */
public record TimeShift(
        int pairs,
        int order,
        OptionalDouble level,
        OptionalDouble shift,
        OptionalDouble shiftFrom,
        OptionalDouble shiftTo,
        OptionalDouble low,
        OptionalDouble high,
        boolean boundedBelow,
        boolean boundedAbove,
        boolean later,
        boolean sooner) {
    private static final double SAME = 1e-12;

    /** Samples beyond it are taken by the normal form. */
    private static final int MOST_EXACT = 60;

    /** When something came, as far as it is known: after {@code from}, or then; {@code to} is infinite while it has not. */
    public record Span(double from, double to) {
        public Span {
            if (!(from <= to) || !Double.isFinite(from)) {
                throw new IllegalArgumentException("a span runs from a time to a later one, got " + from + " to " + to);
            }
        }

        public static Span at(double time) {
            return new Span(time, time);
        }

        public static Span notYet(double from) {
            return new Span(from, Double.POSITIVE_INFINITY);
        }
    }

    /** The units of one block: some of either sample. */
    public record Block(List<Span> first, List<Span> second) {
        public Block {
            first = List.copyOf(first);
            second = List.copyOf(second);
        }

        int pairs() {
            return first.size() * second.size();
        }
    }

    /**
     * A difference that can be, and whether it can only come near it: what was found at a look came after the one before.
     */
    private record Bound(double value, boolean leftOut) {}

    /**
     * The shift of two samples.
     *
     * @param first one span or more
     * @param second likewise
     * @param alpha of both ends of the interval together
     */
    public static TimeShift of(List<Span> first, List<Span> second, double alpha) {
        return of(List.of(new Block(first, second)), alpha);
    }

    /**
     * The shift within blocks.
     *
     * @param all one block or more with units of both samples; others say nothing
     * @param alpha of both ends of the interval together
     */
    public static TimeShift of(List<Block> all, double alpha) {
        List<Block> blocks = all.stream().filter(block -> block.pairs() > 0).toList();
        Bound[] least = bounds(blocks, (a, b) -> new Bound(b.from() - a.to(), b.from() < b.to()));
        Bound[] greatest = bounds(blocks, (a, b) -> new Bound(b.to() - a.from(), a.from() < a.to()));
        int pairs = least.length;
        if (pairs == 0) {
            return none();
        }
        Sums sums = Sums.of(blocks);
        int order = sums.order(alpha);
        double from = middle(least);
        double to = middle(greatest);
        boolean one = Double.isFinite(from) && Double.isFinite(to) && Math.abs(from - to) < SAME;
        Bound low = order == 0 ? new Bound(Double.NEGATIVE_INFINITY, true) : least[order - 1];
        Bound high = order == 0 ? new Bound(Double.POSITIVE_INFINITY, true) : greatest[pairs - order];
        return new TimeShift(
                pairs,
                order,
                order == 0 ? OptionalDouble.empty() : OptionalDouble.of(1 - 2 * sums.atMost(order - 1)),
                one ? OptionalDouble.of(from) : OptionalDouble.empty(),
                finite(from),
                finite(to),
                finite(low.value()),
                finite(high.value()),
                Double.isFinite(low.value()),
                Double.isFinite(high.value()),
                low.value() > 0 || (low.value() == 0 && order > 0 && strictly(least, order, true)),
                high.value() < 0 || (high.value() == 0 && order > 0 && strictly(greatest, order, false)));
    }

    private static TimeShift none() {
        OptionalDouble no = OptionalDouble.empty();
        return new TimeShift(0, 0, no, no, no, no, no, no, false, false, false, false);
    }

    /** Whether fewer than {@code order} differences can be on the other side of 0, or at it. */
    private static boolean strictly(Bound[] bounds, int order, boolean least) {
        return Arrays.stream(bounds)
                        .filter(bound -> (least ? bound.value() < 0 : bound.value() > 0)
                                || (bound.value() == 0 && !bound.leftOut()))
                        .count()
                < order;
    }

    private static OptionalDouble finite(double value) {
        return Double.isFinite(value) ? OptionalDouble.of(value) : OptionalDouble.empty();
    }

    private static Bound[] bounds(List<Block> blocks, BiFunction<Span, Span, Bound> by) {
        return blocks.stream()
                .flatMap(block -> block.first().stream()
                        .flatMap(a -> block.second().stream().map(b -> by.apply(a, b))))
                .sorted(Comparator.comparingDouble(Bound::value))
                .toArray(Bound[]::new);
    }

    /** The middle; none where its two halves lie at opposite infinities. */
    private static double middle(Bound[] sorted) {
        double low = sorted[(sorted.length - 1) / 2].value();
        double high = sorted[sorted.length / 2].value();
        return Double.isInfinite(low) && Double.isInfinite(high) && low != high ? Double.NaN : (low + high) / 2;
    }

    /** How Wilcoxon's statistic, summed over blocks, comes about where nothing differs. */
    private static final class Sums {
        /** The chance of each sum from 0 on; empty where it is taken by the normal form. */
        private final double[] ways;

        private final double mean;
        private final double variance;

        private Sums(double[] ways, double mean, double variance) {
            this.ways = ways;
            this.mean = mean;
            this.variance = variance;
        }

        static Sums of(List<Block> blocks) {
            double mean = 0;
            double variance = 0;
            double[] ways = {1};
            boolean exact = true;
            for (Block block : blocks) {
                int m = block.second().size();
                int n = block.first().size();
                mean += m * n / 2.0;
                variance += (double) m * n * (m + n + 1) / 12;
                exact = exact && Math.max(m, n) <= MOST_EXACT;
                ways = exact ? together(ways, RankSums.untied(m, n), m, n) : ways;
            }
            return new Sums(exact ? ways : new double[0], mean, variance);
        }

        private static double[] together(double[] ways, RankSums sums, int m, int n) {
            double[] one = new double[m * n + 1];
            for (int w = 0; w < one.length; w++) {
                one[w] = sums.atMost(doubled(m, w)) - (w == 0 ? 0 : sums.atMost(doubled(m, w - 1)));
            }
            double[] both = new double[ways.length + m * n];
            for (int i = 0; i < ways.length; i++) {
                for (int w = 0; w < one.length; w++) {
                    both[i + w] += ways[i] * one[w];
                }
            }
            return both;
        }

        /** Twice the rank sum of m units whose statistic of Wilcoxon is w. */
        private static double doubled(int m, int w) {
            return 2 * (w + m * (m + 1) / 2.0);
        }

        /** The greatest k with P(W ≤ k − 1) at most half of alpha. */
        int order(double alpha) {
            if (ways.length == 0) {
                double z = NormalDistribution.of(0, 1).inverseSurvivalProbability(alpha / 2);
                return (int) Math.max(0, Math.floor(mean - z * Math.sqrt(variance)));
            }
            int order = 0;
            while (atMost(order) <= alpha / 2) {
                order++;
            }
            return order;
        }

        double atMost(int w) {
            return ways.length == 0
                    ? NormalDistribution.of(mean, Math.sqrt(variance)).cumulativeProbability(w + 0.5)
                    : Arrays.stream(ways, 0, w + 1).sum();
        }
    }

    /** Whether nothing bounds it. */
    public boolean open() {
        return !boundedBelow && !boundedAbove;
    }

    /** The interval, its open ends infinite. */
    public Interval interval() {
        return new Interval(low.orElse(Double.NEGATIVE_INFINITY), high.orElse(Double.POSITIVE_INFINITY));
    }
}
