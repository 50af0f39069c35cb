package elsom.core.stats;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.function.DoubleBinaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.SingularValueDecomposition;

/**
 * Treatments compared where each scatters by its own amount, as the literature has it; pages weigh such scatter against one
 * for all ({@code WeighedModel}) and lie between these and the classical intervals.
 *
 * @param df what all comparisons share; empty where each has its own
 * @param blocksUsed blocks with every treatment, where only those count
 */
public record OwnVariance(OptionalDouble df, OptionalInt blocksUsed, List<Comparison> comparisons) {
    private static final double NOTHING = 1e-12;
    private static final double LIKE_ITS_CONTROL = 1 - 1e-6;

    /** How a contrast's variance, degrees of freedom and reach are had. */
    public enum Variance {
        /** Welch and Satterthwaite, with the multivariate t of the plug-in correlation (Hasler &amp; Hothorn 2008). */
        SATTERTHWAITE,
        /** Welch, with the studentised range (Games &amp; Howell 1976). */
        GAMES_HOWELL,
        /** A sandwich with the residual's degrees of freedom (Herberich, Sikorski &amp; Hothorn 2010). */
        HC3,
        /** Differences within whole blocks, their covariance free (Hasler 2013). */
        BLOCK_DIFFERENCES
    }

    /** A unit; block is empty where there are none. */
    public record Unit(String treatment, String block, double value) {}

    /** Treatments to compare: the later of a pair less the earlier, or each less the control. */
    public record Pair(String treatment, String comparator) {}

    /** A comparison; all but the difference and a standard error of 0 are empty where nothing scatters. */
    public record Comparison(
            String treatment,
            String comparator,
            double difference,
            double se,
            OptionalDouble df,
            OptionalDouble t,
            OptionalDouble pAdj,
            OptionalDouble crit,
            OptionalDouble low,
            OptionalDouble high) {}

    /** Contrasts with their covariance and degrees of freedom. */
    @SuppressWarnings("ArrayRecordComponent")
    private record Estimated(double[] differences, RealMatrix covariance, double[] df) {
        double error(int i) {
            return Math.sqrt(Math.max(0, covariance.getEntry(i, i)));
        }

        boolean scatters(int i) {
            return error(i) > NOTHING * Math.max(1, Math.abs(differences[i]));
        }
    }

    /** The largest of several t at some degrees of freedom: the chance of a t, and the t of a chance. */
    private record Reach(DoubleBinaryOperator chance, DoubleBinaryOperator quantile) {
        double p(double t, double df) {
            return chance.applyAsDouble(t, df);
        }

        double critical(double alpha, double df) {
            return quantile.applyAsDouble(alpha, df);
        }
    }

    public OwnVariance {
        comparisons = List.copyOf(comparisons);
    }

    /**
     * Compares.
     *
     * @param treatments their order
     * @param control what the others are compared with; empty for all pairs
     * @return not estimable with the reason in words
     */
    public static Outcome<OwnVariance> of(
            List<Unit> units, List<String> treatments, String control, Variance variance, double alpha) {
        List<Pair> pairs = pairs(treatments, control);
        boolean missing = treatments.stream()
                .anyMatch(name -> units.stream()
                                .filter(unit -> unit.treatment().equals(name))
                                .count()
                        < 2);
        if (pairs.isEmpty() || missing) {
            return Outcome.notEstimable("Two units or more of each of two treatments or more are needed");
        }
        return switch (variance) {
            case SATTERTHWAITE, GAMES_HOWELL -> {
                Estimated welch = welch(units, treatments, pairs);
                yield Outcome.found(new OwnVariance(
                        OptionalDouble.empty(),
                        OptionalInt.empty(),
                        compared(
                                pairs,
                                welch,
                                variance == Variance.GAMES_HOWELL
                                        ? range(treatments.size())
                                        : largest(welch, control.isEmpty() ? Map.of() : lambdas(units, pairs)),
                                alpha)));
            }
            case HC3 -> sandwich(units, treatments, pairs, alpha);
            case BLOCK_DIFFERENCES -> withinBlocks(units, treatments, pairs, alpha);
        };
    }

    private static List<Pair> pairs(List<String> treatments, String control) {
        List<Pair> pairs = new ArrayList<>();
        for (int i = 0; i < treatments.size(); i++) {
            for (int j = i + 1; j < treatments.size() && control.isEmpty(); j++) {
                pairs.add(new Pair(treatments.get(j), treatments.get(i)));
            }
            if (!control.isEmpty() && !treatments.get(i).equals(control)) {
                pairs.add(new Pair(treatments.get(i), control));
            }
        }
        return pairs;
    }

    private static double[] values(List<Unit> units, String treatment) {
        return units.stream()
                .filter(unit -> unit.treatment().equals(treatment))
                .mapToDouble(Unit::value)
                .toArray();
    }

