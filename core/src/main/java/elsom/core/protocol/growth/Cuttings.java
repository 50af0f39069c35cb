package elsom.core.protocol.growth;

import static elsom.core.protocol.ProtocolParts.day;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Direction;
import elsom.core.plan.Recurring;
import elsom.core.protocol.Cautions;
import elsom.core.protocol.MeasureParts;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.ProtocolParts;
import elsom.core.quantity.UnitOfMeasure;
import java.util.List;

/** Rooting of cuttings. */
public final class Cuttings {
    private Cuttings() {}

    public static Protocol protocol() {
        return ProtocolParts.named("cuttings", "Rooting of cuttings")
                .tells(
                        "Which dip, medium or cut roots more cuttings, and whether they live on after potting.",
                        "Do rosemary cuttings root better with a seaweed dip, and in which medium?")
                .measure(MeasureParts.of("rooted", "Rooted cuttings")
                        .in(UnitOfMeasure.COUNT)
                        .highest(1000)
                        .decimals(0)
                        .ofPlants()
                        .better(Direction.HIGHER)
                        .typicalCv(0.30)
                        .secondsEach(60)
                        .rule("cuttings with a root of 2 mm or more, of those stuck; lift gently, do not tug"))
                .measure(MeasureParts.of("roots-each", "Roots a rooted cutting")
                        .in(UnitOfMeasure.COUNT)
                        .highest(500)
                        .decimals(1)
                        .better(Direction.HIGHER)
                        .typicalCv(0.35)
                        .secondsEach(60)
                        .readOf("rooted")
                        .rule("first-order roots of rooted cuttings, mean of the unit"))
                .measure(MeasureParts.of("root-length", "Longest root")
                        .in(UnitOfMeasure.MILLIMETRE)
                        .highest(1000)
                        .decimals(0)
                        .better(Direction.HIGHER)
                        .typicalCv(0.35)
                        .secondsEach(60)
                        .readOf("rooted")
                        .rule("mean over the unit's rooted cuttings"))
                .measure(MeasureParts.of("survived", "Alive after potting on")
                        .in(UnitOfMeasure.COUNT)
                        .highest(1000)
                        .decimals(0)
                        .ofPlants()
                        .better(Direction.HIGHER)
                        .typicalCv(0.30)
                        .secondsEach(20)
                        .rule("alive and growing, of those stuck at the start"))
                .look("week 3", day(21), "rooted")
                .look("week 5", day(35), "rooted")
                .look("week 8, pot on", day(56), "rooted", "roots-each", "root-length")
                .look("week 12", day(84), "survived")
                .every(Recurring.Kind.AIR, "mist or cover, remove what rots", day(2), day(2), day(56))
                .prepare(
                        "Clean and cut",
                        List.of(Cautions.BLADE),
                        "Clean blade and hands before each kind; cut below a node, same node count for all.",
                        "Take off lower leaves; keep them the right way up, out of sun, moist.",
                        "Share the cuttings of each mother plant out over all treatments.")
                .holds(
                        "Leaves mislead: count roots, and what lives after potting on.",
                        "Count trays, not cuttings: cuttings in one tray share its luck.",
                        "Holds for this species, season and mother plants.")
                .usually(4, LayoutKind.BLOCKS, 6, 0, 0)
                .made();
    }
}
