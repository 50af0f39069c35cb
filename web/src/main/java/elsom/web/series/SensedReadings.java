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
     * @param missing units and looks without a figure, because too little was measured before the look or nothing
     * @param fewer units and looks where not every probe of the unit told
     */
    record Entered(int readings, List<String> missing, int fewer) {
        private static final int NAMED = 8;

        String words() {
            return readings == 0 && missing.isEmpty()
                    ? ""
                    : readings + (readings == 1 ? " reading" : " readings") + " entered, one a unit and look"
                            + (missing.isEmpty()
                                    ? ""
                                    : "; " + missing.size() + " missing, as the sensor was silent: " + named())
                            + (fewer > 0 ? "; " + fewer + " of fewer probes than the unit has" : "") + ".";
        }

        private String named() {
            return String.join(", ", missing.stream().limit(NAMED).toList())
                    + (missing.size() > NAMED ? " and " + (missing.size() - NAMED) + " more" : "");
        }
    }

    /** Endpoints of a plan that series give. */
    static List<Measure> measures(List<Measure> all) {
        return all.stream()
                .filter(measure -> measure.sensed() != null && !measure.sensed().byHand())
                .toList();
    }

    /** Enters what series give now; what they gave once and give no longer is taken back. */
    Entered enter(TrialId trial, String station) {
        TrialRecord record = trials.key(trial);
        List<Measure> measures = measures(plans.plan(trial).asked().measures());
        if (!record.trial().started() || measures.isEmpty()) {
            return new Entered(0, List.of(), 0);
        }
        Draft draft = new Draft(record, station, clock.instant());
        List<SeriesStore.Head> series = store.all(trial);
        for (Measure measure : measures) {
            for (ExperimentalUnit unit : record.units()) {
                draft.unit(unit, measure, series);
            }
        }
        logbook.enterAll(trial, draft.entries);
        return new Entered(draft.given, draft.missing, draft.fewer);
    }

    /** Readings being made. */
    private final class Draft {
        private final TrialRecord record;
        private final String station;
        private final Instant now;
        private final List<NewReading> entries = new ArrayList<>();
        private int given;
        private final List<String> missing = new ArrayList<>();
        private int fewer;

        Draft(TrialRecord record, String station, Instant now) {
            this.record = record;
            this.station = station;
            this.now = now;
        }

        void unit(ExperimentalUnit unit, Measure measure, List<SeriesStore.Head> series) {
            Sensed sensed = Objects.requireNonNull(measure.sensed());
            List<SeriesStore.Head> probes = series.stream()
                    .filter(one -> one.key().unit().equals(unit.code().value())
                            && sensed.isOf(one.key().what(), one.key().depthCm()))
                    .toList();
            List<List<Sensing>> stretches = probes.stream()
                    .map(head -> Sensing.of(
                            record, unit, measure.endpoint(), new Sensing.Span(head.first(), head.last()), now))
                    .toList();
            List<Sensing> asked = Sensing.of(record, unit, measure.endpoint(), null, now);
            for (int look = 0; look < asked.size(); look++) {
                List<OptionalDouble> told = new ArrayList<>();
                for (int probe = 0; probe < probes.size(); probe++) {
                    Sensing sensing = stretches.get(probe).get(look);
                    if (sensing.told()) {
                        told.add(figure(sensed, probes.get(probe).id(), sensing));
                    }
                }
                Sensing sensing = asked.get(look);
                OptionalDouble figure = ofProbes(told, probes.size());
                if (!probes.isEmpty() && figure.isEmpty() && due(sensing)) {
                    missing.add(unit.code() + " at “"
                            + record.look(sensing.ref().look()).orElseThrow().name() + "”");
                }
                enter(sensing, measure.endpoint(), figure);
            }
        }

        /** The mean of a unit's probes, each counting once; of those that were silent nothing is made up. */
        private OptionalDouble ofProbes(List<OptionalDouble> told, int probes) {
            OptionalDouble mean =
                    told.stream().flatMapToDouble(OptionalDouble::stream).average();
            long telling = told.stream().filter(OptionalDouble::isPresent).count();
            fewer += mean.isPresent() && telling < probes ? 1 : 0;
            return mean;
        }

        /** Whether a look is over and its unit was there. */
        private boolean due(Sensing sensing) {
            return !sensing.to().isAfter(now)
                    && record.expected(sensing.ref().unit(), sensing.ref().look())
                    && record.current(sensing.ref())
                            .filter(reading -> reading.instrument() != Instrument.SENSOR)
                            .isEmpty();
        }

        private OptionalDouble figure(Sensed sensed, long series, Sensing sensing) {
            Stretch stretch = new Stretch(sensing.from(), sensing.to(), sensed.limit());
            store.course(series, sensing.from(), sensing.to()).each(stretch::add);
            return stretch.figure(sensed.summary());
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
