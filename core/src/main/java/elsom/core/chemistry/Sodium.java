package elsom.core.chemistry;

import elsom.core.stats.Outcome;

/** Sodium in water and soil (Richards 1954, Handbook 60). */
public final class Sodium {
    /** mg in a milliequivalent. */
    public static final double SODIUM_MG = 22.99;

    public static final double CALCIUM_MG = 20.04;
    public static final double MAGNESIUM_MG = 12.15;

    /** Share of exchangeable sodium from which soils usually lose their structure, in percent. */
    public static final double SODIC_ESP = 15;

    private Sodium() {}

    /**
     * Sodium adsorption ratio, {@code Na / √((Ca + Mg)/2)}.
     *
     * @param sodium and others: meq/L
     * @return not estimable without any calcium or magnesium
     */
    public static Outcome<Double> ratio(double sodium, double calcium, double magnesium) {
        if (!(sodium >= 0) || !(calcium >= 0) || !(magnesium >= 0)) {
            throw new IllegalArgumentException(
                    "ions must be 0 or more, got " + sodium + ", " + calcium + " and " + magnesium);
        }
        return calcium + magnesium > 0
                ? Outcome.found(sodium / Math.sqrt((calcium + magnesium) / 2))
                : Outcome.notEstimable("Without calcium and magnesium there is no ratio");
    }

    /** Exchangeable sodium in percent, by its ratio: {@code 100 q/(1 + q), q = −0.0126 + 0.01475 SAR}; never below 0. */
    public static double exchangeablePercent(double ratio) {
        double q = -0.0126 + 0.01475 * ratio;
        return Math.max(0, 100 * q / (1 + q));
    }
}
