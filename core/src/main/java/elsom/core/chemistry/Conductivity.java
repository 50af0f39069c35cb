package elsom.core.chemistry;

/** Conductivity at the temperature it is compared at. */
public final class Conductivity {
    public static final double REFERENCE_C = 25;

    /** Share by which dilute salt water conducts more for each degree (Richards 1954, handbook 60, table 15). */
    public static final double PER_DEGREE = 0.0191;

    private Conductivity() {}

    /**
     * What a meter without temperature correction would have shown at 25 °C.
     *
     * @param ec as shown
     * @param celsius of the water, 0 to 60
     */
    public static double at25(double ec, double celsius) {
        return ec / (1 + PER_DEGREE * (celsius - REFERENCE_C));
    }
}
