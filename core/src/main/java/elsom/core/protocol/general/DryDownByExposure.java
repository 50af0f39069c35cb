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
import java.util.List;

/** Dry-down of the same media in several exposures. */
public final class DryDownByExposure {
    private DryDownByExposure() {}

    public static Protocol protocol() {
        return ProtocolParts.named("dry-down", "Dry-down by exposure")
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
                        "Each exposure stood once: its light, warmth and wind go together.")
                .usually(4, LayoutKind.COMPLETELY_RANDOM, 0, 0, 0)
                .made();
    }
}
