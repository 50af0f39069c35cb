package elsom.core.analysis;

import elsom.core.stats.Interval;
import elsom.core.stats.PenalisedLogistic;
import elsom.core.stats.Proportion;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;

/** Combinations of treatments on the scale of log odds, where each unit is one plant; blocks are taken out first. */
final class OddsRatios {
    private OddsRatios() {}

    /** A treatment's plants in one block. */
    private record Cell(int arm, int block) {}

    /**
     * What a combination is on the log odds scale, by a fit in which it is one of the coefficients.
     *
     * @param combination weights of arms that add up to 0
     * @param alpha of the interval
     */
    static Optional<Interaction.Odds> of(Observations all, double[] combination, double alpha) {
        Map<Cell, int[]> counts =
                new TreeMap<>(Comparator.comparingInt(Cell::block).thenComparingInt(Cell::arm));
        boolean blocks = all.design() != Design.COMPLETELY_RANDOM;
        for (Observed unit : all.seen()) {
            Value.CountOf count = (Value.CountOf) unit.value();
            int[] sum = counts.computeIfAbsent(new Cell(unit.arm(), blocks ? unit.block() : 0), key -> new int[2]);
            sum[0] += count.k();
            sum[1] += count.n();
        }
        List<Integer> arms =
                counts.keySet().stream().map(Cell::arm).distinct().sorted().toList();
        List<Integer> places =
                counts.keySet().stream().map(Cell::block).distinct().sorted().toList();
        int pivot = IntStream.range(0, arms.size())
                .filter(i -> combination[arms.get(i)] != 0)
                .findFirst()
                .orElse(-1);
        if (pivot < 0) {
            return Optional.empty();
        }
        double[][] design = new double[counts.size()][];
        List<Proportion> groups = new ArrayList<>();
        for (Map.Entry<Cell, int[]> cell : counts.entrySet()) {
            design[groups.size()] = row(cell.getKey(), arms, places, combination, pivot);
            groups.add(new Proportion(cell.getValue()[0], cell.getValue()[1]));
        }
        return PenalisedLogistic.fit(design, groups).asOptional().map(fit -> {
            Interval interval = fit.interval(pivot, alpha);
            return new Interaction.Odds(
                    Math.exp(fit.coefficients().get(pivot)),
                    new Interval(Math.exp(interval.low()), Math.exp(interval.high())),
                    fit.p(pivot, 0));
        });
    }

    /** Arms' log odds, but the pivot's column is the combination itself: its arm is what remains of it. */
    private static double[] row(Cell cell, List<Integer> arms, List<Integer> places, double[] combination, int pivot) {
        double[] row = new double[arms.size() + places.size() - 1];
        double weight = combination[arms.get(pivot)];
        for (int i = 0; i < arms.size(); i++) {
            if (arms.get(pivot) == cell.arm()) {
                row[i] = i == pivot ? 1 / weight : -combination[arms.get(i)] / weight;
            } else {
                row[i] = arms.get(i) == cell.arm() ? 1 : 0;
            }
        }
        int place = places.indexOf(cell.block());
        if (place > 0) {
            row[arms.size() + place - 1] = 1;
        }
        return row;
    }
}
