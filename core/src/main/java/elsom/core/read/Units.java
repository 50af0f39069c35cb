package elsom.core.read;

import elsom.core.quantity.Dimension;
import elsom.core.quantity.Powers;
import elsom.core.quantity.UnitOfMeasure;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The spellings of units, each with all it may mean. Factors are those of NIST Handbook 44, appendix C; cups and spoons are
 * US customary, 20 drops are 1 mL.
 */
final class Units {
    static final String FRACTION = "fraction";
    static final String OF_STOCK = "fraction of stock";
    static final String SCORED = "points";
    static final String NO_UNIT = "none";

    static final Powers MASS = Dimension.MASS.powers();
    static final Powers VOLUME = Dimension.VOLUME.powers();
    static final Powers LENGTH = Dimension.LENGTH.powers();
    static final Powers AREA = Dimension.AREA.powers();
    static final Powers TIME = Dimension.TIME.powers();
    static final Powers NUMBER = Powers.NONE;

    private static final int LONGEST = 6;
    private static final double CUBIC_FOOT = 28316.846592;
    private static final double SQUARE_FOOT = 929.0304;
    private static final double ACRE = 40468564.224;
    private static final double INCH = 2.54;

    /** Measures of a household whose size only their owner knows. */
    static final Set<String> OWN_MEASURES = Set.of(
            "capful",
            "cap",
            "scoop",
            "can",
            "handful",
            "pinch",
            "bucket",
            "bucketful",
            "tray",
            "pot",
            "splash",
            "spoon",
            "spoonful",
            "glass",
            "mug",
            "bag",
            "dash",
            "jug",
            "shovel",
            "shovelful",
            "spade",
            "barrow",
            "wheelbarrow",
            "wheelbarrowful",
            "barrowful",
            "trowel",
            "trowelful",
            "squirt",
            "pump",
            "dollop",
            "glug",
            "bottle",
            "cell",
            "module",
            "plug",
            "packet",
            "bed",
            "sack",
            "tub",
            "fistful",
            "ladle",
            "scoopful",
            "dropper",
            "pipette",
            "syringe",
            "sachet",
            "tablet",
            "ampoule",
            "canful",
            "drip",
            "sprinkle",
            "thimble");

    private static final Map<List<String>, List<Unit>> SPELLED = new HashMap<>();

