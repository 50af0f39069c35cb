package elsom.core.protocol;

import static elsom.core.protocol.ProtocolData.day;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Direction;
import elsom.core.plan.Recurring;
import elsom.core.quantity.UnitOfMeasure;
import java.time.Duration;
import java.util.List;

/** Trials in which seedlings tell what is in a compost or soil. */
final class Bioassays {
    private Bioassays() {}

    /** Germination and root bioassay. */
    static Protocol germination() {
        return ProtocolData.named("germination", "Germination and root bioassay")
                .tells(
                        "Whether an extract or compost hinders seeds and young roots.",
                        "Does an extract of green-waste compost hold cress back?")
                .measure(MeasureParts.of("germinated", "Germinated")
                        .in(UnitOfMeasure.COUNT)
                        .highest(1000)
                        .decimals(0)
                        .ofSeeds()
                        .better(Direction.HIGHER)
                        .typicalCv(0.10)
                        .secondsEach(20)
                        .rule("seeds with a root of 1 mm or more, of those laid out"))
                .measure(MeasureParts.of("root-length", "Root length")
                        .in(UnitOfMeasure.MILLIMETRE)
                        .highest(500)
                        .decimals(0)
                        .readings(5)
                        .readOf("germinated")
                        .better(Direction.HIGHER)
                        .typicalCv(0.25)
                        .secondsEach(60)
                        .rule("five germinated seeds nearest the middle, root tip to seed"))
                .look("24 h", Duration.ofHours(24), "germinated")
                .look("48 h", Duration.ofHours(48), "germinated")
                .look("72 h", Duration.ofHours(72), "germinated", "root-length")
                .prepare(
                        "Extract and dishes",
                        Cautions.NONE,
                        "Shake 1 part compost with 5 parts water by volume for an hour and filter.",
                        "Same paper, same millilitres, ten or more seeds of one lot; the control gets plain water.",
                        "Dark, 20–25 °C, closed against drying.")
                .holds(
                        "Valid only if 80 % or more germinate in the control and its dishes scatter by 30 % at most.",
                        "Fresh composts also hinder by ammonia and acids that go off in two to four weeks.")
                .expects("germinated", 0.8, 1, "80 % or more of its seed must germinate")
                .usually(5, LayoutKind.COMPLETELY_RANDOM, 10, 10, 5);
    }

    /** Seedling injury bioassay for residues. */
    static Protocol residue() {
        return ProtocolData.named("seedling-injury", "Seedling injury bioassay")
                .tells(
                        "Whether a compost or soil injures sensitive seedlings, and how that points to a weedkiller residue.",
                        "Does compost lot GW-32 injure peas more than GW-31 at half strength or neat?")
                .measure(MeasureParts.of("injury", "Injury")
                        .in(UnitOfMeasure.POINT)
                        .highest(10)
                        .decimals(0)
                        .better(Direction.LOWER)
                        .typicalCv(0.30)
                        .secondsEach(20)
                        .rule("0 none, 2 slight, 5 half affected, 8 severe, 10 dead; write symptoms as a note"))
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
                .look("day 7", day(7), "injury", "alive")
                .look("day 10", day(10), "injury")
                .look("day 14", day(14), "injury", "alive")
                .look("day 21, lift roots", day(21), "injury", "alive", "height", "roots")
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
                .usually(4, LayoutKind.BLOCKS, 8, 8, 0);
    }

    /** Plant-back after a treatment. */
    static Protocol plantBack() {
        return ProtocolData.named("plant-back", "Plant-back")
                .tells(
                        "How many days after a treatment a crop can be sown without harm.",
                        "How soon after an acetic weedkiller does phacelia grow clean?")
                .measure(MeasureParts.of("emerged", "Plants up")
                        .in(UnitOfMeasure.COUNT)
                        .highest(1000)
                        .decimals(0)
                        .ofSeeds()
                        .better(Direction.HIGHER)
                        .typicalCv(0.15)
                        .secondsEach(10)
                        .rule("plants with seed leaves above the surface, of those sown"))
                .measure(MeasureParts.of("injury", "Injury")
                        .in(UnitOfMeasure.POINT)
                        .highest(10)
                        .decimals(0)
                        .better(Direction.LOWER)
                        .typicalCv(0.35)
                        .secondsEach(20)
                        .rule("0 none, 5 half affected, 10 dead; beside the untreated tray of the same sowing"))
                .measure(MeasureParts.of("fresh-mass", "Fresh mass")
                        .in(UnitOfMeasure.GRAM)
                        .highest(10_000)
                        .decimals(2)
                        .better(Direction.HIGHER)
                        .typicalCv(0.20)
                        .secondsEach(40)
                        .rule("cut at the surface and weighed within a minute"))
                .look("first check", day(10), "emerged")
                .look("all together", day(28), "emerged", "injury", "fresh-mass")
                .every(Recurring.Kind.WATER, "all alike", day(1), day(1), day(28))
                .prepare(
                        "Treat and sow",
                        List.of(Cautions.WEEDKILLER),
                        "Treat as the label says, and leave trays of the same medium untreated.",
                        "Sow a treated and an untreated tray at each interval; the same day for both.")
                .holds(
                        "The label's and the law's waiting times rule over this.",
                        "Holds for this product, rate, medium, warmth and moisture.")
                .usually(4, LayoutKind.BLOCKS, 12, 15, 0)
                .endingTogether();
    }
}
