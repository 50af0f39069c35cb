package elsom.core.stats;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * One level of a factor beside another, within each level of another factor (a stratum) and over all of them: "10 % beside
 * none, in each crop and over all". Cells weigh alike, not units; other levels add to what is known of scatter. All
 * intervals hold together, by the distribution of the largest t ({@link MaximumContrast}).
 *
 * @param mse mean square of units within cells, blocks taken out
 * @param comparisons by stratum, the last "all"
 */
public record LevelWithinStrata(double mse, int df, double crit, List<Contrast> comparisons) {
    public static final String ALL = "all";

    /** A unit; its block is empty without blocks. */
    public record Unit(String stratum, String level, String block, double value) {}

    /** A difference, level less beside. */
    public record Contrast(
            String stratum, double difference, double se, double t, double pAdj, double low, double high) {}

    public LevelWithinStrata {
        comparisons = List.copyOf(comparisons);
    }

    /** The contrasts; not estimable where a cell is empty or no scatter can be seen. */
    public static Outcome<LevelWithinStrata> of(
            List<Unit> units, List<String> strata, String level, String beside, double alpha) {
        List<String> cells = List.copyOf(
                new LinkedHashSet<>(units.stream().map(LevelWithinStrata::cell).toList()));
        List<String> blocks =
                List.copyOf(new LinkedHashSet<>(units.stream().map(Unit::block).toList()));
        int columns = cells.size() + blocks.size() - 1;
        double[][] design = new double[units.size()][columns];
        double[] values = new double[units.size()];
        for (int i = 0; i < design.length; i++) {
            design[i][cells.indexOf(cell(units.get(i)))] = 1;
            int block = blocks.indexOf(units.get(i).block());
            if (block > 0) {
                design[i][cells.size() + block - 1] = 1;
            }
            values[i] = units.get(i).value();
        }
        for (String stratum : strata) {
            for (String one : List.of(level, beside)) {
                if (!cells.contains(cell(stratum, one))) {
                    return Outcome.notEstimable("Nothing was read of " + one + " in " + stratum);
                }
            }
        }
        int df = units.size() - columns;
        RealMatrix x = new Array2DRowRealMatrix(design);
        LUDecomposition squares = new LUDecomposition(x.transpose().multiply(x), 1e-9);
        if (df < 1 || !squares.getSolver().isNonSingular()) {
            return Outcome.notEstimable("One unit of each: how much units treated alike differ can't be seen");
        }
        RealMatrix inverse = squares.getSolver().getInverse();
        RealVector fitted = inverse.operate(x.transpose().operate(new ArrayRealVector(values)));
        RealVector off = new ArrayRealVector(values).subtract(x.operate(fitted));
        double mse = off.dotProduct(off) / df;
        return mse > 0
                ? Outcome.found(
                        made(contrasts(strata, cells, level, beside, columns), strata, inverse, fitted, mse, df, alpha))
                : Outcome.notEstimable("All units treated alike are alike: how much they differ can't be seen");
    }

    private static String cell(Unit unit) {
        return cell(unit.stratum(), unit.level());
    }

    private static String cell(String stratum, String level) {
        return stratum + "\u0000" + level;
    }

    private static List<RealVector> contrasts(
            List<String> strata, List<String> cells, String level, String beside, int columns) {
        List<RealVector> rows = new ArrayList<>();
        RealVector all = new ArrayRealVector(columns);
        for (String stratum : strata) {
            RealVector row = new ArrayRealVector(columns);
            row.setEntry(cells.indexOf(cell(stratum, level)), 1);
            row.setEntry(cells.indexOf(cell(stratum, beside)), -1);
            rows.add(row);
            all = all.add(row.mapMultiply(1.0 / strata.size()));
        }
        rows.add(all);
        return rows;
    }

    private static LevelWithinStrata made(
            List<RealVector> rows,
            List<String> strata,
            RealMatrix inverse,
            RealVector fitted,
            double mse,
            int df,
            double alpha) {
        double[][] covariance = new double[rows.size()][rows.size()];
        for (int i = 0; i < rows.size(); i++) {
            for (int j = 0; j < rows.size(); j++) {
                covariance[i][j] = mse * rows.get(i).dotProduct(inverse.operate(rows.get(j)));
            }
        }
        double[][] correlation = new double[rows.size()][rows.size()];
        for (int i = 0; i < rows.size(); i++) {
            for (int j = 0; j < rows.size(); j++) {
                correlation[i][j] = covariance[i][j] / Math.sqrt(covariance[i][i] * covariance[j][j]);
            }
        }
        MaximumContrast largest = MaximumContrast.of(correlation, df);
        double critical = largest.twoSidedQuantile(alpha);
        Set<String> names = new LinkedHashSet<>(strata);
        names.add(ALL);
        List<Contrast> contrasts = new ArrayList<>();
        for (String name : names) {
            int i = contrasts.size();
            double difference = rows.get(i).dotProduct(fitted);
            double error = Math.sqrt(covariance[i][i]);
            contrasts.add(new Contrast(
                    name,
                    difference,
                    error,
                    difference / error,
                    largest.twoSided(difference / error),
                    difference - critical * error,
                    difference + critical * error));
        }
        return new LevelWithinStrata(mse, df, critical, contrasts);
    }
}
