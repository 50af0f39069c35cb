package elsom.core.material;

import elsom.core.column.FittedMedium;
import elsom.core.mix.Property;
import elsom.core.water.RetentionCurve;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a lot has in a container of some depth. Water and air were told at one depth; at another they follow from its curve
 * ({@link LotCurve}). Where there is none, the figures stand as they were told.
 *
 * @param curve by which water and air are carried; empty when the lot was told at this depth, or has no curve
 */
public record AtDepth(Lot lot, double depthCm, Optional<RetentionCurve> curve) {
    private static final double WHOLE = 100;
    static final double ALIKE_CM = 0.5;

    public static AtDepth of(Lot lot, double depthCm) {
        Optional<LotFigure> water = lot.best(Property.WATER, depthCm);
        boolean there = water.isEmpty() || Math.abs(water.get().depthCm() - depthCm) < ALIKE_CM;
        return new AtDepth(
                lot, depthCm, there ? Optional.empty() : LotCurve.of(lot).map(LotCurve::curve));
    }

    /** The figure that a property's value comes from. */
    public Optional<LotFigure> told(Property property) {
        return lot.best(property, depthCm);
    }

    /** A property's value; empty when it is not known. */
    public OptionalDouble value(Property property) {
        Optional<LotFigure> told = told(property);
        if (told.isEmpty()) {
            return OptionalDouble.empty();
        }
        if (!property.byDepth() || curve.isEmpty() || told.get().measuredAt(depthCm)) {
            return OptionalDouble.of(told.get().value());
        }
        double water = FittedMedium.water(curve.get(), depthCm);
        return OptionalDouble.of(
                WHOLE * (property == Property.WATER ? water : curve.get().saturated() - water));
    }
}
