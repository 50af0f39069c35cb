package elsom.core.analysis;

import elsom.core.stats.Interval;
import java.util.OptionalDouble;

/** What a comparison says. */
public enum Answer {
    BETTER,
    WORSE,
    NO_DIFFERENCE,
    CANT_TELL;

    /**
     * The rule, on the adjusted interval of the difference: wholly within the margin on both sides there is no difference
     * that matters, also when it leaves out 0; else wholly on one side of 0 it is better or worse; else it can't be told.
     *
     * @param difference treatment less comparator
     * @param margin empty when nobody said what matters: then no difference can be called none that matters
     */
    static Answer of(Interval difference, Observations.Better better, OptionalDouble margin) {
        if (margin.isPresent()
                && difference.low() > -margin.getAsDouble()
                && difference.high() < margin.getAsDouble()) {
            return NO_DIFFERENCE;
        }
        boolean higher = difference.low() > 0;
        boolean lower = difference.high() < 0;
        if (!higher && !lower) {
            return CANT_TELL;
        }
        return higher == (better == Observations.Better.HIGHER) ? BETTER : WORSE;
    }
}
