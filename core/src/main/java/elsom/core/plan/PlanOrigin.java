package elsom.core.plan;

import elsom.core.quantity.Bounds;
import elsom.core.trial.UnitCode;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Where a plan came from.
 *
 * @param trial number of the earlier trial in the same store
 * @param question what that one asked
 * @param change what was changed, in words
 * @param kept units that go on in this trial under their codes, with their readings in the earlier one; empty when all
 *     are new
 * @param seed what the earlier trial's layout was drawn from: with its question it is known again in another store; null in plans of
 *     before
 * @param why what sort of follow-up it is; null where nobody said
 */
public record PlanOrigin(
        long trial,
        String question,
        String change,
        List<Kept> kept,
        @Nullable FollowUp why,
        @Nullable Long seed) {
    /** A unit that goes on, and the treatment it has in the new plan. */
    public record Kept(UnitCode unit, int treatment) {
        public Kept {
            Bounds.present("the code of a unit that goes on", unit);
            Bounds.count("treatment of a unit that goes on", treatment, 1, Bounds.TREATMENTS);
        }
    }

    /** What was changed is said in words alone. */
    public PlanOrigin(long trial, String question, String change, List<Kept> kept) {
        this(trial, question, change, kept, null, null);
    }

    /** The same, said in other words and of some sort. */
    public PlanOrigin told(String words, FollowUp sort) {
        return new PlanOrigin(trial, question, words, kept, sort, seed);
    }

    /** The same, known again in another store by the seed of the earlier trial. */
    public PlanOrigin seeded(long of) {
        return new PlanOrigin(trial, question, change, kept, why, of);
    }

    private static final int LONGEST_CHANGE = 4000;

    public PlanOrigin {
        kept = Bounds.list("units that go on", kept, 0, Bounds.UNITS);
        Bounds.line("what the earlier trial asked", question, Bounds.QUESTION);
        Bounds.note("what was changed", change, LONGEST_CHANGE);
    }
}
