package elsom.core.protocol.dose;

import static elsom.core.protocol.ProtocolParts.day;

import elsom.core.design.LayoutKind;
import elsom.core.protocol.Cautions;
import elsom.core.protocol.Measures;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.ProtocolParts;
import java.util.List;

/** Drench or dip dose series. */
public final class DoseSeriesProtocol {
    private DoseSeriesProtocol() {}

    public static Protocol protocol() {
        return ProtocolParts.named("dose-series", "Drench or dip dose series")
                .tells(
                        "Which strength helps, which is still safe, and which harms, days after it was given.",
                        "What strength of wood vinegar drench is safe for marigold plugs?")
                .measure(Measures.injury().also("the whole unit"))
                .measure(Measures.alive())
                .measure(Measures.height().rule("from the surface to the top of the canopy, not stretched"))
                .measure(Measures.freshMass())
                .look("day 1", day(1), "injury")
                .look("day 2", day(2), "injury")
                .look("day 3", day(3), "injury")
                .look("day 5", day(5), "injury")
                .look("day 7", day(7), "injury", "alive")
                .look("day 10", day(10), "injury", "alive", "fresh-mass")
                .prepare(
                        "Check the stock and dilute",
                        List.of(Cautions.ACID),
                        "Read the stock's strength off its bottle and write it down.",
                        "Dilute from the strongest down, each in its own clean jug with its letter on.",
                        "Give every unit the same volume, the control plain water of the same warmth.")
                .prepare(
                        "Plants alike",
                        Cautions.NONE,
                        "Plants of one sowing and size; no feed a week before, none until the end.")
                .holds(
                        "Holds for this species, age and stock only.",
                        "Nothing in the first days proves nothing: look until day 10 or two weeks.",
                        "A dose never given was never tested.")
                .expects("injury", 0, 2, "its plants must stay unharmed, 2 points of injury at most")
                .expects("alive", 0.9, 1, "nine in ten of its plants must live")
                .grows("height")
                .inSeries()
                .dosesLead()
                .usually(6, LayoutKind.BLOCKS, 4, 0, 50)
                .made();
    }
}
