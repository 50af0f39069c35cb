package elsom.web.bench;

import elsom.core.plan.Plan;
import elsom.core.protocol.Concern;
import elsom.core.protocol.Protocols;
import elsom.core.quantity.Decimals;
import elsom.core.read.Typed;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.SymptomCheck;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.kit.Times;
import elsom.web.meter.MeterChecks;
import elsom.web.platform.Station;
import elsom.web.trial.Entered;
import elsom.web.trial.Logbook;
import elsom.web.trial.NewReading;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Takes readings from the bench: understands what was typed, enters it, and asks about what looks odd. */
@Component
class Entries {
    /** An entry may have waited this long for its connection. */
    private static final long LONGEST_WAIT_MS = 30L * 24 * 3600 * 1000;

    private final Trials trials;
    private final Plans plans;
    private final Logbook logbook;
    private final MeterChecks meters;
    private final Clock clock;

    Entries(Trials trials, Plans plans, Logbook logbook, MeterChecks meters, Clock clock) {
        this.meters = meters;
        this.trials = trials;
        this.plans = plans;
        this.logbook = logbook;
        this.clock = clock;
    }

    EntryAnswer enter(TrialId trial, EntryForm form, Station station) {
        return enter(trial, form, station, Optional.empty());
    }

    /**
     * The same, of something that says itself when it was measured.
     *
     * @param measuredAt never later than now; empty for what the form says
     */
    EntryAnswer enter(TrialId trial, EntryForm form, Station station, Optional<Instant> measuredAt) {
        TrialRecord record = trials.snapshot(trial);
        Optional<ReadingRef> asked = ref(record, form);
        if (asked.isEmpty()) {
            return refused(record, form, "This trial has no unit " + form.unit() + " at that look.");
        }
        ReadingRef ref = asked.get();
        Endpoint endpoint = record.endpoint(ref.endpoint());
        Typed typed = endpoint.typed(form.text());
        if (typed instanceof Typed.Refused refused) {
            return refused(record, form, refused.message());
        }
        double value = ((Typed.Understood) typed).stored().value();
        Optional<String> impossible = SymptomCheck.problem(record, ref, form.text(), () -> sown(record, ref))
                .or(() -> record.endpoint(ref.endpoint()).problem(record, ref, value));
        if (impossible.isPresent()) {
            return refused(record, form, impossible.get());
        }
        Typed.Understood understood = (Typed.Understood) typed;
        Entered entered = logbook.enter(trial, reading(record, form, ref, understood, station, measuredAt));
        TrialRecord after = trials.snapshot(trial);
        if (entered instanceof Entered.Saved saved) {
            Optional<String> odd = odd(after, ref, value);
            return answer(
                    odd.isPresent() ? EntryAnswer.Status.ODD : EntryAnswer.Status.SAVED,
                    after,
                    saved.reading().ref(),
                    odd.orElse(""));
        }
        return answer(EntryAnswer.Status.STALE, after, ref, staleMessage(after, (Entered.Stale) entered));
    }

    /** What looks odd about a value that was entered. */
    private static Optional<String> odd(TrialRecord record, ReadingRef ref, double value) {
        Optional<String> shared = record.endpoint(ref.endpoint())
                .shared(record, ref, value)
                .map(others -> "Saved. " + others + " has place " + Decimals.upTo(value, 0)
                        + " here too: is it shared, or does one of them stand elsewhere?");
        // A unit's neighbours are those of its treatment, so in a blind trial they would tell on it.
        return shared.isPresent() || record.trial().blind()
                ? shared
                : Protocols.find(record.trial().protocol())
                        .orElseThrow()
                        .concern(record, ref, value)
                        .map(Concern::sentence);
    }

    /** Whether a unit has seeds or plants, and has them by that look: sowings may be days apart. */
    private boolean sown(TrialRecord record, ReadingRef ref) {
        Plan plan = plans.plan(record.trial().id());
        boolean plants = plan.pots().plants() > 0 || plan.pots().seeds() > 0;
        Instant look =
                record.look(ref.look()).orElseThrow().plannedAt(record.trial().start());
        // Of a blind trial the treatment, and so its day of sowing, is hidden here.
        boolean known = !record.trial().blind();
        int treatment = record.unit(ref.unit()).orElseThrow().treatment();
        return plants && (!known || !plan.schedule().startOf(treatment).isAfter(look));
    }

