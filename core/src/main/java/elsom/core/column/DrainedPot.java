package elsom.core.column;

import elsom.core.trial.Container;
import elsom.core.water.RetentionCurve;
import elsom.core.water.WaterColumn;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * A filled container when it has stopped dripping: suction in the medium is the height above where free water stands. Under a
 * layer of coarse gravel that is the top of the gravel, but for the little it can lift: water hangs above it as above a hole
 * (a capillary break).
 *
 * @param gravelCm of drainage layer at the bottom
 * @param water by volume, mean over the medium
 * @param waterMl in the medium
 * @param mediumMl of medium that there is room for
 * @param wetFootCm height above the container's bottom below which air is less than a tenth
 * @param levels water by volume at heights, from the bottom of the medium to its top
 */
public record DrainedPot(
        Container container,
        double gravelCm,
        double water,
        double waterMl,
        double mediumMl,
        double wetFootCm,
        List<Level> levels) {
    /** Suction that coarse gravel bears before it lets go of water, cm. */
    static final double GRAVEL_LIFTS_CM = 0.5;

    /** Least air by volume that roots live with. */
    static final double LEAST_AIR = 0.10;

    private static final int LEVELS = 24;
    private static final int SECTIONS = 16;
    private static final int HALVINGS = 50;

    /** Half the width at a height above the container's bottom, cm. */
    public record Section(double heightCm, double radiusCm) {}

    /** Water by volume at a height above the container's bottom. */
    public record Level(double heightCm, double water) {}

    public DrainedPot {
        levels = List.copyOf(levels);
    }

    /**
     * The pot.
     *
     * @throws IllegalArgumentException if the gravel leaves no room for medium
     */
    public static DrainedPot of(Container container, RetentionCurve medium, double gravelCm) {
        double depth = container.depthCm();
        if (!(gravelCm >= 0 && gravelCm < depth)) {
            throw new IllegalArgumentException(
                    "a drainage layer is 0 to below the depth of " + depth + " cm, got " + gravelCm);
        }
        double hangs = gravelCm - Math.min(gravelCm, GRAVEL_LIFTS_CM);
        WaterColumn.Layer layer = new WaterColumn.Layer(gravelCm - hangs, depth - hangs, medium);
        // The column counts heights from where water stands free; the container from its own bottom.
        double waterMl = WaterColumn.waterMl(layer, z -> container.areaCm2(Math.min(depth, z + hangs)));
        double mediumMl = WaterColumn.volumeMl(layer, z -> container.areaCm2(Math.min(depth, z + hangs)));
        List<Level> levels = new ArrayList<>();
        for (int i = 0; i <= LEVELS; i++) {
            double height = gravelCm + (depth - gravelCm) * i / LEVELS;
            levels.add(new Level(height, medium.waterAt(Math.max(0, height - hangs))));
        }
        return new DrainedPot(
                container,
                gravelCm,
                waterMl / mediumMl,
                waterMl,
                mediumMl,
                wetFoot(medium, depth, gravelCm, hangs),
                levels);
    }

    private static double wetFoot(RetentionCurve medium, double depth, double gravelCm, double hangs) {
        double low = gravelCm;
        double high = depth;
        if (airy(medium, low - hangs)) {
            return gravelCm;
        }
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (airy(medium, middle - hangs)) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return high;
    }

    private static boolean airy(RetentionCurve medium, double suction) {
        return medium.saturated() - medium.waterAt(Math.max(0, suction)) >= LEAST_AIR;
    }

    /** Of the container's whole volume, what roots can use: medium above the wet foot. */
    public double airyMl() {
        return container.volumeMl() - container.volumeMl(Math.min(container.depthCm(), wetFootCm));
    }

    /** The same as a share of the container's volume. */
    public double airyShare() {
        return airyMl() / container.volumeMl();
    }

    /** How wide a round container of the same sections is at heights from its bottom to its rim. */
    public List<Section> sections() {
        return IntStream.rangeClosed(0, SECTIONS)
                .mapToDouble(i -> container.depthCm() * i / SECTIONS)
                .mapToObj(height -> new Section(height, Math.sqrt(container.areaCm2(height) / Math.PI)))
                .toList();
    }

    /** Air by volume, mean over the medium. */
    public double air(RetentionCurve medium) {
        return medium.saturated() - water;
    }
}
