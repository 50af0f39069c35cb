package elsom.core.plan;

import elsom.core.trial.UnitCode;
import java.util.List;

/**
 * Where a plan came from.
 *
 * @param trial number of the earlier trial in the same store
 * @param question what that one asked
 * @param change what was changed, in words
 * @param kept units that go on in this trial under their codes, with their readings in the earlier one; empty when all
 *     are new
 */
public record Origin(long trial, String question, String change, List<Kept> kept) {
    /** A unit that goes on, and the treatment it has in the new plan. */
    public record Kept(UnitCode unit, int treatment) {}

    public Origin {
        kept = List.copyOf(kept);
    }
}
