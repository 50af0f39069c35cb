package elsom.web.series;

import elsom.core.plan.Measure;
import elsom.core.quantity.Decimals;
import elsom.core.series.Sensed;
import elsom.core.series.Stretch;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.Endpoint;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.trial.Logbook;
import elsom.web.trial.NewReading;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * Makes readings of series: one a unit and look, of the time since the look before that takes the endpoint. What somebody
 * typed is left as it is. A series of the whole trial gives none: it says the same of all units, so it compares nothing.
 */
@Component
class SensedReadings {
    /** A change smaller than this is none. */
    private static final double SAME = 1e-9;

    private final Trials trials;
    private final Plans plans;
    private final Logbook logbook;
    private final SeriesStore store;
    private final Clock clock;

    SensedReadings(Trials trials, Plans plans, Logbook logbook, SeriesStore store, Clock clock) {
        this.trials = trials;
        this.plans = plans;
        this.logbook = logbook;
        this.store = store;
        this.clock = clock;
    }

    /**
     * What was made.
     *
     * @param silent units and looks without a figure, because too little was measured
     */
    record Entered(int readings, int silent) {
        String words() {
            return readings == 0 && silent == 0
                    ? ""
                    : readings + (readings == 1 ? " reading" : " readings") + " entered, one a unit and look"
                            + (silent > 0 ? "; " + silent + " missing, as the sensor was silent" : "") + ".";
        }
    }

    /** Endpoints of a plan that series give. */
    static List<Measure> measures(List<Measure> all) {
        return all.stream().filter(measure -> measure.sensed() != null).toList();
    }

    /** Enters what series give now; what they gave once and give no longer is taken back. */
    Entered enter(TrialId trial, String station) {
        TrialRecord record = trials.key(trial);
        List<Measure> measures = measures(plans.plan(trial).asked().measures());
        if (!record.trial().started() || measures.isEmpty()) {
            return new Entered(0, 0);
        }
        Draft draft = new Draft(record, station, clock.instant());
        List<SeriesStore.Head> series = store.all(trial);
        for (Measure measure : measures) {
            for (ExperimentalUnit unit : record.units()) {
                draft.unit(unit, measure, series);
            }
        }
        logbook.enterAll(trial, draft.entries);
        return new Entered(draft.given, draft.silent);
    }

    /** Readings being made. */
    private final class Draft {
        private final TrialRecord record;
        private final String station;
        private final Instant now;
        private final List<NewReading> entries = new ArrayList<>();
        private int given;
        private int silent;

        Draft(TrialRecord record, String station, Instant now) {
            this.record = record;
            this.station = station;
            this.now = now;
        }

        /** A unit at every look that takes the endpoint; each stretch begins where the one before ended. */
        void unit(ExperimentalUnit unit, Measure measure, List<SeriesStore.Head> series) {
            Sensed sensed = Objects.requireNonNull(measure.sensed());
            Optional<SeriesStore.Head> head = series.stream()
                    .filter(one -> one.key().unit().equals(unit.code().value())
                            && sensed.isOf(one.key().what(), one.key().depthCm()))
                    .findFirst();
            Instant from = record.trial().start();
            for (Look look : record.looks()) {
                Instant to = look.plannedAt(record.trial().start());
                if (look.endpoints().contains(measure.endpoint().code()) && to.isAfter(from)) {
                    boolean over = !to.isAfter(now) && record.expected(unit.code(), look.number());
                    OptionalDouble figure =
                            over && head.isPresent() ? figure(sensed, head.get(), from, to) : OptionalDouble.empty();
                    enter(
                            new ReadingRef(
                                    unit.code(),
                                    look.number(),
                                    measure.endpoint().code()),
                            measure.endpoint(),
                            figure,
                            to);
                    from = to;
                }
            }
        }

        private OptionalDouble figure(Sensed sensed, SeriesStore.Head series, Instant from, Instant to) {
            // A file that ends before the look has not told all of the stretch yet.
            if (series.last().isBefore(to.minus(Stretch.LONGEST_SILENCE))
                    || series.first().isAfter(to)) {
                return OptionalDouble.empty();
            }
            Stretch stretch = new Stretch(from, to, sensed.limit());
            store.course(series.id(), from, to).each(stretch::add);
            OptionalDouble figure = stretch.figure(sensed.summary());
            silent += figure.isEmpty() ? 1 : 0;
            return figure;
        }

        private void enter(ReadingRef ref, Endpoint endpoint, OptionalDouble figure, Instant at) {
            Optional<Reading> standing = record.current(ref);
            boolean typed = standing.filter(reading -> reading.instrument() != Instrument.SENSOR)
                    .isPresent();
            boolean same = standing.map(Reading::value)
                    .map(value -> figure.isPresent() && Math.abs(value - figure.getAsDouble()) < SAME)
                    .orElse(figure.isEmpty());
            if (typed || same) {
                return;
            }
            given += figure.isPresent() ? 1 : 0;
            entries.add(new NewReading(
                    ref,
                    figure.isPresent() ? Double.valueOf(figure.getAsDouble()) : null,
                    figure.isPresent() ? Decimals.upTo(figure.getAsDouble(), endpoint.decimals() + 2) : "",
                    endpoint.unit(),
                    at,
                    now,
                    station,
                    Instrument.SENSOR,
                    standing.map(Reading::id).orElse(null),
                    standing.isPresent() ? CorrectionReason.FILE : null,
                    UUID.randomUUID()));
        }
    }
}
