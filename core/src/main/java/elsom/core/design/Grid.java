package elsom.core.design;

import elsom.core.quantity.Bounds;
import elsom.core.trial.Container;
import java.util.List;

/** How many places a bench has. */
public record Grid(int rows, int columns) {
    /** Room between rims, for a hand and for air. */
    public static final double GAP_CM = 2.5;

    public static final int MOST = Bounds.PLACES_ALONG - 2;

    /**
     * The grid of a bench on which places are as large as the largest container and its gap.
     *
     * @param lengthCm along a row
     * @throws IllegalArgumentException if not one container fits
     */
    public static Grid fitting(double lengthCm, double depthCm, List<Container> containers) {
        int columns = fit(lengthCm, pitchX(containers));
        int rows = fit(depthCm, pitchY(containers));
        if (columns < 1 || rows < 1) {
            throw new IllegalArgumentException("no container fits on a bench of " + lengthCm + " × " + depthCm
                    + " cm; places are " + pitchX(containers) + " × " + pitchY(containers) + " cm");
        }
        int across = Math.min(MOST, columns);
        return new Grid(Math.min(Math.min(MOST, rows), Bounds.PLACES / across), across);
    }

    /** The last container needs no gap behind it. */
    private static int fit(double lengthCm, double pitch) {
        return (int) Math.floor((lengthCm + GAP_CM) / pitch + 1e-9);
    }

    /** From the middle of a place to the next along a row, in cm. */
    public static double pitchX(List<Container> containers) {
        return containers.stream().mapToDouble(Container::topLengthCm).max().orElse(10) + GAP_CM;
    }

    /** From the middle of a row to the next, in cm. */
    public static double pitchY(List<Container> containers) {
        return containers.stream().mapToDouble(Container::topWidthCm).max().orElse(10) + GAP_CM;
    }

    /** The same with a ring of guard places around it. */
    public Grid guarded() {
        return new Grid(rows + 2, columns + 2);
    }
}
