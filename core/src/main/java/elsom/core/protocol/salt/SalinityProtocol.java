package elsom.core.protocol.salt;

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
import java.time.Duration;
import java.util.List;

/** Salinity series. */
public final class SalinityProtocol {
    private SalinityProtocol() {}

    public static Protocol protocol() {
        return ProtocolParts.named("salinity", "Salinity series")
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
                .measure(Measures.injury().named("Margin burn").rule("0 none, 5 half the leaf margins, 10 dead"))
                .measure(Measures.yieldMass().typicalCv(0.15))
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
                .expects("injury", 0, 2, "the weakest water must leave margins next to unburnt, 2 points at most")
                .withoutDoses()
                .answers(new ThresholdAnswers("yield", "ec-out", "ec-in"))
                .inSeries()
                .usually(5, LayoutKind.BLOCKS, 8, 10, 200)
                .made();
    }
}
