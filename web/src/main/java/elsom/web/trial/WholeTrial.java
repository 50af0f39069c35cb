package elsom.web.trial;

import elsom.core.material.Lot;
import elsom.core.mix.Quarantine;
import elsom.core.plan.Amendment;
import elsom.core.plan.Plan;
import elsom.core.trial.TrialRecord;
import java.util.List;

/**
 * A trial with all that belongs to it, as it goes from store to store.
 *
 * @param quarantines of lots in its mixes, lifted ones too
 * @param lots of the shelf that its mixes use
 * @param record with what every unit got, blind or not
 */
public record WholeTrial(
        TrialRecord record, Plan plan, List<Amendment> amendments, List<Quarantine> quarantines, List<Lot> lots) {
    public WholeTrial {
        lots = List.copyOf(lots);
        amendments = List.copyOf(amendments);
        quarantines = List.copyOf(quarantines);
    }

    /** One whose lots are all free, and unknown to the shelf. */
    public WholeTrial(TrialRecord record, Plan plan, List<Amendment> amendments) {
        this(record, plan, amendments, List.of(), List.of());
    }

    /** Whether what every unit got must stay hidden. */
    public boolean sealed() {
        return record.trial().started() && record.trial().blind();
    }
}
