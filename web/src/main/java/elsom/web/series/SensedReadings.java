package elsom.web.series;

import elsom.core.plan.Measure;
import elsom.core.quantity.Decimals;
import elsom.core.series.Sensed;
import elsom.core.series.Sensing;
import elsom.core.series.Stretch;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.Endpoint;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Instrument;
import elsom.core.trial.Reading;
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

        void unit(ExperimentalUnit unit, Measure measure, List<SeriesStore.Head> series) {
            Sensed sensed = Objects.requireNonNull(measure.sensed());
            SeriesStore.Head head = series.stream()
                    .filter(one -> one.key().unit().equals(unit.code().value())
                            && sensed.isOf(one.key().what(), one.key().depthCm()))
                    .findFirst()
                    .orElse(null);
            Sensing.Span span = head == null ? null : new Sensing.Span(head.first(), head.last());
            for (Sensing sensing : Sensing.of(record, unit, measure.endpoint(), span, now)) {
                OptionalDouble figure =
                        head != null && sensing.told() ? figure(sensed, head.id(), sensing) : OptionalDouble.empty();
                enter(sensing, measure.endpoint(), figure);
            }
        }

        private OptionalDouble figure(Sensed sensed, long series, Sensing sensing) {
            Stretch stretch = new Stretch(sensing.from(), sensing.to(), sensed.limit());
            store.course(series, sensing.from(), sensing.to()).each(stretch::add);
            OptionalDouble figure = stretch.figure(sensed.summary());
            silent += figure.isEmpty() ? 1 : 0;
            return figure;
        }

        private void enter(Sensing sensing, Endpoint endpoint, OptionalDouble figure) {
            Optional<Reading> standing = record.current(sensing.ref());
            if (!Sensing.changes(standing, figure)) {
                return;
            }
            given += figure.isPresent() ? 1 : 0;
            entries.add(new NewReading(
                    sensing.ref(),
                    figure.isPresent() ? Double.valueOf(figure.getAsDouble()) : null,
                    figure.isPresent() ? Decimals.upTo(figure.getAsDouble(), endpoint.decimals() + 2) : "",
                    endpoint.unit(),
                    sensing.to(),
                    now,
                    station,
                    Instrument.SENSOR,
                    standing.map(Reading::id).orElse(null),
                    standing.isPresent() ? CorrectionReason.FILE : null,
                    UUID.randomUUID()));
        }
    }
}
