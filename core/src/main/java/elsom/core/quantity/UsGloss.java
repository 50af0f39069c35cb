package elsom.core.quantity;

import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Puts US measures beside metric ones in text that people read: "380 mL" becomes "380 mL (12.8 fl oz)". The metric amount, which
 * is what was read and is kept, stays as it is; so do rates such as g/L and mS/cm, and numbers whose unit stands elsewhere.
 */
public final class UsGloss {
    private static final Map<String, UnitOfMeasure> UNITS = Map.of(
            "mL", UnitOfMeasure.MILLILITRE,
            "L", UnitOfMeasure.LITRE,
            "g", UnitOfMeasure.GRAM,
            "kg", UnitOfMeasure.KILOGRAM,
            "cm", UnitOfMeasure.CENTIMETRE,
            "mm", UnitOfMeasure.MILLIMETRE,
            "°C", UnitOfMeasure.CELSIUS);
    private static final String NUMBER = "(−?\\d{1,9}(?:\\.\\d{1,6})?)";
    private static final Pattern AMOUNT = Pattern.compile("(?<![\\w.,/·–×-])(?:" + NUMBER + "( to |–| × ))?" + NUMBER
            + "[ \\u00a0](mL|L|kg|g|cm|mm|°C)(?![\\w/·²³(]| \\()");
    private static final Pattern EACH = Pattern.compile("−?\\d{1,9}(?:\\.\\d{1,6})?");
    private static final Pattern BARE =
            Pattern.compile("(\\s*(?:[±+] ?)?)(" + EACH + "(?:(?: to |–| → )" + EACH + "){0,3})(\\s*)");
    private static final int DIGITS = 3;

    private UsGloss() {}

    /** Plain text with US measures beside metric ones. */
    public static String of(String text) {
        Matcher matcher = AMOUNT.matcher(text);
        StringBuilder glossed = new StringBuilder();
        while (matcher.find()) {
            matcher.appendReplacement(glossed, Matcher.quoteReplacement(matcher.group() + " (" + us(matcher) + ")"));
        }
        return matcher.appendTail(glossed).toString();
    }

    /** What stands under a heading that names the unit: "380" is "380 (1.61 cup)", as are ranges and scatter ("± 4"). */
    static String underHeading(String text, UnitOfMeasure unit) {
        Matcher matcher = BARE.matcher(text);
        if (!matcher.matches()) {
            return text;
        }
        boolean scatter = matcher.group(1).contains("±") || matcher.group(1).contains("+");
        String words = matcher.group(2);
        UnitOfMeasure told = UsMeasures.unitOf(largest(words), unit);
        StringBuilder glossed = new StringBuilder();
        Matcher each = EACH.matcher(words);
        while (each.find()) {
            double number = number(each.group());
            each.appendReplacement(
                    glossed, unit == UnitOfMeasure.CELSIUS ? degrees(number, scatter) : in(told, number, unit));
        }
        each.appendTail(glossed);
        String symbol = unit == UnitOfMeasure.CELSIUS ? "°F" : told.symbol();
        return matcher.group(1) + words + " ("
                + matcher.group(1).strip().replace("±", "± ").replace("  ", " ") + glossed + " " + symbol + ")"
                + matcher.group(3);
    }

    /** The unit that symbol stands for, of those that have a US measure. */
    static Optional<UnitOfMeasure> unit(String symbol) {
        return Optional.ofNullable(UNITS.get(symbol.strip()));
    }

    private static double largest(String words) {
        return EACH.matcher(words)
                .results()
                .mapToDouble(found -> Math.abs(number(found.group())))
                .max()
                .orElse(0);
    }

    private static String degrees(double celsius, boolean difference) {
        return difference ? Decimals.significant(celsius * 9 / 5, DIGITS) : fahrenheit(celsius);
    }

    private static String us(Matcher amount) {
        UnitOfMeasure unit = UNITS.getOrDefault(amount.group(4), UnitOfMeasure.COUNT);
        double last = number(amount.group(3));
        boolean range = amount.group(1) != null;
        if (unit == UnitOfMeasure.CELSIUS) {
            return (range ? fahrenheit(number(amount.group(1))) + amount.group(2) : "") + fahrenheit(last) + " °F";
        }
        UnitOfMeasure told = UsMeasures.unitOf(Math.abs(last), unit);
        return (range ? in(told, number(amount.group(1)), unit) + amount.group(2) : "") + in(told, last, unit) + " "
                + told.symbol();
    }

    private static String in(UnitOfMeasure told, double amount, UnitOfMeasure unit) {
        return Decimals.significant(new Quantity(amount, unit).in(told).value(), DIGITS);
    }

    private static String fahrenheit(double celsius) {
        return Decimals.significant(celsius * 9 / 5 + 32, DIGITS);
    }

    private static double number(String text) {
        return Double.parseDouble(text.replace('−', '-'));
    }
}
