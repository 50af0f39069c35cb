package elsom.core.stats;

import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** Holm's (1979) step-down adjustment of p-values. */
public final class Holm {
    private Holm() {}

    /** Adjusted p-values in the order given. */
    public static double[] adjust(double[] p) {
        List<Integer> order = IntStream.range(0, p.length)
                .boxed()
                .sorted(Comparator.comparingDouble(i -> p[i]))
                .toList();
        double[] adjusted = new double[p.length];
        double most = 0;
        for (int rank = 0; rank < order.size(); rank++) {
            int i = order.get(rank);
            most = Math.max(most, Math.min(1, p[i] * (p.length - rank)));
            adjusted[i] = most;
        }
        return adjusted;
    }
}
