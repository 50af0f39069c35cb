package elsom.core.column;

import elsom.core.water.RetentionCurve;

/**
 * A typical medium between fine and coarse, for showing what a column does; a medium that was measured has a curve of its
 * own.
 */
public final class TypicalMedium {
    /** Of the finest and the coarsest, as sieved leaf mould and as grit usually are; judged by us. */
    private static final RetentionCurve FINEST = new RetentionCurve(0.12, 0.90, 0.03, 1.6);

    private static final RetentionCurve COARSEST = new RetentionCurve(0.05, 0.60, 0.70, 2.4);

    private TypicalMedium() {}

    /**
     * The curve.
     *
     * @param coarse 0 for the finest, 1 for the coarsest; pores grow by equal factors in between
     */
    public static RetentionCurve of(double coarse) {
        if (!(coarse >= 0 && coarse <= 1)) {
            throw new IllegalArgumentException("texture is 0 (fine) to 1 (coarse), got " + coarse);
        }
        return new RetentionCurve(
                between(FINEST.residual(), COARSEST.residual(), coarse),
                between(FINEST.saturated(), COARSEST.saturated(), coarse),
                FINEST.alphaPerCm() * Math.pow(COARSEST.alphaPerCm() / FINEST.alphaPerCm(), coarse),
                between(FINEST.n(), COARSEST.n(), coarse));
    }

    private static double between(double fine, double coarseOne, double share) {
        return fine + share * (coarseOne - fine);
    }
}
