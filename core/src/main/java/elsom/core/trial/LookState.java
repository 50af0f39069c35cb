package elsom.core.trial;

import java.time.Instant;

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
        if (!record.trial().started()) {
            return PLANNED;
        }
        if (record.progress(look).complete()) {
            return DONE;
        }
        Instant start = record.trial().start();
        if (now.isBefore(look.plannedAt(start))) {
            return PLANNED;
        }
        boolean nextIsDue = record.look(look.number() + 1)
                .map(next -> !now.isBefore(next.plannedAt(start)))
                .orElse(false);
        return nextIsDue ? LATE : DUE;
    }
}
