package elsom.core.meter;

import elsom.core.quantity.Decimals;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What a meter shows in known solutions, judged: slopes of 95 to 103 % of the ideal are good, from 90 % fair, as makers of
 * electrodes and guides for greenhouse water have it, and so is a middle buffer shown within 0.2 and within 0.5 pH; an EC cell within 5 % is good, within 10 % fair.
 *
 * @param slopePercent the worst of the slopes between neighbouring solutions, or of the ratios shown to true
 * @param off by how much it is off in the middle solution, in its unit
 */
public record MeterCheck(MeterKind kind, Grade grade, double slopePercent, double off) {
    private static final double GOOD_LOW = 95;
    private static final double GOOD_HIGH = 103;
    private static final double FAIR_LOW = 90;
    private static final double GOOD_OFF = 0.2;
    private static final double FAIR_OFF = 0.5;
    /** No electrode is this steep, nor this flat: something else was typed. */
    private static final double NO_SLOPE_LOW = 50;

    private static final double NO_SLOPE_HIGH = 150;
    private static final double EC_GOOD = 5;
    private static final double EC_FAIR = 10;

    /** Whether it can be measured with. */
    public enum Grade {
        GOOD("good"),
        FAIR("fair"),
        BAD("not to be used");

        private final String label;

        Grade(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * Judges a meter.
     *
     * @param shown in the kind's solutions, in their order; the last may be left out
     * @throws IllegalArgumentException when there are too few or too many, or they don't rise with their solutions
     */
    public static MeterCheck of(MeterKind kind, List<Double> shown) {
        int least = kind == MeterKind.PH ? 2 : 1;
        if (shown.size() < least || shown.size() > kind.solutions().size()) {
            throw new IllegalArgumentException("a " + kind.label() + " is checked in " + least + " to "
                    + kind.solutions().size() + " solutions, got " + shown.size());
        }
        for (int i = 1; i < shown.size(); i++) {
            if (!(shown.get(i) > shown.get(i - 1))) {
                throw new IllegalArgumentException(
                        "it must show more in " + Decimals.upTo(kind.solutions().get(i), 3) + " than in "
                                + Decimals.upTo(kind.solutions().get(i - 1), 3));
            }
        }
        return kind == MeterKind.PH ? ph(shown) : ec(shown);
    }

    private static double worstSlope(List<Double> shown) {
        List<Double> buffers = MeterKind.PH.solutions();
        double worst = 100;
        for (int i = 1; i < shown.size(); i++) {
            double slope = 100 * (shown.get(i) - shown.get(i - 1)) / (buffers.get(i) - buffers.get(i - 1));
            worst = Math.abs(slope - 100) >= Math.abs(worst - 100) ? slope : worst;
        }
        return worst;
    }

    /** Why what a pH meter shows is no electrode's: a slope so steep, or so flat, that something else was typed. */
    public static Optional<String> strange(List<Double> shown) {
        double worst = worstSlope(shown);
        return worst < NO_SLOPE_LOW || worst > NO_SLOPE_HIGH
                ? Optional.of(
                        "that is a slope of " + Decimals.fixed(worst, 0) + " %, which no electrode has: are these its"
                                + " readings in pH, in "
                                + MeterKind.PH.solutions().stream()
                                        .limit(shown.size())
                                        .map(buffer -> Decimals.fixed(buffer, 2))
                                        .collect(Collectors.joining(" and "))
                                + ", in this order?")
                : Optional.empty();
    }

    private static MeterCheck ph(List<Double> shown) {
        List<Double> buffers = MeterKind.PH.solutions();
        double worst = worstSlope(shown);
        strange(shown).ifPresent(why -> {
            throw new IllegalArgumentException(why);
        });
        double off = shown.get(1) - buffers.get(1);
        double away = Math.abs(off);
        Grade grade = worst >= GOOD_LOW && worst <= GOOD_HIGH && away <= GOOD_OFF
                ? Grade.GOOD
                : worst >= FAIR_LOW && worst <= GOOD_HIGH && away <= FAIR_OFF ? Grade.FAIR : Grade.BAD;
        return new MeterCheck(MeterKind.PH, grade, worst, off);
    }

    private static MeterCheck ec(List<Double> shown) {
        double worst = 100;
        for (int i = 0; i < shown.size(); i++) {
            double ratio = 100 * shown.get(i) / MeterKind.EC.solutions().get(i);
            worst = Math.abs(ratio - 100) >= Math.abs(worst - 100) ? ratio : worst;
        }
        double away = Math.abs(worst - 100);
        return new MeterCheck(
                MeterKind.EC,
                away <= EC_GOOD ? Grade.GOOD : away <= EC_FAIR ? Grade.FAIR : Grade.BAD,
                worst,
                shown.get(0) - MeterKind.EC.solutions().get(0));
    }

    /** What is to be done, as a sentence. */
    public String advice() {
        return switch (grade) {
            case GOOD -> "The meter is good.";
            case FAIR -> "It will do for now: calibrate it, and clean the electrode soon.";
            case BAD -> "Don't measure with it: clean the electrode, take fresh solutions, calibrate, look again.";
        };
    }

    /** The slope or ratio in a word: "slope 97.2 %". */
    public String words() {
        return (kind == MeterKind.PH ? "slope " : "shows ") + Decimals.fixed(slopePercent, 1) + " %"
                + (kind == MeterKind.PH ? "" : " of the standard");
    }
}
