package elsom.core.trial;

import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * So many of so many.
 *
 * @param k counted, 0 to n
 * @param n what they were counted among, 1 or more
 */
public record CountedOf(int k, int n) {
    static final Pattern TYPED = Pattern.compile("(\\d{1,6}) ?(?:of|/) ?(\\d{1,6})");

    public CountedOf {
        if (n < 1 || k < 0 || k > n) {
            throw new IllegalArgumentException("a count must be 0 to what it is of, got " + k + " of " + n);
        }
    }

    /** "7 of 10" or "7/10"; empty for anything else, and for more than there were. */
    public static Optional<CountedOf> typed(String text) {
        Matcher matcher = TYPED.matcher(text.strip());
        if (!matcher.matches()) {
            return Optional.empty();
        }
        int k = Integer.parseInt(matcher.group(1));
        int n = Integer.parseInt(matcher.group(2));
        return n < 1 || k > n ? Optional.empty() : Optional.of(new CountedOf(k, n));
    }

    /** A count that was typed, refused where it is more than there were. */
    static Typed checked(String text, Endpoint endpoint) {
        Optional<CountedOf> count = typed(text);
        if (count.isEmpty()) {
            return new Typed.Refused(text, "More than there were in “" + text.strip() + "”", endpoint.example());
        }
        if (count.get().n() > endpoint.size()) {
            return new Typed.Refused(
                    text,
                    endpoint.name() + " is counted among " + endpoint.size() + " at most, got “"
                            + count.get().n() + "”",
                    endpoint.example());
        }
        Quantity value = new Quantity(count.get().k(), UnitOfMeasure.COUNT);
        return new Typed.Understood(text, value, value);
    }

    /** What a reading of a counted endpoint says: of as many as were typed with it, else of all that were set up. */
    public static Optional<CountedOf> read(Reading reading, Endpoint endpoint) {
        Double value = reading.value();
        if (value == null || value != Math.rint(value) || value < 0 || value > endpoint.size()) {
            return Optional.empty();
        }
        return Optional.of(typed(reading.typedText())
                .filter(typed -> typed.k() == value.intValue() && typed.n() <= endpoint.size())
                .orElseGet(() -> new CountedOf(value.intValue(), endpoint.size())));
    }
}
