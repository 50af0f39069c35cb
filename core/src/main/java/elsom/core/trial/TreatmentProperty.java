package elsom.core.trial;

import elsom.core.quantity.UnitOfMeasure;

/** Something known of a treatment beforehand that a protocol's sums may use. */
public enum TreatmentProperty {
    ORGANIC_MATTER("organic matter", UnitOfMeasure.FRACTION, 0, 1),
    /** 1 when the medium was wetted before it was dried and soaked, to compare with the same medium soaked dry. */
    PREWETTED("pre-wetted", UnitOfMeasure.COUNT, 0, 1),
    /** Elemental nitrogen in a product, by mass. */
    NITROGEN("nitrogen", UnitOfMeasure.FRACTION, 0, 1),
    /** Product in a litre of medium or water, as given. */
    PRODUCT_RATE("product", UnitOfMeasure.GRAM_PER_LITRE, 0, 1e6),
    /** The level of the dose that a series runs over, in the unit of its factor. */
    DOSE("dose", UnitOfMeasure.COUNT, 0, 1e9);

    private final String label;
    private final UnitOfMeasure unit;
    private final double lowest;
    private final double highest;

    TreatmentProperty(String label, UnitOfMeasure unit, double lowest, double highest) {
        this.label = label;
        this.unit = unit;
        this.lowest = lowest;
        this.highest = highest;
    }

    public String label() {
        return label;
    }

    public UnitOfMeasure unit() {
        return unit;
    }

    /** True for a value this property can have; false for NaN. */
    public boolean allows(double value) {
        return value >= lowest && value <= highest;
    }
}
