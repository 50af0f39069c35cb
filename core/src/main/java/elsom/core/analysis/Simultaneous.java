package elsom.core.analysis;

import elsom.core.stats.MaximumContrast;
import elsom.core.stats.MaximumT;
import elsom.core.stats.StudentisedRange;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * How far an interval must reach, and how rare a difference is, when several are judged together.
 *
 * <p>Comparisons with a common treatment correlate by products of factors (Dunnett 1955); where missing units make that
 * inexact, by the one-factor correlations nearest to theirs (Hsu 1992).
 */
interface Simultaneous {
    /** The t beyond which a comparison is clear; of the comparison's own degrees of freedom. */
    double critical(double df, double alpha);

    /** Chance of a t as large in any of the comparisons. */
    double p(double t, double df);

    /** The t beyond which a comparison is clear in one direction only. */
    double oneSided(double df, double alpha);

    /** Chance of a t as large, in that direction, in any of the comparisons. */
    double oneSidedP(double t, double df);

    /** The t beyond which a comparison is clear, however its t is spread. */
    default double critical(Spread spread, double alpha) {
        return spread.reach(alpha, part -> critical(part.df(), alpha), this::p);
    }

    default double p(double t, Spread spread) {
        return spread.chance(t, this::p);
    }

    default double oneSided(Spread spread, double alpha) {
        return spread.reach(alpha, part -> oneSided(part.df(), alpha), this::oneSidedP);
    }

    default double oneSidedP(double t, Spread spread) {
        return spread.chance(t, this::oneSidedP);
    }

    /** Any combinations, with the correlations they have. */
    static Simultaneous together(Model model, List<double[]> combinations) {
        return combinations.size() == 1
                ? one()
                : combinations.size() > Largest.MOST
                        ? new Bonferroni(combinations.size())
                        : new Largest(correlations(model, combinations));
    }

    /** One comparison alone. */
    static Simultaneous one() {
        return new Alone();
    }

    /** All pairs of some treatments (Tukey 1953, Kramer 1956; with own degrees of freedom Games and Howell 1976). */
    static Simultaneous pairs(int treatments) {
        return treatments == 2 ? one() : new Pairs(treatments);
    }

    /**
     * Treatments beside their controls.
     *
     * @param comparator of each combination: those with the same one correlate
     */
    static Simultaneous besideControls(Model model, List<double[]> combinations, List<Integer> comparator) {
        if (combinations.size() == 1) {
            return one();
        }
        Map<Integer, List<double[]>> families = new LinkedHashMap<>();
        for (int i = 0; i < combinations.size(); i++) {
            families.computeIfAbsent(comparator.get(i), key -> new ArrayList<>())
                    .add(combinations.get(i));
        }
        return BesideControls.of(
                families.values().stream().map(family -> lambdas(model, family)).toList());
    }

    private static double[] lambdas(Model model, List<double[]> family) {
        return OneFactor.of(correlations(model, family));
    }

    private static double[][] correlations(Model model, List<double[]> family) {
        int m = family.size();
        double[][] r = new double[m][m];
        for (int i = 0; i < m; i++) {
            for (int j = 0; j < m; j++) {
                r[i][j] = model.correlation(family.get(i), family.get(j));
            }
        }
        return r;
    }

    /** Student's t. */
    final class Alone implements Simultaneous {
        @Override
        public double critical(double df, double alpha) {
            return TDistribution.of(Freedom.of(df)).inverseSurvivalProbability(alpha / 2);
        }

        @Override
        public double p(double t, double df) {
            return Math.min(1, 2 * TDistribution.of(Freedom.of(df)).survivalProbability(Math.abs(t)));
        }

        @Override
        public double oneSided(double df, double alpha) {
            return critical(df, 2 * alpha);
        }

        @Override
        public double oneSidedP(double t, double df) {
            return TDistribution.of(Freedom.of(df)).survivalProbability(t);
        }
    }

    /** The studentised range, on the scale of t. */
    final class Pairs implements Simultaneous {
        private static final WorkedBefore<StudentisedRange> RANGES = new WorkedBefore<>();
        private static final WorkedBefore<Double> QUANTILES = new WorkedBefore<>();

        private final int treatments;

        Pairs(int treatments) {
            this.treatments = treatments;
        }

        private StudentisedRange range(double df) {
            return RANGES.of(
                    List.of(treatments, Freedom.of(df)), () -> StudentisedRange.of(treatments, Freedom.of(df)));
        }

        @Override
        public double critical(double df, double alpha) {
            return QUANTILES.of(
                            List.of(treatments, Freedom.of(df), alpha),
                            () -> range(df).upperQuantile(alpha))
                    / Math.sqrt(2);
        }

