package elsom.core.column;

import elsom.core.stats.Outcome;
import elsom.core.water.RetentionCurve;
import elsom.core.water.WaterColumn;
import java.util.function.DoubleUnaryOperator;

/**
 * A medium's curve from what drained containers hold. The mean water of a container is that of the curve over the heights in it
 * (Fonteno 1989), so one depth gives the size of the pores when their range is taken as typical, and two depths give both.
 */
public final class FittedMedium {
    /** Water that stays in at any suction a pot has, as a share of the pores: of typical media, judged by us. */
    private static final double RESIDUAL_SHARE = 0.12;

    private static final double LEAST_ALPHA = 1e-4;
    /** Pores of a centimetre and more; beyond that the two weighings tell of something else than pores. */
    private static final double MOST_ALPHA = 10;

    private static final double LEAST_N = 1.05;
    private static final double MOST_N = 8;
    /** To a millionth of what is looked for. */
    private static final int SHAPE_HALVINGS = 24;

    private static final int SIZE_HALVINGS = 30;
    private static final int TEXTURE_HALVINGS = 20;
    private static final double SETTLED = 1e-4;

    private FittedMedium() {}

    /**
     * What a straight container held after draining.
     *
     * @param depthCm of the medium
     * @param water mean by volume, 0 to 1
     */
    public record Held(double depthCm, double water) {
        public Held {
            if (!(depthCm > 0 && depthCm <= 300) || !(water > 0 && water < 1)) {
                throw new IllegalArgumentException(
                        "a container has a depth above 0 and water between 0 and 1, got " + depthCm + " and " + water);
            }
        }
    }

    /** Mean water by volume of a straight container of a depth. */
    public static double water(RetentionCurve medium, double depthCm) {
        return WaterColumn.meanWater(new WaterColumn.Layer(0, depthCm, medium), z -> 1);
    }

    /**
     * From one depth: the typical medium whose pores, as many as these, hold as much.
     *
     * @param pores share of the volume, water and air together
     */
    public static Outcome<RetentionCurve> oneHeight(Held held, double pores) {
        if (!(pores > held.water() && pores <= 1)) {
            return Outcome.notEstimable("Water and air together must be more than the water, and 100 % at most");
        }
        DoubleUnaryOperator water = coarse -> water(typical(coarse, pores), held.depthCm());
        if (water.applyAsDouble(0) < held.water() || water.applyAsDouble(1) > held.water()) {
            return Outcome.notEstimable("It holds more or less than any typical medium with such pores");
        }
        double fine = 0;
        double coarse = 1;
        for (int i = 0; i < TEXTURE_HALVINGS; i++) {
            double middle = (fine + coarse) / 2;
            if (water.applyAsDouble(middle) > held.water()) {
                fine = middle;
            } else {
                coarse = middle;
            }
        }
        return Outcome.found(typical((fine + coarse) / 2, pores));
    }

    /** A typical medium with its pores scaled to as many as there are. */
    private static RetentionCurve typical(double coarse, double pores) {
        RetentionCurve usual = TypicalMedium.of(coarse);
        return new RetentionCurve(usual.residual() * pores / usual.saturated(), pores, usual.alphaPerCm(), usual.n());
    }

    /**
     * From two depths of the same medium, filled alike.
     *
     * @param pores share of the volume, water and air together
     * @return not estimable when the deeper one does not hold clearly less by volume, or the two fit no curve
     */
    public static Outcome<RetentionCurve> twoHeights(Held one, Held other, double pores) {
        boolean inOrder = one.depthCm() <= other.depthCm();
        Held shallow = inOrder ? one : other;
        Held deep = inOrder ? other : one;
        if (!(deep.depthCm() >= 1.3 * shallow.depthCm())) {
            return Outcome.notEstimable("The two containers are too alike in depth: one should be half as deep again");
        }
        if (!(pores > shallow.water() && pores <= 1)) {
            return Outcome.notEstimable("Pores must be more than the water held, and 100 % at most");
        }
        if (!(deep.water() < shallow.water())) {
            return Outcome.notEstimable(
                    "The deeper container does not hold less by volume: filled unlike, or not drained to the end");
        }
        // With a wider range of pores (a smaller n) the deep container differs less from the shallow one.
        double narrow = MOST_N;
        double wide = LEAST_N;
        for (int i = 0; i < SHAPE_HALVINGS; i++) {
            double n = (narrow + wide) / 2;
            if (water(through(shallow, pores, n), deep.depthCm()) < deep.water()) {
                narrow = n;
            } else {
                wide = n;
            }
        }
        RetentionCurve found = through(shallow, pores, (narrow + wide) / 2);
        boolean fits = Math.abs(water(found, shallow.depthCm()) - shallow.water()) < SETTLED
                && Math.abs(water(found, deep.depthCm()) - deep.water()) < SETTLED;
        return fits
                ? Outcome.found(found)
                : Outcome.notEstimable("No curve holds so much in both: one was filled unlike, or weighed wrong");
    }

    /** The curve of a shape n whose mean over a depth is what was held. */
    private static RetentionCurve through(Held held, double pores, double n) {
        double low = LEAST_ALPHA;
        double high = MOST_ALPHA;
        for (int i = 0; i < SIZE_HALVINGS; i++) {
            double alpha = Math.sqrt(low * high);
            if (water(curve(pores, alpha, n), held.depthCm()) > held.water()) {
                low = alpha;
            } else {
                high = alpha;
            }
        }
        return curve(pores, Math.sqrt(low * high), n);
    }

    private static RetentionCurve curve(double pores, double alpha, double n) {
        return new RetentionCurve(RESIDUAL_SHARE * pores, pores, alpha, n);
    }
}
