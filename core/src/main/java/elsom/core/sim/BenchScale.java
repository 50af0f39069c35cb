package elsom.core.sim;

import elsom.core.quantity.Decimals;
import java.time.Duration;
import java.time.Instant;
import java.util.Random;

/**
 * A bench scale: noise, zero drift, a tare button, an upper limit and a lead that can be pulled. Immutable; the same
 * state, load and instant always give the same reading.
 *
 * @param tareG what it subtracts
 * @param zeroedAt when it was last zeroed; the zero drifts from then on
 */
public record BenchScale(ScaleFault fault, double tareG, Instant zeroedAt, long seed) {
    public static final double CAPACITY_G = 6000;
    private static final double RESOLUTION_G = 0.1;
    private static final double NOISE_G = 0.04;
    private static final double WIND_G = 4;
    private static final double HAND_G = 8000;
    private static final double DRIFT_G_PER_HOUR = 0.05;
    private static final double FAULTY_DRIFT_G_PER_HOUR = 60;
    private static final Duration SETTLING = Duration.ofMillis(400);

    public static BenchScale switchedOn(Instant now, long seed) {
        return new BenchScale(ScaleFault.NONE, 0, now, seed);
    }

    public BenchScale with(ScaleFault other, Instant now) {
        return new BenchScale(other, other == ScaleFault.NONE ? 0 : tareG, now, seed);
    }

    /** The tare button: whatever is on the pan now counts as nothing. */
    public BenchScale tare(double loadG, Instant now) {
        return new BenchScale(fault, fault == ScaleFault.UNPLUGGED ? tareG : loadG, now, seed);
    }

    /**
     * What it shows.
     *
     * @param loadG the true load on the pan
     * @param loadedAt when the load was put on
     */
    public ScaleReading read(double loadG, Instant loadedAt, Instant now) {
        if (fault == ScaleFault.UNPLUGGED) {
            return new ScaleReading.Silent("");
        }
        double onPan = loadG + (fault == ScaleFault.OVERLOADED ? HAND_G : 0);
        if (onPan > CAPACITY_G) {
            return new ScaleReading.Overload("0-Ld");
        }
        Random random = new Random(seed ^ now.toEpochMilli() * 0x9E3779B97F4A7C15L);
        double perHour = fault == ScaleFault.DRIFTING ? FAULTY_DRIFT_G_PER_HOUR : DRIFT_G_PER_HOUR;
        double drift = perHour * Duration.between(zeroedAt, now).toMillis() / 3_600_000.0;
        boolean moving =
                fault == ScaleFault.UNSTEADY || Duration.between(loadedAt, now).compareTo(SETTLING) < 0;
        double noise = random.nextGaussian() * (moving ? WIND_G : NOISE_G);
        double shown = Math.round((onPan - tareG + drift + noise) / RESOLUTION_G) * RESOLUTION_G;
        String display = Decimals.fixed(shown, 1);
        return moving ? new ScaleReading.Moving(display) : new ScaleReading.Steady(display, rounded(shown));
    }

    private static double rounded(double grams) {
        return Math.round(grams * 10) / 10.0;
    }
}
