package elsom.core.analysis;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * How a combination scatters by itself in a split-plot: by its value in each block, or where whole plots stand anywhere by
 * that in each whole plot of the levels it holds together. No scatter need be like another, nor a plot's alike (the
 * blocks' own differences: Cochran and Cox 1957, ch. 7; unlike plots: Welch 1947, Satterthwaite 1946).
 */
final class OwnOfPlots {
    private static final int FEWEST = 2;

    /** One pot is as good as another within a cluster: the mean of the arm's units there; NaN where none was seen. */
    @SuppressWarnings("ArrayRecordComponent")
    private record Cluster(double[] means) {
        boolean has(double[] combination) {
            return IntStream.range(0, means.length).allMatch(arm -> combination[arm] == 0 || !Double.isNaN(means[arm]));
        }

        double value(double[] combination) {
            return IntStream.range(0, means.length)
                    .mapToDouble(arm -> combination[arm] == 0 ? 0 : combination[arm] * means[arm])
                    .sum();
        }
    }

    /** What stands for itself: blocks, all of one kind, or the whole plots of each level. */
    private final List<List<Cluster>> strata;

    /** Of each arm: that of the first arm it shares whole plots with. */
    private final int[] levels;

    /** The variance of a combination and its degrees of freedom. */
    record Own(double variance, double df) {
        Own with(double times) {
            return new Own(variance * times, df);
        }
    }

    private OwnOfPlots(List<List<Cluster>> strata, int[] levels) {
        this.strata = strata;
        this.levels = levels;
    }

    /**
     * What the variance of a combination would be from the clusters that hold all of it alone, were all scatter alike.
     *
     * @param ratio variance between whole plots over that within
     * @return in units of the variance within
     */
    double ofComplete(double[] combination, double ratio) {
        double sum = 0;
        for (List<Cluster> stratum : strata) {
            double[] part = within(combination, stratum);
            double[] ofPlots = new double[part.length];
            double squares = 0;
            for (int arm = 0; arm < part.length; arm++) {
                ofPlots[levels[arm]] += part[arm];
                squares += part[arm] * part[arm];
            }
            for (double ofPlot : ofPlots) {
                squares += ratio * ofPlot * ofPlot;
            }
            long complete =
                    stratum.stream().filter(cluster -> cluster.has(part)).count();
            sum += squares == 0 ? 0 : squares / complete;
        }
        return sum;
    }

    static OwnOfPlots of(SeenRows rows) {
        boolean blocked = rows.seen().stream().map(Observed::block).distinct().count() > 1;
        Map<Integer, List<Observed>> clusters = new HashMap<>();
        rows.seen()
                .forEach(unit -> clusters.computeIfAbsent(
                                blocked ? unit.block() : unit.wholePlot(), none -> new ArrayList<>())
                        .add(unit));
        Map<Integer, List<Cluster>> strata = new HashMap<>();
        int[] levelOf = levels(rows);
        clusters.values()
                .forEach(units -> strata.computeIfAbsent(
                                blocked ? 0 : levelOf[units.get(0).arm()], none -> new ArrayList<>())
                        .add(cluster(units, rows.arms())));
        return new OwnOfPlots(List.copyOf(strata.values()), levelOf);
    }

    /** Arms that ever share a whole plot are of one level. */
    private static int[] levels(SeenRows rows) {
        int[] level = IntStream.range(0, rows.arms()).toArray();
        Map<Integer, Integer> first = new HashMap<>();
        for (Observed unit : rows.seen()) {
            int with = level[first.computeIfAbsent(unit.wholePlot(), none -> unit.arm())];
            int own = level[unit.arm()];
            for (int arm = 0; arm < level.length; arm++) {
                level[arm] = level[arm] == own ? with : level[arm];
            }
        }
        return level;
    }

    private static Cluster cluster(List<Observed> units, int arms) {
        return new Cluster(IntStream.range(0, arms)
                .mapToDouble(arm -> units.stream()
                        .filter(unit -> unit.arm() == arm)
                        .mapToDouble(Observations::number)
                        .average()
                        .orElse(Double.NaN))
                .toArray());
    }

    /** Of a combination of arms' means; empty where fewer than two blocks, or plots of a level, hold all of it. */
    Optional<Own> of(double[] combination) {
        double variance = 0;
        double squares = 0;
        for (List<Cluster> stratum : strata) {
            double[] part = within(combination, stratum);
            double[] values = stratum.stream()
                    .filter(cluster -> cluster.has(part))
                    .mapToDouble(cluster -> cluster.value(part))
                    .toArray();
            if (IntStream.range(0, part.length).allMatch(arm -> part[arm] == 0)) {
                continue;
            }
            if (values.length < FEWEST) {
                return Optional.empty();
            }
            double mean = IntStream.range(0, values.length)
                            .mapToDouble(i -> values[i])
                            .sum()
                    / values.length;
            double sum = 0;
            for (double value : values) {
                sum += (value - mean) * (value - mean);
            }
            double own = sum / (values.length - 1) / values.length;
            variance += own;
            squares += own * own / (values.length - 1);
        }
        return squares > 0 ? Optional.of(new Own(variance, variance * variance / squares)) : Optional.empty();
    }

    /** The part of a combination that a stratum can show. */
    private double[] within(double[] combination, List<Cluster> stratum) {
        if (strata.size() == 1) {
            return combination;
        }
        double[] part = new double[combination.length];
        for (int arm = 0; arm < part.length; arm++) {
            int which = arm;
            boolean here = stratum.stream().anyMatch(cluster -> !Double.isNaN(cluster.means()[which]));
            part[arm] = here ? combination[arm] : 0;
        }
        return part;
    }
}
