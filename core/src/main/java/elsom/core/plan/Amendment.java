package elsom.core.plan;

import elsom.core.quantity.Bounds;
import java.time.Instant;
import java.util.List;

/**
 * A change of a started trial's plan, or its unblinding.
 *
 * @param number 1-based within the trial
 * @param changes what changed, a sentence each
 */
public record Amendment(int number, Instant at, String station, String reason, List<String> changes) {
    private static final int MOST_CHANGES = 200;
    private static final int LONGEST_CHANGE = 2000;
    public static final int LONGEST_REASON = Bounds.NOTE;

    public Amendment {
        Bounds.count("an amendment's number", number, 1, Integer.MAX_VALUE);
        Bounds.instant("when it was changed", at);
        Bounds.name("the station", station, Bounds.STATION);
        Bounds.name("a reason", reason.replace('\n', ' ').replace('\r', ' ').replace('\t', ' '), LONGEST_REASON);
        changes = Bounds.list("changes", changes, 0, MOST_CHANGES);
        changes.forEach(change -> Bounds.note("a change", change, LONGEST_CHANGE));
    }
}
