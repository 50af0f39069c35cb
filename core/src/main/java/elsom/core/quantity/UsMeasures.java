package elsom.core.quantity;

import java.util.List;

/** Amounts in the measures of a US kitchen and yard, in the largest unit of which there is at least one. */
public final class UsMeasures {
    private static final List<UnitOfMeasure> VOLUMES = List.of(
            UnitOfMeasure.US_GALLON, UnitOfMeasure.US_QUART, UnitOfMeasure.US_CUP, UnitOfMeasure.US_FLUID_OUNCE);
    private static final List<UnitOfMeasure> MASSES = List.of(UnitOfMeasure.POUND, UnitOfMeasure.OUNCE);
    private static final List<UnitOfMeasure> LENGTHS = List.of(UnitOfMeasure.INCH);

    private UsMeasures() {}

    /** The unit an amount is told in: the largest of which there is at least one, else the smallest. */
    public static UnitOfMeasure unitOf(double amount, UnitOfMeasure stored) {
        List<UnitOfMeasure> units = switch (stored.dimension()) {
            case VOLUME -> VOLUMES;
            case MASS -> MASSES;
            case LENGTH -> LENGTHS;
            default -> List.of(stored);
        };
        return units.stream()
                .filter(unit -> new Quantity(amount, stored).in(unit).value() >= 1)
                .findFirst()
                .orElse(units.get(units.size() - 1));
    }

    /** "2.64 US gal", "1.5 qt", "3.2 cup", "1.1 lb". */
    public static String words(double amount, UnitOfMeasure stored) {
        UnitOfMeasure unit = unitOf(amount, stored);
        return Decimals.significant(new Quantity(amount, stored).in(unit).value(), 3) + " " + unit.symbol();
    }
}
