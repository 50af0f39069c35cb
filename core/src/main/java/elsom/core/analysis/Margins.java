package elsom.core.analysis;

import java.util.OptionalDouble;
import java.util.OptionalInt;

/** What matters, in the endpoint's unit and as a share, and how many units would show it. */
final class Margins {
    /** The normal quantile of 80 % power. */
    private static final double POWER = 0.8416212335729143;

    private static final int MOST_UNITS = 500;

    private Margins() {}

    /** The margin beside a comparator; empty when none was given, or it is a percentage of nothing. */
    static OptionalDouble of(Ask ask, double comparator) {
        if (ask.margin().isEmpty() || !ask.marginInPercent()) {
            return ask.margin();
        }
        double margin = ask.margin().getAsDouble() / 100 * Math.abs(comparator);
        return margin > 0 ? OptionalDouble.of(margin) : OptionalDouble.empty();
    }

    /**
     * How far what was seen is from where nothing could be told: from no difference or from the margin, whichever is the
     * further; from the margin alone where it is asked whether it is as good.
     */
    static double distance(Observations all, Ask ask, double difference, OptionalDouble margin) {
        if (ask.asGood() && margin.isPresent()) {
            boolean higher = all.better() == Observations.Better.HIGHER;
            return Math.abs((higher ? difference : -difference) + margin.getAsDouble());
        }
        return margin.isPresent()
                ? Math.max(Math.abs(difference), margin.getAsDouble() - Math.abs(difference))
                : Math.abs(difference);
    }

    /**
     * Fewest units of each that would tell in four of five trials like this one: better or worse if the difference is as
     * seen, or none that matters if that is the nearer answer.
     *
     * @param distance of what was seen from where nothing could be told
     * @param critical of this trial; more units need a little less, so the number is on the safe side
     */
    static OptionalInt unitsToTell(double scatter, double distance, double critical) {
        double needed = 2 * Math.pow((critical + POWER) * scatter / distance, 2);
        return needed <= MOST_UNITS ? OptionalInt.of((int) Math.max(2, Math.ceil(needed))) : OptionalInt.empty();
    }
}
