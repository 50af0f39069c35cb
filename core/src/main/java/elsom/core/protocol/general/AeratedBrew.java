package elsom.core.protocol.general;

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
import java.time.Duration;
import java.util.List;

/** Aerated brews that end together. */
public final class AeratedBrew {
    public static final ProtocolCode CODE = new ProtocolCode("brew");

    private AeratedBrew() {}

    public static Protocol protocol() {
        return ProtocolParts.named(CODE.value(), "Aerated brew")
                .tells(
                        "What air, food, warmth or time changes in an aerated extract.",
                        "Does an air stone or kelp raise the active fungi of an extract?")
                .measure(MeasureParts.of("oxygen", "Dissolved oxygen")
                        .in(UnitOfMeasure.MILLIGRAM_PER_LITRE)
                        .highest(20)
                        .decimals(1)
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
                .measure(Measures.ph().decimals(2).secondsEach(40).rule("meter rinsed, steady for half a minute"))
                .measure(MeasureParts.of("foam", "Foam")
                        .in(UnitOfMeasure.CENTIMETRE)
                        .highest(100)
                        .decimals(1)
                        .better(Direction.EITHER)
                        .typicalCv(0.40)
                        .secondsEach(10)
                        .rule("height above the surface"))
                .measure(counted("bacteria", "Active bacteria", 1, 0.35))
                .measure(counted("total-bacteria", "Total bacteria", 1, 0.3))
                .measure(counted("fungi", "Active fungi", 2, 0.6))
                .measure(counted("total-fungi", "Total fungi", 2, 0.5))
                .look("half-way", Duration.ofHours(18), "oxygen", "brew-temperature", "ph", "foam")
                .look(
                        "sample",
                        Duration.ofHours(36),
                        "oxygen",
                        "brew-temperature",
                        "ph",
                        "foam",
                        "bacteria",
                        "total-bacteria",
                        "fungi",
                        "total-fungi")
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
                .endingTogether()
                .made();
    }

    /** A count by the laboratory, µg of organisms in a millilitre. */
    private static MeasureParts counted(String code, String label, int decimals, double cv) {
        return MeasureParts.of(code, label)
                .in(UnitOfMeasure.MICROGRAM_PER_MILLILITRE)
                .highest(5000)
                .decimals(decimals)
                .better(Direction.HIGHER)
                .typicalCv(cv)
                .secondsEach(120)
                .rule("by the laboratory, from a sample on ice within a day");
    }
}
