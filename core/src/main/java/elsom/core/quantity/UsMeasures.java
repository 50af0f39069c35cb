package elsom.core.quantity;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

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

    /** What each metric unit that has a US measure is in it, by its symbol: "28.3 g are 1 oz". For a drawing's scale. */
    public static Map<String, String> scales() {
        Map<String, String> scales = new LinkedHashMap<>();
        scale(scales, UnitOfMeasure.GRAM, UnitOfMeasure.OUNCE);
        scale(scales, UnitOfMeasure.KILOGRAM, UnitOfMeasure.POUND);
        scale(scales, UnitOfMeasure.MILLILITRE, UnitOfMeasure.US_FLUID_OUNCE);
        scale(scales, UnitOfMeasure.LITRE, UnitOfMeasure.US_GALLON);
        scale(scales, UnitOfMeasure.CENTIMETRE, UnitOfMeasure.INCH);
        scale(scales, UnitOfMeasure.MILLIMETRE, UnitOfMeasure.INCH);
        scales.put(UnitOfMeasure.CELSIUS.symbol(), "°F = °C × 1.8 + 32");
        return scales;
    }

    private static void scale(Map<String, String> scales, UnitOfMeasure metric, UnitOfMeasure us) {
        scales.put(
                metric.symbol(),
                Decimals.significant(new Quantity(1, us).in(metric).value(), 3) + " " + metric.symbol() + " are 1 "
                        + us.symbol());
    }

    /** "2.64 US gal", "1.5 qt", "3.2 cup", "1.1 lb". */
    public static String words(double amount, UnitOfMeasure stored) {
        UnitOfMeasure unit = unitOf(amount, stored);
        return Decimals.significant(new Quantity(amount, stored).in(unit).value(), 3) + " " + unit.symbol();
    }
}
