package elsom.core.series;

import elsom.core.quantity.Bounds;
import elsom.core.quantity.Decimals;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * A limit that is watched in a running trial, by its sensors and by what is read by hand.
 *
 * @param depthCm below the surface; 0 for any depth
 * @param limit in the unit of what is measured
 */
public record Watch(Measurand what, double depthCm, Beyond beyond, double limit) {
    /** On which side of the limit somebody wants to be told. */
    public enum Beyond {
        ABOVE("above"),
        BELOW("below");

        private final String word;

        Beyond(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /**
     * The last that is known of a place.
     *
     * @param unit code; empty for the whole trial
     */
    public record Last(String unit, double depthCm, double value, Instant at) {
        /** "K34", "K34 at 10 cm". */
        public String place() {
            return ((unit.isEmpty() ? "the whole trial" : unit)
                    + (depthCm > 0 ? " at " + Decimals.upTo(depthCm, 1) + " cm" : ""));
        }
    }

    public Watch {
        Bounds.present("what is watched", what);
        Bounds.number("a depth in cm", depthCm, 0, Channel.DEEPEST_CM);
        Bounds.present("on which side", beyond);
        Bounds.number("a limit", limit, what.lowest(), what.highest());
    }

    /** "EC at 10 cm above 2.5 mS/cm". */
    public String words() {
        return what.label() + (depthCm > 0 ? " at " + Decimals.upTo(depthCm, 1) + " cm" : "") + " " + beyond.word()
                + " " + shown(limit);
    }

    /** A value with its unit, as it is shown. */
    public String shown(double value) {
        return (Decimals.upTo(value, what.decimals()) + " "
                        + (what == Measurand.PH ? "" : what.unit().symbol()))
                .strip();
    }

    /** Whether a course is watched. */
    public boolean covers(Measurand other, double otherDepthCm) {
        return other == what && (depthCm == 0 || depthCm == otherDepthCm);
    }

    /** Where the limit is passed now, the farthest beyond first; of several that tell of one place the newest counts. */
    public List<Last> passed(List<Last> known) {
        Map<String, Last> newest = new LinkedHashMap<>();
        known.forEach(one ->
                newest.merge(one.place(), one, (before, after) -> after.at().isBefore(before.at()) ? before : after));
        Comparator<Last> byValue = Comparator.comparingDouble(Last::value);
        return newest.values().stream()
                .filter(one -> beyond == Beyond.ABOVE ? one.value() > limit : one.value() < limit)
                .sorted(beyond == Beyond.ABOVE ? byValue.reversed() : byValue)
                .toList();
    }

    /**
     * The last reading by hand of each unit, of every endpoint that is watched.
     *
     * @param sensed what endpoints at a depth, or of a sensor, are made of
     */
    public List<Last> byHand(TrialRecord record, Map<EndpointCode, Sensed> sensed) {
        List<Last> known = new ArrayList<>();
        for (Endpoint endpoint : record.endpoints()) {
            Optional<Sensed> at = Optional.ofNullable(sensed.get(endpoint.code()));
            boolean watched = at.map(one -> one.byHand() && covers(one.what(), one.depthCm()))
                    .orElseGet(() -> depthCm == 0
                            && Landing.endpoints(List.of(endpoint), Map.of(), what)
                                    .contains(endpoint));
            if (watched) {
                for (ExperimentalUnit unit : record.units()) {
                    last(record, endpoint, unit)
                            .map(reading -> new Last(
                                    unit.code().value(),
                                    at.map(Sensed::depthCm).orElse(0.0),
                                    Objects.requireNonNull(reading.value()),
                                    reading.takenAt()))
                            .ifPresent(known::add);
                }
            }
        }
        return known;
    }

    private static Optional<Reading> last(TrialRecord record, Endpoint endpoint, ExperimentalUnit unit) {
        return record.looks().stream()
                .map(Look::number)
                .flatMap(look -> record.current(new ReadingRef(unit.code(), look, endpoint.code())).stream())
                .filter(reading -> reading.value() != null)
                .reduce((before, after) -> after.takenAt().isBefore(before.takenAt()) ? before : after);
    }
}
