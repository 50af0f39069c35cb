package elsom.core.mix;

/** What a property of a mix must lie between; one end may be open (0, or the most that can be). */
public record MixWindow(Property property, double low, double high) {
    public MixWindow {
        if (!(low >= 0 && low <= high && high <= property.most())) {
            throw new IllegalArgumentException("the window of " + property.label() + " runs from 0 or more up to "
                    + property.most() + " at most, got " + low + " to " + high);
        }
    }

    /** How far a value lies outside; 0 within. */
    public double misses(double value) {
        return Math.max(0, Math.max(low - value, value - high));
    }
}
