package elsom.core.stats;

import java.util.Arrays;
import java.util.Optional;
import org.apache.commons.statistics.distribution.FDistribution;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * How alike two scorers scored the same units.
 *
 * <p>Weighted kappa with quadratic weights (Cohen 1968): one less the mean squared difference over what it would be by
 * chance, with the scores of each as they are. Its interval is a jackknife over units (Efron and Tibshirani 1993). The
 * intraclass correlation is of single scores with absolute agreement, units and scorers both random (ICC(2,1) of Shrout
 * and Fleiss 1979; ICC(A,1) of McGraw and Wong 1996), with their interval by F.
 *
 * @param n units scored by both
 * @param kappa of 1 when all scores agree, of 0 when they agree as chance would have it
 * @param icc the share of all scatter that is the units' own
 * @param difference the second's mean less the first's, with its paired interval
 */
public record Agreement(
        int n,
        double kappa,
        Optional<Interval> kappa95,
        double icc,
        Optional<Interval> icc95,
        double difference,
        Optional<Interval> difference95) {
    private static final int FEWEST = 3;
    private static final double UPPER = 0.975;

    /**
     * Of two scorers.
     *
     * @param first scores of units
     * @param second scores of the same units in the same order
     * @return refused for fewer than three units, or when nobody saw a difference between any
     */
    public static Outcome<Agreement> of(double[] first, double[] second) {
        if (first.length != second.length) {
            throw new IllegalArgumentException("two scorers score the same units");
        }
        int n = first.length;
        if (n < FEWEST) {
            return Outcome.notEstimable("needs three units at least that both scored, there are " + n);
        }
        double kappa = kappa(first, second, -1);
        if (Double.isNaN(kappa)) {
            return Outcome.notEstimable("all scores are the same: agreement needs units that differ");
        }
        double[][] table = new double[n][];
        double[] differences = new double[n];
        for (int i = 0; i < n; i++) {
            table[i] = new double[] {first[i], second[i]};
            differences[i] = second[i] - first[i];
        }
        Intraclass icc = Intraclass.of(table);
        Summary paired = Summary.of(differences);
        return Outcome.found(new Agreement(
                n,
                kappa,
                jackknife(first, second, kappa),
                icc.value(),
                icc.interval95(),
                paired.mean(),
                paired.interval95()));
    }

    /** Leaving out one unit; −1 for none. NaN without scatter. */
    private static double kappa(double[] first, double[] second, int without) {
        double apart = 0;
        double chance = 0;
        int n = 0;
        for (int i = 0; i < first.length; i++) {
            if (i == without) {
                continue;
            }
            n++;
            apart += Math.pow(first[i] - second[i], 2);
            for (int j = 0; j < second.length; j++) {
                chance += j == without ? 0 : Math.pow(first[i] - second[j], 2);
            }
        }
        return chance == 0 ? Double.NaN : 1 - apart / n / (chance / n / n);
    }

    private static Optional<Interval> jackknife(double[] first, double[] second, double whole) {
        int n = first.length;
        double[] pseudo = new double[n];
        for (int i = 0; i < n; i++) {
            pseudo[i] = n * whole - (n - 1) * kappa(first, second, i);
        }
        if (Arrays.stream(pseudo).anyMatch(Double::isNaN)) {
            return Optional.empty();
        }
        double mean = Arrays.stream(pseudo).average().orElse(whole);
        double variance =
                Arrays.stream(pseudo).map(value -> Math.pow(value - mean, 2)).sum() / (n - 1) / n;
        double half = TDistribution.of(n - 1).inverseCumulativeProbability(UPPER) * Math.sqrt(variance);
        return Optional.of(new Interval(Math.max(-1, whole - half), Math.min(1, whole + half)));
    }

    /**
     * An intraclass correlation of single scores with absolute agreement.
     *
     * @param interval95 empty when scorers never differ
     */
    public record Intraclass(double value, Optional<Interval> interval95) {
        /**
         * Of any number of scorers.
         *
         * @param table a row a unit, a column a scorer; two of each at least
         */
        public static Intraclass of(double[][] table) {
            int n = table.length;
            int k = table[0].length;
            double grand = Arrays.stream(table)
                    .flatMapToDouble(Arrays::stream)
                    .average()
                    .orElseThrow();
            double rows = 0;
            double total = 0;
            double[] columns = new double[k];
            for (double[] row : table) {
                rows += k * Math.pow(Arrays.stream(row).average().orElseThrow() - grand, 2);
                for (int j = 0; j < k; j++) {
                    columns[j] += row[j] / n;
                    total += Math.pow(row[j] - grand, 2);
                }
            }
            double between = Arrays.stream(columns)
                    .map(mean -> n * Math.pow(mean - grand, 2))
                    .sum();
            double msr = rows / (n - 1);
            double msc = between / (k - 1);
            double mse = Math.max(0, (total - rows - between) / ((n - 1) * (k - 1)));
            double scatter = msr + (k - 1) * mse + k * (msc - mse) / n;
            double icc = scatter == 0 ? 1 : (msr - mse) / scatter;
            return new Intraclass(icc, mse == 0 ? Optional.empty() : interval(icc, msr, msc, mse, n, k));
        }

        private static Optional<Interval> interval(double icc, double msr, double msc, double mse, int n, int k) {
            double fj = msc / mse;
            double left = n * (1 + (k - 1) * icc) - k * icc;
            double df = (k - 1)
                    * (n - 1)
                    * Math.pow(k * icc * fj + left, 2)
                    / ((n - 1) * Math.pow(k * icc * fj, 2) + left * left);
            double upper = FDistribution.of(n - 1, df).inverseCumulativeProbability(UPPER);
            double lower = FDistribution.of(df, n - 1).inverseCumulativeProbability(UPPER);
            double rest = k * msc + ((double) k * n - k - n) * mse;
            double low = n * (msr - upper * mse) / (upper * rest + n * msr);
            double high = n * (lower * msr - mse) / (rest + n * lower * msr);
            return Optional.of(new Interval(Math.min(low, icc), Math.max(high, icc)));
        }
    }
}
