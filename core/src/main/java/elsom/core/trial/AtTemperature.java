package elsom.core.trial;

import elsom.core.chemistry.Conductivity;
import elsom.core.quantity.Dimension;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A reading typed with the temperature of its water, "1.85 at 18 °C". EC is carried to 25 °C, as a meter without correction
 * shows it; pH stays as it is read, since the electrode's slope is the meter's business. The text keeps both.
 */
final class AtTemperature {
    private static final Pattern TYPED =
            Pattern.compile("(.+?)\\s*(?:\\bat\\b|@)\\s*([0-9]{1,2}(?:[.,][0-9])?)\\s*(?:°\\s*C?|[Cc]|degrees?)?");
    private static final double WARMEST_C = 60;

    private AtTemperature() {}

    /** Empty where no temperature is typed, or the unit has nothing to do with it. */
    static Optional<Typed> typed(String text, UnitOfMeasure unit) {
        boolean conducts = unit.dimension() == Dimension.CONDUCTIVITY;
        Matcher matcher = TYPED.matcher(text.strip());
        if ((!conducts && unit.dimension() != Dimension.ACIDITY) || !matcher.matches()) {
            return Optional.empty();
        }
        double celsius = Double.parseDouble(matcher.group(2).replace(',', '.'));
        if (celsius > WARMEST_C) {
            return Optional.of(new Typed.Refused(
                    text,
                    "Water of " + matcher.group(2) + " °C is no sample",
                    conducts ? "1.85 at 18 °C" : "6.4 at 18 °C"));
        }
        Typed number = Typed.parse(matcher.group(1), unit);
        if (!(number instanceof Typed.Understood understood)) {
            return Optional.of(number);
        }
        Quantity stored = conducts
                ? new Quantity(
                        Conductivity.at25(understood.stored().value(), celsius),
                        understood.stored().unit())
                : understood.stored();
        return Optional.of(new Typed.Understood(text, understood.typed(), stored));
    }
}