    private static Optional<ReadingRef> ref(TrialRecord record, EntryForm form) {
        try {
            ReadingRef ref = new ReadingRef(
                    new UnitCode(form.unit()), form.look(), new EndpointCode(form.endpoint()), form.sub());
            return record.has(ref) ? Optional.of(ref) : Optional.empty();
        } catch (IllegalArgumentException malformed) {
            return Optional.empty();
        }
    }

    private NewReading reading(
            TrialRecord record,
            EntryForm form,
            ReadingRef ref,
            Typed.Understood understood,
            Station station,
            Optional<Instant> measuredAt) {
        Instant now = clock.instant();
        Instant typedAt =
                measuredAt.orElseGet(() -> now.minusMillis(Math.min(LONGEST_WAIT_MS, Math.max(0, form.ageMs()))));
        Look look = record.look(ref.look()).orElseThrow();
        CorrectionReason reason =
                form.replaces() == null ? null : form.reason() == null ? CorrectionReason.MISTYPED : form.reason();
        Optional<Reading> standing = record.current(ref);
        Instant takenAt = reason != null && !reason.measuredAnew() && standing.isPresent()
                ? standing.get().takenAt()
                : form.timing().at(record, look, typedAt);
        return new NewReading(
                ref,
                understood.stored().value(),
                form.text().replace('\u00a0', ' ').strip(),
                understood.typed().unit(),
                takenAt,
                now,
                station.signature(),
                meters.instrument(
                        form.instrument(),
                        record.endpoint(ref.endpoint()).unit().dimension(),
                        station.signature(),
                        takenAt),
                form.replaces() == null ? null : new ReadingId(form.replaces()),
                reason,
                form.token());
    }

    private static String staleMessage(TrialRecord record, Entered.Stale stale) {
        return stale.standing()
                .map(reading -> "Meanwhile " + reading.signed() + " entered "
                        + BenchData.current(
                                        reading, record.endpoint(reading.ref().endpoint()))
                                .value() + " ("
                        + Times.dayAndTime(reading.recordedAt(), record.trial().zone())
                        + "). Yours is still in the field: press Enter to replace theirs.")
                .orElse("Meanwhile that reading was taken back. Yours is still in the field: press Enter to save it.");
    }

    /** Takes a reading back. */
    EntryAnswer undo(TrialId trial, ReadingId reading, UUID token, Station station) {
        Entered entered = logbook.undo(trial, reading, station.signature(), token);
        TrialRecord after = trials.snapshot(trial);
        if (entered instanceof Entered.Saved saved) {
            return answer(EntryAnswer.Status.SAVED, after, saved.reading().ref(), "");
        }
        ReadingRef ref = after.readings().stream()
                .filter(r -> r.id().equals(reading))
                .findFirst()
                .orElseThrow()
                .ref();
        return answer(EntryAnswer.Status.STALE, after, ref, "It was corrected since; nothing was undone.");
    }

    private static EntryAnswer refused(TrialRecord record, EntryForm form, String message) {
        TrialRecord.Progress progress =
                record.look(form.look()).map(record::progress).orElse(new TrialRecord.Progress(0, 0));
        return new EntryAnswer(
                EntryAnswer.Status.REFUSED,
                form.unit() + "/" + form.endpoint() + "/" + form.sub(),
                null,
                List.of(),
                message,
                List.of(),
                progress.done(),
                progress.expected());
    }

    private static EntryAnswer answer(EntryAnswer.Status status, TrialRecord record, ReadingRef ref, String message) {
        TrialRecord.Progress progress = record.progress(record.look(ref.look()).orElseThrow());
        return new EntryAnswer(
                status,
                BenchData.key(ref),
                record.current(ref)
                        .map(reading -> BenchData.current(reading, record.endpoint(ref.endpoint())))
                        .orElse(null),
                BenchData.history(record, ref),
                message,
                BenchData.nothing(record, ref),
                progress.done(),
                progress.expected());
    }
}
