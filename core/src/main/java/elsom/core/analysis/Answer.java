package elsom.core.analysis;

import elsom.core.stats.Interval;
import java.util.OptionalDouble;

/** What a comparison says. */
public enum Answer {
    BETTER,
    WORSE,
    NO_DIFFERENCE,
    /** Not worse by what matters, which is all that was asked. */
    AS_GOOD,
    /** Worse by what matters, where it was asked whether it is as good. */
    NOT_AS_GOOD,
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

    /** The answer to what was asked. */
    static Answer asked(Ask ask, Interval difference, Observations.Better better, OptionalDouble margin) {
        return ask.asGood() ? asGood(difference, better, margin) : of(difference, better, margin);
    }

    /** Whether it is as good, on an interval whose ends each hold by themselves; without a margin it can't be told. */
    static Answer asGood(Interval difference, Observations.Better better, OptionalDouble margin) {
        if (margin.isEmpty()) {
            return CANT_TELL;
        }
        boolean higher = better == Observations.Better.HIGHER;
        double least = higher ? difference.low() : -difference.high();
        double most = higher ? difference.high() : -difference.low();
        return least > -margin.getAsDouble() ? AS_GOOD : most < -margin.getAsDouble() ? NOT_AS_GOOD : CANT_TELL;
    }
}
