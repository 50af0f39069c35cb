package elsom.core.trial;

import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import java.util.Objects;
import java.util.OptionalDouble;

/** Watering each unit back to a weight of its own: a gram of water is a millilitre. */
public final class Refill {
    /** The weight of a whole unit with its water. */
    public static final EndpointCode WHOLE = new EndpointCode("wet-mass");

    private Refill() {}

    /**
     * The weight a unit is filled up to: the heaviest it has had in this trial, which is that after draining.
     *
     * @return grams; empty while it was never weighed whole
     */
    public static OptionalDouble target(TrialRecord record, UnitCode unit) {
        return record.looks().stream()
                .filter(look -> look.endpoints().contains(WHOLE))
                .flatMap(look -> record.current(new ReadingRef(unit, look.number(), WHOLE)).stream())
                .map(Reading::value)
                .filter(Objects::nonNull)
                .mapToDouble(value -> value)
                .max();
    }

    /** Millilitres to give a unit that weighs so much; 0 when it is as heavy as it shall be. */
    public static double needMl(double grams, double targetG) {
        return Math.max(0, targetG - grams);
    }

    /** An amount as typed: "50 mL"; from below, the weight after less that before: "338 - 301". */
    public static Typed amount(String text) {
        return TotalLessTare.typed(text, UnitOfMeasure.GRAM)
                .orElseGet(() -> Typed.parse(text, UnitOfMeasure.MILLILITRE));
    }
}
