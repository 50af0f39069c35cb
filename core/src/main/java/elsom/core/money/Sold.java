package elsom.core.money;

import elsom.core.quantity.UnitOfMeasure;
import java.util.Optional;

/**
 * What a yield is sold by.
 *
 * @param name of what a price is of: "kg", "L", "piece"
 * @param units of the endpoint's unit in one of it
 */
public record Sold(String name, double units) {
    private static final double THOUSAND = 1000;

    /** A kilogram for weights, a litre for volumes, a piece for counts; empty for what is not sold. */
    public static Optional<Sold> by(UnitOfMeasure unit) {
        return switch (unit.dimension()) {
            case MASS -> Optional.of(new Sold("kg", THOUSAND / unit.coherent()));
            case VOLUME -> Optional.of(new Sold("L", THOUSAND / unit.coherent()));
            case COUNT -> Optional.of(new Sold("piece", 1));
            default -> Optional.empty();
        };
    }
}
