package elsom.core.read;

import elsom.core.quantity.Powers;
import org.jspecify.annotations.Nullable;

/**
 * An amount as it stands in a text, in one of the meanings of its unit.
 *
 * @param value in the unit, with its sign; the lower end of a range
 * @param upper the other end, NaN where there is one number
 * @param either whether an "or" stands between the two
 * @param unit null of a bare number
 * @param own the measure of a household it is in whose size nobody said; empty for none
 * @param worded whether its number is words alone: "a", "half"
 * @param next the piece behind it
 */
record Measured(
        double value,
        double upper,
        boolean either,
        @Nullable Unit unit,
        String own,
        boolean worded,
        int next) {
    boolean range() {
        return !Double.isNaN(upper);
    }

    boolean bare() {
        return unit == null && own.isEmpty();
    }

    boolean is(Powers powers) {
        return unit != null
                && unit.nature() == Unit.Nature.PLAIN
                && unit.powers().equals(powers);
    }

    boolean is(Unit.Nature nature) {
        return unit != null && unit.nature() == nature;
    }

    boolean kitchen() {
        return unit != null && unit.kitchen();
    }

    /** In g, cm and h and what is made of them. */
    double base() {
        return unit == null ? value : value * unit.factor();
    }

    Measured in(@Nullable Unit other, int behind) {
        return new Measured(value, upper, either, other, own, worded, behind);
    }

    Measured of(double other) {
        return new Measured(other, upper, either, unit, own, worded, next);
    }
}