    static {
        of(UnitOfMeasure.GRAM, "g", "gram", "grams", "gramme", "grammes", "gr", "gm", "gms");
        of(UnitOfMeasure.KILOGRAM, "kg", "kgs", "kilo", "kilos", "kilogram", "kilograms");
        of(UnitOfMeasure.MILLIGRAM, "mg", "milligram", "milligrams");
        plain("µg", MASS, 1e-6, "ug", "mcg", "microgram", "micrograms");
        of(UnitOfMeasure.OUNCE, "oz by weight", "oz", "ounce", "ounces", "ozs");
        of(UnitOfMeasure.POUND, "lb", "lbs", "pound", "pounds");
        plain("t", MASS, 1e6, "tonne", "tonnes", "metric ton", "metric tons");
        plain("short tons", MASS, 907184.74, "short ton", "US ton", "US tons", "ton", "tons");
        plain("long tons", MASS, 1016046.9088, "long ton", "imperial ton", "imperial tons", "ton", "tons");
        plain("metric tons", MASS, 1e6, "ton", "tons");

        of(
                UnitOfMeasure.MILLILITRE,
                "mL",
                "mls",
                "cc",
                "cm3",
                "millilitre",
                "millilitres",
                "milliliter",
                "milliliters");
        of(UnitOfMeasure.LITRE, "L", "litre", "litres", "liter", "liters", "ltr", "ltrs", "dm3");
        plain("cL", VOLUME, 10, "cl");
        plain("dL", VOLUME, 100, "dl");
        plain("µL", VOLUME, 0.001, "ul");
        plain("m3", VOLUME, 1e6, "cubic metre", "cubic metres", "cubic meter", "cubic meters");
        plain("ft3", VOLUME, CUBIC_FOOT, "cu ft", "cubic foot", "cubic feet");
        plain("in3", VOLUME, INCH * INCH * INCH, "cu in", "cubic inch", "cubic inches");
        plain("yd3", VOLUME, 27 * CUBIC_FOOT, "cu yd", "cubic yard", "cubic yards");
        plain("acre-inch", VOLUME, ACRE * INCH, "acre-inches", "acre inch", "acre inches");
        liquid("gal", 3785.411784, 4546.09, "gallon", "gallons", "gals");
        liquid("qt", 946.352946, 1136.5225, "quart", "quarts", "qts");
        liquid("pt", 473.176473, 568.26125, "pint", "pints", "pts");
        liquid("fl oz", 29.5735295625, 28.4130625, "floz", "fluid ounce", "fluid ounces", "fl.oz", "fl. oz", "fl oz.");
        put("oz", new Unit("US fl oz", VOLUME, 29.5735295625, Unit.Nature.PLAIN, false));
        put("oz", new Unit("imp fl oz", VOLUME, 28.4130625, Unit.Nature.PLAIN, false));
        put("ounce", new Unit("US fl oz", VOLUME, 29.5735295625, Unit.Nature.PLAIN, false));
        put("ounces", new Unit("US fl oz", VOLUME, 29.5735295625, Unit.Nature.PLAIN, false));
        kitchen("cup", 236.5882365, "cups");
        kitchen("tbsp", 14.78676478125, "tablespoon", "tablespoons", "tbs", "tbsps", "tblsp");
        kitchen("tsp", 4.92892159375, "teaspoon", "teaspoons", "tsps");
        kitchen("drops", 0.05, "drop");

        of(UnitOfMeasure.CENTIMETRE, "cm", "cms", "centimetre", "centimetres", "centimeter", "centimeters");
        of(UnitOfMeasure.MILLIMETRE, "mm", "millimetre", "millimetres", "millimeter", "millimeters");
        of(UnitOfMeasure.METRE, "m", "metre", "metres", "meter", "meters");
        plain("µm", LENGTH, 1e-4, "um", "micron", "microns");
        of(UnitOfMeasure.INCH, "in", "inch", "inches", "\"", "''");
        of(UnitOfMeasure.FOOT, "ft", "foot", "feet", "'");
        plain("yd", LENGTH, 91.44, "yds", "yard", "yards");
        plain("cm2", AREA, 1, "sq cm", "square centimetre", "square centimetres");
        plain("mm2", AREA, 0.01, "sq mm");
        plain("m2", AREA, 1e4, "sq m", "sqm", "square metre", "square metres", "square meter", "square meters");
        plain("ft2", AREA, SQUARE_FOOT, "sq ft", "sqft", "square foot", "square feet", "sq. ft", "sq foot", "sq feet");
        plain("in2", AREA, INCH * INCH, "sq in", "square inch", "square inches");
        plain("yd2", AREA, 9 * SQUARE_FOOT, "sq yd", "sq yds", "square yard", "square yards");
        plain("acre", AREA, ACRE, "acres", "ac");
        plain("ha", AREA, 1e8, "hectare", "hectares");

        of(UnitOfMeasure.HOUR, "h", "hr", "hrs", "hour", "hours");
        of(UnitOfMeasure.DAY, "days", "day", "d");
        of(UnitOfMeasure.MINUTE, "min", "mins", "minute", "minutes", "m");
        of(UnitOfMeasure.SECOND, "s", "sec", "secs", "second", "seconds");
        plain("weeks", TIME, 168, "week", "wk", "wks", "w");
        plain("fortnights", TIME, 336, "fortnight");
        other("months", TIME, 30.4375 * 24, Unit.Nature.MONTH, "month", "mo", "mth", "mths", "m");
        other("years", TIME, 365.25 * 24, Unit.Nature.YEAR, "year", "yr", "yrs", "y");

        other(
                "°C",
                NUMBER,
                1,
                Unit.Nature.CELSIUS,
                "c",
                "degc",
                "celsius",
                "degrees c",
                "degrees celsius",
                "deg c",
                "° c",
                "centigrade",
                "degrees centigrade");
        other(
                "°F",
                NUMBER,
                1,
                Unit.Nature.FAHRENHEIT,
                "f",
                "degf",
                "fahrenheit",
                "degrees f",
                "degrees fahrenheit",
                "deg f",
                "° f");
        other("K", NUMBER, 1, Unit.Nature.KELVIN, "kelvin");
        other("degrees", NUMBER, 1, Unit.Nature.DEGREES, "degree", "deg", "°");
        other("%", NUMBER, 0.01, Unit.Nature.PERCENT, "percent", "per cent", "pct");
        other("pH", NUMBER, 1, Unit.Nature.PH);
        conductivities();
        other("ppm", NUMBER, 1, Unit.Nature.PPM);
        other("meq", NUMBER, 1, Unit.Nature.MEQ, "milliequivalents", "me");
        other("mmol", NUMBER, 1, Unit.Nature.MMOL, "millimoles");
        other("seeds", NUMBER, 1, Unit.Nature.COUNT, "seed", "grains", "kernels");
    }

