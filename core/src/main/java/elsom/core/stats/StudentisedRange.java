package elsom.core.stats;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The distribution of the range of k standard normals over an independent s = √(χ²/df) (Tukey; the double integral of
 * Copenhaver & Holland 1988, by quadrature). The inner integral depends on k and the range alone, so it is tabulated once
 * for each k.
 */
public final class StudentisedRange {
    private static final int MOST_KEPT = 64;
    private static final double PANEL = 1.4;
    private static final Map<Integer, TabulatedTail> RANGES = new ConcurrentHashMap<>();

    private final TabulatedTail range;
    private final Quadrature.Scale scale;

    private StudentisedRange(TabulatedTail range, Quadrature.Scale scale) {
        this.range = range;
        this.scale = scale;
    }

    /**
     * The distribution.
     *
     * @param groups k, at least 2
     * @param df above 0, not necessarily whole
     */
    public static StudentisedRange of(int groups, double df) {
        if (groups < 2 || !(df > 0) || Double.isInfinite(df)) {
            throw new IllegalArgumentException(
                    "two or more groups and df above 0 are needed, got " + groups + ", " + df);
        }
        TabulatedTail range = groups <= MOST_KEPT
                ? RANGES.computeIfAbsent(groups, k -> new TabulatedTail(w -> rangeAbove(k, w)))
                : new TabulatedTail(w -> rangeAbove(groups, w));
        return new StudentisedRange(range, Quadrature.Scale.of(df));
    }

    /** P(Q > q). */
    public double survival(double q) {
        return q > 0 ? Math.min(1, scale.mean(s -> range.at(q * s))) : 1;
    }

    /**
     * P(range of k normals > w): not all within w above the lowest. Written as the share of the others that lie further,
     * so that small probabilities are no difference of large ones.
     */
    private static double rangeAbove(int k, double w) {
        if (!(w > 0)) {
            return 1;
        }
        double from = -Quadrature.FURTHEST - w / 2;
        int panels = (int) Math.ceil((Quadrature.FURTHEST - from) / PANEL);
        return k
                * Quadrature.integrate(
                        z -> {
                            double above = Quadrature.NORMAL.survivalProbability(z);
                            double further = Quadrature.NORMAL.survivalProbability(z + w);
                            double some = -Math.expm1((k - 1) * Math.log1p(-further / above));
                            return Quadrature.NORMAL.density(z) * Math.pow(above, k - 1) * some;
                        },
                        from,
                        Quadrature.FURTHEST,
                        panels);
    }

    /** The q that is exceeded with this probability. */
    public double upperQuantile(double probability) {
        return Quadrature.quantile(this::survival, probability, 0, 1e-11);
    }
}
