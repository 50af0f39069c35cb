package elsom.core.trial;

import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A weight or volume typed as a total with what it stood in: "212 - 130", "bowl + greens 212, bowl 130", "212 g less 130 g".
 * The words say which is the total: the one with a plus. Without words the first is.
 */
final class TotalLessTare {
    private static final String WORDS = "([\\p{L}][\\p{L} +&-]*?)?\\s*";
    private static final String AMOUNT = "([0-9]+(?:[.,][0-9]+)?(?:\\s*\\p{L}+)?)";
    private static final Pattern TYPED =
            Pattern.compile(WORDS + AMOUNT + "\\s*(?:, |;|\\bless\\b|\\bminus\\b|[-−])\\s*" + WORDS + AMOUNT);

    private TotalLessTare() {}

    /** Empty when the text is nothing of the kind. */
    static Optional<Typed> typed(String text, UnitOfMeasure unit) {
        Matcher matcher = TYPED.matcher(text.strip());
        if (!matcher.matches()) {
            return Optional.empty();
        }
        Typed one = Typed.parse(matcher.group(2), unit);
        Typed other = Typed.parse(matcher.group(4), unit);
        if (one instanceof Typed.Understood first && other instanceof Typed.Understood second) {
            boolean swapped = !plus(matcher.group(1)) && plus(matcher.group(3));
            return Optional.of(less(text, swapped ? second : first, swapped ? first : second));
        }
        return Optional.of(one instanceof Typed.Refused ? one : other);
    }

    private static boolean plus(String words) {
        return words != null && (words.contains("+") || words.contains("&") || words.contains(" and "));
    }

    private static Typed less(String text, Typed.Understood total, Typed.Understood tare) {
        double left = total.stored().value() - tare.stored().value();
        Quantity value = new Quantity(left, total.stored().unit());
        return left < 0
                ? new Typed.Refused(
                        text,
                        "The empty one would be more than the full one in “" + text.strip() + "”",
                        "bowl + greens 212, bowl 130")
                : new Typed.Understood(text, value, value);
    }
}
