package elsom.core.curve;

/** One dose of a quantal trial: affected of n; dose 0 is the control. */
public record QuantalLevel(double dose, int n, int affected) {
    public QuantalLevel {
        if (!(dose >= 0) || Double.isInfinite(dose) || n < 1 || affected < 0 || affected > n) {
            throw new IllegalArgumentException(
                    "a dose must be 0 or more and affected 0 to n, got " + affected + " of " + n + " at dose " + dose);
        }
    }

    public double share() {
        return (double) affected / n;
    }

    double logDose() {
        return Math.log10(dose);
    }
}
