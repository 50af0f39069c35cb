package elsom.core.section;

import elsom.core.quantity.UnitOfMeasure;
import elsom.core.stats.Interval;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A number as files keep it: whole, not rounded; a share as a fraction of 1.
 *
 * @param low and {@code high}: ends of its 95 % interval; empty where it has none, or is open there
 * @param sd standard deviation between units; empty where it has none
 */
public record Amount(double value, UnitOfMeasure unit, OptionalDouble low, OptionalDouble high, OptionalDouble sd) {
    public static Amount of(double value, UnitOfMeasure unit) {
        return new Amount(value, unit, OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());
    }

    public Amount within(Interval interval) {
        return within(OptionalDouble.of(interval.low()), OptionalDouble.of(interval.high()));
    }

    public Amount within(Optional<Interval> interval) {
        return interval.map(this::within).orElse(this);
    }

    public Amount within(OptionalDouble from, OptionalDouble to) {
        return new Amount(value, unit, finite(from), finite(to), sd);
    }

    private static OptionalDouble finite(OptionalDouble end) {
        return end.isPresent() && Double.isFinite(end.getAsDouble()) ? end : OptionalDouble.empty();
    }

    public Amount scattered(OptionalDouble deviation) {
        return new Amount(value, unit, low, high, deviation);
    }
}
