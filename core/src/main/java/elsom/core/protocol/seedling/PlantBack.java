package elsom.core.protocol.seedling;

import static elsom.core.protocol.ProtocolParts.day;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Recurring;
import elsom.core.protocol.Cautions;
import elsom.core.protocol.Measures;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.ProtocolParts;
import java.util.List;

/** Plant-back after a treatment. */
public final class PlantBack {
    private PlantBack() {}

    public static Protocol protocol() {
        return ProtocolParts.named("plant-back", "Plant-back")
                .tells(
                        "How many days after a treatment a crop can be sown without harm.",
                        "How soon after an acetic weedkiller does phacelia grow clean?")
                .measure(Measures.emerged().rule("plants with seed leaves above the surface, of those sown"))
                .measure(Measures.injury().also("beside the untreated tray of the same sowing"))
                .measure(Measures.freshMass())
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
                .endingTogether()
                .made();
    }
}
