package elsom.core.trial;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/** Which time a reading is given: now, or the look's planned time when an old notebook is copied in. */
public enum LookTiming {
    NOW,
    AS_PLANNED;

    /**
     * What is most likely meant. A look entered only after the next one is due is being copied from paper; anything else
     * is being measured now, early or late as it may be.
     */
    public static LookTiming likely(TrialRecord record, Look look, Instant now) {
        Instant planned = look.plannedAt(record.trial().start());
        if (now.isBefore(planned)) {
            return NOW;
        }
        return record.look(look.number() + 1)
                .filter(next -> now.isAfter(next.plannedAt(record.trial().start())))
                .map(next -> AS_PLANNED)
                .orElse(NOW);
    }

    /** How long a look is still to come where it is entered well before its time, by half of what parts it from the one before. */
    public static Optional<Duration> early(TrialRecord record, Look look, Instant now) {
        Instant planned = look.plannedAt(record.trial().start());
        Duration before = record.look(look.number() - 1)
                .map(previous -> look.afterStart().minus(previous.afterStart()))
                .orElse(Duration.ofDays(2));
        return now.isBefore(planned.minus(before.dividedBy(2)))
                ? Optional.of(Duration.between(now, planned))
                : Optional.empty();
    }

    /** The instant this timing gives a reading: never one that is still to come. */
    public Instant at(TrialRecord record, Look look, Instant now) {
        Instant planned = look.plannedAt(record.trial().start());
        return this == NOW || planned.isAfter(now) ? now : planned;
    }
}
