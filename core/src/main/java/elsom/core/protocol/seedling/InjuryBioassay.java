package elsom.core.protocol.seedling;

import static elsom.core.protocol.ProtocolData.day;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Direction;
import elsom.core.plan.Recurring;
import elsom.core.protocol.Cautions;
import elsom.core.protocol.MeasureParts;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.ProtocolData;
import elsom.core.quantity.UnitOfMeasure;
import java.util.List;

/** Seedling injury bioassay for residues. */
public final class InjuryBioassay {
    private InjuryBioassay() {}

    public static Protocol protocol() {
        return ProtocolData.named("seedling-injury", "Seedling injury bioassay")
                .tells(
                        "Whether a compost or soil injures sensitive seedlings, and how that points to a weedkiller residue.",
                        "Does compost lot GW-32 injure peas more than GW-31 at half strength or neat?")
                .measure(
                        MeasureParts.of("injury", "Injury")
                                .in(UnitOfMeasure.POINT)
                                .highest(10)
                                .decimals(0)
                                .better(Direction.LOWER)
                                .typicalCv(0.30)
                                .secondsEach(20)
                                .rule(
                                        "0 none, 2 slight, 5 half affected, 8 severe, 10 dead; then what is seen, as in 7 cupped, twisted"))
                .measure(MeasureParts.of("emerged", "Emerged")
                        .in(UnitOfMeasure.COUNT)
                        .highest(1000)
                        .decimals(0)
                        .ofPlants()
                        .better(Direction.HIGHER)
                        .typicalCv(0.10)
                        .secondsEach(10)
                        .rule("shoots above the surface, of those sown"))
                .measure(MeasureParts.of("alive", "Plants alive")
                        .in(UnitOfMeasure.COUNT)
                        .highest(1000)
                        .decimals(0)
                        .ofPlants()
                        .better(Direction.HIGHER)
                        .typicalCv(0.12)
                        .secondsEach(10)
                        .rule("plants with any green growing point, of those sown"))
                .measure(MeasureParts.of("height", "Height")
                        .in(UnitOfMeasure.CENTIMETRE)
                        .highest(200)
                        .decimals(1)
                        .better(Direction.HIGHER)
                        .typicalCv(0.15)
                        .secondsEach(20)
                        .rule("from the surface to the growing point, mean of the unit"))
                .measure(MeasureParts.of("roots", "Roots, scored")
                        .in(UnitOfMeasure.POINT)
                        .highest(10)
                        .decimals(0)
                        .better(Direction.HIGHER)
                        .typicalCv(0.25)
                        .secondsEach(60)
                        .rule("washed; 0 none or stubby and brown, 10 white and branched"))
                .measure(MeasureParts.of("ec", "EC of the drained water")
                        .in(UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE)
                        .highest(60)
                        .decimals(1)
                        .typicalCv(0.10)
                        .secondsEach(45)
                        .rule("100 mL of clean water poured on, the first 30 mL that drain are measured"))
                .measure(MeasureParts.of("ph", "pH of the drained water")
                        .in(UnitOfMeasure.PH)
                        .highest(14)
                        .decimals(1)
                        .typicalCv(0.03)
                        .secondsEach(30)
                        .rule("of the same water, meter calibrated the same day"))
                .look("day 7", day(7), "injury", "emerged", "alive")
                .look("day 10", day(10), "injury")
                .look("day 14", day(14), "injury", "alive")
                .look("day 21, lift roots", day(21), "injury", "alive", "height", "roots", "ec", "ph")
                .every(Recurring.Kind.WATER, "from below, saucers never shared", day(1), day(2), day(21))
                .prepare(
                        "Clean pots and a clean medium",
                        List.of(Cautions.RESIDUE, Cautions.DUST),
                        "Take the sample from ten places of the heap or ten bags; write the lot down.",
                        "Mix the dilutions from one clean medium that has grown good peas before.",
                        "New or scrubbed pots and labels; fill the clean ones first.")
                .prepare(
                        "Sow sensitive and insensitive",
                        Cautions.NONE,
                        "Peas or beans for auxin-type residues, a grass such as barley beside them.",
                        "Same number, same depth, same lot of seed.")
                .holds(
                        "Valid only if the clean control grows well: injury of 2 at most.",
                        "Symptoms of some residues come in the second or third week: look until day 21.",
                        "Shows injury, not the substance: a laboratory names it.")
                .expects("injury", 0, 2, "clean medium must leave plants next to unharmed, 2 points at most")
                .diagnoses()
                .usually(4, LayoutKind.BLOCKS, 8, 8, 0);
    }
}
