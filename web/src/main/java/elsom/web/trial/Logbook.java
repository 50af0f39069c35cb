package elsom.web.trial;

import elsom.core.trial.CorrectionReason;
import elsom.core.trial.Corrections;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Given;
import elsom.core.trial.GivenKind;
import elsom.core.trial.Instrument;
import elsom.core.trial.Mishap;
import elsom.core.trial.MishapKind;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.SecondScore;
import elsom.core.trial.Skip;
import elsom.core.trial.Trial;
import elsom.core.trial.TrialId;
import elsom.core.trial.Turn;
import elsom.core.trial.UnitCode;
import elsom.web.platform.Acting;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Enters readings and mishaps. Each call is one transaction; a trial is written by one caller at a time. */
@Repository
public class Logbook {
    private static final int AT_ONCE = 500;

    private final LogbookMapper log;
    private final TrialMapper trials;
    private final TrialWriter writer;
    private final Clock clock;

    Logbook(LogbookMapper log, TrialMapper trials, TrialWriter writer, Clock clock) {
        this.log = log;
        this.trials = trials;
        this.writer = writer;
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
        if (entries.isEmpty()) {
            return List.of();
        }
        Map<ReadingRef, Reading> latest = new HashMap<>();
        log.readingsAt(
                        trial,
                        entries.stream().map(entry -> entry.ref().look()).collect(Collectors.toSet()),
                        entries.stream().map(entry -> entry.ref().endpoint()).collect(Collectors.toSet()))
                .forEach(row -> latest.put(row.reading().ref(), row.reading()));
        List<Reading> unseen = entries.stream()
                .flatMap(entry -> Optional.ofNullable(latest.get(entry.ref()))
                        .filter(reading ->
                                reading.value() != null && !reading.id().equals(entry.replaces()))
                        .stream())
                .toList();
        if (unseen.isEmpty()) {
            insertAll(trial, entries, latest);
        }
        return unseen;
    }

    /** In a query and a few inserts; what is of the same place twice in it is entered one after the other. */
    private void insertAll(TrialId trial, List<NewReading> entries, Map<ReadingRef, Reading> latest) {
        Map<UUID, LogbookMapper.SentWith> sent = new HashMap<>();
        for (int from = 0; from < entries.size(); from += AT_ONCE) {
            log.sentWith(entries.subList(from, Math.min(entries.size(), from + AT_ONCE)).stream()
                            .map(NewReading::token)
                            .toList())
                    .forEach(one -> sent.put(one.entryToken(), one));
        }
        List<NewReading> fresh = new ArrayList<>();
        List<NewReading> afterwards = new ArrayList<>();
        Set<ReadingRef> taken = new HashSet<>();
        for (NewReading entry : entries) {
            LogbookMapper.SentWith before = sent.get(entry.token());
            if (before != null) {
                again(trial, entry, new LogbookMapper.Sent(before.trialId(), before.id()));
            } else if (taken.add(entry.ref())) {
                fresh.add(chained(entry, latest.get(entry.ref())));
            } else {
                afterwards.add(entry);
            }
        }
        for (int from = 0; from < fresh.size(); from += AT_ONCE) {
            log.insertAll(trial, fresh.subList(from, Math.min(fresh.size(), from + AT_ONCE)), Acting.person());
        }
        afterwards.forEach(entry -> enterLocked(trial, entry));
    }

    /** After an undo nothing stands, but the chain of corrections goes on from what was taken back. */
    private static NewReading chained(NewReading entry, @Nullable Reading latest) {
        boolean stands = latest != null && latest.value() != null;
        if (entry.replaces() != null && !stands) {
            throw new Refusal("The reading of " + entry.ref().unit()
                    + " that is to be corrected was taken back meanwhile, so nothing was entered. Reload the page, then"
                    + " enter it anew.");
        }
        return entry.replaces() == null && latest != null
                ? entry.superseding(latest.id(), CorrectionReason.WEIGHED_AGAIN)
                : entry;
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
        Optional<LogbookMapper.Sent> sentBefore = log.sent(entry.token());
        if (sentBefore.isPresent()) {
            return new Entered.Saved(again(trial, entry, sentBefore.get()));
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

    /** What was entered with the same token before, if it is the same entry. */
    private Reading again(TrialId trial, NewReading entry, LogbookMapper.Sent sent) {
        return log.reading(trial, sent.id())
                .map(Rows.ReadingRow::reading)
                .filter(before -> before.ref().equals(entry.ref()) && Objects.equals(before.value(), entry.value()))
                .orElseThrow(() -> new Refusal("This entry's token belongs to another reading, so it was not saved."
                        + " Reload the page and type it again."));
    }

    private Reading insert(TrialId trial, NewReading entry) {
        LogbookMapper.NewKey key = new LogbookMapper.NewKey();
        log.insert(trial, entry, key, Acting.person());
        return entry.withId(key.id()).by(Acting.person());
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
        Optional<LogbookMapper.Noted> before = log.noted(token);
        if (before.isPresent()) {
            refuseAnother(trial, units, before.get());
            return;
        }
        writer.mishap(
                trial,
                new Mishap(log.lastMishap(trial) + 1, kind, note, units, look, happenedAt, station, null),
                token);
    }

    private void refuseAnother(TrialId trial, List<UnitCode> units, LogbookMapper.Noted before) {
        List<UnitCode> noted = log.mishapUnits(trial).stream()
                .filter(row -> row.mishap() == before.number())
                .map(Rows.MishapUnitRow::unitCode)
                .toList();
        if (!before.trialId().equals(trial) || !noted.containsAll(units)) {
            throw new Refusal("This note's token belongs to another unit, so it was not written down. Reload the page"
                    + " and write it again.");
        }
    }

    /**
     * Writes down what units were given, once for its token.
     *
     * @param millilitres by unit
     */
    @Transactional
    public void give(
            TrialId trial,
            GivenKind kind,
            String what,
            Map<UnitCode, Double> millilitres,
            Instant happenedAt,
            String station,
            UUID token) {
        lock(trial);
        if (log.gave(token).isPresent()) {
            return;
        }
        writer.given(
                trial, new Given(log.lastGiven(trial) + 1, kind, what, millilitres, happenedAt, station, null), token);
    }

    /** Writes down that all units were moved one place on. */
    @Transactional
    public void turn(TrialId trial, Turn turn) {
        lock(trial);
        log.turn(trial, turn);
    }

    /** Takes a turn back that was not made. */
    @Transactional
    public void unturn(TrialId trial, int number) {
        lock(trial);
        log.unturn(trial, number);
    }

    /** Writes down that an endpoint is not read at a look. */
    @Transactional
    public void skip(TrialId trial, Skip skip) {
        lock(trial);
        log.skip(trial, skip);
    }

    /** Reads an endpoint after all that was to be skipped. */
    @Transactional
    public void unskip(TrialId trial, int look, EndpointCode endpoint) {
        lock(trial);
        log.unskip(trial, look, endpoint);
    }

    /** Keeps what another station scored without seeing the first score; sent again it replaces its own. */
    @Transactional
    public void scoreAgain(TrialId trial, SecondScore score) {
        lock(trial);
        log.scoreAgain(trial, score);
    }

    /** Takes an entry of water or feed back. */
    @Transactional
    public void withdrawGiven(TrialId trial, int given) {
        lock(trial);
        log.withdrawGiven(trial, given, clock.instant());
    }

    /** Takes a mishap back. */
    @Transactional
    public void withdraw(TrialId trial, int mishap) {
        lock(trial);
        log.withdraw(trial, mishap, clock.instant());
    }
}
