package elsom.core.chemistry;

/**
 * What a crop bears, for the water given, for what drains, and for the saturated extract, all in mS/cm.
 *
 * @param threshold as the trial found it
 */
public record SaltLimit(double threshold, double ofWater, double drain, double extract) {
    /** What drains at the root is about twice as salty as the saturated extract (Ayers & Westcot 1985). */
    private static final double DRAIN_TO_EXTRACT = 2;

    /**
     * The limits.
     *
     * @param threshold mS/cm, above 0
     * @param byDrain whether it was measured in the drain water; else in the water given
     * @param drained share of the water that drains, above 0 and below 1
     */
    public static SaltLimit of(double threshold, boolean byDrain, double drained) {
        if (!(threshold > 0) || !(drained > 0 && drained < 1)) {
            throw new IllegalArgumentException(
                    "a threshold is above 0 and what drains a share, got " + threshold + " and " + drained);
        }
        double drain = byDrain ? threshold : threshold / drained;
        return new SaltLimit(threshold, byDrain ? threshold * drained : threshold, drain, drain / DRAIN_TO_EXTRACT);
    }
}
