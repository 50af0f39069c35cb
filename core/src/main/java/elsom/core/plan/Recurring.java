package elsom.core.plan;

import elsom.core.quantity.Bounds;
import elsom.core.trial.Chore;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;

/**
 * Something that is done again and again.
 *
 * @param first after the trial's start
 * @param every zero for once only
 * @param until after the trial's start; the last time is not later
 */
public record Recurring(Kind kind, String note, Duration first, Duration every, Duration until) {
    public static final int MOST = Bounds.RECURRING_STEPS;
    public static final int LONGEST_NOTE = 120;
    private static final int MOST_TIMES = 400;

    /** What is done. */
    public enum Kind {
        WATER("Water"),
        FEED("Feed"),
        SOLUTION("Change the solution"),
        BLACKOUT("Blackout"),
        LIGHTS("Lights"),
        TURN("Turn and move on"),
        AIR("Check air and temperature"),
        OTHER("Do");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        /** What it is to the trial. */
        public Chore.Kind chore() {
            return switch (this) {
                case WATER -> Chore.Kind.WATER;
                case FEED -> Chore.Kind.FEED;
                case SOLUTION -> Chore.Kind.SOLUTION;
                case TURN -> Chore.Kind.TURN;
                case BLACKOUT, LIGHTS, AIR, OTHER -> Chore.Kind.OTHER;
            };
        }
    }

    public Recurring {
        Bounds.present("what is done", kind);
        Bounds.note("a step's note", note, LONGEST_NOTE);
        Bounds.span("when a step is first done", first);
        Bounds.span("how often a step is done", every);
        Bounds.span("when a step is last done", until);
        if (every.isNegative() || until.compareTo(first) < 0) {
            throw new IllegalArgumentException("a step recurs after some time and ends after it begins");
        }
    }

    /** When it is done, after the trial's start. */
    public List<Duration> times() {
        if (every.isZero()) {
            return List.of(first);
        }
        List<Duration> times = new ArrayList<>();
        for (Duration at = first; at.compareTo(until) <= 0 && times.size() < MOST_TIMES; at = at.plus(every)) {
            times.add(at);
        }
        return times;
    }
}
