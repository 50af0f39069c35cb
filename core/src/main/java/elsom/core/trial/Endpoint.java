package elsom.core.trial;

import elsom.core.quantity.UnitOfMeasure;

/**
 * Something measured.
 *
 * @param name in a grower's words
 * @param unit what values are stored in
 * @param size how many sub-readings, or the k in "of k"; 1 for a single value
 * @param lowest the lowest value that can be true
 * @param highest the highest value that can be true
 * @param decimals how many decimals the usual instrument shows
 */
public record Endpoint(
        EndpointCode code,
        String name,
        UnitOfMeasure unit,
        Counting counting,
        int size,
        double lowest,
        double highest,
        int decimals) {
    public Endpoint {
        if (size < 1 || (counting == Counting.SINGLE && size != 1)) {
            throw new IllegalArgumentException("endpoint " + code + " has an impossible size " + size);
        }
        if (!(lowest < highest)) {
            throw new IllegalArgumentException(
                    "endpoint " + code + " needs lowest below highest, got " + lowest + " and " + highest);
        }
    }

    public static Endpoint single(
            EndpointCode code, String name, UnitOfMeasure unit, double lowest, double highest, int decimals) {
        return new Endpoint(code, name, unit, Counting.SINGLE, 1, lowest, highest, decimals);
    }

    /** How many readings one unit has at a look. */
    public int readingsEach() {
        return counting == Counting.SUB_READINGS ? size : 1;
    }

    /** True for a value that can be; false for NaN. */
    public boolean allows(double value) {
        return value >= lowest && value <= highest;
    }
}
