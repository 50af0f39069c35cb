package elsom.core.analysis;

import elsom.core.stats.Interval;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * One treatment beside another.
 *
 * @param treatment index of the arm asked about
 * @param comparator index of the arm it is compared with
 * @param difference treatment less comparator, as measured; a share for counts
 * @param interval of the difference, adjusted for all comparisons of the question; empty when there is nothing to judge
 *     by; its ends may be infinite for times
 * @param percent the difference in percent of the comparator's mean; empty where that is not above 0
 * @param percentInterval likewise; empty where the comparator can't be told from 0
 * @param p adjusted like the interval
 * @param rankP of the ranks, by Mann and Whitney, adjusted by Holm; for scores and times
 * @param margin the difference that matters, in the endpoint's unit
 * @param unitsThatWouldTell units of each that would likely tell; empty when told, or when no number up to 500 would
 */
public record Comparison(
        int treatment,
        int comparator,
        double difference,
        Optional<Interval> interval,
        OptionalDouble percent,
        Optional<Interval> percentInterval,
        OptionalDouble p,
        OptionalDouble rankP,
        OptionalDouble margin,
        Answer answer,
        OptionalInt unitsThatWouldTell) {
    private static final double TOLD = 0.05;

    /** Whether ranks said otherwise than means, and decided: for scores. */
    public boolean byRanks() {
        boolean told = answer == Answer.BETTER || answer == Answer.WORSE;
        return rankP.isPresent() && (told ? !clear() : answer == Answer.CANT_TELL && clear() && !told());
    }

    private boolean told() {
        return rankP.orElse(1) <= TOLD;
    }

    /** Whether the interval leaves 0 out. */
    public boolean clear() {
        return interval.map(i -> i.low() > 0 || i.high() < 0).orElse(false);
    }

    /** Whether the interval lies wholly beyond the margin: different by what matters, for certain. */
    public boolean certain() {
        return margin.isPresent()
                && interval.map(i -> i.low() > margin.getAsDouble() || i.high() < -margin.getAsDouble())
                        .orElse(false);
    }
}
