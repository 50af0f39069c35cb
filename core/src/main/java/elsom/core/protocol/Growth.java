package elsom.core.protocol;

import static elsom.core.protocol.ProtocolData.day;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Direction;
import elsom.core.plan.Recurring;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.TreatmentProperty;
import java.time.Duration;
import java.util.List;

/** Trials of plants that grow on: media and feeds, drench and dip doses, salinity, cuttings. */
public final class Growth {
    public static final EndpointCode SHOOT_DRY_MASS = new EndpointCode("shoot-dry-mass");

    private Growth() {}

    /** Growth in trays or pots. */
    static Protocol inPots() {
        return ProtocolData.named("growth", "Growth in trays or pots")
                .tells(
                        "Which medium, feed or amendment grows the better plant, above the ground and below it.",
                        "Do marigold plugs grow heavier in leaf mould with sheep-wool compost than without?")
                .measure(MeasureParts.of("emerged", "Plants up")
                        .in(UnitOfMeasure.COUNT)
                        .highest(10_000)
                        .decimals(0)
                        .ofSeeds()
                        .better(Direction.HIGHER)
                        .typicalCv(0.15)
                        .secondsEach(10)
                        .rule("plants with seed leaves above the surface, all of them"))
                .measure(
                        MeasureParts.of("height", "Height")
                                .in(UnitOfMeasure.CENTIMETRE)
                                .highest(300)
                                .decimals(1)
                                .readings(3)
                                .better(Direction.EITHER)
                                .typicalCv(0.15)
                                .secondsEach(20)
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
                .measure(MeasureParts.of("greenness", "Leaf greenness")
                        .in(UnitOfMeasure.POINT)
                        .highest(100)
                        .decimals(1)
                        .readings(3)
                        .better(Direction.EITHER)
                        .typicalCv(0.10)
                        .secondsEach(30)
                        .rule("meter on the youngest full leaf, beside the midrib"))
                .measure(MeasureParts.of("fresh-mass", "Fresh mass")
                        .in(UnitOfMeasure.GRAM)
                        .highest(10_000)
                        .decimals(2)
                        .better(Direction.HIGHER)
                        .typicalCv(0.20)
                        .secondsEach(40)
                        .rule("cut at the surface and weighed within a minute, bowl tared"))
                .measure(MeasureParts.of(SHOOT_DRY_MASS.value(), "Dry mass of shoots")
                        .in(UnitOfMeasure.GRAM)
                        .highest(10_000)
                        .decimals(2)
                        .better(Direction.HIGHER)
                        .typicalCv(0.20)
                        .secondsEach(40)
                        .rule("dried in paper until the weight stays"))
                .measure(MeasureParts.of("roots", "Roots, scored")
                        .in(UnitOfMeasure.POINT)
                        .highest(10)
                        .decimals(0)
                        .better(Direction.HIGHER)
                        .typicalCv(0.20)
                        .secondsEach(90)
                        .rule("washed; 0 none, 5 half the plug held, 10 white and all through"))
                .measure(MeasureParts.of("yield", "Yield")
                        .in(UnitOfMeasure.GRAM)
                        .highest(100_000)
                        .decimals(1)
                        .better(Direction.HIGHER)
                        .typicalCv(0.20)
                        .secondsEach(40)
                        .rule("everything saleable in the unit, not the best plants"))
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
                .holds(
                        "Taller is not better: crowded or shaded plants stretch. Judge height beside stem and mass.",
                        "A medium that dries faster goes short under “the same water for all”.",
                        "Holds for this crop, season and light.")
                .usually(4, LayoutKind.BLOCKS, 6, 8, 0);
    }

    /** Drench or dip dose series. */
    static Protocol doses() {
        return ProtocolData.named("dose-series", "Drench or dip dose series")
                .tells(
                        "Which strength helps, which is still safe, and which harms, days after it was given.",
                        "What strength of wood vinegar drench is safe for marigold plugs?")
                .measure(MeasureParts.of("injury", "Injury")
                        .in(UnitOfMeasure.POINT)
                        .highest(10)
                        .decimals(0)
                        .better(Direction.LOWER)
                        .typicalCv(0.35)
                        .secondsEach(20)
                        .rule("0 none, 2 slight, 5 half the leaf area, 8 severe, 10 dead; the whole unit"))
                .measure(MeasureParts.of("alive", "Plants alive")
                        .in(UnitOfMeasure.COUNT)
                        .highest(10_000)
                        .decimals(0)
                        .ofPlants()
                        .better(Direction.HIGHER)
                        .typicalCv(0.10)
                        .secondsEach(10)
                        .rule("plants with any green growing point"))
                .measure(MeasureParts.of("height", "Height")
                        .in(UnitOfMeasure.CENTIMETRE)
                        .highest(300)
                        .decimals(1)
                        .better(Direction.EITHER)
                        .typicalCv(0.15)
                        .secondsEach(20)
                        .rule("from the surface to the top of the canopy, not stretched"))
                .measure(MeasureParts.of("fresh-mass", "Fresh mass")
                        .in(UnitOfMeasure.GRAM)
                        .highest(10_000)
                        .decimals(2)
                        .better(Direction.HIGHER)
                        .typicalCv(0.20)
                        .secondsEach(40)
                        .rule("cut at the surface and weighed within a minute, bowl tared"))
                .look("day 1", day(1), "injury")
                .look("day 2", day(2), "injury")
                .look("day 3", day(3), "injury")
                .look("day 5", day(5), "injury")
                .look("day 7", day(7), "injury", "alive")
                .look("day 10", day(10), "injury", "alive", "fresh-mass")
                .prepare(
                        "Check the stock and dilute",
                        List.of(Cautions.ACID),
                        "Read the stock's strength off its bottle and write it down.",
                        "Dilute from the strongest down, each in its own clean jug with its letter on.",
                        "Give every unit the same volume, the control plain water of the same warmth.")
                .prepare(
                        "Plants alike",
                        Cautions.NONE,
                        "Plants of one sowing and size; no feed a week before, none until the end.")
                .holds(
                        "Holds for this species, age and stock only.",
                        "Nothing in the first days proves nothing: look until day 10 or two weeks.",
                        "A dose never given was never tested.")
                .inSeries()
                .usually(6, LayoutKind.BLOCKS, 4, 0, 50);
    }

    /** Salinity series. */
    static Protocol salinity() {
        return ProtocolData.named("salinity", "Salinity series")
                .tells(
                        "From which salinity on a crop loses yield, and how fast.",
                        "How strong can digestate water be for coriander trays?")
                .measure(MeasureParts.of("ec-in", "EC of the water given")
                        .in(UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE)
                        .highest(100)
                        .decimals(2)
                        .better(Direction.LOWER)
                        .typicalCv(0.05)
                        .secondsEach(20)
                        .rule("at 25 °C, or with the meter's temperature correction on; after stirring"))
                .measure(MeasureParts.of("ec-out", "EC of the drain water")
                        .in(UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE)
                        .highest(100)
                        .decimals(2)
                        .better(Direction.LOWER)
                        .typicalCv(0.15)
                        .secondsEach(40)
                        .rule("first drops after watering, at 25 °C"))
                .measure(MeasureParts.of("injury", "Margin burn")
                        .in(UnitOfMeasure.POINT)
                        .highest(10)
                        .decimals(0)
                        .better(Direction.LOWER)
                        .typicalCv(0.35)
                        .secondsEach(20)
                        .rule("0 none, 5 half the leaf margins, 10 dead"))
                .measure(MeasureParts.of("yield", "Yield")
                        .in(UnitOfMeasure.GRAM)
                        .highest(100_000)
                        .decimals(1)
                        .better(Direction.HIGHER)
                        .typicalCv(0.15)
                        .secondsEach(40)
                        .rule("everything saleable in the unit, not the best plants"))
                .look("week 1", day(7), "ec-in", "ec-out")
                .look("week 2", day(14), "ec-in", "ec-out", "injury")
                .look("week 3", day(21), "ec-in", "ec-out", "injury")
                .look("harvest", day(28), "ec-out", "injury", "yield")
                .every(Recurring.Kind.SOLUTION, "mix anew and measure its EC", Duration.ZERO, day(7), day(28))
                .every(Recurring.Kind.WATER, "each with its own solution, until some drains", day(1), day(2), day(28))
                .prepare(
                        "Solutions and meter",
                        List.of(Cautions.ACID),
                        "Calibrate the EC meter; write mS/cm at 25 °C, never ppm without its factor.",
                        "Raise the strength over a few days if plants are already up.")
                .holds(
                        "Needs five strengths or more, one without loss and one with plain loss.",
                        "What drains tells the root's salinity; what goes in does not.",
                        "Heat makes salt worse: holds for this season.")
                .inSeries()
                .usually(5, LayoutKind.BLOCKS, 8, 10, 200);
    }

    /** Rooting of cuttings. */
    static Protocol cuttings() {
        return ProtocolData.named("cuttings", "Rooting of cuttings")
                .tells(
                        "Which dip, medium or cut roots more cuttings, and whether they live on after potting.",
                        "Do rosemary cuttings root better with a seaweed dip, and in which medium?")
                .measure(MeasureParts.of("rooted", "Rooted cuttings")
                        .in(UnitOfMeasure.COUNT)
                        .highest(1000)
                        .decimals(0)
                        .ofPlants()
                        .better(Direction.HIGHER)
                        .typicalCv(0.30)
                        .secondsEach(60)
                        .rule("cuttings with a root of 2 mm or more, of those stuck; lift gently, do not tug"))
                .measure(MeasureParts.of("roots-each", "Roots a rooted cutting")
                        .in(UnitOfMeasure.COUNT)
                        .highest(500)
                        .decimals(1)
                        .better(Direction.HIGHER)
                        .typicalCv(0.35)
                        .secondsEach(60)
                        .readOf("rooted")
                        .rule("first-order roots of rooted cuttings, mean of the unit"))
                .measure(MeasureParts.of("root-length", "Longest root")
                        .in(UnitOfMeasure.MILLIMETRE)
                        .highest(1000)
                        .decimals(0)
                        .better(Direction.HIGHER)
                        .typicalCv(0.35)
                        .secondsEach(60)
                        .readOf("rooted")
                        .rule("mean over the unit's rooted cuttings"))
                .measure(MeasureParts.of("survived", "Alive after potting on")
                        .in(UnitOfMeasure.COUNT)
                        .highest(1000)
                        .decimals(0)
                        .ofPlants()
                        .better(Direction.HIGHER)
                        .typicalCv(0.30)
                        .secondsEach(20)
                        .rule("alive and growing, of those stuck at the start"))
                .look("week 3", day(21), "rooted")
                .look("week 5", day(35), "rooted")
                .look("week 8, pot on", day(56), "rooted", "roots-each", "root-length")
                .look("week 12", day(84), "survived")
                .every(Recurring.Kind.AIR, "mist or cover, remove what rots", day(2), day(2), day(56))
                .prepare(
                        "Clean and cut",
                        List.of(Cautions.BLADE),
                        "Clean blade and hands before each kind; cut below a node, same node count for all.",
                        "Take off lower leaves; keep them the right way up, out of sun, moist.",
                        "Share the cuttings of each mother plant out over all treatments.")
                .holds(
                        "Leaves mislead: count roots, and what lives after potting on.",
                        "Count trays, not cuttings: cuttings in one tray share its luck.",
                        "Holds for this species, season and mother plants.")
                .usually(4, LayoutKind.BLOCKS, 6, 0, 0);
    }
}
