package elsom.core.series;

import elsom.core.quantity.UnitOfMeasure;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a sensor or a laboratory measures, with the unit its values are kept in and what can be true. */
public enum Measurand {
    MOISTURE("Water content", UnitOfMeasure.PERCENT, 0, 100, 1, "moist", "vwc", "water content", "theta"),
    EC("EC", UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE, 0, 200, 2, "ec", "conductivity", "salin"),
    TEMPERATURE("Temperature", UnitOfMeasure.CELSIUS, -40, 90, 1, "temp", "°c"),
    PH("pH", UnitOfMeasure.PH, 0, 14, 2, "ph"),
    LIGHT("Light", UnitOfMeasure.PHOTON_FLUX, 0, 3000, 0, "light", "par", "ppfd", "photon"),
    /** Before sodium, whose name is in its own. */
    ESP("Exchangeable sodium", UnitOfMeasure.PERCENT, 0, 100, 1, "esp", "exchangeable"),
    SODIUM("Sodium", UnitOfMeasure.MILLIGRAM_PER_LITRE, 0, 40_000, 0, "sodium", "na"),
    CALCIUM("Calcium", UnitOfMeasure.MILLIGRAM_PER_LITRE, 0, 40_000, 0, "calcium", "ca"),
    MAGNESIUM("Magnesium", UnitOfMeasure.MILLIGRAM_PER_LITRE, 0, 40_000, 0, "magnesium"),
    GREENNESS("Leaf greenness", UnitOfMeasure.COUNT, 0, 200, 1, "green", "chlorophyll"),
    DIAMETER("Stem diameter", UnitOfMeasure.MILLIMETRE, 0, 300, 2, "diameter", "calliper", "caliper"),
    MASS("Mass", UnitOfMeasure.GRAM, 0, 200_000, 1, "mass", "weight");

    private final String label;
    private final UnitOfMeasure unit;
    private final double lowest;
    private final double highest;
    private final int decimals;
    private final List<String> words;

    Measurand(String label, UnitOfMeasure unit, double lowest, double highest, int decimals, String... words) {
        this.label = label;
        this.unit = unit;
        this.lowest = lowest;
        this.highest = highest;
        this.decimals = decimals;
        this.words = List.of(words);
    }

    public String label() {
        return label;
    }

    /** What values are kept in. */
    public UnitOfMeasure unit() {
        return unit;
    }

    public double lowest() {
        return lowest;
    }

    public double highest() {
        return highest;
    }

    /** How many decimals are worth showing. */
    public int decimals() {
        return decimals;
    }

    /** Whether half of a value is half as much: of pH and degrees it is not. */
    public boolean fromNought() {
        return this != PH && this != TEMPERATURE;
    }

    /** With its unit, for an axis: "Water content, %". */
    public String axis() {
        return this == PH || unit.symbol().isEmpty() ? label : label + ", " + unit.symbol();
    }

    /** What a column's heading most likely means; short words must stand alone, long ones may be part of another. */
    public static Optional<Measurand> headed(String heading) {
        String text = " " + heading.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}°]+", " ") + " ";
        return Arrays.stream(values())
                .filter(one -> one.words.stream()
                        .anyMatch(word -> word.length() < 4 ? text.contains(" " + word + " ") : text.contains(word)))
                .findFirst();
    }
}
