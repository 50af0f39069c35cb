package elsom.core.series;

import elsom.core.trial.Endpoint;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * A reading that a sensor's series gives, with the stretch of it that it covers: the time since the look before that
 * takes the endpoint, or since the start.
 *
 * @param told whether the series tells of the whole stretch; otherwise there is no figure (yet)
 */
public record Sensing(ReadingRef ref, Instant from, Instant to, boolean told) {
    /** A change smaller than this is none. */
    private static final double SAME = 1e-9;

    /** When a series begins and ends. */
    public record Span(Instant first, Instant last) {
        /** Whether it has told all up to a time; a file that ends a while before has not. */
        boolean tells(Instant to) {
            return !last.isBefore(to.minus(Stretch.LONGEST_SILENCE)) && !first.isAfter(to);
        }
    }

    /**
     * The readings of a unit at every look that takes the endpoint, in order of time.
     *
     * @param series the one of this unit; null when it has none
     */
    public static List<Sensing> of(
            TrialRecord record, ExperimentalUnit unit, Endpoint endpoint, @Nullable Span series, Instant now) {
        List<Sensing> readings = new ArrayList<>();
        Instant from = record.trial().start();
        for (Look look : record.looks()) {
            Instant to = look.plannedAt(record.trial().start());
            if (look.endpoints().contains(endpoint.code()) && to.isAfter(from)) {
                boolean over = !to.isAfter(now) && record.expected(unit.code(), look.number());
                readings.add(new Sensing(
                        new ReadingRef(unit.code(), look.number(), endpoint.code()),
                        from,
                        to,
                        over && series != null && series.tells(to)));
                from = to;
            }
        }
        return readings;
    }

    /** Whether a figure is to be entered over what stands: never over what somebody typed, nor where nothing changed. */
    public static boolean changes(Optional<Reading> standing, OptionalDouble figure) {
        boolean typed = standing.filter(reading -> reading.instrument() != Instrument.SENSOR)
                .isPresent();
        boolean same = standing.map(Reading::value)
                .map(value -> figure.isPresent() && Math.abs(value - figure.getAsDouble()) < SAME)
                .orElse(figure.isEmpty());
        return !typed && !same;
    }
}
