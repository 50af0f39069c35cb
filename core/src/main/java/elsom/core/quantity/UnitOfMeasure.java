package elsom.core.quantity;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A unit people type or read, with its factor to the base unit of its dimension (g, mL, cm, h, fraction, g/mL, per
 * day, g/L, mS/cm at 25 °C, °C). Conversions of US and imperial units are the exact ones of NIST Handbook 44, appendix C, to the digits given.
 */
public enum UnitOfMeasure {
    GRAM(Dimension.MASS, 1, "g", "gram", "grams", "gr", "gm"),
    KILOGRAM(Dimension.MASS, 1000, "kg", "kilo", "kilos", "kilogram", "kilograms"),
    MILLIGRAM(Dimension.MASS, 0.001, "mg"),
    OUNCE(Dimension.MASS, 28.349523125, "oz", "ounce", "ounces"),
    POUND(Dimension.MASS, 453.59237, "lb", "lbs", "pound", "pounds"),

    MILLILITRE(Dimension.VOLUME, 1, "mL", "ml", "cc", "cm3", "millilitre", "milliliter"),
    LITRE(Dimension.VOLUME, 1000, "L", "l", "litre", "litres", "liter", "liters"),
    TEASPOON(Dimension.VOLUME, 4.92892159375, "tsp", "teaspoon", "teaspoons"),
    TABLESPOON(Dimension.VOLUME, 14.78676478125, "tbsp", "tablespoon", "tablespoons"),
    US_FLUID_OUNCE(Dimension.VOLUME, 29.5735295625, "fl oz", "floz"),
    US_CUP(Dimension.VOLUME, 236.5882365, "cup", "cups"),
    US_QUART(Dimension.VOLUME, 946.352946, "qt", "quart", "quarts"),
    US_GALLON(Dimension.VOLUME, 3785.411784, "US gal"),
    IMPERIAL_GALLON(Dimension.VOLUME, 4546.09, "imp gal"),

    CENTIMETRE(Dimension.LENGTH, 1, "cm"),
    MILLIMETRE(Dimension.LENGTH, 0.1, "mm"),
    METRE(Dimension.LENGTH, 100, "m", "metre", "metres", "meter"),
    INCH(Dimension.LENGTH, 2.54, "in", "inch", "inches", "\""),
    FOOT(Dimension.LENGTH, 30.48, "ft", "foot", "feet", "'"),

    HOUR(Dimension.TIME, 1, "h", "hr", "hrs", "hour", "hours"),
    DAY(Dimension.TIME, 24, "days", "d", "day"),
    MINUTE(Dimension.TIME, 1 / 60.0, "min", "minute", "minutes"),
    SECOND(Dimension.TIME, 1 / 3600.0, "s", "sec", "second", "seconds"),

    FRACTION(Dimension.FRACTION, 1, ""),
    PERCENT(Dimension.FRACTION, 0.01, "%", "percent"),

    COUNT(Dimension.COUNT, 1, ""),

    GRAM_PER_MILLILITRE(Dimension.DENSITY, 1, "g/mL", "g/ml", "g/cm3"),

    PER_DAY(Dimension.RATE, 1, "per day"),

    SQUARE_CENTIMETRE(Dimension.AREA, 1, "cm²", "cm2"),
    SQUARE_METRE(Dimension.AREA, 10_000, "m²", "m2"),
    CENTIMETRE_PER_MILLIMETRE(Dimension.FRACTION, 10, "cm/mm"),
    GRAM_PER_GRAM(Dimension.FRACTION, 1, "g/g"),
    GRAM_PER_SQUARE_METRE(Dimension.MASS_PER_AREA, 1e-4, "g/m²", "g/m2"),
    KILOGRAM_PER_SQUARE_METRE(Dimension.MASS_PER_AREA, 0.1, "kg/m²", "kg/m2"),
    LITRE_PER_SQUARE_METRE(Dimension.LENGTH, 0.1, "L/m²", "L/m2"),
    CENTIMETRE_PER_DAY(Dimension.GROWTH, 1, "cm/day", "cm/d"),
    MILLIMETRE_PER_DAY(Dimension.GROWTH, 0.1, "mm/day", "mm/d"),
    GRAM_PER_DAY(Dimension.GAIN, 1, "g/day", "g/d"),
    POINT_DAY(Dimension.SCORE_OVER_TIME, 1, "point days", "points days"),

    MILLILITRE_PER_LITRE(Dimension.FRACTION, 0.001, "mL/L"),
    GRAM_PER_LITRE(Dimension.CONCENTRATION, 1, "g/L"),
    MILLIGRAM_PER_LITRE(Dimension.CONCENTRATION, 0.001, "mg/L"),
    MICROGRAM_PER_MILLILITRE(Dimension.CONCENTRATION, 0.001, "µg/mL", "ug/mL"),
    MILLISIEMENS_PER_CENTIMETRE(Dimension.CONDUCTIVITY, 1, "mS/cm", "dS/m"),
    MICROSIEMENS_PER_CENTIMETRE(Dimension.CONDUCTIVITY, 0.001, "µS/cm", "uS/cm"),
    PH(Dimension.ACIDITY, 1, "pH"),
    CELSIUS(Dimension.TEMPERATURE, 1, "°C", "C"),
    /** Its degrees begin 32 lower. */
    FAHRENHEIT(Dimension.TEMPERATURE, 1 / 1.8, "°F", "F", "degF"),
    POINT(Dimension.SCORE, 1, "points", "point"),
    PHOTON_FLUX(Dimension.LIGHT, 1, "µmol/m²/s", "umol");

    private final Dimension dimension;
    private final double toBase;
    private final List<String> spellings;

    UnitOfMeasure(Dimension dimension, double toBase, String... spellings) {
        this.dimension = dimension;
        this.toBase = toBase;
        this.spellings = List.of(spellings);
    }

    public Dimension dimension() {
        return dimension;
    }

    /** What is printed after a number; empty for a bare fraction or count. */
    public String symbol() {
        return spellings.get(0);
    }

    /** What is printed after that number: "1 point", "2 points". */
    public String symbol(double amount) {
        return this == POINT && amount == 1 ? "point" : symbol();
    }

    /** An amount in it, as it may be typed in its box. */
    public String example() {
        return switch (dimension) {
            case ACIDITY -> "6.2";
            case SCORE -> "3";
            case COUNT -> "12";
            case CONDUCTIVITY -> "1.8 " + symbol();
            case TEMPERATURE -> "21.5 °C or 70 °F";
            case FRACTION -> symbol().isEmpty() ? "0.25" : "12.5 " + symbol();
            default -> symbol().isEmpty() ? "48.5" : "48.5 or 48,5 " + symbol();
        };
    }

    /** Where its scale has the nought of the base unit's. */
    double nought() {
        return this == FAHRENHEIT ? 32 : 0;
    }

    double toBase() {
        return toBase;
    }

    /** One of it in g, cm and h and what is built from them, in which sums of unlike units can be made. */
    public double coherent() {
        return toBase * dimension.coherent();
    }

    /** The unit people mean by this spelling; only "L" and "l" differ by case, and mean the same. */
    public static Optional<UnitOfMeasure> spelled(String text) {
        String wanted = text.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        if (wanted.isEmpty()) {
            return Optional.empty();
        }
        return Arrays.stream(values())
                .filter(unit -> unit.spellings.stream()
                        .anyMatch(s -> s.toLowerCase(Locale.ROOT).equals(wanted)))
                .findFirst();
    }
}
