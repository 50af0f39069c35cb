package elsom.core.protocol.water;

import elsom.core.figure.FigureKind;
import elsom.core.quantity.UnitOfMeasure;
import java.util.List;

/** The kinds of figure of a water-holding trial, in the order they are shown. */
public final class WaterKinds {
    public static final FigureKind HELD =
            new FigureKind("held", "Water held after draining", "", UnitOfMeasure.MILLILITRE, 0);
    public static final FigureKind CAPACITY =
            new FigureKind("capacity", "Held, share of volume", "container capacity", UnitOfMeasure.FRACTION, 1);
    public static final FigureKind BY_DRY_MASS =
            new FigureKind("by-dry-mass", "Held, share of dry weight", "gravimetric water", UnitOfMeasure.FRACTION, 0);
    public static final FigureKind STILL_HELD =
            new FigureKind("still-held", "Still held, share of volume", "volumetric water", UnitOfMeasure.FRACTION, 1);
    public static final FigureKind LOST =
            new FigureKind("lost", "Lost since draining", "share of water first held", UnitOfMeasure.FRACTION, 0);
    public static final FigureKind REFILL_AFTER =
            new FigureKind("refill-after", "Due for water after", "time to refill weight", UnitOfMeasure.DAY, 1);
    public static final FigureKind RATE =
            new FigureKind("rate", "Drying rate", "k of the exponential", UnitOfMeasure.PER_DAY, 2);
    public static final FigureKind AIR =
            new FigureKind("air", "Air after draining", "air-filled porosity", UnitOfMeasure.FRACTION, 1);
    public static final FigureKind POROSITY =
            new FigureKind("porosity", "Pore space", "total porosity", UnitOfMeasure.FRACTION, 1);
    public static final FigureKind BULK_DENSITY = new FigureKind(
            "bulk-density", "Dry weight per volume", "bulk density", UnitOfMeasure.GRAM_PER_MILLILITRE, 3);
    public static final FigureKind REFILL_WEIGHT =
            new FigureKind("refill-weight", "Water when below", "refill weight", UnitOfMeasure.GRAM, 0);
    public static final FigureKind MASS = new FigureKind("mass", "Weight", "", UnitOfMeasure.GRAM, 1);

    /** All kinds a unit can have. */
    public static final List<FigureKind> ALL = List.of(
            HELD,
            CAPACITY,
            BY_DRY_MASS,
            STILL_HELD,
            LOST,
            REFILL_AFTER,
            RATE,
            AIR,
            POROSITY,
            BULK_DENSITY,
            REFILL_WEIGHT);

    private WaterKinds() {}
}
