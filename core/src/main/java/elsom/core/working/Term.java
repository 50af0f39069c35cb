package elsom.core.working;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.UnitCode;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One number put into a sum.
 *
 * @param name what it is, in words
 * @param decimals how many decimals it is shown with
 * @param origins the readings it is; empty for a setting, a constant or the result of another sum
 * @param computedFor the unit whose figure of the same kind this is; null when it is none
 */
public record Term(
        String name,
        double value,
        UnitOfMeasure unit,
        int decimals,
        List<ReadingRef> origins,
        @Nullable UnitCode computedFor) {
    public Term {
        origins = List.copyOf(origins);
    }

    /** A number that was read on the bench. */
    public static Term read(String name, double value, UnitOfMeasure unit, int decimals, ReadingRef origin) {
        return new Term(name, value, unit, decimals, List.of(origin), null);
    }

    /** A number that was set, or came out of another sum. */
    public static Term given(String name, double value, UnitOfMeasure unit, int decimals) {
        return new Term(name, value, unit, decimals, List.of(), null);
    }

    /** A unit's own figure, put into a summary of its group. */
    public static Term figureOf(UnitCode unit, double value, UnitOfMeasure measure, int decimals) {
        return new Term(unit.value(), value, measure, decimals, List.of(), unit);
    }

    /** The value with its unit; a fraction is shown as a percentage. */
    public String show() {
        return unit == UnitOfMeasure.FRACTION
                ? Decimals.percent(value, decimals) + " %"
                : (Decimals.fixed(value, decimals) + " " + unit.symbol()).strip();
    }
}
