package elsom.web.trial;

import elsom.core.plan.Amendment;
import elsom.core.plan.Plan;
import elsom.core.trial.TrialRecord;
import java.util.List;

/**
 * A trial with all that belongs to it, as it goes from store to store.
 *
 * @param record with what every unit got, blind or not
 */
public record WholeTrial(TrialRecord record, Plan plan, List<Amendment> amendments) {
    public WholeTrial {
        amendments = List.copyOf(amendments);
    }

    /** Whether what every unit got must stay hidden. */
    public boolean sealed() {
        return record.trial().started() && record.trial().blind();
    }
}
