package elsom.web.bench;

import com.fasterxml.jackson.annotation.JsonProperty;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.LookTiming;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.platform.NotFound;
import elsom.web.platform.Station;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Readings as scripts send them: one, or many that are taken together or not at all. */
@Component
class ScriptReadings {
    static final int MOST = 1000;
    private static final Duration CLOCKS_DIFFER = Duration.ofMinutes(2);
    private static final Duration A_DAY = Duration.ofHours(24);

    private final Entries entries;
    private final Trials trials;
    private final TransactionTemplate together;
    private final Clock clock;

    ScriptReadings(Entries entries, Trials trials, PlatformTransactionManager transactions, Clock clock) {
        this.entries = entries;
        this.trials = trials;
        this.together = new TransactionTemplate(transactions);
        this.clock = clock;
    }

    /**
     * A reading as a script sends it.
     *
     * @param value as it would be typed: "220.7 g"
     * @param replaces the number of the reading that stands and is corrected; none for a first one
     * @param takenAt when it was measured, with its offset; now where it says nothing
     * @param token by which a second sending of the same is known; one is made where there is none
     */
    record Sent(
            @Nullable Long trial,
            @Nullable String unit,
            @Nullable Integer look,
            @Nullable String endpoint,
            @Nullable Integer sub,
            @Nullable String value,
            @JsonProperty("taken_at") @Nullable String takenAt,
            @Nullable Long replaces,
            @Nullable UUID token) {}

    /** Readings that belong together. */
    record Batch(@Nullable List<Sent> readings) {}

    /**
     * What became of one.
     *
     * @param reading its number in the store, or that of the one that stands; 0 where there is none
     * @param field what of it can't be; empty where nothing is wrong
     */
    record Answer(EntryAnswer.Status status, String message, long reading, String field) {
        static Answer refused(String field, String message) {
            return new Answer(EntryAnswer.Status.REFUSED, message, 0, field);
        }

        boolean taken() {
            return status == EntryAnswer.Status.SAVED || status == EntryAnswer.Status.ODD;
        }
    }

    /** What became of one of a batch. */
    record Line(int index, EntryAnswer.Status status, String message, long reading, String field) {
        static Line of(int index, Answer answer) {
            return new Line(index, answer.status(), answer.message(), answer.reading(), answer.field());
        }
    }

    /** @param readings all of them where they were taken, and else those that can't be */
    record BatchAnswer(boolean taken, String message, List<Line> readings) {}

    /** Takes all or none, since half of what belongs together is no record of anything. */
    BatchAnswer takeAll(Batch batch, Station station) {
        List<Sent> all = batch.readings() == null ? List.of() : batch.readings();
        if (all.isEmpty() || all.size() > MOST) {
            return new BatchAnswer(
                    false,
                    "A batch has 1 to " + MOST + " readings, here are " + all.size() + ". Accepted: {\"readings\":"
                            + " [{\"trial\": 2, \"unit\": \"W76\", …}]}",
                    List.of());
        }
        return Objects.requireNonNull(together.execute(status -> {
            List<Answer> answers = new ArrayList<>();
            for (@Nullable Sent sent : all) {
                answers.add(take(sent, station));
            }
            List<Line> wrong = IntStream.range(0, answers.size())
                    .filter(i -> !answers.get(i).taken())
                    .mapToObj(i -> Line.of(i, answers.get(i)))
                    .toList();
            if (wrong.isEmpty()) {
                return new BatchAnswer(
                        true,
                        "",
                        IntStream.range(0, answers.size())
                                .mapToObj(i -> Line.of(i, answers.get(i)))
                                .toList());
            }
            status.setRollbackOnly();
            return new BatchAnswer(false, wrong.size() + " of " + all.size() + " can't be taken, so none was.", wrong);
        }));
    }

    /** The first thing that a reading must have and has not. */
    private static Optional<String> missing(@Nullable Sent sent) {
        if (sent == null || sent.trial() == null) {
            return Optional.of("trial");
        }
        return sent.unit() == null
                ? Optional.of("unit")
                : sent.look() == null
                        ? Optional.of("look")
                        : sent.endpoint() == null
                                ? Optional.of("endpoint")
                                : sent.value() == null ? Optional.of("value") : Optional.empty();
    }