    private Units() {}

    private static void conductivities() {
        Unit.Nature ec = Unit.Nature.CONDUCTIVITY;
        other(
                "mS/cm",
                NUMBER,
                1,
                ec,
                "ms",
                "mS/cm at 25 °C",
                "ms cm-1",
                "mmho/cm",
                "mmho",
                "mmhos/cm",
                "ds/m",
                "ds m-1",
                "ds",
                "millisiemens");
        other(
                "µS/cm",
                NUMBER,
                0.001,
                ec,
                "µs",
                "us",
                "us/cm",
                "µs cm-1",
                "us cm-1",
                "umho/cm",
                "µmho/cm",
                "umho",
                "µmho",
                "umhos/cm",
                "µmhos/cm",
                "microsiemens");
        other("S/m", NUMBER, 10, ec);
        other("mS/m", NUMBER, 0.01, ec);
    }

    private static void of(UnitOfMeasure unit, String name, String... more) {
        plain(name, unit.dimension().powers(), unit.coherent(), more);
    }

    private static void plain(String name, Powers powers, double factor, String... more) {
        other(name, powers, factor, Unit.Nature.PLAIN, more);
    }

    private static void kitchen(String name, double factor, String... more) {
        Unit unit = new Unit(name, VOLUME, factor, Unit.Nature.PLAIN, true);
        put(name, unit);
        put("US " + name, unit);
        for (String spelling : more) {
            put(spelling, unit);
            put("US " + spelling, unit);
        }
    }

    private static void liquid(String name, double us, double imperial, String... more) {
        List<String> spellings = new ArrayList<>(List.of(more));
        spellings.add(name);
        Unit american = new Unit("US " + name, VOLUME, us, Unit.Nature.PLAIN, false);
        Unit british = new Unit("imp " + name, VOLUME, imperial, Unit.Nature.PLAIN, false);
        for (String spelling : spellings) {
            put(spelling, american);
            put(spelling, british);
            for (String us1 : List.of("US ", "U.S. ", "American ")) {
                put(us1 + spelling, american);
            }
            put(spelling + " (US)", american);
            put(spelling + " US", american);
            for (String imp : List.of("imp ", "imp. ", "imperial ", "UK ")) {
                put(imp + spelling, british);
            }
            put(spelling + " (imp)", british);
            put(spelling + " (imperial)", british);
            put(spelling + " (UK)", british);
            put(spelling + " imperial", british);
        }
    }

    private static void other(String name, Powers powers, double factor, Unit.Nature nature, String... more) {
        Unit unit = new Unit(name, powers, factor, nature, false);
        put(name, unit);
        for (String spelling : more) {
            put(spelling, unit);
        }
    }

    private static void put(String spelling, Unit unit) {
        List<String> key =
                Token.of(Plain.of(spelling), true).stream().map(Token::word).toList();
        List<Unit> meanings = SPELLED.computeIfAbsent(key, any -> new ArrayList<>());
        if (!meanings.contains(unit)) {
            meanings.add(unit);
        }
    }

    /** Units a text may mean, with how many pieces of it they take. */
    record Found(List<Unit> meanings, int length) {}

    /** The longest spelling that begins at a piece; none of length 0. */
    static Found at(List<Token> tokens, int from) {
        for (int length = Math.min(LONGEST, tokens.size() - from); length > 0; length--) {
            boolean country = length == 1 && tokens.get(from).text().equals("US");
            List<Unit> meanings = country
                    ? null
                    : SPELLED.get(tokens.subList(from, from + length).stream()
                            .map(Token::word)
                            .toList());
            if (meanings != null) {
                return new Found(meanings, length);
            }
        }
        return new Found(List.of(), 0);
    }

    /** The measure of a household that begins at a piece: how many pieces its name takes, 0 for none. */
    static int ownMeasure(List<Token> tokens, int from) {
        if (from < tokens.size()
                && tokens.get(from).is("watering")
                && from + 1 < tokens.size()
                && singular(tokens.get(from + 1).word()).equals("can")) {
            return 2;
        }
        return from < tokens.size()
                        && tokens.get(from).isWord()
                        && OWN_MEASURES.contains(singular(tokens.get(from).word()))
                ? 1
                : 0;
    }

    static String singular(String word) {
        return OWN_MEASURES.contains(word) || !word.endsWith("s")
                ? word
                : word.endsWith("es") && OWN_MEASURES.contains(word.substring(0, word.length() - 2))
                        ? word.substring(0, word.length() - 2)
                        : word.substring(0, word.length() - 1);
    }
}