    /** The variance of a treatment's mean by its own scatter. */
    private static double ofMean(double[] values) {
        double sd = Summary.of(values).sd().orElse(0);
        double largest = Arrays.stream(values).map(Math::abs).max().orElse(0);
        return sd <= 1e-10 * largest ? 0 : sd * sd / values.length;
    }

    private static RealMatrix contrasts(List<String> treatments, List<Pair> pairs) {
        RealMatrix c = new Array2DRowRealMatrix(pairs.size(), treatments.size());
        for (int i = 0; i < pairs.size(); i++) {
            c.setEntry(i, treatments.indexOf(pairs.get(i).treatment()), 1);
            c.setEntry(i, treatments.indexOf(pairs.get(i).comparator()), -1);
        }
        return c;
    }

    private static Estimated welch(List<Unit> units, List<String> treatments, List<Pair> pairs) {
        double[] means = new double[treatments.size()];
        double[] variances = new double[means.length];
        double[] free = new double[means.length];
        for (int i = 0; i < means.length; i++) {
            double[] values = values(units, treatments.get(i));
            means[i] = Summary.of(values).mean();
            variances[i] = ofMean(values);
            free[i] = values.length - 1;
        }
        RealMatrix c = contrasts(treatments, pairs);
        RealMatrix covariance =
                c.multiply(MatrixUtils.createRealDiagonalMatrix(variances)).multiply(c.transpose());
        double[] df = pairs.stream()
                .mapToDouble(pair -> {
                    int one = treatments.indexOf(pair.treatment());
                    int other = treatments.indexOf(pair.comparator());
                    return Math.pow(variances[one] + variances[other], 2)
                            / (variances[one] * variances[one] / free[one]
                                    + variances[other] * variances[other] / free[other]);
                })
                .toArray();
        return new Estimated(c.operate(means), covariance, df);
    }

    /** How far each comparison leans on the control: the root of the control's share of its variance. */
    private static Map<Pair, Double> lambdas(List<Unit> units, List<Pair> pairs) {
        Map<Pair, Double> lambdas = new LinkedHashMap<>();
        for (Pair pair : pairs) {
            double control = ofMean(values(units, pair.comparator()));
            double both = control + ofMean(values(units, pair.treatment()));
            if (both > 0) {
                lambdas.put(pair, Math.sqrt(control / both));
            }
        }
        return lambdas;
    }

    private static Reach range(int means) {
        return new Reach(
                (t, df) -> StudentisedRange.of(means, df).survival(t * Math.sqrt(2)),
                (alpha, df) -> StudentisedRange.of(means, df).upperQuantile(alpha) / Math.sqrt(2));
    }

    private static Reach largest(Estimated estimated, Map<Pair, Double> lambdas) {
        double[] leans =
                lambdas.values().stream().mapToDouble(Double::doubleValue).toArray();
        if (leans.length > 0 && Arrays.stream(leans).max().orElse(1) < LIKE_ITS_CONTROL) {
            MaximumT maximum = MaximumT.of(List.of(leans), 1);
            return new Reach(
                    (t, df) -> maximum.with(df).twoSided(t),
                    (alpha, df) -> maximum.with(df).twoSidedQuantile(alpha));
        }
        MaximumContrast maximum = MaximumContrast.of(correlations(estimated), 1);
        return new Reach(
                (t, df) -> maximum.with(df).twoSided(t),
                (alpha, df) -> maximum.with(df).twoSidedQuantile(alpha));
    }

    private static double[][] correlations(Estimated estimated) {
        int[] kept = IntStream.range(0, estimated.differences().length)
                .filter(estimated::scatters)
                .toArray();
        double[][] correlations = new double[kept.length][kept.length];
        for (int i = 0; i < kept.length; i++) {
            for (int j = 0; j < kept.length; j++) {
                correlations[i][j] = i == j
                        ? 1
                        : estimated.covariance().getEntry(kept[i], kept[j])
                                / estimated.error(kept[i])
                                / estimated.error(kept[j]);
            }
        }
        return correlations;
    }

    private static List<Comparison> compared(List<Pair> pairs, Estimated estimated, Reach reach, double alpha) {
        return IntStream.range(0, pairs.size())
                .mapToObj(i -> compared(pairs.get(i), estimated, i, reach, alpha))
                .toList();
    }

