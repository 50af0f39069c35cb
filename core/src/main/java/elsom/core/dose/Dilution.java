package elsom.core.dose;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.Dimension;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.working.Source;
import elsom.core.working.Term;
import elsom.core.working.Working;
import java.util.List;

/**
 * How much stock and water make a volume of a strength.
 *
 * @param stock of the product as it is sold, in {@code stockUnit}
 * @param waterMl to fill up with; of a solid the whole volume
 */
public record Dilution(double stock, UnitOfMeasure stockUnit, double waterMl, double volumeMl, Working working) {
    private static final int DECIMALS = 2;

    /**
     * The dilution.
     *
     * @param rate in {@code unit}: percent or mL/L by volume of the stock as it is sold, or grams a litre of a solid
     * @param volumeMl to be mixed, in mL
     * @throws IllegalArgumentException for a rate below 0, above the stock itself, or of another kind of unit
     */
    public static Dilution of(double rate, UnitOfMeasure unit, double volumeMl) {
        boolean byVolume = unit.dimension() == Dimension.FRACTION;
        if (!byVolume && unit.dimension() != Dimension.CONCENTRATION) {
            throw new IllegalArgumentException("a strength is in %, mL/L or g/L, got “" + unit.symbol() + "”");
        }
        double base = base(rate, unit);
        if (!(rate >= 0) || (byVolume && base > 1)) {
            throw new IllegalArgumentException(
                    "a strength is 0 to the stock itself, got " + Decimals.upTo(rate, 4) + " " + unit.symbol());
        }
        if (!(volumeMl > 0) || Double.isInfinite(volumeMl)) {
            throw new IllegalArgumentException("a volume is above 0, got " + volumeMl);
        }
        double stock = byVolume ? base * volumeMl : base * volumeMl / 1000;
        UnitOfMeasure stockUnit = byVolume ? UnitOfMeasure.MILLILITRE : UnitOfMeasure.GRAM;
        return new Dilution(
                stock,
                stockUnit,
                byVolume ? volumeMl - stock : volumeMl,
                volumeMl,
                working(rate, unit, volumeMl, stock));
    }

    /** A share of the whole, or grams a litre. */
    private static double base(double rate, UnitOfMeasure unit) {
        return new Quantity(rate, unit)
                .in(unit.dimension() == Dimension.FRACTION ? UnitOfMeasure.FRACTION : UnitOfMeasure.GRAM_PER_LITRE)
                .value();
    }

    private static Working working(double rate, UnitOfMeasure unit, double volumeMl, double stock) {
        boolean byVolume = unit.dimension() == Dimension.FRACTION;
        return new Working(
                byVolume ? "stock in the mix" : "product in the mix",
                byVolume ? "strength, as a share of the whole · volume" : "grams a litre · litres",
                List.of(
                        Term.given("strength", rate, unit, 4),
                        Term.given("volume", volumeMl, UnitOfMeasure.MILLILITRE, DECIMALS)),
                List.of(
                        Decimals.upTo(base(rate, unit), 6) + " · "
                                + Decimals.upTo(byVolume ? volumeMl : volumeMl / 1000, 4) + " = "
                                + Decimals.upTo(stock, 4) + (byVolume ? " mL" : " g"),
                        byVolume
                                ? Decimals.upTo(volumeMl, 2) + " − " + Decimals.upTo(stock, 4) + " = "
                                        + Decimals.upTo(volumeMl - stock, 4) + " mL water"
                                : "filled up with water to " + Decimals.upTo(volumeMl, 2) + " mL"),
                Source.DEFINITION,
                List.of("The strength is of the stock as it is sold, not of what is dissolved in it."));
    }
}
