package elsom.core.protocol.general;

import static elsom.core.protocol.ProtocolParts.day;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Direction;
import elsom.core.protocol.Cautions;
import elsom.core.protocol.MeasureParts;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.ProtocolParts;
import elsom.core.quantity.UnitOfMeasure;
import java.time.Duration;

/** A trial of the planner's own making. */
public final class FreePlan {
    private FreePlan() {}

    public static Protocol protocol() {
        return ProtocolParts.named("free-form", "Free form")
                .tells(
                        "Whatever you can count, weigh or score on units that were given their treatment at random.",
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
                .holds("Compares only what was given at random; whatever else differs stays in the answer.")
                .usually(4, LayoutKind.BLOCKS, 0, 0, 0)
                .made();
    }
}
