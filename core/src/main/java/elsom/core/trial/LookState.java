package elsom.core.trial;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** How a look stands at an instant. */
public enum LookState {
    DONE("done"),
    LATE("late"),
    DUE("due"),
    PLANNED("planned");

    private final String label;

    LookState(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** Due from its planned time until the next look's, late after that; done once every expected unit is measured. */
    public static LookState of(TrialRecord record, Look look, Instant now) {
        if (record.trial().started() && record.progress(look).complete()) {
            return DONE;
        }
        Instant start = record.trial().start();
        return of(
                record.trial().started(),
                look.plannedAt(start),
                record.look(look.number() + 1)
                        .map(next -> next.plannedAt(start))
                        .orElse(null),
                now);
    }

    /** Of a look that is not complete. */
    static LookState of(boolean started, Instant planned, @Nullable Instant following, Instant now) {
        if (!started || now.isBefore(planned)) {
            return PLANNED;
        }
        return following != null && !now.isBefore(following) ? LATE : DUE;
    }
}
