package elsom.core.protocol;

import elsom.core.plan.Direction;
import elsom.core.quantity.UnitOfMeasure;

/**
 * What several kinds of trial measure, said once: unit, bounds, which way is better, usual scatter and time. A protocol
 * adds its rule, and says where it differs.
 */
public final class Measures {
    private Measures() {}

    public static MeasureParts injury() {
        return MeasureParts.of("injury", "Injury")
                .in(UnitOfMeasure.POINT)
                .highest(10)
                .decimals(0)
                .better(Direction.LOWER)
                .typicalCv(0.35)
                .secondsEach(20)
                .rule("0 none, 2 slight, 5 half affected, 8 severe, 10 dead");
    }

    public static MeasureParts alive() {
        return MeasureParts.of("alive", "Plants alive")
                .in(UnitOfMeasure.COUNT)
                .highest(10_000)
                .decimals(0)
                .ofPlants()
                .better(Direction.HIGHER)
                .typicalCv(0.10)
                .secondsEach(10)
                .rule("plants with any green growing point");
    }

    public static MeasureParts emerged() {
        return MeasureParts.of("emerged", "Plants up")
                .in(UnitOfMeasure.COUNT)
                .highest(10_000)
                .decimals(0)
                .ofSeeds()
                .better(Direction.HIGHER)
                .typicalCv(0.15)
                .secondsEach(10);
    }

    public static MeasureParts height() {
        return MeasureParts.of("height", "Height")
                .in(UnitOfMeasure.CENTIMETRE)
                .highest(300)
                .decimals(1)
                .better(Direction.EITHER)
                .typicalCv(0.15)
                .secondsEach(20);
    }

    public static MeasureParts freshMass() {
        return MeasureParts.of("fresh-mass", "Fresh mass")
                .in(UnitOfMeasure.GRAM)
                .highest(10_000)
                .decimals(2)
                .better(Direction.HIGHER)
                .typicalCv(0.20)
                .secondsEach(40)
                .rule("cut at the surface and weighed within a minute, bowl tared");
    }

    public static MeasureParts yieldMass() {
        return MeasureParts.of("yield", "Yield")
                .in(UnitOfMeasure.GRAM)
                .highest(100_000)
                .decimals(1)
                .better(Direction.HIGHER)
                .typicalCv(0.20)
                .secondsEach(40)
                .rule("everything saleable in the unit, not the best plants");
    }

    public static MeasureParts roots() {
        return MeasureParts.of("roots", "Roots, scored")
                .in(UnitOfMeasure.POINT)
                .highest(10)
                .decimals(0)
                .better(Direction.HIGHER)
                .typicalCv(0.20)
                .secondsEach(60);
    }

    public static MeasureParts ph() {
        return MeasureParts.of("ph", "pH")
                .in(UnitOfMeasure.PH)
                .highest(14)
                .decimals(1)
                .typicalCv(0.03)
                .secondsEach(30);
    }

    public static MeasureParts ec() {
        return MeasureParts.of("ec", "EC")
                .in(UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE)
                .highest(60)
                .decimals(1)
                .typicalCv(0.10)
                .secondsEach(30);
    }
}
