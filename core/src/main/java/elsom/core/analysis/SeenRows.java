package elsom.core.analysis;

import elsom.core.stats.Outcome;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.ToIntFunction;
import java.util.stream.IntStream;

/** The seen units of some observations as columns of numbers. */
final class SeenRows {
    private final Observations all;
    private final List<Observed> seen;
    private final double[] y;
    private final double middle;

    SeenRows(Observations all) {
        this.all = all;
        this.seen = all.seen();
        this.middle = seen.stream().mapToDouble(Observations::number).average().orElse(0);
        // Sums of squares of what is left after the middle keep more digits.
        this.y = seen.stream()
                .mapToDouble(unit -> Observations.number(unit) - middle)
                .toArray();
    }

    int n() {
        return y.length;
    }

    Observations all() {
        return all;
    }

    int arms() {
        return all.arms().size();
    }

    double[] y() {
        return y;
    }

    double middle() {
        return middle;
    }

    List<Observed> seen() {
        return seen;
    }

    /** The variance that rounding to a reading's last digit has by itself: step² ÷ 12. */
    double digitVariance() {
        return all.resolution() * all.resolution() / 12;
    }

    /** What is taken out beside treatments: blocks, rows and columns, or the common level alone. */
    List<double[]> places() {
        return switch (all.design()) {
            case COMPLETELY_RANDOM -> List.of(ones());
            case BLOCKS, SPLIT_PLOT -> indicators(Observed::block);
            case LATIN_SQUARE -> {
                List<double[]> both = new ArrayList<>(indicators(Observed::row));
                both.addAll(indicators(Observed::column));
                yield both;
            }
        };
    }

    private double[] ones() {
        double[] ones = new double[n()];
        Arrays.fill(ones, 1);
        return ones;
    }

    /** A column of zeros and ones for each value there is. */
    List<double[]> indicators(ToIntFunction<Observed> of) {
        return seen.stream()
                .mapToInt(of)
                .distinct()
                .mapToObj(value -> {
                    double[] column = new double[n()];
                    for (int i = 0; i < n(); i++) {
                        column[i] = of.applyAsInt(seen.get(i)) == value ? 1 : 0;
                    }
                    return column;
                })
                .toList();
    }

    /** Arms that have a unit. */
    List<Integer> present() {
        return seen.stream().map(Observed::arm).distinct().sorted().toList();
    }

    double[] indicator(int arm) {
        double[] column = new double[n()];
        for (int i = 0; i < n(); i++) {
            column[i] = seen.get(i).arm() == arm ? 1 : 0;
        }
        return column;
    }

    /**
     * Treatments after places.
     *
     * @param scaled what each column and y go through first
     */
    Outcome<Fitted> fit(List<double[]> before, java.util.function.UnaryOperator<double[]> scaled) {
        List<Integer> present = present();
        double[][] columns = new double[before.size() + present.size()][];
        for (int i = 0; i < before.size(); i++) {
            columns[i] = scaled.apply(before.get(i));
        }
        for (int i = 0; i < present.size(); i++) {
            columns[before.size() + i] = scaled.apply(indicator(present.get(i)));
        }
        Regression regression = Regression.of(columns, scaled.apply(y));
        long apart = java.util.stream.IntStream.range(before.size(), columns.length)
                .filter(column -> !regression.kept(column))
                .count();
        return apart > 1
                ? Outcome.notEstimable("Too many units are missing: some treatments never stood beside the others")
                : Outcome.found(new Fitted(this, regression, columns, before.size(), present));
    }

    /** A fit with the treatments' columns behind those of places. */
    @SuppressWarnings("ArrayRecordComponent")
    record Fitted(SeenRows rows, Regression regression, double[][] columns, int before, List<Integer> present) {
        /** How each arm's coefficient leans on each unit's value. */
        double[][] leans() {
            double[][] leans = new double[rows.arms()][rows.n()];
            for (int i = 0; i < present.size(); i++) {
                leans[present.get(i)] = lean(before + i);
            }
            return leans;
        }

        private double[] lean(int coefficient) {
            double[] lean = new double[rows.n()];
            for (int j = 0; j < columns.length; j++) {
                double by = regression.covariance(coefficient, j);
                for (int u = 0; by != 0 && u < lean.length; u++) {
                    lean[u] += by * columns[j][u];
                }
            }
            return lean;
        }

        /** Of each unit, how much of its scatter is left in its residual: one less its leverage. */
        double[] freedom() {
            double[] freedom = new double[rows.n()];
            Arrays.fill(freedom, 1);
            for (int j = 0; j < columns.length; j++) {
                double[] lean = lean(j);
                for (int u = 0; u < freedom.length; u++) {
                    freedom[u] -= columns[j][u] * lean[u];
                }
            }
            return freedom;
        }

        /** A unit stands in few of them: its block and its treatment. */
        private int[] columnsOf(int unit) {
            return IntStream.range(0, columns.length)
                    .filter(j -> columns[j][unit] != 0)
                    .toArray();
        }

        /** How the squares of one arm's residuals are expected to grow with another's variance. */
        double[][] shared() {
            double[][] leans = new double[columns.length][];
            for (int j = 0; j < columns.length; j++) {
                leans[j] = lean(j);
            }
            double[][] shared = new double[rows.arms()][rows.arms()];
            for (int u = 0; u < rows.n(); u++) {
                int[] own = columnsOf(u);
                for (int v = 0; v < rows.n(); v++) {
                    double left = u == v ? 1 : 0;
                    for (int j : own) {
                        left -= columns[j][u] * leans[j][v];
                    }
                    shared[rows.seen.get(u).arm()][rows.seen.get(v).arm()] += left * left;
                }
            }
            return shared;
        }

        /** Means whose average over units is that of all units. */
        double[] means() {
            double[] means = new double[rows.arms()];
            Arrays.fill(means, Double.NaN);
            double shift = 0;
            for (int i = 0; i < present.size(); i++) {
                means[present.get(i)] = regression.coefficient(before + i);
            }
            for (Observed unit : rows.seen) {
                shift += means[unit.arm()];
            }
            for (int arm : present) {
                means[arm] += rows.middle - shift / rows.n();
            }
            return means;
        }

        /** In units of the residual variance. */
        double covariance(double[] one, double[] other) {
            double sum = 0;
            for (int i = 0; i < present.size(); i++) {
                double weight = one[present.get(i)];
                for (int j = 0; weight != 0 && j < present.size(); j++) {
                    double with = other[present.get(j)];
                    sum += with == 0 ? 0 : weight * with * regression.covariance(before + i, before + j);
                }
            }
            return sum;
        }
    }
}
