package elsom.core.dose;

import elsom.core.quantity.Decimals;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A dilution as people write it. "1 in 10" and "1 + 9" say what they mean; "1:10" and "1 to 10" are read in two ways, and
 * nothing but asking tells which part is water.
 *
 * @param text as typed
 * @param first the number before
 * @param second the number after
 */
public record Ratio(String text, double first, double second, Sign sign) {
    private static final Pattern WRITTEN =
            Pattern.compile("([0-9]{1,6}(?:[.,][0-9]{1,4})?) ?(:|/|\\+|to|in|plus) ?([0-9]{1,6}(?:[.,][0-9]{1,4})?)");

    /** What stands between the numbers. */
    public enum Sign {
        IN,
        PLUS,
        TO
    }

    /**
     * One way to understand it.
     *
     * @param stockParts and {@code waterParts} the parts of each
     * @param words "1 part stock and 10 parts water"
     */
    public record Reading(double stockParts, double waterParts, String words) {
        static Reading of(double stock, double water) {
            return new Reading(
                    stock,
                    water,
                    parts(stock) + " stock and " + parts(water) + " water, " + Decimals.upTo(stock + water, 4)
                            + " in all");
        }

        private static String parts(double number) {
            return Decimals.upTo(number, 4) + (number == 1 ? " part" : " parts");
        }

        /** The stock's share of the whole, 0 to 1; exact as a fraction of the parts. */
        public double share() {
            return stockParts / (stockParts + waterParts);
        }

        public double percent() {
            return 100 * share();
        }
    }

    /** What somebody typed, if it is a ratio at all. */
    public static Optional<Ratio> parse(String typed) {
        Matcher written = WRITTEN.matcher(
                String.join(" ", typed.strip().toLowerCase(Locale.ROOT).split("\\s+")));
        if (!written.matches()) {
            return Optional.empty();
        }
        double first = number(written.group(1));
        double second = number(written.group(3));
        Sign sign = switch (written.group(2)) {
            case "in" -> Sign.IN;
            case "+", "plus" -> Sign.PLUS;
            default -> Sign.TO;
        };
        return first > 0 && second > 0 ? Optional.of(new Ratio(typed.strip(), first, second, sign)) : Optional.empty();
    }

    private static double number(@Nullable String text) {
        return text == null ? 0 : Double.parseDouble(text.replace(',', '.'));
    }

    /**
     * All the ways it is read, the most usual first: one only for "1 in 10", where the larger number is the whole.
     *
     * <p>A plus parts stock and water but not which is which; a colon may also mean "in".
     */
    public List<Reading> readings() {
        double small = Math.min(first, second);
        double large = Math.max(first, second);
        if (sign == Sign.IN) {
            return first < second ? List.of(Reading.of(first, second - first)) : List.of();
        }
        Reading stockFirst = Reading.of(first, second);
        Reading waterFirst = Reading.of(second, first);
        if (sign == Sign.PLUS) {
            return first == second ? List.of(stockFirst) : List.of(stockFirst, waterFirst);
        }
        if (first == second) {
            return List.of(stockFirst);
        }
        return small == first
                ? List.of(stockFirst, Reading.of(small, large - small), waterFirst)
                : List.of(waterFirst, stockFirst, Reading.of(small, large - small));
    }

    /** What to ask somebody who wrote it where a percentage is wanted. */
    public String question() {
        List<Reading> readings = readings();
        if (readings.isEmpty()) {
            return "“" + text + "”: there can't be more stock than the whole. Accepted: 1 in 10, or 10 %";
        }
        StringBuilder asked = new StringBuilder("“" + text + "”");
        asked.append(readings.size() == 1 ? " is " : " is read in " + readings.size() + " ways; which part is water? ");
        for (int i = 0; i < readings.size(); i++) {
            asked.append(i == 0 ? "" : i == readings.size() - 1 ? ", or " : ", ")
                    .append(readings.get(i).words())
                    .append(" = ")
                    .append(Decimals.upTo(readings.get(i).percent(), 2))
                    .append(" %");
        }
        return asked.append(". Write the percentage you mean").toString();
    }
}
