package elsom.core.column;

import elsom.core.trial.Container;
import elsom.core.water.RetentionCurve;
import java.util.List;

/** A pot beside others of the same medium that differ from it in one thing each. */
public final class SideBySide {
    /** The usual pot's width, cm. */
    private static final double WIDTH = 11;

    /** A bowl is at most half as deep as wide. */
    private static final double BOWL_WIDTH = 2.4;

    /** Of a tapered pot about as large as the straight one. */
    private static final double WIDE_TOP = 1.15;

    private static final double NARROW_BASE = 0.8;

    private SideBySide() {}

    /** A pot with what is special about it. */
    public record Pot(String name, DrainedPot drained) {}

    /**
     * The pot as it is, with gravel at its bottom, half as deep with the same volume, twice as deep with the same volume,
     * tapered, and a bowl of half the depth.
     *
     * @param depthCm of the usual pot, 2 to 60
     * @param gravelCm of the drainage layer; 0 shows none
     */
    public static List<Pot> of(double depthCm, RetentionCurve medium, double gravelCm) {
        double layer = Math.min(gravelCm, depthCm * 0.8);
        return List.of(
                new Pot("as it is", DrainedPot.of(straight(depthCm, WIDTH), medium, 0)),
                new Pot("gravel below", DrainedPot.of(straight(depthCm, WIDTH), medium, layer)),
                new Pot("half as deep", DrainedPot.of(straight(depthCm / 2, WIDTH * Math.sqrt(2)), medium, 0)),
                new Pot("twice as deep", DrainedPot.of(straight(depthCm * 2, WIDTH / Math.sqrt(2)), medium, 0)),
                new Pot(
                        "tapered",
                        DrainedPot.of(
                                Container.taperedRound("pot", depthCm, WIDTH * WIDE_TOP, WIDTH * NARROW_BASE),
                                medium,
                                0)),
                new Pot(
                        "a bowl",
                        DrainedPot.of(Container.bowl("bowl", depthCm / 2, depthCm / 2 * BOWL_WIDTH), medium, 0)));
    }

    private static Container straight(double depth, double width) {
        return Container.straightRound("pot", depth, width);
    }
}
