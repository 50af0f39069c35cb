package elsom.core.trial;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import java.util.OptionalDouble;

/**
 * What a unit is to be given to be as heavy as it shall be.
 *
 * @param millilitres 0 for none, below 0 when it can't be said
 * @param text in words
 */
public record RefillNeed(double millilitres, String text) {
    private static final double NEXT_TO_NOTHING_ML = 0.5;

    /**
     * The need of a unit that stands on the scale.
     *
     * @param weight as typed
     * @param target as typed; the heaviest it was in this trial where it is no weight
     */
    public static RefillNeed of(TrialRecord record, UnitCode unit, String weight, String target) {
        Typed typed = Typed.parse(weight, UnitOfMeasure.GRAM);
        if (typed instanceof Typed.Refused refused) {
            return new RefillNeed(-1, refused.message());
        }
        OptionalDouble wanted = Typed.parse(target, UnitOfMeasure.GRAM) instanceof Typed.Understood understood
                ? OptionalDouble.of(understood.stored().value())
                : Refill.target(record, unit);
        if (wanted.isEmpty()) {
            return new RefillNeed(
                    -1, unit + " was never weighed whole: type the weight it is filled up to. Accepted: 640 g");
        }
        double grams = ((Typed.Understood) typed).stored().value();
        double ml = Refill.needMl(grams, wanted.getAsDouble());
        return new RefillNeed(
                ml,
                ml < NEXT_TO_NOTHING_ML
                        ? unit + " needs none: it weighs " + Decimals.upTo(grams, 0) + " of "
                                + Decimals.upTo(wanted.getAsDouble(), 0) + " g"
                        : "Water " + unit + " with " + Decimals.upTo(ml, 0) + " mL");
    }
}
