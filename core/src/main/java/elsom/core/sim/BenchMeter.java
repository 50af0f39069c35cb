package elsom.core.sim;

import elsom.core.meter.MeterKind;
import elsom.core.quantity.Decimals;
import java.util.SplittableRandom;

/** A meter of pH or EC that is never quite right, as the simulated bench has one. */
public final class BenchMeter {
    private static final double DRIFT_AN_HOUR = 0.004;
    private static final double NOISE = 0.01;

    private BenchMeter() {}

    /** What is wrong with it. */
    public enum Fault {
        NONE("working", 0.985),
        OLD_ELECTRODE("an old electrode", 0.86),
        DRIED_OUT("dried out", 0.93);

        private final String label;
        private final double slope;

        Fault(String label, double slope) {
            this.label = label;
            this.slope = slope;
        }

        public String label() {
            return label;
        }
    }

    /**
     * What it shows in a solution.
     *
     * @param truth in the kind's unit
     * @param hours since it was last calibrated
     * @param seed of its noise
     */
    public static String shows(MeterKind kind, double truth, Fault fault, double hours, long seed) {
        double noise = NOISE * (2 * new SplittableRandom(seed).nextDouble() - 1);
        double value = kind == MeterKind.PH
                ? 7 + (truth - 7) * fault.slope + DRIFT_AN_HOUR * Math.min(24, hours) + noise
                : truth * fault.slope * (1 + noise);
        return Decimals.fixed(value, kind == MeterKind.PH ? 2 : 3);
    }
}
