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

/** Plant-back after a treatment. */
public final class PlantBack {
    private PlantBack() {}

    public static Protocol protocol() {
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
                .look("first check", day(10), "emerged", "injury")
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
                .answers(new PlantBackAnswers())
                .usually(4, LayoutKind.BLOCKS, 12, 15, 0)
                .endingTogether();
    }
}
