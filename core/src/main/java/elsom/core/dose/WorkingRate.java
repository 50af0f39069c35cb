package elsom.core.dose;

import elsom.core.quantity.Decimals;
import elsom.core.stats.Outcome;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The dose that can be worked with: the lesser of the highest dose without harm and the lower limit of EC10, divided by a
 * safety factor.
 *
 * @param basis what was divided, and by what name
 * @param factor 1 or more
 * @param between the tested doses around it, the control's 0 among them; the same twice where it was tested itself
 */
public record WorkingRate(double rate, double basis, Basis of, double factor, Between between) {
    public static final double USUAL_FACTOR = 2;
    public static final double LARGEST_FACTOR = 1000;

    /** What the rate is taken from. */
    public enum Basis {
        NOEC("the highest strength without harm (NOEC)"),
        EC10("the lower limit of EC10");

        private final String label;

        Basis(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** Tested doses on both sides. */
    public record Between(double low, double high) {
        public boolean tested() {
            return low == high;
        }
    }

    /**
     * The rate.
     *
     * <p>A NOEC of too few units is a dose at which nobody could have seen harm; it is worked with only where a curve
     * bounds the harm at it, since the lesser of the two is taken.
     *
     * @return not estimable with the reason in words, where the control can't be relied on, the lowest dose did harm, or
     *     harm that matters could have been missed
     * @throws IllegalArgumentException if the factor is below 1 or above 1000
     */
    public static Outcome<WorkingRate> of(DoseEffect effect, double factor) {
        if (!(factor >= 1 && factor <= LARGEST_FACTOR)) {
            throw new IllegalArgumentException("a safety factor is 1 to 1000, got " + Decimals.upTo(factor, 4));
        }
        DoseEffect.Tested tested = effect.tested();
        if (tested.refused().isPresent()) {
            return Outcome.notEstimable(tested.refused().get());
        }
        if (tested.noec().isEmpty()) {
            return Outcome.notEstimable("Even the lowest strength tested did harm: test weaker ones");
        }
        double noec = tested.noec().getAsDouble();
        OptionalDouble ec10 = lowerEc10(effect);
        if (ec10.isEmpty() && !effect.proven()) {
            return Outcome.notEstimable("At " + Decimals.upTo(noec, 4)
                    + " no harm was shown, but so few or so uneven units could have missed it: more units of each"
                    + " strength, or strengths that do harm, would tell");
        }
        boolean byCurve = ec10.isPresent() && ec10.getAsDouble() < noec;
        double basis = byCurve ? ec10.getAsDouble() : noec;
        double rate = basis / factor;
        return Outcome.found(new WorkingRate(
                rate, basis, byCurve ? Basis.EC10 : Basis.NOEC, factor, between(effect.levels(), rate)));
    }

    private static OptionalDouble lowerEc10(DoseEffect effect) {
        Optional<DoseCurve.Effective> found = effect.effective(10);
        return found.isPresent() ? OptionalDouble.of(found.get().interval95().low()) : OptionalDouble.empty();
    }

    private static Between between(List<DoseEffect.Level> levels, double rate) {
        double low = 0;
        double high = Double.POSITIVE_INFINITY;
        for (DoseEffect.Level level : levels) {
            if (Math.abs(level.dose() - rate) <= 1e-9 * rate) {
                return new Between(level.dose(), level.dose());
            }
            low = level.dose() < rate ? Math.max(low, level.dose()) : low;
            high = level.dose() > rate ? Math.min(high, level.dose()) : high;
        }
        return new Between(low, high);
    }
}
