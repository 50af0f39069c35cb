package elsom.core.plan;

import java.time.Instant;
import java.util.List;

/**
 * A change of a started trial's plan, or its unblinding.
 *
 * @param number 1-based within the trial
 * @param changes what changed, a sentence each
 */
public record Amendment(int number, Instant at, String station, String reason, List<String> changes) {
    public static final int LONGEST_REASON = 300;

    public Amendment {
        changes = List.copyOf(changes);
        if (reason.isBlank() || reason.length() > LONGEST_REASON) {
            throw new IllegalArgumentException("a reason has 1 to " + LONGEST_REASON + " characters");
        }
    }
}
