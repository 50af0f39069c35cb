package elsom.core.chemistry;

import elsom.core.stats.Outcome;

/** How much of the water given must drain, so that salt does not build up beyond what a crop bears. Shares of the water. */
public final class Leaching {
    private Leaching() {}

    /**
     * By balance, salt in as salt out at rest: {@code EC_w / EC_d}.
     *
     * @param water EC of the water given, mS/cm
     * @param drain EC that what drains may have, mS/cm
     * @return not estimable when the water is saltier than what may drain
     */
    public static Outcome<Double> byDrain(double water, double drain) {
        check(water, drain);
        return water < drain
                ? Outcome.found(water / drain)
                : Outcome.notEstimable("The water is as salty as what may drain: no leaching is enough");
    }

    /**
     * By the extract, {@code EC_w / (5 EC_e − EC_w)} (Rhoades 1974; Ayers & Westcot 1985).
     *
     * @param extract EC of the saturated extract that the crop bears, mS/cm
     * @return not estimable when it would be the whole of the water or more
     */
    public static Outcome<Double> byExtract(double water, double extract) {
        check(water, extract);
        double share = water / (5 * extract - water);
        return share > 0 && share < 1
                ? Outcome.found(share)
                : Outcome.notEstimable("The water is too salty for that crop: no leaching is enough");
    }

    private static void check(double water, double other) {
        if (!(water > 0) || !(other > 0) || Double.isInfinite(water + other)) {
            throw new IllegalArgumentException("EC must be above 0, got " + water + " and " + other);
        }
    }
}
