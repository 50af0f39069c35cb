package elsom.core.seedling;

import elsom.core.stats.Outcome;

/** Injury or death corrected for that of the control (Abbott 1925). Fractions. */
public final class Abbott {
    private Abbott() {}

    /**
     * {@code (x − c)/(1 − c)}; below 0 when the treatment did better than the control.
     *
     * @return not estimable when the whole control was affected
     */
    public static Outcome<Double> corrected(double treatment, double control) {
        if (!(treatment >= 0 && treatment <= 1) || !(control >= 0 && control <= 1)) {
            throw new IllegalArgumentException("shares must be 0 to 1, got " + treatment + " and " + control);
        }
        return control < 1
                ? Outcome.found((treatment - control) / (1 - control))
                : Outcome.notEstimable("The whole control was affected, so nothing is left to correct by");
    }
}
