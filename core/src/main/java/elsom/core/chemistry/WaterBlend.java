package elsom.core.chemistry;

import elsom.core.stats.Outcome;

/**
 * Two waters mixed so that the blend stays under a limit of EC; conductivities are taken to mix by volume, which holds for
 * dilute waters.
 *
 * @param shareB of the saltier water by volume, 0 to 1
 * @param ec of the blend, mS/cm
 */
public record WaterBlend(double shareB, double ec) {
    /**
     * The most of water B that may be in a blend with water A.
     *
     * @param ecA and {@code ecB}: mS/cm, 0 or more
     * @param limit mS/cm, above 0
     * @return not estimable when even pure A is above the limit, or B is not the saltier one
     */
    public static Outcome<WaterBlend> under(double limit, double ecA, double ecB) {
        if (!(limit > 0) || !(ecA >= 0) || !(ecB >= 0)) {
            throw new IllegalArgumentException(
                    "EC must be 0 or more and the limit above 0, got " + ecA + ", " + ecB + " and " + limit);
        }
        if (ecA > ecB) {
            return Outcome.notEstimable("Water B must be the saltier one: change the two over");
        }
        if (ecA > limit) {
            return Outcome.notEstimable("Even water A alone is above the limit: no blend of the two stays under it");
        }
        double share = ecB <= limit ? 1 : (limit - ecA) / (ecB - ecA);
        return Outcome.found(new WaterBlend(share, ecA + share * (ecB - ecA)));
    }
}
