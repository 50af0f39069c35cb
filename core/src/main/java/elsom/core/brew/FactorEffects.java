package elsom.core.brew;

import elsom.core.stats.Interval;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.apache.commons.statistics.distribution.TDistribution;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.SingularValueDecomposition;

/**
 * What each factor did to counts, as a ratio: least squares on their logs, because organisms multiply and their counts scatter by
 * factors (Sokal and Rohlf 2012, ch. 13). Factors are judged together, so that what one did is told beside the others; two that changed together
 * are said to be confounded, not guessed at.
 *
 * @param effects of each factor's later levels beside its first; of hours as for twelve more
 * @param confounded sets of names that changed together
 * @param scatter standard deviation between brews treated alike, on the log scale; NaN when it can't be seen
 * @param df degrees of freedom it stands on
 */
public record FactorEffects(List<Effect> effects, List<String> confounded, double scatter, int df) {
    /** The name of the running time among factors. */
    public static final String HOURS = "Hours brewed";

    private static final double TWELVE = 12;
    private static final double ALPHA = 0.05;
    private static final double SINGULAR = 1e-9;

    /**
     * One brew's count.
     *
     * @param levels of each factor, from 0
     * @param hours it ran
     * @param count above 0, µg/mL
     */
    public record Brew(List<Integer> levels, double hours, double count) {
        public Brew {
            levels = List.copyOf(levels);
        }
    }

    /**
     * A factor with its levels' names.
     *
     * @param levels the first is what others are held beside
     */
    public record Named(String name, List<String> levels) {}

    /**
     * What a level did.
     *
     * @param ratio of counts, beside the first level
     * @param interval of the ratio, 95 %; empty when scatter can't be seen
     */
    public record Effect(String factor, String level, String beside, double ratio, Optional<Interval> interval) {
        /** Whether it is shown: 1 lies outside the interval. */
        public boolean shown() {
            return interval.map(i -> i.low() > 1 || i.high() < 1).orElse(false);
        }
    }

    private record Column(String factor, String level, String beside, List<Double> values) {}

    public FactorEffects {
        effects = List.copyOf(effects);
        confounded = List.copyOf(confounded);
    }

    /**
     * Works them out; empty with fewer than two brews that have a count.
     *
     * @throws IllegalArgumentException if a count is not above 0
     */
    public static Optional<FactorEffects> of(List<Named> factors, List<Brew> brews) {
        if (brews.size() < 2) {
            return Optional.empty();
        }
        if (brews.stream().anyMatch(brew -> !(brew.count() > 0))) {
            throw new IllegalArgumentException(
                    "counts are above 0; what lies below the laboratory's limit is left out");
        }
        List<Column> columns = columns(factors, brews);
        List<String> confounded = confounded(columns, brews.size());
        List<Column> told = columns.stream()
                .filter(column -> confounded.stream().noneMatch(names -> named(names, column)))
                .toList();
        // What is confounded stays in the model as one column, so that it doesn't look like scatter.
        List<Column> fitted = independent(columns, brews.size());
        return Optional.of(fit(told, fitted, confounded, brews));
    }

    private static boolean named(String names, Column column) {
        return List.of(names.split(" and ")).contains(column.factor());
    }

    private static List<Column> columns(List<Named> factors, List<Brew> brews) {
        List<Column> columns = new ArrayList<>();
        for (int f = 0; f < factors.size(); f++) {
            Named factor = factors.get(f);
            for (int level = 1; level < factor.levels().size(); level++) {
                int which = f;
                int wanted = level;
                List<Double> values = brews.stream()
                        .map(brew -> brew.levels().get(which) == wanted ? 1.0 : 0.0)
                        .toList();
                columns.add(new Column(
                        factor.name(),
                        factor.levels().get(level),
                        factor.levels().get(0),
                        values));
            }
        }
        double first = brews.get(0).hours();
        if (brews.stream().anyMatch(brew -> Math.abs(brew.hours() - first) > 0.5)) {
            columns.add(new Column(
                    HOURS,
                    "12 h longer",
                    "",
                    brews.stream().map(brew -> (brew.hours() - first) / TWELVE).toList()));
        }
        return columns.stream().filter(FactorEffects::varies).toList();
    }

