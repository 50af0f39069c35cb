package elsom.core.stats;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * The largest of several t statistics with any correlations, also where some follow from the others: contrasts within
 * crops beside their mean over all. Normals are taken one after another, each within what those before it leave (Genz and
 * Bretz 2009, chapter 4); the last in closed form, one or two before it by a fine rule, more by a rank-1 lattice that is
 * the same at every call.
 */
public final class MaximumContrast {
    private static final int TERMS = 9;
    private static final int FINE_TERMS = 12;
    private static final int MOST_PANELS = 6;
    /** Where contrasts follow from others there are edges, which one dimension can afford. */
    private static final int PANELS = 60;

    private static final int NESTED = 3;
    private static final double NOTHING = 1e-9;
    private static final double LEAST = 1e-15;
    /** What 1 less a chance can tell from nothing. */
    private static final double FAINTEST = 1e-14;

    private final int contrasts;
    private final double df;
    private final Quadrature.Scale scale;
    private final TabulatedTail tail;
    private final TabulatedTail upper;

    private MaximumContrast(int contrasts, double df, TabulatedTail tail, TabulatedTail upper) {
        this.upper = upper;
        this.contrasts = contrasts;
        this.df = df;
        this.scale = Quadrature.Scale.ofCentral(df);
        this.tail = tail;
    }

    /**
     * The distribution.
     *
     * @param correlation square, of rank 21 at most
     * @param df degrees of freedom of the shared standard deviation, above 0
     */
    public static MaximumContrast of(double[][] correlation, double df) {
        if (correlation.length < 1 || !(df > 0)) {
            throw new IllegalArgumentException("a contrast and df above 0 are needed");
        }
        Rectangle rectangle = new Rectangle(correlation);
        int terms = rectangle.rank <= NESTED ? FINE_TERMS : TERMS;
        return new MaximumContrast(
                correlation.length,
                df,
                new TabulatedTail(a -> a <= 0 ? 1 : Math.max(FAINTEST, 1 - rectangle.within(-a, a)), terms),
                new TabulatedTail(a -> Math.max(FAINTEST, 1 - rectangle.within(Double.NEGATIVE_INFINITY, a)), terms));
    }

    /** The same contrasts with other degrees of freedom, at little cost. */
    public MaximumContrast with(double other) {
        return new MaximumContrast(contrasts, other, tail, upper);
    }

    /** P(max |T| > t). */
    public double twoSided(double t) {
        return Math.min(1, scale.mean(s -> tail.at(Math.abs(t) * s)));
    }

    /** P(max T > t), for a t above 0. */
    public double oneSided(double t) {
        return t <= 0 ? 1 : Math.min(1, scale.mean(s -> upper.at(t * s)));
    }

    /** The t that max T exceeds with this probability, below a half. */
    public double oneSidedQuantile(double probability) {
        TDistribution t = TDistribution.of(df);
        return Quadrature.quantile(
                this::oneSided,
                probability,
                t.inverseSurvivalProbability(probability),
                t.inverseSurvivalProbability(probability / contrasts),
                1e-9);
    }

    /** The t that max |T| exceeds with this probability. */
    public double twoSidedQuantile(double probability) {
        TDistribution t = TDistribution.of(df);
        return Quadrature.quantile(
                this::twoSided,
                probability,
                t.inverseSurvivalProbability(probability / 2),
                t.inverseSurvivalProbability(probability / 2 / contrasts),
                1e-9);
    }

    /** The contrasts as combinations of independent normals: a pivoted Cholesky decomposition of their correlations. */
    private static final class Rectangle {
        private final double[][] rows;
        private final int rank;
        private final double[][] shares;

