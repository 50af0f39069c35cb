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

    Entered enter(TrialId trial, String station) {
        TrialRecord record = trials.key(trial);
        List<Measure> measures = measures(plans.plan(trial).asked().measures());
        if (!record.trial().started() || measures.isEmpty()) {
            return new Entered(0, 0);
        }
        List<SeriesStore.Head> series = store.all(trial);
        List<NewReading> entries = new ArrayList<>();
        int silent = 0;
        Instant now = clock.instant();
        for (Measure measure : measures) {
            Sensed sensed = measure.sensed();
            for (ExperimentalUnit unit : record.units()) {
                Optional<SeriesStore.Head> head = series.stream()
                        .filter(one -> one.key().unit().equals(unit.code().value())
                                && sensed != null
                                && sensed.isOf(one.key().what(), one.key().depthCm()))
                        .findFirst();
                if (sensed == null || head.isEmpty()) {
                    continue;
                }
                silent += unit(record, unit, measure.endpoint(), sensed, head.get(), now, station, entries);
            }
        }
        logbook.enterAll(trial, entries);
        return new Entered(entries.size(), silent);
    }

    /** Readings of one unit; the number of looks at which the sensor was silent. */
    private int unit(
            TrialRecord record,
            ExperimentalUnit unit,
            Endpoint endpoint,
            Sensed sensed,
            SeriesStore.Head series,
            Instant now,
            String station,
            List<NewReading> entries) {
        Instant start = record.trial().start();
        Instant from = start;
        int silent = 0;
        for (Look look : record.looks()) {
            Instant to = look.plannedAt(start);
            if (!look.endpoints().contains(endpoint.code()) || !to.isAfter(from)) {
                continue;
            }
            boolean told =
                    !to.isAfter(now) && !series.last().isBefore(from) && record.expected(unit.code(), look.number());
            if (told) {
                OptionalDouble figure = figure(sensed, series, from, to);
                ReadingRef ref = new ReadingRef(unit.code(), look.number(), endpoint.code());
                Optional<Reading> standing = record.current(ref);
                // The last stretch may still be going on: the file ends before the look.
                boolean whole = !series.last().isBefore(to.minus(Stretch.LONGEST_SILENCE));
                if (figure.isEmpty()) {
                    silent += whole ? 1 : 0;
                } else if (whole
                        && standing.map(reading -> replaced(reading, figure.getAsDouble()))
                                .orElse(true)) {
                    entries.add(reading(ref, endpoint, figure.getAsDouble(), to, now, station, standing));
                }
            }
            from = to;
        }
        return silent;
    }

    private OptionalDouble figure(Sensed sensed, SeriesStore.Head series, Instant from, Instant to) {
        Stretch stretch = new Stretch(from, to, sensed.limit());
        store.course(series.id(), from, to).each(stretch::add);
        return stretch.figure(sensed.summary());
    }

    private static boolean replaced(Reading standing, double figure) {
        Double value = standing.value();
        return standing.instrument() == Instrument.SENSOR && (value == null || Math.abs(value - figure) > 1e-9);
    }

    private static NewReading reading(
            ReadingRef ref,
            Endpoint endpoint,
            double figure,
            Instant at,
            Instant now,
            String station,
            Optional<Reading> standing) {
        return new NewReading(
                ref,
                figure,
                Decimals.upTo(figure, endpoint.decimals() + 2),
                endpoint.unit(),
                at,
                now,
                station,
                Instrument.SENSOR,
                standing.map(Reading::id).orElse(null),
                standing.isPresent() ? CorrectionReason.FILE : null,
                UUID.randomUUID());
    }
}
