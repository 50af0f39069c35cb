package elsom.core.trial;

import elsom.core.quantity.Bounds;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import org.jspecify.annotations.Nullable;

/**
 * Something measured.
 *
 * @param name in a grower's words
 * @param unit what values are stored in
 * @param size how many sub-readings, or the k in "of k"; 1 for a single value
 * @param lowest the lowest value that can be true
 * @param highest the highest value that can be true
 * @param decimals how many decimals the usual instrument shows
 * @param readOf the count whose things this is read of, as roots are of rooted cuttings: nothing is read of none; null
 *     when it is read of the unit itself
 */
public record Endpoint(
        EndpointCode code,
        String name,
        UnitOfMeasure unit,
        Counting counting,
        int size,
        double lowest,
        double highest,
        int decimals,
        @Nullable EndpointCode readOf) {
    public Endpoint {
        Bounds.present("an endpoint's code", code);
        Bounds.name("an endpoint's name", name, Bounds.NAME);
        Bounds.present("an endpoint's unit", unit);
        Bounds.count(
                "the size of endpoint " + code,
                size,
                1,
                Bounds.present("counting", counting) == Counting.SUB_READINGS ? Bounds.SUB_READINGS : Bounds.COUNTED);
        Bounds.number("the lowest value of " + code, lowest, -Bounds.LARGEST, Bounds.LARGEST);
        Bounds.number("the highest value of " + code, highest, -Bounds.LARGEST, Bounds.LARGEST);
        Bounds.count("decimals of " + code, decimals, 0, Bounds.DECIMALS);
        if (counting != Counting.SUB_READINGS && counting != Counting.COUNT_OF && size != 1) {
            throw new IllegalArgumentException("endpoint " + code + " has an impossible size " + size);
        }
        if (code.equals(readOf)) {
            throw new IllegalArgumentException("endpoint " + code + " can't be read of itself");
        }
        if (!(lowest < highest)) {
            throw new IllegalArgumentException(
                    "endpoint " + code + " needs lowest below highest, got " + lowest + " and " + highest);
        }
    }

    public static Endpoint single(
            EndpointCode code, String name, UnitOfMeasure unit, double lowest, double highest, int decimals) {
        return new Endpoint(code, name, unit, Counting.SINGLE, 1, lowest, highest, decimals, null);
    }

    /** A place among units that are ranked side by side, 1 the best. */
    public static Endpoint place(EndpointCode code, String name) {
        return new Endpoint(code, name, UnitOfMeasure.COUNT, Counting.PLACE, 1, 1, Bounds.COUNTED, 0, null);
    }

    /** What is seen, in words: the value only says that there are some. */
    public static Endpoint words(EndpointCode code, String name) {
        return new Endpoint(code, name, UnitOfMeasure.COUNT, Counting.WORDS, 1, 0, 1, 0, null);
    }

    /** Whether something can be worked out from its values. */
    public boolean measured() {
        return counting != Counting.WORDS;
    }

    /** Whether somebody reads it: neither a sensor's series nor a formula gives it. */
    public boolean byHand() {
        return counting != Counting.SENSED && counting != Counting.WORKED_OUT;
    }

    /** Whether what was typed says more than the value. */
    public boolean keepsText() {
        return takesSymptoms() || counting == Counting.WORDS;
    }

    /** How many readings one unit has at a look. */
    public int readingsEach() {
        return counting == Counting.SUB_READINGS ? size : 1;
    }

    /**
     * The endpoint as a trial of so many plants and seeds a unit reads it: counts know what they are of.
     *
     * @return itself where there is nothing to count among
     */
    public Endpoint counted(int plants, int seeds) {
        int among = counting == Counting.OF_SEEDS ? seeds : counting == Counting.OF_PLANTS ? plants : 0;
        if (counting != Counting.OF_SEEDS && counting != Counting.OF_PLANTS) {
            return this;
        }
        return among > 0
                ? new Endpoint(code, name, unit, Counting.COUNT_OF, among, 0, among, 0, readOf)
                : new Endpoint(code, name, unit, Counting.SINGLE, 1, lowest, highest, decimals, readOf);
    }

    /** Whether symptoms may stand beside its score, as in "7 cupped, twisted". */
    public boolean takesSymptoms() {
        return code.equals(EndpointCode.INJURY) && counting == Counting.SINGLE;
    }

    /** Whether only whole numbers can be: counted things without decimals. */
    public boolean whole() {
        return unit == UnitOfMeasure.COUNT && decimals == 0;
    }

    /** True for a value that can be; false for NaN. */
    public boolean allows(double value) {
        return value >= lowest && value <= highest && (!whole() || value == Math.rint(value));
    }

    /** What can be, in words: "whole numbers from 0 to 8". */
    public String allowed() {
        return (whole() ? "whole numbers from " : "") + Decimals.upTo(lowest, decimals + 2) + " to "
                + (Decimals.upTo(highest, decimals + 2) + " " + unit.symbol(highest)).strip();
    }
}
