package elsom.core.trial;

import elsom.core.quantity.Bounds;
import java.time.Instant;

/**
 * Every unit moved one place on within its block, as it was really done.
 *
 * @param number how many times they have been moved on by then, this one counted
 */
public record Turn(int number, Instant at, String station) {
    public static final int MOST = 2000;

    public Turn {
        Bounds.count("a turn's number", number, 1, MOST);
        Bounds.instant("when units were moved on", at);
        Bounds.name("the station that moved them", station, Bounds.SHORT_NAME);
    }
}