        Rectangle(double[][] correlation) {
            int m = correlation.length;
            List<Integer> order = new ArrayList<>(IntStream.range(0, m).boxed().toList());
            double[][] factor = new double[m][m];
            double[] left =
                    IntStream.range(0, m).mapToDouble(i -> correlation[i][i]).toArray();
            int reached = 0;
            while (reached < m) {
                int from = reached;
                int pivot = IntStream.range(from, m)
                        .reduce((i, j) -> left[order.get(i)] >= left[order.get(j)] - NOTHING ? i : j)
                        .orElseThrow();
                if (left[order.get(pivot)] < NOTHING) {
                    break;
                }
                order.add(reached, order.remove(pivot));
                int at = order.get(reached);
                factor[at][reached] = Math.sqrt(left[at]);
                for (int k = reached + 1; k < m; k++) {
                    int row = order.get(k);
                    double sum = correlation[row][at];
                    for (int j = 0; j < reached; j++) {
                        sum -= factor[row][j] * factor[at][j];
                    }
                    factor[row][reached] = sum / factor[at][reached];
                    left[row] -= factor[row][reached] * factor[row][reached];
                }
                reached++;
            }
            this.rank = reached;
            this.rows = order.stream().map(i -> factor[i]).toArray(double[][]::new);
            this.shares = rank > NESTED ? lattice(rank - 1) : new double[0][];
        }

        /** A lattice of rank 1, folded so that its ends meet. */
        private static double[][] lattice(int dimensions) {
            int step = dimensions < 2 ? 1 : Korobov.step(dimensions);
            double[][] points = new double[dimensions == 0 ? 1 : Korobov.POINTS][dimensions];
            for (int point = 0; point < points.length; point++) {
                long at = point;
                for (int j = 0; j < dimensions; j++) {
                    points[point][j] = Math.abs(2 * ((at + 0.5) / Korobov.POINTS) - 1);
                    at = at * step % Korobov.POINTS;
                }
            }
            return points;
        }

        /** P(all contrasts lie between two values). */
        double within(double from, double to) {
            double[] z = new double[rank];
            if (rank <= NESTED) {
                return Math.min(1, nested(0, z, from, to));
            }
            double sum = 0;
            for (double[] share : shares) {
                sum += chance(share, z, from, to) / shares.length;
            }
            return Math.min(1, sum);
        }

        /** Over one normal after another by Gauss's rule on its own scale, on which even a sharp edge is smooth. */
        private double nested(int number, double[] z, double from, double to) {
            if (number == rank - 1) {
                return last(z, from, to);
            }
            double known = known(rows[number], z, number);
            double low = Math.max(-Quadrature.FURTHEST, (from - known) / rows[number][number]);
            double high = Math.min(Quadrature.FURTHEST, (to - known) / rows[number][number]);
            return low >= high
                    ? 0
                    : Quadrature.integrate(
                            at -> {
                                z[number] = at;
                                return Quadrature.NORMAL.density(at) * nested(number + 1, z, from, to);
                            },
                            low,
                            high,
                            rank == 2 ? PANELS : (int) Math.ceil(Math.min(MOST_PANELS, high - low)));
        }

        private double chance(double[] share, double[] z, double from, double to) {
            double chance = 1;
            for (int j = 0; j < rank - 1; j++) {
                double known = known(rows[j], z, j);
                double low = Quadrature.NORMAL.cumulativeProbability((from - known) / rows[j][j]);
                double high = Quadrature.NORMAL.cumulativeProbability((to - known) / rows[j][j]);
                chance *= high - low;
                z[j] = Quadrature.NORMAL.inverseCumulativeProbability(
                        Math.max(LEAST, Math.min(1 - LEAST, low + share[j] * (high - low))));
            }
            return chance * last(z, from, to);
        }

        /** The last normal in closed form, with all contrasts that follow from it. */
        private double last(double[] z, double from, double to) {
            double low = Double.NEGATIVE_INFINITY;
            double high = Double.POSITIVE_INFINITY;
            for (int i = rank - 1; i < rows.length; i++) {
                double known = known(rows[i], z, rank - 1);
                double last = rows[i][rank - 1];
                if (Math.abs(last) < NOTHING) {
                    if (known < from || known > to) {
                        return 0;
                    }
                    continue;
                }
                low = Math.max(low, Math.min((from - known) / last, (to - known) / last));
                high = Math.min(high, Math.max((from - known) / last, (to - known) / last));
            }
            return low >= high
                    ? 0
                    : Quadrature.NORMAL.cumulativeProbability(high) - Quadrature.NORMAL.cumulativeProbability(low);
        }

        private static double known(double[] row, double[] z, int number) {
            double sum = 0;
            for (int j = 0; j < number; j++) {
                sum += row[j] * z[j];
            }
            return sum;
        }
    }
}
