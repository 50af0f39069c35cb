package elsom.core.material;

import elsom.core.chemistry.Extract;
import elsom.core.mix.Property;
import elsom.core.quantity.Bounds;
import elsom.core.quantity.Decimals;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.Arrays;

/**
 * One figure of a lot, with where it comes from.
 *
 * @param value in the property's unit; EC as of a 1:5 extract
 * @param said what stands behind it, such as "trial 4, drained" or "lab sheet 118, saturated medium"; may be empty
 * @param depthCm of the medium it was measured in, for what depends on depth; 0 otherwise
 * @param trial number of the trial that measured it; 0 for none
 */
public record LotFigure(
        Property property, double value, Origin origin, String said, LocalDate on, double depthCm, long trial) {
    /** How deep a medium usually stands when water and air are told without a depth, cm. */
    public static final double USUAL_DEPTH_CM = 10;

    /** What is said of how it was measured begins so. */
    static final String BY = "by ";

    private static final double DEEPEST_CM = 300;

    public LotFigure {
        Bounds.number(property.label(), value, 0, property.most());
        Bounds.note("where a figure comes from", said, Bounds.NOTE);
        Bounds.number("the depth", depthCm, 0, DEEPEST_CM);
        if (depthCm == 0 && property.byDepth()) {
            depthCm = USUAL_DEPTH_CM;
        }
    }

    /** A figure that has no depth and no trial. */
    public static LotFigure of(Property property, double value, Origin origin, String said, LocalDate on) {
        return new LotFigure(property, value, origin, said, on, 0, 0);
    }

    /** Whether it was measured in a medium of that depth, rather than told for any, or at another. */
    boolean measuredAt(double otherCm) {
        return property.byDepth()
                && (origin == Origin.MEASURED || origin == Origin.LAB)
                && Math.abs(depthCm - otherCm) < AtDepth.ALIKE_CM;
    }

    /** Whether it is an EC that was measured in another extract than it is told as, and carried over. */
    boolean carriedOver() {
        return property == Property.EC
                && Arrays.stream(Extract.values())
                        .filter(extract -> extract != Extract.ONE_TO_FIVE)
                        .anyMatch(extract -> said.endsWith(BY + extract.code()));
    }

    /** The same, whatever its trial's number is in this store. */
    public LotFigure untied() {
        return new LotFigure(property, value, origin, said, on, depthCm, 0);
    }

    /** The value with its unit. */
    public String shown() {
        return shown(property, value);
    }

    /** A value of a property with its unit. */
    public static String shown(Property property, double value) {
        return (Decimals.fixed(value, decimals(property)) + " " + property.unit()).strip();
    }

    /** A value to the digits that are shown of it. */
    static double rounded(Property property, double value) {
        return BigDecimal.valueOf(value)
                .setScale(decimals(property), RoundingMode.HALF_UP)
                .doubleValue();
    }

    private static int decimals(Property property) {
        return switch (property) {
            case WATER, AIR, DENSITY, NITROGEN -> 0;
            case PH -> 1;
            case EC -> 2;
            case PRICE -> 3;
        };
    }
}
