package elsom.core.sim;

import elsom.core.chemistry.Sodium;
import elsom.core.quantity.Decimals;
import elsom.core.series.Measurand;
import elsom.core.truth.Living;
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
    public static final List<Measurand> MEASURES = List.of(
            Measurand.PH, Measurand.EC, Measurand.SODIUM, Measurand.CALCIUM, Measurand.MAGNESIUM, Measurand.ESP);

    /** How long it takes. */
    public static final Duration TAKES = Duration.ofDays(3);

    private static final double SCATTER = 0.06;

    /** Of common salt about 200 mg/L of sodium go with each mS/cm, beyond what other salts make up. */
    private static final double SODIUM_PER_MS = 200;

    private static final double OTHER_SALTS_MS = 1;
    private static final double LITTLE_SODIUM = 30;

    /** Of a medium that was limed, mg/L of its extract. */
    private static final double CALCIUM = 120;

    private static final double MAGNESIUM = 36;

    private LabAnswer() {}

    /** When a slip is answered. */
    public static Instant ready(Instant sent) {
        return sent.plus(TAKES);
    }

    /**
     * The value of a sample, as its sheet prints it.
     *
     * @param living what the unit's plants live in
     */
    public static String value(Measurand what, String unit, Living living, int slip) {
        double noise = SCATTER
                * (2
                                * new SplittableRandom(unit.hashCode() * 131L
                                                + slip * 7L
                                                + what.name().hashCode())
                                        .nextDouble()
                        - 1);
        double value = switch (what) {
            case PH -> living.at().ph() + noise * 4;
            case EC -> living.at().ecMs() * (1 + noise);
            case CALCIUM -> CALCIUM * (1 + noise);
            case MAGNESIUM -> MAGNESIUM * (1 + noise);
            case ESP ->
                Sodium.exchangeablePercent(Sodium.ratio(
                                        sodium(living) / Sodium.SODIUM_MG,
                                        CALCIUM / Sodium.CALCIUM_MG,
                                        MAGNESIUM / Sodium.MAGNESIUM_MG)
                                .asOptional()
                                .orElseThrow())
                        * (1 + noise);
            default -> sodium(living) * (1 + noise);
        };
        return Decimals.fixed(value, what.decimals());
    }

    private static double sodium(Living living) {
        return Math.max(LITTLE_SODIUM, SODIUM_PER_MS * (living.at().ecMs() - OTHER_SALTS_MS));
    }
}
