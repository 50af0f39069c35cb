package elsom.core.protocol.growth;

import static elsom.core.protocol.ProtocolParts.day;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Direction;
import elsom.core.plan.Recurring;
import elsom.core.protocol.Cautions;
import elsom.core.protocol.MeasureParts;
import elsom.core.protocol.Measures;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.ProtocolParts;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.TreatmentProperty;
import java.util.List;

/** Growth in trays or pots. */
public final class GrowthInPots {
    public static final EndpointCode SHOOT_DRY_MASS = new EndpointCode("shoot-dry-mass");

    private GrowthInPots() {}

    public static Protocol protocol() {
        return ProtocolParts.named("growth", "Growth in trays or pots")
                .tells(
                        "Which medium, feed or amendment grows the better plant, above the ground and below it.",
                        "Do marigold plugs grow heavier in leaf mould with sheep-wool compost than without?")
                .measure(Measures.emerged().rule("plants with seed leaves above the surface, all of them"))
                .measure(
                        Measures.height()
                                .readings(3)
                                .rule(
                                        "from the surface to the top of the canopy, not stretched; the three plants nearest the middle"))
                .measure(MeasureParts.of("stem-diameter", "Stem diameter")
                        .in(UnitOfMeasure.MILLIMETRE)
                        .highest(100)
                        .decimals(1)
                        .readings(3)
                        .better(Direction.HIGHER)
                        .typicalCv(0.12)
                        .secondsEach(30)
                        .rule("with callipers, 1 cm above the surface, the same plants as for height"))
                .measure(MeasureParts.of("leaves", "Leaves")
                        .in(UnitOfMeasure.COUNT)
                        .highest(10_000)
                        .decimals(0)
                        .better(Direction.HIGHER)
                        .typicalCv(0.15)
                        .secondsEach(30)
                        .rule("true leaves with a stalk; seed leaves are not counted"))
                .measure(MeasureParts.of("cover", "Green cover")
                        .in(UnitOfMeasure.PERCENT)
                        .highest(100)
                        .decimals(1)
                        .better(Direction.HIGHER)
                        .typicalCv(0.15)
                        .secondsEach(30)
                        .rule("from a photo straight from above, only the tray in view, a white card beside it"))
                .measure(MeasureParts.of("greenness", "Leaf greenness")
                        .in(UnitOfMeasure.POINT)
                        .highest(100)
                        .decimals(1)
                        .readings(3)
                        .better(Direction.EITHER)
                        .typicalCv(0.10)
                        .secondsEach(30)
                        .rule("meter on the youngest full leaf, beside the midrib"))
                .measure(Measures.freshMass())
                .measure(MeasureParts.of(SHOOT_DRY_MASS.value(), "Dry mass of shoots")
                        .in(UnitOfMeasure.GRAM)
                        .highest(10_000)
                        .decimals(2)
                        .better(Direction.HIGHER)
                        .typicalCv(0.20)
                        .secondsEach(40)
                        .rule("dried in paper until the weight stays"))
                .measure(MeasureParts.of("root-dry-mass", "Dry mass of roots")
                        .in(UnitOfMeasure.GRAM)
                        .highest(10_000)
                        .decimals(2)
                        .better(Direction.HIGHER)
                        .typicalCv(0.25)
                        .secondsEach(180)
                        .rule("washed over a sieve, dried in paper until the weight stays"))
                .measure(Measures.roots()
                        .secondsEach(90)
                        .rule("washed; 0 none, 5 half the plug held, 10 white and all through"))
                .measure(Measures.yieldMass())
                .asks(TreatmentProperty.NITROGEN, TreatmentProperty.PRODUCT_RATE)
                .look("up", day(7), "emerged")
                .look("day 14", day(14), "height", "leaves")
                .look("day 21", day(21), "height", "leaves")
                .look("end, day 28", day(28), "height", "stem-diameter", "leaves", "fresh-mass", "roots")
                .every(
                        Recurring.Kind.WATER,
                        "each as the plan says, and write down what was given",
                        day(1),
                        day(1),
                        day(28))
                .prepare(
                        "Mix and moisten",
                        List.of(Cautions.DUST),
                        "Mix each medium in one batch and fill all its units from it.",
                        "Moisten until a squeezed handful drips once; let it stand overnight.",
                        "Fill to the same mark and tap down the same number of times.")
                .prepare(
                        "Sow alike",
                        Cautions.NONE,
                        "Count or weigh the seed for every unit; same lot, same depth, same day.",
                        "Stick the labels on before sowing.")
                .grows("height")
                .holds(
                        "Taller is not better: crowded or shaded plants stretch. Judge height beside stem and mass.",
                        "A medium that dries faster goes short under “the same water for all”.",
                        "Holds for this crop, season and light.")
                .usually(4, LayoutKind.BLOCKS, 6, 8, 0)
                .made();
    }
}
