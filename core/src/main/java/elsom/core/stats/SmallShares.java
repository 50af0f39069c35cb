package elsom.core.stats;

import java.util.Arrays;
import java.util.function.DoublePredicate;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;

/**
 * Two shares of few, treatment less comparator, where no formula keeps its size: exact tests and intervals, and the score
 * interval beside them.
 *
 * @param boschloo exact and unconditional, with Fisher's p as the order (Boschloo 1970)
 * @param scoreInterval Miettinen and Nurminen 1985
 * @param agrestiMin exact, by one two-sided score test (Agresti &amp; Min 2001)
 * @param chanZhang exact, by two one-sided score tests (Chan &amp; Zhang 1999)
 */
public record SmallShares(
        double difference, Sides fisher, Sides boschloo, Ends scoreInterval, Ends agrestiMin, Ends chanZhang) {
    /** Chances of as much if both are alike. */
    public record Sides(double twoSided, double greater, double less) {}

    /** An interval of the difference. */
    public record Ends(double low, double high) {}

    private static final double TIE = 1e-9;
    private static final int GRID = 401;
    private static final int TOP = 6;
    private static final double WIDE = 0.0075;
    private static final double FINE = 0.0005;
    private static final double FURTHEST = 0.9975;
    private static final int HALVINGS = 22;

    /** The two of one trial, and all tables that might have been seen instead. */
    private record Tables(Proportion treatment, Proportion comparator) {
        int n() {
            return treatment.n();
        }

        int m() {
            return comparator.n();
        }

        boolean[][] where(TableTest test) {
            boolean[][] region = new boolean[n() + 1][m() + 1];
            for (int x = 0; x <= n(); x++) {
                for (int y = 0; y <= m(); y++) {
                    region[x][y] = test.holds(x, y);
                }
            }
            return region;
        }

        /** The greatest chance of a region over what the shares may be, so much apart. */
        double greatest(boolean[][] region, double apart) {
            double from = Math.max(0, -apart);
            double to = Math.min(1, 1 - apart);
            DoubleUnaryOperator chance = share -> chance(region, within(share + apart), within(share));
            double[] at = IntStream.range(0, GRID)
                    .mapToDouble(i -> from + i * (to - from) / (GRID - 1))
                    .toArray();
            double[] value = Arrays.stream(at).map(chance).toArray();
            double most = Arrays.stream(value).max().orElse(0);
            int[] best = IntStream.range(0, GRID)
                    .boxed()
                    .sorted((i, j) -> Double.compare(value[j], value[i]))
                    .limit(TOP)
                    .mapToInt(i -> i)
                    .toArray();
            for (int i : best) {
                most = Math.max(most, around(chance, at[Math.max(0, i - 1)], at[Math.min(GRID - 1, i + 1)]));
            }
            return Math.min(1, most);
        }

        private static double around(DoubleUnaryOperator chance, double from, double to) {
            return to <= from
                    ? chance.applyAsDouble(from)
                    : new BrentOptimizer(1e-10, 1e-12)
                            .optimize(
                                    new MaxEval(200),
                                    new UnivariateObjectiveFunction(chance::applyAsDouble),
                                    GoalType.MAXIMIZE,
                                    new SearchInterval(from, to))
                            .getValue();
        }

        private static double within(double share) {
            return Math.min(1, Math.max(0, share));
        }

        private double chance(boolean[][] region, double one, double other) {
            double[] rows = probabilities(n(), one);
            double[] columns = probabilities(m(), other);
            double sum = 0;
            for (int x = 0; x < rows.length; x++) {
                for (int y = 0; y < columns.length; y++) {
                    sum += region[x][y] ? rows[x] * columns[y] : 0;
                }
            }
            return sum;
        }

        private static double[] probabilities(int n, double share) {
            BinomialDistribution binomial = BinomialDistribution.of(n, share);
            return IntStream.rangeClosed(0, n)
                    .mapToDouble(binomial::probability)
                    .toArray();
        }

        /** The score statistic of a difference; with the factor of Miettinen and Nurminen where {@code small}. */
        double score(int x, int y, double apart, boolean small) {
            double other = restricted(x, y, apart);
            double one = other + apart;
            double variance = one * (1 - one) / n() + other * (1 - other) / m();
            if (small) {
                variance *= (n() + m()) / (n() + m() - 1.0);
            }
            double off = (double) x / n() - (double) y / m() - apart;
            return Math.abs(off) < 1e-12
                    ? 0
                    : variance < 1e-15 ? Math.signum(off) * Double.POSITIVE_INFINITY : off / Math.sqrt(variance);
        }

        /** The comparator's share at its likeliest where the treatment's lies so much above it, in closed form. */
        private double restricted(int x, int y, double apart) {
            double all = n() + m();
            double l2 = (n() + 2.0 * m()) * apart - all - x - y;
            double l1 = (m() * apart - all - 2.0 * y) * apart + x + y;
            double l0 = y * apart * (1 - apart);
            double q = Math.pow(l2 / (3 * all), 3) - l1 * l2 / (6 * all * all) + l0 / (2 * all);
            double root = Math.sqrt(Math.max(0, Math.pow(l2 / (3 * all), 2) - l1 / (3 * all)));
            double p = q < 0 ? -root : root;
            double w = Math.abs(p) < 1e-14 ? 0 : q / (p * p * p);
            double angle = (Math.PI + Math.acos(Math.min(1, Math.max(-1, w)))) / 3;
            double share = 2 * p * Math.cos(angle) - l2 / (3 * all);
            return Math.min(Math.max(share, Math.max(0, -apart)), Math.min(1, 1 - apart));
        }
    }

    private interface TableTest {
        boolean holds(int treatment, int comparator);
    }

    /** Compares. */
    public static SmallShares of(Proportion treatment, Proportion comparator, double alpha) {
        Tables tables = new Tables(treatment, comparator);
        int a = treatment.affected();
        int b = comparator.affected();
        Sides fisher = fisher(tables, a, b);
        return new SmallShares(
                treatment.share() - comparator.share(),
                fisher,
                new Sides(
                        tables.greatest(
                                tables.where(
                                        (x, y) -> fisher(tables, x, y).twoSided() <= fisher.twoSided() * (1 + TIE)),
                                0),
                        tables.greatest(
                                tables.where((x, y) -> fisher(tables, x, y).greater() <= fisher.greater() * (1 + TIE)),
                                0),
                        tables.greatest(
                                tables.where((x, y) -> fisher(tables, x, y).less() <= fisher.less() * (1 + TIE)), 0)),
                score(tables, a, b, alpha),
                exact(
                        apart -> tables.greatest(
                                        tables.where((x, y) -> Math.abs(tables.score(x, y, apart, false))
                                                >= Math.abs(tables.score(a, b, apart, false)) - TIE),
                                        apart)
                                > alpha,
                        apart -> tables.greatest(
                                        tables.where((x, y) -> Math.abs(tables.score(x, y, apart, false))
                                                >= Math.abs(tables.score(a, b, apart, false)) - TIE),
                                        apart)
                                > alpha),
                exact(
                        apart -> tables.greatest(
                                        tables.where((x, y) -> tables.score(x, y, apart, false)
                                                >= tables.score(a, b, apart, false) - TIE),
                                        apart)
                                > alpha / 2,
                        apart -> tables.greatest(
                                        tables.where((x, y) -> tables.score(x, y, apart, false)
                                                <= tables.score(a, b, apart, false) + TIE),
                                        apart)
                                > alpha / 2));
    }

    private static Sides fisher(Tables tables, int x, int y) {
        FisherExact up = FisherExact.of(new Proportion(x, tables.n()), new Proportion(y, tables.m()));
        FisherExact down = FisherExact.of(new Proportion(y, tables.m()), new Proportion(x, tables.n()));
        return new Sides(up.p(), up.pGreater(), down.pGreater());
    }

    private static Ends score(Tables tables, int a, int b, double alpha) {
        double z = NormalDistribution.of(0, 1).inverseSurvivalProbability(alpha / 2);
        double seen = (double) a / tables.n() - (double) b / tables.m();
        return new Ends(
                seen <= -1 + TIE ? -1 : solved(apart -> tables.score(a, b, apart, true) - z, -1 + 1e-10, seen),
                seen >= 1 - TIE ? 1 : solved(apart -> tables.score(a, b, apart, true) + z, seen, 1 - 1e-10));
    }

    private static double solved(DoubleUnaryOperator f, double low, double high) {
        // At an end of all differences the statistic may be infinite, which no solver takes.
        DoubleUnaryOperator bounded = x -> Math.max(-1e9, Math.min(1e9, f.applyAsDouble(x)));
        return new BracketingNthOrderBrentSolver(1e-13, 1e-13, 5).solve(1000, bounded::applyAsDouble, low, high);
    }

    /** The outermost differences that are not refuted; those within may be, so they are looked for on a grid. */
    private static Ends exact(DoublePredicate fromBelow, DoublePredicate fromAbove) {
        return new Ends(end(fromBelow, -1), end(fromAbove, 1));
    }

    private static double end(DoublePredicate kept, int side) {
        double at = side * FURTHEST;
        if (kept.test(at)) {
            return side;
        }
        while (!kept.test(at)) {
            at -= side * WIDE;
        }
        double out = at + side * 3 * WIDE;
        double near = Math.abs(out) > FURTHEST ? side * FURTHEST : out;
        while (!kept.test(near)) {
            near -= side * FINE;
        }
        double far = near + side * FINE;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (near + far) / 2;
            if (kept.test(middle)) {
                near = middle;
            } else {
                far = middle;
            }
        }
        return (near + far) / 2;
    }
}
