package elsom.core.sim;

import elsom.core.quantity.Decimals;
import elsom.core.series.Measurand;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.SplittableRandom;

/**
 * A simulated laboratory: it answers a slip some days later, with one value a sample. The same sample always has the same
 * value.
 */
public final class LabAnswer {
    /** What it can be asked for. */
    public static final List<Measurand> MEASURES = List.of(Measurand.PH, Measurand.EC, Measurand.SODIUM);

    /** How long it takes. */
    public static final Duration TAKES = Duration.ofDays(3);

    private static final double SCATTER = 0.06;

    private LabAnswer() {}

    /** When a slip is answered. */
    public static Instant ready(Instant sent) {
        return sent.plus(TAKES);
    }

    /**
     * The value of a sample, as its sheet prints it.
     *
     * @param treatment 1-based; later ones are saltier
     */
    public static String value(Measurand what, String unit, int treatment, int slip) {
        double noise = SCATTER
                * (2
                                * new SplittableRandom(unit.hashCode() * 131L
                                                + slip * 7L
                                                + what.name().hashCode())
                                        .nextDouble()
                        - 1);
        double value = switch (what) {
            case PH -> 6.4 - 0.1 * treatment + noise * 4;
            case EC -> (0.5 + 0.6 * treatment) * (1 + noise);
            default -> (40 + 180 * (treatment - 1)) * (1 + noise);
        };
        return Decimals.fixed(value, what.decimals());
    }
}
