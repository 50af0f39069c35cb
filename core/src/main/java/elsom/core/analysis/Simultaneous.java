package elsom.core.analysis;

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
        int m = family.size();
        double[][] r = new double[m][m];
        for (int i = 0; i < m; i++) {
            for (int j = 0; j < m; j++) {
                r[i][j] = model.covariance(family.get(i), family.get(j))
                        / Math.sqrt(model.variance(family.get(i)) * model.variance(family.get(j)));
            }
        }
        return OneFactor.of(r);
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
