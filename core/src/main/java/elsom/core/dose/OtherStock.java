package elsom.core.dose;

/** A stock of another strength than the one that was tested. */
public final class OtherStock {
    private OtherStock() {}

    /**
     * The share of another stock that holds as much of the active as a share of the tested one.
     *
     * @param rate of the tested stock
     * @param tested what that stock holds, above 0, as a share or percent
     * @param other what the other holds, above 0, in the same
     * @return in the unit of {@code rate}
     */
    public static double sameActive(double rate, double tested, double other) {
        if (!(tested > 0 && other > 0)) {
            throw new IllegalArgumentException("stocks hold more than nothing, got " + tested + " and " + other);
        }
        return rate * tested / other;
    }
}
