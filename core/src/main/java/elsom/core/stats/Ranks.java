package elsom.core.stats;

import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** Ranks of values, ties sharing the middle of theirs. */
final class Ranks {
    private final double[] ranks;
    private double tieSum;

    private Ranks(double[] values) {
        ranks = new double[values.length];
        List<Integer> order = IntStream.range(0, values.length)
                .boxed()
                .sorted(Comparator.comparingDouble(i -> values[i]))
                .toList();
        int from = 0;
        while (from < order.size()) {
            int to = from + 1;
            while (to < order.size() && values[order.get(to)] == values[order.get(from)]) {
                to++;
            }
            for (int i = from; i < to; i++) {
                ranks[order.get(i)] = (from + 1 + to) / 2.0;
            }
            double ties = to - from;
            tieSum += ties * ties * ties - ties;
            from = to;
        }
    }

    static Ranks of(double[] values) {
        return new Ranks(values);
    }

    double rank(int index) {
        return ranks[index];
    }

    /** Σ(t³ − t) over groups of t tied values. */
    double tieSum() {
        return tieSum;
    }
}
