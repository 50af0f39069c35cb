package elsom.core.series;

import elsom.core.quantity.Bounds;
import elsom.core.quantity.UnitOfMeasure;

/**
 * A column of a file that holds one thing measured.
 *
 * @param column 0-based
 * @param typed the unit the file writes it in
 * @param depthCm below the surface; 0 where there is no depth
 * @param unit code of the unit it was measured in; empty when another column names it, or it is of the whole trial
 */
public record Channel(int column, Measurand what, UnitOfMeasure typed, double depthCm, String unit) {
    public static final double DEEPEST_CM = 500;

    public Channel {
        Bounds.count("a column", column, 0, Mapping.MOST_COLUMNS);
        Bounds.present("what is measured", what);
        Bounds.present("the file's unit", typed);
        Bounds.number("a depth in cm", depthCm, 0, DEEPEST_CM);
        if (typed.dimension() != what.unit().dimension()) {
            throw new IllegalArgumentException(what.label() + " can't be in " + typed.symbol() + "; accepted: "
                    + what.unit().symbol());
        }
    }
}
