package elsom.core.stats;

import java.util.List;
import java.util.OptionalDouble;
import java.util.function.ToDoubleBiFunction;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * How much later a second sample is than a first, by times that are known as a span: between two looks, or after the last
 * one where it has not come yet. Hodges and Lehmann's (1963) shift with the ends of Bauer (1972), from the least and the
 * greatest differences that can be; exact by Wilcoxon's distribution without ties.
 *
 * @param pairs of the two samples
 * @param order the how-manieth difference from either end bounds the shift; 0 where the samples are too small for any
 * @param level what the interval holds by, 0.95 or more; empty where there is none
 * @param shift where the spans leave but one; empty otherwise
 * @param shiftFrom the least it can be; empty where it has no end
 * @param low of the interval; empty where it is open
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
        boolean boundedAbove) {
    private static final double SAME = 1e-12;

    /** Samples beyond it are taken by the normal form. */
    private static final int MOST_EXACT = 60;

    /** When something came, as far as it is known; {@code to} is infinite while it has not. */
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

    /**
     * The shift.
     *
     * @param first one span or more
     * @param second likewise
     * @param alpha of both ends of the interval together
     */
    public static TimeShift of(List<Span> first, List<Span> second, double alpha) {
        int pairs = first.size() * second.size();
        double[] least = differences(first, second, (a, b) -> b.from() - a.to());
        double[] greatest = differences(first, second, (a, b) -> b.to() - a.from());
        int order = order(second.size(), first.size(), alpha);
        double from = middle(least);
        double to = middle(greatest);
        boolean one = Double.isFinite(from) && Double.isFinite(to) && Math.abs(from - to) < SAME;
        double low = order == 0 ? Double.NEGATIVE_INFINITY : least[order - 1];
        double high = order == 0 ? Double.POSITIVE_INFINITY : greatest[pairs - order];
        return new TimeShift(
                pairs,
                order,
                order == 0
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(1 - 2 * below(second.size(), first.size(), order)),
                one ? OptionalDouble.of(from) : OptionalDouble.empty(),
                finite(from),
                finite(to),
                finite(low),
                finite(high),
                Double.isFinite(low),
                Double.isFinite(high));
    }

    private static OptionalDouble finite(double value) {
        return Double.isFinite(value) ? OptionalDouble.of(value) : OptionalDouble.empty();
    }

    private static double[] differences(List<Span> first, List<Span> second, ToDoubleBiFunction<Span, Span> by) {
        return first.stream()
                .flatMapToDouble(a -> second.stream().mapToDouble(b -> by.applyAsDouble(a, b)))
                .sorted()
                .toArray();
    }

    /** The middle; none where its two halves lie at opposite infinities. */
    private static double middle(double[] sorted) {
        double low = sorted[(sorted.length - 1) / 2];
        double high = sorted[sorted.length / 2];
        return Double.isInfinite(low) && Double.isInfinite(high) && low != high ? Double.NaN : (low + high) / 2;
    }

    /** The greatest k with P(W ≤ k − 1) at most half of alpha. */
    private static int order(int m, int n, double alpha) {
        if (Math.max(m, n) > MOST_EXACT) {
            double z = NormalDistribution.of(0, 1).inverseSurvivalProbability(alpha / 2);
            double mn = (double) m * n;
            return (int) Math.max(0, Math.floor(mn / 2 - z * Math.sqrt(mn * (m + n + 1) / 12)));
        }
        RankSums sums = RankSums.untied(m, n);
        int order = 0;
        while (sums.atMost(doubled(m, order)) <= alpha / 2) {
            order++;
        }
        return order;
    }

    private static double below(int m, int n, int order) {
        if (Math.max(m, n) > MOST_EXACT) {
            double mn = (double) m * n;
            return NormalDistribution.of(mn / 2, Math.sqrt(mn * (m + n + 1) / 12))
                    .cumulativeProbability(order - 0.5);
        }
        return RankSums.untied(m, n).atMost(doubled(m, order - 1));
    }

    /** Twice the rank sum of m units whose statistic of Wilcoxon is w. */
    private static double doubled(int m, int w) {
        return 2 * (w + m * (m + 1) / 2.0);
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
