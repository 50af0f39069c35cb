package elsom.core.results;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Comparison;
import elsom.core.analysis.MainEffect;
import elsom.core.analysis.Observations;
import elsom.core.plan.Claim;
import elsom.core.stats.Interval;
import java.util.Optional;
import java.util.OptionalDouble;

/** What became of what was stated. */
public enum Held {
    HELD("held"),
    NOT_HELD("not held"),
    CANT_TELL("can't tell");

    private final String label;

    Held(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** What became of it in one comparison. */
    static Held of(Claim claim, Comparison c, Observations seen) {
        return c.interval().isEmpty()
                ? CANT_TELL
                : of(claim, c.answer(), c.interval(), c.margin(), unlike(seen, c.treatment(), c.comparator()));
    }

    /** What became of it over all levels of the other factors. */
    static Held of(Claim claim, MainEffect effect, Observations seen) {
        return of(claim, effect.answer(), Optional.of(effect.interval()), effect.margin(), anyDied(seen));
    }

    private static boolean unlike(Observations seen, int one, int other) {
        return seen.deaths(one) != seen.deaths(other);
    }

    private static boolean anyDied(Observations seen) {
        for (int arm = 0; arm < seen.arms().size(); arm++) {
            if (seen.deaths(arm) > 0) {
                return true;
            }
        }
        return false;
    }

    /** @param died whether means are of those that lived, so that what they leave open is open */
    private static Held of(
            Claim claim, Answer answer, Optional<Interval> interval, OptionalDouble margin, boolean died) {
        boolean clear = answer == Answer.BETTER || answer == Answer.WORSE;
        boolean open = died && answer == Answer.CANT_TELL;
        return switch (claim) {
            case HIGHER -> hoped(interval.orElseThrow(), margin, clear, open);
            case LOWER -> hoped(turned(interval.orElseThrow()), margin, clear, open);
            case DIFFERENT -> clear ? HELD : answer == Answer.NO_DIFFERENCE ? NOT_HELD : CANT_TELL;
            case ALIKE ->
                answer == Answer.NO_DIFFERENCE
                        ? HELD
                        : clear && beyond(interval.orElseThrow(), margin) ? NOT_HELD : CANT_TELL;
            case AS_GOOD -> answer == Answer.AS_GOOD ? HELD : answer == Answer.NOT_AS_GOOD ? NOT_HELD : CANT_TELL;
            case AT_LEAST, AT_MOST -> CANT_TELL;
        };
    }

    /** Held where it is surely more than nothing and may be what matters; not held where it surely is less than matters. */
    private static Held hoped(Interval hoped, OptionalDouble margin, boolean clear, boolean open) {
        if (clear && hoped.low() > 0) {
            return HELD;
        }
        return !open && hoped.high() < margin.orElse(0) ? NOT_HELD : CANT_TELL;
    }

    private static Interval turned(Interval interval) {
        return new Interval(-interval.high(), -interval.low());
    }

    private static boolean beyond(Interval interval, OptionalDouble margin) {
        return margin.isPresent() && (interval.low() > margin.getAsDouble() || interval.high() < -margin.getAsDouble());
    }
}
