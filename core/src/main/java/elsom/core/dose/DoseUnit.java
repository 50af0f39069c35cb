package elsom.core.dose;

/**
 * One unit of a dose series.
 *
 * @param arm index of its treatment among the trial's
 * @param dose 0 for the control
 * @param value what was read; of a count the share, 0 to 1
 * @param n what a count is of; 0 for what is no count
 */
public record DoseUnit(String unit, int arm, double dose, double value, int n) {
    public DoseUnit {
        if (!(dose >= 0) || Double.isInfinite(dose) || !Double.isFinite(value)) {
            throw new IllegalArgumentException(
                    "a dose must be 0 or more and what was read finite, got " + dose + " and " + value);
        }
    }
}
