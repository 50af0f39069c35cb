package elsom.core.analysis;

import elsom.core.stats.MaximumT;
import elsom.core.stats.StudentisedRange;
import java.util.ArrayList;
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
    /** Beyond this many degrees of freedom a t is a normal, to more digits than anybody reads. */
    double MOST_DF = 10_000;

    /** The t beyond which a comparison is clear; of the comparison's own degrees of freedom. */
    double critical(double df, double alpha);

    /** Chance of a t as large in any of the comparisons. */
    double p(double t, double df);

    /** One comparison alone. */
    static Simultaneous one() {
        return new Simultaneous() {
            @Override
            public double critical(double df, double alpha) {
                return TDistribution.of(Math.min(df, MOST_DF)).inverseSurvivalProbability(alpha / 2);
            }

            @Override
            public double p(double t, double df) {
                return Math.min(1, 2 * TDistribution.of(Math.min(df, MOST_DF)).survivalProbability(Math.abs(t)));
            }
        };
    }

    /** All pairs of some treatments (Tukey 1953, Kramer 1956; with own degrees of freedom Games and Howell 1976). */
    static Simultaneous pairs(int treatments) {
        return new Simultaneous() {
            @Override
            public double critical(double df, double alpha) {
                return Critical.of(
                                List.of(treatments, df, alpha),
                                () -> StudentisedRange.of(treatments, Math.min(df, MOST_DF))
                                        .upperQuantile(alpha))
                        / Math.sqrt(2);
            }

            @Override
            public double p(double t, double df) {
                return StudentisedRange.of(treatments, Math.min(df, MOST_DF)).survival(Math.abs(t) * Math.sqrt(2));
            }
        };
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
        List<double[]> lambdas =
                families.values().stream().map(family -> lambdas(model, family)).toList();
        return of(lambdas);
    }

    /** Families of t statistics whose correlations within a family are products. */
    static Simultaneous of(List<double[]> lambdas) {
        MaximumT distribution = MaximumT.of(lambdas, 1);
        List<List<Double>> key = lambdas.stream()
                .map(family -> java.util.Arrays.stream(family).boxed().toList())
                .toList();
        return new Simultaneous() {
            @Override
            public double critical(double df, double alpha) {
                double whole = Math.min(df, MOST_DF);
                return Critical.of(
                        List.of(key, whole, alpha),
                        () -> distribution.with(whole).twoSidedQuantile(alpha));
            }

            @Override
            public double p(double t, double df) {
                return distribution.with(Math.min(df, MOST_DF)).twoSided(t);
            }
        };
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
}
