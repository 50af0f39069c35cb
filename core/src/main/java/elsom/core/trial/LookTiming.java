package elsom.core.trial;

import java.time.Duration;
import java.time.Instant;

/** Which time a reading is given: now, or the look's planned time when an old notebook is copied in. */
public enum LookTiming {
    NOW,
    AS_PLANNED;

    /**
     * What is most likely meant. A look entered well before it is planned, or only after the next one is due, is being
     * copied from paper; anything else is being measured now, early or late as it may be.
     */
    public static LookTiming likely(TrialRecord record, Look look, Instant now) {
        Instant planned = look.plannedAt(record.trial().start());
        Duration before = record.look(look.number() - 1)
                .map(previous -> look.afterStart().minus(previous.afterStart()))
                .orElse(Duration.ofDays(36500));
        if (now.isBefore(planned.minus(before.dividedBy(2)))) {
            return AS_PLANNED;
        }
        return record.look(look.number() + 1)
                .filter(next -> now.isAfter(next.plannedAt(record.trial().start())))
                .map(next -> AS_PLANNED)
                .orElse(NOW);
    }

    /** The instant this timing gives a reading. */
    public Instant at(TrialRecord record, Look look, Instant now) {
        return this == NOW ? now : look.plannedAt(record.trial().start());
    }
}