    private static Comparison compared(Pair pair, Estimated estimated, int i, Reach reach, double alpha) {
        double difference = estimated.differences()[i];
        OptionalDouble none = OptionalDouble.empty();
        if (!estimated.scatters(i)) {
            return new Comparison(
                    pair.treatment(), pair.comparator(), difference, 0, none, none, none, none, none, none);
        }
        double error = estimated.error(i);
        double df = estimated.df()[i];
        double critical = reach.critical(alpha, df);
        return new Comparison(
                pair.treatment(),
                pair.comparator(),
                difference,
                error,
                OptionalDouble.of(df),
                OptionalDouble.of(difference / error),
                OptionalDouble.of(Math.max(0, reach.p(Math.abs(difference / error), df))),
                OptionalDouble.of(critical),
                OptionalDouble.of(difference - critical * error),
                OptionalDouble.of(difference + critical * error));
    }

    private static Outcome<OwnVariance> sandwich(
            List<Unit> units, List<String> treatments, List<Pair> pairs, double alpha) {
        List<String> blocks = units.stream().map(Unit::block).distinct().toList();
        int columns = treatments.size() + blocks.size() - 1;
        RealMatrix x = new Array2DRowRealMatrix(units.size(), columns);
        double[] y = new double[units.size()];
        for (int i = 0; i < y.length; i++) {
            Unit unit = units.get(i);
            y[i] = unit.value();
            x.setEntry(i, treatments.indexOf(unit.treatment()), 1);
            int block = blocks.indexOf(unit.block());
            if (block > 0) {
                x.setEntry(i, treatments.size() + block - 1, 1);
            }
        }
        SingularValueDecomposition svd = new SingularValueDecomposition(x);
        int df = units.size() - columns;
        if (svd.getRank() < columns || df < 1) {
            return Outcome.notEstimable(
                    "Treatments and blocks can't be told apart, or nothing is left for the scatter");
        }
        RealMatrix inverse = svd.getCovariance(0);
        double[] coefficients =
                svd.getSolver().solve(MatrixUtils.createRealVector(y)).toArray();
        RealMatrix middle = new Array2DRowRealMatrix(columns, columns);
        for (int i = 0; i < y.length; i++) {
            RealMatrix row = x.getRowMatrix(i);
            double leverage = row.multiply(inverse).multiply(row.transpose()).getEntry(0, 0);
            double off = y[i] - x.getRowVector(i).dotProduct(MatrixUtils.createRealVector(coefficients));
            double weight = leverage > 1 - 1e-12 ? 0 : off * off / Math.pow(1 - leverage, 2);
            middle = middle.add(row.transpose().multiply(row).scalarMultiply(weight));
        }
        RealMatrix c = new Array2DRowRealMatrix(pairs.size(), columns);
        c.setSubMatrix(contrasts(treatments, pairs).getData(), 0, 0);
        double[] free = new double[pairs.size()];
        Arrays.fill(free, df);
        Estimated estimated = new Estimated(
                c.operate(coefficients),
                c.multiply(inverse).multiply(middle).multiply(inverse).multiply(c.transpose()),
                free);
        return Outcome.found(new OwnVariance(
                OptionalDouble.of(df),
                OptionalInt.empty(),
                compared(pairs, estimated, largest(estimated, Map.of()), alpha)));
    }

    private static Outcome<OwnVariance> withinBlocks(
            List<Unit> units, List<String> treatments, List<Pair> pairs, double alpha) {
        Map<String, Map<String, Double>> byBlock = units.stream()
                .collect(Collectors.groupingBy(
                        Unit::block,
                        TreeMap::new,
                        Collectors.groupingBy(Unit::treatment, Collectors.averagingDouble(Unit::value))));
        List<double[]> whole = byBlock.values().stream()
                .filter(block -> block.keySet().containsAll(treatments))
                .map(block -> treatments.stream().mapToDouble(block::get).toArray())
                .toList();
        int b = whole.size();
        if (b < 2) {
            return Outcome.notEstimable("Two blocks or more with every treatment are needed");
        }
        RealMatrix c = contrasts(treatments, pairs);
        double[] mean = new double[pairs.size()];
        List<double[]> differences = whole.stream().map(c::operate).toList();
        for (double[] row : differences) {
            for (int i = 0; i < mean.length; i++) {
                mean[i] += row[i] / b;
            }
        }
        RealMatrix covariance = new Array2DRowRealMatrix(mean.length, mean.length);
        for (double[] row : differences) {
            for (int i = 0; i < mean.length; i++) {
                for (int j = 0; j < mean.length; j++) {
                    covariance.addToEntry(i, j, (row[i] - mean[i]) * (row[j] - mean[j]) / (b - 1) / b);
                }
            }
        }
        double[] free = new double[pairs.size()];
        Arrays.fill(free, b - 1);
        Estimated estimated = new Estimated(mean, covariance, free);
        return Outcome.found(new OwnVariance(
                OptionalDouble.of(b - 1),
                OptionalInt.of(b),
                compared(pairs, estimated, largest(estimated, Map.of()), alpha)));
    }
}
