package elsom.core.care;

import elsom.core.trial.Chore;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * A planned step with what was written down for it.
 *
 * @param opens from when on an entry answers it and no earlier one
 * @param closes until when
 * @param done units that an entry answers for
 * @param kept whether the trial has any entry of that kind: who writes none down keeps no log, and missed nothing
 * @param of units that stood then; 0 where no log is kept of such steps
 * @param doneAt when the last of them was cared for; empty when none was
 */
public record CareStep(
        Chore.Kind kind,
        Instant at,
        Instant opens,
        Instant closes,
        boolean kept,
        int done,
        int of,
        Optional<Instant> doneAt) {
    /** How far it is done. */
    public enum State {
        /** Nobody writes such steps down. */
        UNKNOWN,
        COMING,
        /** Past its time, and still to be done: the next one is not nearer yet. */
        LATE,
        DONE,
        /** For some of its units, and the time for the others is over. */
        PARTLY,
        MISSED
    }

    /** How it stands. */
    public State state(Instant now) {
        if (of == 0) {
            return State.UNKNOWN;
        }
        if (done >= of) {
            return State.DONE;
        }
        if (now.isBefore(at)) {
            return State.COMING;
        }
        if (now.isBefore(closes)) {
            return State.LATE;
        }
        return done > 0 ? State.PARTLY : kept ? State.MISSED : State.UNKNOWN;
    }

    /** By how much it was late, or is by now; zero when it was not. */
    public Duration late(Instant now) {
        Instant until = state(now) == State.LATE ? now : doneAt.orElse(at);
        return until.isAfter(at) ? Duration.between(at, until) : Duration.ZERO;
    }

    /** "3 of 16 watered"; empty where nothing is done yet, or no log is kept. */
    public String progress() {
        return done == 0 || of == 0 ? "" : done + " of " + of + " " + verb();
    }

    /** What was done to units: "watered". */
    public String verb() {
        return switch (kind) {
            case WATER -> "watered";
            case FEED -> "fed";
            case SOLUTION -> "changed";
            case TURN -> "moved on";
            case START, OTHER -> "done";
        };
    }
}
