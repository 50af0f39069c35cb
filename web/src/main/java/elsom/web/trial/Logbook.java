package elsom.web.trial;

import elsom.core.trial.CorrectionReason;
import elsom.core.trial.Corrections;
import elsom.core.trial.Instrument;
import elsom.core.trial.Mishap;
import elsom.core.trial.MishapKind;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.Trial;
import elsom.core.trial.TrialId;
import elsom.core.trial.UnitCode;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Enters readings and mishaps. Each call is one transaction; a trial is written by one caller at a time. */
@Repository
public class Logbook {
    private final LogbookMapper log;
    private final TrialMapper trials;
    private final Clock clock;

    Logbook(LogbookMapper log, TrialMapper trials, Clock clock) {
        this.log = log;
        this.trials = trials;
        this.clock = clock;
    }

    /** Enters one reading, once for its token, unless another stands there that the sender had not seen. */
    @Transactional
    public Entered enter(TrialId trial, NewReading entry) {
        lock(trial);
        return enterLocked(trial, entry);
    }

    /**
     * Enters all readings or none.
     *
     * @return empty when all are entered; else the readings that would have been overwritten unseen
     */
    @Transactional
    public List<Reading> enterAll(TrialId trial, List<NewReading> entries) {
        lock(trial);
        List<Reading> unseen = entries.stream()
                .flatMap(entry ->
                        standing(trial, entry).filter(reading -> !reading.id().equals(entry.replaces())).stream())
                .toList();
        if (unseen.isEmpty()) {
            entries.forEach(entry -> enterLocked(trial, entry));
        }
        return unseen;
    }

    private void lock(TrialId trial) {
        if (trials.lock(trial) == 0) {
            throw Trials.unknown(trial);
        }
        if (trials.trial(trial).filter(Trial::started).isEmpty()) {
            throw new Refusal("The trial has not started: nothing can be written down yet. Start it in the plan.");
        }
    }

    private Optional<Reading> standing(TrialId trial, NewReading entry) {
        return latest(trial, entry).map(Rows.ReadingRow::reading).filter(reading -> reading.value() != null);
    }

    private Optional<Rows.ReadingRow> latest(TrialId trial, NewReading entry) {
        return log.history(trial, entry.ref()).stream().reduce((earlier, later) -> later);
    }

    private Entered enterLocked(TrialId trial, NewReading entry) {
        Optional<Rows.ReadingRow> sentBefore = log.byToken(trial, entry.token());
        if (sentBefore.isPresent()) {
            return new Entered.Saved(sentBefore.get().reading());
        }
        Optional<Reading> standing = standing(trial, entry);
        ReadingId seen = entry.replaces();
        if (!Objects.equals(standing.map(Reading::id).orElse(null), seen)) {
            return new Entered.Stale(standing);
        }
        // After an undo nothing stands, but the chain of corrections goes on from what was taken back.
        NewReading chained = seen != null
                ? entry
                : latest(trial, entry)
                        .map(row -> entry.superseding(row.id(), CorrectionReason.WEIGHED_AGAIN))
                        .orElse(entry);
        return new Entered.Saved(insert(trial, chained));
    }

    private Reading insert(TrialId trial, NewReading entry) {
        LogbookMapper.NewKey key = new LogbookMapper.NewKey();
        log.insert(trial, entry, key);
        return entry.withId(key.id());
    }

    /**
     * Takes a reading back: what it superseded stands again, or nothing does.
     *
     * @return stale when it no longer stands
     */
    @Transactional
    public Entered undo(TrialId trial, ReadingId reading, String station, UUID token) {
        lock(trial);
        Reading undone = log.reading(trial, reading)
                .map(Rows.ReadingRow::reading)
                .orElseThrow(() -> new NotFound(
                        "This trial has no reading " + reading + ".", "/trials/" + trial, "Back to the trial"));
        Instant now = clock.instant();
        Optional<Reading> earlier = new Corrections(log.history(trial, undone.ref()).stream()
                        .map(Rows.ReadingRow::reading)
                        .toList())
                .before(reading);
        NewReading back = new NewReading(
                undone.ref(),
                earlier.map(Reading::value).orElse(null),
                earlier.map(Reading::typedText).orElse(""),
                undone.typedUnit(),
                earlier.map(Reading::takenAt).orElse(undone.takenAt()),
                now,
                station,
                earlier.map(Reading::instrument).orElse(Instrument.HAND),
                reading,
                CorrectionReason.UNDONE,
                token);
        return enterLocked(trial, back);
    }

    /** Writes a mishap down, once for its token. */
    @Transactional
    public void note(
            TrialId trial,
            MishapKind kind,
            String note,
            List<UnitCode> units,
            int look,
            Instant happenedAt,
            String station,
            UUID token) {
        lock(trial);
        if (log.mishapByToken(trial, token).isPresent()) {
            return;
        }
        insertMishap(
                trial,
                new Mishap(log.lastMishap(trial) + 1, kind, note, units, look, happenedAt, station, null),
                token);
    }

    /** Writes a mishap of a trial that is being read in. */
    void insertMishap(TrialId trial, Mishap mishap, UUID token) {
        log.insertMishap(trial, mishap, token);
        mishap.units().forEach(unit -> log.insertMishapUnit(trial, mishap.number(), unit));
    }

    /** Takes a mishap back. */
    @Transactional
    public void withdraw(TrialId trial, int mishap) {
        lock(trial);
        log.withdraw(trial, mishap, clock.instant());
    }

    /** Writes a reading of a trial that is being read in, under a new number. */
    ReadingId copy(TrialId trial, Reading reading, @Nullable ReadingId supersedes) {
        return insert(
                        trial,
                        new NewReading(
                                reading.ref(),
                                reading.value(),
                                reading.typedText(),
                                reading.typedUnit(),
                                reading.takenAt(),
                                reading.recordedAt(),
                                reading.station(),
                                reading.instrument(),
                                supersedes,
                                reading.reason(),
                                UUID.randomUUID()))
                .id();
    }
}
