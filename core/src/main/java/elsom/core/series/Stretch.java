package elsom.core.series;

import java.time.Duration;
import java.time.Instant;
import java.util.OptionalDouble;

/**
 * A stretch of a series between two instants, summed up sample by sample in order of time. Between samples the course
 * is a straight line (trapezoidal rule), but not across a silence of more than {@link #LONGEST_SILENCE}: what a sensor
 * did not say is not made up. A sensor that was silent for more than half of its stretch gives no figure. Samples that
 * all lie further apart, such as a weekly walk with a probe, are averaged as they are and have no area.
 */
public final class Stretch {
    public static final Duration LONGEST_SILENCE = Duration.ofHours(6);

    private static final double LEAST_COVERED = 0.5;
    private static final double MILLIS_AN_HOUR = 3_600_000;
    private static final double HOURS_A_DAY = 24;

    private final long from;
    private final long to;
    private final double limit;
    private long samples;
    private double sum;
    private double lowest = Double.POSITIVE_INFINITY;
    private double highest = Double.NEGATIVE_INFINITY;
    private double areaHours;
    private double coveredHours;
    private double hoursAbove;
    private long before;
    private double valueBefore;

    /**
     * A stretch with no samples yet.
     *
     * @param from samples before it are left out
     * @param to samples after it are left out
     * @param limit for the time above it, in the unit of the samples
     */
    public Stretch(Instant from, Instant to, double limit) {
        this.from = from.toEpochMilli();
        this.to = to.toEpochMilli();
        this.limit = limit;
    }

    /**
     * Adds the next sample.
     *
     * @throws IllegalArgumentException if it is not after the one before
     */
    public void add(long at, double value) {
        if (at < from || at > to) {
            return;
        }
        if (samples > 0) {
            if (at <= before) {
                throw new IllegalArgumentException("samples come in order of time");
            }
            between((at - before) / MILLIS_AN_HOUR, value);
        }
        samples++;
        sum += value;
        lowest = Math.min(lowest, value);
        highest = Math.max(highest, value);
        before = at;
        valueBefore = value;
    }

    private void between(double hours, double value) {
        if (hours * MILLIS_AN_HOUR > LONGEST_SILENCE.toMillis()) {
            return;
        }
        coveredHours += hours;
        areaHours += hours * (valueBefore + value) / 2;
        double high = Math.max(valueBefore, value) - limit;
        double low = Math.min(valueBefore, value) - limit;
        hoursAbove += hours * (low >= 0 ? (high > 0 ? 1 : 0) : high <= 0 ? 0 : high / (high - low));
    }

    public long samples() {
        return samples;
    }

    /** The share of the stretch that the samples speak of, 0 to 1. */
    public double covered() {
        return to <= from ? 0 : coveredHours * MILLIS_AN_HOUR / (to - from);
    }

    /** The figure; empty where too little was measured for it. */
    public OptionalDouble figure(SeriesSummary summary) {
        boolean walked = coveredHours == 0;
        if (samples == 0 || (!walked && covered() < LEAST_COVERED)) {
            return OptionalDouble.empty();
        }
        return switch (summary) {
            case MEAN -> OptionalDouble.of(walked ? sum / samples : areaHours / coveredHours);
            case LOWEST -> OptionalDouble.of(lowest);
            case HIGHEST -> OptionalDouble.of(highest);
            case AREA -> walked ? OptionalDouble.empty() : OptionalDouble.of(areaHours / HOURS_A_DAY);
            case HOURS_ABOVE -> walked ? OptionalDouble.empty() : OptionalDouble.of(hoursAbove);
            case BY_HAND -> OptionalDouble.empty();
        };
    }
}
