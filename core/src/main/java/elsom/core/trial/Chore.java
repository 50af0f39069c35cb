package elsom.core.trial;

import java.time.Duration;
import java.util.Optional;

/** Something to be done at a time that is not a look: watering, feeding, turning. */
public record Chore(Kind kind, String name, Duration afterStart) {
    /** What sort of chore. */
    public enum Kind {
        /** Some treatments begin, so that all end together. */
        START,
        WATER,
        FEED,
        SOLUTION,
        /** Every unit is moved on to the next place of its block. */
        TURN,
        OTHER;

        /** What the log calls it; empty where the log has no such entries. */
        public Optional<GivenKind> given() {
            return switch (this) {
                case WATER -> Optional.of(GivenKind.WATER);
                case FEED -> Optional.of(GivenKind.FEED);
                case SOLUTION -> Optional.of(GivenKind.SOLUTION);
                case START, TURN, OTHER -> Optional.empty();
            };
        }

        /** Whether it is written down when it was done. */
        public boolean logged() {
            return this == TURN || given().isPresent();
        }
    }
}
