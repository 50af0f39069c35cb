package elsom.core.protocol.water;

import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.core.water.Gravimetry;
import elsom.core.water.TimedMass;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * When units that were drained and weighed fall to their refill weight, each by its own weighings.
 *
 * @param first the unit that is the first to
 * @param at when it is
 * @param half when half of the units are
 * @param units of which that can be told
 */
public record RefillDue(UnitCode first, Instant at, Instant half, int units) {
    /** To weigh a unit and fill it up. */
    private static final Duration EACH = Duration.ofSeconds(30);

    private static final double SECONDS_AN_HOUR = 3600;

    private record OfUnit(UnitCode unit, double hours) {}

    /**
     * Of a trial, by the weighings so far.
     *
     * @param refillFraction the share of the water first held at which a unit is due for watering, 0 to 1
     * @return empty while no unit was weighed often enough
     */
    public static Optional<RefillDue> of(TrialRecord record, double refillFraction) {
        List<OfUnit> times = record.units().stream()
                .filter(unit -> record.ended(unit.code()).isEmpty())
                .flatMap(unit -> WaterUnit.of(record, unit).stream())
                .filter(unit -> !unit.wetLooks().isEmpty())
                .flatMap(unit -> hours(unit.gravimetry(), refillFraction).stream()
                        .mapToObj(hours -> new OfUnit(unit.unit().code(), hours)))
                .sorted(Comparator.comparingDouble(OfUnit::hours))
                .toList();
        return times.isEmpty()
                ? Optional.empty()
                : Optional.of(new RefillDue(
                        times.get(0).unit(),
                        at(record, times.get(0)),
                        at(record, times.get((times.size() - 1) / 2)),
                        times.size()));
    }

    /**
     * Hours after draining: water is lost in proportion to what is left, at the pace between the two weighings around
     * the crossing, or between the last two when it is still to come. Lists ask this of many trials, so nothing is fitted.
     */
    private static OptionalDouble hours(Gravimetry unit, double refillFraction) {
        Optional<Double> trigger = unit.refillWeightG(refillFraction).asOptional();
        List<TimedMass> wet = unit.wet();
        if (trigger.isEmpty() || wet.size() < 2) {
            return OptionalDouble.empty();
        }
        double wanted = trigger.get() - unit.dryG();
        int next = 1;
        while (next < wet.size() - 1 && wet.get(next).grams() - unit.dryG() > wanted) {
            next++;
        }
        double before = wet.get(next - 1).grams() - unit.dryG();
        double after = wet.get(next).grams() - unit.dryG();
        double hours = wet.get(next).hours() - wet.get(next - 1).hours();
        if (!(wanted > 0) || !(after > 0) || !(before > after) || !(hours > 0)) {
            return OptionalDouble.empty();
        }
        double pace = Math.log(before / after) / hours;
        return OptionalDouble.of(wet.get(next - 1).hours() + Math.log(before / wanted) / pace);
    }

    /** How long it takes for all its units. */
    public Duration takes() {
        return EACH.multipliedBy(units);
    }

    private static Instant at(TrialRecord record, OfUnit time) {
        return record.trial().start().plus(Duration.ofSeconds(Math.round(time.hours() * SECONDS_AN_HOUR)));
    }
}
