package elsom.core.dose;

import elsom.core.quantity.Bounds;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Dimension;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Box;
import elsom.core.read.Known;
import elsom.core.read.Read;
import elsom.core.read.Reader;
import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * What is diluted, as its label tells it: "25 % acidity". Doses are shares of it as it is sold; what of it acts is less.
 *
 * @param label as typed
 * @param share how much of it is what acts, above 0 to 1; null where the label names it and no strength
 */
public record Stock(String label, @Nullable Double share) {
    private static final int DIGITS = 3;

    /** A number that names and measures nothing: "batch 3". */
    private static final Pattern NUMBERED =
            Pattern.compile("(?i),?\\s*\\b(?:batch|lot|bottle|number|no\\.?)\\s*[\\p{L}-]{0,6}[0-9]+\\b");

    public Stock {
        Bounds.name("what the stock is", label, Bounds.NAME);
        if (share != null && !(share > 0 && share <= 1)) {
            throw new IllegalArgumentException("a stock holds more than nothing and at most all of it, got " + share);
        }
    }

    /**
     * Reads a label's strength in percent; words without a number name the stock and no strength.
     *
     * @return empty where nothing is typed
     * @throws IllegalArgumentException with what is asked or wrong, and an accepted example
     */
    public static Optional<Stock> read(String typed) {
        String label = typed.strip();
        if (label.isEmpty()) {
            return Optional.empty();
        }
        String told = NUMBERED.matcher(label).replaceAll("").strip();
        if (told.chars().noneMatch(Character::isDigit)) {
            return Optional.of(new Stock(label, null));
        }
        Read read = Reader.read(Box.SHARE, told, Known.on(LocalDate.EPOCH));
        if (read instanceof Read.Value value && value.meaning() instanceof Read.Amount share && share.value() > 0) {
            return Optional.of(new Stock(label, share.value()));
        }
        String why = read instanceof Read.Ask ask
                ? ask.why()
                : read instanceof Read.Refused refused ? refused.problem() + "." : "A stock holds more than nothing.";
        throw new IllegalArgumentException(why + " Accepted: 25 % acidity.");
    }

    public OptionalDouble strength() {
        return share == null ? OptionalDouble.empty() : OptionalDouble.of(share);
    }

    /** "0.5 % active", of a dose that is a share of this stock; empty where nobody knows. */
    public Optional<String> active(double dose, UnitOfMeasure unit) {
        return share == null || unit.dimension() != Dimension.FRACTION
                ? Optional.empty()
                : Optional.of(Decimals.significant(
                                100
                                        * share
                                        * new Quantity(dose, unit)
                                                .in(UnitOfMeasure.FRACTION)
                                                .value(),
                                DIGITS)
                        + " % active");
    }
}
