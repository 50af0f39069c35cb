package elsom.core.read;

import elsom.core.quantity.Dimension;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;

/** Which box takes which unit. */
final class Boxes {
    /** Months, the only amounts that depend on a day, run from a January. */
    static final LocalDate TODAY = LocalDate.EPOCH;

    private static final Pattern LIQUID =
            Pattern.compile("(?i).*\\b(?:gal|gals|gallons?|qts?|quarts?|pts?|pints?|fl\\.? ?oz|fluid ounces?)\\b.*");
    private static final Pattern SAID = Pattern.compile("(?i).*\\b(?:us|u\\.s\\.|imp|imperial|uk|american)\\b.*");
    private static final Map<Dimension, Box> BOXES = new EnumMap<>(Map.of(
            Dimension.MASS, Box.MASS,
            Dimension.VOLUME, Box.VOLUME,
            Dimension.LENGTH, Box.LENGTH,
            Dimension.AREA, Box.AREA,
            Dimension.TIME, Box.TIME_SPAN,
            Dimension.TEMPERATURE, Box.TEMPERATURE,
            Dimension.CONDUCTIVITY, Box.EC,
            Dimension.ACIDITY, Box.PH,
            Dimension.CONCENTRATION, Box.CONCENTRATION));
    private static final Map<String, UnitOfMeasure> KEPT = Map.of(
            "g",
            UnitOfMeasure.GRAM,
            "mL",
            UnitOfMeasure.MILLILITRE,
            "cm",
            UnitOfMeasure.CENTIMETRE,
            "cm2",
            UnitOfMeasure.SQUARE_CENTIMETRE,
            "h",
            UnitOfMeasure.HOUR,
            "°C",
            UnitOfMeasure.CELSIUS,
            "mS/cm at 25 °C",
            UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE,
            "pH",
            UnitOfMeasure.PH,
            "mg/L",
            UnitOfMeasure.MILLIGRAM_PER_LITRE,
            Units.FRACTION,
            UnitOfMeasure.FRACTION);

    private Boxes() {}

    /** The box of a unit; shares in percent are read as shares. */
    static Optional<Box> of(UnitOfMeasure unit) {
        return unit == UnitOfMeasure.PERCENT
                ? Optional.of(Box.SHARE)
                : Optional.ofNullable(BOXES.get(unit.dimension()));
    }

    /** Whether it speaks of a liquid measure that is another in the US than elsewhere, and does not say which. */
    static boolean liquid(String text) {
        return LIQUID.matcher(text).matches() && !SAID.matcher(text).matches();
    }

    /** A value of the reader in the unit of a box. */
    static Optional<Typed> kept(String text, double value, String unit, UnitOfMeasure in) {
        UnitOfMeasure kept = KEPT.get(unit);
        return kept == null || kept.dimension() != in.dimension()
                ? Optional.empty()
                : Optional.of(
                        new Typed.Understood(text, new Quantity(value, kept).in(in), new Quantity(value, kept).in(in)));
    }
}
