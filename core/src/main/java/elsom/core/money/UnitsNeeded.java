package elsom.core.money;

import elsom.core.stats.Interval;
import elsom.core.stats.Summary;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Units that bring a yield in all.
 *
 * @param units at the mean of a unit; empty when it yields nothing
 * @param fewest at the upper end of the mean's 95 % interval; empty where units do not scatter, or one stood alone
 * @param most at its lower end; empty also when that is nothing
 */
public record UnitsNeeded(OptionalDouble units, OptionalDouble fewest, OptionalDouble most) {
    /**
     * Units for a target.
     *
     * @param target in the endpoint's unit
     */
    public static UnitsNeeded of(double target, Summary yield) {
        Optional<Interval> mean = yield.interval95();
        return new UnitsNeeded(
                Pay.unitsFor(target, yield.mean()),
                mean.map(interval -> Pay.unitsFor(target, interval.high())).orElse(OptionalDouble.empty()),
                mean.map(interval -> Pay.unitsFor(target, interval.low())).orElse(OptionalDouble.empty()));
    }
}
