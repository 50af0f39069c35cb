package elsom.core.protocol;

import static elsom.core.protocol.ProtocolData.day;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Direction;
import elsom.core.plan.Recurring;
import elsom.core.quantity.UnitOfMeasure;
import java.time.Duration;
import java.util.List;

/** Trials without plants, or with whatever the planner makes of them. */
final class GeneralProtocols {
    private GeneralProtocols() {}

    /** Dry-down of the same media in several exposures. */
    static Protocol dryDown() {
        return ProtocolData.named("dry-down", "Dry-down by exposure")
                .tells(
                        "How fast filled containers lose their water in sun, shade, wind or under cover.",
                        "How much longer do trays last under the bench than on the sill?")
                .measure(MeasureParts.of("wet-mass", "Weight with container")
                        .in(UnitOfMeasure.GRAM)
                        .highest(50_000)
                        .decimals(1)
                        .better(Direction.HIGHER)
                        .typicalCv(0.06)
                        .secondsEach(15)
                        .rule("no drop falling for a minute at first, outside wiped, same scale"))
                .look("drained", Duration.ZERO, "wet-mass")
                .look("6 h", Duration.ofHours(6), "wet-mass")
                .look("24 h", Duration.ofHours(24), "wet-mass")
                .look("day 2", day(2), "wet-mass")
                .look("day 3", day(3), "wet-mass")
                .look("day 5", day(5), "wet-mass")
                .prepare(
                        "Fill alike, soak, drain",
                        List.of(Cautions.DUST, Cautions.MAINS),
                        "One medium, one container, one fill weight for all.",
                        "Soak for an hour, drain until no drop falls for a minute.")
                .holds(
                        "Holds for the weather of those days: write light, warmth and wind down.",
                        "Each place stood once: light, warmth and wind of a place go together.")
                .usually(4, LayoutKind.COMPLETELY_RANDOM, 0, 0, 0);
    }

    /** Liming titration in jars. */
    static Protocol titration() {
        return ProtocolData.named("liming", "Liming titration")
                .tells(
                        "How much lime or sulfur brings a medium to the pH a crop wants.",
                        "How much lime for composted bracken under foxglove?")
                .measure(MeasureParts.of("ph", "pH")
                        .in(UnitOfMeasure.PH)
                        .highest(14)
                        .decimals(2)
                        .better(Direction.EITHER)
                        .typicalCv(0.02)
                        .secondsEach(60)
                        .rule("in the same extract every time, meter rinsed, steady for half a minute"))
                .measure(MeasureParts.of("ec", "EC")
                        .in(UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE)
                        .highest(100)
                        .decimals(2)
                        .better(Direction.LOWER)
                        .typicalCv(0.10)
                        .secondsEach(40)
                        .rule("same extract, at 25 °C"))
                .look("week 1", day(7), "ph")
                .look("week 2", day(14), "ph")
                .look("week 3", day(21), "ph", "ec")
                .every(Recurring.Kind.AIR, "open, stir, keep as moist as a wrung sponge", day(3), day(3), day(21))
                .prepare(
                        "Weigh lime and calibrate",
                        List.of(Cautions.LIME),
                        "Weigh the lime for every jar on a scale that shows 0.01 g; mix it all through.",
                        "Calibrate the pH meter on two buffers on the day of every look.")
                .holds(
                        "Needs 7 days or more: lime works slowly, coarse lime more slowly.",
                        "No answer outside the doses tried.",
                        "Holds for this lime's fineness and this lot.")
                .usually(3, LayoutKind.COMPLETELY_RANDOM, 0, 0, 0);
    }

