package elsom.core.protocol.seedling;

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
import elsom.core.trial.ProtocolCode;
import java.util.List;

/** Seedling injury bioassay for residues. */
public final class InjuryBioassay {
    public static final ProtocolCode CODE = new ProtocolCode("seedling-injury");

    private InjuryBioassay() {}

    public static Protocol protocol() {
        return ProtocolParts.named(CODE.value(), "Seedling injury bioassay")
                .tells(
                        "Whether a compost or soil injures sensitive seedlings, and how that points to a weedkiller residue.",
                        "Does compost lot GW-32 injure peas more than GW-31 at half strength or neat?")
                .measure(Measures.injury().typicalCv(0.30).also("then what is seen, as in 7 cupped, twisted"))
                .measure(Measures.emerged()
                        .named("Emerged")
                        .ofPlants()
                        .typicalCv(0.10)
                        .rule("shoots above the surface, of those sown"))
                .measure(Measures.alive().typicalCv(0.12).rule("plants with any green growing point, of those sown"))
                .measure(Measures.height()
                        .better(Direction.HIGHER)
                        .rule("from the surface to the growing point, mean of the unit"))
                .measure(Measures.roots()
                        .typicalCv(0.25)
                        .rule("washed; 0 none or stubby and brown, 10 white and branched"))
                .measure(Measures.ec()
                        .named("EC of the drained water")
                        .secondsEach(45)
                        .rule("100 mL of clean water poured on, the first 30 mL that drain are measured"))
                .measure(Measures.ph()
                        .named("pH of the drained water")
                        .rule("of the same water, meter calibrated the same day"))
                .measure(MeasureParts.of("smell", "Smell of ammonia")
                        .in(UnitOfMeasure.POINT)
                        .highest(3)
                        .decimals(0)
                        .better(Direction.LOWER)
                        .typicalCv(0.3)
                        .secondsEach(20)
                        .rule("of a jar kept closed and warm for two days: 0 none, 1 a little, 2 plain, 3 stings"))
                .measure(MeasureParts.of("age", "Weeks since it was made")
                        .highest(520)
                        .decimals(0)
                        .better(Direction.EITHER)
                        .typicalCv(0.3)
                        .secondsEach(5)
                        .rule("of the lot, by its label or its maker; one unit of each lot will do"))
                .measure(MeasureParts.of("warmth", "Coldest it got")
                        .in(UnitOfMeasure.CELSIUS)
                        .highest(60)
                        .decimals(0)
                        .better(Direction.EITHER)
                        .typicalCv(0.2)
                        .secondsEach(20)
                        .rule("in the medium, at the coldest time of day"))
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
                .expects("emerged", 0.7, 1, "seven in ten of its seeds must come up")
                .expects("alive", 0.7, 1, "seven in ten of its plants must live")
                .grows("height")
                .diagnoses()
                .usually(4, LayoutKind.BLOCKS, 8, 8, 0)
                .made();
    }
}
