package elsom.core.design;

import elsom.core.trial.Bench;
import elsom.core.trial.BenchPosition;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Side;
import elsom.core.trial.UnitCode;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;

/**
 * A randomised complete block layout: each row of a bench is a block and holds every treatment once, in an order drawn
 * anew. Rows run along the light, so a block shares its distance from the window.
 */
public final class BlockedLayout {
    private BlockedLayout() {}

    /** What one treatment is filled into. */
    public record Filling(int treatment, String container, double volumeMl) {}

    /** The drawn benches and units, units in the order of bench, row and column. */
    public record Drawn(List<Bench> benches, List<ExperimentalUnit> units) {
        public Drawn {
            benches = List.copyOf(benches);
            units = List.copyOf(units);
        }
    }

    /**
     * Draws a layout. The same arguments always give the same layout.
     *
     * @param places names of the benches; every treatment stands on each of them
     * @param replicates units of each treatment on each bench
     * @throws IllegalArgumentException if anything is empty or there are too many units
     */
    public static Drawn draw(List<Filling> fillings, List<String> places, int replicates, long seed) {
        if (fillings.isEmpty() || places.isEmpty() || replicates < 1) {
            throw new IllegalArgumentException("a layout needs a treatment, a place and a replicate");
        }
        List<UnitCode> codes = UnitCodes.draw(fillings.size() * places.size() * replicates, seed);
        Random random = new Random(seed ^ 0x9E3779B97F4A7C15L);
        List<Bench> benches = new ArrayList<>();
        List<ExperimentalUnit> units = new ArrayList<>();
        for (int bench = 1; bench <= places.size(); bench++) {
            benches.add(new Bench(bench, places.get(bench - 1), replicates, fillings.size(), Side.TOP, Side.RIGHT));
            for (int row = 1; row <= replicates; row++) {
                List<Filling> order = new ArrayList<>(fillings);
                Collections.shuffle(order, random);
                int block = (bench - 1) * replicates + row;
                for (int column = 1; column <= order.size(); column++) {
                    Filling filling = order.get(column - 1);
                    units.add(new ExperimentalUnit(
                            codes.get(units.size()),
                            filling.treatment(),
                            row,
                            filling.container(),
                            filling.volumeMl(),
                            block,
                            new BenchPosition(bench, row, column)));
                }
            }
        }
        return new Drawn(benches, units);
    }

    /** Treatments numbered from 1, all filled alike. */
    public static List<Filling> alike(int treatments, String container, double volumeMl) {
        return IntStream.rangeClosed(1, treatments)
                .mapToObj(number -> new Filling(number, container, volumeMl))
                .toList();
    }
}
