package elsom.core.trial;

import elsom.core.quantity.Bounds;

/**
 * A pot, tray or bowl, by its inner measures in centimetres. Round ones have length and width both equal to the
 * diameter; a bowl is a spherical cap and has no base.
 *
 * @param name as on the shelf, unique in the library
 */
public record Container(
        String name,
        ContainerShape shape,
        Outline outline,
        double depthCm,
        double topLengthCm,
        double topWidthCm,
        double baseLengthCm,
        double baseWidthCm) {
    public static final double SMALLEST_CM = 0.1;
    public static final double LARGEST_CM = 300;

    public Container {
        Bounds.name("a container's name", name, Bounds.NAME);
        Bounds.present("a container's shape", shape);
        Bounds.present("a container's outline", outline);
        requireSize("depth", depthCm);
        requireSize("top", topLengthCm);
        requireSize("top", topWidthCm);
        if (shape != ContainerShape.BOWL) {
            requireSize("base", baseLengthCm);
            requireSize("base", baseWidthCm);
        } else if (outline != Outline.ROUND || depthCm > topLengthCm / 2) {
            throw new IllegalArgumentException("a bowl is round and at most half as deep as it is wide");
        }
        if (outline == Outline.ROUND && (topLengthCm != topWidthCm || baseLengthCm != baseWidthCm)) {
            throw new IllegalArgumentException("a round container has one diameter at its top and one at its base");
        }
    }

    private static void requireSize(String what, double cm) {
        Bounds.number("container " + what + " in cm", cm, SMALLEST_CM, LARGEST_CM);
    }

    public static Container straightRound(String name, double depthCm, double diameterCm) {
        return new Container(
                name, ContainerShape.STRAIGHT, Outline.ROUND, depthCm, diameterCm, diameterCm, diameterCm, diameterCm);
    }

    public static Container taperedRound(String name, double depthCm, double topCm, double baseCm) {
        return new Container(name, ContainerShape.TAPERED, Outline.ROUND, depthCm, topCm, topCm, baseCm, baseCm);
    }

    public static Container tray(String name, double depthCm, double lengthCm, double widthCm) {
        return new Container(
                name, ContainerShape.STRAIGHT, Outline.RECTANGULAR, depthCm, lengthCm, widthCm, lengthCm, widthCm);
    }

    /** A spherical cap: curved all the way down. */
    public static Container bowl(String name, double depthCm, double topCm) {
        return new Container(name, ContainerShape.BOWL, Outline.ROUND, depthCm, topCm, topCm, 0, 0);
    }

    /**
     * The inner cross-section in cm² at a height above the base.
     *
     * @throws IllegalArgumentException if the height is outside the container
     */
    public double areaCm2(double heightCm) {
        if (!(heightCm >= 0 && heightCm <= depthCm)) {
            throw new IllegalArgumentException("height must be 0 to " + depthCm + " cm, got " + heightCm);
        }
        if (shape == ContainerShape.BOWL) {
            double sphereRadius = (topLengthCm * topLengthCm / 4 + depthCm * depthCm) / (2 * depthCm);
            return Math.PI * heightCm * (2 * sphereRadius - heightCm);
        }
        double up = heightCm / depthCm;
        double length = baseLengthCm + up * (topLengthCm - baseLengthCm);
        double width = baseWidthCm + up * (topWidthCm - baseWidthCm);
        return (outline == Outline.ROUND ? Math.PI / 4 : 1) * length * width;
    }

    /** The volume in mL up to a height; Simpson's rule is exact here, as every section is at most quadratic in height. */
    public double volumeMl(double heightCm) {
        return heightCm / 6 * (areaCm2(0) + 4 * areaCm2(heightCm / 2) + areaCm2(heightCm));
    }

    /** The volume in mL when filled to the brim. */
    public double volumeMl() {
        return volumeMl(depthCm);
    }
}
