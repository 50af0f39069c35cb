package elsom.core.stats;

/** A two-sided interval; 95 % unless it says otherwise. */
public record Interval(double low, double high) {
    public Interval {
        if (!(low <= high)) {
            throw new IllegalArgumentException("an interval runs from low to high, got " + low + " to " + high);
        }
    }

    /** The same, reaching as far as a value. */
    public Interval reaching(double value) {
        return new Interval(Math.min(low, value), Math.max(high, value));
    }
}
