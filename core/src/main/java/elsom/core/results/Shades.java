package elsom.core.results;

import java.util.Collection;

/** How deep values are coloured on a map: equal steps from the lowest to the highest, or out from nothing. */
public final class Shades {
    public static final int STEPS = 5;

    private final double low;
    private final double high;

    private Shades(double low, double high) {
        this.low = low;
        this.high = high;
    }

    /** From the lowest of these values to the highest. */
    public static Shades between(Collection<Double> values) {
        return new Shades(
                values.stream().mapToDouble(Double::doubleValue).min().orElse(0),
                values.stream().mapToDouble(Double::doubleValue).max().orElse(0));
    }

    /** From nothing to the largest of these values, whichever way it goes. */
    public static Shades from0(Collection<Double> values) {
        return new Shades(0, values.stream().mapToDouble(Math::abs).max().orElse(0));
    }

    /** The step of a value, 1 to {@link #STEPS}; the middle one where all values are alike. */
    public int of(double value) {
        if (!(high > low)) {
            return (STEPS + 1) / 2;
        }
        double share = Math.abs(value - low) / (high - low);
        return Math.max(1, Math.min(STEPS, 1 + (int) Math.floor(share * STEPS)));
    }
}
