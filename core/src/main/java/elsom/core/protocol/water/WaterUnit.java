package elsom.core.protocol.water;

import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialRecord;
import elsom.core.water.Gravimetry;
import elsom.core.water.TimedMass;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * The weighings of one unit, taken out of a trial's record.
 *
 * @param wetLooks the look of each of the gravimetry's wet weighings, in the same order
 */
record WaterUnit(
        ExperimentalUnit unit, Gravimetry gravimetry, ReadingRef tare, ReadingRef dry, List<Integer> wetLooks) {

    /** Empty until the unit was weighed empty and dry, and while its dry weight is not above its empty one. */
    static Optional<WaterUnit> of(TrialRecord record, ExperimentalUnit unit) {
        Optional<Reading> tare = last(record, unit, WaterHolding.TARE);
        Optional<Reading> dry = last(record, unit, WaterHolding.DRY);
        if (tare.isEmpty() || dry.isEmpty() || !(value(dry.get()) > value(tare.get()))) {
            return Optional.empty();
        }
        List<Look> looks = WaterHolding.wetLooks(record)
                .filter(look -> wet(record, unit, look).isPresent())
                .toList();
        boolean drained = !looks.isEmpty() && WaterHolding.isDrained(record, looks.get(0));
        List<Look> usable = drained ? looks : List.of();
        return Optional.of(new WaterUnit(
                unit,
                new Gravimetry(
                        value(tare.get()),
                        value(dry.get()),
                        timed(record, unit, usable),
                        unit.filledVolumeMl(),
                        record.treatment(unit).property(TreatmentProperty.ORGANIC_MATTER)),
                tare.get().ref(),
                dry.get().ref(),
                usable.stream().map(Look::number).toList()));
    }

    private static Optional<Reading> wet(TrialRecord record, ExperimentalUnit unit, Look look) {
        return record.current(new ReadingRef(unit.code(), look.number(), WaterHolding.WET));
    }

    private static Optional<Reading> last(TrialRecord record, ExperimentalUnit unit, EndpointCode endpoint) {
        return record.looks().stream()
                .filter(look -> look.endpoints().contains(endpoint))
                .flatMap(look -> record.current(new ReadingRef(unit.code(), look.number(), endpoint)).stream())
                .reduce((earlier, later) -> later);
    }

    static double value(Reading reading) {
        return Objects.requireNonNull(reading.value());
    }

    /** Hours since the drained weighing by the clock; by plan where the clock does not run forward. */
    private static List<TimedMass> timed(TrialRecord record, ExperimentalUnit unit, List<Look> looks) {
        List<Reading> readings = looks.stream()
                .map(look -> wet(record, unit, look).orElseThrow())
                .toList();
        boolean forward = true;
        for (int i = 1; i < readings.size(); i++) {
            forward &= readings.get(i).takenAt().isAfter(readings.get(i - 1).takenAt());
        }
        List<TimedMass> timed = new ArrayList<>();
        for (int i = 0; i < readings.size(); i++) {
            double hours = forward
                    ? Duration.between(
                                            readings.get(0).takenAt(),
                                            readings.get(i).takenAt())
                                    .toMillis()
                            / 3_600_000.0
                    : looks.get(i).hoursAfterStart();
            timed.add(new TimedMass(hours, value(readings.get(i))));
        }
        return timed;
    }

    /** The wet weighing at a look. */
    Optional<TimedMass> at(int look) {
        int index = wetLooks.indexOf(look);
        return index < 0 ? Optional.empty() : Optional.of(gravimetry.wet().get(index));
    }

    ReadingRef wetRef(int look) {
        return new ReadingRef(unit.code(), look, WaterHolding.WET);
    }

    ReadingRef drainedRef() {
        return wetRef(wetLooks.get(0));
    }
}
