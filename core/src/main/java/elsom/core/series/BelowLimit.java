package elsom.core.series;

import java.util.OptionalDouble;

/**
 * What a value that is only known to lie below a limit of detection, "&lt;0.05", counts as in a series. Half of the limit
 * is the usual substitute of laboratories for means; where many values lie below, none of the three is good.
 */
public enum BelowLimit {
    HALF("half of the limit", 0.5),
    LIMIT("the limit itself", 1),
    ZERO("nought", 0),
    LEFT_OUT("not measured: left out", Double.NaN);

    private final String label;
    private final double share;

    BelowLimit(String label, double share) {
        this.label = label;
        this.share = share;
    }

    public String label() {
        return label;
    }

    /** What stands for a value below a limit, in the limit's unit; empty where it is left out. */
    public OptionalDouble of(double limit) {
        return this == LEFT_OUT ? OptionalDouble.empty() : OptionalDouble.of(limit * share);
    }
}
