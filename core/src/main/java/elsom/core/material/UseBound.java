package elsom.core.material;

import elsom.core.mix.Property;
import elsom.core.quantity.Decimals;

/**
 * What a use asks of one property: within the inner limits it passes, outside the outer ones it fails, between them it is a
 * caution.
 *
 * @param leastOk and {@code mostOk}: the inner limits
 * @param least and {@code most}: the outer limits, no narrower
 * @param below why not less, as a sentence
 * @param above why not more, as a sentence
 */
public record UseBound(
        Property property, double least, double leastOk, double mostOk, double most, String below, String above) {
    public UseBound {
        if (!(least >= 0 && least <= leastOk && leastOk <= mostOk && mostOk <= most && most <= property.most())) {
            throw new IllegalArgumentException("the limits of " + property.label() + " rise from 0 to "
                    + Decimals.upTo(property.most(), 0) + ", got " + Decimals.upTo(least, 3) + ", "
                    + Decimals.upTo(leastOk, 3) + ", " + Decimals.upTo(mostOk, 3) + ", " + Decimals.upTo(most, 3));
        }
    }

    /** Judged by the digits that are shown, so that no page says "40 %; at most 40 % is wanted". */
    Fitness of(double exact) {
        double value = LotFigure.rounded(property, exact);
        return value < least || value > most
                ? Fitness.FAIL
                : value < leastOk || value > mostOk ? Fitness.CAUTION : Fitness.PASS;
    }

    /** Why a value outside the inner limits is not wanted; empty within. */
    String reason(double exact) {
        double value = LotFigure.rounded(property, exact);
        return value < leastOk ? below : value > mostOk ? above : "";
    }

    /** The inner limits in words: "30 to 45 %", "at most 0.6 mS/cm", "at least 45 %". */
    public String words() {
        String unit = property.unit().isEmpty() ? "" : " " + property.unit();
        String low = number(leastOk);
        String high = number(mostOk);
        return leastOk <= 0
                ? "at most " + high + unit
                : mostOk >= property.most() ? "at least " + low + unit : low + " to " + high + unit;
    }

    private static String number(double value) {
        return Decimals.upTo(value, 2);
    }
}
