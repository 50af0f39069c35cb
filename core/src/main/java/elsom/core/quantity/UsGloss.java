package elsom.core.quantity;

import java.util.Map;
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
    private static final Pattern TAG = Pattern.compile("<(/?)([a-zA-Z][a-zA-Z0-9]*)?[^>]*>");
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

    /** The same between the tags of HTML; drawings and scripts are left alone. */
    public static String ofHtml(String html) {
        if (html.indexOf('<') < 0) {
            return of(html);
        }
        StringBuilder glossed = new StringBuilder();
        Matcher tag = TAG.matcher(html);
        int from = 0;
        int quiet = 0;
        while (tag.find()) {
            String between = html.substring(from, tag.start());
            glossed.append(quiet > 0 ? between : of(between)).append(tag.group());
            from = tag.end();
            if (leavesAlone(tag.group(2)) && !tag.group().endsWith("/>")) {
                quiet = Math.max(0, quiet + (tag.group(1).isEmpty() ? 1 : -1));
            }
        }
        return glossed.append(quiet > 0 ? html.substring(from) : of(html.substring(from)))
                .toString();
    }

    /** Elements whose text is no sentence: drawings, scripts, and what a form sends. */
    public static boolean leavesAlone(String element) {
        return switch (String.valueOf(element)) {
            case "svg", "script", "style", "textarea", "option", "title", "code", "kbd" -> true;
            default -> false;
        };
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
