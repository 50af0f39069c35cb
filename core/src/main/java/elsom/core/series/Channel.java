package elsom.core.series;

import elsom.core.quantity.Bounds;
import elsom.core.quantity.UnitOfMeasure;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A column of a file that holds one thing measured.
 *
 * @param column 0-based
 * @param typed the unit the file writes it in
 * @param depthCm below the surface; 0 where there is no depth, or another column says it
 * @param unit code of the unit it was measured in; empty when another column names it, or it is of the whole trial
 * @param probe 1-based, among those that measure the same at the same place of the same unit
 */
public record Channel(int column, Measurand what, UnitOfMeasure typed, double depthCm, String unit, int probe) {
    public static final double DEEPEST_CM = 500;
    public static final int MOST_PROBES = 20;

    public Channel {
        Bounds.count("a column", column, 0, Mapping.MOST_COLUMNS);
        Bounds.present("what is measured", what);
        Bounds.present("the file's unit", typed);
        Bounds.number("a depth in cm", depthCm, 0, DEEPEST_CM);
        Bounds.count("probes of one thing in one place", probe, 1, MOST_PROBES);
        if (typed.dimension() != what.unit().dimension()) {
            throw new IllegalArgumentException(what.label() + " can't be in " + typed.symbol() + "; accepted: "
                    + what.unit().symbol());
        }
    }

    /** The only probe of its kind in its place. */
    public Channel(int column, Measurand what, UnitOfMeasure typed, double depthCm, String unit) {
        this(column, what, typed, depthCm, unit, 1);
    }

    /** What it measures and where; probes that share it are numbered. */
    String series() {
        return what + "/" + depthCm + "/" + unit;
    }

    /**
     * Columns with their probes numbered in the order of the file: of two that measure the same in one place both are
     * kept.
     */
    public static List<Channel> numbered(List<Channel> channels) {
        Map<String, Integer> seen = new HashMap<>();
        List<Channel> numbered = new ArrayList<>();
        for (Channel one : channels) {
            int probe = seen.merge(one.series(), 1, Integer::sum);
            numbered.add(new Channel(one.column, one.what, one.typed, one.depthCm, one.unit, probe));
        }
        return List.copyOf(numbered);
    }
}