    /** What names something that the trial does not have; the value itself where all names are known. */
    private String unknown(Sent sent) {
        Optional<TrialRecord> found = trials.find(new TrialId(Objects.requireNonNull(sent.trial())));
        if (found.isEmpty()) {
            return "trial";
        }
        TrialRecord record = found.get();
        if (record.called(Objects.requireNonNull(sent.unit())).isEmpty()) {
            return "unit";
        }
        Optional<Look> look = record.look(Objects.requireNonNull(sent.look()));
        if (look.isEmpty()) {
            return "look";
        }
        boolean read =
                look.get().endpoints().stream().anyMatch(code -> code.value().equals(sent.endpoint()));
        return read ? "value" : "endpoint";
    }

    /** Takes one. */
    Answer take(@Nullable Sent sent, Station station) {
        Optional<String> missing = missing(sent);
        if (sent == null || missing.isPresent()) {
            return Answer.refused(
                    missing.orElse("trial"),
                    "A reading has trial, unit, look, endpoint and value; here is no " + missing.orElse("trial")
                            + ". Accepted: {\"trial\": 2, \"unit\": \"W76\", \"look\": 6, \"endpoint\": \"wet-mass\","
                            + " \"value\": \"220.7 g\"}");
        }
        TrialId trial = new TrialId(Objects.requireNonNull(sent.trial()));
        int look = Objects.requireNonNull(sent.look());
        EntryForm form = new EntryForm(
                Objects.requireNonNull(sent.unit()),
                look,
                Objects.requireNonNull(sent.endpoint()),
                sent.sub() == null ? 1 : sent.sub(),
                Objects.requireNonNull(sent.value()),
                sent.replaces(),
                sent.replaces() == null ? null : CorrectionReason.WEIGHED_AGAIN,
                LookTiming.NOW,
                Instrument.SCRIPT,
                0,
                sent.token() == null ? UUID.randomUUID() : sent.token());
        Optional<Instant> takenAt;
        try {
            takenAt = takenAt(sent.takenAt(), clock.instant());
        } catch (IllegalArgumentException wrong) {
            return Answer.refused("taken_at", String.valueOf(wrong.getMessage()));
        }
        EntryAnswer answer;
        try {
            answer = entries.enter(trial, form, station, takenAt);
        } catch (IllegalArgumentException | NotFound wrong) {
            return Answer.refused(unknown(sent), String.valueOf(wrong.getMessage()));
        }
        boolean taken = answer.status() == EntryAnswer.Status.SAVED || answer.status() == EntryAnswer.Status.ODD;
        String away = taken ? away(trial, look, takenAt.orElseGet(clock::instant)) : "";
        return new Answer(
                away.isEmpty() ? answer.status() : EntryAnswer.Status.ODD,
                (answer.message() + " " + away).strip(),
                answer.current() == null ? 0 : answer.current().id(),
                answer.status() == EntryAnswer.Status.REFUSED
                        ? unknown(sent)
                        : answer.status() == EntryAnswer.Status.STALE ? "replaces" : "");
    }

    /** When a script says it measured; empty for now. */
    private static Optional<Instant> takenAt(@Nullable String text, Instant now) {
        if (text == null || text.isBlank()) {
            return Optional.empty();
        }
        Instant at;
        try {
            at = OffsetDateTime.parse(text.strip()).toInstant();
        } catch (DateTimeException unreadable) {
            throw new IllegalArgumentException(
                    "“" + text + "” is no time with its offset. Accepted: 2026-11-25T14:00:00+01:00", unreadable);
        }
        if (at.isAfter(now.plus(CLOCKS_DIFFER))) {
            throw new IllegalArgumentException("“" + text + "” is still to come: no reading lies in the future.");
        }
        return Optional.of(at.isAfter(now) ? now : at);
    }

    /** What is said of a reading that was measured days from its look; empty where it was about then. */
    private String away(TrialId trial, int number, Instant at) {
        TrialRecord record = trials.snapshot(trial);
        return record.look(number)
                .filter(look -> Duration.between(look.plannedAt(record.trial().start()), at)
                                .abs()
                                .compareTo(A_DAY)
                        > 0)
                .map(look -> "It was measured "
                        + Duration.between(look.plannedAt(record.trial().start()), at)
                                .abs()
                                .toDays()
                        + (at.isBefore(look.plannedAt(record.trial().start())) ? " days before" : " days after")
                        + " the look “" + look.name() + "”: is it of another one?")
                .orElse("");
    }
}
