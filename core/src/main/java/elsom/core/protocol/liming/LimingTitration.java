package elsom.core.protocol.liming;

import static elsom.core.protocol.ProtocolParts.day;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Recurring;
import elsom.core.protocol.Cautions;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.ProtocolParts;
import java.util.List;

/** Liming titration in jars. */
public final class LimingTitration {
    private LimingTitration() {}

    public static Protocol protocol() {
        return ProtocolParts.named("liming", "Liming titration")
                .tells(
                        "How much lime brings a medium up to the pH a crop wants.",
                        "How much lime for composted bracken under foxglove?")
                .measure(Jars.ph())
                .measure(Jars.ec().rule("same extract, at 25 °C"))
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
                .withoutDoses()
                .answers(new TitrationAnswers())
                .usually(3, LayoutKind.COMPLETELY_RANDOM, 0, 0, 0)
                .made();
    }
}