    private static boolean varies(Column column) {
        return column.values().stream().distinct().count() > 1;
    }

    /** Pairs of factors of which one says the other, and a factor that all the others together say. */
    private static List<String> confounded(List<Column> columns, int brews) {
        List<String> pairs = new ArrayList<>();
        for (int i = 0; i < columns.size(); i++) {
            for (int j = i + 1; j < columns.size(); j++) {
                boolean two = !columns.get(i).factor().equals(columns.get(j).factor());
                if (two && rank(List.of(columns.get(i), columns.get(j)), brews) < 3) {
                    pairs.add(columns.get(i).factor() + " and " + columns.get(j).factor());
                }
            }
        }
        if (pairs.isEmpty() && rank(columns, brews) < columns.size() + 1) {
            pairs.add(String.join(
                    " and ", columns.stream().map(Column::factor).distinct().toList()));
        }
        return pairs.stream().distinct().toList();
    }

    private static RealMatrix matrix(List<Column> columns, int brews) {
        double[][] rows = new double[brews][columns.size() + 1];
        for (int row = 0; row < brews; row++) {
            rows[row][0] = 1;
            for (int column = 0; column < columns.size(); column++) {
                rows[row][column + 1] = columns.get(column).values().get(row);
            }
        }
        return new Array2DRowRealMatrix(rows, false);
    }

    private static int rank(List<Column> columns, int brews) {
        double[] values = new SingularValueDecomposition(matrix(columns, brews)).getSingularValues();
        return (int) Arrays.stream(values)
                .filter(value -> value > SINGULAR * values[0])
                .count();
    }

    private static List<Column> independent(List<Column> columns, int brews) {
        List<Column> kept = new ArrayList<>();
        for (Column column : columns) {
            List<Column> longer = new ArrayList<>(kept);
            longer.add(column);
            if (longer.size() < brews && rank(longer, brews) == longer.size() + 1) {
                kept.add(column);
            }
        }
        return kept;
    }

    private static FactorEffects fit(
            List<Column> told, List<Column> fitted, List<String> confounded, List<Brew> brews) {
        RealMatrix x = matrix(fitted, brews.size());
        double[] y = brews.stream().mapToDouble(brew -> Math.log(brew.count())).toArray();
        int df = brews.size() - fitted.size() - 1;
        var solver = new QRDecomposition(x).getSolver();
        double[] coefficients = solver.solve(new ArrayRealVector(y, false)).toArray();
        double squares = 0;
        double[] expected = x.operate(coefficients);
        for (int i = 0; i < y.length; i++) {
            squares += (y[i] - expected[i]) * (y[i] - expected[i]);
        }
        double variance = df > 0 ? squares / df : Double.NaN;
        RealMatrix inverse =
                df > 0 ? new QRDecomposition(x.transposeMultiply(x)).getSolver().getInverse() : x;
        double critical = df > 0 ? TDistribution.of(df).inverseSurvivalProbability(ALPHA / 2) : Double.NaN;
        List<Effect> effects = new ArrayList<>();
        for (Column column : told) {
            int at = fitted.indexOf(column);
            if (at >= 0) {
                double log = coefficients[at + 1];
                double half = df > 0 ? critical * Math.sqrt(variance * inverse.getEntry(at + 1, at + 1)) : Double.NaN;
                effects.add(new Effect(
                        column.factor(),
                        column.level(),
                        column.beside(),
                        Math.exp(log),
                        df > 0
                                ? Optional.of(new Interval(Math.exp(log - half), Math.exp(log + half)))
                                : Optional.empty()));
            }
        }
        return new FactorEffects(effects, confounded, Math.sqrt(variance), Math.max(0, df));
    }
}
