package elsom.core.trial;

import elsom.core.quantity.Bounds;
import java.time.Instant;

/**
 * A unit scored again at the same look by another station that did not see the first score. It judges the scoring, not
 * the treatments: the first score stays the reading.
 */
public record SecondScore(UnitCode unit, int look, EndpointCode endpoint, String station, double value, Instant at) {
    public SecondScore {
        Bounds.present("the unit of a second score", unit);
        Bounds.count("the look of a second score", look, 1, Bounds.LOOKS);
        Bounds.present("what is scored again", endpoint);
        Bounds.name("the station of a second score", station, Bounds.SHORT_NAME);
        Bounds.number("a second score", value, -Bounds.LARGEST, Bounds.LARGEST);
        Bounds.instant("when it was scored again", at);
    }
}
