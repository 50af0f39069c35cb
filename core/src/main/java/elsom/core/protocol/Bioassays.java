package elsom.core.protocol;

import static elsom.core.protocol.Sheet.day;

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
        return Sheet.named("germination", "Germination and root bioassay")
                .tells(
                        "Whether an extract or compost hinders seeds and young roots.",
                        "Does an extract of green-waste compost hold cress back?")
                .measure(
                        "germinated",
                        "Germinated",
                        UnitOfMeasure.COUNT,
                        1000,
                        0,
                        Direction.HIGHER,
                        0.10,
                        20,
                        "seeds with a root of 1 mm or more, of those laid out")
                .several(
                        5,
                        "root-length",
                        "Root length",
                        UnitOfMeasure.MILLIMETRE,
                        500,
                        0,
                        Direction.HIGHER,
                        0.25,
                        60,
                        "five germinated seeds nearest the middle, root tip to seed")
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
                .usually(5, LayoutKind.COMPLETELY_RANDOM, 10, 10, 5);
    }

    /** Seedling injury bioassay for residues. */
    static Protocol residue() {
        return Sheet.named("seedling-injury", "Seedling injury bioassay")
                .tells(
                        "Whether a compost or soil injures sensitive seedlings, and how that points to a weedkiller residue.",
                        "Does compost lot GW-32 injure peas more than GW-31 at half strength or neat?")
                .measure(
                        "injury",
                        "Injury",
                        UnitOfMeasure.POINT,
                        10,
                        0,
                        Direction.LOWER,
                        0.30,
                        20,
                        "0 none, 2 slight, 5 half affected, 8 severe, 10 dead; write symptoms as a note")
                .measure(
                        "alive",
                        "Plants alive",
                        UnitOfMeasure.COUNT,
                        1000,
                        0,
                        Direction.HIGHER,
                        0.12,
                        10,
                        "plants with any green growing point, of those sown")
                .measure(
                        "height",
                        "Height",
                        UnitOfMeasure.CENTIMETRE,
                        200,
                        1,
                        Direction.HIGHER,
                        0.15,
                        20,
                        "from the surface to the growing point, mean of the unit")
                .measure(
                        "roots",
                        "Roots, scored",
                        UnitOfMeasure.POINT,
                        10,
                        0,
                        Direction.HIGHER,
                        0.25,
                        60,
                        "washed; 0 none or stubby and brown, 10 white and branched")
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
                        "Valid only if the clean control grows well.",
                        "Symptoms of some residues come in the second or third week: look until day 21.",
                        "Shows injury, not the substance: a laboratory names it.")
                .usually(4, LayoutKind.BLOCKS, 8, 8, 0);
    }

    /** Plant-back after a treatment. */
    static Protocol plantBack() {
        return Sheet.named("plant-back", "Plant-back")
                .tells(
                        "How many days after a treatment a crop can be sown without harm.",
                        "How soon after an acetic weedkiller does phacelia grow clean?")
                .measure(
                        "emerged",
                        "Plants up",
                        UnitOfMeasure.COUNT,
                        1000,
                        0,
                        Direction.HIGHER,
                        0.15,
                        10,
                        "plants with seed leaves above the surface, of those sown")
                .measure(
                        "injury",
                        "Injury",
                        UnitOfMeasure.POINT,
                        10,
                        0,
                        Direction.LOWER,
                        0.35,
                        20,
                        "0 none, 5 half affected, 10 dead; beside the untreated tray of the same sowing")
                .measure(
                        "fresh-mass",
                        "Fresh mass",
                        UnitOfMeasure.GRAM,
                        10_000,
                        2,
                        Direction.HIGHER,
                        0.20,
                        40,
                        "cut at the surface and weighed within a minute")
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
