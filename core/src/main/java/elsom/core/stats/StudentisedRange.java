package elsom.core.stats;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * The distribution of the range of k standard normals over an independent s = √(χ²/df) (Tukey; the double integral of
 * Copenhaver & Holland 1988, by quadrature). The inner integral depends on k and the range alone, so it is tabulated once
 * for each k.
 */
public final class StudentisedRange {
    private static final int MOST_KEPT = 64;
    private static final double PANEL = 1.4;
    private static final Map<Integer, TabulatedTail> RANGES = new ConcurrentHashMap<>();

    private final int groups;
    private final double df;
    private final TabulatedTail range;
    private final Quadrature.Scale scale;

    private StudentisedRange(int groups, double df, TabulatedTail range) {
        this.groups = groups;
        this.df = df;
        this.range = range;
        this.scale = Quadrature.Scale.ofCentral(df);
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
        return new StudentisedRange(groups, df, range);
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

    /** The q that is exceeded with this probability: more than for two groups, less than pair by pair (Bonferroni). */
    public double upperQuantile(double probability) {
        TDistribution t = TDistribution.of(df);
        double pairs = groups * (groups - 1) / 2.0;
        return Quadrature.quantile(
                this::survival,
                probability,
                Math.sqrt(2) * t.inverseSurvivalProbability(probability / 2),
                Math.sqrt(2) * t.inverseSurvivalProbability(probability / 2 / pairs),
                1e-11);
    }
}
