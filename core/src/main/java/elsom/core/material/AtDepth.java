package elsom.core.material;

import elsom.core.column.FittedMedium;
import elsom.core.mix.Property;
import elsom.core.water.RetentionCurve;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a lot has in a container of some depth. Water and air were told at one depth; at another they follow from the curve of a
 * typical medium with as many pores that holds as much at the first ({@link FittedMedium#oneHeight}). Where no such curve is, the
 * figures stand as they were told.
 *
 * @param curve by which water and air are carried; empty when the lot was told at this depth, or has no curve
 */
public record AtDepth(Lot lot, double depthCm, Optional<RetentionCurve> curve) {
    private static final double WHOLE = 100;
    private static final double ALIKE_CM = 0.5;

    public static AtDepth of(Lot lot, double depthCm) {
        Optional<LotFigure> water = lot.best(Property.WATER);
        boolean there = water.isEmpty() || Math.abs(water.get().depthCm() - depthCm) < ALIKE_CM;
        return new AtDepth(lot, depthCm, there ? Optional.empty() : curve(lot));
    }

    /** The curve of a lot by its water and air at the depth they were told at; empty without both, or when none fits. */
    public static Optional<RetentionCurve> curve(Lot lot) {
        Optional<LotFigure> water = lot.best(Property.WATER);
        OptionalDouble air = lot.value(Property.AIR);
        if (water.isEmpty() || air.isEmpty()) {
            return Optional.empty();
        }
        double share = water.get().value() / WHOLE;
        return share > 0 && share < 1
                ? FittedMedium.oneHeight(
                                new FittedMedium.Held(water.get().depthCm(), share),
                                Math.min(1, share + air.getAsDouble() / WHOLE))
                        .asOptional()
                : Optional.empty();
    }

    /** A property's value; empty when it is not known. */
    public OptionalDouble value(Property property) {
        OptionalDouble told = lot.value(property);
        if (!property.byDepth() || told.isEmpty() || curve.isEmpty()) {
            return told;
        }
        double water = FittedMedium.water(curve.get(), depthCm);
        return OptionalDouble.of(
                WHOLE * (property == Property.WATER ? water : curve.get().saturated() - water));
    }
}
