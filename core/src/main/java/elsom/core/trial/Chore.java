package elsom.core.trial;

import java.time.Duration;

/** Something to be done at a time that is not a look: watering, feeding, turning. */
public record Chore(Kind kind, String name, Duration afterStart) {
    /** What sort of chore. */
    public enum Kind {
        /** Some treatments begin, so that all end together. */
        START,
        WATER,
        FEED,
        /** Every unit is moved on to the next place of its block. */
        TURN,
        OTHER
    }
}