    /** Aerated brews that end together. */
    static Protocol brew() {
        return ProtocolData.named("brew", "Aerated brew")
                .tells(
                        "What air, food, warmth or time changes in an aerated extract.",
                        "Does an air stone or kelp raise the active fungi of an extract?")
                .measure(MeasureParts.of("oxygen", "Dissolved oxygen")
                        .in(UnitOfMeasure.MILLIGRAM_PER_LITRE)
                        .highest(0.02)
                        .decimals(5)
                        .better(Direction.HIGHER)
                        .typicalCv(0.10)
                        .secondsEach(40)
                        .rule("probe moved gently, mid-depth; stop a brew below 6 mg/L"))
                .measure(MeasureParts.of("brew-temperature", "Temperature")
                        .in(UnitOfMeasure.CELSIUS)
                        .highest(60)
                        .decimals(1)
                        .better(Direction.EITHER)
                        .typicalCv(0.05)
                        .secondsEach(20)
                        .rule("mid-depth"))
                .measure(MeasureParts.of("ph", "pH")
                        .in(UnitOfMeasure.PH)
                        .highest(14)
                        .decimals(2)
                        .better(Direction.EITHER)
                        .typicalCv(0.03)
                        .secondsEach(40)
                        .rule("meter rinsed, steady for half a minute"))
                .measure(MeasureParts.of("foam", "Foam")
                        .in(UnitOfMeasure.CENTIMETRE)
                        .highest(100)
                        .decimals(1)
                        .better(Direction.EITHER)
                        .typicalCv(0.40)
                        .secondsEach(10)
                        .rule("height above the surface"))
                .measure(MeasureParts.of("bacteria", "Active bacteria")
                        .in(UnitOfMeasure.MICROGRAM_PER_MILLILITRE)
                        .highest(1)
                        .decimals(1)
                        .better(Direction.HIGHER)
                        .typicalCv(0.35)
                        .secondsEach(120)
                        .rule("by the laboratory, from a sample on ice within a day"))
                .measure(MeasureParts.of("fungi", "Active fungi")
                        .in(UnitOfMeasure.MICROGRAM_PER_MILLILITRE)
                        .highest(1)
                        .decimals(2)
                        .better(Direction.HIGHER)
                        .typicalCv(0.60)
                        .secondsEach(120)
                        .rule("by the laboratory, from a sample on ice within a day"))
                .look("half-way", Duration.ofHours(18), "oxygen", "brew-temperature", "ph", "foam")
                .look("sample", Duration.ofHours(36), "oxygen", "brew-temperature", "ph", "foam", "bacteria", "fungi")
                .every(
                        Recurring.Kind.AIR,
                        "oxygen, smell, foam; stop at a sour or rotten smell",
                        Duration.ofHours(2),
                        Duration.ofHours(6),
                        Duration.ofHours(36))
                .prepare(
                        "Water and buckets",
                        List.of(Cautions.MAINS, Cautions.RAW),
                        "Let tap water stand overnight with air, or treat its chlorine first.",
                        "Scale compost, food and air to each bucket's litres; clean stones and hoses.")
                .holds(
                        "A brew is one unit, however many samples are drawn from it.",
                        "Counts hold for the day of sampling; use within 4 h.",
                        "More organisms do not prove better growth.")
                .usually(4, LayoutKind.BLOCKS, 0, 0, 0)
                .endingTogether();
    }

    /** Tasting panel. */
    static Protocol panel() {
        return ProtocolData.named("panel", "Tasting panel")
                .tells(
                        "Which produce people prefer, tasted blind in a balanced order.",
                        "Does coriander grown with digestate water taste different?")
                .measure(MeasureParts.of("taste", "Taste, scored")
                        .in(UnitOfMeasure.POINT)
                        .highest(10)
                        .decimals(0)
                        .better(Direction.HIGHER)
                        .typicalCv(0.30)
                        .secondsEach(60)
                        .rule("0 dislike very much, 5 neither, 10 like very much; rinse between"))
                .measure(MeasureParts.of("bitterness", "Bitterness")
                        .in(UnitOfMeasure.POINT)
                        .highest(10)
                        .decimals(0)
                        .better(Direction.EITHER)
                        .typicalCv(0.40)
                        .secondsEach(30)
                        .rule("0 none, 10 as bitter as can be"))
                .measure(MeasureParts.of("looks", "Looks")
                        .in(UnitOfMeasure.POINT)
                        .highest(10)
                        .decimals(0)
                        .better(Direction.HIGHER)
                        .typicalCv(0.25)
                        .secondsEach(20)
                        .rule("side by side, same light"))
                .look("tasting", Duration.ZERO, "taste", "bitterness", "looks")
                .prepare(
                        "Composition",
                        List.of(Cautions.TASTE),
                        "Same day's harvest, same size of portion, codes only on the plates.",
                        "Water and plain bread between; nobody talks until all have written.")
                .holds(
                        "Blind or worthless: codes only until everybody has scored.",
                        "A taster is a block: every taster tastes every treatment.")
                .usually(12, LayoutKind.BLOCKS, 0, 0, 0);
    }

    /** A trial of the planner's own making. */
    static Protocol free() {
        return ProtocolData.named("free-form", "Free form")
                .tells(
                        "Whatever you can count, weigh or score on units that were given their treatment by lot.",
                        "Which mulch keeps the most moss off the plugs?")
                .measure(MeasureParts.of("value", "Value")
                        .in(UnitOfMeasure.COUNT)
                        .highest(1e6)
                        .decimals(2)
                        .better(Direction.HIGHER)
                        .typicalCv(0.20)
                        .secondsEach(30)
                        .rule("write here how it is read"))
                .measure(MeasureParts.of("score", "Score")
                        .in(UnitOfMeasure.POINT)
                        .highest(10)
                        .decimals(0)
                        .better(Direction.HIGHER)
                        .typicalCv(0.30)
                        .secondsEach(20)
                        .rule("write here what 0, 5 and 10 mean"))
                .look("start", Duration.ZERO, "value")
                .look("end", day(14), "value", "score")
                .prepare("Set up", Cautions.NONE, "Write down what is the same for all, and what is not.")
                .holds("Compares only what was given by lot; whatever else differs stays in the answer.")
                .usually(4, LayoutKind.BLOCKS, 0, 0, 0);
    }
}
