package elsom.core.trial;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.Dimension;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import java.util.EnumSet;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A reading that is only known to lie below what could be measured, "&lt;1 mg/L". It counts as half of that limit, the usual
 * substitute; what is found is held against none and against the whole limit too, since no substitute is right (Helsel,
 * Statistics for Censored Environmental Data, 2nd ed., ch. 1).
 */
public final class UnderLimit {
    private static final Pattern TYPED = Pattern.compile("\\s*(?:<=?|≤)\\s*([0-9.,].*)");
    /** Scales that don't begin at none. */
    private static final Set<Dimension> WITHOUT_NONE =
            EnumSet.of(Dimension.ACIDITY, Dimension.TEMPERATURE, Dimension.SCORE);

    private UnderLimit() {}

    private static boolean possible(Endpoint endpoint) {
        return !WITHOUT_NONE.contains(endpoint.unit().dimension()) && !endpoint.whole() && endpoint.lowest() <= 0;
    }

    /** Empty where no limit is typed; refused where the endpoint can't have one. */
    static Optional<Typed> typed(String text, Endpoint endpoint) {
        return possible(endpoint)
                ? typed(text, endpoint.unit())
                : Optional.of(text)
                        .filter(one -> TYPED.matcher(one).matches())
                        .map(one -> new Typed.Refused(
                                one,
                                "“" + one.strip() + "” says only where " + endpoint.name()
                                        + " is not, and half of it means nothing",
                                endpoint.example()));
    }

    /** Empty where no limit is typed, or the unit's scale does not begin at none. */
    public static Optional<Typed> typed(String text, UnitOfMeasure unit) {
        Matcher matcher = TYPED.matcher(text);
        if (!matcher.matches() || WITHOUT_NONE.contains(unit.dimension())) {
            return Optional.empty();
        }
        Typed limit = Typed.parse(matcher.group(1), unit);
        if (!(limit instanceof Typed.Understood understood)) {
            return Optional.of(limit);
        }
        return Optional.of(
                understood.stored().value() > 0
                        ? new Typed.Understood(text.strip(), half(understood.typed()), half(understood.stored()))
                        : new Typed.Refused(text, "Nothing is less than none", "<0.5"));
    }

    private static Quantity half(Quantity limit) {
        return new Quantity(limit.value() / 2, limit.unit());
    }

    /** Whether a reading is such a one. */
    public static boolean is(Reading reading, Endpoint endpoint) {
        return reading.value() != null
                && possible(endpoint)
                && TYPED.matcher(reading.typedText()).matches();
    }

    /** The limit, in the endpoint's unit. */
    public static double limit(Reading reading) {
        return 2 * Objects.requireNonNull(reading.value());
    }

    /** How a value that was typed is told: "below 1 g", or as it is. */
    public static String told(Typed.Understood typed, Endpoint endpoint) {
        return TYPED.matcher(typed.text()).matches() && possible(endpoint)
                ? "below " + shown(2 * typed.stored().value(), endpoint) + ", counts as half of it"
                : typed.stored().show(endpoint.decimals() + 1);
    }

    /** With its limit: "&lt;1". */
    public static String shown(Reading reading, Endpoint endpoint) {
        return "<" + shown(limit(reading), endpoint);
    }

    private static String shown(double limit, Endpoint endpoint) {
        return (Decimals.upTo(limit, endpoint.decimals() + 2) + " "
                        + endpoint.unit().symbol(limit))
                .strip();
    }
}