        @Override
        public double p(double t, double df) {
            return range(df).survival(Math.abs(t) * Math.sqrt(2));
        }

        /** Each pair can be turned round, so both directions count. */
        @Override
        public double oneSided(double df, double alpha) {
            return critical(df, alpha);
        }

        @Override
        public double oneSidedP(double t, double df) {
            return t <= 0 ? 1 : p(t, df);
        }
    }

    /** The largest of several t that lean on common controls. */
    final class BesideControls implements Simultaneous {
        private static final WorkedBefore<MaximumT> DISTRIBUTIONS = new WorkedBefore<>();
        private static final WorkedBefore<Double> QUANTILES = new WorkedBefore<>();

        private final List<double[]> lambdas;
        private final List<List<Double>> key;

        private BesideControls(List<double[]> lambdas) {
            this.lambdas = lambdas;
            this.key = lambdas.stream()
                    .map(family -> Arrays.stream(family).sorted().boxed().toList())
                    .toList();
        }

        static BesideControls of(List<double[]> lambdas) {
            return new BesideControls(lambdas);
        }

        private MaximumT distribution(double df) {
            MaximumT any = DISTRIBUTIONS.of(key, () -> MaximumT.of(lambdas, 1));
            return DISTRIBUTIONS.of(List.of(key, Freedom.of(df)), () -> any.with(Freedom.of(df)));
        }

        @Override
        public double critical(double df, double alpha) {
            return QUANTILES.of(
                    List.of(key, Freedom.of(df), alpha), () -> distribution(df).twoSidedQuantile(alpha));
        }

        @Override
        public double p(double t, double df) {
            return distribution(df).twoSided(t);
        }

        @Override
        public double oneSided(double df, double alpha) {
            return distribution(df).oneSidedQuantile(alpha);
        }

        @Override
        public double oneSidedP(double t, double df) {
            return distribution(df).oneSided(t);
        }
    }

    /** The largest of several t with any correlations. */
    final class Largest implements Simultaneous {
        /** Beyond this many the distribution can't be had. */
        static final int MOST = 21;

        private static final double DIGITS = 1e6;
        private static final WorkedBefore<MaximumContrast> DISTRIBUTIONS = new WorkedBefore<>();
        private static final WorkedBefore<Double> QUANTILES = new WorkedBefore<>();

        private final double[][] correlations;
        private final List<Long> key;

        Largest(double[][] correlations) {
            this.correlations = correlations;
            this.key = Arrays.stream(correlations)
                    .flatMapToDouble(Arrays::stream)
                    .mapToObj(r -> Math.round(r * DIGITS))
                    .toList();
        }

        private MaximumContrast distribution(double df) {
            return DISTRIBUTIONS
                    .of(key, () -> MaximumContrast.of(correlations, 1))
                    .with(Freedom.of(df));
        }

        @Override
        public double critical(double df, double alpha) {
            return QUANTILES.of(
                    List.of(key, Freedom.of(df), alpha, true),
                    () -> distribution(df).twoSidedQuantile(alpha));
        }

        @Override
        public double p(double t, double df) {
            return distribution(df).twoSided(t);
        }

        @Override
        public double oneSided(double df, double alpha) {
            return QUANTILES.of(
                    List.of(key, Freedom.of(df), alpha, false),
                    () -> distribution(df).oneSidedQuantile(alpha));
        }

        @Override
        public double oneSidedP(double t, double df) {
            return distribution(df).oneSided(t);
        }
    }

    /** So many comparisons of which nothing more is known. */
    final class Bonferroni implements Simultaneous {
        private final int comparisons;

        Bonferroni(int comparisons) {
            this.comparisons = comparisons;
        }

        @Override
        public double critical(double df, double alpha) {
            return one().critical(df, alpha / comparisons);
        }

        @Override
        public double p(double t, double df) {
            return Math.min(1, comparisons * one().p(t, df));
        }

        @Override
        public double oneSided(double df, double alpha) {
            return one().oneSided(df, alpha / comparisons);
        }

        @Override
        public double oneSidedP(double t, double df) {
            return Math.min(1, comparisons * one().oneSidedP(t, df));
        }
    }

    /** Degrees of freedom, to as many digits as a t has use for. */
    final class Freedom {
        /** Beyond this many a t is a normal, to more digits than anybody reads. */
        static final double MOST = 10_000;

        private static final double DIGITS = 1e7;

        private Freedom() {}

        static double of(double df) {
            return Math.min(MOST, Math.round(df * DIGITS) / DIGITS);
        }
    }
}
