package elsom.core.protocol.general;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Direction;
import elsom.core.protocol.Cautions;
import elsom.core.protocol.MeasureParts;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.ProtocolParts;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.ProtocolCode;
import java.time.Duration;
import java.util.List;

/** Tasting panel. */
public final class TastingPanel {
    public static final ProtocolCode CODE = new ProtocolCode("panel");

    private TastingPanel() {}

    public static Protocol protocol() {
        return ProtocolParts.named(CODE.value(), "Tasting panel")
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
                .usually(12, LayoutKind.BLOCKS, 0, 0, 0)
                .made();
    }
}
