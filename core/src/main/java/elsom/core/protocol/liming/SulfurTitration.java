package elsom.core.protocol.liming;

import static elsom.core.protocol.ProtocolParts.day;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Recurring;
import elsom.core.protocol.Cautions;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.ProtocolParts;
import java.util.List;

/** Sulfur in jars: slower than lime, since microbes have to make acid of it first. */
public final class SulfurTitration {
    private SulfurTitration() {}

    public static Protocol protocol() {
        return ProtocolParts.named("sulfur", "Sulfur titration")
                .tells(
                        "How much sulfur brings a medium down to the pH a crop wants, and when it has worked.",
                        "How much sulfur for municipal compost under rosemary?")
                .measure(Jars.ph())
                .measure(Jars.ec().rule("same extract, at 25 °C: sulfate is a salt, and EC rises with it"))
                .look("week 2", day(14), "ph")
                .look("week 4", day(28), "ph")
                .look("week 6", day(42), "ph")
                .look("week 8", day(56), "ph", "ec")
                .every(Recurring.Kind.AIR, "open, stir, keep as moist as a wrung sponge", day(4), day(7), day(56))
                .prepare(
                        "Weigh sulfur and calibrate",
                        List.of(Cautions.SULFUR),
                        "Weigh fine elemental sulfur for every jar on a scale that shows 0.01 g; mix it all through.",
                        "Keep the jars at 20 to 30 °C, damp and open to air: microbes make acid of sulfur, and cold, dry or"
                                + " sterile media do next to nothing.",
                        "Calibrate the pH meter on two buffers on the day of every look.")
                .holds(
                        "Needs six weeks or more: what has not worked yet will, so an amount read sooner is too much.",
                        "No answer outside the amounts tried.",
                        "Holds for this fineness of sulfur, this warmth and this lot; free lime in it takes the acid first.")
                .withoutDoses()
                .answers(new TitrationAnswers())
                .usually(3, LayoutKind.COMPLETELY_RANDOM, 0, 0, 0)
                .made();
    }
}
