package elsom.core.plan;

import elsom.core.trial.Chore;
import java.time.Duration;
import java.time.Instant;

/**
 * Something that is due at a time.
 *
 * @param takes how long it takes, by the seconds each unit takes
 * @param detail what to do, in a sentence; may be empty
 * @param chore what it is to the trial; looks are none of its chores, and are {@link Chore.Kind#OTHER}
 * @param clash why nobody is there at that time; empty when somebody is
 */
public record PlanEvent(
        Kind kind, Instant at, Duration takes, String title, String detail, String clash, Chore.Kind chore) {
    /** What sort of thing is due. */
    public enum Kind {
        PREPARE,
        START,
        LOOK,
        STEP,
        TURN
    }

    public boolean clashes() {
        return !clash.isEmpty();
    }
}
