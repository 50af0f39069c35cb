package elsom.core.water;

import java.util.List;

/** A weighing: hours since the first one of a dry-down, and grams. */
public record TimedMass(double hours, double grams) {
    public TimedMass {
        if (!Double.isFinite(hours) || !Double.isFinite(grams)) {
            throw new IllegalArgumentException(
                    "hours and grams must be finite, got " + hours + " h and " + grams + " g");
        }
    }

    static double[] hours(List<TimedMass> points) {
        return points.stream().mapToDouble(TimedMass::hours).toArray();
    }

    static double[] grams(List<TimedMass> points) {
        return points.stream().mapToDouble(TimedMass::grams).toArray();
    }
}
